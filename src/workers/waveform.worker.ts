import { expose, releaseProxy, type ProxyMethods } from 'comlink';
import {
  captureOf,
  columnsOf,
  decoded,
  guessLayout,
  readCff,
  readComtrade,
  shortened,
  type Capture,
  type Columns,
  type Layout,
} from '@/core/power-up/capture';
import { lampsAt, type LampExpectation, type LampLoad } from '@/core/power-up/first-power';
import { simulateWave, type UnitWords, type Wave, type WaveCase } from '@/core/power-up/waveform';
import {
  diagnoseWave,
  measuredIn,
  type Measured,
  type WaveDiagnosis,
} from '@/core/power-up/waveform-diagnosis';

/** Columns of a file as a page shows them: names, some rows, how many. */
export interface ColumnsSeen {
  names: readonly string[];
  rows: readonly (readonly number[])[];
  count: number;
  layout: Layout;
}

/** A capture longer than this is drawn and kept thinned; figures are read off all of it. */
const mostKept = 20_000;
const rowsShown = 4;

let columns: Columns | null = null;
let whole: Capture | null = null;
let turn = 0;

/** Lets messages in between two steps of a long sum. */
const yieldToEventLoop = (): Promise<void> => new Promise((resolve) => setTimeout(resolve, 0));

const api = {
  simulate: (given: WaveCase): Wave => simulateWave(given),

  /** A newer question stops an older one; then null comes back. */
  diagnose: async (
    sound: WaveCase,
    measured: Measured,
    prechargeOhm: number,
    progress: ((share: number) => void) & Partial<ProxyMethods>,
  ): Promise<WaveDiagnosis | null> => {
    turn += 1;
    const mine = turn;
    const work = diagnoseWave(sound, measured, { prechargeOhm });
    try {
      let step = work.next();
      while (step.done !== true) {
        progress(step.value);
        await yieldToEventLoop();
        if (mine !== turn) return null;
        step = work.next();
      }
      return step.value;
    } finally {
      // A function of the page is a channel to it: it is closed when nobody calls any more.
      progress[releaseProxy]?.();
    }
  },
  stop: (): void => {
    turn += 1;
  },

  /** Reads a file of text; what it holds stays here until it is said what the columns are. */
  openCsv: async (file: Blob): Promise<ColumnsSeen> => {
    columns = columnsOf(decoded(new Uint8Array(await file.arrayBuffer())));
    const { names, values } = columns;
    return {
      names,
      rows: Array.from({ length: rowsShown }, (_, k) => values.map((column) => column[k] ?? NaN)),
      count: values[0]?.length ?? 0,
      layout: guessLayout(columns),
    };
  },
  takeCsv: (layout: Layout): Capture => {
    if (columns === null) throw new Error('Open a file first.');
    whole = captureOf(columns, layout);
    return shortened(whole, mostKept);
  },
  openComtrade: (cfg: string, dat: Uint8Array): Capture => {
    whole = readComtrade(cfg, dat);
    return shortened(whole, mostKept);
  },
  /** The same in one file. */
  openCff: async (file: Blob): Promise<Capture> => {
    whole = readCff(new Uint8Array(await file.arrayBuffer()));
    return shortened(whole, mostKept);
  },
  /** Figures of the capture that was opened last, read off all its samples. */
  measured: (f: number, f1: number): Measured => (whole === null ? {} : measuredIn(whole, f, f1)),

  lamps: (unit: UnitWords, load: LampLoad, at_Hz: readonly number[]): LampExpectation[] =>
    at_Hz.map((hz) => lampsAt(unit, load, hz)),
};
export type WaveformWorker = typeof api;

expose(api);
