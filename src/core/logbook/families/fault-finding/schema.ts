import * as z from 'zod';
import { short, long } from '../../fragments';

/** Kinds of entries about a trace and the cause that was found. */
export const faultFindingKinds = {
  /** One answer of a trace: an outcome of its table, or why there is none. */
  'trace.answered': z.strictObject({
    family: short.min(1),
    check: short.min(1),
    outcome: short.min(1),
    words: short,
  }),
  /** The cause, shown by making and breaking it. */
  'trace.confirmed': z.strictObject({
    family: short.min(1),
    cause: short.min(1),
    name: short.min(1),
    how: long.min(1),
    remedy: z.string().trim().max(300).optional(),
    watch: short.optional(),
  }),
} as const;
