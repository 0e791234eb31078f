import * as z from 'zod';
import { alarmFamilies, conceptIds } from '../../equipment/concepts';
import { manualReadingSchema } from '../manual/schema';

const text = z.string().trim().min(1).max(100);

/** What a parameter means, and whether the reader or a person says so. */
const meaning = z.strictObject({ concept: z.enum(conceptIds).nullable(), by: z.enum(['read', 'person']) });
const family = z.strictObject({ family: z.enum(alarmFamilies).nullable(), by: z.enum(['read', 'person']) });

const read = manualReadingSchema.shape;

/** A drive type in the making. */
export const typeDraftSchema = z.strictObject({
  /** Made by the client. */
  id: z.uuid({ version: 'v7' }),
  maker: text,
  range: text,
  /** The file it was read from. */
  source: z.string().max(200),
  parameters: z
    .array(read.entries.element.omit({ alternatives: true, spoke: true }).extend({ meaning }))
    .max(2000),
  alarms: z
    .array(read.alarms.element.omit({ cause: true, remedy: true }).extend({ meaning: family }))
    .max(1000),
});
