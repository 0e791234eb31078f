import type { Parameter } from '../../equipment/catalogue';
import { conceptOf, type ConceptId, inputConcept } from '../../equipment/concepts';
import { parameterAt, parameterFor, shownAs, type Values } from '../../equipment/drive-words';
import { carriedFigure, steppedInto } from './figures';
import { inputHomes, type InputHome } from './inputs';
import { factorySet, regionOf, type RatedUnit, type UnitSet } from './set';
import { notCarried, otherForm } from './shares';
import { recordOf } from '../../numerics/arrays';

/** What became of a value on another type. */
export type TranslationOutcome = 'carried' | 'converted' | 'clamped' | 'to-choose' | 'no-home';
/** What can become of a value on another type. */
export const translationOutcomes: readonly TranslationOutcome[] = [
  'carried',
  'converted',
  'clamped',
  'to-choose',
  'no-home',
];

/** One value on its way to another type. */
export interface TranslatedRow {
  /** The entry it comes from. */
  from: { number: string; name: string; value: number; shown: string };
  concept: ConceptId | null;
  /** Where it goes; null where it goes nowhere, its value null as long as a person has not chosen. */
  to: { number: string; name: string; value: number | null; shown: string } | null;
  outcome: TranslationOutcome;
  /** How the value was made, where it was. */
  sum: string | null;
  /** Why it is not simply carried. */
  reason: string | null;
  /** Of a choice that must be made: what can be chosen. */
  options: { value: number; name: string }[];
}

/** A set on another type, row by row, with what stayed at the factory's value. */
export interface Translation {
  rows: TranslatedRow[];
  counts: Readonly<Record<TranslationOutcome, number>>;
  /** Values of the new unit: its factory's, with what was carried, converted, clamped or chosen. */
  values: Values;
  /** Entries of the new type that nothing was carried to; they stay as the factory set them. */
  untouched: string[];
}

/** What a person chose, by the number of the entry it comes from; null: leave the new type's own. */
export type TranslationChoices = Readonly<Record<string, number | null>>;

type Made = Pick<TranslatedRow, 'to' | 'outcome' | 'sum' | 'reason'> & { options?: TranslatedRow['options'] };

const target = (p: Parameter, value: number | null): TranslatedRow['to'] => ({
  number: p.number,
  name: p.name,
  value,
  shown: value === null ? '' : shownAs(p, value),
});

const homeless = (reason: string): Made => ({ to: null, outcome: 'no-home', sum: null, reason });

const optionsOf = (p: Parameter): TranslatedRow['options'] =>
  (p.choices ?? []).map(({ value, name }) => ({ value, name }));

/** A choice by what it means; to be chosen where the new type does not know it. */
function carriedChoice(p: Parameter, value: number, q: Parameter): Made {
  const means = p.choices?.find((c) => c.value === value)?.means;
  const there = means === undefined ? undefined : q.choices?.find((c) => c.means === means);
  return there === undefined
    ? {
        to: target(q, null),
        outcome: 'to-choose',
        sum: null,
        reason: `the new type does not support “${shownAs(p, value)}”`,
        options: optionsOf(q),
      }
    : { to: target(q, there.value), outcome: 'carried', sum: null, reason: null };
}

/** Protection that its entry cannot hold is not entered at the edge: a person decides. */
const neverClamped = (concept: ConceptId): boolean => concept.startsWith('protect.overload-');

function carriedNumber(
  value: number,
  p: { concept: ConceptId; set: UnitSet },
  q: { parameter: Parameter; concept: ConceptId; set: UnitSet },
): Made {
  const made = carriedFigure(value, p, { concept: q.concept, set: q.set });
  const held = steppedInto(q.parameter, q.set, q.concept, made.value);
  const to = target(q.parameter, held.value);
  const edge = held.clampedAt === 'least' ? 'below' : 'above';
  if (held.clampedAt !== null && neverClamped(q.concept))
    return {
      to: target(q.parameter, null),
      outcome: 'to-choose',
      sum: made.sum,
      reason: `${edge} the range (${to?.shown ?? ''}): this unit cannot protect the motor`,
    };
  if (held.clampedAt !== null)
    return {
      to,
      outcome: 'clamped',
      sum: made.sum,
      reason: `${Number(made.value.toFixed(3))} is ${edge} the range`,
    };
  const rounded = held.rounded ? `${Number(made.value.toFixed(3))} in steps of ${q.parameter.scale}` : null;
  const sum = [made.sum, rounded].filter((s) => s !== null).join('; ');
  return sum === ''
    ? { to, outcome: 'carried', sum: null, reason: null }
    : { to, outcome: 'converted', sum, reason: null };
}

function carriedInput(
  home: InputHome | undefined,
  p: Parameter,
  value: number,
  q: Parameter | undefined,
  to: RatedUnit,
): Made {
  if (home === undefined)
    return q === undefined ? homeless('the new type has no such terminal') : carriedChoice(p, value, q);
  if (home.input === null) return homeless(home.words);
  const entry = parameterFor(to.control, inputConcept(home.input));
  return entry === undefined
    ? homeless(home.words)
    : {
        to: target(entry, home.value),
        outcome: home.moved ? 'converted' : 'carried',
        sum: home.moved ? home.words : null,
        reason: null,
      };
}

function rowOf(p: Parameter, value: number, from: UnitSet, to: UnitSet, homes: Map<string, InputHome>): Made {
  if (p.concept === undefined) return homeless('specific to the old type');
  const why = p.readOnly ? 'read only' : notCarried(p.concept);
  if (why !== undefined) return homeless(why);
  const same = parameterFor(to.control, p.concept);
  const input = /^input\.(DI\d)$/.exec(p.concept)?.[1];
  if (input !== undefined) return carriedInput(homes.get(input), p, value, same, to);
  const other = otherForm(p.concept);
  const concept = same !== undefined || other === undefined ? p.concept : other;
  const q = parameterFor(to.control, concept);
  if (q === undefined) return homeless(`the new type has no ${conceptOf(p.concept).name}`);
  if (q.readOnly) return homeless('read only on the new type');
  if (p.choices !== undefined) return carriedChoice(p, value, q);
  return carriedNumber(value, { concept: p.concept, set: from }, { parameter: q, concept, set: to });
}

/**
 * A set on another type. Every value that the old type knows ends in exactly one row.
 * @param choices what a person decided where nothing could be carried by itself
 */
export function translate(from: UnitSet, to: RatedUnit, choices: TranslationChoices = {}): Translation {
  const homes = inputHomes(from, to);
  const known = from.control.parameters.filter((p) => from.values[p.number] !== undefined);
  // Ramps count to a frequency of the new unit: what is carried to it first is what they count to.
  const first = known.filter((p) => /^(motor\.frequency|limit\.maximum|ramp\.counts)/.test(p.concept ?? ''));
  const start: UnitSet = factorySet(to, regionOf(from));
  const withFrequencies = first.reduce<UnitSet>((set, p) => {
    const made = rowOf(p, from.values[p.number] ?? 0, from, set, homes);
    return made.to === null || made.to.value === null
      ? set
      : { ...set, values: { ...set.values, [made.to.number]: made.to.value } };
  }, start);
  const rows = known.map((p): TranslatedRow => {
    const value = from.values[p.number] ?? 0;
    const made = rowOf(p, value, from, withFrequencies, homes);
    return {
      from: { number: p.number, name: p.name, value, shown: shownAs(p, value) },
      concept: p.concept ?? null,
      options: [],
      ...made,
    };
  });
  const chosen = rows.map((row) => withChoice(row, choices, to));
  const values = chosen.reduce<Values>(
    (all, { to: t }) => (t === null || t.value === null ? all : { ...all, [t.number]: t.value }),
    start.values,
  );
  const met = new Set(chosen.map((r) => r.to?.number));
  return {
    rows: chosen,
    counts: recordOf(translationOutcomes, (o) => chosen.filter((r) => r.outcome === o).length),
    values,
    untouched: to.control.parameters.filter((p) => !p.readOnly && !met.has(p.number)).map((p) => p.number),
  };
}

/** A row with what was chosen for it; it stays one that had to be chosen. */
function withChoice(row: TranslatedRow, choices: TranslationChoices, { control }: RatedUnit): TranslatedRow {
  const value = choices[row.from.number];
  if (row.outcome !== 'to-choose' || row.to === null || value === undefined || value === null) return row;
  const p = parameterAt(control, row.to.number);
  return { ...row, to: { ...row.to, value, shown: p === undefined ? String(value) : shownAs(p, value) } };
}

/** What a set loses on its way to another type and back. */
export interface RoundTrip {
  /** Values that came back otherwise, or not at all. */
  lost: { number: string; name: string; was: string; is: string | null }[];
  same: number;
}

/** There and back again: what a translation loses. */
export function roundTrip(from: UnitSet, to: RatedUnit): RoundTrip {
  const there = translate(from, to);
  const back = translate({ ...to, values: there.values }, from);
  const carried = there.rows.filter((r) => r.to !== null && r.to.value !== null);
  const returned = new Map(
    back.rows.flatMap((r) => (r.to === null || r.to.value === null ? [] : [[r.to.number, r.to]])),
  );
  const lost = carried.flatMap(({ from: f }) => {
    const now = returned.get(f.number);
    return now?.value === f.value
      ? []
      : [{ number: f.number, name: f.name, was: f.shown, is: now?.shown ?? null }];
  });
  return { lost, same: carried.length - lost.length };
}
