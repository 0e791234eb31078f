import {
  chargeOf,
  coldOhm,
  expectedHz,
  hotOhm,
  judgeGates,
  judgeLamps,
  judgeSweep,
  lampsAt,
  lampsPerLeg,
  lampsPerLine,
  lookOf,
  ohmAtVolts,
  planFirstPower,
} from '.';

const winch = { supply_V: 400, phases: 3, capacitance_F: 820e-6, prechargeOhm: 47, ratedAmps: 15 } as const;
const lamp = { volts: 230, watts: 100 };

describe('a lamp', () => {
  it('has its rated resistance at its volts and a fraction of it cold', () => {
    expect(hotOhm(lamp)).toBe(529);
    expect(ohmAtVolts(lamp, 230)).toBeCloseTo(529, 6);
    expect(coldOhm(lamp)).toBeCloseTo(529 / 14, 6);
    expect(ohmAtVolts(lamp, 0)).toBeCloseTo(529 / 14, 6);
  });
  it('takes 0.68 of its current at half its volts', () => {
    expect(115 / ohmAtVolts(lamp, 115) / (100 / 230)).toBeCloseTo(0.5 ** 0.55, 6);
  });
  it('looks by its volts', () => {
    expect([0.05, 0.2, 0.4, 0.6, 1, 1.2].map(lookOf)).toEqual([
      'dark',
      'just red',
      'orange',
      'yellow',
      'bright',
      'too bright: use more lamps per phase',
    ]);
  });
});

describe('a capacitor bank that fills', () => {
  it('does so as a capacitor through a resistor from a stiff rectifier, one time constant to 63 %', () => {
    // With resistance far above what the valleys of the bridge matter, v = V(1 − e^(−t/RC)) with V about the mean of the bridge.
    const { points, final_V } = chargeOf({
      supply_V: 400,
      phases: 3,
      capacitance_F: 1e-3,
      prechargeOhm: 1000,
      lamps: null,
      limit_A: null,
      standby_W: 0,
    });
    const at = points.find((p) => p.t >= 1)?.volts ?? 0;
    expect(at / 540).toBeCloseTo(1 - Math.exp(-1), 1);
    expect(final_V).toBeGreaterThan(550);
    expect(final_V).toBeLessThanOrEqual(Math.SQRT2 * 400);
  });
  it('fills no faster than a limited supply lets it', () => {
    const { points } = chargeOf({
      supply_V: 400,
      phases: 3,
      capacitance_F: 1e-3,
      prechargeOhm: 0,
      lamps: null,
      limit_A: 0.5,
      standby_W: 0,
    });
    const at = points.find((p) => p.t >= 0.4)?.volts ?? 0;
    expect(at).toBeLessThanOrEqual((0.5 * 0.41) / 1e-3);
    expect(at).toBeGreaterThan(150);
  });
});

describe('a first-power plan', () => {
  it('puts two lamps in series in each line at 400 V, one at 230 V', () => {
    expect(lampsPerLine(400)).toBe(2);
    expect(lampsPerLine(230)).toBe(1);
  });
  it('says what the bus should do and when to switch off, before anybody switches on', () => {
    const plan = planFirstPower(winch);
    expect(plan.setUp).toMatch(/three lines 2 lamps of 230 V in series/);
    expect(plan.charge.final_V).toBeGreaterThan(0.88 * Math.SQRT2 * 400);
    expect(plan.stopBelow_V).toBeLessThan(plan.charge.final_V);
    expect(plan.stopAfter_s).toBeGreaterThan(plan.charge.reached_s ?? 99);
    expect(plan.stops[0]).toBe(`The bus is below ${plan.stopBelow_V} V after ${plan.stopAfter_s} s.`);
  });
  it('tells what lamps take with the bus shorted, by its sum', () => {
    const shorted = planFirstPower(winch, { by: 'lamps', watts: 100 }).sums.find(
      (s) => s.what === 'With the bus shorted',
    );
    // 231 V on two lamps: 115 V each, 0.435 A × 0.5^0.55.
    expect(shorted?.value).toMatch(/^0\.3 A a line/);
  });
  it('says the ripple at rest by its sum', () => {
    // 37 W ÷ 501 V ÷ (6 × 50 Hz × 820 µF).
    expect(planFirstPower(winch).sums.find((s) => s.what === 'Ripple then')?.value).toBe('0.3 V');
  });
  it('takes the limit somebody has', () => {
    expect(planFirstPower(winch, { by: 'limit', amps: 1 }).setUp).toMatch(/limited to 1 A/);
  });
});

describe('lamps as a load', () => {
  it('take two a leg at 480 V', () => {
    expect([230, 400, 480].map((v) => lampsPerLeg(v, 230))).toEqual([1, 1, 2]);
  });
  it('are brighter the higher the output, and brighter at low output than the filtered volts say', () => {
    const unit = { ...winch, supply_Hz: 50, power_kW: 7.5, choke: false };
    const [low, high] = [10, 50].map((hz) => lampsAt(unit, { lamp, perLeg: 1 }, hz));
    expect(high?.share).toBeGreaterThan(low?.share ?? 9);
    // All of the pulses at full output: some percent above the fundamental's 230 V.
    expect(high?.share).toBeCloseTo(1.1, 1);
    expect((low?.share ?? 0) * 230).toBeGreaterThan((1.3 * (low?.pair_V ?? 0)) / Math.sqrt(3));
  });
  it('are judged by the largest deviation from the mean, and the leg is named', () => {
    expect(judgeLamps({ hz: 30, volts: [240, 241, 239], amps: [0.38, 0.385, 0.378] })).toMatchObject({
      verdict: 'equal',
      leg: null,
    });
    expect(judgeLamps({ hz: 30, volts: [240, 241, 239], amps: [0.38, 0.3, 0.38] })).toMatchObject({
      verdict: 'unequal',
      leg: 'V',
    });
    // U–V and W–U low: U is in both.
    expect(judgeLamps({ hz: 30, volts: [200, 240, 200], amps: null })).toMatchObject({
      verdict: 'unequal',
      leg: 'U',
    });
    expect(judgeLamps({ hz: 30, volts: [0, 0, 0], amps: null }).text).toMatch(/No output voltage/);
  });
});

describe('the reference from zero to maximum', () => {
  const sweep = { min_Hz: 0, max_Hz: 50 };
  it('passes within one percent of the range, with both ends', () => {
    const at = (off: number) =>
      judgeSweep({
        ...sweep,
        points: [0, 25, 50, 75, 100].map((percent) => ({ percent, hz: expectedHz(sweep, percent) + off })),
      });
    expect(at(0.4).passes).toBe(true);
    expect(at(0.6).passes).toBe(false);
    expect(judgeSweep({ ...sweep, points: [{ percent: 50, hz: 25 }] }).text).toMatch(/three points/);
  });
});

describe('six gate drives', () => {
  const alike = {
    ohms: [10, 10.1, 9.9, 10, 10, 10],
    supplies: [15, 15, 15, 15, 15.1, 14.9],
    pulses: Array<'yes'>(6).fill('yes'),
  };
  it('are compared with each other', () => {
    expect(judgeGates(alike).verdict).toBe('alike');
    const odd = judgeGates({ ...alike, ohms: [10, 10, 10, 10, 4700, 10] });
    expect(odd.verdict).toBe('unlike');
    expect(odd.findings[0]).toMatch(/V lower: gate to emitter 4700 Ω/);
    expect(judgeGates({ ...alike, pulses: ['yes', 'yes', 'yes', 'yes', 'yes', 'not-seen'] }).verdict).toBe(
      'not-complete',
    );
  });
});
