import * as z from 'zod';
import { hazards } from '../../../fault-finding/tracing';
import { short, long } from '../../fragments';

/** Kinds of entries about a trace and the cause that was found. */
export const faultFindingKinds = {
  /** One answer of a trace: an outcome of its table, or why there is none. */
  'trace.answered': z.strictObject({
    family: short.min(1),
    check: short.min(1),
    outcome: short.min(1),
    words: short,
    /** What the check exposes one to; absent in entries of before. */
    hazard: z.enum(hazards).optional(),
    /** The family of the fault that the drive shows, where it is another. */
    shown: short.optional(),
  }),
  /** An answer is taken back: the check is open again. */
  'trace.withdrawn': z.strictObject({ family: short.min(1), check: short.min(1) }),
  /** The cause: what was done, and that it works since; where that is safe, it was made to come back once. */
  'trace.confirmed': z.strictObject({
    family: short.min(1),
    cause: short.min(1),
    name: short.min(1),
    how: long.min(1),
    /** What happened when the cause was put back for a moment; absent: that was not done. */
    recreated: long.optional(),
    remedy: z.string().trim().max(300).optional(),
    watch: short.optional(),
  }),
} as const;
