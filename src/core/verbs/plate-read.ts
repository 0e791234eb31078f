import * as z from 'zod';
import { readPlate } from '../reading/plate-text';
import { plateReadingSchema, plateWordSchema } from '../reading/plate-text/schema';
import { always } from './vocabulary-schema';
import { verb } from './verb';

export const plateReadVerb = verb({
  name: 'plate-read',
  summary:
    'The fields of a rating plate or drive label from its words with their places, corrected by what fits together.',
  input: z.strictObject({ words: z.array(plateWordSchema).max(600), ...always }),
  output: plateReadingSchema.extend({ id: z.json().optional() }),
  run: ({ words }) => readPlate(words),
});
