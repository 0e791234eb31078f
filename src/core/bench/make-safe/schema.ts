import * as z from 'zod';
import { greatestLimits } from '.';

/** A site may set its limits lower than the usual ones, never higher. */
export const limitsSchema = z.strictObject({
  hands_V: z.number().positive().max(greatestLimits.hands_V),
  test_V: z.number().positive().max(greatestLimits.test_V),
});
