/** The chain against outside references: SHA-256 of Node, canonical JSON by the examples of RFC 8785. */
import { createHash } from 'node:crypto';
import canonicalize from 'canonicalize';
import fc from 'fast-check';
import { greatestLimits } from '../../bench/make-safe';
import type { Entry } from '../../logbook';
import { proven } from '../../logbook/__tests__/job';
import { chainHash, chainStart, chainText, startHash, walkChain } from '.';

const digest = (text: string) => createHash('sha256').update(text, 'utf8').digest('hex');

function chained(): Entry[] {
  let previous = startHash;
  return proven().entries.map((bare) => {
    const entry = { ...bare, limits: greatestLimits };
    previous = chainHash(previous, entry, digest);
    return { ...entry, hash: previous };
  });
}

it('is canonical as RFC 8785 shows it: keys by UTF-16, numbers as ECMAScript prints them', () => {
  // Section 3.2.2 and 3.2.3 of the RFC.
  const sample = {
    numbers: [333333333.33333329, 1e30, 4.5, 2e-3, 0.000000000000000000000000001],
    string: '\u20ac$\u000F\u000aA\'\u0042\u0022\u005c\\\"\/',
    literals: [null, true, false],
  };
  expect(canonicalize(sample)).toBe(
    '{"literals":[null,true,false],"numbers":[333333333.3333333,1e+30,4.5,0.002,1e-27],"string":"€$\\u000f\\nA\'B\\"\\\\\\\\\\"/"}',
  );
  expect(
    canonicalize({ '\u20ac': 1, '\r': 2, '\ufb33': 3, '1': 4, '\ud83d\ude00': 5, '\u0080': 6, '\u00f6': 7 }),
  ).toBe('{"\\r":2,"1":4,"\u0080":6,"ö":7,"€":1,"😀":5,"\ufb33":3}');
});

it('hashes what the log shows, and nothing else', () => {
  const [entry] = chained();
  const text = chainText(entry!);
  expect(Object.keys(JSON.parse(text) as object)).toEqual([
    'at',
    'by',
    'id',
    'jobId',
    'kind',
    'limits',
    'payload',
    'receivedAt',
    'seq',
    'v',
  ]);
  expect(entry!.hash).toBe(digest('0'.repeat(64) + text));
});

it('is whole when nothing was touched, also when it is walked in parts', () => {
  const entries = chained();
  const whole = walkChain(entries, digest);
  expect(whole).toEqual({ end: { seq: entries.length, hash: entries.at(-1)?.hash } });
  const half = walkChain(entries.slice(0, 9), digest);
  expect('end' in half && walkChain(entries.slice(9), digest, half.end)).toEqual(whole);
  expect(walkChain([], digest)).toEqual({ end: chainStart });
});

type Tamper = [
  name: string,
  change: (entries: Entry[], at: number) => Entry[],
  broken: (at: number) => number,
];
const changed = (entries: Entry[], at: number, change: Partial<Entry>) =>
  entries.map((e, i) => (i === at ? ({ ...e, ...change } as Entry) : e));
const tampering: Tamper[] = [
  [
    'flipped',
    (es, at) => changed(es, at, { payload: { ...es[at]!.payload, x: 1 } } as never),
    (at) => at + 1,
  ],
  ['dropped', (es, at) => es.filter((_, i) => i !== at), (at) => at + 1],
  [
    'swapped with the next',
    (es, at) => es.map((e, i) => (i === at ? es[at + 1]! : i === at + 1 ? es[at]! : e)),
    (at) => at + 1,
  ],
  ['inserted twice', (es, at) => [...es.slice(0, at + 1), es[at]!, ...es.slice(at + 1)], (at) => at + 2],
  ['dated anew', (es, at) => changed(es, at, { receivedAt: '2026-11-20T12:00:00.000Z' }), (at) => at + 1],
  ['said of another', (es, at) => changed(es, at, { by: { ...es[at]!.by, name: 'Nobody' } }), (at) => at + 1],
  [
    'judged by other limits',
    (es, at) => changed(es, at, { limits: { hands_V: 49, test_V: 5 } }),
    (at) => at + 1,
  ],
];

it.each(tampering)('names the first entry where one was %s', (_, change, broken) => {
  const entries = chained();
  fc.assert(
    fc.property(fc.nat({ max: entries.length - 2 }), (at) => {
      const walked = walkChain(change(entries, at), digest);
      expect('fault' in walked ? walked.fault.seq : null).toBe(broken(at));
    }),
  );
});

it('one that computes its own hash anew is found by the next', () => {
  const entries = chained();
  const other = { ...entries[4]!, at: '2026-11-20T12:00:00.000Z' };
  const forged = { ...other, hash: chainHash(entries[3]!.hash!, other, digest) };
  const walked = walkChain(changed(entries, 4, forged), digest);
  expect(walked).toMatchObject({ fault: { seq: 6 } });
});
