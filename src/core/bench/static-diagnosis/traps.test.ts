/** What the figures betray about the set-up, the meter or the pen, before anything is said of the unit. */
import {
  commonMeter,
  forwardPlan,
  fullPlan,
  networkOf,
  readings,
  stage,
  type Fault,
  type Probe,
  type StageCase,
} from '../../equipment/power-stage';

import { conclude, diagnoseOnce, type Diagnosis, type RawReading } from '.';

const unit = stage({ brake: true });
const probes: readonly Probe[] = fullPlan(unit);

const taken = (differs: Partial<StageCase> = {}, on: readonly Probe[] = probes): RawReading[] =>
  readings(networkOf({ stage: unit, temperature_C: 22, ...differs }), on, commonMeter).map(
    ({ red, black, value }) => ({ red, black, value }),
  );
const judge = (list: readonly RawReading[], on = unit): Diagnosis => diagnoseOnce(on, commonMeter, list);
const codes = (diagnosis: Diagnosis): string[] => diagnosis.conditions.map((c) => c.code);

describe('traps', () => {
  it('sees the motor on U, V, W and does not call the unit good', () => {
    const diagnosis = judge(taken({ conditions: { motorConnected: true } }));
    expect(codes(diagnosis)).toEqual(['motor-connected']);
    expect(diagnosis.verdict).toBe('doubtful');
    expect(conclude(diagnosis, unit).headline).toBe('The motor is still connected.');
  });

  it('still finds a shorted rectifier with the motor on', () => {
    const faults: Fault[] = [{ component: 'rect.L1.hi', mode: 'short' }];
    const diagnosis = judge(taken({ faults, conditions: { motorConnected: true } }));
    expect(diagnosis.verdict).toBe('faulty');
    expect(diagnosis.candidates[0]?.faults).toEqual([{ component: 'rect.L1.hi', mode: 'short' }]);
    expect(codes(diagnosis)).toContain('motor-connected');
  });

  it('sees swapped leads in both polarities, and suspects them where all is overload', () => {
    const mirrored = taken().map((r): RawReading => ({ ...r, red: r.black, black: r.red }));
    expect(codes(judge(mirrored))).toEqual(['leads-swapped']);
    const forward = forwardPlan(unit).map(({ red, black }): RawReading => ({ red, black, value: 'OL' }));
    const diagnosis = judge(forward);
    expect(diagnosis.verdict).toBe('invalid');
    expect(codes(diagnosis)).toEqual(['leads-swapped']);
  });

  it.each([0.4, 1.3, 30])('sees %s V still on the capacitor bank', (busVolts) => {
    const diagnosis = judge(taken({ conditions: { busVolts } }));
    expect(codes(diagnosis)).toContain('bus-not-discharged');
    expect(diagnosis.verdict).toBe('doubtful');
  });

  it('takes upper devices that all block for thyristors, not for three dead diodes', () => {
    const half = stage({ brake: true, frontEnd: 'scr-half-3ph', scrPrecharge: 'none' });
    const diagnosis = judge(taken({ stage: half }));
    expect(codes(diagnosis)).toContain('thyristor-front-end');
    expect(diagnosis.verdict).toBe('doubtful');
  });

  it('sees that a third line or a brake is not there', () => {
    const single = taken({ stage: stage({ brake: true, frontEnd: 'diode-1ph' }) });
    expect(codes(judge(single))).toContain('wrong-stage');
    expect(codes(judge(taken({ stage: stage() })))).toContain('wrong-stage');
  });

  it('does not condemn a brake diode for a resistor that was left on', () => {
    const resistor = { type: 'R' as const, name: 'brake.resistor', a: 'BR', b: 'DC+', ohm: 68 };
    const network = [...networkOf({ stage: unit, temperature_C: 22 }), resistor];
    const list = readings(network, probes, commonMeter).map((r): RawReading => ({ ...r }));
    const diagnosis = judge(list);
    expect(codes(diagnosis)).toContain('brake-resistor-connected');
    expect(diagnosis.verdict).toBe('doubtful');
  });

  it.each([10, 0.1])('sees a decimal slip of factor %s and names the probe', (factor) => {
    const slipped = taken().map((r): RawReading =>
      r.red === 'L2' && r.black === 'DC+' ? { ...r, value: Number(r.value) * factor } : r,
    );
    const diagnosis = judge(slipped);
    expect(codes(diagnosis)).toEqual(['entry-slip']);
    expect(diagnosis.conditions[0]?.advice).toContain('L2 to DC+');
    expect(diagnosis.verdict).toBe('doubtful');
    expect(diagnosis.repeat).toContainEqual(expect.objectContaining({ red: 'L2', black: 'DC+' }));
  });

  it('sees a hot unit, and not where its temperature is known', () => {
    const hot = taken({ temperature_C: 75 });
    expect(codes(judge(hot))).toEqual(['hot-unit']);
    expect(codes(diagnoseOnce(unit, commonMeter, hot, 75))).toEqual([]);
  });

  it('takes drops that are all too high for a flat battery', () => {
    const flat = taken().map((r): RawReading =>
      r.value === 'OL' ? r : { ...r, value: (r.value as number) * 1.18 },
    );
    expect(codes(judge(flat))).toEqual(['meter-battery-low']);
  });

  it('says that the leads touch where all is zero', () => {
    const diagnosis = judge(probes.map(({ red, black }): RawReading => ({ red, black, value: 0.001 })));
    expect(diagnosis.verdict).toBe('invalid');
    expect(codes(diagnosis)).toEqual(['leads-shorted']);
  });

  it('asserts nothing of a good unit between 0 and 40 °C', () => {
    for (const temperature_C of [0, 20, 40]) expect(codes(judge(taken({ temperature_C })))).toEqual([]);
  });
});

describe('a unit of which nobody has stated what is between rectifier, bank and inverter', () => {
  const unlisted = stage({ brake: true, assumed: ['link', 'fuse'] });

  it('is not shorted where it reads as a plain one does', () => {
    expect(judge(taken(), unlisted)).toMatchObject({ verdict: 'not-shorted', conditions: [] });
  });

  it.each([
    [
      'a precharge resistor',
      { link: 'precharge', prechargeOhm: 39 },
      [],
      'three-phase diode rectifier, precharge, brake',
    ],
    [
      'one that is open',
      { link: 'precharge' },
      ['bus.precharge'],
      'three-phase diode rectifier, precharge, brake',
    ],
    ['an open fuse', { fuse: 'inverter' }, ['bus.fuse'], 'three-phase diode rectifier, inverter fuse, brake'],
  ] as const)(
    'has %s: the readings say so, and nobody is told of three open diodes',
    (_, built, open, words) => {
      const truth = stage({ brake: true, ...built });
      const faults = open.map((component): Fault => ({ component, mode: 'open' }));
      const diagnosis = judge(taken({ stage: truth, faults }), unlisted);
      expect(codes(diagnosis)).toEqual(['wrong-stage']);
      expect(diagnosis.conditions[0]?.advice).toContain(`They fit: ${words}.`);
      expect(diagnosis.verdict).toBe('doubtful');
      // Once it is said how the unit is built, the same readings name the fault.
      const said = judge(taken({ stage: truth, faults }), truth);
      expect(said.verdict === 'not-shorted').toBe(open.length === 0);
      expect(said.candidates[0]?.faults.map((f) => f.component)).toEqual(open);
    },
  );
});

describe('two and three parts at once', () => {
  const named = (faults: Fault[]): string[] =>
    (judge(taken({ faults })).candidates[0]?.faults ?? []).map((f) => `${f.component} ${f.mode}`).sort();

  it('names both', () => {
    expect(
      named([
        { component: 'rect.L3.lo', mode: 'open' },
        { component: 'inv.U.hi', mode: 'short' },
      ]),
    ).toEqual(['inv.U.hi short', 'rect.L3.lo open']);
  });

  it('names three where two do not explain', () => {
    expect(
      named([
        { component: 'rect.L3.lo', mode: 'open' },
        { component: 'rect.L1.hi', mode: 'open' },
        { component: 'inv.W.lo', mode: 'open' },
      ]),
    ).toEqual(['inv.W.lo open', 'rect.L1.hi open', 'rect.L3.lo open']);
  });

  it('gives no verdict on ten thousand readings that are all the same', () => {
    const many = Array.from({ length: 10_000 }, (): RawReading => ({ red: 'L1', black: 'DC+', value: 'OL' }));
    expect(judge(many).verdict).toBe('invalid');
  });
});
