import type { FaultMode, Position, Probe, Shown } from '../../equipment/power-stage';
import type { CircumstanceCode } from './circumstances';

/** A position of the power stage and how it failed. */
export interface NamedFault {
  component: Position;
  mode: FaultMode;
}

/** A set of faults that explains the readings, with its probability. */
export interface Candidate {
  /** Empty: the unit is sound. */
  faults: NamedFault[];
  /** Of this and all its equivalents together. */
  probability: number;
  /** Hypotheses that no reading taken so far can tell from this one, likeliest first. */
  equivalents?: NamedFault[][];
  /** Those of them that are worth a thought: no mere addition to these faults, and not far less likely. */
  alike: NamedFault[][];
}

/** What is known of one position. */
export type PositionState = 'sound' | 'short' | 'leaky' | 'open' | 'degraded' | 'unprobed' | 'unknown';

/** A trap of the test set-up that can be recognised in readings. */
export type ConditionCode =
  CircumstanceCode | 'entry-slip' | 'hot-unit' | 'meter-battery-low' | 'leads-shorted';

/** Something about the set-up or the meter, not the unit, that the figures betray. */
export interface Condition {
  code: ConditionCode;
  probability: number;
  advice: string;
}

/** How one reading fits the unit as it was diagnosed. */
export interface ReadingJudgement extends Probe {
  state: 'sound' | 'doubt' | 'failed';
  /** What a sound unit with this one's drops would show. */
  expected: Shown;
  /** Deviation from that, V, where both are figures. */
  off_V: number | null;
  /** How often this probe was read. */
  repeats: number;
}

/** A probe that is worth taking next. */
export interface NextProbe extends Probe {
  /** Expected information about which hypothesis holds, bits. */
  gainBits: number;
  /** How long moving the leads and waiting for the figure takes, s. */
  handling_s: number;
  /** The two likeliest explanations that this reading would tell apart. */
  between: [NamedFault[], NamedFault[]];
}

/** What the readings of a diode test say: verdict, candidates, each position, traps, repeats, next probes. */
export interface Diagnosis {
  verdict: 'not-shorted' | 'faulty' | 'doubtful' | 'invalid';
  candidates: Candidate[];
  restProbability: number;
  positions: { component: Position; state: PositionState; probability: number }[];
  conditions: Condition[];
  repeat: (Probe & { why: string })[];
  next: NextProbe[];
  /** Why further probing would change nothing; null while it may. */
  enough: string | null;
  unseen: NamedFault[];
  caseNotes: { code: string; text: string }[];
  readings: ReadingJudgement[];
  /** Fitted drop of each family relative to the typical one, V. */
  familyShift_V: Record<string, number>;
  /** What the computing looked at and fitted; the shares it weighed roughly and left out. */
  effort: { hypotheses: number; fitted: number; roughMass: number; prunedMass: number };
}

/** A diagnosis without a verdict, with the reason. */
export const invalid = (code: string, text: string, extra: Partial<Diagnosis> = {}): Diagnosis => ({
  verdict: 'invalid',
  candidates: [],
  restProbability: 1,
  positions: [],
  conditions: [],
  repeat: [],
  next: [],
  enough: null,
  unseen: [],
  caseNotes: [{ code, text }],
  readings: [],
  familyShift_V: {},
  effort: { hypotheses: 0, fitted: 0, roughMass: 0, prunedMass: 0 },
  ...extra,
});
