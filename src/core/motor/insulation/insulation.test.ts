import { correctionTo40C, insulation, readingsNear } from '.';

// IEEE 43, from memory, and sums of the trade.
const minute = (megohm: number) => [{ at_s: 60, megohm }];

describe('correction to 40 °C', () => {
  it('thermosetting: 2 MΩ at 60 °C are about 4.5, not 8', () => {
    expect(
      insulation({ ratedVolts: 400, readings: minute(2), winding_C: 60 }).correctedTo40C_Mohm,
    ).toBeCloseTo(4.5, 1);
    expect(
      insulation({ ratedVolts: 400, readings: minute(2), winding_C: 60, material: 'thermoplastic' })
        .correctedTo40C_Mohm,
    ).toBe(8);
  });

  it.each(['thermosetting', 'thermoplastic'] as const)(
    '%s: nothing changes at 40 °C, and it grows with heat',
    (material) => {
      expect(correctionTo40C(40, material).factor).toBeCloseTo(1, 12);
      for (let t = 10; t < 85; t += 5)
        expect(correctionTo40C(t + 5, material).factor).toBeGreaterThan(correctionTo40C(t, material).factor);
    },
  );

  it('thermoplastic halves every 10 °C', () => {
    expect(correctionTo40C(20, 'thermoplastic').factor).toBeCloseTo(0.25, 12);
  });
});

describe('minimum', () => {
  const least = (differs: object) =>
    insulation({ ratedVolts: 400, readings: minute(9), winding_C: 40, ...differs }).minimum_Mohm;
  it('5 MΩ for random-wound below 1 kV, 100 MΩ for form-wound above, kV + 1 for old ones', () => {
    expect(least({})).toBe(5);
    expect(least({ construction: 'form' })).toBe(5);
    expect(least({ construction: 'form', ratedVolts: 6000 })).toBe(100);
    expect(least({ kind: 'before-1970' })).toBeCloseTo(1.4, 9);
  });
});

describe('polarization index', () => {
  const test = (one: number, ten?: number) =>
    insulation({
      ratedVolts: 400,
      winding_C: 40,
      readings: [...minute(one), ...(ten === undefined ? [] : [{ at_s: 600, megohm: ten }])],
    });
  it('is ten minutes over one', () => {
    expect(test(200, 460)).toMatchObject({ polarizationIndex: 2.3, verdict: 'pass' });
    expect(test(200, 260)).toMatchObject({ polarizationIndex: 1.3, verdict: 'doubtful' });
  });
  it('says where it means nothing', () => {
    expect(test(6000, 6100)).toMatchObject({ polarizationIndex: null, verdict: 'pass' });
    expect(test(6000, 6100).polarizationNote).toMatch(/5 GΩ/);
    expect(test(200).polarizationNote).toMatch(/ten minutes/);
  });
});

it('a low one fails, and outside the rule’s range nothing passes', () => {
  expect(insulation({ ratedVolts: 400, readings: minute(3), winding_C: 40 }).verdict).toBe('fail');
  expect(insulation({ ratedVolts: 400, readings: minute(900), winding_C: 5 }).verdict).toBe('doubtful');
});

it.each([
  [0.9, 'fail'],
  [1, 'pass'],
  [3, 'pass'],
] as const)('a cable of %d MΩ: %s, by the rule of installations, as measured', (megohm, verdict) => {
  const cable = { ratedVolts: 400, readings: [{ at_s: 60, megohm }], winding_C: 30 };
  expect(insulation({ ...cable, of: 'cable' })).toMatchObject({
    ...{ verdict, minimum_Mohm: 1, polarizationIndex: null },
    ...{ correctedTo40C_Mohm: megohm, source: 'IEC 60364-6, from memory' },
  });
  // With a motor on it the machine's rule holds.
  expect(insulation({ ...cable, of: 'motor-and-cable' })).toMatchObject({ minimum_Mohm: 5, verdict: 'fail' });
});

// IEEE 43, from memory: 100 MΩ for form-wound windings, 5 MΩ for random-wound ones below 1 kV.
it('of several readings at one time none is chosen', () => {
  const readings = [
    { at_s: 60, megohm: 4 },
    { at_s: 62, megohm: 400 },
    { at_s: 600, megohm: 800 },
  ];
  expect(readingsNear(readings, 60)).toHaveLength(2);
  expect(readingsNear(readings, 600)).toHaveLength(1);
});
