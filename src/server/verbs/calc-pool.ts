import { Worker } from 'node:worker_threads';
import type { VerbAnswer } from '../../core/verbs';

// One computation at a time, off the server's main thread, in the same bundle as `./grim calc`.
const longestQueue = 32;
const timeOut_ms = 30_000;
/** What one computation may hold: a worker that wants more ends, and nothing else. */
const heap_MB = 1024;

interface Waiting {
  job: number;
  name: string;
  text: string;
  answer: (answer: VerbAnswer) => void;
}

interface Pool {
  worker: Worker | null;
  running: Waiting | null;
  queue: Waiting[];
  timer: NodeJS.Timeout | null;
  jobs: number;
}

const slot = globalThis as typeof globalThis & { grimCalc?: Pool };
const pool = (): Pool => (slot.grimCalc ??= { worker: null, running: null, queue: [], timer: null, jobs: 0 });

const fault = (status: 500 | 503, code: 'our-fault' | 'busy', said: string): VerbAnswer => ({
  status,
  body: { error: { code, problems: [{ path: '', given: null, allowed: said }] } },
});

function settle(p: Pool, answer: VerbAnswer): void {
  if (p.timer !== null) clearTimeout(p.timer);
  const done = p.running;
  p.running = null;
  p.timer = null;
  done?.answer(answer);
  advance(p);
}

function start(p: Pool): Worker {
  const bundle = process.env['GRIM_CALC_BUNDLE'];
  if (!bundle) throw new Error('GRIM_CALC_BUNDLE is not set: start the app with ./grim start');
  const worker = new Worker(/* turbopackIgnore: true */ bundle, {
    resourceLimits: { maxOldGenerationSizeMb: heap_MB },
  });
  worker.on('message', (m: { job: number; answer: VerbAnswer }) => {
    if (p.running?.job === m.job) settle(p, m.answer);
  });
  const lost = () => {
    if (p.worker !== worker) return;
    p.worker = null;
    if (p.running !== null) settle(p, fault(500, 'our-fault', 'the computation ended by itself'));
  };
  worker.on('error', lost);
  worker.on('exit', lost);
  worker.unref();
  return worker;
}

function advance(p: Pool): void {
  if (p.running !== null) return;
  const next = p.queue.shift();
  if (next === undefined) return;
  p.running = next;
  try {
    p.worker ??= start(p);
  } catch (error) {
    // Who comes next must not wait for what never began.
    p.running = null;
    next.answer(fault(500, 'our-fault', error instanceof Error ? error.message : String(error)));
    return advance(p);
  }
  p.timer = setTimeout(() => {
    const stuck = p.worker;
    p.worker = null;
    void stuck?.terminate();
    settle(p, fault(503, 'busy', `no answer within ${timeOut_ms / 1000} s`));
  }, timeOut_ms);
  p.worker.postMessage({ job: next.job, name: next.name, text: next.text });
}

/** Runs a verb on a body of text in the worker; refuses when too many are waiting. */
export function calc(name: string, text: string): Promise<VerbAnswer> {
  const p = pool();
  if (p.queue.length >= longestQueue)
    return Promise.resolve(fault(503, 'busy', 'too many computations are waiting; try again in a moment'));
  return new Promise((resolve) => {
    p.jobs += 1;
    p.queue.push({ job: p.jobs, name, text, answer: resolve });
    advance(p);
  });
}
