import * as z from 'zod';
import { channelRoles } from './capture';

/** A capture as it is kept. */
export const captureSchema = z.strictObject({
  t0: z.number(),
  dt: z.number().positive().max(10),
  notes: z.array(z.string().max(1000)).max(40),
  channels: z
    .array(
      z.strictObject({
        name: z.string().max(200),
        role: z.enum(channelRoles),
        unit: z.string().max(10),
        values: z.array(z.number()).min(16).max(20_000),
      }),
    )
    .min(1)
    .max(16),
});
