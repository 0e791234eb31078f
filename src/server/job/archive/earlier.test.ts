/** Archives that earlier versions gave out are taken in, and fold to what they folded to then. */
import { readFileSync } from 'node:fs';
import { strFromU8, unzipSync } from 'fflate';
import { greatestLimits } from '../../../core/bench/make-safe';
import { fold } from '../../../core/logbook';
import { payloads } from '../../../core/logbook/schema';
import { entriesAfter } from '../../logbook/jobs';
import { takeIn } from '.';
import { ownDatabase } from '../../database/__tests__/own-database';

ownDatabase();

const home = 'checks/reference/archives';
const bytes = new Uint8Array(readFileSync(`${home}/2026-11-29-every-kind.zip`));
const then = JSON.parse(readFileSync(`${home}/2026-11-29-every-kind.state.json`, 'utf8')) as {
  voids: (string | null)[];
  state: Record<string, unknown>;
};

/** Without what is not there: JSON leaves it out. */
const plain = (value: unknown): unknown => JSON.parse(JSON.stringify(value));

it('an archive of 2026-11-29 with nearly every kind of entry is the same job today', async () => {
  const { jobId } = await takeIn(bytes);
  const entries = (await entriesAfter(jobId, 0)) ?? [];
  const kinds = new Set(entries.map((e) => e.kind));
  expect(Object.keys(payloads).filter((kind) => !kinds.has(kind as never))).toEqual([
    'decide.figures',
    'swap.asked',
  ]);
  const { log, ...state } = fold(entries, { limits: greatestLimits });
  expect(log.map((line) => line.void)).toEqual(then.voids);
  expect(plain(state)).toEqual(then.state);
});

it('it is as it was given out: what is compared above is not made by this version', () => {
  const job = JSON.parse(strFromU8(unzipSync(bytes)['job.json'] ?? new Uint8Array())) as {
    entries: unknown[];
  };
  expect(job.entries).toHaveLength(then.voids.length);
});
