/** Against the test cluster that `./grim test` starts (DATABASE_URL). */
import { v7 } from 'uuid';
import { fold, newestVersion, type Person, type NewEntry } from '../../../core/logbook';
import { greatestLimits } from '../../../core/bench/make-safe';
import { planWrites } from '../../../core/parameter-sets/parameters';
import { simulateDrive, type DriveStandIn } from '../../../../stand-ins/drive/drive';
import { testDrive as winchDrive } from '../../../core/logbook/__tests__/job';
import { controlOf } from '../../equipment/catalogue';
import { db } from '../../database/connection';
import { openBus, type Bus } from '../../drive-link/process/bus';
import { readAll, type DriveClient } from '../../drive-link/drive-client';
import { appendEntries, openJob } from '../../logbook/append';
import { entriesAfter } from '../../logbook/entries';
import { librarySet, otherStators, setLibrary } from '../set-library';
import { makeRun, noRunOn, runById, runsOfJob, runsWith, type RunOrder, type Runs } from '.';
import { ownDatabase } from '../../database/__tests__/own-database';

ownDatabase();

const typeId = 'whimbrel-w4';
const rating = { ratedAmps: 15, power_kW: 7.5, supply_V: 400 };

let drive: DriveStandIn;
let bus: Bus;
let talk: DriveClient;
let runs: Runs;
const by: Person = { id: v7(), name: 'Ines Tarrow', role: 'technician' };
const lead: Person = { id: v7(), name: 'Odo Wrack', role: 'lead' };
const order = async (body: unknown): Promise<void> => {
  const answer = await fetch(`http://127.0.0.1:${drive.rigPort}`, {
    method: 'POST',
    body: JSON.stringify(body),
  });
  if (!answer.ok) throw new Error(await answer.text());
};

beforeAll(async () => {
  drive = await simulateDrive();
  // Longer than a busy machine stands still.
  bus = openBus(
    { host: '127.0.0.1', port: drive.busPort, unit: 1 },
    { timeout_ms: 3000, retries: 0, readOut_ms: 30_000 },
  );
  talk = { target: `127.0.0.1:${drive.busPort}`, ...bus };
  runs = runsWith(() => Promise.resolve(talk));
  await db().models.Person.bulkCreate([by, lead].map((p) => ({ ...p, active: true })));
});
beforeEach(async () => {
  await order({ drive: { type: typeId, model: 'W4-15' }, wait_s: 2 });
  // A run that an earlier test left open would keep this one's from its drive.
  await db().models.WriteRun.update({ state: 'ended' }, { where: {} });
});
afterAll(async () => {
  await bus.close();
  await drive.stop();
});

const made = (jobId: string, kind: string, payload: unknown): NewEntry =>
  ({ v: newestVersion, id: v7(), jobId, at: new Date().toISOString(), kind, payload }) as unknown as NewEntry;

/** A job with a set of twelve changed values, and an order to write it. */
async function ordered(machine = 'A net-drum', changes: Record<string, number> = {}): Promise<RunOrder> {
  const jobId = v7();
  const assetId = v7();
  await openJob(
    made(jobId, 'job.opened', {
      assetId,
      site: 'Pellow Quay',
      machine,
      complaint: 'to be set up',
      stoppedAt: null,
      downtimeAllowed_min: null,
      peopleInDanger: 'no',
      loadSuspended: 'no',
      bypass: 'no',
    }) as Parameters<typeof openJob>[0],
    by,
  );
  const control = (await controlOf(typeId))!;
  const { values } = await readAll(talk, control);
  const wanted = {
    ...values,
    '1-03': 14.6,
    '2-03': 120,
    '3-01': 12,
    '3-02': 14,
    '3-03': 6,
    '5-14': 3,
    '5-15': 8,
    '7-12': 1,
    '10-01': 6,
    '4-10': 20,
    '3-06': 20,
    ...changes,
  };
  const kept = made(jobId, 'set.kept', {
    name: 'wanted',
    typeId,
    rating,
    values: wanted,
    strangers: [],
    source: 'typed',
  });
  await appendEntries(jobId, [kept], by);
  const { steps } = planWrites({ typeId, control, rating, values }, wanted);
  return {
    id: v7(),
    jobId,
    setId: kept.id,
    name: 'wanted',
    target: talk.target,
    typeId,
    rating,
    expects: steps.map(({ number, from, to }) => ({ number, from, to })),
  };
}

const stateOf = async (jobId: string) =>
  fold((await entriesAfter(jobId, 0)) ?? [], { limits: greatestLimits });
/** Until a run is what it should be. */
async function until(id: string, state: string): Promise<void> {
  for (let i = 0; i < 1000; i += 1) {
    if ((await runById(id)).state === state) return;
    await new Promise((resolve) => setTimeout(resolve, 25));
  }
  throw new Error(`the run is ${JSON.stringify(await runById(id))}`);
}

it('a run is begun once, written, compared, and told in the log by who began it', async () => {
  const given = await ordered();
  await makeRun(given, by, talk);
  await makeRun(given, by, talk);
  expect(await runsOfJob(given.jobId)).toHaveLength(1);
  // Asked twice at once, it is written once.
  await Promise.all([runs.goOn(given.id, by.id, false), runs.goOn(given.id, by.id, false)]);
  await until(given.id, 'ended');
  const { setRuns, sets, log } = await stateOf(given.jobId);
  expect(setRuns).toMatchObject([
    {
      id: given.id,
      serial: 'W415-0001',
      by: { id: by.id },
      held: null,
      end: { ending: 'as planned', leftOver: [] },
    },
  ]);
  expect(sets.at(-1)).toMatchObject({ source: 'read-out', serial: 'W415-0001' });
  expect(log.map((l) => l.entry.kind).slice(2)).toEqual(['set.write-begun', 'set.write-ended', 'drive.read']);
  await expect(runs.goOn(given.id, by.id, false)).rejects.toThrow('has ended');

  // Looked at again after the power was away: everything was kept.
  await order({ plant: { mains: { on: false } }, wait_s: 300 });
  await expect(runs.verify(given.id, by.id, true)).rejects.toThrow();
  await order({ plant: { mains: { on: true } }, wait_s: 3 });
  await runs.verify(given.id, lead.id, true);
  expect((await stateOf(given.jobId)).setRuns[0]?.verified).toMatchObject([
    { afterPower: true, ending: 'as planned', leftOver: [] },
  ]);
}, 30_000);

it('two people never write to one drive, and single values wait too', async () => {
  const [first, second] = [await ordered(), await ordered()];
  await makeRun(first, by, talk);
  await expect(makeRun(second, lead, talk)).rejects.toThrow('already being written to this drive');
  await expect(noRunOn(talk.target)).rejects.toThrow('already being written');
  expect((await stateOf(second.jobId)).setRuns).toEqual([]);
  await runs.goOn(first.id, by.id, false);
  await until(first.id, 'ended');
  await noRunOn(talk.target);
}, 30_000);

it('what is in the drive was changed since it was read: nothing is begun', async () => {
  const given = await ordered();
  await bus.write(1302, 77);
  await expect(makeRun(given, by, talk)).rejects.toThrow('read out again');
  expect(await runsOfJob(given.jobId)).toEqual([]);
  await expect(makeRun({ ...given, setId: v7() }, by, talk)).rejects.toThrow('not saved on the server yet');
});

it('with the cable out it is held; another person goes on, by name, where it stood', async () => {
  const given = await ordered();
  await makeRun(given, by, talk);
  await order({ plant: { bus: { cutAtWrite: { writes: 5, arrives: true } } } });
  await runs.goOn(given.id, by.id, false);
  await until(given.id, 'held');
  expect((await stateOf(given.jobId)).setRuns[0]?.held).toContain('link failed');
  await expect(runs.goOn(given.id, lead.id, false)).rejects.toThrow();
  await order({ plant: { bus: { cableOut: false } } });
  await runs.goOn(given.id, lead.id, false);
  await until(given.id, 'ended');
  const { setRuns, log } = await stateOf(given.jobId);
  expect(setRuns[0]?.end).toMatchObject({ ending: 'as planned', leftOver: [] });
  expect(log.find((l) => l.entry.kind === 'set.write-resumed')?.entry.by.id).toBe(lead.id);
}, 30_000);

it.each([
  ['and the drive took the value', true],
  ['and the drive did not', false],
])(
  'the server was killed between sending and hearing, %s: it is held, and settled by reading',
  async (_, took) => {
    const given = await ordered();
    await makeRun(given, by, talk);
    // What the database holds when the process is gone in that moment.
    const { WriteLine, WriteRun } = db().models;
    const row = await WriteLine.findOne({ where: { runId: given.id, place: 0 } });
    const { line } = row!;
    await row!.update({ line: { ...line, state: 'sent' } });
    if (took) await bus.write(1103, Math.round(line.to * 10));
    await WriteRun.update({ heardAt: new Date(Date.now() - 60_000) }, { where: { id: given.id } });
    expect(await runById(given.id)).toMatchObject({
      state: 'held',
      why: expect.stringContaining('stopped during the write') as string,
    });
    await runs.goOn(given.id, by.id, false);
    await until(given.id, 'ended');
    expect((await stateOf(given.jobId)).setRuns[0]?.end).toMatchObject({
      ending: 'as planned',
      leftOver: [],
    });
  },
  30_000,
);

it('a value the drive refuses is left out by a person, or the run is ended as it is', async () => {
  const given = await ordered();
  await makeRun(given, by, talk);
  const { WriteLine } = db().models;
  const row = await WriteLine.findOne({ where: { runId: given.id, place: 1 } });
  await row!.update({ line: { ...row!.line, to: 6000 } });
  await runs.goOn(given.id, by.id, false);
  await until(given.id, 'held');
  await runs.goOn(given.id, by.id, true);
  await until(given.id, 'ended');
  const { setRuns, log } = await stateOf(given.jobId);
  expect(setRuns[0]?.end?.ending).toBe('as planned');
  expect(setRuns[0]?.end?.leftOver).toMatchObject([
    { why: expect.stringContaining('out of range') as string },
  ]);
  expect(log.find((l) => l.entry.kind === 'set.write-resumed')?.entry.payload).toMatchObject({
    leftOut: '2-03',
  });

  const other = await ordered();
  await makeRun(other, by, talk);
  await expect(runs.giveUp(other.id, by.id)).rejects.toThrow('Only a paused run');
  runs.pause(other.id);
  await order({ plant: { contacts: { DI1: true } }, wait_s: 1 });
  await expect(runs.goOn(other.id, by.id, false)).rejects.toThrow('Remove the run command');
  await order({ plant: { contacts: { DI1: false } }, wait_s: 1 });
  await runs.giveUp(other.id, by.id);
  expect((await stateOf(other.jobId)).setRuns[0]?.end?.ending).toBe('as found');
}, 30_000);

describe('the library', () => {
  it('finds sets of all jobs, this machine’s first, by word, with what is good', async () => {
    const here = await ordered('Ice conveyor seven');
    const there = await ordered('Herring sorter', { '1-11': 0.437 });
    await appendEntries(
      there.jobId,
      [made(there.jobId, 'set.good', { set: there.setId, why: 'ran all autumn' })],
      by,
    );
    const all = (await setLibrary(here.jobId, '')) ?? [];
    expect(all[0]).toMatchObject({ id: here.setId, sameMachine: true, machine: 'Ice conveyor seven' });
    const found = (await setLibrary(here.jobId, 'herring whimbrel')) ?? [];
    expect(found).toMatchObject([{ id: there.setId, good: 'ran all autumn', sameMachine: false }]);
    expect(found[0]?.checksum).toMatch(/^[0-9A-F]{8}$/);
    expect(await librarySet(there.setId)).toMatchObject({ typeId, name: 'wanted' });
    expect(await librarySet(v7())).toBeNull();
    // A read-out says nothing of its unit's size: its own job does.
    const unit = { ...winchDrive, ratedAmps: 24, type: 'W4-24' };
    const identity = { vendor: 'Whimbrel', product: 'W4', revision: '3.2' };
    const read = made(there.jobId, 'drive.read', {
      target: 't:1',
      typeId,
      identity,
      values: { '2-03': 150 },
      live: {},
      history: [],
    });
    await appendEntries(there.jobId, [made(there.jobId, 'identify.drive', unit), read], by);
    expect(await librarySet(read.id)).toMatchObject({
      values: { '2-03': 150 },
      rating: { ratedAmps: 24, supply_V: 400 },
    });
    expect(await setLibrary(v7(), '')).toBeNull();
    expect(await otherStators(here.jobId)).toContain(0.437);
    expect(await otherStators(there.jobId)).not.toContain(0.437);
  });
});
