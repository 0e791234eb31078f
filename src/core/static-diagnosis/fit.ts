import { at } from '../circuit';
import { model } from './model';
import type { Observation } from './observations';
import { effect, type Prediction, type Tables } from './tables';

// Taken once: looking a global up at every use costs more than the function itself.
const { abs, exp, log, log1p, max, min, sqrt } = Math;

/** How well one hypothesis explains the readings, with the unit's own drops fitted. */
export interface Fit {
  prediction: Prediction;
  /** ln of prior × evidence, up to a constant shared by all hypotheses. */
  score: number;
  /** Fitted unknowns, in the order of `tables.unknowns`. */
  unknowns: Float64Array;
  /** Per observation: the chance that it is no slip under this hypothesis. */
  trust: Float64Array;
}

const floor = log(model.slip / model.slipRange_V);
const logTwoPi = log(2 * Math.PI);

/** The chance that a display shows overload for a predicted voltage. */
function overloadChance(volts: number, ceiling_V: number): number {
  const x = (abs(volts) - ceiling_V) / model.ceiling_V;
  return 1 / (1 + exp(-1.7 * x));
}

/** ln likelihood of the observed state alone; finite figures are weighed in the fit. */
export function stateScore(observation: Observation, predicted_V: number, ceiling_V: number): number {
  const overload = overloadChance(predicted_V, ceiling_V);
  // A mistake seldom happens twice on one probe.
  const poorContact = model.poorContact ** min(observation.repeats, 2);
  const slip = model.slip ** min(observation.repeats, 2);
  if (observation.state === 'finite') return log((1 - overload) * (1 - poorContact) + overload * slip);
  const blocked = overload + (1 - overload) * poorContact;
  return observation.state === 'OL' ? log(blocked) : log(0.5 * overload + 0.01 * (1 - overload));
}

/**
 * Solves a symmetric positive definite system in place by Cholesky, column by column, passing over
 * zeros: with the nearly diagonal columns first there is little else.
 * @param matrix lower triangle, row-major; overwritten
 * @returns ½·ln of the determinant
 */
function solveCholesky(matrix: Float64Array, n: number, rhs: Float64Array): number {
  let halfLog = 0;
  for (let k = 0; k < n; k += 1) {
    const pivot = sqrt(max(at(matrix, k * n + k), 1e-300));
    matrix[k * n + k] = pivot;
    halfLog += log(pivot);
    const y = at(rhs, k) / pivot;
    rhs[k] = y;
    for (let i = k + 1; i < n; i += 1) {
      const rowI = i * n;
      const below = at(matrix, rowI + k) / pivot;
      if (below === 0) continue;
      matrix[rowI + k] = below;
      rhs[i] = at(rhs, i) - below * y;
      for (let j = k + 1; j <= i; j += 1) {
        const left = at(matrix, j * n + k);
        // Rows above this one in the column are divided already.
        if (left !== 0) matrix[rowI + j] = at(matrix, rowI + j) - below * left;
      }
    }
  }
  for (let i = n - 1; i >= 0; i -= 1) {
    const x = at(rhs, i) / at(matrix, i * n + i);
    rhs[i] = x;
    for (let j = 0; j < i; j += 1) rhs[j] = at(rhs, j) - at(matrix, i * n + j) * x;
  }
  return halfLog;
}

/** What is weighed: which probe of the tables each observation belongs to. */
export interface Evidence {
  tables: Tables;
  observations: readonly Observation[];
  /** Index into `tables.probes`, or −1 for a probe that is not in them. */
  rows: readonly number[];
}

/** Sum of the state scores: cheap, and already rules most hypotheses out. */
export function stateScores({ tables, observations, rows }: Evidence, prediction: Prediction): number {
  return observations.reduce(
    (sum, observation, i) =>
      sum + stateScore(observation, at(prediction.volts, rows[i] ?? 0), tables.meter.ceiling_V),
    log(prediction.hypothesis.prior),
  );
}

const rounds = 6;
/** A fit that moves less than this from one round to the next has settled, V. */
const settled_V = 4e-4;

/**
 * Most likely unknowns under one hypothesis (iteratively re-weighted least squares: a slip of one
 * figure or one odd device must not bend the fit) and the Laplace evidence at them.
 * @param near a fit of the same readings under another hypothesis: most of a unit is the same, so
 *   starting there saves rounds
 */
export function fit(evidence: Evidence, prediction: Prediction, states: number, near?: Fit): Fit {
  const { tables, observations, rows } = evidence;
  const { count, slope, firstFamily, leak, devices } = tables.unknowns;
  const shifted = prediction.hypothesis.shift;
  const oddDevice = shifted === undefined ? -1 : devices.indexOf(shifted.component);
  const precision = new Float64Array(count);
  const isDevice = (u: number) => u < leak && u !== oddDevice;
  const studentGain = (model.deviceFreedom + 1) / model.deviceFreedom;
  for (let u = 0; u < count; u += 1) {
    const spread =
      u >= firstFamily && u < slope
        ? model.family_V
        : u === slope
          ? model.slope
          : u === leak
            ? prediction.hypothesis.fitsOhm
              ? model.leakSpread
              : 1e-3
            : u === oddDevice
              ? (shifted?.spread_V ?? model.device_V)
              : model.device_V;
    precision[u] = (isDevice(u) ? studentGain : 1) / spread ** 2;
  }
  // Where the tables stand on fitted drops already, the typical unit lies at minus that shift.
  const centre = new Float64Array(count);
  tables.unknowns.families.forEach(
    (family, u) => (centre[firstFamily + u] = -(tables.familyShift_V[family] ?? 0)),
  );
  const priorHalfLog = 0.5 * precision.reduce((sum, p) => sum + log(p), 0);

  const finite = observations.flatMap((observation, i) => {
    const row = rows[i] ?? 0;
    const usable = observation.state === 'finite' && abs(at(prediction.volts, row)) <= tables.meter.ceiling_V;
    if (!usable) return [];
    const spread = model.reading_V / sqrt(min(observation.repeats, 4));
    return [{ i, row, residual: observation.volts - at(prediction.volts, row), spread }];
  });
  const trust = new Float64Array(observations.length).fill(1);
  observations.forEach((observation, i) => {
    const overload = abs(at(prediction.volts, rows[i] ?? 0)) > tables.meter.ceiling_V;
    if ((observation.state === 'finite') === overload) trust[i] = 0;
  });

  const unknowns = near === undefined ? new Float64Array(count) : near.unknowns.slice();
  const matrix = new Float64Array(count * count);
  let halfLog = 0;
  const { starts, columns, values } = prediction.slopes;
  const left = (f: (typeof finite)[number]): number =>
    f.residual - effect(prediction.slopes, f.row, unknowns);
  for (let round = 0; round < rounds; round += 1) {
    matrix.fill(0);
    const rhs = new Float64Array(count);
    for (let u = 0; u < count; u += 1) {
      let weight = at(precision, u);
      if (isDevice(u)) {
        const x = at(unknowns, u) / model.device_V;
        weight = (model.deviceFreedom + 1) / (model.deviceFreedom + x * x) / model.device_V ** 2;
      }
      matrix[u * count + u] = weight;
      rhs[u] = weight * at(centre, u);
    }
    for (const f of finite) {
      const weight = at(trust, f.i) / f.spread ** 2;
      if (weight < 1) continue;
      const end = at(starts, f.row + 1);
      for (let e = at(starts, f.row); e < end; e += 1) {
        const u = at(columns, e);
        const weighted = weight * at(values, e);
        rhs[u] = at(rhs, u) + weighted * f.residual;
        for (let d = at(starts, f.row); d <= e; d += 1) {
          const place = u * count + at(columns, d);
          matrix[place] = at(matrix, place) + weighted * at(values, d);
        }
      }
    }
    halfLog = solveCholesky(matrix, count, rhs);
    let moved = 0;
    for (let u = 0; u < count; u += 1) moved = max(moved, abs(at(rhs, u) - at(unknowns, u)));
    unknowns.set(rhs);
    for (const f of finite) {
      const good = log(1 - model.slip) - 0.5 * (left(f) / f.spread) ** 2 - log(f.spread) - 0.5 * logTwoPi;
      trust[f.i] = 1 / (1 + exp(floor - good));
    }
    if (moved < settled_V) break;
  }

  let score = states + priorHalfLog - halfLog;
  for (let u = 0; u < count; u += 1) {
    const x = at(unknowns, u) - at(centre, u);
    score -= isDevice(u)
      ? ((model.deviceFreedom + 1) / 2) * log1p((x / model.device_V) ** 2 / model.deviceFreedom)
      : 0.5 * at(precision, u) * x * x;
  }
  for (const f of finite) {
    const good = log(1 - model.slip) - 0.5 * (left(f) / f.spread) ** 2 - log(f.spread) - 0.5 * logTwoPi;
    score += max(good, floor) + log1p(exp(-abs(good - floor)));
  }
  // A finite figure where overload was predicted can only be a slip: its state has paid for that,
  // and any figure is as likely as another.
  const slips = observations.filter((o) => o.state === 'finite').length - finite.length;
  score -= slips * log(model.slipRange_V);
  return { prediction, score, unknowns, trust };
}
