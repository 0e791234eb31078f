import type { Remote } from 'comlink';
import { useEffect, useMemo, useRef, useState } from 'react';
import { ownJson } from './own-json';
import { useWorker, WorkerStopped } from './use-worker';

/**
 * Asks a worker, the newest wish only: while one is computed, what was wished before the newest is dropped.
 * @param start makes the worker; must not change
 * @param ask what to ask it, with the wish
 * @param wish compared by its JSON; null: nothing is asked
 */
export function useLatest<Api, Wish, Answer>(
  start: () => Worker,
  ask: (worker: Remote<Api>, wish: Wish) => Promise<Answer>,
  wish: Wish | null,
): { answer: Answer | null; failed: boolean; working: boolean } {
  const [state, setState] = useState<{ answer: Answer | null; of: string | null; failed: boolean }>({
    answer: null,
    of: null,
    failed: false,
  });
  const { ask: askWorker } = useWorker<Api>(start);
  const wanted = useRef<string | null>(null);
  const running = useRef(false);
  const how = useRef(ask);

  useEffect(
    () => () => {
      wanted.current = null;
    },
    [],
  );

  // A wish may carry a whole drive type: it is written out when it is another one, not with every drawing.
  const key = useMemo(() => (wish === null ? null : JSON.stringify(wish)), [wish]);
  useEffect(() => {
    if (key === null) return;
    wanted.current = key;
    const answer = async (of: string): Promise<void> => {
      try {
        const came = await askWorker((worker) => how.current(worker, ownJson<Wish>(of)));
        setState({ answer: came, of, failed: false });
      } catch (error) {
        // Stopped: the component is gone.
        if (!(error instanceof WorkerStopped)) setState((s) => ({ ...s, failed: true }));
      }
    };
    const run = async () => {
      if (running.current) return;
      running.current = true;
      for (let asked = wanted.current; asked !== null; asked = wanted.current) {
        wanted.current = null;
        await answer(asked);
      }
      running.current = false;
    };
    void run();
  }, [key, askWorker]);
  return {
    answer: state.answer,
    failed: state.failed,
    working: key !== null && state.of !== key && !state.failed,
  };
}
