import type { Movable, NamedTask, Progress, StopNow, StopPlan } from '@/core/replacement/stop-plan';
import type { StopPlanWorker } from '@/workers/stop-plan.worker';
import { useLatest } from '../../kit/use-latest';

const start = () =>
  new Worker(new URL('../../../workers/stop-plan.worker.ts', import.meta.url), { type: 'module' });

type Wish = [NamedTask[], number];

/** The shortest stop of some tasks, and then what would shorten it; null: nothing is asked. */
export function useStopPlan(wish: Wish | null) {
  const plan = useLatest<StopPlanWorker, Wish, StopPlan>(start, (w, asked) => w.plan(...asked), wish);
  const moved = useLatest<StopPlanWorker, Wish, Movable[]>(
    start,
    (w, asked) => w.movable(...asked),
    plan.working ? null : wish,
  );
  return { ...plan, movable: moved.working ? null : moved.answer };
}

/** What is left of a stop that is under way. */
export const useStopNow = (wish: [NamedTask[], number, Record<string, Progress>, number] | null) =>
  useLatest<StopPlanWorker, NonNullable<typeof wish>, StopNow>(
    start,
    (w, asked) => w.goingOn(...asked),
    wish,
  );
