import * as z from 'zod';
import { alarmFamilies, conceptIds } from '../../equipment/concepts';

const value = z.number().nullable();
const text = z.string().max(4000);
const box = z.strictObject({ x0: z.number(), y0: z.number(), x1: z.number(), y1: z.number() }).nullable();
const confidence = z.number().min(0).max(1);

const run = z.strictObject({
  text: z.string().max(20_000),
  x0: z.number(),
  y0: z.number(),
  x1: z.number(),
  y1: z.number(),
});

/** A page as runs of text with their places; y grows downwards. */
export const textPageSchema = z.strictObject({
  number: z.int().min(1).max(100_000),
  width: z.number().positive(),
  height: z.number().positive(),
  runs: z.array(run).max(20_000),
});

/** A concept with how surely it is meant. */
export const likelyConceptSchema = z.strictObject({ id: z.enum(conceptIds), confidence });

/** A choice as a manual lists it, with the neutral choice that it stands for where that is known. */
const choice = z.strictObject({ value: z.number(), name: text, means: z.string().optional() });

const default_ = z.union([z.number(), z.strictObject({ '50Hz': z.number(), '60Hz': z.number() })]).nullable();

/** What was read of a manual, and what it means. */
export const manualReadingSchema = z.strictObject({
  entries: z.array(
    z.strictObject({
      number: text,
      name: text,
      unit: text.nullable(),
      min: value,
      max: value,
      default: default_,
      choices: z.array(choice),
      rangeText: text.nullable(),
      defaultText: text.nullable(),
      register: value,
      group: text.nullable(),
      page: z.int(),
      box,
      concept: likelyConceptSchema.nullable(),
      alternatives: z.array(likelyConceptSchema),
      spoke: z.array(text),
    }),
  ),
  alarms: z.array(
    z.strictObject({
      code: text,
      name: text,
      cause: text,
      remedy: text,
      page: z.int(),
      box,
      family: z.strictObject({ id: z.enum(alarmFamilies), confidence }).nullable(),
    }),
  ),
  unread: z.array(z.strictObject({ page: z.int(), text })),
  findings: z.array(
    z.strictObject({
      code: z.enum(['nothing-found', 'no-text', 'scanned', 'other-language', 'doubtful-table']),
      text,
    }),
  ),
});
