/** Archives that earlier versions gave out are taken in, and fold to what they folded to then. */
import { readFileSync } from 'node:fs';
import { strFromU8, unzipSync } from 'fflate';
import { greatestLimits } from '../../../core/bench/make-safe';
import { fold } from '../../../core/logbook';
import { payloads } from '../../../core/logbook/schema';
import { entriesAfter, foreignId } from '../../logbook/entries';
import { takeIn } from '.';
import { ownDatabase } from '../../database/__tests__/own-database';

ownDatabase();

const home = 'checks/reference/archives';
const bytes = new Uint8Array(readFileSync(`${home}/2026-11-29-every-kind.zip`));
const then = JSON.parse(readFileSync(`${home}/2026-11-29-every-kind.state.json`, 'utf8')) as {
  voids: (string | null)[];
  state: Record<string, unknown>;
};

/** Without what is not there, which JSON leaves out, and without what the server adds since. */
const plain = (value: unknown): unknown =>
  JSON.parse(
    JSON.stringify(value, (key, inner: unknown) => (['hash', 'limits'].includes(key) ? undefined : inner)),
  );

const plainly = (text: string): object => JSON.parse(text) as object;

it('an archive of 2026-11-29 with nearly every kind of entry is the same job today', async () => {
  const { jobId } = await takeIn(bytes, '');
  const entries = (await entriesAfter(jobId, 0)) ?? [];
  const kinds = new Set(entries.map((e) => e.kind));
  expect(Object.keys(payloads).filter((kind) => !kinds.has(kind as never))).toEqual([
    // Since then:
    'loose.moved',
    'loose.attached',
    'safety.meter-proof',
    'safety.figures',
    'safety.bridge',
    'trace.withdrawn',
    'startup.potentiometer',
    // Not in it:
    'decide.figures',
    'swap.asked',
  ]);
  const { log, ...state } = fold(entries, { limits: greatestLimits });
  // As found is frozen since then: only its first capture counts.
  const isFound = (i: number) => log[i]?.entry.kind.startsWith('as-found.') === true;
  expect(log.map((line) => line.void).filter((_, i) => !isFound(i))).toEqual(
    then.voids.filter((_, i) => !isFound(i)),
  );
  const found = log.filter((_, i) => isFound(i)).map((line) => line.void === null);
  expect(found).toEqual(found.map((_, i) => i === 0));
  // People of another installation are strangers here: their ids, and nothing else, are others.
  const here = JSON.stringify(then.state).replace(
    /"by":\{"id":"([0-9a-f-]{36})"/g,
    (_, id: string) => `"by":{"id":"${foreignId(id, jobId)}"`,
  );
  const first = log.find((_, i) => isFound(i))?.entry.payload;
  const known = plainly(here) as { safety: object; power: object; startUp: object };
  expect(plain(state)).toEqual({
    ...known,
    asFound: { captured: plain(first) },
    moved: null,
    // What the dead proof and first power also know since then.
    safety: { ...known.safety, alive: null, bridgedAt: null, former: false, place: 'installed' },
    startUp: { ...known.startUp, potentiometer_ohm: null },
    power: { ...known.power, through: state.power.through, cameUp: state.power.cameUp },
  });
});

it('it is as it was given out: what is compared above is not made by this version', () => {
  const job = JSON.parse(strFromU8(unzipSync(bytes)['job.json'] ?? new Uint8Array())) as {
    entries: unknown[];
  };
  expect(job.entries).toHaveLength(then.voids.length);
});
