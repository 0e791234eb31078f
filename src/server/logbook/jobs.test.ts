/** Against the test cluster that `./grim test` starts (DATABASE_URL). */
import { v7 } from 'uuid';
import { fold, type NewEntry } from '../../core/logbook';
import { greatestLimits } from '../../core/bench/make-safe';
import { appendEntries, board, entriesAfter, openJob, rebuildSummaries } from './jobs';
import { db } from '../database/connection';
import { ownDatabase } from '../database/__tests__/own-database';

ownDatabase();

const person = { id: v7(), name: 'Ines Tarrow', role: 'technician' as const };

const opening = (jobId: string): Extract<NewEntry, { kind: 'job.opened' }> => ({
  v: 1,
  id: v7(),
  jobId,
  at: new Date().toISOString(),
  kind: 'job.opened',
  payload: {
    assetId: v7(),
    site: 'Pellow Quay',
    machine: 'Slipway winch',
    complaint: 'dead',
    stoppedAt: null,
    downtimeAllowed_min: null,
    peopleInDanger: 'no',
    loadSuspended: 'no',
    bypass: 'no',
  },
});
const note = (jobId: string, text: string): NewEntry => ({
  v: 1,
  id: v7(),
  jobId,
  at: new Date().toISOString(),
  kind: 'note.added',
  payload: { stage: 'take', text, photos: [] },
});

beforeAll(async () => {
  await db().models.Person.create({ ...person, active: true });
});

const sql = (text: string) => db().sequelize.query(text);

describe('keeping entries', () => {
  it('numbers them per job, without gaps, also when they come at once', async () => {
    const jobId = v7();
    await openJob(opening(jobId), person);
    await Promise.all(
      Array.from({ length: 12 }, (_, i) => appendEntries(jobId, [note(jobId, `n${i}`)], person)),
    );
    const all = await entriesAfter(jobId, 0);
    expect(all?.map((e) => e.seq)).toEqual(Array.from({ length: 13 }, (_, i) => i + 1));
    expect(await entriesAfter(jobId, 11)).toHaveLength(2);
  });

  it('takes the same entry twice as once, and refuses another under its id', async () => {
    const jobId = v7();
    await openJob(opening(jobId), person);
    const entry = note(jobId, 'once');
    const first = await appendEntries(jobId, [entry], person);
    expect(await appendEntries(jobId, [entry, entry], person)).toEqual(first);
    const other = { ...entry, payload: { stage: 'take', text: 'other', photos: [] } } as NewEntry;
    expect(await appendEntries(jobId, [note(jobId, 'with it'), other], person)).toEqual({
      refused: 'other-payload',
      id: entry.id,
    });
    expect(await entriesAfter(jobId, 0)).toHaveLength(2);
  });

  it('knows no job that was never opened', async () => {
    expect(await appendEntries(v7(), [], person)).toEqual({ refused: 'no-such-job' });
    expect(await entriesAfter(v7(), 0)).toBeNull();
  });

  it('lets nobody edit or remove what was entered', async () => {
    const jobId = v7();
    await openJob(opening(jobId), person);
    await expect(sql(`update entries set kind = 'x' where job_id = '${jobId}'`)).rejects.toThrow(
      /append-only/,
    );
    await expect(sql(`delete from entries where job_id = '${jobId}'`)).rejects.toThrow(/append-only/);
  });

  it('keeps a summary that can be written anew from the entries', async () => {
    const jobId = v7();
    await openJob(opening(jobId), person);
    await appendEntries(
      jobId,
      [{ ...note(jobId, ''), kind: 'question.opened', payload: { text: 'whose?' } }],
      person,
    );
    const before = (await board()).find((l) => l.jobId === jobId);
    expect(before).toMatchObject({ machine: 'Slipway winch', stage: 'take', openQuestions: 1 });
    await sql(`update job_summaries set summary = '{}' where job_id = '${jobId}'`);
    await rebuildSummaries();
    expect((await board()).find((l) => l.jobId === jobId)).toEqual(before);
  });

  it('gives back what folds to the state that was kept', async () => {
    const jobId = v7();
    const opened = opening(jobId);
    await openJob(opened, person);
    await openJob(opened, person);
    const state = fold((await entriesAfter(jobId, 0)) ?? [], { limits: greatestLimits });
    expect(state.opened?.payload).toEqual(opened.payload);
    expect(state.log).toHaveLength(1);
  });
});
