import * as z from 'zod';
import { conceptIds } from '../equipment/concepts';
import { interpreted, readGrid, readPages, readText } from '../reading/manual';
import { likelyConceptSchema, manualReadingSchema, textPageSchema } from '../reading/manual/schema';
import { meaningsOf } from '../reading/meaning';
import { always } from './vocabulary-schema';
import { verb } from './verb';

const id = { id: z.json().optional() };
const learnt = z
  .array(z.strictObject({ name: z.string().max(200), concept: z.enum(conceptIds) }))
  .max(5000)
  .optional();

/** Exactly one of pages, rows and text. */
const manualSchema = z
  .strictObject({
    pages: z.array(textPageSchema).max(2000).optional(),
    rows: z
      .array(z.array(z.string().max(4000)).max(200))
      .max(20_000)
      .optional(),
    text: z.string().max(4_000_000).optional(),
    learnt,
    ...always,
  })
  .refine(
    ({ pages, rows, text }) => [pages, rows, text].filter((given) => given !== undefined).length === 1,
    {
      message: 'exactly one of pages, rows and text',
    },
  );

export const manualReadVerb = verb({
  name: 'manual-read',
  summary: 'Parameters and faults of a manual or parameter list, with what they mean.',
  input: manualSchema,
  output: manualReadingSchema.extend(id),
  run: ({ pages, rows, text, learnt: known }) => {
    const found =
      pages !== undefined ? readPages(pages) : rows !== undefined ? readGrid(rows) : readText(text ?? '');
    const textless = (pages ?? []).filter(({ runs }) => runs.length === 0).map((page) => page.number);
    return interpreted(found, { learnt: known ?? [], textless });
  },
});

const number = z.number().nullable().optional();

const named = z.strictObject({
  number: z.string().max(40),
  name: z.string().max(400),
  unit: z.string().max(20).nullable().optional(),
  min: number,
  max: number,
  default: number,
  choices: z
    .array(z.strictObject({ value: z.number(), name: z.string().max(400) }))
    .max(400)
    .optional(),
  group: z.string().max(200).optional(),
});

export const meaningVerb = verb({
  name: 'meaning',
  summary: 'What parameters of an unknown make mean, by name, unit, range, choices and neighbours.',
  input: z.strictObject({ parameters: z.array(named).max(5000), learnt, ...always }),
  output: z.strictObject({
    meanings: z.array(
      z.strictObject({
        number: z.string(),
        concept: likelyConceptSchema.nullable(),
        alternatives: z.array(likelyConceptSchema),
        spoke: z.array(z.string()),
        means: z.array(z.string().nullable()),
      }),
    ),
    ...id,
  }),
  run: ({ parameters, learnt: known }) => ({
    meanings: meaningsOf(parameters, known).map((meaning) => ({
      ...meaning,
      means: meaning.means.map((means) => means ?? null),
    })),
  }),
});
