import { wrap, type Remote } from 'comlink';
import { useEffect, useMemo, useRef, useState } from 'react';
import { ownJson } from './own-json';

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
  const worker = useRef<Worker | null>(null);
  const remote = useRef<Remote<Api> | null>(null);
  const wanted = useRef<string | null>(null);
  const running = useRef(false);
  const how = useRef({ start, ask });

  useEffect(
    () => () => {
      remote.current = null;
      worker.current?.terminate();
      worker.current = null;
    },
    [],
  );

  // A wish may carry a whole drive type: it is written out when it is another one, not with every drawing.
  const key = useMemo(() => (wish === null ? null : JSON.stringify(wish)), [wish]);
  useEffect(() => {
    if (key === null) return;
    wanted.current = key;
    if (remote.current === null) {
      const made = how.current.start();
      made.onerror = () => setState((s) => ({ ...s, failed: true }));
      worker.current = made;
      remote.current = wrap<Api>(made);
      running.current = false;
    }
    const run = async () => {
      if (running.current) return;
      running.current = true;
      try {
        while (wanted.current !== null) {
          const asked = wanted.current;
          wanted.current = null;
          const at = remote.current;
          if (at === null) return;
          const answer = await how.current.ask(at, ownJson<Wish>(asked));
          if (remote.current === at) setState({ answer, of: asked, failed: false });
        }
      } catch {
        setState((s) => ({ ...s, failed: true }));
      } finally {
        running.current = false;
      }
    };
    void run();
  }, [key]);
  return {
    answer: state.answer,
    failed: state.failed,
    working: key !== null && state.of !== key && !state.failed,
  };
}
