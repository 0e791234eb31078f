import * as z from 'zod';
import { outputFilters, windings } from '.';

/** A cable to a motor as it is kept. */
export const motorCableSchema = z.strictObject({
  length_m: z.number().min(0).max(5000),
  winding: z.enum(windings),
  filter: z.enum(outputFilters),
});
