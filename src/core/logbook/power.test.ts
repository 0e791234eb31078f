import { judgeGates } from '../power-up/first-power';
import { greatestLimits } from '../bench/make-safe';
import { benchLock, fold, levelsOf, powerLock, stageLines, type Payload } from '.';
import { testDrive, ines, pip, proven } from './__tests__/job';

const state = (j: ReturnType<typeof proven>) => fold(j.entries, { limits: greatestLimits });
const lastVoid = (j: ReturnType<typeof proven>) => state(j).log.at(-1)?.void;
const level = (j: ReturnType<typeof proven>) =>
  levelsOf(state(j)).find((l) => l.id === 'runs-under-load')?.state;
const balance = (j: ReturnType<typeof proven>) =>
  levelsOf(state(j)).find((l) => l.id === 'balanced-on-lamps')?.state;
const note = (j: ReturnType<typeof proven>) =>
  stageLines(state(j), greatestLimits).find((l) => l.id === 'first-power');

const plan: Payload<'power.planned'> = {
  way: { by: 'lamps', watts: 100 },
  expected_V: 501,
  stopBelow_V: 426,
  stopAbove_V: 530,
  stopAfter_s: 4,
};
const alike: Payload<'power.gates'> = {
  ohms: [10, 10, 10, 10, 10, 10],
  supplies: [15, 15, 15, 15, 15, 15],
  pulses: ['yes', 'yes', 'yes', 'yes', 'yes', 'yes'],
};
const lamps = (hz: number, amps: [number, number, number]): Payload<'power.lamps'> => ({
  lamp: { volts: 230, watts: 100 },
  perLeg: 1,
  hz,
  volts: [240, 241, 240],
  amps,
});
const sweep: Payload<'power.swept'> = {
  min_Hz: 0,
  max_Hz: 50,
  points: [0, 50, 100].map((percent) => ({ percent, hz: percent / 2 })),
};
const measured = (verdict: 'sound' | 'fault' | 'nothing-measured'): Payload<'power.measured'> => ({
  running: { load: 'lamps', f1: 30, ohmPerLeg: 400 },
  figures: { ia_rms: 1 },
  conclusion: { verdict, headline: verdict, causes: [] },
});

const onMotor = (share: number): Payload<'power.measured'> => ({
  ...measured('sound'),
  running: { load: 'motor', f1: 50, share, motor: { volts: 400, amps: 14.8, hz: 50, cosPhi: 0.84 } },
});

function signed(verdict: 'not-shorted' | 'doubtful' = 'not-shorted') {
  const j = proven();
  j.add('sheet.signed', { verdict, headline: 'x', detail: '', seq: 0 });
  return j;
}

describe('first power', () => {
  it('waits for a static test that ended as not shorted', () => {
    expect(powerLock(state(proven()))).toMatch(/static test must be signed as not shorted first/);
    expect(note(proven())).toMatchObject({ state: 'locked' });
    const doubtful = signed('doubtful');
    doubtful.add('power.planned', plan);
    doubtful.add('power.on', { through: 'lamps' });
    expect(lastVoid(doubtful)).toMatch(/failed or doubtful/);
    expect(state(doubtful).power.onAt).toBeNull();
  });

  it('is planned before it is switched on, and not by an apprentice', () => {
    const j = signed();
    j.add('power.on', { through: 'lamps' });
    expect(lastVoid(j)).toMatch(/Make the first power-up plan first/);
    j.add('power.planned', plan);
    j.add('power.on', { through: 'lamps' }, { by: pip });
    expect(lastVoid(j)).toMatch(/technician or the lead/);
    j.add('power.on', { through: 'lamps' });
    expect(lastVoid(j)).toBeNull();
    expect(note(j)?.note).toBe('SWITCHED ON');
  });

  it.each([
    ['supply', { ...testDrive, supply_V: null }],
    ['bank', { ...testDrive, stage: { ...testDrive.stage, assumed: ['capacitance_uF' as const] } }],
  ])('is not planned with a %s that nobody knows', (_, drive) => {
    const j = signed();
    j.add('identify.drive', drive);
    j.add('power.planned', plan);
    expect(lastVoid(j)).toMatch(/Supply or capacitor bank not known/);
  });

  it('takes the dead proof away', () => {
    const j = signed();
    j.add('power.planned', plan);
    expect(benchLock(state(j).safety, testDrive, greatestLimits, ines, j.now()).open).toBe(true);
    j.add('power.on', { through: 'lamps' });
    j.add('power.off', {});
    const lock = benchLock(state(j).safety, testDrive, greatestLimits, ines, j.now());
    expect(lock.open).toBe(false);
    expect(state(j).safety.lapsed?.detail).toBe('power was switched on');
  });

  it('wants the gate drives alike where a module was out, with the bus dead', () => {
    const j = signed();
    j.add('power.gates', { ...alike, ohms: [10, 10, 10, 10, 4700, 10] });
    expect(powerLock(state(j))).toMatch(/gate drives differ/);
    j.add('power.gates', alike);
    expect(powerLock(state(j))).toBeNull();
    j.add('power.planned', plan);
    j.add('power.on', { through: 'lamps' });
    j.add('power.gates', alike);
    expect(lastVoid(j)).toMatch(/bus dead/);
  });

  it('keeps the bus only while it is on', () => {
    const j = signed();
    j.add('power.bus', { at_s: 1, volts: 300 });
    expect(lastVoid(j)).toMatch(/Power is off/);
    j.add('power.planned', plan);
    j.add('power.on', { through: 'lamps' });
    j.add('power.bus', { at_s: 1, volts: 300 });
    expect(state(j).power.bus).toEqual([{ at_s: 1, volts: 300 }]);
    j.add('power.off', {});
    j.add('power.on', { through: 'lamps' });
    expect(state(j).power.bus).toEqual([]);
  });

  it('gives the full supply after a bus reading within the band only', () => {
    const full = (j: ReturnType<typeof proven>) => {
      j.add('power.off', {});
      j.add('power.on', { through: 'supply' });
      return lastVoid(j);
    };
    const j = signed();
    j.add('power.planned', plan);
    expect(full(j)).toMatch(/426–530 V on lamps/);
    j.add('power.on', { through: 'lamps' });
    expect(full(j)).toMatch(/after a bus reading/);
    for (const volts of [300, 640]) {
      j.add('power.on', { through: 'lamps' });
      j.add('power.bus', { at_s: 5, volts });
      expect(full(j)).toMatch(/after a bus reading/);
    }
    j.add('power.on', { through: 'lamps' });
    j.add('power.bus', { at_s: 5, volts: 495 });
    // It came up, and fell again: something takes the current.
    j.add('power.bus', { at_s: 60, volts: 210 });
    expect(full(j)).toMatch(/after a bus reading/);
    j.add('power.on', { through: 'lamps' });
    j.add('power.bus', { at_s: 5, volts: 495 });
    expect(full(j)).toBeNull();
    j.add('power.planned', plan);
    expect(full(j)).toMatch(/after a bus reading/);
  });

  it.each([
    [600, 'III', /at least 1000 V/],
    [1000, 'II', /CAT III/],
    [1000, 'III', null],
    [1500, 'IV', null],
  ] as const)('probes for %s V, CAT %s', (ratedVolts, category, why) => {
    const j = signed();
    j.add('power.probes', { by: 'differential', ratedVolts, category });
    if (why === null) expect(lastVoid(j)).toBeNull();
    else expect(lastVoid(j)).toMatch(why);
  });

  it('wants both rails of the drivers, unless they have one', () => {
    const j = signed();
    const verdict = () => judgeGates(state(j).power.gates?.payload ?? alike).verdict;
    const none: null[] = [null, null, null, null, null, null];
    j.add('power.gates', { ...alike, minus: none });
    expect(verdict()).toBe('not-complete');
    j.add('power.gates', { ...alike, minus: [-8, -8, -8, -8, -3, -8] });
    expect(powerLock(state(j))).toMatch(/gate drives differ/);
    j.add('power.gates', { ...alike, minus: null });
    expect(verdict()).toBe('alike');
  });
});

describe('runs under load', () => {
  const on = () => {
    const j = signed();
    j.add('power.planned', plan);
    j.add('power.on', { through: 'lamps' });
    return j;
  };
  it('is neither ticked nor inferred from the diode test', () => {
    expect(level(signed())).toBe('not tested');
    expect(level(on())).toBe('not tested');
  });
  it('lamps show balance, at two frequencies with an output that follows, and never load', () => {
    const j = on();
    j.add('power.lamps', lamps(30, [0.4, 0.4, 0.4]));
    expect(balance(j)).toBe('doubt');
    j.add('power.lamps', lamps(50, [0.46, 0.46, 0.46]));
    expect(balance(j)).toBe('doubt');
    j.add('power.swept', sweep);
    expect(balance(j)).toBe('yes');
    expect(level(j)).toBe('not tested');
    j.add('power.measured', measured('sound'));
    expect(level(j)).toBe('not tested');
    expect(note(j)).toMatchObject({ state: 'done' });
  });
  it('is said of a motor that takes its share of the rated current', () => {
    const j = on();
    j.add('power.swept', sweep);
    j.add('power.measured', onMotor(0.2));
    expect(level(j)).toBe('doubt');
    j.add('power.measured', onMotor(0.6));
    expect(level(j)).toBe('yes');
  });
  it('is taken back by a leg that is unlike, until that is measured again', () => {
    const j = on();
    j.add('power.lamps', lamps(30, [0.4, 0.3, 0.4]));
    expect([balance(j), level(j)]).toEqual(['no', 'no']);
    j.add('power.lamps', lamps(30, [0.4, 0.4, 0.4]));
    j.add('power.swept', sweep);
    j.add('power.measured', onMotor(0.6));
    expect(level(j)).toBe('yes');
    j.add('power.measured', measured('fault'));
    expect(level(j)).toBe('no');
    j.add('power.measured', measured('sound'));
    expect(level(j)).toBe('yes');
  });
  it('depends on nothing that says nothing', () => {
    const j = on();
    j.add('power.measured', measured('nothing-measured'));
    expect(level(j)).toBe('not tested');
    j.add('power.measured', measured('fault'));
    j.add('power.measured', measured('nothing-measured'));
    expect(level(j)).toBe('no');
  });
  it('takes no lamps of a unit that was never on', () => {
    const j = signed();
    j.add('power.lamps', lamps(30, [0.4, 0.4, 0.4]));
    expect(lastVoid(j)).toMatch(/never switched on/);
  });
});
