import * as z from 'zod';
import { insulation, readingAt } from '../motor/insulation';
import { verb } from './verb';
import { always } from './vocabulary-schema';

const input = z
  .strictObject({
    ...always,
    ratedVolts: z.number().positive().max(20_000),
    readings: z
      .array(z.strictObject({ at_s: z.number().min(0).max(3600), megohm: z.number().min(0).max(1e9) }))
      .min(1)
      .max(50),
    winding_C: z.number().min(-40).max(200),
    construction: z.enum(['random', 'form']).optional(),
    material: z.enum(['thermosetting', 'thermoplastic']).optional(),
    kind: z.enum(['modern', 'before-1970']).optional(),
  })
  .superRefine(({ readings }, ctx) => {
    if (readingAt(readings, 60) === undefined)
      ctx.addIssue({ code: 'custom', path: ['readings'], message: 'a reading after 60 s is required' });
  });

const output = z.strictObject({
  id: z.json().optional(),
  correctedTo40C_Mohm: z.number(),
  minimum_Mohm: z.number(),
  polarizationIndex: z.number().nullable(),
  polarizationNote: z.string().optional(),
  verdict: z.enum(['pass', 'fail', 'doubtful']),
  source: z.string(),
  sum: z.string(),
  notes: z.array(z.string()),
});

export const insulationVerb = verb({
  name: 'insulation',
  summary: 'Insulation resistance corrected to 40 °C, against its minimum, with the polarization index.',
  input,
  output,
  run: insulation,
});
