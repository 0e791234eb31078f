import * as z from 'zod';
import { HttpError } from '../http/guard';
import { workerPool, type PoolLimits, type WorkerPool } from './worker-pool';

// Next evaluates a module once for pages and once more for routes: what a process has one of is kept with the process.
const slot = globalThis as typeof globalThis & { grimPools?: Map<string, unknown> };
const pools = (slot.grimPools ??= new Map<string, unknown>());

const refusal = z.object({
  status: z.number(),
  message: z.string(),
  problems: z.array(z.object({ path: z.string(), allowed: z.string() })),
});

/** A pool that another evaluation of these modules made refuses with a class of its own: it is recognised by its shape. */
function asOwnRefusal(error: unknown): unknown {
  const { data } = refusal.safeParse(error);
  return data === undefined ? error : new HttpError(data.status, data.message, data.problems);
}

/** The pool of a process for a kind of work, made when it is asked for first. `limits.what` names it. */
export function sharedPool<Order, Answer>(limits: PoolLimits): WorkerPool<Order, Answer> {
  const pool = (): WorkerPool<Order, Answer> => {
    // Each kind is asked for in one module only, so that what lies under its name has these types.
    const known = pools.get(limits.what) as WorkerPool<Order, Answer> | undefined;
    const made = known ?? workerPool<Order, Answer>(limits);
    pools.set(limits.what, made);
    return made;
  };
  return {
    ask: (order, who, signal) =>
      pool()
        .ask(order, who, signal)
        .catch((error: unknown) => {
          throw asOwnRefusal(error);
        }),
    load: () => pool().load(),
    warm: () => pool().warm(),
    end: () => pool().end(),
  };
}
