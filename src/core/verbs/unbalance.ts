import * as z from 'zod';
import { unbalance } from '../numerics/unbalance';
import { verb } from './verb';
import { always } from './vocabulary-schema';

const value = z.number().min(0).max(1e6);

export const unbalanceVerb = verb({
  name: 'unbalance',
  summary: 'Unbalance of three voltages or currents, and the derating of a line-fed motor.',
  input: z.strictObject({
    ...always,
    values: z.tuple([value, value, value]),
    of: z.enum(['voltage', 'current']),
    fedFrom: z.enum(['line', 'drive']).optional(),
  }),
  output: z.strictObject({
    id: z.json().optional(),
    mean: z.number(),
    unbalance_percent: z.number(),
    deratingFactor: z.number().nullable(),
    verdict: z.enum(['pass', 'doubtful', 'fail']),
    source: z.string(),
    sum: z.string(),
  }),
  run: unbalance,
});
