/** @jest-environment jsdom */
import type { Entry } from '@/core/logbook';
import { putInOutbox, readOutbox, takeFromOutbox } from './outbox';

const entry = (id: string): Entry =>
  ({ id, jobId: 'job', kind: 'note.added', at: '2026-11-20T13:00:00Z' }) as unknown as Entry;

beforeEach(() => window.localStorage.clear());

it('keeps what two tabs put in, once each, in the order it was made', () => {
  putInOutbox('job', entry('b'));
  putInOutbox('job', entry('a'));
  putInOutbox('job', entry('b'));
  expect(readOutbox('job').map((e) => e.id)).toEqual(['a', 'b']);
  takeFromOutbox('job', new Set(['a']));
  expect(readOutbox('job').map((e) => e.id)).toEqual(['b']);
  expect(readOutbox('other')).toEqual([]);
});

it('is not thrown by remains it cannot read', () => {
  window.localStorage.setItem('grim.outbox.job', '{broken');
  expect(readOutbox('job')).toEqual([]);
  window.localStorage.setItem('grim.outbox.job', '"text"');
  expect(readOutbox('job')).toEqual([]);
});
