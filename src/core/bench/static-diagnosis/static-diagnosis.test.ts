import {
  commonMeter,
  forwardPlan,
  fullPlan,
  networkOf,
  readings,
  stage,
  type Fault,
  type Probe,
} from '../../equipment/power-stage';
import { conclude, diagnose, diagnoseOnce, tablesFor, type Tables, type RawReading } from '.';

const unit = stage({ brake: true });
const measure = (faults: Fault[], probes: readonly Probe[] = fullPlan(unit), on = unit): RawReading[] =>
  readings(networkOf({ stage: on, temperature_C: 25, faults }), probes, commonMeter);
const prepared = new Map<typeof unit, Tables>();
const tablesOf = (on: typeof unit): Tables => {
  const tables = prepared.get(on) ?? tablesFor(on, commonMeter);
  prepared.set(on, tables);
  return tables;
};
const first = (taken: RawReading[], on = unit) => {
  const diagnosis = diagnose(tablesOf(on), taken);
  return { diagnosis, best: diagnosis.candidates[0], says: conclude(diagnosis, on) };
};

describe('static diagnosis of a six-diode stage with brake', () => {
  it('calls a good unit not shorted, never good', () => {
    const { diagnosis, best, says } = first(measure([]));
    expect(best?.faults).toEqual([]);
    expect(diagnosis.verdict).toBe('not-shorted');
    expect(says.headline).toMatch(/^Not shorted/);
  });

  it('names the blown upper diode on L2 from the forward readings alone', () => {
    const readings = measure([{ component: 'rect.L2.hi', mode: 'open' }], forwardPlan(unit));
    const { diagnosis, best, says } = first(readings);
    expect(diagnosis.verdict).toBe('faulty');
    expect(best?.faults).toEqual([{ component: 'rect.L2.hi', mode: 'open' }]);
    expect(says.headline).toBe('L2 upper diode is open, very likely.');
    expect(says.detail).toMatch(/^Repeat L2 to DC\+ to confirm.*poor probe contact \(6 %\)/);
    // Open twice: now nothing else does.
    const twice = [...readings, ...readings.filter((r) => r.red === 'L2' && r.black === 'DC+')];
    expect(first(twice).says.headline).toBe('L2 upper diode is open. Nothing else fits.');
  });

  it('asks again for a value 65 mV below the other two phases instead of condemning it', () => {
    const taken = measure([]).map((r): RawReading =>
      r.red === 'DC-' && r.black === 'L1' ? { ...r, value: Number(r.value) - 0.065 } : r,
    );
    const { diagnosis, says } = first(taken);
    expect(diagnosis.verdict).toBe('doubtful');
    expect(diagnosis.repeat).toContainEqual(expect.objectContaining({ red: 'DC-', black: 'L1' }));
    expect(says.headline).toBe('DC- to L1: measure again.');
  });

  it('takes the newer of two values that differ, and asks no more', () => {
    const taken = [{ red: 'DC-', black: 'L1', value: 0.386 } as RawReading, ...measure([])];
    expect(first(taken).diagnosis.verdict).toBe('not-shorted');
  });

  it('says what the common twelve readings miss', () => {
    const twelve = forwardPlan(unit).filter((p) => p.group !== 'bus' && p.red !== 'BR' && p.black !== 'BR');
    const { diagnosis } = first(measure([], twelve));
    expect(diagnosis.verdict).toBe('doubtful');
    expect(diagnosis.unseen).toContainEqual({ component: 'bus.cap', mode: 'short' });
    expect(diagnosis.unseen).toContainEqual({ component: 'brk.diode', mode: 'short' });
  });

  it('never claims to see an open bleeder', () => {
    const { unseen, positions } = first(measure([])).diagnosis;
    expect(unseen).toContainEqual({ component: 'bus.bleeder', mode: 'open' });
    expect(positions.find((p) => p.component === 'bus.bleeder')?.state).toBe('unknown');
    expect(positions.find((p) => p.component === 'rect.L1.hi')?.state).toBe('sound');
  });

  it.each([
    ['no reading', [], 'no-readings'],
    ['only overload', fullPlan(unit).map((p): RawReading => ({ ...p, value: 'OL' })), 'only-overload'],
    ['only zero', fullPlan(unit).map((p): RawReading => ({ ...p, value: 0 })), 'only-zero'],
    [
      'overload and a value on one probe',
      [...measure([]), { red: 'L1', black: 'DC+', value: 'OL' }],
      'contradictory-readings',
    ],
  ] as [string, RawReading[], string][])('gives no verdict on %s', (_, taken, code) => {
    const { diagnosis } = first(taken);
    expect(diagnosis.verdict).toBe('invalid');
    expect(diagnosis.caseNotes[0]?.code).toBe(code);
  });

  it('lets a third reading settle a contradiction', () => {
    const taken: RawReading[] = [
      { red: 'L1', black: 'DC+', value: 'OL' },
      ...measure([]),
      { red: 'L1', black: 'DC+', value: 0.45 },
    ];
    expect(first(taken).diagnosis.verdict).toBe('not-shorted');
  });

  it('shares out all probability', () => {
    const { diagnosis } = first(measure([{ component: 'inv.V.lo', mode: 'leaky', ohm: 820 }]));
    const listed = diagnosis.candidates.reduce((sum, c) => sum + c.probability, 0);
    expect(listed + diagnosis.restProbability).toBeCloseTo(1, 9);
    expect(diagnosis.candidates.length).toBeLessThanOrEqual(50);
  });

  it('judges a unit whose drops are far from the typical', () => {
    const icy = readings(networkOf({ stage: unit, temperature_C: -5 }), fullPlan(unit), commonMeter);
    const { candidates, familyShift_V } = diagnoseOnce(unit, commonMeter, icy, -5);
    expect(candidates[0]?.faults).toEqual([]);
    expect(familyShift_V['rectifier']).toBeGreaterThan(0.03);
  });

  it('takes a probe that no plan has', () => {
    const probe = [{ red: 'L1', black: 'U' } as const];
    const taken = measure([{ component: 'inv.U.hi', mode: 'short' }], [...fullPlan(unit), ...probe]);
    expect(first(taken).best?.faults).toEqual([{ component: 'inv.U.hi', mode: 'short' }]);
  });

  it('reads a capacitor bank that climbs towards overload as good', () => {
    const taken = measure([]).map((r): RawReading => (r.value === 'OL' ? { ...r, value: 'climbing' } : r));
    expect(first(taken).diagnosis.verdict).toBe('not-shorted');
  });
});

describe('every single fault of every stage', () => {
  const stages = [
    unit,
    stage({ brake: true, link: 'link', dcrAccessible: true }),
    stage({ frontEnd: 'diode-1ph', link: 'precharge', dcrAccessible: true }),
    stage({ frontEnd: 'scr-half-3ph', brake: true, fuse: 'inverter' }),
  ];
  it.each(stages.map((s) => [`${s.frontEnd}, ${s.link}, fuse ${s.fuse}`, s] as const))('%s', (_, s) => {
    const sound = JSON.stringify(measure([], fullPlan(s), s).map((r) => r.value));
    const missed: string[] = [];
    const every = tablesOf(s).variants.map((v) => v.fault);
    const unique = new Map(every.map((fault) => [`${fault.component} ${fault.mode}`, fault]));
    for (const { component, mode } of unique.values()) {
      // 47 or 100 mV more or less on all three precharge diodes alike may as well be their own drop.
      if (s.frontEnd === 'scr-half-3ph' && component === 'bus.precharge' && mode !== 'open') continue;
      const taken = measure([{ component, mode }], fullPlan(s), s);
      if (JSON.stringify(taken.map((r) => r.value)) === sound) continue;
      const { best } = first(taken, s);
      const named = [best?.faults ?? [], ...(best?.equivalents ?? [])];
      if (!named.some((f) => f.length === 1 && f[0]?.component === component && f[0].mode === mode))
        missed.push(`${component} ${mode} → ${JSON.stringify(best?.faults)}`);
    }
    expect(missed).toEqual([]);
  });
});
