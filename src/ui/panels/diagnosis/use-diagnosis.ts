'use client';
import { useEffect, useMemo, useState } from 'react';
import type { Meter, Stage } from '@/core/equipment/power-stage';
import type { Diagnosis, RawReading } from '@/core/bench/static-diagnosis';
import type { StaticDiagnosisWorker } from '@/workers/static-diagnosis.worker';
import { newestOnly, type NewestOnly } from '../../kit/newest-only';
import { ownJson } from '../../kit/own-json';
import { useWorker, WorkerStopped } from '../../kit/use-worker';

export interface DiagnosisState {
  diagnosis: Diagnosis | null;
  /** Tables are being made or a reading is being weighed. */
  busy: boolean;
  failed: boolean;
  took_ms: number | null;
}

const start = () =>
  new Worker(new URL('../../../workers/static-diagnosis.worker.ts', import.meta.url), { type: 'module' });

const idle: DiagnosisState = { diagnosis: null, busy: false, failed: false, took_ms: null };

interface Wish {
  stage: Stage;
  meter: Meter;
  readings: readonly RawReading[];
}

/**
 * Keeps the conclusion up to date in a worker. Only the newest request is answered: while one is
 * being computed, later ones replace each other.
 */
export function useDiagnosis(
  stage: Stage | null,
  meter: Meter,
  readings: readonly RawReading[],
): DiagnosisState {
  const [state, setState] = useState<DiagnosisState>(idle);
  const { ask, stop } = useWorker<StaticDiagnosisWorker>(start);
  const key = stage === null ? '' : JSON.stringify(stage);
  const queue = useMemo(() => {
    const answer: NewestOnly<Wish> = newestOnly<Wish>(async (wish) => {
      setState((s) => ({ ...s, busy: true }));
      try {
        const { diagnosis, took_ms } = await ask((worker) =>
          worker.diagnose(wish.stage, wish.meter, wish.readings, undefined),
        );
        setState({ diagnosis, busy: answer.waiting(), failed: false, took_ms });
      } catch (error) {
        // Stopped for another stage: what is wanted now is asked of the next worker.
        if (!(error instanceof WorkerStopped)) setState({ ...idle, failed: true });
      }
    });
    return answer;
  }, [ask]);

  // Another stage has other tables: the worker that made the old ones goes.
  useEffect(
    () => () => {
      queue.drop();
      stop();
    },
    [key, queue, stop],
  );

  const readingsKey = JSON.stringify(readings.map(({ red, black, value }) => ({ red, black, value })));
  useEffect(() => {
    if (key !== '')
      queue.ask({ stage: ownJson<Stage>(key), readings: ownJson<RawReading[]>(readingsKey), meter });
  }, [key, readingsKey, meter, queue]);

  return state;
}
