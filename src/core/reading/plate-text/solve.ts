import { weighed, type Reading } from './digits';
import type { PlateQuantity } from './labels';
import { inKilowatts, pairFits, plausible, pointFits, type RatingPoint } from './physics';
import type { PlateValue } from './values';

/** A value of a plate with what it most likely is. */
export interface SolvedValue {
  quantity: PlateQuantity;
  value: number;
  confidence: number;
  box: PlateValue['box'];
  /** As read, where physics put it right. */
  asRead: string;
  /** Another value that fits nearly as well. */
  orElse: number | null;
}

interface Variable {
  found: PlateValue;
  readings: Reading[];
}

/** Readings with a smaller chance are not followed. */
const mostReadings = 16;

function variableOf(found: PlateValue): Variable {
  const best = weighed(found.digits, found.confidence, (value) => plausible(found.quantity, value))
    .sort((a, b) => b.weight - a.weight)
    .slice(0, mostReadings);
  return { found, readings: best.map(({ reading }) => reading) };
}

/** Variables that are one rating: what is on one line of a table, or the nth of each list. */
type Point = Partial<Record<PlateQuantity, number>>;

const rated: readonly PlateQuantity[] = [
  'power-kW',
  'power-hp',
  'volts',
  'amps',
  'hz',
  'rpm',
  'cosPhi',
  'efficiency',
];

/** Ratings of some variables: the nth of each list; a quantity with one value holds for every rating. */
function pointsAmong(values: readonly Pick<PlateValue, 'quantity'>[], indexes: readonly number[]): Point[] {
  const by = new Map<PlateQuantity, number[]>();
  for (const i of indexes) {
    const quantity = values[i]?.quantity;
    if (quantity !== undefined && rated.includes(quantity))
      by.set(quantity, [...(by.get(quantity) ?? []), i]);
  }
  const count = Math.max(0, ...[...by.values()].map((list) => list.length));
  return Array.from({ length: count }, (_, n) => {
    const point: Point = {};
    for (const [quantity, list] of by) {
      // Two of four: each is true of half of the ratings, as 50 and 60 Hz are over two voltages each.
      const each = count / list.length;
      if (Number.isInteger(each)) point[quantity] = list[Math.floor(n / each)] ?? 0;
    }
    return point;
  });
}

/** Quantities on one line that make it a rating by itself. */
const wholeLine = 3;

/** Which variables belong together, as indexes: what is on one line of a table, else the nth of each list of the plate. */
export function pointsOf(values: readonly Pick<PlateValue, 'quantity' | 'line'>[]): Point[] {
  const byLine = new Map<number, number[]>();
  values.forEach(({ line }, i) => byLine.set(line, [...(byLine.get(line) ?? []), i]));
  const kinds = (indexes: readonly number[]): number =>
    new Set(indexes.flatMap((i) => values[i]?.quantity ?? []).filter((q) => rated.includes(q))).size;
  const rows = [...byLine.values()].filter((indexes) => kinds(indexes) >= wholeLine);
  const all = values.map((_, i) => i);
  if (rows.length < 2) return pointsAmong(values, all);
  const told = new Set(rows[0]?.map((i) => values[i]?.quantity));
  // Rows of one table have the same quantities; two lines of labels have different ones.
  const isTable = rows
    .slice(1)
    .every((row) => row.filter((i) => told.has(values[i]?.quantity)).length >= wholeLine);
  return isTable ? rows.flatMap((row) => pointsAmong(values, row)) : pointsAmong(values, all);
}

const valuesAt = (point: Point, chosen: readonly number[], values: readonly Variable[]): RatingPoint => {
  const at = (quantity: PlateQuantity): number | undefined => {
    const index = point[quantity];
    return index === undefined ? undefined : values[index]?.readings[chosen[index] ?? 0]?.value;
  };
  const kW = at('power-kW');
  const hp = at('power-hp');
  return {
    power_kW: kW ?? (hp === undefined ? undefined : inKilowatts('power-hp', hp)),
    volts: at('volts'),
    amps: at('amps'),
    hz: at('hz'),
    rpm: at('rpm'),
    cosPhi: at('cosPhi'),
    efficiency: at('efficiency'),
  };
};

/** The same power in two units has to be the same. */
function unitsAgree(point: Point, chosen: readonly number[], values: readonly Variable[]): number {
  const at = (q: PlateQuantity): number | undefined => {
    const index = point[q];
    return index === undefined ? undefined : values[index]?.readings[chosen[index] ?? 0]?.value;
  };
  const [kW, hp] = [at('power-kW'), at('power-hp')];
  if (kW === undefined || hp === undefined) return 0;
  const ratio = kW / (hp * 0.7457);
  return ratio > 0.9 && ratio < 1.12 ? 1.5 : -6;
}

/** What is to be solved: values, and which of them are one rating. */
interface Problem {
  points: readonly Point[];
  values: readonly Variable[];
  ofDrive: boolean;
}

/** How well a choice of readings fits together. */
function fitOf({ points, values, ofDrive }: Problem, chosen: readonly number[]): number {
  const ratings = points.map((point) => valuesAt(point, chosen, values));
  const alone = values.reduce((sum, { found, readings }, i) => {
    const reading = readings[chosen[i] ?? 0];
    return reading === undefined
      ? sum
      : sum + Math.log(reading.prior) + plausible(found.quantity, reading.value);
  }, 0);
  const together = ratings.reduce((sum, rating) => sum + pointFits(rating, ofDrive), 0);
  const units = points.reduce((sum, point) => sum + unitsAgree(point, chosen, values), 0);
  const pairs = ofDrive
    ? 0
    : ratings.slice(1).reduce((sum, rating, i) => sum + pairFits(ratings[i] ?? rating, rating), 0);
  return alone + together + units + pairs;
}

const sweeps = 6;
/** Of two that are changed together, so many readings each. */
const pairReadings = 8;

/**
 * The best choice: from what was read, one value after the other is changed as long as that fits better, then two at a time,
 * since a lost decimal sign may have drawn another value with it.
 */
function best(problem: Problem): number[] {
  const { points, values } = problem;
  let chosen = values.map(() => 0);
  let score = fitOf(problem, chosen);
  const tryOn = (next: number[]): boolean => {
    const fit = fitOf(problem, next);
    if (fit <= score + 1e-9) return false;
    score = fit;
    chosen = next;
    return true;
  };
  const single = (): boolean =>
    values.reduce(
      (changed, { readings }, i) =>
        readings.reduce((any, _, r) => tryOn(chosen.map((c, j) => (j === i ? r : c))) || any, changed),
      false,
    );
  // Only values of one rating depend on one another.
  const pairs = new Set(
    points.flatMap((point) => {
      const members = Object.values(point);
      return members.flatMap((i) => members.filter((j) => j > i).map((j) => `${i} ${j}`));
    }),
  );
  const double = (): boolean => {
    let changed = false;
    for (const pair of pairs) {
      const [i = 0, j = 0] = pair.split(' ').map(Number);
      for (let r = 0; r < Math.min(pairReadings, values[i]?.readings.length ?? 0); r += 1)
        for (let q = 0; q < Math.min(pairReadings, values[j]?.readings.length ?? 0); q += 1)
          changed = tryOn(chosen.map((c, k) => (k === i ? r : k === j ? q : c))) || changed;
    }
    return changed;
  };
  for (let sweep = 0; sweep < sweeps && (single() || double()); sweep += 1);
  return chosen;
}

/**
 * What the values of a plate most likely are: what was read, weighed by what values of a plate are and by how they fit
 * together: one value for each that was found. The confidence of each is its share among its own readings, all others being as they are best.
 * @param points which values are one rating; found by lines and lists where it is left out
 */
export function solved(
  found: readonly PlateValue[],
  { points = pointsOf(found), ofDrive = false }: { points?: readonly Point[]; ofDrive?: boolean } = {},
): SolvedValue[] {
  const values = found.map(variableOf);
  const problem = { points, values, ofDrive };
  const chosen = best(problem);
  return values.map(({ found: value, readings }, i) => {
    const fits = readings.map((_, r) =>
      fitOf(
        problem,
        chosen.map((c, j) => (j === i ? r : c)),
      ),
    );
    const top = Math.max(...fits);
    const weights = fits.map((fit) => Math.exp(fit - top));
    const total = weights.reduce((a, b) => a + b, 0);
    const mine = readings[chosen[i] ?? 0];
    const order = readings
      .map((reading, r) => ({ reading, share: (weights[r] ?? 0) / total }))
      .sort((a, b) => b.share - a.share);
    const second = order.find(({ reading }) => reading.value !== mine?.value);
    return {
      quantity: value.quantity,
      value: mine?.value ?? Number(value.digits),
      confidence: Number((((weights[chosen[i] ?? 0] ?? 0) / total) * value.assigned).toFixed(4)),
      box: value.box,
      asRead: value.digits,
      orElse: second !== undefined && second.share > 0.1 ? second.reading.value : null,
    };
  });
}
