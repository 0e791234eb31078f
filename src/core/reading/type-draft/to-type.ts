import type * as z from 'zod';
import { usualStrip, type Control, type DriveType, type Parameter } from '../../equipment/catalogue';
import { choicesOf, conceptOf, inputConcept, outputConcept, type ConceptId } from '../../equipment/concepts';
import { stage, type Stage } from '../../equipment/power-stage';
import type { typeDraftSchema, unitFactsSchema } from './schema';

type TypeDraft = z.output<typeof typeDraftSchema>;
type DraftParameter = TypeDraft['parameters'][number];

/** What a draft's manual does not say and the unit's label does. */
export type UnitFacts = z.output<typeof unitFactsSchema>;

/** A draft as both files of a type, and what had to be left out of them. */
export interface FinishedType {
  type: DriveType;
  control: Control;
  leftOut: { number: string; why: string }[];
}

const figuresOf = ({ min, max, default: given }: DraftParameter): number[] =>
  [
    min,
    max,
    ...(given === null || typeof given === 'number' ? [given] : [given['50Hz'], given['60Hz']]),
  ].filter((v): v is number => v !== null);

const decimalsOf = (value: number): number => /\.(\d+)$/.exec(String(value))?.[1]?.length ?? 0;

/** Steps as fine as the figures of the manual are written; finer ones cannot be known from it. */
const stepOf = (parameter: DraftParameter): number =>
  10 ** -Math.min(4, Math.max(0, ...figuresOf(parameter).map(decimalsOf)));

/** Why the meaning of a parameter cannot be used, although it was read; null: it can. */
function meaningFault(concept: ConceptId, { unit, choices }: DraftParameter): string | null {
  const { kind, name } = conceptOf(concept);
  if ('unit' in kind) {
    return unit === null || unit === kind.unit
      ? null
      : `in ${unit}, where ${name} is calculated in ${kind.unit === '' ? 'no unit' : kind.unit}`;
  }
  return choices.length < 2 ? `choices of ${name} were not read` : null;
}

/** As a keypad shows numbers: short and without gaps. */
const isNumber = (text: string): boolean => /^\S{1,12}$/.test(text);

function parameterOf(draft: DraftParameter, concept: ConceptId | null): Parameter {
  const { number, name, unit, min, max, choices, register } = draft;
  const neutral = concept === null ? [] : choicesOf(concept);
  const listed = choices.filter(({ value }) => Number.isInteger(value));
  return {
    ...{ number, name: name.slice(0, 200), lock: 0, readOnly: false, stop: false },
    ...(concept === null ? {} : { concept }),
    ...(unit === null || unit.length > 8 ? {} : { unit }),
    scale: listed.length > 1 ? 1 : stepOf(draft),
    ...(min === null ? {} : { min }),
    ...(max === null ? {} : { max }),
    ...(draft.default === null ? {} : { default: draft.default }),
    ...(listed.length < 2
      ? {}
      : {
          choices: listed.map(({ value, name: called, means }) => ({
            value,
            name: called.slice(0, 200) || String(value),
            ...(means !== undefined && neutral.includes(means) ? { means } : {}),
          })),
        }),
    // A list without pages has none.
    ...(draft.page > 0 ? { manualPage: draft.page } : {}),
    ...(register !== null && Number.isInteger(register) && register >= 0 && register <= 65_535
      ? { register }
      : {}),
  };
}

/** Keeps the first of those that have the same key. */
function firstOf<T>(list: readonly T[], keyOf: (item: T) => string | number | undefined): T[] {
  const seen = new Set<string | number>();
  return list.filter((item) => {
    const key = keyOf(item);
    if (key === undefined) return true;
    if (seen.has(key)) return false;
    seen.add(key);
    return true;
  });
}

/** The terminals that parameters speak of, under neutral names: the manual's marks were not read. */
function terminalsOf(
  known: ReadonlySet<ConceptId>,
): Pick<Control, 'inputs' | 'analogInputs' | 'relays' | 'analogOutput' | 'supply' | 'knob' | 'safeStop'> {
  const inputs = [1, 2, 3, 4, 5, 6].map((n) => `DI${n}`).filter((id) => known.has(inputConcept(id)));
  const relays = ['RO1', 'RO2'].filter((id) => known.has(outputConcept(id)));
  const analog = (['AI1', 'AI2'] as const).filter((id) => known.has(`input.${id}-signal`));
  return {
    inputs: (inputs.length === 0 ? ['DI1', 'DI2'] : inputs).map((id) => ({ id, mark: id })),
    analogInputs: (analog.length === 0 ? (['AI1'] as const) : analog).map((id) => ({ id, mark: id })),
    relays: relays.map((id) => ({ id, marks: [`${id}-C`, `${id}-NO`] })),
    analogOutput: known.has('output.AO1') ? 'AO1' : null,
    supply: { plus24: '+24V', common: 'COM', plus10: '+10V', analogCommon: 'ACOM' },
    ...{ knob: false, safeStop: null },
  };
}

const slug = (text: string): string =>
  text
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-|-$/g, '');

/** A type's id: of maker and range, with the end of the draft's id, so that two makers of one name stay apart. */
export const typeIdOf = ({ maker, range, id }: TypeDraft): string =>
  [slug(maker), slug(range), id.slice(-4)].filter((part) => part !== '').join('-');

function stageOfUnit({ frontEnd, brake }: UnitFacts): Omit<Stage, 'capacitance_uF' | 'bleederOhm'> {
  const {
    capacitance_uF: _c,
    bleederOhm: _b,
    ...built
  } = stage({ frontEnd, brake: brake === 'yes', assumed: ['link', 'fuse', 'bleederOhm', 'capacitance_uF'] });
  return brake === 'unknown' ? { ...built, assumed: [...(built.assumed ?? []), 'brake'] } : built;
}

/**
 * A draft as a type that every tool works with. What is not known is left out: registers (the link stays shut), menus,
 * keys, locks, terminal marks (neutral names instead), tables of fuses and sizes.
 * @param unit what the label of the unit says
 */
export function typeFrom(draft: TypeDraft, unit: UnitFacts): FinishedType {
  const leftOut: FinishedType['leftOut'] = [];
  const usable = firstOf(
    draft.parameters.filter((p) => {
      if (!isNumber(p.number))
        leftOut.push({ number: p.number, why: 'a number is up to 12 letters without a gap' });
      return isNumber(p.number);
    }),
    (p) => p.number,
  );
  const parameters = usable.map((p) => {
    const { concept } = p.meaning;
    const fault = concept === null ? null : meaningFault(concept, p);
    if (fault !== null) leftOut.push({ number: p.number, why: `its meaning is not used: ${fault}` });
    return parameterOf(p, fault === null ? concept : null);
  });
  const registers = new Set(firstOf(parameters, (p) => p.register));
  const alarms = firstOf(
    draft.alarms.filter(({ code, name }) => code.trim().length <= 12 && name.trim() !== ''),
    ({ code }) => code.trim(),
  );
  const built = stageOfUnit(unit);
  const usual = stage();
  return {
    leftOut,
    type: {
      id: typeIdOf(draft),
      maker: draft.maker,
      range: draft.range,
      about: `From ${draft.source}. Terminals of the control strip have neutral names; the power stage is a usual one where nobody stated it.`,
      discontinued: false,
      phases: unit.phases === '1' ? 1 : 3,
      supply_V: unit.supply_V,
      labelWait_min: unit.labelWait_min,
      models: unit.models.map((model) => ({
        ...model,
        capacitance_uF: usual.capacitance_uF,
        bleederOhm: usual.bleederOhm,
      })),
      stage: built,
      strip: usualStrip({ ...usual, ...built }),
    },
    control: {
      ...terminalsOf(new Set(parameters.flatMap(({ concept }) => concept ?? []))),
      ...{ rampCountsTo: 'maximum', locks: [], options: [], places: [] },
      // Two parameters of one register cannot both be right: the second one's stays unknown.
      parameters: parameters.map((p) => {
        if (registers.has(p)) return p;
        const { register: _register, ...rest } = p;
        return rest;
      }),
      manual: { draft: draft.id },
      alarms: alarms.map(({ code, name, meaning }) => ({
        ...{ code: code.trim(), name: name.trim().slice(0, 200), family: meaning.family ?? 'other' },
        ...{ latched: true, reset: 'reset', firstChecks: [] },
      })),
      keypad: { keys: [], menu: [], displays: [], lamps: [] },
      modbus: null,
      fitting: { fuses: [], torques: [], sizes: [], storage: [], derating: [] },
    },
  };
}
