import * as z from 'zod';
import { controlShape } from '../equipment/catalogue/schema';
import { conceptIds } from '../equipment/concepts';
import { valuesSchema } from '../equipment/drive-words/schema';
import { findingsSchema, plateSchema } from '../equipment/plate/schema';
import { startUpSheet } from '../commissioning/settings';
import { startUpChoicesSchema } from '../equipment/application/schema';
import { verb } from './verb';
import { always } from './vocabulary-schema';

const positive = z.number().positive();

const input = z.strictObject({
  ...always,
  plate: plateSchema,
  /** These parts of a type's control.json. */
  control: controlShape.pick({ parameters: true, locks: true }).partial({ locks: true }),
  rating: z.strictObject({ ratedAmps: positive, power_kW: positive, supply_V: positive }),
  supply: z.strictObject({ volts: positive, hz: positive }),
  choices: startUpChoicesSchema,
  /** What is in the drive now, by number. */
  values: valuesSchema.optional(),
});

const output = z.strictObject({
  id: z.json().optional(),
  rows: z.array(
    z.strictObject({
      concept: z.enum(conceptIds),
      number: z.string(),
      name: z.string(),
      unit: z.string().nullable(),
      value: z.number().nullable(),
      shown: z.string(),
      rule: z.string(),
      formula: z.string(),
      sum: z.string(),
      provenance: z.string(),
      warnings: z.array(z.string()),
      refused: z.strictObject({ why: z.string(), remedy: z.string() }).nullable(),
      lock: z.strictObject({ level: z.number(), code: z.number() }).nullable(),
      standstill: z.boolean(),
      now: z.number().nullable(),
    }),
  ),
  findings: findingsSchema,
});

export const settingsVerb = verb({
  name: 'settings',
  summary: 'The start-up sheet: every parameter value for a motor and load, with its rule and calculation.',
  input,
  output,
  run: ({ control, ...rest }) =>
    startUpSheet({ ...rest, control: { ...control, locks: control.locks ?? [] } }),
});
