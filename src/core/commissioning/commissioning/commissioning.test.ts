import {
  analogPoint,
  bitWatch,
  currentPlausible,
  cycleDifferences,
  directionCure,
  displayReady,
  noBits,
  runState,
  sequence,
  commissioningSteps,
  waitsFor,
  type RunOf,
  type StepResult,
} from '.';

const run: RunOf = {
  inputs: [
    { id: 'DI1', mark: 'X1', does: 'run forward' },
    { id: 'DI2', mark: 'X2', does: 'none' },
  ],
  analogs: [{ id: 'AI1', mark: 'A1' }],
  relays: [],
  channels: ['STO', 'emergency stop'],
  output: false,
  places: { local: 'keypad', remote: 'terminals' },
  identification: null,
  lifting: false,
  serial: false,
  supply: { volts: 400, phases: 3 },
  torque_Nm: 1.7,
  line: { signal: '4-20mA', atLow: 0, atHigh: 60 },
  unknownHistory: false,
  rpm: 1450,
  rpmPerHz: 1785 / 60,
};
/** Readings that pass. */
const passing = (id: string): { figures?: StepResult['figures'] } => {
  const figures = commissioningSteps(run).find((s) => s.id === id)?.figures;
  return figures === undefined
    ? {}
    : { figures: figures.map((f) => ({ id: f.id, value: (f.least + f.most) / 2 })) };
};
const ok = (step: string): StepResult => ({ step, outcome: 'ok', seen: [], ...passing(step) });
const all = commissioningSteps(run).map((s) => ({
  ...ok(s.id),
  seen: [...(s.parts ?? [])],
  ...(s.qualified === true ? { qualified: 'A. Fenn' } : {}),
}));

it('a unit whose past nobody knows is saved, reset and checked first, in that order', () => {
  const steps = commissioningSteps({ ...run, unknownHistory: true });
  const ids = steps.map((s) => s.id);
  expect(ids.indexOf('history-saved')).toBe(ids.indexOf('display') + 1);
  expect(ids.slice(ids.indexOf('history-saved')).slice(0, 4)).toEqual([
    ...['history-saved', 'history-reset', 'history-checked', 'saved'],
  ]);
  const step = (id: string) => steps.find((s) => s.id === id) ?? steps[0]!;
  const open = (id: string, results: StepResult[]) => waitsFor(step(id), steps, results).map((s) => s.id);
  expect(open('history-reset', [ok('run-off')])).toEqual(['history-saved']);
  expect(open('history-checked', [ok('history-saved')])).toEqual(['history-reset']);
  expect(commissioningSteps(run).some((s) => s.group === 'history')).toBe(false);
});

it('goes from before power to the station, one step for each input that does something', () => {
  const ids = commissioningSteps(run).map((s) => s.id);
  expect(ids[0]).toBe('wires');
  expect(ids.at(-1)).toBe('partners');
  expect(ids).toContain('input-DI1');
  expect(ids).not.toContain('input-DI2');
  expect(ids.indexOf('direction')).toBeGreaterThan(ids.indexOf('supply'));
  expect(commissioningSteps({ ...run, lifting: true }).map((s) => s.id)).toContain('brake');
});

it('is finished when every step is settled', () => {
  expect(runState(commissioningSteps(run), all)).toEqual({ next: null, open: [], failed: [] });
  expect(runState(commissioningSteps(run), []).next?.id).toBe('wires');
});

it.each([
  ['a part that nobody saw', { seen: sequence.slice(0, 3) }],
  ['nobody named', { qualified: undefined }],
  ['the start was not refused', { outcome: 'not-ok' as const }],
])('the safety sequence stays open with %s', (_, differs) => {
  const results = all.map((r) => (r.step === 'safety-STO' ? { ...r, ...differs } : r));
  expect(runState(commissioningSteps(run), results).open.map((s) => s.id)).toEqual(['safety-STO']);
});

describe('before power, and at the analog input, readings are demanded and judged', () => {
  const openWith = (id: string, values: Record<string, number>, differs: Partial<StepResult> = {}) => {
    const figures = Object.entries(values).map(([figure, value]) => ({ id: figure, value }));
    const results = all.map((r) => (r.step === id ? { ...r, figures, ...differs } : r));
    return runState(commissioningSteps(run), results).open.map((s) => s.id);
  };
  it.each([
    ['0.4 N·m where the table says 1.7', 'torque', { power: 0.4 }],
    ['no torque', 'torque', {}],
    ['an earth of 5,000 Ω', 'earth', { bond: 5000 }],
    ['231 V on a unit for 400 V', 'supply', { 'line-1': 231, 'line-2': 231, 'line-3': 231 }],
    ['one line missing', 'supply', { 'line-1': 400, 'line-2': 400 }],
    ['lines that are not alike', 'supply', { 'line-1': 400, 'line-2': 400, 'line-3': 370 }],
    [
      '780 rpm of 892.5 at half of the signal',
      'analog-AI1',
      { 'at-0': 0, 'at-25': 15, 'at-50': 26.2, 'at-100': 60 },
    ],
  ])('%s leaves the step open', (_, id, values) => {
    expect(openWith(id, values)).toEqual([id]);
  });
  it('what is within the bounds settles it', () => {
    expect(openWith('torque', { power: 1.6 })).toEqual([]);
    expect(openWith('earth', { bond: 0.08 })).toEqual([]);
    expect(openWith('supply', { 'line-1': 402, 'line-2': 398, 'line-3': 400 })).toEqual([]);
  });
  it('over the link its evidence stands for the readings of a line, never for those of a wrench', () => {
    expect(openWith('analog-AI1', {}, { seenBy: 'link' })).toEqual([]);
    expect(openWith('torque', {}, { seenBy: 'link' })).toEqual(['torque']);
  });
  it('none of it can be absent', () => {
    for (const id of ['torque', 'earth', 'supply', 'covers', 'direction'])
      expect(openWith(id, {}, { outcome: 'not-there' })).toContain(id);
  });
});

it('the newest result of a step counts', () => {
  const failed = [...all, { ...ok('direction'), outcome: 'not-ok' as const }];
  expect(runState(commissioningSteps(run), failed).failed.map((s) => s.id)).toEqual(['direction']);
  expect(runState(commissioningSteps(run), [...failed, ok('direction')]).open).toEqual([]);
});

describe('a wrong direction', () => {
  it.each([
    [{ drive: true, bypass: null }, /output of the drive/],
    [{ drive: true, bypass: false }, /between drive and junction/],
    [{ drive: true, bypass: true }, /motor terminal box/],
    [{ drive: false, bypass: true }, /bypass supply/],
  ])('%o is put right at the right pair, never at the input', (wrong, where) => {
    const cure = directionCure(wrong);
    expect(cure?.steps.join(' ')).toMatch(where);
    expect(cure?.steps[0]).toContain('prove dead');
    expect(cure?.never).toContain('Never swap at the drive input');
  });
  it('needs nothing where both are right', () => {
    expect(directionCure({ drive: false, bypass: false })).toBeNull();
    expect(directionCure({ drive: false, bypass: null })).toBeNull();
  });
});

it('a current above the nameplate is wrong, and one below a motor’s own is doubtful', () => {
  expect(currentPlausible(16, 14.8).verdict).toBe('wrong');
  expect(currentPlausible(9, 14.8).verdict).toBe('ok');
  expect(currentPlausible(1, 14.8).verdict).toBe('doubt');
});

it('the autotune and the analog output are steps where there is one', () => {
  const ids = commissioningSteps({ ...run, identification: 'standstill', output: true }).map((s) => s.id);
  expect(ids).toEqual(expect.arrayContaining(['identification', 'output']));
  expect(ids.indexOf('identification')).toBeGreaterThan(ids.indexOf('direction'));
});

it('covers go on after earth and torque were measured, and it turns after the covers', () => {
  const steps = commissioningSteps(run);
  const step = (id: string) => steps.find((s) => s.id === id) ?? steps[0]!;
  const open = (id: string, results: StepResult[]) => waitsFor(step(id), steps, results).map((s) => s.id);
  expect(open('covers', [ok('wires')])).toEqual(['torque', 'earth']);
  expect(open('covers', [ok('wires'), ok('torque'), ok('earth')])).toEqual([]);
  expect(open('direction', [ok('run-off')])).toEqual(['covers', 'reversal']);
});

it('local and remote are settled with every cell of their table', () => {
  const places = commissioningSteps(run).find((s) => s.id === 'places');
  expect(places?.parts).toHaveLength(7);
  const some = all.map((r) => (r.step === 'places' ? { ...r, seen: r.seen.slice(1) } : r));
  expect(runState(commissioningSteps(run), some).open.map((s) => s.id)).toEqual(['places']);
});

it('what guards people, turns or brakes never waits', () => {
  const waiting = commissioningSteps({ ...run, lifting: true })
    .filter((s) => s.mayWait)
    .map((s) => s.id);
  for (const id of ['covers', 'direction', 'speeds', 'brake', 'safety-STO', 'safety-emergency stop'])
    expect(waiting).not.toContain(id);
  expect(waiting).toContain('partners');
});

describe('what the link shows', () => {
  it('a bit that was seen both ways, and others that moved with it', () => {
    const once = bitWatch(noBits, { DI1: false, DI2: false }, 'DI1');
    expect(once).toMatchObject({ off: true, on: false, moved: [] });
    const both = bitWatch(once, { DI1: true, DI2: false }, 'DI1');
    expect(both).toMatchObject({ off: true, on: true, moved: [] });
    const wrong = bitWatch(both, { DI1: true, DI2: true }, 'DI1');
    // It stays told, also when the other one is back.
    expect(bitWatch(wrong, { DI1: true, DI2: false }, 'DI1').moved).toEqual(['DI2']);
  });

  it('a display that is not ready says why', () => {
    expect(displayReady({ state: 'ready', alarm: null, outputFrequency_Hz: 0 }, null)).toEqual([]);
    expect(
      displayReady({ state: 'tripped', alarm: 'F07', outputFrequency_Hz: 2 }, 'Run is given at 1.'),
    ).toEqual([
      'The drive shows fault F07.',
      'The drive state is “tripped”, not ready.',
      'Output frequency is 2 Hz.',
      'Run is given at 1.',
    ]);
  });

  it.each([
    [5, 25, true],
    [5, 25.7, true],
    [5, 30, false],
    [0, 0, true],
  ])('%d V that the drive takes for %d Hz: %s', (volts, hz, agrees) => {
    const point = analogPoint({ signal: '0-10V', atLow: 0, atHigh: 50 }, volts, hz);
    expect(point).toMatchObject({ agrees, share: volts / 10, expected_Hz: volts * 5 });
  });

  it('half of 4 to 20 mA is 12 mA', () => {
    expect(analogPoint({ signal: '4-20mA', atLow: 10, atHigh: 50 }, 12, 30)).toMatchObject({
      expected_Hz: 30,
      share: 0.5,
    });
  });

  it('what was not kept when the power went; codes and commands pass', () => {
    const p = (number: string, concept: string, readOnly = false) => ({
      number,
      name: number,
      concept,
      readOnly,
    });
    const parameters = [p('1', 'ramp.up'), p('2', 'lock.code'), p('3', 'motor.ident-state', true)] as never;
    expect(
      cycleDifferences({ parameters }, { '1': 5, '2': 17, '3': 1 }, { '1': 10, '2': 0, '3': 2 }),
    ).toEqual([{ number: '1', name: '1', before: 5, after: 10 }]);
  });
});
