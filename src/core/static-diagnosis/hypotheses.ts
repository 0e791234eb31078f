import {
  familyOf,
  isJunction,
  positionsOf,
  type Fault,
  type FaultMode,
  type Position,
  type Stage,
} from '../power-stage';
import { junctionPrior, model, otherPrior, soundPrior } from './model';

/** A state of the unit that is tried: sound (no faults) or with something at fault. */
export interface Hypothesis {
  faults: readonly Fault[];
  /** Share of all units before any reading. */
  prior: number;
  /** Mean shift of the device at fault, where the fault is a shift: V. */
  shift?: { component: Position; volts: number; spread_V: number };
  /** The resistance of the fault is fitted around its value. */
  fitsOhm: boolean;
}

const modesOf = (stage: Stage, position: Position): FaultMode[] => {
  if (familyOf(position) !== null)
    return isJunction(stage, position) ? ['short', 'open', 'leaky', 'degraded'] : ['short', 'leaky', 'open'];
  return ['short', 'open', 'leaky'].filter((mode): mode is FaultMode => `${position} ${mode}` in otherPrior);
};

function variants(position: Position, mode: FaultMode, prior: number): Hypothesis[] {
  if (mode === 'leaky')
    return model.leaks_ohm.map((ohm) => ({
      faults: [{ component: position, mode, ohm }],
      prior: prior / model.leaks_ohm.length,
      fitsOhm: true,
    }));
  if (mode === 'degraded')
    return [
      {
        // The shift carries the whole change, so the device keeps its resistance in the network.
        faults: [{ component: position, mode, addedOhm: 0 }],
        prior,
        shift: { component: position, volts: model.degraded_V, spread_V: model.degradedSpread_V },
        fitsOhm: false,
      },
    ];
  return [{ faults: [{ component: position, mode }], prior, fitsOhm: false }];
}

/** Sound, and every single fault that this stage can have; priors add up to one. */
export function singleFaults(stage: Stage): Hypothesis[] {
  const faulty = positionsOf(stage).flatMap((position) =>
    modesOf(stage, position).flatMap((mode) =>
      variants(
        position,
        mode,
        familyOf(position) !== null ? junctionPrior[mode] : (otherPrior[`${position} ${mode}`] ?? 0),
      ),
    ),
  );
  const total = faulty.reduce((sum, h) => sum + h.prior, 0);
  const scale = (1 - soundPrior) / total;
  return [
    { faults: [], prior: soundPrior, fitsOhm: false },
    ...faulty.map((h) => ({ ...h, prior: h.prior * scale })),
  ];
}
