import { outputNames, type OutputName } from './topology';
import type { Engine } from './engine';
import { ticksPerSample } from './timing';
import { tallyOf, type Sums } from './tally';
import { valueAt } from '../../numerics/arrays';

/** What is shown besides the outputs themselves: line to line at the motor. */
export const pairNames = ['vuv', 'vvw', 'vwu'] as const;
/** The same as a filter shows them: each sample the mean over its own time. */
export const filteredNames = ['vuvMean', 'vvwMean', 'vwuMean'] as const;
/** A quantity of a run that can be drawn. */
export type TraceName = OutputName | (typeof pairNames)[number] | (typeof filteredNames)[number];

/** Quantities of supply and bus. */
export const busNames = ['vdc', 'ia', 'ib', 'ic', 'idc'] as const;
/** Quantities of the output. */
export const motorNames = ['iu', 'iv', 'iw', 'vu', 'vv', 'vw', ...pairNames] as const;

/** What a recorder made of a run. */
export interface Recording {
  sums: Sums;
  /** 512 a period of the supply, from the window's start. */
  t: Float64Array;
  samples: Partial<Record<TraceName, Float64Array>>;
}

/** Columns of samples, row after row. */
export interface Samples {
  add: (seconds: number, row: Float64Array) => void;
  t: () => Float64Array;
  columns: () => Partial<Record<TraceName, Float64Array>>;
}

/**
 * Room for samples of some quantities.
 * @param room how many samples
 */
export function samplesOf(names: readonly TraceName[], room: number): Samples {
  const count = names.length;
  const kept = new Float64Array(room * count);
  const t = new Float64Array(room);
  let length = 0;
  return {
    add: (seconds, row) => {
      if (length >= room) return;
      for (let i = 0; i < count; i += 1) kept[length * count + i] = valueAt(row, i);
      t[length] = seconds;
      length += 1;
    },
    t: () => t.slice(0, length),
    columns: () =>
      Object.fromEntries(
        names.map((name, i) => {
          const list = new Float64Array(length);
          for (let k = 0; k < length; k += 1) list[k] = valueAt(kept, k * count + i);
          return [name, list];
        }),
      ),
  };
}

/** Records a run as it goes. */
export interface Recorder {
  /** The engine stands at the window's start, or at the start of whole periods of f1. */
  begin: () => void;
  beginWhole: () => void;
  sample: () => void;
  result: () => Recording;
}

const busRows = outputNames.indexOf('iu');

/** From volts of U, V, W behind `at` to their three differences behind those. */
export function pairs(row: Float64Array, at: number): void {
  const u = valueAt(row, at);
  const v = valueAt(row, at + 1);
  const w = valueAt(row, at + 2);
  row[at + 3] = u - v;
  row[at + 4] = v - w;
  row[at + 5] = w - u;
}

/**
 * Listens to an engine over a window.
 * @param f1 of the inverter, Hz; null without one: then its outputs are left out
 * @param room for so many samples
 */
export function recorderFor(engine: Engine, f1: number | null, room: number): Recorder {
  const names: readonly TraceName[] = f1 === null ? busNames : [...busNames, ...motorNames];
  const rows = f1 === null ? busRows : outputNames.length;
  let before = new Float64Array(names.length);
  let after = new Float64Array(names.length);
  const tally = tallyOf(names, f1, busNames.length, engine.ticksPerSecond);
  const samples = samplesOf(names, room);
  let listening = false;
  const from = new Float64Array(1);
  let readAt = -1;

  /** The outputs now, into `after`. */
  function read(): void {
    if (readAt === engine.changes()) return;
    readAt = engine.changes();
    engine.read(after, rows);
    if (f1 !== null) pairs(after, rows - 3);
  }

  engine.listen(
    () => {
      if (!listening) return;
      read();
      from[0] = engine.ticks();
      const kept = before;
      before = after;
      after = kept;
      readAt = -1;
    },
    () => {
      if (!listening || engine.ticks() === from[0]) return;
      read();
      tally.add(before, after, valueAt(from, 0), engine.ticks());
    },
  );

  return {
    begin: () => {
      listening = true;
    },
    beginWhole: tally.beginWhole,
    sample: () => {
      read();
      samples.add(engine.ticks() / engine.ticksPerSecond, after);
    },
    result: () => ({ sums: tally.sums(), t: samples.t(), samples: samples.columns() }),
  };
}

/** Room for the samples of a window, with one at each end. */
export const samplesIn = (window: readonly [number, number], ticksPerSecond: number): number =>
  Math.ceil(((window[1] - window[0]) * ticksPerSecond) / ticksPerSample) + 2;
