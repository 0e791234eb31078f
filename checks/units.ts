import {
  familyOf,
  faultModes,
  positionsOf,
  stage,
  typicalDevices,
  type DeviceLaw,
  type Family,
  type Fault,
  type FaultMode,
  type Meter,
  type Position,
  type Stage,
} from '@/core/equipment/power-stage';
import { normal, pick } from './random';

/** Any stage that the vocabulary allows. */
export const anyStage = (random: () => number): Stage =>
  stage({
    frontEnd: pick(random, ['diode-3ph', 'diode-1ph', 'scr-half-3ph'] as const),
    link: pick(random, ['none', 'link', 'precharge'] as const),
    fuse: pick(random, ['none', 'inverter'] as const),
    brake: random() < 0.6,
    dcrAccessible: true,
    bleederOhm: 80_000 + 120_000 * random(),
  });

export const anyMeter = (random: () => number): Meter => {
  const ceiling_V = pick(random, [1.5, 2, 2.5]);
  return { testCurrent_mA: 0.5 + random(), openCircuit_V: ceiling_V + 0.8, ceiling_V, resolution_V: 0.001 };
};

/** Devices of one unit: a family offset, and each device a little off its peers. */
export function anyDevices(random: () => number, on: Stage): Partial<Record<Position, DeviceLaw>> {
  const offset = new Map<Family, number>();
  const scatter = 0.04 + 0.08 * random();
  return Object.fromEntries(
    positionsOf(on).flatMap((position) => {
      const family = familyOf(position);
      if (family === null) return [];
      const shift_V = offset.get(family) ?? 0.04 * (random() - 0.5);
      offset.set(family, shift_V);
      const usual = typicalDevices[family];
      const factor = Math.exp(-shift_V / (usual.n * 0.02585) + scatter * normal(random));
      return [[position, { ...usual, Is: usual.Is * factor }] as const];
    }),
  );
}

/** What parts that are no junctions die of, and a meter can see. */
const deaths: Readonly<Record<string, readonly FaultMode[]>> = {
  'bus.cap': ['short', 'leaky'],
  'bus.link': ['open'],
  'bus.precharge': ['open'],
  'bus.fuse': ['open'],
  'bus.bleeder': ['short'],
};

/** One device at fault, of any kind the stage can have; leaks of a size that the meter can show. */
export function anyFault(random: () => number, on: Stage, meter: Meter): Fault {
  const component = pick(random, positionsOf(on));
  const mode = pick(random, deaths[component] ?? faultModes);
  const scale = meter.ceiling_V / 2 / meter.testCurrent_mA;
  const ohm = mode === 'short' ? 0.05 + random() : (150 + 1050 * random()) * scale;
  return mode === 'short' || mode === 'leaky' ? { component, mode, ohm } : { component, mode };
}

/** Some devices of one unit at fault, each another. */
export function anyFaults(random: () => number, on: Stage, meter: Meter, count: number): Fault[] {
  const faults: Fault[] = [];
  while (faults.length < count) {
    const fault = anyFault(random, on, meter);
    if (!faults.some((f) => f.component === fault.component)) faults.push(fault);
  }
  return faults;
}
