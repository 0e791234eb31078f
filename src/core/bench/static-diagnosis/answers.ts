import { column } from './faultable-network';
import { standingOf } from './meter-likelihood';
import { inheritedSolution, solution } from './solve';
import type { AnswersOfRow, Hypothesis, Solution, Tables } from './tables';
import { item, indexAt } from '../../numerics/arrays';

const noColumns: readonly number[] = [];

/** Stands for an answer that was not asked for yet. */
export const unasked = -1;

/** The answers to a probe, with room for every hypothesis that there is now. */
export function answersOf(tables: Tables, row: number): AnswersOfRow {
  const count = tables.all.length;
  const known = (tables.answers[row] ??= {
    of: new Int32Array(count).fill(unasked),
    answers: [],
    states: [],
    bySolution: new Map(),
  });
  if (known.of.length < count) {
    const more = new Int32Array(2 * count).fill(unasked);
    more.set(known.of);
    known.of = more;
  }
  return known;
}

function numbered({ meter }: Tables, row: AnswersOfRow, h: Hypothesis, solved: Solution): number {
  const followed = h.open.filter((c) => solved.columns.includes(c));
  const open = followed.length === 0 ? noColumns : followed;
  const leaks = open.some((c) => c >= column.leak0);
  const beside = leaks && h.faults.length > 1;
  const alike = row.bySolution.get(solved.id) ?? [];
  row.bySolution.set(solved.id, alike);
  const known = alike.find((n) => {
    const a = item(row.answers, n);
    return a.beside === beside && a.open.length === open.length && a.open.every((c, i) => c === open[i]);
  });
  const number = known ?? row.answers.push({ solution: solved, open, beside, leaks }) - 1;
  if (known === undefined) {
    alike.push(number);
    row.states.push(standingOf(solved.volts, meter.ceiling_V));
  }
  row.of[h.number] = number;
  return number;
}

/** The number of a hypothesis' answer; solved when first asked for. */
export function answer(tables: Tables, h: Hypothesis, row: number): number {
  const all = answersOf(tables, row);
  const known = indexAt(all.of, h.number);
  return known === unasked ? numbered(tables, all, h, solution(tables, h, row)) : known;
}

/** The same where it need not be solved; `unasked` where it must. */
export function answerAtHand(tables: Tables, h: Hypothesis, row: number): number {
  const all = answersOf(tables, row);
  const known = indexAt(all.of, h.number);
  if (known !== unasked) return known;
  const solved = inheritedSolution(tables, h, row);
  return solved === undefined ? unasked : numbered(tables, all, h, solved);
}
