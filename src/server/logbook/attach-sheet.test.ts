/** Against the test cluster that `./grim test` starts (DATABASE_URL). */
import { v7 } from 'uuid';
import { makeNewEntry, newestVersion, type EntryKind, type NewEntry, type Payload } from '../../core/logbook';
import { boardQuerySchema } from '../../api/board';
import { db } from '../database/connection';
import { ownDatabase } from '../database/__tests__/own-database';
import { openJob } from './append';
import { attachSheet } from './attach-sheet';
import { board } from './board';
import { checkChains } from './chain-check';
import { loadJob } from './folded';
import { postEntries } from './post-entries';

ownDatabase();

const person = { id: v7(), name: 'Ines Tarrow', role: 'technician' as const };
const other = { id: v7(), name: 'Odo Wrack', role: 'lead' as const };
beforeAll(async () => {
  await db().models.Person.bulkCreate([person, other].map((p) => ({ ...p, active: true })));
});

const entry = <K extends EntryKind>(jobId: string, kind: K, payload: Payload<K>): NewEntry =>
  makeNewEntry({ v: newestVersion, id: v7(), jobId, at: new Date().toISOString() }, kind, payload);

async function opened(machine: string, loose: boolean): Promise<string> {
  const jobId = v7();
  const opening = entry(jobId, 'job.opened', {
    ...{ assetId: v7(), site: 'Pellow Quay', machine, complaint: 'dead' },
    ...{ stoppedAt: null, downtimeAllowed_min: null },
    ...{ peopleInDanger: 'no', loadSuspended: 'no', bypass: 'no' },
    ...(loose ? { loose: true } : {}),
  });
  await openJob(opening as Extract<NewEntry, { kind: 'job.opened' }>, person);
  return jobId;
}
const note = (jobId: string, text: string) =>
  entry(jobId, 'note.added', { stage: 'trace', text, photos: [] });
const refusals = async (jobId: string, sent: readonly NewEntry[]) =>
  ((await postEntries(jobId, sent, person))?.verdicts ?? []).flatMap((v) =>
    'refused' in v ? [v.refused] : [],
  );
const found = async (state: 'open' | 'all' | 'loose') =>
  (await board(boardQuerySchema.parse({ state }))).jobs.map((line) => line.jobId);

describe('a loose sheet', () => {
  it('is on no board of jobs, and takes only what needs no job', async () => {
    const sheet = await opened('Unit without a machine', true);
    expect(await found('loose')).toContain(sheet);
    expect(await found('all')).not.toContain(sheet);
    expect(await refusals(sheet, [note(sheet, 'smells')])).toEqual([]);
    expect(await refusals(sheet, [entry(sheet, 'stop.begun', {})])).toEqual([
      expect.stringMatching(/needs a job/),
    ]);
    // Nor does a job leave the board by a correction of its first entry.
    const job = await opened('Slipway winch', false);
    const first = (await loadJob(job))?.state.opened;
    const asLoose = entry(job, 'job.opened', { ...first!.payload, loose: true });
    expect(await refusals(job, [{ ...asLoose, corrects: first!.id }])).toEqual([
      expect.stringMatching(/does not become a loose sheet/),
    ]);
    expect(await refusals(sheet, [entry(sheet, 'loose.moved', { toJobId: v7(), machine: 'x' })])).toEqual([
      expect.stringMatching(/Only the server/),
    ]);
  });

  it('is attached once however often it is asked, with makers and times as they were, in an unbroken chain', async () => {
    const [sheet, job, third] = [
      await opened('Unit without a machine', true),
      await opened('Slipway winch', false),
      await opened('Trawl winch', false),
    ];
    await postEntries(sheet, [note(sheet, 'smells'), note(sheet, 'fan stuck')], person);
    const before = (await loadJob(sheet))?.state.notes ?? [];
    const [a, b] = await Promise.all([attachSheet(sheet, job, other), attachSheet(sheet, job, other)]);
    expect([a, b]).toEqual([{ jobId: job }, { jobId: job }]);
    const state = (await loadJob(job))?.state;
    expect(state?.notes.map((n) => [n.payload.text, n.by.name, n.firstReceivedAt])).toEqual(
      before.map((n) => [n.payload.text, 'Ines Tarrow', n.receivedAt]),
    );
    expect(state?.log.map((line) => line.entry.kind)).toEqual([
      'job.opened',
      'note.added',
      'note.added',
      'loose.attached',
    ]);
    await expect(attachSheet(sheet, third, other)).rejects.toThrow(/Slipway winch/);
    expect((await loadJob(third))?.state.log).toHaveLength(1);
    expect(await refusals(sheet, [note(sheet, 'late')])).toEqual([expect.stringMatching(/go on there/)]);
    expect(await found('loose')).not.toContain(sheet);
    expect((await checkChains()).broken).toEqual([]);
  });

  it('moves nothing where a step fails, and names what is not there', async () => {
    const sheet = await opened('Unit without a machine', true);
    await postEntries(sheet, [note(sheet, 'smells')], person);
    await expect(attachSheet(sheet, v7(), person)).rejects.toThrow(/No such job/);
    await expect(attachSheet(sheet, sheet, person)).rejects.toThrow(/Choose a job/);
    expect((await loadJob(sheet))?.state.moved).toBeNull();
    expect(await refusals(sheet, [note(sheet, 'goes on')])).toEqual([]);
  });
});
