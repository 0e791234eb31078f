'use client';
import { useEffect, useRef, useState } from 'react';
import type { Meter, Stage } from '@/core/equipment/power-stage';
import type { Diagnosis, RawReading } from '@/core/bench/static-diagnosis';
import type { StaticDiagnosisWorker } from '@/workers/static-diagnosis.worker';
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
  const wanted = useRef<{ stage: Stage; readings: readonly RawReading[] } | null>(null);
  const running = useRef(false);
  const key = stage === null ? '' : JSON.stringify(stage);

  // Another stage has other tables: the worker that made the old ones goes.
  useEffect(
    () => () => {
      wanted.current = null;
      stop();
    },
    [key, stop],
  );

  const readingsKey = JSON.stringify(readings.map(({ red, black, value }) => ({ red, black, value })));
  useEffect(() => {
    if (key === '') return;
    wanted.current = { stage: ownJson<Stage>(key), readings: ownJson<RawReading[]>(readingsKey) };
    const isWaiting = () => wanted.current !== null;
    const answer = async (request: NonNullable<typeof wanted.current>): Promise<void> => {
      setState((s) => ({ ...s, busy: true }));
      try {
        const { diagnosis, took_ms } = await ask((worker) =>
          worker.diagnose(request.stage, meter, request.readings, undefined),
        );
        setState({ diagnosis, busy: isWaiting(), failed: false, took_ms });
      } catch (error) {
        // Stopped for another stage: what is wanted now is asked of the next worker.
        if (!(error instanceof WorkerStopped)) setState({ ...idle, failed: true });
      }
    };
    const run = async () => {
      if (running.current) return;
      running.current = true;
      for (let request = wanted.current; request !== null; request = wanted.current) {
        wanted.current = null;
        await answer(request);
      }
      running.current = false;
    };
    void run();
  }, [key, readingsKey, meter, ask]);

  return state;
}
