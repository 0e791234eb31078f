import { fittingReadings, plateSums, polesFrom } from '.';

const good = {
  power: { value: 5.5, unit: 'kW' as const },
  volts: 400,
  amps: 11.2,
  hz: 50,
  rpm: 1455,
  cosPhi: 0.82,
};
const codes = (plate: Parameters<typeof plateSums>[0]) => plateSums(plate).findings.map((f) => f.code);

describe('a motor nameplate', () => {
  it('gives poles, slip and torque by the usual sums', () => {
    const sums = plateSums(good);
    expect(sums.poles).toBe(4);
    expect(sums.synchronousRpm).toBe(1500);
    expect(sums.slip).toBeCloseTo(0.03, 9);
    expect(sums.torque_Nm).toBeCloseTo(36.1, 1);
    expect(codes(good)).toEqual([]);
  });

  // Synchronous speeds of NEMA MG 1 and IEC 60034-1 (from memory): 3600/1800/1200/900 and 3000/1500/1000/750.
  it.each([
    [60, 3500, 2],
    [60, 1750, 4],
    [60, 1160, 6],
    [60, 870, 8],
    [50, 2850, 2],
    [50, 1420, 4],
    [50, 940, 6],
    [50, 705, 8],
    [50, 1500, 4],
    [50, 1501, 4],
  ])('%d Hz and %d rpm are %d poles', (hz, rpm, poles) => {
    expect(polesFrom(hz, rpm)).toBe(poles);
  });

  it('takes a horsepower for 0.7457 kW', () => {
    expect(plateSums({ ...good, power: { value: 10, unit: 'hp' } }).power_kW).toBeCloseTo(7.457, 9);
  });

  it.each([
    ['hp read as kW', { ...good, power: { value: 11, unit: 'kW' as const } }, 'product-impossible'],
    ['amps ten times too big', { ...good, amps: 112 }, 'product-impossible'],
    ['a synchronous plate', { ...good, rpm: 1500 }, 'slip-zero'],
    ['a mistyped speed', { ...good, rpm: 1255 }, 'slip-high'],
    ['poles that do not belong to the speed', { ...good, poles: 6 }, 'slip-negative'],
    ['a service factor', { ...good, serviceFactor: 1.15 }, 'service-factor'],
    ['no power factor', { ...good, cosPhi: undefined }, 'no-cos-phi'],
    [
      'a second pair misread',
      { ...good, alternatives: [{ connection: 'delta' as const, volts: 230, amps: 9.4 }] },
      'dual-voltage',
    ],
  ])('says something about %s', (_, plate, code) => {
    expect(codes(plate)).toContain(code);
  });
});

// IEC 60034-8 and any textbook: a winding takes √3 times the voltage in star.
describe('star and delta on a plate', () => {
  const pair = (connection: 'star' | 'delta', volts: number, amps: number) =>
    plateSums({ ...good, alternatives: [{ connection, volts, amps }] }).findings.find(
      (f) => f.code === 'dual-voltage',
    );
  it.each([
    ['delta', 690, 'wrong'],
    ['star', 230, 'wrong'],
    ['delta', 230, 'info'],
    ['star', 690, 'info'],
  ] as const)('%s %d V beside 400 V is %s', (connection, volts, severity) => {
    const amps = (good.volts * good.amps) / volts;
    expect(pair(connection, volts, amps)).toMatchObject({ severity });
  });
});

describe('a handbook’s full-load currents', () => {
  // NFPA 70, table of full-load currents of three-phase motors at 460 V, from memory: hp and amps.
  const table: [hp: number, amps: number][] = [
    [1, 2.1],
    [2, 3.4],
    [3, 4.8],
    [5, 7.6],
    [7.5, 11],
    [10, 14],
    [15, 21],
    [20, 27],
    [25, 34],
    [30, 40],
    [40, 52],
    [50, 65],
    [75, 96],
    [100, 124],
  ];
  const sumsOf = (hp: number, amps: number) =>
    plateSums({ power: { value: hp, unit: 'hp' }, volts: 460, amps, hz: 60, rpm: 1755 });
  const codes = (hp: number, amps: number) => sumsOf(hp, amps).findings.map((f) => `${f.severity} ${f.code}`);

  it.each(table)('%d hp at %d A is a motor that can be', (hp, amps) => {
    expect(codes(hp, amps).filter((c) => c.startsWith('wrong'))).toEqual([]);
    const { efficiencyTimesPf } = sumsOf(hp, amps);
    expect(efficiencyTimesPf).toBeGreaterThan(0.44);
    expect(efficiencyTimesPf).toBeLessThan(0.92);
  });

  it.each(table)('%d hp at twice its current: about %d A is offered, within a quarter', (hp, amps) => {
    const text = sumsOf(hp, amps * 2).findings.find((f) => f.code.startsWith('product'))?.text ?? '';
    const offered = Number(/About ([\d.]+) A/.exec(text)?.[1]);
    expect(Math.abs(offered / amps - 1)).toBeLessThan(0.25);
  });

  it('1.5 kW at 400 V with 34 A: about 3.4 A, and the kVA beside it', () => {
    const { findings } = plateSums({
      power: { value: 1.5, unit: 'kW' },
      volts: 400,
      amps: 34,
      hz: 50,
      rpm: 1400,
    });
    const found = findings.find((f) => f.code === 'product-impossible');
    expect(found?.text).toContain('About 3.4 A would fit');
    expect(found?.sum).toContain('23.6 kVA');
  });

  it.each(table)('%d hp at a fifth or at twice of %d A is questioned', (hp, amps) => {
    expect(codes(hp, amps / 5)).toContain('wrong product-impossible');
    expect(codes(hp, amps * 2).some((c) => /product/.test(c))).toBe(true);
  });
});

describe('a plate that cannot be', () => {
  const first = (plate: Parameters<typeof plateSums>[0]) => fittingReadings(plate)[0];

  it('is read in the other unit where that fits', () => {
    const us = { volts: 460, amps: 14, hz: 60, rpm: 1755, cosPhi: 0.84 };
    expect(first({ ...us, power: { value: 10, unit: 'kW' } })).toMatchObject({
      as: '10 hp',
      plate: { power: { value: 10, unit: 'hp' } },
    });
    expect(first({ ...good, power: { value: 7.5, unit: 'kW' } })?.as).toBe('7.5 hp');
  });

  it.each([
    ['a slipped decimal of the amps', { ...good, amps: 112 }, '11.2 A'],
    ['a slipped decimal of the power', { ...good, power: { value: 55, unit: 'kW' as const } }, '5.5 kW'],
    ['four poles at 970 rpm and 50 Hz', { ...good, rpm: 970, poles: 4 }, '6 poles'],
  ])('%s is found', (_, plate, as) => {
    expect(fittingReadings(plate).map((f) => f.as)).toContain(as);
  });

  it('offers nothing for a plate that can be, nor where nothing helps', () => {
    expect(fittingReadings(good)).toEqual([]);
    expect(fittingReadings({ ...good, rpm: 1255 })).toEqual([]);
  });

  // Figures of motors that cannot be: the issue of every day.
  it.each([
    [{ power: { value: 0.11, unit: 'kW' as const }, volts: 230, amps: 2, hz: 50, rpm: 1380 }, 'wrong'],
    [{ power: { value: 2.2, unit: 'kW' as const }, volts: 400, amps: 5, hz: 60, rpm: 1590 }, 'doubt'],
    [{ power: { value: 0.75, unit: 'kW' as const }, volts: 400, amps: 2, hz: 60, rpm: 1590 }, 'doubt'],
    [{ power: { value: 4, unit: 'kW' as const }, volts: 400, amps: 9, hz: 50, rpm: 970, poles: 4 }, 'wrong'],
  ])('%o is asked about', (plate, severity) => {
    expect(plateSums(plate).findings.map((f) => f.severity)).toContain(severity);
  });

  it('is kept as typed, with a doubt, when the nameplate really says so', () => {
    const { findings } = plateSums({ ...good, amps: 112, asWritten: true });
    expect(findings.filter((f) => f.severity === 'wrong')).toEqual([]);
    expect(findings.find((f) => f.code === 'product-impossible')?.text).toMatch(/Saved as on the nameplate/);
  });
});
