import * as z from 'zod';
import { liveSchema, slotSchema, valuesSchema } from '../../../equipment/drive-words/schema';
import { short } from '../../fragments';

/** Kinds of entries about what a drive says or shows. */
export const driveStateKinds = {
  /** A read-out over the link: who answered, every entry, live values and the fault history. */
  'drive.read': z.strictObject({
    target: short.min(1),
    typeId: short.min(1),
    identity: z.strictObject({ vendor: short, product: short, revision: short }),
    serial: short.optional(),
    values: valuesSchema,
    live: liveSchema,
    history: z.array(slotSchema).max(30),
  }),
  /** What was read off the display or at the terminals, by a person. */
  'drive.seen': z.strictObject({ values: valuesSchema.default({}), live: liveSchema.default({}) }),
} as const;
