import {
  commonMeter,
  forwardPlan,
  fullPlan,
  networkOf,
  positionsOf,
  probeKey,
  readings,
  reversePlan,
  shown,
  peersOf,
  stage,
  terminalsOf,
  type Fault,
  type Shown,
  type Stage,
} from '.';

const unit = stage({ brake: true });

/** All readings of a unit by "red>black". */
function meter(faults: Fault[], on: Stage = unit, motorConnected = false): Record<string, Shown> {
  const network = networkOf({ stage: on, temperature_C: 25, faults, conditions: { motorConnected } });
  return Object.fromEntries(readings(network, fullPlan(on), commonMeter).map((r) => [probeKey(r), r.value]));
}
const upper = ['L1>DC+', 'L2>DC+', 'L3>DC+'];

describe('plans', () => {
  it.each([
    [stage(), 38],
    [unit, 42],
    [stage({ brake: true, link: 'link', dcrAccessible: true }), 52],
    [stage({ frontEnd: 'diode-1ph', brake: true }), 34],
  ])('the full plan of a stage has its readings', (on, count) => {
    const keys = fullPlan(on).map(probeKey);
    expect(keys).toHaveLength(count);
    expect(new Set(keys).size).toBe(count);
  });

  it('takes the bus and fourteen forward readings, one lead moving at a time', () => {
    const plan = forwardPlan(unit);
    expect(plan).toHaveLength(15);
    expect(probeKey(plan[0] ?? { red: '', black: '' })).toBe('DC->DC+');
    const moved = plan
      .slice(2)
      .map((p, i) => Number(p.red !== plan[i + 1]?.red) + Number(p.black !== plan[i + 1]?.black));
    expect(moved.filter((n) => n > 1)).toHaveLength(1);
  });

  it('fills the capacitor bank before the reverse readings', () => {
    expect(reversePlan(unit)[0]).toMatchObject({ red: 'DC+', black: 'DC-', group: 'fill' });
    expect(reversePlan(unit)).toHaveLength(15);
  });
});

describe('what a stage is made of', () => {
  it('has only its own terminals and positions', () => {
    const small = stage({ frontEnd: 'diode-1ph' });
    expect(terminalsOf(small)).not.toContain('L3');
    expect(terminalsOf(small)).not.toContain('BR');
    expect(positionsOf(small)).not.toContain('brk.diode');
    expect(positionsOf(stage({ frontEnd: 'scr-half-3ph' }))).toContain('pre.L2');
    expect(positionsOf(stage({ fuse: 'inverter' }))).toContain('bus.fuse');
  });

  it('knows the peers of a device in the other phases', () => {
    expect(peersOf(unit, 'rect.L2.lo')).toEqual(['rect.L1.lo', 'rect.L2.lo', 'rect.L3.lo']);
    expect(peersOf(unit, 'brk.diode')).toEqual(['brk.diode']);
  });
});

describe('the display', () => {
  it.each([
    [0.4505, 0.451],
    [-0.4505, -0.451],
    [0.4504, 0.45],
    [2.0001, 'OL'],
    [-2.5, 'OL'],
    [2, 2],
    [-0.0001, 0],
  ])('shows %d V as %s', (volts, display) => {
    expect(shown(volts, commonMeter)).toBe(display);
  });

  it('rounds to its own step', () => {
    expect(shown(0.456, { ...commonMeter, resolution_V: 0.01 })).toBe(0.46);
  });
});

// The trade's own rules on what shows what (common practice, no source; physics behind each).
describe('what faults look like', () => {
  it('a good unit conducts one way and blocks the other', () => {
    const sound = meter([]);
    expect(sound['L1>DC+']).toBeCloseTo(0.456, 2);
    expect(sound['DC+>L1']).toBe('OL');
    expect(sound['DC+>DC-']).toBe('OL');
    expect(Number(sound['DC->DC+'])).toBeGreaterThan(0.6);
    expect(Number(sound['DC->DC+'])).toBeLessThan(0.7);
  });

  it('a shorted upper device ties its terminal to DC+', () => {
    const m = meter([{ component: 'inv.V.hi', mode: 'short', ohm: 0.1 }]);
    expect(Math.abs(Number(m['V>DC+']))).toBeLessThan(0.005);
    expect(Math.abs(Number(m['DC+>V']))).toBeLessThan(0.005);
    expect(m['U>V']).toBeCloseTo(Number(m['U>DC+']), 2);
  });

  it('a shorted brake diode reads 0 to DC+ and a junction from DC-', () => {
    const m = meter([{ component: 'brk.diode', mode: 'short' }]);
    expect(Math.abs(Number(m['BR>DC+']))).toBeLessThan(0.005);
    expect(Number(m['DC->BR'])).toBeGreaterThan(0.5);
  });

  it('a shorted brake IGBT is the reverse of that', () => {
    const m = meter([{ component: 'brk.switch', mode: 'short' }]);
    expect(Math.abs(Number(m['DC->BR']))).toBeLessThan(0.005);
    expect(Number(m['BR>DC+'])).toBeGreaterThan(0.5);
  });

  it('an open link looks like three upper rectifier devices open', () => {
    const on = stage({ link: 'link', dcrAccessible: true });
    const m = meter([{ component: 'bus.link', mode: 'open' }], on);
    expect(upper.map((k) => m[k])).toEqual(['OL', 'OL', 'OL']);
    expect(m['L1>DC+R']).toBeCloseTo(0.456, 2);
  });

  it('an open inverter fuse looks like three upper inverter diodes open', () => {
    const m = meter([{ component: 'bus.fuse', mode: 'open' }], stage({ fuse: 'inverter' }));
    expect(['U>DC+', 'V>DC+', 'W>DC+'].map((k) => m[k])).toEqual(['OL', 'OL', 'OL']);
  });

  it('healthy thyristors block both ways, and the precharge bridge reads a diode and I·R', () => {
    const m = meter([], stage({ frontEnd: 'scr-half-3ph', prechargeOhm: 100 }));
    expect(Number(m['L1>DC+'])).toBeGreaterThan(0.5);
    expect(Number(m['L1>DC+'])).toBeLessThan(0.7);
    const bare = meter([], stage({ frontEnd: 'scr-half-3ph', scrPrecharge: 'none' }));
    expect(upper.map((k) => bare[k])).toEqual(['OL', 'OL', 'OL']);
  });

  it('an open bleeder or an open bank is never visible', () => {
    const shape = (m: Record<string, Shown>) =>
      Object.entries(m).map(([k, v]) => [k, v === 'OL' ? 'OL' : 'figure']);
    expect(shape(meter([{ component: 'bus.bleeder', mode: 'open' }]))).toEqual(shape(meter([])));
    expect(meter([{ component: 'bus.cap', mode: 'open' }])).toEqual(meter([]));
  });

  it('a connected motor ties U, V and W together and hides one open device', () => {
    const m = meter([{ component: 'inv.U.hi', mode: 'open' }], unit, true);
    expect(Number(m['U>V'])).toBeLessThan(0.01);
    expect(Number(m['U>DC+'])).toBeLessThan(0.45);
  });

  it('a leak above about 2 kΩ does not show', () => {
    expect(meter([{ component: 'rect.L1.lo', mode: 'leaky', ohm: 820 }])['L1>DC-']).toBeCloseTo(0.82, 2);
    expect(meter([{ component: 'rect.L1.lo', mode: 'leaky', ohm: 2600 }])['L1>DC-']).toBe('OL');
  });

  it('a degraded device drops about 100 mV more at 1 mA', () => {
    const before = Number(meter([])['L2>DC+']);
    const after = Number(meter([{ component: 'rect.L2.hi', mode: 'degraded' }])['L2>DC+']);
    expect(after - before).toBeCloseTo(0.1, 2);
  });
});
