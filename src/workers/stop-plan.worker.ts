import { expose } from 'comlink';
import {
  goingOn,
  movable,
  stopPlan,
  type Movable,
  type StopNow,
  type StopPlan,
} from '@/core/replacement/stop-plan';

const api = {
  plan: (...given: Parameters<typeof stopPlan>): StopPlan => stopPlan(...given),
  movable: (...given: Parameters<typeof movable>): Movable[] => movable(...given),
  goingOn: (...given: Parameters<typeof goingOn>): StopNow => goingOn(...given),
};
export type StopPlanWorker = typeof api;

expose(api);
