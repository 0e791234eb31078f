// How likely a reading is, given the volts that a hypothesis predicts for it.
import { model } from './model';
import type { Observation } from './observations';
import type { Solution, Standing } from './tables';
import { item } from '../../numerics/arrays';

// Taken once: looking a global up at every use costs more than the function itself.
const { abs, exp, log, max, min } = Math;

const floor = log(model.slip / model.slipRange_V);
const logTwoPi = log(2 * Math.PI);

/** The chance that a normal variate lies below x deviations, by its logistic likeness. */
export const normalBelow = (x: number): number => 1 / (1 + exp(-1.7 * x));

/** The chance that a display shows overload for a predicted voltage. */
const overloadChance = (volts: number, ceiling_V: number): number =>
  normalBelow((abs(volts) - ceiling_V) / model.ceiling_V);

/** ln likelihood of the observed state alone; finite figures are weighed in the fit. */
function stateScore(observation: Observation, predicted_V: number, ceiling_V: number): number {
  const overload = overloadChance(predicted_V, ceiling_V);
  // A mistake seldom happens twice on one probe.
  const poorContact = model.poorContact ** min(observation.repeats, 2);
  const slip = model.slip ** min(observation.repeats, 2);
  if (observation.state === 'finite') return log((1 - overload) * (1 - poorContact) + overload * slip);
  const blocked = overload + (1 - overload) * poorContact;
  return observation.state === 'OL' ? log(blocked) : log(0.5 * overload + 0.01 * (1 - overload));
}

/** The display's ceiling, and what an observation says of a probe surely above or below it. */
export interface Ceiling {
  volts: number;
  bounds: readonly { blocked: number; conducting: number }[];
}

/**
 * What the meter's ceiling makes of each observation.
 * @param volts of the ceiling
 */
export const ceilingFor = (observations: readonly Observation[], volts: number): Ceiling => ({
  volts,
  bounds: observations.map((o) => ({
    blocked: stateScore(o, Infinity, volts),
    conducting: stateScore(o, 0, volts),
  })),
});

/** Farther from the ceiling than this a state is certain, V. */
const certain_V = 0.4;

/** Where a predicted voltage stands against the ceiling. */
export const standingOf = (predicted_V: number, ceiling_V: number): Standing => {
  const above = abs(predicted_V) - ceiling_V;
  return above > certain_V ? 'above' : above < -certain_V ? 'below' : 'near';
};

/**
 * ln likelihood of an observed state.
 * @param open the voltage follows a size that is still open: near the ceiling both states are possible
 */
export function stateLikelihood(
  { volts: ceiling_V, bounds }: Ceiling,
  observations: readonly Observation[],
  i: number,
  predicted_V: number,
  open = false,
): number {
  const { blocked, conducting } = item(bounds, i);
  const standing = standingOf(predicted_V, ceiling_V);
  if (standing !== 'near') return standing === 'above' ? blocked : conducting;
  return open ? max(blocked, conducting) : stateScore(item(observations, i), predicted_V, ceiling_V);
}

/** A finite reading as the fit sees it: what is left when the hypothesis's own volts are taken off, V. */
export interface Figure {
  i: number;
  solved: Solution;
  volts: number;
  residual: number;
  spread: number;
}

/** ln likelihood of a figure that is meant as it stands. @param left_V what the fit leaves of it */
export const goodScore = (f: Figure, left_V: number): number =>
  log(1 - model.slip) - 0.5 * (left_V / f.spread) ** 2 - log(f.spread) - 0.5 * logTwoPi;

/** What a slip costs against a figure that fits, nats: no reading can cost a hypothesis more. */
export const slipCost = log((1 - model.slip) / model.reading_V) - 0.5 * logTwoPi - floor;

/** Factors by which a decimal point in the wrong place changes a figure. */
export const decimalFactors = [10, 0.1, 100, 0.01, 1000] as const;

/** A figure that should not be what it is: anything, or the right one with its point misplaced. */
export function slipScore(f: Figure, left_V: number): number {
  if (abs(left_V) < 5 * f.spread) return floor;
  const expected = f.volts - left_V;
  let best = floor;
  for (const factor of decimalFactors) {
    const off = (f.volts / factor - expected) / f.spread;
    if (abs(off) < 5)
      best = max(
        best,
        log(model.decimal / decimalFactors.length / factor / f.spread) - 0.5 * (off * off + logTwoPi),
      );
  }
  return best;
}
