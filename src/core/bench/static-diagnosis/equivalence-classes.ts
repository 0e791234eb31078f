// Hypotheses that the probes taken cannot tell apart are one class: weighed once for all its members.
import { answer, answerAtHand, answersOf, unasked } from './answers';
import { spreadOf, type HypothesisFit } from './fit';
import { slipCost, stateLikelihood } from './meter-likelihood';
import { column } from './faultable-network';
import { model } from './model';
import type { DiagnosisProblem } from './problem';
import { isBlocked } from './solve';
import type { ClassedSolution, Hypothesis, Solution } from './tables';
import { byteAt, item, numberAt, indexAt, valueAt } from '../../numerics/arrays';

// Taken once: looking a global up at every use costs more than the function itself.
const { exp, log, max, min } = Math;

/** A hypothesis this many nats behind the best is not looked at further. */
export const prunedBehind_nats = 24;
/** Deviations count for more where nothing was fitted. */
const roughness = 1.5;

/** Hypotheses that give the same answers to the probes taken. */
export interface EquivalenceClass {
  /** Numbers of the hypotheses. */
  members: number[];
  /** The likeliest member beforehand. */
  best: Hypothesis;
  /** Share of all members together beforehand. */
  prior: number;
  /** ln of the prior of the likeliest and of the likelihood of the states. */
  score: number;
  /** Another class that the same hash leads to. */
  beside: EquivalenceClass | undefined;
}

/** What every answer makes of an observation, computed when first asked for. */
function lazily(of: (answer: ClassedSolution, i: number) => number, { tables, rows }: DiagnosisProblem) {
  const all = rows.map((row) => answersOf(tables, row).answers);
  const known = all.map((answers) => new Float64Array(answers.length).fill(NaN));
  return (i: number, number: number): number => {
    const values = item(known, i);
    // An answer found since then has no place: it is seldom asked for twice.
    const value = number < values.length ? valueAt(values, number) : NaN;
    return value === value ? value : (values[number] = of(item(item(all, i), number), i));
  };
}

/** ln likelihood of the states under a hypothesis; −∞ as soon as it falls under the bar. */
function scorer(problem: DiagnosisProblem) {
  const { tables, rows, observations, ceiling } = problem;
  const all = rows.map((row) => answersOf(tables, row));
  const stateIs = (i: number, number: number): number => {
    const { states, answers } = item(all, i);
    const { blocked, conducting } = item(ceiling.bounds, i);
    if (states[number] === 'below') return conducting;
    if (states[number] === 'above') return blocked;
    const { solution, leaks } = item(answers, number);
    return stateLikelihood(ceiling, observations, i, solution.volts, leaks);
  };
  const waiting: number[] = [];
  return (number: number, bar: number): number => {
    let score = 0;
    waiting.length = 0;
    // What is known already costs nothing: most hypotheses fall by it alone.
    for (let i = 0; i < rows.length; i += 1) {
      let known = indexAt(item(all, i).of, number);
      if (known === unasked) known = answerAtHand(tables, item(tables.all, number), numberAt(rows, i));
      if (known === unasked) waiting.push(i);
      else score += stateIs(i, known);
      if (score < bar) return -Infinity;
    }
    for (const i of waiting) {
      score += stateIs(i, answer(tables, item(tables.all, number), numberAt(rows, i)));
      if (score < bar) return -Infinity;
    }
    return score;
  };
}

/**
 * Joins those of the hypotheses that the states leave alive and that give the same answers.
 * @param numbers of the hypotheses, the likelier ones first: each is held against the best so far
 */
export function equivalenceClasses(
  problem: DiagnosisProblem,
  numbers: readonly number[],
): EquivalenceClass[] {
  const { tables, rows } = problem;
  const { all, logPriors } = tables;
  const columns = rows.map((row) => answersOf(tables, row).of);
  const score = scorer(problem);
  const byHash = new Map<number, EquivalenceClass>();
  const classes: EquivalenceClass[] = [];
  const alike = (a: number, b: number): boolean => {
    for (const of of columns) if (of[a] !== of[b]) return false;
    return true;
  };
  let top = -Infinity;
  const scores = Float64Array.from(numbers, (number) => {
    const logPrior = numberAt(logPriors, number);
    const reached = logPrior + score(number, top - prunedBehind_nats - logPrior);
    top = max(top, reached);
    return reached;
  });
  for (let k = 0; k < numbers.length; k += 1) {
    const reached = valueAt(scores, k);
    if (reached < top - prunedBehind_nats) continue;
    const number = numberAt(numbers, k);
    const logPrior = numberAt(logPriors, number);
    let hash = 7;
    for (const of of columns) hash = (Math.imul(hash, 31) + indexAt(of, number)) | 0;
    const first = byHash.get(hash);
    let home = first;
    while (home !== undefined && !alike(home.best.number, number)) home = home.beside;
    if (home === undefined) {
      const best = item(all, number);
      const equivalence = { members: [number], best, prior: exp(logPrior), score: reached, beside: first };
      byHash.set(hash, equivalence);
      classes.push(equivalence);
    } else {
      home.members.push(number);
      home.prior += exp(logPrior);
      if (logPrior <= home.best.logPrior) continue;
      home.best = item(all, number);
      home.score = reached;
    }
  }
  return classes;
}

/** What a class says of each observation. */
export const classSolutions = ({ tables, rows }: DiagnosisProblem, { best }: EquivalenceClass): Solution[] =>
  rows.map((row) => {
    const { answers, of } = answersOf(tables, row);
    return item(answers, indexAt(of, best.number)).solution;
  });

/**
 * What the figures make of a class, without fitting it: the shared drops are taken from another fit, what is
 * its own counts as noise. Near enough for what is far behind.
 * @returns per class: ln of prior × evidence up to a constant that all share; −∞ where it is under the bar
 */
export function roughScorer(
  problem: DiagnosisProblem,
  near: HypothesisFit,
): (equivalence: EquivalenceClass, bar: number) => number {
  const { observations, expectation } = problem;
  const least = (roughness * model.reading_V) ** 2;
  const costOf = lazily((a, i) => {
    const observation = item(observations, i);
    const { solution } = a;
    if (observation.state !== 'finite' || isBlocked(solution)) return 0;
    let off = observation.volts - solution.volts;
    let variance = least;
    for (let e = 0; e < solution.columns.length; e += 1) {
      const c = byteAt(solution.columns, e);
      const value = valueAt(solution.values, e);
      if (c >= column.firstFamily) off -= value * valueAt(near.unknowns, c);
      else variance += (roughness * value * spreadOf(a, expectation, c)) ** 2;
    }
    return min((0.5 * off * off) / variance + 0.5 * log(variance / least), slipCost);
  }, problem);
  const columns = problem.rows.map((row) => answersOf(problem.tables, row).of);
  return ({ score, best }, bar) => {
    let hope = score;
    // No figure makes it better.
    for (let i = 0; i < columns.length && hope >= bar; i += 1)
      hope -= costOf(i, indexAt(item(columns, i), best.number));
    return hope < bar ? -Infinity : hope;
  };
}
