import { model } from './model';
import type { Observation } from './observations';
import { column } from './faultable-network';
import { goodScore, slipScore, stateLikelihood, type Ceiling, type Figure } from './meter-likelihood';
import { effect, isBlocked } from './solve';
import type { Hypothesis, Solution } from './tables';
import { byteAt, item, numberAt, valueAt, indexAt } from '../../numerics/arrays';
import { solveInPlace } from '../../numerics/cholesky';

const { abs, exp, log, log1p, max, min, sqrt } = Math;

/** How well one hypothesis explains the readings, with the unit's own drops fitted. */
export interface HypothesisFit {
  hypothesis: Hypothesis;
  /** What it says of each observation, before the unit's own drops. */
  solutions: readonly Solution[];
  /** ln of the evidence, up to a constant shared by all hypotheses; the prior is not in it. */
  score: number;
  /** Fitted unknowns, one per `column`. */
  unknowns: Float64Array;
  /** Per observation: the chance that it is no slip under this hypothesis. */
  trust: Float64Array;
}

/** What is known of the unit before its readings, column by column. */
export interface Expectation {
  centre: Float64Array;
  spread: Float64Array;
}

/**
 * How far a column may lie from what was expected, under one hypothesis.
 * @param beside it has other faults beside
 */
export function spreadOf(
  { open, beside }: { open: readonly number[]; beside: boolean },
  { spread }: Expectation,
  c: number,
): number {
  if (!open.includes(c) || c === column.circumstance) return valueAt(spread, c);
  if (c < column.leak0) return model.degradedSpread_V;
  return beside ? model.leakSpreadBeside : model.leakSpread;
}

const rounds = 6;
/** A fit that moves less than this from one round to the next has settled, V. */
const settled_V = 4e-4;

/** What one hypothesis leaves to be fitted to the finite readings; vectors over its active columns. */
interface Fitting {
  hypothesis: Hypothesis;
  finite: readonly Figure[];
  /** The columns that some reading follows: the rest stays at what was expected and cancels out. */
  active: readonly number[];
  /** Place of a column among the active ones; −1 where it is none. */
  local: Int32Array;
  centre: Float64Array;
  precision: Float64Array;
  /** The fit so far. */
  x: Float64Array;
  /** Per observation: the chance that it is no slip. */
  trust: Float64Array;
}

/** A device that may be odd by itself: its spread has heavy tails. */
const isDevice = ({ open }: Hypothesis, c: number): boolean => c < column.leak0 && !open.includes(c);

function fittingOf(
  hypothesis: Hypothesis,
  observations: readonly Observation[],
  solutions: readonly Solution[],
  { expectation, near }: { expectation: Expectation; near?: HypothesisFit | undefined },
): Fitting {
  const { open, faults } = hypothesis;
  const finite = observations.flatMap((observation, i): Figure[] => {
    const solved = item(solutions, i);
    if (observation.state !== 'finite' || isBlocked(solved)) return [];
    const spread = model.reading_V / sqrt(min(observation.repeats, 4));
    return [{ i, solved, volts: observation.volts, residual: observation.volts - solved.volts, spread }];
  });
  const local = new Int32Array(column.count).fill(-1);
  for (const { solved } of finite) for (const c of solved.columns) local[c] = 0;
  const active: number[] = [];
  local.forEach((mark, c) => {
    if (mark === 0) local[c] = active.push(c) - 1;
  });
  const studentGain = (model.deviceFreedom + 1) / model.deviceFreedom;
  const spread = { open, beside: faults.length > 1 };
  return {
    hypothesis,
    finite,
    active,
    local,
    centre: Float64Array.from(active, (c) => valueAt(expectation.centre, c)),
    precision: Float64Array.from(
      active,
      (c) => (isDevice(hypothesis, c) ? studentGain : 1) / spreadOf(spread, expectation, c) ** 2,
    ),
    x: Float64Array.from(active, (c) => valueAt(near?.unknowns ?? expectation.centre, c)),
    trust: new Float64Array(observations.length).fill(1),
  };
}

/** What a reading has left when the fit so far is taken off, V. */
function leftOf({ x, local }: Fitting, { residual, solved: { columns, values } }: Figure): number {
  let sum = residual;
  for (let e = 0; e < columns.length; e += 1)
    sum -= valueAt(values, e) * valueAt(x, indexAt(local, byteAt(columns, e)));
  return sum;
}

/** Writes the normal equations around the fit so far: an odd device and a slip weigh less. */
function writeNormalEquations(fitting: Fitting, matrix: Float64Array, rhs: Float64Array): void {
  const { hypothesis, finite, active, local, centre, precision, x, trust } = fitting;
  const n = active.length;
  matrix.fill(0);
  for (let u = 0; u < n; u += 1) {
    let weight = valueAt(precision, u);
    if (isDevice(hypothesis, numberAt(active, u))) {
      const off = valueAt(x, u) / model.device_V;
      weight = (model.deviceFreedom + 1) / (model.deviceFreedom + off * off) / model.device_V ** 2;
    }
    matrix[u * n + u] = weight;
    rhs[u] = weight * valueAt(centre, u);
  }
  for (const f of finite) {
    const weight = valueAt(trust, f.i) / f.spread ** 2;
    if (weight < 1) continue;
    const { columns, values } = f.solved;
    for (let e = 0; e < columns.length; e += 1) {
      const u = indexAt(local, byteAt(columns, e));
      const weighted = weight * valueAt(values, e);
      rhs[u] = valueAt(rhs, u) + weighted * f.residual;
      for (let d = 0; d <= e; d += 1) {
        const place = u * n + indexAt(local, byteAt(columns, d));
        matrix[place] = valueAt(matrix, place) + weighted * valueAt(values, d);
      }
    }
  }
}

/**
 * Goes round until the fit has settled; `x` and `trust` of the fitting are its own.
 * @returns ½·ln of the determinant of the last normal equations
 */
function iterate(fitting: Fitting): number {
  const { finite, active, x, trust } = fitting;
  const n = active.length;
  const matrix = new Float64Array(n * n);
  const rhs = new Float64Array(n);
  let halfLog = 0;
  for (let round = 0; round < rounds; round += 1) {
    writeNormalEquations(fitting, matrix, rhs);
    halfLog = solveInPlace(matrix, n, rhs);
    let moved = 0;
    for (let u = 0; u < n; u += 1) moved = max(moved, abs(valueAt(rhs, u) - valueAt(x, u)));
    x.set(rhs);
    for (const f of finite) {
      const left = leftOf(fitting, f);
      trust[f.i] = 1 / (1 + exp(slipScore(f, left) - goodScore(f, left)));
    }
    if (moved < settled_V) break;
  }
  return halfLog;
}

/** ln of the Laplace evidence of the finite readings at the fit. */
function evidenceOf(fitting: Fitting, halfLog: number): number {
  const { hypothesis, finite, active, centre, precision, x } = fitting;
  let score = -halfLog;
  for (let u = 0; u < active.length; u += 1) {
    const off = valueAt(x, u) - valueAt(centre, u);
    score += 0.5 * log(valueAt(precision, u));
    score -= isDevice(hypothesis, numberAt(active, u))
      ? ((model.deviceFreedom + 1) / 2) * log1p((off / model.device_V) ** 2 / model.deviceFreedom)
      : 0.5 * valueAt(precision, u) * off * off;
  }
  for (const f of finite) {
    const left = leftOf(fitting, f);
    const good = goodScore(f, left);
    const bad = slipScore(f, left);
    score += max(good, bad) + log1p(exp(-abs(good - bad)));
  }
  return score;
}

/**
 * Most likely unknowns under one hypothesis (iteratively re-weighted least squares: a slip of one
 * figure or one odd device must not bend the fit) and the Laplace evidence at them.
 * @param solutions what the hypothesis says of each observation
 * @param near a fit of the same readings under another hypothesis: most of a unit is the same, so
 *   starting there saves rounds
 * @throws NotPositiveDefinite where the normal equations have no single solution: an error of the model
 */
export function fit(
  hypothesis: Hypothesis,
  observations: readonly Observation[],
  solutions: readonly Solution[],
  {
    expectation,
    ceiling,
    near,
  }: { expectation: Expectation; ceiling: Ceiling; near?: HypothesisFit | undefined },
): HypothesisFit {
  const fitting = fittingOf(hypothesis, observations, solutions, { expectation, near });
  const { finite, active, x, trust } = fitting;
  let score = evidenceOf(fitting, iterate(fitting));
  const unknowns = expectation.centre.slice();
  active.forEach((c, u) => (unknowns[c] = valueAt(x, u)));
  const figures = new Set(finite.map((f) => f.i));
  observations.forEach((observation, i) => {
    const solved = item(solutions, i);
    const expected = solved.volts + effect(solved, unknowns);
    score += stateLikelihood(ceiling, observations, i, expected);
    if ((observation.state === 'finite') === abs(expected) > ceiling.volts) trust[i] = 0;
    // A finite figure where overload was predicted can only be a slip: its state has paid for that,
    // and any figure is as likely as another.
    if (observation.state === 'finite' && !figures.has(i)) score -= log(model.slipRange_V);
  });
  return { hypothesis, solutions, score, unknowns, trust };
}

/** What the fit expects a reading of its to be, V; Infinity for overload. */
export function expectedOf(fitted: HypothesisFit, i: number): number {
  const solved = item(fitted.solutions, i);
  return isBlocked(solved) ? Infinity : solved.volts + effect(solved, fitted.unknowns);
}
