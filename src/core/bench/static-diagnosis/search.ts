import { fit, type HypothesisFit } from './fit';
import { slipCost } from './meter-likelihood';
import { column } from './faultable-network';
import { withFault } from './hypotheses';
import {
  prunedBehind_nats,
  equivalenceClasses,
  roughScorer,
  classSolutions,
  type EquivalenceClass,
} from './equivalence-classes';
import { relinearised } from './relinearise';
import type { Posterior, DiagnosisProblem, Weighed } from './problem';
import { follows } from './solve';
import { item, valueAt } from '../../numerics/arrays';

// Taken once: looking a global up at every use costs more than the function itself.
const { abs, exp, max } = Math;

/** … and with its figures looked at: weighed roughly, not fitted. */
const fittedWithin_nats = 14;
/** A fit this many nats behind is not solved again around itself. */
const relinearisedWithin_nats = 11;
/** Per round; to see where the drops lie fewer do. */
const mostFits = 80;
const fitsAtFirst = 20;
const mostRounds = 4;
const mostSeeds = 30;
/** Families of hypotheses whose open sizes are solved again around their fits. */
const mostRelinearised = 14;
/** What has less is not compared with anything: it only counts. */
const idle = 1e-5;
/** … and with this it does not even count. */
const negligible = 1e-9;

/** A class with its evidence. */
interface Judged {
  equivalence: EquivalenceClass;
  /** ln of the evidence; the prior is not in it. */
  evidence: number;
  fit: HypothesisFit;
}

const bestScore = ({ equivalence, evidence }: Judged): number => evidence + equivalence.best.logPrior;

const bestOf = (list: readonly Judged[]): Judged | null =>
  list.reduce<Judged | null>((a, b) => (a === null || bestScore(b) > bestScore(a) ? b : a), null);

/** Do two fits agree on what the unit's devices share? */
const sameDrops = (a: HypothesisFit, b: HypothesisFit): boolean => {
  for (let c = column.firstFamily; c < column.count; c += 1)
    if (abs(valueAt(a.unknowns, c) - valueAt(b.unknowns, c)) > 0.01) return false;
  return true;
};

/** Classes that were only weighed roughly, with another's drops. */
interface Rough {
  classes: readonly EquivalenceClass[];
  /** ln of prior × evidence of each, on the scale of the fits; −∞ for what was fitted or is hopeless. */
  scores: readonly number[];
  near: HypothesisFit;
}

/** What a class promises, seen with the drops of another fit; by its states alone where there is none yet. */
const hopesBy = (
  problem: DiagnosisProblem,
  near: HypothesisFit | null,
): ((equivalence: EquivalenceClass, bar: number) => number) =>
  near === null ? (equivalence) => equivalence.score : roughScorer(problem, near);

/**
 * Fits each class that may decide, once; the rest is weighed roughly. Which may is judged with the drops of
 * the best fit so far; a better one shows the rest in another light, so this goes round until the best
 * stays the best.
 * @param most fits per round
 */
function weighClasses(
  problem: DiagnosisProblem,
  classes: readonly EquivalenceClass[],
  start: HypothesisFit | null,
  most: number,
): { fitted: Judged[]; rough: Rough | null } {
  const made = new Map<EquivalenceClass, Judged>();
  let near = start;
  /** The fit whose drops the hopes were seen with. */
  let by = near;
  let hopes: number[] = [];
  for (let round = 0; round < mostRounds; round += 1) {
    by = near;
    const hopeOfClass = hopesBy(problem, by);
    let top = -Infinity;
    hopes = classes.map((equivalence) => {
      const hope = hopeOfClass(equivalence, top - prunedBehind_nats);
      top = max(top, hope);
      return hope;
    });
    const bar = top - fittedWithin_nats;
    const chosen: { equivalence: EquivalenceClass; hope: number }[] = [];
    hopes.forEach((hope, l) => {
      const equivalence = item(classes, l);
      if (hope >= bar && !made.has(equivalence)) chosen.push({ equivalence, hope });
    });
    chosen.sort((a, b) => b.hope - a.hope).splice(most);
    for (const { equivalence } of chosen) {
      const solutions = classSolutions(problem, equivalence);
      const fitted = fit(equivalence.best, problem.observations, solutions, {
        ...problem,
        near: near ?? undefined,
      });
      made.set(equivalence, { equivalence, evidence: fitted.score, fit: fitted });
    }
    const leader = bestOf([...made.values()]);
    const settled = leader === null || leader.fit === near || (near !== null && sameDrops(near, leader.fit));
    if (chosen.length === 0 || settled) break;
    near = leader.fit;
  }
  const fitted = [...made.values()];
  const measure = bestOf(fitted);
  if (by === null || measure === null) return { fitted, rough: null };
  const scale = bestScore(measure) - hopesBy(problem, by)(measure.equivalence, -Infinity);
  const scores = hopes.map((hope, l) => (made.has(item(classes, l)) ? -Infinity : hope + scale));
  return { fitted, rough: { classes, scores, near: by } };
}

/** Shares out all probability among what was weighed. */
function shareOut(
  problem: DiagnosisProblem,
  fitted: readonly Judged[],
  rough: readonly Rough[],
): Pick<Posterior, 'weighed' | 'ofVariant' | 'ofCircumstance' | 'roughMass'> {
  const { tables, observations } = problem;
  const top = max(
    ...fitted.map(bestScore),
    ...rough.map(({ scores }) => scores.reduce((a, b) => max(a, b), -Infinity)),
  );
  /** Of all members of a class together, before it is shared. */
  const mass = (equivalence: EquivalenceClass, score: number): number =>
    exp(score - top - equivalence.best.logPrior) * equivalence.prior;
  let roughTotal = 0;
  for (const { classes, scores } of rough)
    scores.forEach((score, l) => {
      if (score !== -Infinity) roughTotal += mass(item(classes, l), score);
    });
  const total = fitted.reduce((sum, j) => sum + mass(j.equivalence, bestScore(j)), roughTotal);
  const ofVariant = new Float64Array(tables.variants.length);
  const ofCircumstance = new Float64Array(tables.circumstances.length);
  const weighed: Weighed[] = [];
  const count = (
    equivalence: EquivalenceClass,
    score: number,
    isRough: boolean,
    fitOf: () => HypothesisFit,
  ): void => {
    const factor = exp(score - top - equivalence.best.logPrior) / total;
    const probability = factor * equivalence.prior;
    if (probability < negligible) return;
    const members = equivalence.members.map((number) => {
      const hypothesis = item(tables.all, number);
      const chance = factor * exp(hypothesis.logPrior);
      ofCircumstance[hypothesis.circumstance] = valueAt(ofCircumstance, hypothesis.circumstance) + chance;
      for (const v of hypothesis.variants) ofVariant[v] = valueAt(ofVariant, v) + chance;
      return { hypothesis, probability: chance };
    });
    if (probability < idle) return;
    const worth = members.filter((m) => m.probability > negligible);
    weighed.push({
      fit: fitOf(),
      members: worth.sort((a, b) => b.probability - a.probability),
      probability,
      rough: isRough,
    });
  };
  for (const judged of fitted) count(judged.equivalence, bestScore(judged), false, () => judged.fit);
  const trust = new Float64Array(observations.length).fill(1);
  for (const { classes, scores, near } of rough)
    scores.forEach((score, l) => {
      if (score === -Infinity) return;
      const equivalence = item(classes, l);
      count(equivalence, score, true, () => ({
        hypothesis: equivalence.best,
        solutions: classSolutions(problem, equivalence),
        score: score - equivalence.best.logPrior,
        unknowns: near.unknowns,
        trust,
      }));
    });
  weighed.sort((a, b) => b.probability - a.probability);
  return { weighed, ofVariant, ofCircumstance, roughMass: roughTotal / total };
}

/** Has the best explanation to call an observation a slip? */
const explainsAll = (best: Judged): boolean => best.fit.trust.every((t) => t >= 0.5);

/** The best single explanation alone: enough to see where the unit's drops lie. */
export function firstLook(problem: DiagnosisProblem): HypothesisFit | null {
  const classes = equivalenceClasses(problem, problem.tables.singles);
  return bestOf(weighClasses(problem, classes, null, fitsAtFirst).fitted)?.fit ?? null;
}

/** Weighs sound, single and double faults, every circumstance, and triples where two do not explain. */
export function weigh(problem: DiagnosisProblem, near: HypothesisFit): Posterior {
  const { enumerated } = problem.tables;
  const classes = equivalenceClasses(problem, enumerated);
  const first = weighClasses(problem, classes, near, mostFits);
  let fitted = relineariseBest(problem, first.fitted, -Infinity);
  const rough = first.rough === null ? [] : [first.rough];
  let looked = enumerated.length;
  const best = bestOf(fitted);
  if (best !== null && !explainsAll(best)) {
    const triples = tripleFaults(problem, fitted);
    looked += triples.length;
    const more = weighClasses(problem, equivalenceClasses(problem, triples), best.fit, mostFits);
    fitted = [...fitted, ...relineariseBest(problem, more.fitted, bestScore(best))];
    if (more.rough !== null) rough.push(more.rough);
  }
  const shares = shareOut(problem, fitted, rough);
  return { ...shares, looked, fitted: fitted.length, prunedMass: looked * exp(-prunedBehind_nats) };
}

/** Adds a third fault to the best pairs. */
function tripleFaults({ tables }: DiagnosisProblem, list: readonly Judged[]): number[] {
  const seeds = [...list]
    .sort((a, b) => bestScore(b) - bestScore(a))
    .map(({ equivalence }) => equivalence.best)
    .filter((h) => h.faults.length === 2 && h.circumstance === 0)
    .slice(0, mostSeeds);
  const made = new Set<number>();
  for (const seed of seeds)
    tables.variants.forEach(({ weightBeside }, v) => {
      const h = weightBeside === 0 ? null : withFault(tables, seed, v);
      if (h !== null) made.add(h.number);
    });
  return [...made];
}

/**
 * Solves the most promising again around their own fits, where the tables' straight lines bend.
 * @param least score of the best that is already there
 */
function relineariseBest(problem: DiagnosisProblem, list: readonly Judged[], least: number): Judged[] {
  const hopes = list.map((judged) => ({ judged, hope: hopeOf(problem, judged) }));
  const bar = hopes.reduce((a, { hope }) => max(a, hope), least) - relinearisedWithin_nats;
  const names = new Map<string, number>();
  const chosen = new Set<Judged>();
  for (const { judged } of hopes.filter((h) => h.hope >= bar).sort((a, b) => b.hope - a.hope)) {
    const { circumstance, name } = judged.fit.hypothesis;
    const of = names.get(`${circumstance} ${name}`) ?? 0;
    // Of one fault at several sizes two are enough to find the right one from.
    if (of >= 2 || (of === 0 && names.size >= mostRelinearised)) continue;
    names.set(`${circumstance} ${name}`, of + 1);
    chosen.add(judged);
  }
  return list.map((judged) => {
    if (!chosen.has(judged)) return judged;
    const better = relinearised(problem, judged.fit);
    return { ...judged, evidence: better.score, fit: better };
  });
}

/** A fit's score with the readings that follow its open sizes taken as fitting. */
function hopeOf({ observations }: DiagnosisProblem, judged: Judged): number {
  const { hypothesis, solutions, trust } = judged.fit;
  return observations.reduce((sum, o, i) => {
    const solved = item(solutions, i);
    const lost = o.state === 'finite' && valueAt(trust, i) <= 0.5 && follows(solved, hypothesis.open);
    return sum + (lost ? slipCost : 0);
  }, bestScore(judged));
}
