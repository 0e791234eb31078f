import { at } from '../circuit';
import { fit, freeColumns, stateOf, type Fit } from './fit';
import { column } from './ground';
import { withFault } from './hypotheses';
import { model } from './model';
import { polished } from './polish';
import type { Posterior, Question, Weighed } from './question';
import { shared, solution, type Hypothesis, type Solution } from './solve';

const { abs, exp, max, min } = Math;

/** A hypothesis this many nats behind the best is not looked at further. */
const hopeless = 24;
/** … and with its figures looked at, without a fit. */
const unpromising = 14;
/** … and fitted: not solved again around its fit. */
const settledBehind = 11;
const mostFits = 160;
const mostRounds = 4;
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
    const open = hasOpenSize(h);
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

const hasOpenSize = (h: Hypothesis): boolean =>
  h.circumstance > 0 || h.faults.some((f) => f.mode === 'leaky');

/**
 * The best that figures can make of a hypothesis, without fitting it: readings that follow its own
 * open size count as if they fitted.
 */
function optimistic(
  { observations }: Question,
  h: Hypothesis,
  solutions: readonly Solution[],
  near: Fit,
): number {
  const { leaks, odd } = freeColumns(h);
  const free = (c: number): boolean => leaks.has(c) || odd.has(c) || c === column.circumstance;
  let cost = 0;
  observations.forEach((observation, i) => {
    const solved = solutions[i] as Solution;
    if (observation.state !== 'finite' || (solved.overload && solved.columns.length === 0)) return;
    let off = observation.volts - solved.volts;
    let variance = (1.5 * model.reading_V) ** 2;
    for (let e = 0; e < solved.columns.length; e += 1) {
      const c = solved.columns[e] as number;
      if (free(c)) return;
      const value = at(solved.values, e);
      if (c >= column.firstFamily) off -= value * at(near.unknowns, c);
      else if (c < column.leak0) variance += (value * 1.7 * model.device_V) ** 2;
    }
    cost += min((0.5 * off * off) / variance, 11);
  });
  return -cost;
}

interface Lot {
  solutions: Solution[];
  members: Scored[];
  best: Scored;
}

/** Joins hypotheses with the same answers. */
function lotsOf({ tables, rows }: Question, scored: readonly Scored[]): Lot[] {
  const lots = new Map<string, Lot>();
  for (const s of scored) {
    const solutions = rows.map((row) => solution(tables, s.hypothesis, row));
    const key = solutions.map((x) => x.id).join();
    const lot = lots.get(key);
    if (lot === undefined) lots.set(key, { solutions, members: [s], best: s });
    else {
      lot.members.push(s);
      if (s.score > lot.best.score) lot.best = s;
    }
  }
  return [...lots.values()];
}

/**
 * Fits each lot that may matter, once. Which may is judged with the drops of the best fit so far; a
 * better one shows the rest in another light, so this goes round until the best stays the best.
 */
function fitted(question: Question, scored: readonly Scored[], start: Fit | undefined): Weighed[] {
  const lots = lotsOf(question, scored);
  const waiting = new Set(lots);
  const done: Weighed[] = [];
  let near = start;
  for (let round = 0; round < mostRounds && waiting.size > 0; round += 1) {
    const hopes = lots.map((lot) => ({
      lot,
      hope:
        near === undefined
          ? lot.best.score
          : lot.best.score + optimistic(question, lot.best.hypothesis, lot.solutions, near),
    }));
    const bar = max(...hopes.map((h) => h.hope)) - unpromising;
    const chosen = hopes
      .filter((h) => h.hope >= bar && waiting.has(h.lot))
      .sort((a, b) => b.hope - a.hope)
      .slice(0, mostFits);
    if (chosen.length === 0) break;
    for (const { lot } of chosen) {
      waiting.delete(lot);
      const { best, members, solutions } = lot;
      const made = fit(best.hypothesis, question.observations, solutions, {
        expectation: question.expectation,
        ceiling: question.ceiling,
        near,
      });
      done.push(
        weighedOf(
          made,
          members.map((m) => m.hypothesis),
        ),
      );
    }
    const leader = done.reduce((a, b) => (bestScore(b) > bestScore(a) ? b : a));
    if (leader.fit === near) break;
    const before = near;
    near = leader.fit;
    if (before !== undefined && sameDrops(before, near)) break;
  }
  return done;
}

/** Do two fits agree on what the unit's devices share? */
const sameDrops = (a: Fit, b: Fit): boolean => {
  for (let c = column.firstFamily; c < column.count; c += 1)
    if (abs(at(a.unknowns, c) - at(b.unknowns, c)) > 0.01) return false;
  return true;
};

const weighedOf = (made: Fit, hypotheses: readonly Hypothesis[]): Weighed => ({
  fit: made,
  members: hypotheses
    .map((h) => ({ hypothesis: h, score: made.score + h.logPrior }))
    .sort((a, b) => b.score - a.score),
  probability: 0,
});

const bestScore = (w: Weighed): number => w.members[0]?.score ?? -Infinity;

/** Shares out all probability among what was fitted. */
function shareOut(list: Weighed[]): Weighed[] {
  const top = max(...list.map(bestScore));
  const mass = (w: Weighed) => w.members.reduce((sum, m) => sum + exp(m.score - top), 0);
  const masses = list.map(mass);
  const total = masses.reduce((a, b) => a + b, 0);
  return list
    .map((w, i) => ({ ...w, probability: (masses[i] ?? 0) / total }))
    .sort((a, b) => b.probability - a.probability);
}

/** Observations that the best explanation has to call a slip. */
export const unexplained = (best: Weighed): number => best.fit.trust.filter((t) => t < 0.5).length;

/** The best single explanation alone: enough to see where the unit's drops lie. */
export function firstLook(question: Question): Fit | null {
  const { tables } = question;
  const score = scorer(question);
  let top = -Infinity;
  const scored = tables.singles.map((hypothesis) => {
    const s = score(hypothesis, top - hopeless);
    top = max(top, s);
    return { hypothesis, score: s };
  });
  const list = fitted(
    question,
    scored.filter((s) => s.score >= top - hopeless),
    undefined,
  );
  return list.length === 0 ? null : list.reduce((a, b) => (bestScore(b) > bestScore(a) ? b : a)).fit;
}

/** Weighs sound, single and double faults, every circumstance, and triples where two do not explain. */
export function weigh(question: Question, near: Fit): Posterior {
  const { tables } = question;
  const score = scorer(question);
  const scored: Scored[] = [];
  let top = -Infinity;
  const look = (h: Hypothesis) => {
    const s = score(h, top - hopeless);
    if (s === -Infinity) return;
    top = max(top, s);
    scored.push({ hypothesis: h, score: s });
  };
  tables.singles.forEach(look);
  tables.trapped.forEach(look);
  tables.pairs.forEach(look);
  const lookedAt = tables.singles.length + tables.trapped.length + tables.pairs.length;
  const alive = scored.filter((s) => s.score >= top - hopeless);
  let list = polishBest(question, fitted(question, alive, near));
  let more = 0;
  const [best] = shareOut(list);
  if (best !== undefined && unexplained(best) >= 1) {
    const triples = tripleFaults(question, list);
    more = triples.length;
    list = polishBest(question, [...list, ...fitted(question, triples, best.fit)]);
  }
  return {
    weighed: shareOut(list),
    prunedMass: (lookedAt - alive.length) * exp(-hopeless),
    looked: lookedAt + more,
    fitted: list.length,
  };
}

/** Adds a third fault to the best pairs. */
function tripleFaults(question: Question, list: readonly Weighed[]): Scored[] {
  const { tables } = question;
  const score = scorer(question);
  const seeds = [...list]
    .sort((a, b) => bestScore(b) - bestScore(a))
    .flatMap((w) => w.members.slice(0, 1).map((m) => m.hypothesis))
    .filter((h) => h.faults.length === 2 && h.circumstance === 0)
    .slice(0, 30);
  const made = new Set<Hypothesis>();
  for (const seed of seeds)
    for (const variant of tables.variants) {
      if (variant.weightBeside === 0) continue;
      const h = withFault(tables, seed, variant);
      if (h !== null) made.add(h);
    }
  const scored = [...made].map((hypothesis) => ({ hypothesis, score: score(hypothesis, -Infinity) }));
  const top = max(...scored.map((s) => s.score));
  return scored.filter((s) => s.score >= top - hopeless);
}

/** Solves the most promising again around their own fits, where the tables' straight lines bend. */
function polishBest(question: Question, list: Weighed[]): Weighed[] {
  const hopes = list.map((w) => ({ w, hope: hopeOf(question, w) }));
  const bar = max(...hopes.map((h) => h.hope)) - settledBehind;
  const ranked = hopes
    .filter((h) => h.hope >= bar)
    .sort((a, b) => b.hope - a.hope)
    .map((h) => h.w);
  const names = new Map<string, number>();
  const chosen = new Set<Weighed>();
  for (const w of ranked) {
    const name = `${w.members[0]?.hypothesis.circumstance ?? 0} ${w.members[0]?.hypothesis.name ?? ''}`;
    const of = names.get(name) ?? 0;
    // Of one fault at several sizes two are enough to find the right one from.
    if (of >= 2 || (of === 0 && names.size >= mostPolished)) continue;
    names.set(name, of + 1);
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
  const { leaks, odd } = freeColumns(w.fit.hypothesis);
  const opens = leaks.size + odd.size > 0 || w.fit.hypothesis.circumstance > 0;
  if (!opens) return bestScore(w);
  const lost = observations.reduce((sum, o, i) => {
    const solved = w.fit.solutions[i] as Solution;
    if (o.state !== 'finite' || solved.overload || at(w.fit.trust, i) > 0.5) return sum;
    const follows = solved.columns.some((c) => leaks.has(c) || odd.has(c) || c === column.circumstance);
    return sum + (follows ? 11 : 0);
  }, 0);
  return bestScore(w) + lost;
}
