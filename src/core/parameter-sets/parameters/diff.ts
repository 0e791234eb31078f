import { conceptOf, type ConceptId } from '../../equipment/concepts';
import { parameterAt, shownAs } from '../../equipment/drive-words';
import type { UnitSet } from './set';
import { notCarried } from './shares';
import { translate } from './translate';

interface Side {
  number: string;
  name: string;
  value: number;
  shown: string;
}

/** One thing in which two sets differ. */
export interface ParameterDifference {
  concept: ConceptId | null;
  /** What it is about, in the words of the concept or of the type. */
  about: string;
  /** Null where the other type has nothing of the kind. */
  a: Side | null;
  b: Side | null;
  /** What the value of a would be on b, where it had to be computed. */
  sum: string | null;
  /** False for what is no setting: readings, counters, commands. */
  matters: boolean;
}

const sideOf = ({ control, values }: UnitSet, number: string): Side | null => {
  const p = parameterAt(control, number);
  const value = values[number];
  return p === undefined || value === undefined
    ? null
    : { number, name: p.name, value, shown: shownAs(p, value) };
};

/** Two sets of one type, entry by entry. */
function sameType(a: UnitSet, b: UnitSet): ParameterDifference[] {
  return a.control.parameters.flatMap((p): ParameterDifference[] => {
    const was = sideOf(a, p.number);
    const is = sideOf(b, p.number);
    if (was?.value === is?.value) return [];
    // An entry of a board that one of them does not have says nothing about the other.
    const boarded = p.needs !== undefined && 'option' in p.needs && (was === null || is === null);
    const passing = boarded || p.readOnly || (p.concept !== undefined && notCarried(p.concept) !== undefined);
    return [
      {
        concept: p.concept ?? null,
        about: p.concept === undefined ? p.name : conceptOf(p.concept).name,
        a: was,
        b: is,
        sum: null,
        matters: !passing,
      },
    ];
  });
}

/** Sets of two types, by what their values mean. */
function byMeaning(a: UnitSet, b: UnitSet): ParameterDifference[] {
  return translate(a, b).rows.flatMap((row): ParameterDifference[] => {
    const was = sideOf(a, row.from.number);
    const is = row.to === null ? null : sideOf(b, row.to.number);
    if (row.to !== null && row.to.value !== null && row.to.value === is?.value) return [];
    return [
      {
        concept: row.concept,
        about: row.concept === null ? row.from.name : conceptOf(row.concept).name,
        a: was,
        b: is,
        sum: row.sum ?? row.reason,
        matters: row.concept !== null && notCarried(row.concept) === undefined,
      },
    ];
  });
}

/** What two sets differ in; of two types by meaning, with the sums. */
export const diffSets = (a: UnitSet, b: UnitSet): ParameterDifference[] =>
  a.typeId === b.typeId ? sameType(a, b) : byMeaning(a, b);

/** What became of a planned value. */
export type PlannedOutcome = 'as planned' | 'not done' | 'otherwise' | 'not planned';

/** One parameter as it was found, planned and left. */
export interface ThreeWay {
  number: string;
  name: string;
  found: string;
  planned: string;
  left: string;
  fate: PlannedOutcome;
}

/** As found, as planned, as left, of one type: entries that were to change, or did. */
export function threeWay(found: UnitSet, planned: UnitSet, left: UnitSet): ThreeWay[] {
  return found.control.parameters.flatMap((p): ThreeWay[] => {
    const [was, want, is] = [found, planned, left].map((s) => s.values[p.number]);
    if (p.readOnly || was === undefined || want === undefined || is === undefined) return [];
    if (was === want && want === is) return [];
    const fate: PlannedOutcome =
      want === is ? 'as planned' : was === want ? 'not planned' : was === is ? 'not done' : 'otherwise';
    return [
      {
        number: p.number,
        name: p.name,
        found: shownAs(p, was),
        planned: shownAs(p, want),
        left: shownAs(p, is),
        fate,
      },
    ];
  });
}
