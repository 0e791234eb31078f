import { expose } from 'comlink';
import type { Meter, Stage } from '@/core/power-stage';
import {
  covers,
  diagnose,
  recentred,
  tablesFor,
  type Diagnosis,
  type Tables,
  type Taken,
} from '@/core/static-diagnosis';

export interface Diagnosed {
  diagnosis: Diagnosis;
  /** Computing time of this answer, tables not counted, ms. */
  took_ms: number;
}

let key = '';
let tables: Tables | null = null;

/** Prepares the tables of a stage and meter; asked again for the same it does nothing. */
function prepare(stage: Stage, meter: Meter): Tables {
  const wanted = JSON.stringify([stage, meter]);
  if (tables === null || wanted !== key) {
    tables = tablesFor(stage, meter);
    key = wanted;
  }
  return tables;
}

const api = {
  prepare: (stage: Stage, meter: Meter): void => void prepare(stage, meter),
  diagnose: (stage: Stage, meter: Meter, readings: readonly Taken[]): Diagnosed => {
    let ready = prepare(stage, meter);
    if (!covers(ready, readings)) {
      ready = tablesFor(stage, meter, { probes: readings, familyShift_V: ready.familyShift_V });
      tables = ready;
    }
    const started = performance.now();
    const diagnosis = diagnose(ready, readings);
    const took_ms = performance.now() - started;
    const better = recentred(ready, diagnosis);
    if (better === ready) return { diagnosis, took_ms };
    tables = better;
    return { diagnosis: diagnose(better, readings), took_ms };
  },
};
export type StaticDiagnosisWorker = typeof api;

expose(api);
