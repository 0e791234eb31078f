import type { BusLevels } from '../../equipment/power-stage';
import type { Control, Parameter } from '../../equipment/catalogue';
import {
  inputFunctionNames,
  type ConceptId,
  type InputFunction,
  inputConcept,
  isInputFunction,
} from '../../equipment/concepts';
import { meaningOf, parameterFor, shownAs, type Live, type Values } from '../../equipment/drive-words';

/** What the chain needs to know of a type. */
export type ChainControl = Pick<Control, 'inputs' | 'analogInputs' | 'safeStop' | 'parameters' | 'alarms'>;

/** All that is known of a unit that will not run. What is not known is not there. */
export interface ChainFacts {
  control: ChainControl;
  supply_V: number;
  /** Where its type says that it trips; absent: as its voltage class does. */
  busLevels?: BusLevels | undefined;
  values: Values;
  live: Live;
}

/** What a link rests on: where it was read, and what it said. */
export interface Evidence {
  what: string;
  said: string;
}

/** A look that settles an unknown link. */
export interface NextLook {
  what: string;
  /** Common practice, no source. */
  minutes: number;
}

/** One permissive: closed, open or unknown, with its evidence. */
export interface ChainLink {
  id: ChainLinkId;
  name: string;
  state: 'closed' | 'open' | 'unknown';
  why: string;
  evidence: Evidence[];
  look?: NextLook;
}

/** A link as it is judged, before it has its name. */
export type LinkJudgement = Omit<ChainLink, 'id' | 'name'>;

/** The permissives, in the order of the chain. */
export const linkIds = [
  'supply',
  'precharge',
  'trip',
  'safe-stop',
  'enable',
  'interlock',
  'coast',
  'place',
  'run',
  'direction',
  'reference',
  'limits',
  'output',
] as const;
/** A permissive of the chain. */
export type ChainLinkId = (typeof linkIds)[number];

/** An input that carries a function, with the parameter that says so. */
export interface Carrier {
  id: string;
  mark: string;
  parameter: Parameter;
  carries: InputFunction;
  /** What the unit sees on it. */
  on: boolean | undefined;
}

/** Every input with its function, where that is known. */
export const carriers = ({
  control,
  values,
  live,
}: Pick<ChainFacts, 'values' | 'live'> & {
  control: Pick<ChainControl, 'inputs' | 'parameters'>;
}): Carrier[] =>
  control.inputs.flatMap(({ id, mark }): Carrier[] => {
    const concept = inputConcept(id);
    const parameter = parameterFor(control, concept);
    const carries = meaningOf(control, values, concept);
    return parameter === undefined || typeof carries !== 'string' || !isInputFunction(carries)
      ? []
      : [{ id, mark, parameter, carries, on: live.inputs?.[id] }];
  });

/** Are the functions of all inputs known? Else one of the others may carry what is looked for. */
export const inputsKnown = (facts: ChainFacts): boolean =>
  carriers(facts).length ===
  facts.control.inputs.filter(({ id }) => parameterFor(facts.control, inputConcept(id))).length;

/** What a parameter says by its concept; undefined where it was not read. */
export const meaning = ({ control, values }: ChainFacts, concept: ConceptId): string | number | undefined =>
  meaningOf(control, values, concept);

/** "5-03 Input X3: interlock", as the keypad says it. */
export function saysParameter({ control, values }: ChainFacts, concept: ConceptId): Evidence[] {
  const p = parameterFor(control, concept);
  const value = p === undefined ? undefined : values[p.number];
  if (p === undefined || value === undefined) return [];
  return [{ what: `${p.number} ${p.name}`, said: shownAs(p, value) }];
}

/** "X3, carries interlock (5-03): off". */
export const saysInput = ({ mark, parameter, carries, on }: Carrier): Evidence => ({
  what: `${mark}, ${inputFunctionNames[carries]} (${parameter.number})`,
  said: on === undefined ? 'not read' : on ? 'on' : 'off',
});

/** Look at the bits of the inputs on the display. */
export const lookAtInput = ({ mark }: Pick<Carrier, 'mark'>): NextLook => ({
  what: `Read the bit of ${mark} in the input monitor.`,
  minutes: 1,
});

/** Look at a parameter on the display. */
export const lookAtParameter = ({ control }: ChainFacts, concept: ConceptId): NextLook => {
  const p = parameterFor(control, concept);
  return { what: p === undefined ? 'Look at the display.' : `Read ${p.number} ${p.name}.`, minutes: 1 };
};

/** A bit of the serial control word, with what it said. */
export function serialBit(
  { live }: ChainFacts,
  name: string,
  [set, unset]: readonly [string, string],
): { on: boolean; said: Evidence } | { on: undefined; look: NextLook } {
  const on = live.serial?.[name];
  return on === undefined
    ? { on, look: { what: `Read the serial control word in the monitor: ${set}, or ${unset}?`, minutes: 2 } }
    : { on, said: { what: 'serial control word', said: on ? set : unset } };
}
