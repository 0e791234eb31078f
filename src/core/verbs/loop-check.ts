import * as z from 'zod';
import { checkLoop, elementKinds, loopVerdicts } from '../fault-finding/loop-check';
import { verb } from './verb';
import { always } from './vocabulary-schema';

const name = z.string().min(1).max(60);
const input = z
  .strictObject({
    ...always,
    source: z.strictObject({ volts: z.number() }),
    elements: z
      .array(z.strictObject({ id: name, kind: z.enum(elementKinds) }))
      .min(1)
      .max(200),
    measured: z.array(z.strictObject({ after: name, volts: z.number() })).max(1000),
    bit: z.union([z.literal(0), z.literal(1)]).optional(),
    selector: z.enum(['source', 'sink']).optional(),
  })
  .superRefine(({ elements, measured }, ctx) => {
    const ids = elements.map((e) => e.id);
    measured.forEach(({ after }, i) => {
      if (!ids.includes(after))
        ctx.addIssue({ code: 'custom', path: ['measured', i, 'after'], message: `one of ${ids.join(', ')}` });
    });
    ids.forEach((id, i) => {
      if (ids.indexOf(id) !== i)
        ctx.addIssue({ code: 'custom', path: ['elements', i, 'id'], message: 'each id once' });
    });
  });

const output = z.strictObject({
  id: z.json().optional(),
  open: z.string().nullable(),
  verdict: z.enum(loopVerdicts),
  next: z.strictObject({ after: z.string() }).optional(),
  why: z.string(),
});

export const loopCheckVerb = verb({
  name: 'loop-check',
  summary: 'Which element of a 24 V input loop is open, from volts along it, or where to measure next.',
  input,
  output,
  run: (question) => checkLoop(question),
});
