import { currentPlausible, directionCure, runState, sequence, stepsOf, type RunOf, type StepResult } from '.';

const run: RunOf = {
  inputs: [
    { id: 'DI1', mark: 'X1', does: 'run forward' },
    { id: 'DI2', mark: 'X2', does: 'none' },
  ],
  analogs: [{ id: 'AI1', mark: 'A1' }],
  relays: [],
  channels: ['safe stop', 'emergency stop'],
  lifting: false,
  serial: false,
};
const ok = (step: string): StepResult => ({ step, outcome: 'ok', seen: [] });
const wholeSequence = (step: string): StepResult => ({
  ...ok(step),
  seen: [...sequence],
  qualified: 'A. Fenn',
});
const all = stepsOf(run).map((s) => (s.qualified === true ? wholeSequence(s.id) : ok(s.id)));

it('goes from before power to the station, one step for each input that does something', () => {
  const ids = stepsOf(run).map((s) => s.id);
  expect(ids[0]).toBe('wires');
  expect(ids.at(-1)).toBe('partners');
  expect(ids).toContain('input-DI1');
  expect(ids).not.toContain('input-DI2');
  expect(ids.indexOf('direction')).toBeGreaterThan(ids.indexOf('supply'));
  expect(stepsOf({ ...run, lifting: true }).map((s) => s.id)).toContain('brake');
});

it('is finished when every step is settled', () => {
  expect(runState(stepsOf(run), all)).toEqual({ next: null, open: [], failed: [] });
  expect(runState(stepsOf(run), []).next?.id).toBe('wires');
});

it.each([
  ['a part that nobody saw', { seen: sequence.slice(0, 3) }],
  ['nobody named', { qualified: undefined }],
  ['the start was not refused', { outcome: 'not-ok' as const }],
])('the safety sequence stays open with %s', (_, differs) => {
  const results = all.map((r) => (r.step === 'safety-safe stop' ? { ...r, ...differs } : r));
  expect(runState(stepsOf(run), results).open.map((s) => s.id)).toEqual(['safety-safe stop']);
});

it('the newest result of a step counts', () => {
  const failed = [...all, { ...ok('direction'), outcome: 'not-ok' as const }];
  expect(runState(stepsOf(run), failed).failed.map((s) => s.id)).toEqual(['direction']);
  expect(runState(stepsOf(run), [...failed, ok('direction')]).open).toEqual([]);
});

describe('a wrong direction', () => {
  it.each([
    [{ drive: true, bypass: null }, /output of the drive/],
    [{ drive: true, bypass: false }, /between drive and tee/],
    [{ drive: true, bypass: true }, /motor’s box/],
    [{ drive: false, bypass: true }, /feed of the bypass/],
  ])('%o is put right at the right pair, never at the input', (wrong, where) => {
    const cure = directionCure(wrong);
    expect(cure?.steps.join(' ')).toMatch(where);
    expect(cure?.steps[0]).toContain('prove dead');
    expect(cure?.never).toContain('rectifier');
  });
  it('needs nothing where both are right', () => {
    expect(directionCure({ drive: false, bypass: false })).toBeNull();
    expect(directionCure({ drive: false, bypass: null })).toBeNull();
  });
});

it('a current above the plate is wrong, and one below a motor’s own is doubtful', () => {
  expect(currentPlausible(16, 14.8).verdict).toBe('wrong');
  expect(currentPlausible(9, 14.8).verdict).toBe('ok');
  expect(currentPlausible(1, 14.8).verdict).toBe('doubt');
});
