import * as z from 'zod';
import { constructionAsked_V, insulation, readingAt, readingsNear } from '../motor/insulation';
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
  .superRefine(({ ratedVolts, readings, construction, kind }, ctx) => {
    const wrong = (path: string, message: string) => ctx.addIssue({ code: 'custom', path: [path], message });
    if (readingAt(readings, 60) === undefined) wrong('readings', 'a reading after 60 s is required');
    for (const at_s of [60, 600])
      if (readingsNear(readings, at_s).length > 1)
        wrong('readings', `one reading at ${at_s} s: with several it is not known which one counts`);
    if (ratedVolts >= constructionAsked_V && construction === undefined && kind !== 'before-1970')
      wrong('construction', `"random" or "form": from ${constructionAsked_V} V on the minimum depends on it`);
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
