import { entryWords } from '.';
import { slices } from './job-state';
import { payloads } from './payloads';
import type { AnySlice } from './slice';

const all: readonly AnySlice[] = slices;
const kinds = Object.keys(payloads);

describe('the slices of a job', () => {
  it('own each kind of entry once, and follow kinds of others only', () => {
    const owned = all.flatMap((slice) => slice.kinds);
    expect([...owned].sort()).toEqual([...kinds].sort());
    for (const slice of all)
      for (const followed of slice.follows ?? []) expect(slice.kinds).not.toContain(followed);
  });

  it('have a key of their own', () => {
    expect(new Set(all.map((slice) => slice.key)).size).toBe(all.length);
  });

  it('have words for each of their kinds', () => {
    for (const slice of slices) expect(Object.keys(slice.words).sort()).toEqual([...slice.kinds].sort());
  });
});

it('an entry of a newer program keeps its kind as its words', () => {
  const stranger = { kind: 'of.the-future', payload: {} } as unknown as Parameters<typeof entryWords>[0];
  expect(entryWords(stranger)).toBe('of.the-future');
});
