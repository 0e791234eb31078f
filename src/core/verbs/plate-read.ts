import * as z from 'zod';
import { readPlate } from '../reading/plate-text';
import { plateCodeSchema, plateReadingSchema, plateWordSchema } from '../reading/plate-text/schema';
import { always } from './vocabulary-schema';
import { verb } from './verb';

export const plateReadVerb = verb({
  name: 'plate-read',
  summary:
    'The fields of a rating plate or drive label from its words with their places, corrected by what fits together.',
  input: z.strictObject({
    words: z.array(plateWordSchema).max(600),
    codes: z.array(plateCodeSchema).max(20).default([]),
    ...always,
  }),
  output: plateReadingSchema.extend({ id: z.json().optional() }),
  run: ({ words, codes }) => readPlate(words, codes),
});
