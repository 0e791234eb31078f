import { releaseProxy, wrap, type Remote } from 'comlink';
import { useCallback, useEffect, useRef } from 'react';

/** The worker was stopped before it answered: nobody waits for the answer any more. */
export class WorkerStopped extends Error {}

interface Running<Api> {
  remote: Remote<Api>;
  /** Rejects when the worker breaks down, cannot be loaded, or is stopped. */
  ended: Promise<never>;
  stop: () => void;
}

function begin<Api>(start: () => Worker, forget: () => void): Running<Api> {
  const worker = start();
  const remote = wrap<Api>(worker);
  let end: (error: Error) => void = () => undefined;
  const ended = new Promise<never>((_, reject) => {
    let over = false;
    end = (error) => {
      // A worker stopped while it is loaded may tell an error afterwards.
      if (over) return;
      over = true;
      forget();
      reject(error);
      // What comlink keeps for this side goes with the worker.
      remote[releaseProxy]();
      worker.terminate();
    };
  });
  // Nobody may be waiting when it ends.
  ended.catch(() => undefined);
  worker.addEventListener('error', () =>
    end(
      new Error(
        'the calculation module could not be loaded. Try again when the server is reachable; nothing is lost.',
      ),
    ),
  );
  return { remote, ended, stop: () => end(new WorkerStopped()) };
}

export interface WorkerLink<Api> {
  /** Asks the worker; one that broke down or was stopped is made anew. @throws WorkerStopped, or what broke it */
  ask: <Answer>(question: (worker: Remote<Api>) => Promise<Answer>) => Promise<Answer>;
  /** Ends what it computes, at once: a sum that does not look up cannot be stopped otherwise. */
  stop: () => void;
}

/**
 * A worker of one's own, made with the first question and gone with the component.
 * @param start makes the worker; must not change
 * @param early made at once, so that it is there when the server is away
 */
export function useWorker<Api>(start: () => Worker, { early = false } = {}): WorkerLink<Api> {
  const running = useRef<Running<Api> | null>(null);
  const how = useRef(start);
  const made = useCallback((): Running<Api> => {
    running.current ??= begin<Api>(how.current, () => (running.current = null));
    return running.current;
  }, []);
  const stop = useCallback(() => running.current?.stop(), []);
  useEffect(() => {
    if (early) made();
    return stop;
  }, [early, made, stop]);
  const ask = useCallback<WorkerLink<Api>['ask']>(
    (question) => {
      const { remote, ended } = made();
      return Promise.race([question(remote), ended]);
    },
    [made],
  );
  return { ask, stop };
}
