import { sameMotor, trendsOf, type InsulationThen, type KnownMotor } from '.';

const test = (at: string, megohm: number, differs: Partial<InsulationThen> = {}): InsulationThen => ({
  jobId: at,
  at,
  of: 'motor',
  between: 'earth',
  test: { ratedVolts: 400, readings: [{ at_s: 60, megohm }], winding_C: 40 },
  ...differs,
});

describe('the trend of a motor’s insulation', () => {
  it('is in the order of time, and apart for what was tested', () => {
    const trends = trendsOf([
      test('2026-03-01T08:00:00Z', 900),
      test('2024-03-01T08:00:00Z', 1000),
      test('2026-03-01T08:10:00Z', 50, { of: 'cable' }),
    ]);
    expect(trends.map((t) => [t.of, t.points.map((p) => p.corrected_Mohm)])).toEqual([
      ['motor', [1000, 900]],
      ['cable', [50]],
    ]);
    expect(trends[0]).toMatchObject({ minimum_Mohm: 5, falling: null });
  });

  it('says when it fell to half, brought to the same temperature', () => {
    const warm = { ratedVolts: 400, readings: [{ at_s: 60, megohm: 400 }], winding_C: 60 };
    // 400 MΩ at 60 °C are 400 × e^(−4230 × (1/333 − 1/313)) = 901 MΩ at 40 °C: no fall at all.
    const [trend] = trendsOf([
      test('2024-01-01T00:00:00Z', 1000),
      test('2025-01-01T00:00:00Z', 0, { test: warm }),
    ]);
    expect(trend?.points[1]?.corrected_Mohm).toBeCloseTo(901, -1);
    expect(trend?.falling).toBeNull();
    const [fell] = trendsOf([test('2024-01-01T00:00:00Z', 1000), test('2025-01-01T00:00:00Z', 400)]);
    expect(fell?.falling?.sum).toContain('400 MΩ ÷ 1000 MΩ = 0.40');
  });

  it('of one test is no trend yet', () => {
    expect(trendsOf([test('2024-01-01T00:00:00Z', 2)])[0]).toMatchObject({
      falling: null,
      points: [{ verdict: 'fail' }],
    });
    expect(trendsOf([])).toEqual([]);
  });
});

describe('the same motor', () => {
  const plate = { power: { value: 5.5, unit: 'kW' as const }, volts: 400, amps: 11.2, hz: 50, rpm: 1450 };
  const motor = (differs: Partial<KnownMotor> = {}): KnownMotor => ({ plate, assetId: 'a', ...differs });

  it.each([
    [
      'the serial number, wherever it is',
      motor({ serial: 'M1' }),
      motor({ serial: 'M1', assetId: 'b' }),
      true,
    ],
    ['another serial number on the same machine', motor({ serial: 'M1' }), motor({ serial: 'M2' }), false],
    ['machine and plate, where one has no number', motor({ serial: 'M1' }), motor(), true],
    ['another machine', motor(), motor({ assetId: 'b' }), false],
    ['another plate', motor(), motor({ plate: { ...plate, rpm: 950 } }), false],
  ])('by %s', (_, a, b, same) => {
    expect(sameMotor(a, b)).toBe(same);
  });
});
