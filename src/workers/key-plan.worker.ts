import { expose } from 'comlink';
import { keyPlan, type KeyPlan } from '@/core/parameter-sets/keypad';

const api = {
  plan: (...given: Parameters<typeof keyPlan>): KeyPlan | null => keyPlan(...given),
};
export type KeyPlanWorker = typeof api;

expose(api);
