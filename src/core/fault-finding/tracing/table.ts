import type { AlarmFamily, ConceptId } from '../../equipment/concepts';

/** Hazards of checks. */
export const hazards = ['none', 'dead', 'control', 'moves', 'live'] as const;
/** What a check exposes one to: nothing, an isolated drive, control voltage, a machine that moves, live parts. */
export type Hazard = (typeof hazards)[number];

/** Is the drive under power for it? */
export const isEnergised = (hazard: Hazard | undefined): boolean =>
  hazard === 'control' || hazard === 'moves' || hazard === 'live';

/** A cause of a fault, how often it is this one, and its remedy. */
export interface TraceCause {
  id: string;
  name: string;
  /** How often it is this one, against the others of the table. */
  weight: number;
  remedy: string;
  /** Minutes to try the remedy and switch on again: only that shows whether it was the cause. */
  cure_min: number;
}

/** Live figures a rule may look at: bus volts over the peak of the supply, amps over the rating, and so on. */
export const liveFigures = ['busShare', 'currentShare', 'reference_Hz', 'heatsink_C', 'running'] as const;
/** A live value that can say the outcome of a check. */
export type LiveFigure = (typeof liveFigures)[number];

/** When the drive itself already says the outcome of a check: by an entry or by a live figure. */
export interface ReadRule {
  outcome: string;
  concept?: ConceptId | undefined;
  live?: LiveFigure | undefined;
  /** Neutral choices of the entry. */
  is?: readonly string[] | undefined;
  atLeast?: number | undefined;
  below?: number | undefined;
}

/** A check, its hazard, what it takes, and what its outcomes say of each cause. */
export interface Check {
  id: string;
  /** What to do, as one does it. */
  what: string;
  minutes: number;
  hazard: Hazard;
  tool?: string | undefined;
  /** The first that holds proposes its outcome. */
  read?: readonly ReadRule[] | undefined;
  /** Each with its chance under some causes, and under all others. */
  outcomes: readonly {
    id: string;
    words: string;
    given: Readonly<Record<string, number>>;
    otherwise: number;
  }[];
}

/** Troubles that show no alarm. */
export const troubles = [
  'dead-display',
  'protection-trips',
  'no-motion',
  'slow',
  'wrong-direction',
  'hunting',
  'bearing',
  'intermittent',
  'edit-not-taken',
] as const;
/** A problem that shows no fault on the display. */
export type UnreportedProblem = (typeof troubles)[number];

/** Faults after which no power returns, and no reset, before the bench says not shorted and the insulation passed. */
export const deadlyFamilies = ['desaturation', 'short-circuit', 'ground'] as const;

/** Is it one of them? */
export const isDeadly = (family: string | null | undefined): boolean =>
  deadlyFamilies.some((deadly) => deadly === family);

/** What is known of one alarm family: data that a shop may edit. */
export interface TraceTable {
  family: AlarmFamily | UnreportedProblem;
  /** Where the figures come from. */
  provenance: string;
  /** No power, and no second reset, before the bench test and the insulation test passed. */
  deadFirst: boolean;
  causes: readonly TraceCause[];
  checks: readonly Check[];
}
