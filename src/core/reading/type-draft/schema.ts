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

const figure = z.number().positive().max(1e5);

/** What the label of a unit says that a manual does not. */
export const unitFactsSchema = z.strictObject({
  phases: z.enum(['1', '3']),
  supply_V: figure,
  labelWait_min: figure.min(1),
  frontEnd: z.enum(['diode-3ph', 'diode-1ph', 'scr-half-3ph']),
  brake: z.enum(['yes', 'no', 'unknown']),
  models: z
    .array(z.strictObject({ type: text, ratedAmps: figure, power_kW: figure }))
    .min(1)
    .max(100),
});
