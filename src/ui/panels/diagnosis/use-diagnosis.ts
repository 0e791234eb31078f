'use client';
import { wrap, type Remote } from 'comlink';
import { useEffect, useRef, useState } from 'react';
import type { Meter, Stage } from '@/core/equipment/power-stage';
import type { Diagnosis, RawReading } from '@/core/bench/static-diagnosis';
import type { StaticDiagnosisWorker } from '@/workers/static-diagnosis.worker';
import { ownJson } from '../../kit/own-json';

export interface DiagnosisState {
  diagnosis: Diagnosis | null;
  /** Tables are being made or a reading is being weighed. */
  busy: boolean;
  failed: boolean;
  took_ms: number | null;
}

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
  const remote = useRef<Remote<StaticDiagnosisWorker> | null>(null);
  const wanted = useRef<readonly RawReading[] | null>(null);
  const running = useRef(false);
  const key = stage === null ? '' : JSON.stringify(stage);

  useEffect(() => {
    if (key === '') return;
    const worker = new Worker(new URL('../../../workers/static-diagnosis.worker.ts', import.meta.url), {
      type: 'module',
    });
    worker.onerror = () => setState({ ...idle, failed: true });
    remote.current = wrap<StaticDiagnosisWorker>(worker);
    running.current = false;
    return () => {
      remote.current = null;
      worker.terminate();
    };
  }, [key]);

  const readingsKey = JSON.stringify(readings.map(({ red, black, value }) => ({ red, black, value })));
  useEffect(() => {
    if (key === '') return;
    const on = ownJson<Stage>(key);
    wanted.current = ownJson<RawReading[]>(readingsKey);
    const isWaiting = () => wanted.current !== null;
    const run = async () => {
      if (running.current) return;
      running.current = true;
      try {
        for (let request = wanted.current; request !== null; request = wanted.current) {
          wanted.current = null;
          const worker = remote.current;
          if (worker === null) return;
          setState((s) => ({ ...s, busy: true }));
          const { diagnosis, took_ms } = await worker.diagnose(on, meter, request, undefined);
          if (remote.current === worker) setState({ diagnosis, busy: isWaiting(), failed: false, took_ms });
        }
      } catch {
        setState({ ...idle, failed: true });
      } finally {
        running.current = false;
      }
    };
    void run();
  }, [key, readingsKey, meter]);

  return state;
}
