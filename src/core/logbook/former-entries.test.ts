// What only earlier versions made is read, and never added: each of these would get round a rule of now.
import { isFormerEntry } from '.';
import type { NewEntry } from './entry';

const former = (kind: string, payload: object, v = 2): boolean =>
  isFormerEntry({ v, kind, payload } as unknown as NewEntry);

it.each([
  ['safety.meter', {}, {}],
  ['power.planned', { stopBelow_V: 426 }, { stopBelow_V: 426, stopAbove_V: 530 }],
  ['power.probes', { ratedVolts: 300 }, { ratedVolts: 1000, category: 'III' }],
  ['power.gates', { ohms: [] }, { ohms: [], minus: null }],
  ['trace.answered', { check: 'unloaded' }, { check: 'unloaded', hazard: 'live' }],
  ['job.signed-off', { open: [{ id: 'locks' }] }, { open: [{ id: 'locks', reason: 'code is lost' }] }],
])('%s', (kind, before, now) => {
  expect(former(kind, before)).toBe(true);
  if (kind !== 'safety.meter') expect(former(kind, now)).toBe(false);
});

it.each(['stop.task', 'wire.ticked', 'swap.unit-out'])('%s of the version before its rule', (kind) => {
  expect(former(kind, {}, 1)).toBe(true);
  expect(former(kind, {})).toBe(false);
});

it('other entries are of every version', () => {
  expect(former('note.added', { text: 'x' }, 1)).toBe(false);
  expect(former('job.signed-off', { open: [] })).toBe(false);
});
