/** @jest-environment jsdom */
/** The storage of the device against an independent IndexedDB. */
import 'fake-indexeddb/auto';
import type { Entry } from '@/core/logbook';
import { browserDevice, draftStore, nextId } from './browser-ports';

const entry = (id: string, jobId = 'job'): Entry =>
  ({ id, jobId, kind: 'note.added', at: '2026-11-20T13:00:00Z' }) as unknown as Entry;
const record = (id: string, jobId?: string) => ({ entry: entry(id, jobId), refused: null });
const idsOf = async (jobId = 'job') => (await browserDevice().ofJob(jobId)).map((r) => r.entry.id);

beforeAll(() => {
  // The browser's own; jsdom lacks it.
  globalThis.structuredClone ??= (value: unknown) => JSON.parse(JSON.stringify(value)) as never;
  window.localStorage.setItem('grim.outbox.old', JSON.stringify([entry('x', 'old'), entry('y', 'old')]));
  window.localStorage.setItem('grim.outbox.broken', '{');
});

it('has what was put, in the order it was put first, job by job, for every tab', async () => {
  const [one, two] = [browserDevice(), browserDevice()];
  await one.put([record('b')]);
  await two.put([record('a'), record('c', 'other')]);
  await one.put([{ entry: entry('b'), refused: { why: 'no', problems: [] } }]);
  expect(await idsOf()).toEqual(['b', 'a']);
  expect((await two.ofJob('job'))[0]?.refused?.why).toBe('no');
  await two.remove(['b', 'never there']);
  expect(await idsOf()).toEqual(['a']);
  await one.put([record('d')], ['a']);
  expect(await idsOf()).toEqual(['d']);
  expect(await idsOf('other')).toEqual(['c']);
});

it('takes over what an earlier version left waiting, once', async () => {
  expect(await idsOf('old')).toEqual(['x', 'y']);
  expect(window.localStorage.getItem('grim.outbox.old')).toBeNull();
  expect(window.localStorage.getItem('grim.outbox.broken')).toBe('{');
  expect(await idsOf('old')).toEqual(['x', 'y']);
});

it('ids go on after the last, also when the clock was put back', () => {
  const first = nextId(null);
  expect(nextId(first) > first).toBe(true);
});

it('drafts come back, until they are saved or two months old', async () => {
  const drafts = draftStore();
  const draft = { typed: { a: 'x' }, basis: { a: '' }, at: Date.now() };
  await drafts.save('job person form', draft);
  expect(await drafts.load('job person form')).toEqual(draft);
  expect(await drafts.load('job other form')).toBeNull();
  await drafts.save('job person old', { ...draft, at: Date.now() - 61 * 86_400_000 });
  expect(await drafts.load('job person old')).toBeNull();
  await drafts.clear('job person form');
  expect(await drafts.load('job person form')).toBeNull();
});
