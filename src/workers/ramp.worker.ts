import { expose } from 'comlink';
import { rampAnswer, type RampAnswer, type RampCase } from '@/core/commissioning/ramp';

const api = {
  answer: (given: RampCase, cycle_s: number): RampAnswer => rampAnswer(given, { cycle_s }),
};
export type RampWorker = typeof api;

expose(api);
