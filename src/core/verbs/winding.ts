import * as z from 'zod';
import { winding } from '../motor/winding';
import { verb } from './verb';
import { always } from './vocabulary-schema';

const ohm = z.number().positive().max(1e6);
const pairs = { uv: ohm, vw: ohm, wu: ohm };
const celsius = z.number().min(-40).max(200);

export const windingVerb = verb({
  name: 'winding',
  summary: 'Winding resistance at a reference temperature, and unbalance of the three pairs.',
  input: z.strictObject({
    ...always,
    ohms: z.strictObject(pairs),
    temperature_C: celsius,
    reference_C: celsius,
    material: z.enum(['copper', 'aluminium']).optional(),
  }),
  output: z.strictObject({
    id: z.json().optional(),
    corrected: z.strictObject(pairs),
    mean: z.number(),
    unbalance_percent: z.number(),
    verdict: z.enum(['pass', 'fail', 'doubtful']),
    sum: z.string(),
  }),
  run: winding,
});
