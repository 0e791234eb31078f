// The two-point line of an analog input.

/** Signals of analog inputs. */
export const signals = ['0-10V', '0-20mA', '4-20mA', '±10V'] as const;
/** A signal of an analog input. */
export type Signal = (typeof signals)[number];

const rangeOf: Readonly<Record<Signal, { low: number; high: number; unit: 'V' | 'mA' }>> = {
  '0-10V': { low: 0, high: 10, unit: 'V' },
  '0-20mA': { low: 0, high: 20, unit: 'mA' },
  '4-20mA': { low: 4, high: 20, unit: 'mA' },
  '±10V': { low: -10, high: 10, unit: 'V' },
};

/** The ends of a signal. */
export const signalRange = (signal: Signal): { low: number; high: number } => rangeOf[signal];

/** What a signal is measured in. */
export const signalUnit = (signal: Signal): 'V' | 'mA' => rangeOf[signal].unit;

/** A signal and what its two ends stand for. */
export interface ScaleLine {
  signal: Signal;
  /** What the lowest and the highest signal stand for, e.g. Hz. */
  atLow: number;
  atHigh: number;
}

/** What a signal stands for; outside its range the line goes on. */
export function scaled({ signal, atLow, atHigh }: ScaleLine, value: number): number {
  const { low, high } = rangeOf[signal];
  return atLow + ((value - low) / (high - low)) * (atHigh - atLow);
}

/** One point of a scale: the signal, what it stands for, the calculation. */
export interface ScalePoint {
  signal: number;
  unit: 'V' | 'mA';
  stands: number;
  /** As it is written on paper. */
  sum: string;
}

const figure = (value: number): number => Number(value.toFixed(3));

/** Five points to check a scaling by: none, a quarter, half, three quarters, all of the signal. */
export function fivePoints(line: ScaleLine): ScalePoint[] {
  const { low, high, unit } = rangeOf[line.signal];
  return [0, 0.25, 0.5, 0.75, 1].map((share) => {
    const signal = low + share * (high - low);
    const stands = figure(scaled(line, signal));
    return {
      signal,
      unit,
      stands,
      sum: `${line.atLow} + (${signal} − ${low}) ÷ ${high - low} × ${figure(line.atHigh - line.atLow)} = ${stands}`,
    };
  });
}
