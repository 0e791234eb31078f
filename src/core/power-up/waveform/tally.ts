import { valueAt } from '../../numerics/arrays';

/** Integrals over a window, exact for what is straight between events. */
export interface Sums {
  mean: Record<string, number>;
  square: Record<string, number>;
  least: Record<string, number>;
  most: Record<string, number>;
  /** Mean of y·sin ω₁t and of y·cos ω₁t over whole periods of f1. */
  sin1: Record<string, number>;
  cos1: Record<string, number>;
}

/** Places in the tally's clock: ticks summed, of them in whole periods; sine and cosine where the last stretch ended, and where that was. */
const slot = { summed: 0, inWhole: 1, sine: 2, cosine: 3, endedAt: 4 } as const;

/** Adds up integrals of a run, stretch by stretch. */
export interface Tally {
  /** A stretch from one tick to another, with the values at its ends. */
  add: (before: Float64Array, after: Float64Array, from: number, to: number) => void;
  /** From here on the periods of f1 are whole. */
  beginWhole: () => void;
  sums: () => Sums;
}

/**
 * @param f1 Hz; null: nothing is asked of it
 * @param ofMotor from this name on they are the motor's, and summed over whole periods of f1 only
 * @param ticksPerSecond the unit of time of `add`
 */
export function tallyOf(
  names: readonly string[],
  f1: number | null,
  ofMotor: number,
  ticksPerSecond: number,
): Tally {
  const count = names.length;
  const zeros = () => new Float64Array(count);
  const [mean, square, sin1, cos1] = [zeros(), zeros(), zeros(), zeros()] as const;
  const least = zeros().fill(Infinity);
  const most = zeros().fill(-Infinity);
  const omega1 = (2 * Math.PI * (f1 ?? 0)) / ticksPerSecond;
  let whole = false;
  const clock = new Float64Array(5);

  function add(before: Float64Array, after: Float64Array, from: number, to: number): void {
    const long = to - from;
    if (long <= 0) return;
    clock[slot.summed] = valueAt(clock, slot.summed) + long;
    let [s0, c0, s1, c1] = [0, 0, 0, 0];
    if (whole) {
      clock[slot.inWhole] = valueAt(clock, slot.inWhole) + long;
      const known = Math.abs(valueAt(clock, slot.endedAt) - from) < 0.1;
      s0 = known ? valueAt(clock, slot.sine) : Math.sin(omega1 * from);
      c0 = known ? valueAt(clock, slot.cosine) : Math.cos(omega1 * from);
      s1 = Math.sin(omega1 * to);
      c1 = Math.cos(omega1 * to);
      clock[slot.sine] = s1;
      clock[slot.cosine] = c1;
      clock[slot.endedAt] = to;
    }
    const half = long / 2;
    const upTo = whole ? count : ofMotor;
    for (let i = 0; i < upTo; i += 1) {
      const a = valueAt(before, i);
      const b = valueAt(after, i);
      mean[i] = valueAt(mean, i) + (a + b) * half;
      square[i] = valueAt(square, i) + ((a * a + a * b + b * b) / 3) * long;
      if (a < valueAt(least, i)) least[i] = a;
      if (b < valueAt(least, i)) least[i] = b;
      if (a > valueAt(most, i)) most[i] = a;
      if (b > valueAt(most, i)) most[i] = b;
      if (!whole) continue;
      sin1[i] = valueAt(sin1, i) + (a * s0 + b * s1) * half;
      cos1[i] = valueAt(cos1, i) + (a * c0 + b * c1) * half;
    }
  }

  const named = (list: Float64Array, over: number, overMotor: number) =>
    Object.fromEntries(names.map((name, i) => [name, valueAt(list, i) / (i < ofMotor ? over : overMotor)]));

  return {
    add,
    beginWhole: () => {
      whole = f1 !== null;
    },
    sums: () => {
      const all = valueAt(clock, slot.summed);
      const inWhole = valueAt(clock, slot.inWhole);
      return {
        mean: named(mean, all, inWhole),
        square: named(square, all, inWhole),
        least: named(least, 1, 1),
        most: named(most, 1, 1),
        sin1: named(sin1, inWhole, inWhole),
        cos1: named(cos1, inWhole, inWhole),
      };
    },
  };
}
