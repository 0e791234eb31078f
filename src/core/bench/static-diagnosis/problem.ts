import type { Expectation, HypothesisFit } from './fit';
import type { Ceiling } from './meter-likelihood';
import type { Observation } from './observations';
import type { Hypothesis, Tables } from './tables';

/** Hypotheses whose answers to the probes taken are one and the same, with the one fit they share. */
export interface Weighed {
  fit: HypothesisFit;
  /** Each with its own share, best first. */
  members: { hypothesis: Hypothesis; probability: number }[];
  /** Of all members together. */
  probability: number;
  /** Weighed with another's drops: the fit is none of its own. */
  rough: boolean;
}

/** What the weighing of all hypotheses gives. */
export interface Posterior {
  /** What has a share worth comparing, best first. */
  weighed: Weighed[];
  /** The chance of each fault at each size, by the number of the variant. */
  ofVariant: Float64Array;
  ofCircumstance: Float64Array;
  /** Share of what was weighed roughly, without a fit of its own. */
  roughMass: number;
  /** Upper estimate of the share of what was left out altogether. */
  prunedMass: number;
  /** How many hypotheses were looked at, fitted, and solved again. */
  looked: number;
  fitted: number;
}

/** Readings to be explained, with the tables of the stage and meter they were taken on. */
export interface DiagnosisProblem {
  tables: Tables;
  observations: readonly Observation[];
  rows: readonly number[];
  expectation: Expectation;
  ceiling: Ceiling;
}
