import { fit, slipCost, type HypothesisFit } from './fit';
import { column } from './ground';
import { withFault } from './hypotheses';
import { hopeless, lotsOf, roughlyBy, solutionsOf, type Lot } from './lots';
import { polished } from './polish';
import type { Posterior, DiagnosisProblem, Weighed } from './question';
import { follows } from './solve';
import { item, valueAt } from '../../numerics/arrays';

// Taken once: looking a global up at every use costs more than the function itself.
const { abs, exp, max } = Math;

/** … and with its figures looked at: weighed roughly, not fitted. */
const unpromising = 14;
/** A fit this many nats behind is not solved again around itself. */
const settledBehind = 11;
/** Per round; to see where the drops lie fewer do. */
const mostFits = 80;
const fitsAtFirst = 20;
const mostRounds = 4;
const mostSeeds = 30;
/** Families of hypotheses whose open sizes are solved again around their fits. */
const mostPolished = 14;
/** What has less is not compared with anything: it only counts. */
const idle = 1e-5;
/** … and with this it does not even count. */
const negligible = 1e-9;

/** A lot with its evidence. */
interface Judged {
  lot: Lot;
  /** ln of the evidence; the prior is not in it. */
  evidence: number;
  fit: HypothesisFit;
}

const bestScore = ({ lot, evidence }: Judged): number => evidence + lot.best.logPrior;

const bestOf = (list: readonly Judged[]): Judged | null =>
  list.reduce<Judged | null>((a, b) => (a === null || bestScore(b) > bestScore(a) ? b : a), null);

/** Do two fits agree on what the unit's devices share? */
const sameDrops = (a: HypothesisFit, b: HypothesisFit): boolean => {
  for (let c = column.firstFamily; c < column.count; c += 1)
    if (abs(valueAt(a.unknowns, c) - valueAt(b.unknowns, c)) > 0.01) return false;
  return true;
};

/** Lots that were only weighed roughly, with another's drops. */
interface Rough {
  lots: readonly Lot[];
  /** ln of prior × evidence of each, on the scale of the fits; −∞ for what was fitted or is hopeless. */
  scores: readonly number[];
  near: HypothesisFit;
}

/** What a lot promises, seen with the drops of another fit; by its states alone where there is none yet. */
const hopesBy = (
  question: DiagnosisProblem,
  near: HypothesisFit | null,
): ((lot: Lot, bar: number) => number) => (near === null ? (lot) => lot.score : roughlyBy(question, near));

/**
 * Fits each lot that may decide, once; the rest is weighed roughly. Which may is judged with the drops of
 * the best fit so far; a better one shows the rest in another light, so this goes round until the best
 * stays the best.
 * @param most fits per round
 */
function weighLots(
  question: DiagnosisProblem,
  lots: readonly Lot[],
  start: HypothesisFit | null,
  most: number,
): { fitted: Judged[]; rough: Rough | null } {
  const made = new Map<Lot, Judged>();
  let near = start;
  /** The fit whose drops the hopes were seen with. */
  let by = near;
  let hopes: number[] = [];
  for (let round = 0; round < mostRounds; round += 1) {
    by = near;
    const hopeOfLot = hopesBy(question, by);
    let top = -Infinity;
    hopes = lots.map((lot) => {
      const hope = hopeOfLot(lot, top - hopeless);
      top = max(top, hope);
      return hope;
    });
    const bar = top - unpromising;
    const chosen: { lot: Lot; hope: number }[] = [];
    hopes.forEach((hope, l) => {
      const lot = item(lots, l);
      if (hope >= bar && !made.has(lot)) chosen.push({ lot, hope });
    });
    chosen.sort((a, b) => b.hope - a.hope).splice(most);
    for (const { lot } of chosen) {
      const solutions = solutionsOf(question, lot);
      const fitted = fit(lot.best, question.observations, solutions, {
        ...question,
        near: near ?? undefined,
      });
      made.set(lot, { lot, evidence: fitted.score, fit: fitted });
    }
    const leader = bestOf([...made.values()]);
    const settled = leader === null || leader.fit === near || (near !== null && sameDrops(near, leader.fit));
    if (chosen.length === 0 || settled) break;
    near = leader.fit;
  }
  const fitted = [...made.values()];
  const measure = bestOf(fitted);
  if (by === null || measure === null) return { fitted, rough: null };
  const scale = bestScore(measure) - hopesBy(question, by)(measure.lot, -Infinity);
  const scores = hopes.map((hope, l) => (made.has(item(lots, l)) ? -Infinity : hope + scale));
  return { fitted, rough: { lots, scores, near: by } };
}

/** Shares out all probability among what was weighed. */
function shareOut(
  question: DiagnosisProblem,
  fitted: readonly Judged[],
  rough: readonly Rough[],
): Pick<Posterior, 'weighed' | 'ofVariant' | 'ofCircumstance' | 'roughMass'> {
  const { tables, observations } = question;
  const top = max(
    ...fitted.map(bestScore),
    ...rough.map(({ scores }) => scores.reduce((a, b) => max(a, b), -Infinity)),
  );
  /** Of all members of a lot together, before it is shared. */
  const mass = (lot: Lot, score: number): number => exp(score - top - lot.best.logPrior) * lot.prior;
  let roughTotal = 0;
  for (const { lots, scores } of rough)
    scores.forEach((score, l) => {
      if (score !== -Infinity) roughTotal += mass(item(lots, l), score);
    });
  const total = fitted.reduce((sum, j) => sum + mass(j.lot, bestScore(j)), roughTotal);
  const ofVariant = new Float64Array(tables.variants.length);
  const ofCircumstance = new Float64Array(tables.circumstances.length);
  const weighed: Weighed[] = [];
  const count = (lot: Lot, score: number, isRough: boolean, fitOf: () => HypothesisFit): void => {
    const factor = exp(score - top - lot.best.logPrior) / total;
    const probability = factor * lot.prior;
    if (probability < negligible) return;
    const members = lot.members.map((number) => {
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
  for (const judged of fitted) count(judged.lot, bestScore(judged), false, () => judged.fit);
  const trust = new Float64Array(observations.length).fill(1);
  for (const { lots, scores, near } of rough)
    scores.forEach((score, l) => {
      if (score === -Infinity) return;
      const lot = item(lots, l);
      count(lot, score, true, () => ({
        hypothesis: lot.best,
        solutions: solutionsOf(question, lot),
        score: score - lot.best.logPrior,
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
export function firstLook(question: DiagnosisProblem): HypothesisFit | null {
  const lots = lotsOf(question, question.tables.singles);
  return bestOf(weighLots(question, lots, null, fitsAtFirst).fitted)?.fit ?? null;
}

/** Weighs sound, single and double faults, every circumstance, and triples where two do not explain. */
export function weigh(question: DiagnosisProblem, near: HypothesisFit): Posterior {
  const { enumerated } = question.tables;
  const lots = lotsOf(question, enumerated);
  const first = weighLots(question, lots, near, mostFits);
  let fitted = polishBest(question, first.fitted, -Infinity);
  const rough = first.rough === null ? [] : [first.rough];
  let looked = enumerated.length;
  const best = bestOf(fitted);
  if (best !== null && !explainsAll(best)) {
    const triples = tripleFaults(question, fitted);
    looked += triples.length;
    const more = weighLots(question, lotsOf(question, triples), best.fit, mostFits);
    fitted = [...fitted, ...polishBest(question, more.fitted, bestScore(best))];
    if (more.rough !== null) rough.push(more.rough);
  }
  const shares = shareOut(question, fitted, rough);
  return { ...shares, looked, fitted: fitted.length, prunedMass: looked * exp(-hopeless) };
}

/** Adds a third fault to the best pairs. */
function tripleFaults({ tables }: DiagnosisProblem, list: readonly Judged[]): number[] {
  const seeds = [...list]
    .sort((a, b) => bestScore(b) - bestScore(a))
    .map(({ lot }) => lot.best)
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
function polishBest(question: DiagnosisProblem, list: readonly Judged[], least: number): Judged[] {
  const hopes = list.map((judged) => ({ judged, hope: hopeOf(question, judged) }));
  const bar = hopes.reduce((a, { hope }) => max(a, hope), least) - settledBehind;
  const names = new Map<string, number>();
  const chosen = new Set<Judged>();
  for (const { judged } of hopes.filter((h) => h.hope >= bar).sort((a, b) => b.hope - a.hope)) {
    const { circumstance, name } = judged.fit.hypothesis;
    const of = names.get(`${circumstance} ${name}`) ?? 0;
    // Of one fault at several sizes two are enough to find the right one from.
    if (of >= 2 || (of === 0 && names.size >= mostPolished)) continue;
    names.set(`${circumstance} ${name}`, of + 1);
    chosen.add(judged);
  }
  return list.map((judged) => {
    if (!chosen.has(judged)) return judged;
    const better = polished(question, judged.fit);
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
