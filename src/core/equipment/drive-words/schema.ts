import * as z from 'zod';
import { unitStates } from '../concepts';

const bits = z.record(z.string().max(20), z.boolean());

/** What a drive shows of itself; see `Live`. */
export const liveSchema = z.strictObject({
  state: z.enum(unitStates).optional(),
  alarm: z.string().max(20).nullable().optional(),
  outputFrequency_Hz: z.number().optional(),
  reference_Hz: z.number().optional(),
  outputCurrent_A: z.number().optional(),
  busVolts: z.number().optional(),
  heatsink_C: z.number().optional(),
  inputs: bits.optional(),
  relays: bits.optional(),
  AI1: z.number().optional(),
  AI2: z.number().optional(),
  place: z.enum(['local', 'remote']).optional(),
  serial: bits.optional(),
  runHours: z.number().optional(),
});

/** Values by parameter number. */
export const valuesSchema = z.record(z.string().max(12), z.number());

/** One entry of a drive's fault log. */
export const slotSchema = z.strictObject({
  code: z.string().max(20),
  runHours: z.number(),
  clock_min: z.number(),
});
