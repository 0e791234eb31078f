import { setTimeout as sleep } from 'node:timers/promises';
import { say } from './terminal';

/** Something that runs until it is stopped, or dies. */
export interface Running {
  /** Resolves when it has ended, by whatever cause. */
  ended: Promise<void>;
  stop: () => Promise<void> | void;
}

/** What is kept running, as the health page tells it. */
export interface ProcessState {
  name: string;
  state: 'running' | 'restarting';
  /** So many times it has died. */
  deaths: number;
  /** Of this state, ISO 8601. */
  since: string;
  /** Why it does not start, in words. */
  why: string | null;
}

export interface Supervised {
  state: () => ProcessState;
  stop: () => Promise<void>;
}

/** The wait before something that died is started again, ms: doubled each time, without an end to the trying. */
const backOff = { first_ms: 500, longest_ms: 30_000, forgivenAfter_ms: 60_000 };

const words = (error: unknown): string => (error instanceof Error ? error.message : String(error));

/**
 * Keeps something running for ever: what dies is started again, after a wait that grows while it goes on dying.
 * @param first it runs already; its start was the caller's, who may refuse to go on without it
 * @param start starts it again, or gives up by its signal; what it throws is said, and tried again later
 * @param changed hears of each change of state
 */
export function keepRunning(
  name: string,
  first: Running,
  start: (signal: AbortSignal) => Promise<Running>,
  { changed = () => undefined, waits = backOff }: { changed?: () => void; waits?: typeof backOff } = {},
): Supervised {
  let running: Running | null = first;
  let state: ProcessState = { name, state: 'running', deaths: 0, since: new Date().toISOString(), why: null };
  const stopping = new AbortController();
  const isStopping = () => stopping.signal.aborted;
  const become = (next: Partial<ProcessState>): void => {
    state = { ...state, ...next, since: new Date().toISOString() };
    changed();
  };
  const watch = async (): Promise<void> => {
    let wait_ms = waits.first_ms;
    while (!isStopping()) {
      const begun = Date.now();
      await running?.ended;
      running = null;
      if (isStopping()) return;
      if (Date.now() - begun > waits.forgivenAfter_ms) wait_ms = waits.first_ms;
      become({ state: 'restarting', deaths: state.deaths + 1 });
      say(`${name} stopped unexpectedly; restarting`);
      while (!isStopping()) {
        await sleep(wait_ms, undefined, { signal: stopping.signal }).catch(() => undefined);
        wait_ms = Math.min(2 * wait_ms, waits.longest_ms);
        if (isStopping()) return;
        try {
          running = await start(stopping.signal);
          become({ state: 'running', why: null });
          say(`${name} runs again`);
          break;
        } catch (error) {
          if (state.why !== words(error)) become({ why: words(error) });
          say(`${name} does not start: ${words(error)} Tried again in ${(wait_ms / 1000).toFixed(0)} s.`);
        }
      }
    }
  };
  const watched = watch();
  return {
    state: () => state,
    stop: async () => {
      stopping.abort();
      await running?.stop();
      await watched;
      // It may have come up just while it was to be stopped.
      await running?.stop();
    },
  };
}
