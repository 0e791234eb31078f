import { busVoltsAfter, compareDischarge, discharge, dischargeTool, peakBusVolts, timeConstant } from '.';

// Textbook RC: after one time constant 36.8 % is left, after five 0.67 % (any book on circuits).
describe('discharge of a capacitor bank', () => {
  const bank = { capacitance_uF: 1000, bleederOhm: 150_000, startVolts: 565 };

  it('has the textbook time constant and leaves 1/e after it', () => {
    expect(discharge({ ...bank, limitVolts: 50 }).tau_s).toBeCloseTo(150, 9);
    expect(busVoltsAfter(bank, 150) / 565).toBeCloseTo(0.3679, 4);
    expect(busVoltsAfter(bank, 750) / 565).toBeCloseTo(0.0067, 4);
  });

  it('reaches the limit at the time it says', () => {
    const { seconds, secondsIfBleederOpen, storedEnergy_J } = discharge({ ...bank, limitVolts: 50 });
    expect(busVoltsAfter(bank, seconds)).toBeCloseTo(50, 9);
    expect(secondsIfBleederOpen).toBeNull();
    expect(storedEnergy_J).toBeCloseTo(159.6, 1);
  });

  it('needs no time when the bus is below the limit already', () => {
    expect(discharge({ ...bank, startVolts: 30, limitVolts: 50 }).seconds).toBe(0);
  });

  it('finds the time constant in readings, and none in a level bus', () => {
    const falling = [0, 60, 120].map((at_s) => ({ at_s, volts: busVoltsAfter(bank, at_s) }));
    expect(timeConstant(falling)).toBeCloseTo(150, 6);
    expect(
      timeConstant([
        { at_s: 0, volts: 300 },
        { at_s: 60, volts: 300 },
      ]),
    ).toBeNull();
    expect(timeConstant([{ at_s: 0, volts: 300 }])).toBeNull();
  });

  it('sums up a discharge resistor', () => {
    const tool = dischargeTool(1000, peakBusVolts(400), 1000);
    expect(tool.peakWatts).toBeCloseTo(320, 6);
    expect(tool.joules).toBeCloseTo(160, 6);
    expect(tool.seconds).toBeCloseTo(5, 9);
  });
});

// v = v0·exp(−t/RC), any textbook: 1000 µF and 150 kΩ are 150 s.
it.each([
  [150, 'as-expected'],
  [75, 'too-fast'],
  [300, 'too-slow'],
] as const)('a time constant of %d s where 150 s is expected is %s', (tau_s, verdict) => {
  expect(compareDischarge({ capacitance_uF: 1000, bleederOhm: 150_000 }, tau_s)).toMatchObject({
    expectedTau_s: 150,
    ratio: tau_s / 150,
    verdict,
  });
});
