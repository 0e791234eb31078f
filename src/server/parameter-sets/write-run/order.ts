import type { RunDeed } from '../../../core/parameter-sets/write-run';
import * as z from 'zod';
import { ask } from '../../drive-link/drives';

/** Tells the link process what to do with a run. @throws as the link does */
export const orderRun = (id: string, by: string, deed: RunDeed): Promise<unknown> =>
  ask('/run', { id, by, do: deed }, z.object({}));
