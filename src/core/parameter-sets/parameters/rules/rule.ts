import type { ConceptId } from '../../../equipment/concepts';
import type { Plate } from '../../../equipment/plate';
import type { StartUpChoices } from '../../../equipment/application';
import type { UnitSet } from '../set';

/** How grave a finding of a rule is. */
export type AuditSeverity = 'info' | 'doubt' | 'wrong';

/** What is known beside the set; what is not known is not judged. */
export interface AuditContext {
  plate?: Plate | undefined;
  choices?: StartUpChoices | undefined;
  /** Position of the jumper or switch of an analog input. */
  jumpers?: Partial<Record<'AI1' | 'AI2', 'V' | 'mA'>> | undefined;
  /** Shortest safe ramps of the machine, s. */
  shortest?: { up_s: number | null; down_s: number | null } | undefined;
  /** Stator resistance in a set of another motor, Ω: the same to the last digit was copied. */
  otherMotors_ohm?: readonly number[] | undefined;
  /** The carrier for which the unit was derated at its place. */
  carrier_kHz?: number | undefined;
}

/** What a rule reads: a figure or a choice by concept; undefined where the set does not say. */
export interface AuditFacts extends AuditContext {
  set: UnitSet;
  num: (concept: ConceptId) => number | undefined;
  is: (concept: ConceptId) => string | undefined;
  /** What the digital inputs do. */
  functions: readonly { mark: string; does: string }[];
}

/** A finding with its calculation; null: nothing to say. */
export type AuditJudgement = { text: string; sum: string } | null;

/** A rule that looks at a set and its circumstances. */
export interface AuditRule {
  id: string;
  severity: AuditSeverity;
  /** What it looks at, in a few words. */
  about: string;
  /** Entries it points to. */
  concepts: readonly ConceptId[];
  /** A finding; null: nothing to say; undefined: a value is missing, so it is not judged. */
  judge: (facts: AuditFacts) => AuditJudgement | undefined;
}

/** A finding where something is so; null where it is not. */
export const when = (so: boolean, text: string, sum: string): AuditJudgement => (so ? { text, sum } : null);

type Known<T> = { [K in keyof T]: Exclude<T[K], undefined> };

/** Judges where every value is known; undefined, so not judged, where one is missing. */
export const given = <const T extends readonly unknown[]>(
  values: T,
  judge: (...known: Known<T>) => AuditJudgement,
): AuditJudgement | undefined => (values.includes(undefined) ? undefined : judge(...(values as Known<T>)));
