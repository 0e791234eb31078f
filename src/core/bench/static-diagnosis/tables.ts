import type { Network } from '../../numerics/circuit';
import type { Fault, Meter, Probe, Stage } from '../../equipment/power-stage';
import type { Circumstance } from './circumstances';
import type { FaultableNetwork, Ways } from './faultable-network';
import type { Variant } from './variants';

/** What the meter would show on one probe and how that follows the unknowns. */
export interface Solution {
  /** One number per different answer: hypotheses that share it cannot be told apart by the probe. */
  id: number;
  volts: number;
  /** The display shows overload. */
  overload: boolean;
  /** Sparse: columns (see `column`) and V per unit of each. Empty well above the ceiling. */
  columns: Uint8Array;
  values: Float64Array;
  /** Node voltages, where bigger hypotheses may start from them. */
  point?: Float64Array;
}

/** A state of the unit that is tried, under one circumstance. */
export interface Hypothesis {
  /** Counts through all hypotheses of the tables, in the order they were made. */
  number: number;
  /** Which of the grounds. */
  circumstance: number;
  faults: readonly Fault[];
  /** Numbers of the same among the tables' variants, in rising order: what tells hypotheses apart. */
  variants: readonly number[];
  /** Columns that it leaves wider open than a sound device: sizes of leaks, drops of worn parts, … */
  open: readonly number[];
  /** Names of the faults, joined: what a candidate is. */
  name: string;
  /** ln of the share of all units. */
  logPrior: number;
  /** The same without one of the faults, for each fault. */
  without: readonly Hypothesis[];
  /** The same under the circumstance whose readings these are, mirrored. */
  twin: Hypothesis | null;
  /** Solutions so far, by the probe's row. */
  solved: (Solution | undefined)[];
  /** Where current can go from red and to black, by row; made when first asked. */
  reaches: { red: Int32Array; black: Int32Array } | null;
}

/** Everything that can be computed before the first reading, filled as it is asked for. */
export interface Tables {
  stage: Stage;
  meter: Meter;
  /** Where the linearisation stands: drops of the families against the typical ones, V. */
  familyShift_V: Readonly<Record<string, number>>;
  variants: readonly Variant[];
  circumstances: readonly Circumstance[];
  faultableNetworks: readonly FaultableNetwork[];
  /** May grow: a probe outside the plan is added when it is first read. */
  probes: Probe[];
  rows: Map<string, number>;
  /** The row of the same probe with the leads swapped, where it was asked for. */
  mirrors: (number | undefined)[];
  /**
   * Every hypothesis there is, by its number: sound and single faults in the right set-up first, then the
   * traps, each sound and with gross faults, then the pairs. More are made on demand and come after.
   */
  all: Hypothesis[];
  /** Their ln priors: looked through with every reading, so kept together. */
  logPriors: number[];
  /** Numbers of sound and the single faults, and of all that were there from the start. */
  singles: readonly number[];
  enumerated: readonly number[];
  /** The same by their keys. */
  known: Map<string, Hypothesis>;
  /** What hypotheses answer to a probe, by its row. */
  answers: (AnswersOfRow | undefined)[];
  /** Tables around other drops, made on demand. */
  others: Map<string, Tables>;
  /** Answers solved again around a fit, by the answer they replace. */
  relinearised: Map<number, { solution: Solution; around: Float64Array }>;
  /** The network that was solved last: hypotheses are mostly asked for row after row. */
  last: { of: Hypothesis; network: Network; ways: Ways } | null;
}

/** Where a predicted voltage stands against the ceiling of the display: surely, or near it. */
export type Standing = 'above' | 'below' | 'near';

/** A solution as a hypothesis gives it: the same for all that leave the same sizes open in it. */
export interface ClassedSolution {
  solution: Solution;
  /** Columns that the answer follows and the hypothesis leaves open. */
  open: readonly number[];
  /** The faults are several: their sizes are known less well. */
  beside: boolean;
  /** It follows a leak: near the ceiling both states are possible. */
  leaks: boolean;
}

/** The answers of all hypotheses to one probe, each different one once. */
export interface AnswersOfRow {
  /** Number of the answer by the number of the hypothesis; `unasked` where it was not asked for yet. */
  of: Int32Array;
  answers: ClassedSolution[];
  /** Of each: is it surely above the ceiling, surely below, or near it? */
  states: Standing[];
  bySolution: Map<number, number[]>;
}
