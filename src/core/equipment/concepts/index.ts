// What a parameter means, whatever its make calls it.
import { keysOf } from '../../numerics/arrays';
import {
  dictionary,
  inputFunctions,
  type ConceptId,
  type ConceptKind,
  type InputFunction,
} from './dictionary';
import { inputFunctionNames } from './input-function-names';

export {
  analogOutputFunctions,
  inputFunctions,
  outputFunctions,
  type ConceptId,
  type InputFunction,
  type PhysicalUnit,
} from './dictionary';

export { inputFunctionNames } from './input-function-names';
export { alarmFamilies, unitStates, type AlarmFamily, type UnitState } from './vocabulary';

/** A concept with its name, and its unit or its neutral choices. */
export interface Concept {
  id: ConceptId;
  name: string;
  kind: ConceptKind;
}

/** The neutral choices of a concept. */
export type ChoiceOf<Id extends ConceptId> = (typeof dictionary)[Id] extends {
  choices: readonly (infer C)[];
}
  ? C
  : never;

/** Every concept of the dictionary. */
export const conceptIds = keysOf(dictionary);

/** A concept made of a group and a terminal's id. A terminal that the dictionary does not have gives one that no parameter carries. */
const conceptOfTerminal = (id: string): ConceptId => id as ConceptId;

/** The function of a digital input, e.g. of "DI1". */
export const inputConcept = (input: string): ConceptId => conceptOfTerminal(`input.${input}`);

/** The signal of an analog input, e.g. of "AI1". */
export const inputSignalConcept = (input: string): ConceptId => conceptOfTerminal(`input.${input}-signal`);

/** The function of a relay, e.g. of "RO1". */
export const outputConcept = (relay: string): ConceptId => conceptOfTerminal(`output.${relay}`);

/** A preset speed by its number. */
export const presetConcept = (preset: number): ConceptId => conceptOfTerminal(`preset.${preset}`);

/** Is it a neutral function of an input? */
export const isInputFunction = (text: string): text is InputFunction =>
  inputFunctions.some((f) => f === text);

/** What an input does, as screens and papers call it; a function of no known name stays as it is. */
export const inputFunctionName = (does: string): string =>
  isInputFunction(does) ? inputFunctionNames[does] : does;

/** A concept by its id. */
export const conceptOf = (id: ConceptId): Concept => {
  const { name, ...kind } = dictionary[id];
  return { id, name, kind };
};

/** Neutral choices of a concept; empty for a figure. */
export const choicesOf = (id: ConceptId): readonly string[] => {
  const { kind } = conceptOf(id);
  return 'choices' in kind ? kind.choices : [];
};

/** What a motor's plate says. */
export const plateConcepts: readonly ConceptId[] = [
  'motor.power',
  'motor.voltage',
  'motor.current',
  'motor.frequency',
  'motor.speed',
  'motor.cosphi',
];
