import type { ConceptId } from '../../equipment/concepts';
import type { Plate, PlateSums } from '../../equipment/plate';
import type { StartUpChoices } from '../../equipment/application';
import type { Rating } from '../../equipment/drive-words';

/** What a rule computes from. */
export interface StartUpContext {
  /** Of several motors alike their sum in power and current. */
  plate: Plate;
  motors: number;
  sums: PlateSums;
  rating: Rating;
  choices: StartUpChoices;
  /** For which it was derated at its place; undefined: nothing was said. */
  carrier_kHz?: number | undefined;
  supply: { volts: number; hz: number };
}

/** What a rule comes to: a figure or a neutral choice, or why nothing may be entered. */
export type RuleOutcome =
  /** Of neutral choices the first that the type has. */
  | { value: number | readonly string[]; sum: string; warnings?: readonly string[] }
  | { refused: string; remedy: string; sum: string };

/** A rule of the start-up sheet. */
export interface StartUpRule {
  concept: ConceptId;
  /** What the rule is called, and as a formula. */
  name: string;
  formula: string;
  provenance: string;
  /** How a figure meets the steps of the entry. */
  rounding: 'down' | 'nearest';
  /** Null where the rule has nothing to say. */
  apply: (context: StartUpContext) => RuleOutcome | null;
}

/** Where no source is named. */
export const practice = 'common practice, no source';

/** A rule that enters what the plate says. */
export const fromPlate = (
  concept: ConceptId,
  name: string,
  of: (context: StartUpContext) => { value: number; sum: string } | null,
): StartUpRule => ({
  concept,
  name,
  formula: 'as on the nameplate',
  provenance: practice,
  rounding: 'nearest',
  apply: of,
});

/** A rule whose answer is one of the neutral choices. */
export const chosen = (
  concept: ConceptId,
  name: string,
  of: (
    context: StartUpContext,
  ) => { value: string | readonly string[]; sum: string; warnings?: readonly string[] } | null,
): StartUpRule => ({
  concept,
  name,
  formula: 'by choice',
  provenance: practice,
  rounding: 'nearest',
  apply: (context) => {
    const made = of(context);
    return made === null
      ? null
      : { ...made, value: typeof made.value === 'string' ? [made.value] : made.value };
  },
});
