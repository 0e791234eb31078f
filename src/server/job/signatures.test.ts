/** Signatures against the log: what the server computes itself, and what becomes of a page that says otherwise. */
import { jest } from '@jest/globals';
import { v7 } from 'uuid';
import {
  extend,
  emptyJob,
  fold,
  isSignature,
  withoutServerParts,
  type EntryKind,
  type Person,
} from '../../core/logbook';
import { greatestLimits } from '../../core/bench/make-safe';
import { powerLock } from '../../core/logbook';
import { ownDatabase } from '../database/__tests__/own-database';
import { loadDemo } from '../database/maintenance';
import { board } from '../logbook/board';
import { boardQuerySchema } from '../../api/board';
import { jobOrRefusal } from '../logbook/folded';
import { openJob } from '../logbook/append';
import { postEntries } from '../logbook/post-entries';
import { personById } from '../people/people';
import { verifySignature } from './signatures';

ownDatabase();
jest.setTimeout(60_000);

let ines: Person;
beforeAll(async () => {
  await loadDemo();
  const found = await personById('0190a000-0000-7000-8000-000000000001');
  if (found === null) throw new Error('nobody there');
  ines = found;
});

const entry = <P>(jobId: string, kind: EntryKind, payload: P) => ({
  ...{ v: 1, id: v7(), jobId, at: new Date().toISOString() },
  kind,
  payload,
});

async function opened(): Promise<string> {
  const jobId = v7();
  const opening = {
    ...{ assetId: v7(), site: 'Pellow Quay', machine: 'Test bench', complaint: 'dead', stoppedAt: null },
    ...{ downtimeAllowed_min: null, peopleInDanger: 'no', loadSuspended: 'no', bypass: 'no' },
  };
  await openJob(entry(jobId, 'job.opened', opening) as never, ines);
  return jobId;
}

it('a signed “not shorted” without a drive or a reading opens nothing', async () => {
  const jobId = await opened();
  const claim = { verdict: 'not-shorted', headline: 'Not shorted.', detail: '', seq: 1 };
  await postEntries(
    jobId,
    [
      entry(jobId, 'sheet.signed', claim),
      entry(jobId, 'power.planned', {
        ...{ way: { by: 'lamps', watts: 100 }, expected_V: 540, stopBelow_V: 400, stopAfter_s: 4 },
      }),
      entry(jobId, 'power.on', { through: 'supply' }),
    ],
    ines,
  );
  const { state } = await jobOrRefusal(jobId);
  expect(state.signed).toBeNull();
  expect(state.power.onAt).toBeNull();
  expect(powerLock(state)).toMatch(/static test must be signed as not shorted first/);
  expect(state.log[1]?.void).toMatch(/lead to “no conclusion”/);
});

it('a start-up and a hand-over signed past the page answer for all that is open', async () => {
  const jobId = await opened();
  await postEntries(
    jobId,
    [
      entry(jobId, 'startup.signed', { seq: 1, entries: 3, against: [] }),
      entry(jobId, 'job.signed-off', { second: 'Odo Wrack', secondIs: 'lead', open: [], seq: 1 }),
    ],
    ines,
  );
  const { state } = await jobOrRefusal(jobId);
  expect(state.startUp.signed).toBeNull();
  expect(state.swap.signedOff).toBeNull();
});

it('a start-up that was begun is not handed over past the page, whatever is named and taken on', async () => {
  const jobId = await opened();
  const { entries } = await jobOrRefusal('0190a200-0000-7000-8000-000000000009').then(({ state }) => ({
    entries: state.log.map(({ entry: kept }) => kept),
  }));
  const copied = (kind: EntryKind) => entries.find((e) => e.kind === kind)?.payload;
  const begun = (['identify.drive', 'identify.motor', 'startup.choices'] as const).map((kind) =>
    entry(jobId, kind, copied(kind)),
  );
  await postEntries(jobId, begun, ines);
  const before = (await jobOrRefusal(jobId)).state;
  const signed = entry(jobId, 'job.signed-off', { second: 'Jory Pell', secondIs: '', open: [], seq: 4 });
  const against = (await verifySignature(signed as never, before)).openIssues ?? [];
  const never = against.filter((m) => !m.mayWait).map((m) => m.id);
  expect(never).toEqual(expect.arrayContaining(['told', 'step:direction', 'step:safety-emergency stop']));
  const open = against.map(({ id, text }) => ({ id, text, reason: 'agreed' }));
  await postEntries(jobId, [{ ...signed, payload: { ...signed.payload, open } }], ines);
  const { state } = await jobOrRefusal(jobId);
  expect(state.swap.signedOff).toBeNull();
  expect(state.log.at(-1)?.entry.kind).toBe('job.signed-off');
});

it('what the demo has signed is what its readings lead to', async () => {
  const { jobs } = await board(boardQuerySchema.parse({}));
  let checked = 0;
  for (const { jobId } of jobs.filter((job) => job.jobId.startsWith('0190a200-'))) {
    const { state } = await jobOrRefusal(jobId);
    const entries = state.log.map((line) => line.entry);
    for (const [i, signed] of entries.entries()) {
      if (!isSignature(signed)) continue;
      const before = i === 0 ? emptyJob : fold(entries.slice(0, i), { limits: greatestLimits });
      const verified = await verifySignature(withoutServerParts(signed), before);
      const after = extend(before, [{ ...signed, verified }], { limits: greatestLimits });
      expect([jobId, signed.kind, after.log.at(-1)?.void]).toEqual([jobId, signed.kind, null]);
      checked += 1;
    }
  }
  expect(checked).toBe(3);
});
