import { Worker } from 'node:worker_threads';
import type { ApiProblem } from '../../api/problem';
import { HttpError } from '../http/guard';

/** How much of a kind of work is under way. */
export interface WorkLoad {
  running: number;
  waiting: number;
}

export interface WorkerPool<Order, Answer> {
  /**
   * @param who each person's orders wait in a line of their own, and the lines are served in turn
   * @param signal of whoever asked: an order that still waits is dropped when they have gone
   * @throws HttpError 503 where too many wait, the time is over, or the worker died of it
   */
  ask: (order: Order, who: string, signal?: AbortSignal) => Promise<Answer>;
  load: () => WorkLoad;
  /** Starts the worker before anybody waits for it. */
  warm: () => void;
  /** Ends the worker; the next order starts another. For tests. */
  end: () => void;
}

/** What bounds the work of a pool. */
export interface PoolLimits {
  /** What is made here, in words: “computation”. */
  what: string;
  /** The worker's bundle. Asked when it is needed. @throws where the launcher gave none */
  bundle: () => string;
  /** What one order may hold, MB: a worker that wants more ends, and nothing else. */
  heap_MB: number;
  /** An order that takes longer ends with its worker, ms. */
  timeOut_ms: number;
  /** So many may wait, of all people and of one. */
  longest: number;
  longestOfOne: number;
}

type Said<Answer> = { job: number } & (
  | { answer: Answer }
  | { refused: { status: number; message: string; problems: ApiProblem[] } }
  | { fault: string }
);

interface Waiting<Order, Answer> {
  job: number;
  order: Order;
  who: string;
  done: (answer: Answer) => void;
  failed: (error: unknown) => void;
}

/**
 * One worker thread that does one order at a time. It begins with the first order, and again after it ended.
 * The worker receives `{ job, order }` and answers `{ job, answer }`, `{ job, refused }` or `{ job, fault }`.
 */
export function workerPool<Order, Answer>(limits: PoolLimits): WorkerPool<Order, Answer> {
  const { what, bundle, heap_MB, timeOut_ms, longest, longestOfOne } = limits;
  let worker: Worker | null = null;
  let running: Waiting<Order, Answer> | null = null;
  let timer: NodeJS.Timeout | undefined;
  let queue: Waiting<Order, Answer>[] = [];
  let jobs = 0;
  /** When each of those who wait was served last, counted in servings. */
  const servedAt = new Map<string, number>();
  let servings = 0;

  const finish = (tell: (one: Waiting<Order, Answer>) => void): void => {
    clearTimeout(timer);
    const done = running;
    running = null;
    if (done !== null) tell(done);
    advance();
  };
  const fail = (error: Error) => finish((one) => one.failed(error));

  function begin(): Worker {
    const fresh = new Worker(/* turbopackIgnore: true */ bundle(), {
      resourceLimits: { maxOldGenerationSizeMb: heap_MB },
    });
    fresh.on('message', (said: Said<Answer>) => {
      if (running?.job !== said.job) return;
      if ('refused' in said) {
        const { status, message, problems } = said.refused;
        fail(new HttpError(status, message, problems));
      } else if ('fault' in said) fail(new Error(said.fault));
      else finish((one) => one.done(said.answer));
    });
    const lost = () => {
      if (worker !== fresh) return;
      worker = null;
      fail(new HttpError(503, `The ${what} stopped unexpectedly: it may need more memory.`));
    };
    fresh.on('error', lost);
    fresh.on('exit', lost);
    fresh.unref();
    return fresh;
  }

  /** The next in turn: of whoever was served longest ago, the first. */
  function nextInTurn(): Waiting<Order, Answer> | undefined {
    const since = (one: Waiting<Order, Answer>) => servedAt.get(one.who) ?? 0;
    const [first, ...others] = queue;
    if (first === undefined) return undefined;
    const next = others.reduce((best, one) => (since(one) < since(best) ? one : best), first);
    queue = queue.filter((one) => one !== next);
    if (queue.length === 0) servedAt.clear();
    servings += 1;
    servedAt.set(next.who, servings);
    return next;
  }

  function advance(): void {
    if (running !== null) return;
    const next = nextInTurn();
    if (next === undefined) return;
    running = next;
    try {
      worker ??= begin();
    } catch (error) {
      // Who comes next must not wait for what never began.
      running = null;
      next.failed(error);
      advance();
      return;
    }
    timer = setTimeout(() => {
      const stuck = worker;
      worker = null;
      void stuck?.terminate();
      fail(new HttpError(503, `The ${what} was stopped: it took longer than ${timeOut_ms / 1000} s.`));
    }, timeOut_ms);
    try {
      worker.postMessage({ job: next.job, order: next.order });
    } catch (error) {
      // What cannot be handed to a thread is our own fault, and in nobody else's way.
      finish((one) => one.failed(error));
    }
  }

  return {
    ask: (order, who, signal) =>
      new Promise((done, failed) => {
        const own = queue.filter((one) => one.who === who).length;
        if (queue.length >= longest || own >= longestOfOne) {
          failed(new HttpError(503, `Too many are waiting for a ${what}: ask again in a moment.`));
          return;
        }
        jobs += 1;
        const job = jobs;
        queue.push({ job, order, who, done, failed });
        signal?.addEventListener('abort', () => {
          const waits = queue.some((one) => one.job === job);
          queue = queue.filter((one) => one.job !== job);
          if (waits) failed(new HttpError(503, 'Request cancelled.'));
        });
        advance();
      }),
    warm: () => {
      worker ??= begin();
    },
    load: () => ({ running: running === null ? 0 : 1, waiting: queue.length }),
    end: () => {
      const old = worker;
      worker = null;
      void old?.terminate();
    },
  };
}
