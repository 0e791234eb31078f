import * as z from 'zod';
import { ask } from '../../drive-link/drives';

export const runDeeds = ['go-on', 'leave-out', 'pause', 'give-up', 'verify', 'verify-after-power'] as const;
export type RunDeed = (typeof runDeeds)[number];

/** Tells the link process what to do with a run. @throws as the link does */
export const orderRun = (id: string, by: string, deed: RunDeed): Promise<unknown> =>
  ask('/run', { id, by, do: deed }, z.object({}));
