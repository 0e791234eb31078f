/** Against the test cluster that `./grim test` starts (DATABASE_URL). */
import { v7 } from 'uuid';
import { fold, type NewEntry } from '../../core/logbook';
import { greatestLimits } from '../../core/bench/make-safe';
import { boardQuerySchema } from '../../api/board';
import { appendEntries, openJob } from './append';
import { board } from './board';
import { checkChains } from './chain-check';
import { dailyHeads, makeDailyHead } from './daily-heads';
import { entriesAfter } from './entries';
import { loadJob } from './folded';
import { hearNews, stopHearing } from './news';
import { postEntries } from './post-entries';
import { rebuildSummaries } from './summaries';
import { db } from '../database/connection';
import { migrator } from '../database/migrations';
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

const all = boardQuerySchema.parse({});
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
    expect(await appendEntries(jobId, [entry, entry], person)).toMatchObject({
      kept: first?.kept,
      refused: [],
    });
    const other = { ...entry, payload: { stage: 'take', text: 'other', photos: [] } } as NewEntry;
    const mixed = await appendEntries(jobId, [note(jobId, 'with it'), other], person);
    expect(mixed?.refused.map((r) => r.id)).toEqual([entry.id]);
    expect(mixed?.refused[0]?.why).toMatch(/id was used before/);
    // The other one is kept all the same.
    expect(mixed?.kept.map((e) => e.seq)).toEqual([3]);
    expect(await entriesAfter(jobId, 0)).toHaveLength(3);
  });

  it('knows no job that was never opened', async () => {
    expect(await appendEntries(v7(), [], person)).toBeNull();
    expect(await entriesAfter(v7(), 0)).toBeNull();
  });

  it('lets nobody edit or remove what was entered', async () => {
    const jobId = v7();
    await openJob(opening(jobId), person);
    await expect(sql(`update entries set kind = 'x' where job_id = '${jobId}'`)).rejects.toThrow(
      /append-only/,
    );
    await expect(sql(`delete from entries where job_id = '${jobId}'`)).rejects.toThrow(/append-only/);
    await expect(sql('truncate entries cascade')).rejects.toThrow(/append-only/);
  });

  it('keeps a summary that can be written anew from the entries', async () => {
    const jobId = v7();
    await openJob(opening(jobId), person);
    await appendEntries(
      jobId,
      [{ ...note(jobId, ''), kind: 'question.opened', payload: { text: 'whose?' } }],
      person,
    );
    const before = (await board(all)).jobs.find((l) => l.jobId === jobId);
    expect(before).toMatchObject({ machine: 'Slipway winch', stage: 'take', openQuestions: 1 });
    await sql(`update job_summaries set summary = '{}' where job_id = '${jobId}'`);
    await rebuildSummaries();
    expect((await board(all)).jobs.find((l) => l.jobId === jobId)).toEqual(before);
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

const verdicts = async (jobId: string, sent: readonly unknown[]) =>
  ((await postEntries(jobId, sent, person))?.verdicts ?? []).map((v) =>
    'kept' in v ? v.kept.seq : v.refused,
  );

describe('what a client sends', () => {
  it('is judged entry by entry: a bad one among good ones costs only itself', async () => {
    const jobId = v7();
    await openJob(opening(jobId), person);
    const used = note(jobId, 'used');
    await appendEntries(jobId, [used], person);
    const text = (value: string) => ({
      ...note(jobId, ''),
      payload: { stage: 'take', text: value, photos: [] },
    });
    const said = await verdicts(jobId, [
      note(jobId, 'good'),
      text('a\u0000b'),
      text('\ud800'),
      { ...note(jobId, 'x'), at: '0000-01-01T00:00:00Z' },
      { ...note(jobId, 'x'), kind: 'no.such' },
      { ...note(jobId, 'x'), kind: 'constructor' },
      { ...note(jobId, 'x'), jobId: v7() },
      { ...used, payload: { stage: 'take', text: 'other', photos: [] } },
      { ...opening(jobId), payload: { ...opening(jobId).payload, complaint: 'x'.repeat(300) } },
      text('x'.repeat(70_000)),
      'no entry at all',
      null,
      note(jobId, 'good, too'),
    ]);
    expect(said.filter((v) => typeof v === 'number')).toEqual([3, 4]);
    expect(said[7]).toMatch(/id was used before/);
    expect(said[6]).toMatch(/another job/);
    expect(await entriesAfter(jobId, 0)).toHaveLength(4);
    expect((await checkChains()).broken).toEqual([]);
  });

  it('one id in two jobs is one entry', async () => {
    const [one, two] = [v7(), v7()];
    await openJob(opening(one), person);
    await openJob(opening(two), person);
    const first = note(one, 'x');
    await appendEntries(one, [first], person);
    expect(await verdicts(two, [{ ...first, jobId: two }])).toEqual([expect.stringMatching(/id was used/)]);
  });

  it('of 1,000 pasted readings each is kept, in ten posts', async () => {
    const jobId = v7();
    await openJob(opening(jobId), person);
    for (let post = 0; post < 10; post += 1) {
      const hundred = Array.from({ length: 100 }, (_, i) => note(jobId, `${post} ${i}`));
      expect(await verdicts(jobId, hundred)).toEqual(hundred.map((_, i) => 2 + 100 * post + i));
    }
  });
});

describe('time and history', () => {
  it('never goes back within a job, whatever the clock does', async () => {
    const jobId = v7();
    const early = new Date('2026-01-01T00:00:00Z');
    const late = new Date('2026-06-01T00:00:00Z');
    await openJob(opening(jobId), person, () => late);
    await appendEntries(jobId, [note(jobId, 'x')], person, { clock: () => early });
    const times = ((await entriesAfter(jobId, 0)) ?? []).map((e) => e.receivedAt);
    expect(times).toEqual([late.toISOString(), late.toISOString()]);
  });

  it('stays with the name of its day when a person is renamed', async () => {
    const jobId = v7();
    await openJob(opening(jobId), person);
    await sql(`update people set name = 'Ines Rowan' where id = '${person.id}'`);
    expect((await entriesAfter(jobId, 0))?.[0]?.by.name).toBe('Ines Tarrow');
    await sql(`update people set name = 'Ines Tarrow' where id = '${person.id}'`);
  });
});

it('forty jobs at once do not wait for each other’s connections', async () => {
  const ids = Array.from({ length: 40 }, () => v7());
  await Promise.all(ids.map((id) => openJob(opening(id), person)));
  const all = await Promise.all(ids.map((id) => appendEntries(id, [note(id, 'x')], person)));
  expect(all.map((a) => a?.kept[0]?.seq)).toEqual(ids.map(() => 2));
});

/** Whatever the owner of the database may do to a row. */
const tampering: [string, (jobId: string) => string, number][] = [
  [
    'flipped',
    (j) => `update entries set payload = payload || '{"text":"no"}' where job_id = '${j}' and seq = 4`,
    4,
  ],
  ['dropped', (j) => `delete from entries where job_id = '${j}' and seq = 4`, 4],
  ['dropped at the end', (j) => `delete from entries where job_id = '${j}' and seq = 8`, 8],
  [
    'swapped',
    (j) =>
      `update entries set seq = case seq when 4 then -5 else -4 end where job_id = '${j}' and seq in (4, 5);
       update entries set seq = -seq where job_id = '${j}' and seq < 0`,
    4,
  ],
  [
    'inserted',
    (j) =>
      `update entries set seq = -seq - 1 where job_id = '${j}' and seq > 4;
       update entries set seq = -seq where job_id = '${j}' and seq < 0;
       insert into entries (job_id, seq, id, v, kind, at, by_id, by_role, received_at, payload, corrects, by_name, limits, hash)
       select job_id, 5, gen_random_uuid(), v, kind, at, by_id, by_role, received_at, payload,
         corrects, by_name, limits, hash from entries where job_id = '${j}' and seq = 4`,
    5,
  ],
  ['dated anew', (j) => `update entries set received_at = now() where job_id = '${j}' and seq = 4`, 4],
  ['given to another', (j) => `update entries set by_name = 'Nobody' where job_id = '${j}' and seq = 4`, 4],
  [
    'judged by other limits',
    (j) => `update entries set limits = '{"hands_V":1,"test_V":1}' where job_id = '${j}' and seq = 4`,
    4,
  ],
];

it.each(tampering)('an entry that was %s by the owner of the database is named', async (_, tamper, seq) => {
  const jobId = v7();
  await openJob(opening(jobId), person);
  await appendEntries(
    jobId,
    Array.from({ length: 7 }, (__, i) => note(jobId, `n${i}`)),
    person,
  );
  expect((await checkChains()).broken).toEqual([]);
  await sql(`alter table entries disable trigger entries_append_only`);
  await sql(tamper(jobId));
  expect((await checkChains()).broken).toMatchObject([{ jobId, seq }]);
  await sql(
    `delete from job_summaries where job_id = '${jobId}'; delete from entries where job_id = '${jobId}'`,
  );
  await sql(`delete from jobs where id = '${jobId}'`);
  await sql(`alter table entries enable trigger entries_append_only`);
});

it('the head of the day speaks for the heads of all jobs, after the one before it', async () => {
  await makeDailyHead(new Date('2030-01-01T12:00:00Z'));
  const jobId = v7();
  await openJob(opening(jobId), person);
  await makeDailyHead(new Date('2030-01-01T13:00:00Z'));
  await makeDailyHead(new Date('2030-01-02T12:00:00Z'));
  const [second, first] = await dailyHeads(2);
  expect([first?.day, second?.day]).toEqual(['2030-01-01', '2030-01-02']);
  expect(second?.previousHash).toBe(first?.hash);
  expect(second?.jobs).toBe((first?.jobs ?? 0) + 1);
});

it('a listener hears of entries once they are kept, and of nothing that was rolled back', async () => {
  const heard: string[] = [];
  const jobId = v7();
  const end = await hearNews(
    (news) => heard.push(news),
    () => undefined,
  );
  try {
    await openJob(opening(jobId), person);
    const failing = { also: () => Promise.reject(new Error('no')) };
    await expect(appendEntries(jobId, [note(jobId, 'lost')], person, failing)).rejects.toThrow('no');
    await appendEntries(jobId, [note(jobId, 'kept')], person);
    while (heard.filter((news) => news.startsWith(jobId)).length < 2) await new Promise(setImmediate);
    expect(heard.filter((news) => news.startsWith(jobId))).toEqual([`${jobId} 1`, `${jobId} 2`]);
  } finally {
    end();
    await stopHearing();
  }
});

it('finds jobs by words anywhere, a page at a time, with nothing special in what is typed', async () => {
  const serials = await Promise.all(
    Array.from({ length: 30 }, async (_, i) => {
      const jobId = v7();
      const opened = opening(jobId);
      await openJob(
        { ...opened, payload: { ...opened.payload, machine: `Hoist ${i}`, complaint: '100 % dead_' } },
        person,
      );
      return jobId;
    }),
  );
  const find = (query: object) => board(boardQuerySchema.parse(query));
  const first = await find({ search: 'HOIST pellow' });
  expect([first.total, first.pages, first.jobs.length]).toEqual([30, 2, 25]);
  const second = await find({ search: 'hoist', page: '2' });
  expect(new Set([...first.jobs, ...second.jobs].map((l) => l.jobId))).toEqual(new Set(serials));
  expect((await find({ search: 'hoist', page: '99' })).page).toBe(2);
  expect((await find({ search: 'hoist 100 %' })).total).toBe(30);
  expect((await find({ search: 'h_ist' })).total).toBe(0);
  expect((await find({ search: 'hoist', state: 'closed' })).total).toBe(0);
  expect((await find({ search: 'hoist', stage: 'take', sort: 'machine' })).total).toBe(30);
  expect((await find({ stage: 'no such stage', sort: 'x', page: '-1' })).page).toBe(1);
});

it('a database of before names, hashes and board columns comes to have them, and the board shows the same', async () => {
  const jobId = v7();
  await openJob(opening(jobId), person);
  await appendEntries(jobId, [note(jobId, 'of before')], person);
  const shown = await board({ ...all, search: 'pellow slipway' });
  await migrator(db().sequelize).down({ to: '0005-log-integrity' });
  await migrator(db().sequelize).up();
  expect((await checkChains()).broken).toEqual([]);
  expect((await entriesAfter(jobId, 0))?.map((e) => e.by.name)).toEqual([person.name, person.name]);
  expect(await board({ ...all, search: 'pellow slipway' })).toEqual(shown);
  expect(shown.total).toBeGreaterThan(0);
  // It goes on from the new head.
  await appendEntries(jobId, [note(jobId, 'afterwards')], person);
  expect((await checkChains()).broken).toEqual([]);
});

it('what is in memory of a job is not believed against another history of the database', async () => {
  const jobId = v7();
  await openJob(opening(jobId), person);
  await appendEntries(jobId, [note(jobId, 'first life')], person);
  const other = v7();
  await openJob(opening(other), person);
  await appendEntries(other, [note(other, 'second life')], person);
  // As after a restore: the same job, as long as before, with another log.
  await sql('alter table entries disable trigger entries_append_only');
  await sql(`delete from entries where job_id = '${jobId}' and seq = 2`);
  await sql(`update entries set job_id = '${jobId}' where job_id = '${other}' and seq = 2`);
  await sql(
    `update jobs set head_hash = (select head_hash from jobs where id = '${other}') where id = '${jobId}'`,
  );
  await sql('alter table entries enable trigger entries_append_only');
  const notes = (await loadJob(jobId))?.state.notes.map((n) => n.payload.text);
  expect(notes).toEqual(['second life']);
});
