import { expose } from 'comlink';
import { stopPlan, type StopPlan } from '@/core/stop-plan';

const api = {
  plan: (...given: Parameters<typeof stopPlan>): StopPlan => stopPlan(...given),
};
export type StopPlanWorker = typeof api;

expose(api);
