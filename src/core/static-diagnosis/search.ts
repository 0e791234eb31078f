import { at } from '../circuit';
import { fit, slipCost, spreadOf, stateOf, type Fit } from './fit';
import { column } from './ground';
import { withFault } from './hypotheses';
import { model } from './model';
import type { Observation } from './observations';
import { polished } from './polish';
import type { Posterior, Question, Weighed } from './question';
import { follows, isBlocked, shared, solution, type Hypothesis, type Solution } from './solve';

const { abs, exp, log, max, min } = Math;

/** A hypothesis this many nats behind the best is not looked at further. */
const hopeless = 24;
/** … and with its figures looked at: weighed roughly, not fitted. */
const unpromising = 14;
/** Deviations count for more where nothing was fitted. */
const roughness = 1.5;
/** … and fitted: not solved again around its fit. */
const settledBehind = 11;
/** Per round; to see where the drops lie fewer do. */
const mostFits = 80;
const fitsAtFirst = 40;
const mostRounds = 4;
const mostSeeds = 30;
/** Families of hypotheses whose open sizes are solved again around their fits. */
const mostPolished = 14;

interface Scored {
  hypothesis: Hypothesis;
  /** ln of prior × likelihood of the states. */
  score: number;
}

/** ln of prior × likelihood of the states; −∞ as soon as it falls under the bar. */
function scorer({ tables, observations, rows, ceiling }: Question) {
  const waiting: number[] = [];
  return (h: Hypothesis, bar: number): number => {
    // A size that is still open can move a voltage across the ceiling; a worn part's drop cannot.
    const open = h.open.some((c) => c >= column.leak0);
    let score = h.logPrior;
    waiting.length = 0;
    // What is known already costs nothing: most hypotheses fall by it alone.
    for (let i = 0; i < rows.length; i += 1) {
      const known = shared(tables, h, rows[i] as number);
      if (known === undefined) waiting.push(i);
      else score += stateOf(ceiling, observations, i, known.volts, open);
      if (score < bar) return -Infinity;
    }
    for (const i of waiting) {
      const { volts } = solution(tables, h, rows[i] as number);
      score += stateOf(ceiling, observations, i, volts, open);
      if (score < bar) return -Infinity;
    }
    return score;
  };
}

/**
 * What the figures make of a hypothesis, without fitting it: the shared drops are taken from another fit,
 * what is the hypothesis' own counts as noise. Near enough for what is far behind.
 * @returns ln of the evidence up to a constant that all hypotheses share
 */
function roughly(
  { observations, expectation }: Question,
  h: Hypothesis,
  solutions: readonly Solution[],
  near: Fit,
): number {
  const least = (roughness * model.reading_V) ** 2;
  let cost = 0;
  for (let i = 0; i < observations.length; i += 1) {
    const observation = observations[i] as Observation;
    const solved = solutions[i] as Solution;
    if (observation.state !== 'finite' || isBlocked(solved)) continue;
    let off = observation.volts - solved.volts;
    let variance = least;
    for (let e = 0; e < solved.columns.length; e += 1) {
      const c = solved.columns[e] as number;
      const value = at(solved.values, e);
      if (c >= column.firstFamily) off -= value * at(near.unknowns, c);
      else variance += (roughness * value * spreadOf(h, expectation, c)) ** 2;
    }
    cost += min((0.5 * off * off) / variance + 0.5 * log(variance / least), slipCost);
  }
  return -cost;
}

interface Lot {
  solutions: Solution[];
  members: Scored[];
  best: Scored;
}

const sameAnswers = (a: readonly Solution[], b: readonly Solution[]): boolean =>
  a.every((s, i) => s === b[i]);

/** Joins hypotheses with the same answers. */
function lotsOf({ tables, rows }: Question, scored: readonly Scored[]): Lot[] {
  const byHash = new Map<number, Lot[]>();
  const lots: Lot[] = [];
  for (const s of scored) {
    const solutions = rows.map((row) => solution(tables, s.hypothesis, row));
    const hash = solutions.reduce((sum, x) => (Math.imul(sum, 31) + x.id) | 0, 7);
    const alike = byHash.get(hash) ?? [];
    byHash.set(hash, alike);
    const home = alike.find((lot) => sameAnswers(lot.solutions, solutions));
    if (home === undefined) {
      const lot = { solutions, members: [s], best: s };
      alike.push(lot);
      lots.push(lot);
    } else {
      home.members.push(s);
      if (s.score > home.best.score) home.best = s;
    }
  }
  return lots;
}

/** What was weighed, and which of it only roughly. */
interface Weighing {
  fitted: Weighed[];
  rough: Weighed[];
}

/**
 * Fits each lot that may decide, once; the rest is weighed roughly. Which may is judged with the drops of
 * the best fit so far; a better one shows the rest in another light, so this goes round until the best
 * stays the best.
 * @param mostFits per round
 */
function weighLots(
  question: Question,
  lots: readonly Lot[],
  start: Fit | undefined,
  mostFits: number,
): Weighing {
  const made = new Map<Lot, Weighed>();
  let near = start;
  let hopes = new Map<Lot, number>();
  for (let round = 0; round < mostRounds; round += 1) {
    const by = near;
    hopes = new Map(
      lots.map((lot) => {
        const figures = by === undefined ? 0 : roughly(question, lot.best.hypothesis, lot.solutions, by);
        return [lot, lot.best.score + figures];
      }),
    );
    const bar = max(...hopes.values()) - unpromising;
    const chosen = [...hopes]
      .filter(([lot, hope]) => hope >= bar && !made.has(lot))
      .sort((a, b) => b[1] - a[1])
      .slice(0, mostFits);
    for (const [lot] of chosen)
      made.set(
        lot,
        weighedOf(
          fit(lot.best.hypothesis, question.observations, lot.solutions, { ...question, near }),
          lot.members.map((m) => m.hypothesis),
        ),
      );
    const leader = bestOf([...made.values()]);
    const settled =
      leader === null || leader.fit === near || (near !== undefined && sameDrops(near, leader.fit));
    if (chosen.length === 0 || settled) break;
    near = leader.fit;
  }
  const fitted = [...made.values()];
  return { fitted, rough: near === undefined ? [] : roughOnes(hopes, made, near) };
}

/** Lots that were not fitted, on the scale of the best that was. */
function roughOnes(hopes: ReadonlyMap<Lot, number>, made: ReadonlyMap<Lot, Weighed>, near: Fit): Weighed[] {
  const [measure] = [...made].sort((a, b) => bestScore(b[1]) - bestScore(a[1]));
  if (measure === undefined) return [];
  const scale = bestScore(measure[1]) - (hopes.get(measure[0]) ?? 0);
  const bar = max(...hopes.values()) - hopeless;
  return [...hopes].flatMap(([lot, hope]) => {
    if (made.has(lot) || hope < bar) return [];
    const { hypothesis } = lot.best;
    const trust = new Float64Array(lot.solutions.length).fill(1);
    const score = hope + scale - hypothesis.logPrior;
    const fitted = { hypothesis, solutions: lot.solutions, score, unknowns: near.unknowns, trust };
    return [
      weighedOf(
        fitted,
        lot.members.map((m) => m.hypothesis),
      ),
    ];
  });
}

const bestOf = (list: readonly Weighed[]): Weighed | null =>
  list.reduce<Weighed | null>((a, b) => (a === null || bestScore(b) > bestScore(a) ? b : a), null);

/** Do two fits agree on what the unit's devices share? */
const sameDrops = (a: Fit, b: Fit): boolean => {
  for (let c = column.firstFamily; c < column.count; c += 1)
    if (abs(at(a.unknowns, c) - at(b.unknowns, c)) > 0.01) return false;
  return true;
};

const weighedOf = (made: Fit, hypotheses: readonly Hypothesis[]): Weighed => ({
  fit: made,
  members: hypotheses
    .map((h) => ({ hypothesis: h, score: made.score + h.logPrior, probability: 0 }))
    .sort((a, b) => b.score - a.score),
  probability: 0,
});

const bestScore = (w: Weighed): number => w.members[0]?.score ?? -Infinity;

/** Shares out all probability among what was fitted. */
function shareOut(list: readonly Weighed[]): Weighed[] {
  const top = max(...list.map(bestScore));
  const total = list.reduce((sum, w) => w.members.reduce((s, m) => s + exp(m.score - top), sum), 0);
  return list
    .map(({ fit: made, members }) => {
      const shared = members.map((m) => ({ ...m, probability: exp(m.score - top) / total }));
      return { fit: made, members: shared, probability: shared.reduce((sum, m) => sum + m.probability, 0) };
    })
    .sort((a, b) => b.probability - a.probability);
}

/** Has the best explanation to call an observation a slip? */
const explainsAll = (best: Weighed): boolean => best.fit.trust.every((t) => t >= 0.5);

/** Scores hypotheses, each against the best so far. */
function scoredBy(question: Question, hypotheses: Iterable<Hypothesis>): Scored[] {
  const score = scorer(question);
  const list: Scored[] = [];
  let top = -Infinity;
  for (const hypothesis of hypotheses) {
    const s = score(hypothesis, top - hopeless);
    if (s === -Infinity) continue;
    top = max(top, s);
    list.push({ hypothesis, score: s });
  }
  return list.filter((s) => s.score >= top - hopeless);
}

/** The best single explanation alone: enough to see where the unit's drops lie. */
export function firstLook(question: Question): Fit | null {
  const lots = lotsOf(question, scoredBy(question, question.tables.singles));
  return bestOf(weighLots(question, lots, undefined, fitsAtFirst).fitted)?.fit ?? null;
}

/** Weighs sound, single and double faults, every circumstance, and triples where two do not explain. */
export function weigh(question: Question, near: Fit): Posterior {
  const { singles, trapped, pairs } = question.tables;
  const all = [...singles, ...trapped, ...pairs];
  const alive = scoredBy(question, all);
  const first = weighLots(question, lotsOf(question, alive), near, mostFits);
  let fitted = polishBest(question, first.fitted, -Infinity);
  let rough = first.rough;
  let looked = all.length;
  const best = bestOf(fitted);
  if (best !== null && !explainsAll(best)) {
    const triples = tripleFaults(question, fitted);
    looked += triples.length;
    const more = weighLots(question, lotsOf(question, triples), best.fit, mostFits);
    fitted = [...fitted, ...polishBest(question, more.fitted, bestScore(best))];
    rough = [...rough, ...more.rough];
  }
  const isRough = new Set(rough.map((w) => w.fit));
  const weighed = shareOut([...fitted, ...rough]);
  return {
    weighed,
    looked,
    fitted: fitted.length,
    roughMass: weighed.reduce((sum, w) => sum + (isRough.has(w.fit) ? w.probability : 0), 0),
    prunedMass: (all.length - weighed.length) * exp(-hopeless),
  };
}

/** Adds a third fault to the best pairs. */
function tripleFaults(question: Question, list: readonly Weighed[]): Scored[] {
  const { tables } = question;
  const seeds = [...list]
    .sort((a, b) => bestScore(b) - bestScore(a))
    .flatMap((w) => w.members.slice(0, 1).map((m) => m.hypothesis))
    .filter((h) => h.faults.length === 2 && h.circumstance === 0)
    .slice(0, mostSeeds);
  const made = new Set<Hypothesis>();
  for (const seed of seeds)
    tables.variants.forEach(({ weightBeside }, v) => {
      const h = weightBeside === 0 ? null : withFault(tables, seed, v);
      if (h !== null) made.add(h);
    });
  return scoredBy(question, made);
}

/**
 * Solves the most promising again around their own fits, where the tables' straight lines bend.
 * @param least score of the best that is already there
 */
function polishBest(question: Question, list: readonly Weighed[], least: number): Weighed[] {
  const hopes = list.map((w) => ({ w, hope: hopeOf(question, w) }));
  const bar = max(least, ...hopes.map((h) => h.hope)) - settledBehind;
  const names = new Map<string, number>();
  const chosen = new Set<Weighed>();
  for (const { w } of hopes.filter((h) => h.hope >= bar).sort((a, b) => b.hope - a.hope)) {
    const { circumstance, name } = w.fit.hypothesis;
    const of = names.get(`${circumstance} ${name}`) ?? 0;
    // Of one fault at several sizes two are enough to find the right one from.
    if (of >= 2 || (of === 0 && names.size >= mostPolished)) continue;
    names.set(`${circumstance} ${name}`, of + 1);
    chosen.add(w);
  }
  return list.map((w) =>
    chosen.has(w)
      ? weighedOf(
          polished(question, w.fit),
          w.members.map((m) => m.hypothesis),
        )
      : w,
  );
}

/** A fit's score with the readings that follow its open sizes taken as fitting. */
function hopeOf({ observations }: Question, w: Weighed): number {
  const { hypothesis, solutions, trust } = w.fit;
  return observations.reduce((sum, o, i) => {
    const solved = solutions[i] as Solution;
    const lost = o.state === 'finite' && at(trust, i) <= 0.5 && follows(solved, hypothesis.open);
    return sum + (lost ? slipCost : 0);
  }, bestScore(w));
}
