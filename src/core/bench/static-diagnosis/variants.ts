import {
  familyOf,
  isJunction,
  positionsOf,
  type Fault,
  type FaultMode,
  type Meter,
  type Position,
  type Stage,
} from '../../equipment/power-stage';
import { junctionPrior, model, otherPrior, share, together } from './model';

/** One fault at one size: what hypotheses are made of. */
export interface Variant {
  fault: Fault;
  /** Odds of this fault at this size, on any scale. */
  weight: number;
  /** Odds beside another fault, where leaks are tried at fewer sizes: 0 if this size is left out. */
  weightBeside: number;
  /** The same beside another leak. */
  weightTogether: number;
}

const modes: readonly FaultMode[] = ['short', 'open', 'leaky', 'degraded'];

/** A junction that is no junction to a meter (an untriggered thyristor) shows only what conducts. */
const visible = (stage: Stage, position: Position, mode: FaultMode): boolean =>
  familyOf(position) === null
    ? `${position} ${mode}` in otherPrior
    : isJunction(stage, position) || mode === 'short' || mode === 'leaky';

/** Faults that change no reading whatever else is wrong: a meter never sees them. */
export const inertFaults = (stage: Stage): { component: Position; mode: FaultMode }[] =>
  positionsOf(stage).flatMap((component) =>
    modes.flatMap((mode) => (visible(stage, component, mode) ? [] : [{ component, mode }])),
  );

const weightOf = (position: Position, mode: FaultMode): number =>
  familyOf(position) !== null ? junctionPrior[mode] : (otherPrior[`${position} ${mode}`] ?? 0);

/** Every visible fault of a stage, leaks at several resistances that suit the meter. */
export function variantsOf(stage: Stage, meter: Meter): Variant[] {
  const scale = meter.ceiling_V / 2 / meter.testCurrent_mA;
  return positionsOf(stage).flatMap((component) =>
    modes.flatMap((mode): Variant[] => {
      if (!visible(stage, component, mode)) return [];
      const weight = weightOf(component, mode);
      if (mode !== 'leaky') {
        const fault = { component, mode };
        return [{ fault, weight, weightBeside: weight, weightTogether: weight }];
      }
      const among = (list: readonly number[], ohm: number): number =>
        list.includes(ohm) ? weight / list.length : 0;
      return model.leaks_ohm.map((ohm) => ({
        fault: { component, mode, ohm: ohm * scale },
        weight: weight / model.leaks_ohm.length,
        weightBeside: among(model.leaksBeside_ohm, ohm),
        weightTogether: among(model.leaksTogether_ohm, ohm),
      }));
    }),
  );
}

const conducts = ({ mode }: Fault): boolean => mode === 'short' || mode === 'leaky';

/** How much likelier two faults are together than by chance. */
function bond(a: Fault, b: Fault): number {
  const [groupA, nameA, sideA] = a.component.split('.');
  const [groupB, nameB, sideB] = b.component.split('.');
  if (groupA === groupB && groupA !== 'bus' && a.mode === b.mode) {
    if (nameA === nameB || groupA === 'brk') return together.leg;
    if (sideA === sideB) return together.side;
  }
  const fed = (x: Fault, y: Fault): boolean =>
    conducts(x) &&
    y.mode === 'open' &&
    (y.component === 'bus.precharge' || y.component === 'bus.fuse') &&
    (x.component === 'bus.cap' || x.component.startsWith('inv.') || x.component.startsWith('brk.'));
  return fed(a, b) || fed(b, a) ? together.consequence : 1;
}

/** Odds of a pair relative to the square of single odds; 0 where the pair is not tried at these sizes. */
export function pairWeight(a: Variant, b: Variant): number {
  if (a.fault.component === b.fault.component) return 0;
  const both = a.fault.mode === 'leaky' && b.fault.mode === 'leaky';
  const [x, y] = both ? [a.weightTogether, b.weightTogether] : [a.weightBeside, b.weightBeside];
  return x * y * bond(a.fault, b.fault);
}

/** ln of what turns single odds and pair odds into shares of all units. */
export function normalisers(variants: readonly Variant[]): { one: number; two: number } {
  const one = variants.reduce((sum, v) => sum + v.weight, 0);
  let two = 0;
  variants.forEach((a, i) => {
    for (const b of variants.slice(i + 1)) two += pairWeight(a, b);
  });
  return { one: share.one / one, two: share.two / two };
}
