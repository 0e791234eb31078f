// What a parameter means, whatever its make calls it.
import { dictionary, type ConceptId, type ConceptKind } from './dictionary';

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

export const conceptIds = Object.keys(dictionary) as ConceptId[];

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
