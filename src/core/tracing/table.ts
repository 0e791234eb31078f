import type { AlarmFamily } from '../concepts';

/** What a check exposes one to. */
export type Hazard = 'none' | 'dead' | 'control' | 'live';

export interface Cause {
  id: string;
  name: string;
  /** How often it is this one, against the others of the table. */
  weight: number;
  remedy: string;
  /** Minutes to try the remedy and switch on again: only that shows whether it was the cause. */
  cure_min: number;
}

export interface Check {
  id: string;
  /** What to do, as one does it. */
  what: string;
  minutes: number;
  hazard: Hazard;
  tool?: string;
  /** Each with its chance under some causes, and under all others. */
  outcomes: readonly {
    id: string;
    words: string;
    given: Readonly<Record<string, number>>;
    otherwise: number;
  }[];
}

/** What is known of one alarm family: data that a shop may edit. */
export interface TraceTable {
  family: AlarmFamily | 'no-motion' | 'slow' | 'wrong-direction' | 'edit-not-taken';
  /** Where the figures come from. */
  provenance: string;
  /** No power, and no second reset, before something was measured dead. */
  deadFirst: boolean;
  causes: readonly Cause[];
  checks: readonly Check[];
}
