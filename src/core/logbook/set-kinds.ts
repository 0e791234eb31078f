import * as z from 'zod';
import { valuesSchema } from '../drive-words/schema';

const short = z.string().trim().max(200);
const positive = z.number().positive();

/** Kinds of entries about parameter sets; read-outs over the link are sets too, and have a kind of their own. */
export const setKinds = {
  /** A set that came otherwise than over the link; it never changes, a new version names the one it came from. */
  'set.kept': z.strictObject({
    name: short.min(1),
    typeId: short.min(1),
    rating: z.strictObject({ ratedAmps: positive, power_kW: positive, supply_V: positive }),
    values: valuesSchema,
    /** What the type does not know, as it came. */
    strangers: z
      .array(z.strictObject({ number: short, text: short }))
      .max(400)
      .default([]),
    source: z.enum(['file', 'typed', 'translated']),
    serial: short.optional(),
    firmware: short.optional(),
    /** The set it was made from. */
    from: z.uuid().optional(),
    /** What was chosen where nothing could be carried by itself, by the number it comes from. */
    chosen: z.record(short, z.number().nullable()).optional(),
  }),
} as const;
