import type { ConceptId } from '../concepts';
import type { Plate, PlateSums } from '../plate';
import type { Rating } from '../drive-words';

export const loadKinds = ['fan-or-pump', 'conveyor', 'piston-pump', 'hoist', 'winch', 'other'] as const;
export type LoadKind = (typeof loadKinds)[number];

/** What a person decides; the rules do the rest. */
export interface Choices {
  load: LoadKind;
  region: '50Hz' | '60Hz';
  runFrom: 'keypad' | 'terminals' | 'serial';
  speedFrom: 'keypad' | 'knob' | 'AI1' | 'AI2' | 'preset' | 'serial';
  wiring: 'two-wire' | 'three-wire' | 'two-wire-direction';
  signal?: '0-10V' | '0-20mA' | '4-20mA' | undefined;
  reverse: boolean;
  /** An encoder is fitted, with its board. */
  encoder: boolean;
  /** The shaft is coupled to its machine. */
  coupled: boolean;
  /** A mechanical brake that is proven to close. */
  brakeProven: boolean;
  brakeResistor: boolean;
  /** Fed from one phase although it is made for three. */
  singlePhaseFed: boolean;
  up_s?: number | undefined;
  down_s?: number | undefined;
  minimum_Hz?: number | undefined;
  maximum_Hz?: number | undefined;
}

export interface Context {
  /** Of several motors alike their sum in power and current. */
  plate: Plate;
  motors: number;
  sums: PlateSums;
  rating: Rating;
  choices: Choices;
  /** For which it was derated at its place; undefined: nothing was said. */
  carrier_kHz?: number | undefined;
  supply: { volts: number; hz: number };
}

/** To begin with: what most machines have. */
export const usualChoices = ({ plate_Hz, knob }: { plate_Hz: number; knob: boolean }): Choices => ({
  load: 'other',
  region: plate_Hz >= 55 ? '60Hz' : '50Hz',
  runFrom: 'terminals',
  speedFrom: knob ? 'knob' : 'AI1',
  wiring: 'two-wire',
  signal: '0-10V',
  reverse: false,
  encoder: false,
  coupled: true,
  brakeProven: false,
  brakeResistor: false,
  singlePhaseFed: false,
});

/** What a rule comes to: a figure or a neutral choice, or why nothing may be entered. */
export type Outcome =
  /** Of neutral choices the first that the type has. */
  | { value: number | readonly string[]; sum: string; warnings?: readonly string[] }
  | { refused: string; remedy: string; sum: string };

export interface Rule {
  concept: ConceptId;
  /** What the rule is called, and as a formula. */
  name: string;
  formula: string;
  provenance: string;
  /** How a figure meets the steps of the entry. */
  rounding: 'down' | 'nearest';
  /** Null where the rule has nothing to say. */
  apply: (context: Context) => Outcome | null;
}

export const practice = 'common practice, no source';
export const isLifting = (load: LoadKind): boolean => load === 'hoist' || load === 'winch';
export const isVariableTorque = (load: LoadKind): boolean => load === 'fan-or-pump';

/** A rule that enters what the plate says. */
export const fromPlate = (
  concept: ConceptId,
  name: string,
  of: (context: Context) => { value: number; sum: string } | null,
): Rule => ({
  concept,
  name,
  formula: 'as on the plate',
  provenance: practice,
  rounding: 'nearest',
  apply: of,
});

/** A rule whose answer is one of the neutral choices. */
export const chosen = (
  concept: ConceptId,
  name: string,
  of: (
    context: Context,
  ) => { value: string | readonly string[]; sum: string; warnings?: readonly string[] } | null,
): Rule => ({
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
