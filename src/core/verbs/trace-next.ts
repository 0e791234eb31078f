import * as z from 'zod';
import { hazards, skipped, traceFrom, usualTables } from '../fault-finding/tracing';
import { traceFamilies, traceTableSchema } from '../fault-finding/tracing/schema';
import { verb } from './verb';
import { always } from './vocabulary-schema';

const name = z.string().min(1).max(60);

const input = z
  .strictObject({
    ...always,
    family: z.enum(traceFamilies).optional(),
    /** A table of one's own; without it the one that ships for the family. */
    table: traceTableSchema.optional(),
    /** The family of the fault that the drive shows, where another table is asked. */
    shown: z.enum(traceFamilies).optional(),
    /** A dead proof holds. */
    proven: z.boolean().default(false),
    /** The bench test says not shorted and the insulation passed. */
    released: z.boolean().default(false),
    answers: z
      .array(z.strictObject({ check: name, outcome: name }))
      .max(50)
      .prefault([]),
  })
  .superRefine(({ family, table, answers }, ctx) => {
    const asked = table ?? usualTables.find((t) => t.family === family);
    if (asked === undefined)
      return ctx.addIssue({
        code: 'custom',
        path: ['family'],
        message: `one of ${usualTables.map((t) => t.family).join(', ')}, or a table`,
      });
    if (table !== undefined && family !== undefined && table.family !== family)
      ctx.addIssue({
        code: 'custom',
        path: ['table', 'family'],
        message: `${family}, as asked in "family"; or leave "family" out`,
      });
    answers.forEach(({ check, outcome }, i) => {
      const known = asked.checks.find((c) => c.id === check);
      if (known === undefined)
        ctx.addIssue({
          code: 'custom',
          path: ['answers', i, 'check'],
          message: `one of ${asked.checks.map((c) => c.id).join(', ')}`,
        });
      else if (![...known.outcomes.map((o) => o.id), ...skipped].includes(outcome))
        ctx.addIssue({
          code: 'custom',
          path: ['answers', i, 'outcome'],
          message: `one of ${[...known.outcomes.map((o) => o.id), ...skipped].join(', ')}`,
        });
    });
  });

const checkOut = {
  check: z.string(),
  what: z.string(),
  minutes: z.number(),
  hazard: z.enum(hazards),
  tool: z.string().nullable(),
  saves_min: z.number(),
  outcomes: z.array(z.strictObject({ id: z.string(), words: z.string() })),
};

const output = z.strictObject({
  id: z.json().optional(),
  family: z.enum(traceFamilies),
  provenance: z.string(),
  causes: z.array(
    z.strictObject({ id: z.string(), name: z.string(), probability: z.number(), remedy: z.string() }),
  ),
  next: z.strictObject({ ...checkOut, why: z.string() }).nullable(),
  others: z.array(z.strictObject(checkOut)),
  withheld: z.array(z.string()),
  /** Answers that hardly a single cause gives. */
  conflicts: z.array(z.strictObject({ checks: z.tuple([z.string(), z.string()]), text: z.string() })),
});

export const traceNextVerb = verb({
  name: 'trace-next',
  summary: 'From a fault family and answers so far: likely causes, and the check that saves most time.',
  input,
  output,
  run: ({ family, table, answers, shown, proven, released }) => {
    const used = table ?? usualTables.find((t) => t.family === family);
    if (used === undefined) throw new Error('the schema lets no unknown family through');
    const { causes, next, others, withheld, conflicts } = traceFrom(used, answers, {
      shown: shown ?? null,
      proven,
      released,
    });
    const said = ({ check, saves_min }: (typeof others)[number]) => ({
      check: check.id,
      what: check.what,
      minutes: check.minutes,
      hazard: check.hazard,
      tool: check.tool ?? null,
      saves_min,
      outcomes: check.outcomes.map(({ id, words }) => ({ id, words })),
    });
    return {
      family: used.family,
      provenance: used.provenance,
      causes: causes.map(({ id, name: called, probability, remedy }) => ({
        id,
        name: called,
        probability,
        remedy,
      })),
      next: next === null ? null : { ...said(next), why: next.why },
      others: others.map(said),
      withheld: withheld.map((c) => c.id),
      conflicts: conflicts.map(({ checks: [a, b], text }) => ({ checks: [a, b] as [string, string], text })),
    };
  },
});
