import { expose } from 'comlink';
import type { Meter, Stage } from '@/core/equipment/power-stage';
import {
  diagnose,
  keptTables,
  prepare,
  type Diagnosis,
  type Tables,
  type RawReading,
} from '@/core/bench/static-diagnosis';

export interface Diagnosed {
  diagnosis: Diagnosis;
  /** Computing time of this answer, ms. */
  took_ms: number;
}

let current: { tables: Tables; ahead: Generator<number> } | null = null;

function tablesOf(stage: Stage, meter: Meter): NonNullable<typeof current> {
  const tables = keptTables(stage, meter);
  if (current?.tables !== tables) {
    current = { tables, ahead: prepare(tables) };
    solveAhead(current);
  }
  return current;
}

/** Solves on between requests, in slices short enough that none of them waits. */
function solveAhead(work: NonNullable<typeof current>): void {
  setTimeout(() => {
    if (work !== current) return;
    if (work.ahead.next().done !== true) solveAhead(work);
  }, 0);
}

const api = {
  diagnose: (
    stage: Stage,
    meter: Meter,
    readings: readonly RawReading[],
    temperature_C: number | undefined,
  ): Diagnosed => {
    const work = tablesOf(stage, meter);
    const started = performance.now();
    const diagnosis = diagnose(work.tables, readings, temperature_C);
    return { diagnosis, took_ms: performance.now() - started };
  },
};
export type StaticDiagnosisWorker = typeof api;

expose(api);
