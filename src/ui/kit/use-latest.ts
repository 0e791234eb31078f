import type { Remote } from 'comlink';
import { useEffect, useMemo, useState } from 'react';
import { newestOnly } from './newest-only';
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
  const [how] = useState(() => ask);
  const queue = useMemo(
    () =>
      newestOnly<string>(async (of) => {
        try {
          const came = await askWorker((worker) => how(worker, ownJson<Wish>(of)));
          setState({ answer: came, of, failed: false });
        } catch (error) {
          // Stopped: the component is gone.
          if (!(error instanceof WorkerStopped)) setState((s) => ({ ...s, failed: true }));
        }
      }),
    [askWorker, how],
  );
  useEffect(() => () => queue.drop(), [queue]);

  // A wish may carry a whole drive type: it is written out when it is another one, not with every drawing.
  const key = useMemo(() => (wish === null ? null : JSON.stringify(wish)), [wish]);
  useEffect(() => {
    if (key !== null) queue.ask(key);
  }, [key, queue]);
  return {
    answer: state.answer,
    failed: state.failed,
    working: key !== null && state.of !== key && !state.failed,
  };
}
