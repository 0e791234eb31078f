import type { APIRequestContext } from '@playwright/test';
import { expect } from './test';
import { own } from './here';

const rig = `http://${own.rig}`;

/** One order to the rig of the simulated drive (stand-ins/drive/rig.ts). */
export async function order(request: APIRequestContext, body: unknown): Promise<void> {
  const answer = await request.post(rig, { data: body });
  expect(answer.ok(), await answer.text()).toBe(true);
}

/** The winch's drive out of its box, up and ready, with the run contact closed and half the reference. */
export const winchReady = async (request: APIRequestContext): Promise<void> => {
  await order(request, { drive: { type: 'whimbrel-w4', model: 'W4-15' }, wait_s: 3 });
  await order(request, { plant: { AI1: 5 } });
};
