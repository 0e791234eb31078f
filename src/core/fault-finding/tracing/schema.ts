import * as z from 'zod';
import { alarmFamilies, conceptIds } from '../../equipment/concepts';
import { hazards, isDeadly, liveFigures, troubles, type TraceTable } from './table';

const text = z.string().trim().min(1, 'must not be empty').max(300);
const id = z.string().regex(/^[a-z0-9-]{1,40}$/);
const chance = z.number().min(0).max(1);
const minutes = z.number().min(0).max(2000);

/** The names a table may bear: an alarm family, or a trouble without an alarm. */
export const traceFamilies = [...alarmFamilies, ...troubles] as const;

const shape = z.strictObject({
  family: z.enum(traceFamilies),
  provenance: text,
  deadFirst: z.boolean(),
  causes: z
    .array(
      z.strictObject({
        id,
        name: text,
        weight: z.number().positive().max(1e6),
        remedy: text,
        cure_min: z.number().min(1).max(10_000),
      }),
    )
    .min(1)
    .max(20),
  checks: z
    .array(
      z.strictObject({
        id,
        what: text,
        minutes,
        hazard: z.enum(hazards),
        tool: text.optional(),
        read: z
          .array(
            z.strictObject({
              outcome: id,
              concept: z.enum(conceptIds).optional(),
              live: z.enum(liveFigures).optional(),
              is: z.array(z.string()).optional(),
              atLeast: z.number().optional(),
              below: z.number().optional(),
            }),
          )
          .optional(),
        outcomes: z
          .array(z.strictObject({ id, words: text, given: z.record(id, chance), otherwise: chance }))
          .min(2)
          .max(6),
      }),
    )
    .max(20),
});

/** A table as a shop edits it: names once each, and under every cause the chances of a check are one. */
export const traceTableSchema: z.ZodType<TraceTable> = shape.superRefine((table, ctx) => {
  const { family, deadFirst, causes, checks } = table;
  const issue = (path: (string | number)[], message: string) =>
    ctx.addIssue({ code: 'custom', path, message });
  const once = (list: readonly { id: string }[], path: (string | number)[]) =>
    list.forEach((x, i) => {
      if (list.findIndex((y) => y.id === x.id) !== i) issue([...path, i, 'id'], `${x.id} is duplicated`);
    });
  if (!deadFirst && isDeadly(family))
    issue(['deadFirst'], 'after this fault a dead check comes first; this cannot be changed');
  once(causes, ['causes']);
  once(checks, ['checks']);
  checks.forEach(({ outcomes, read = [] }, i) => {
    once(outcomes, ['checks', i, 'outcomes']);
    outcomes.forEach(({ given }, k) =>
      Object.keys(given)
        .filter((name) => !causes.some((c) => c.id === name))
        .forEach((name) => issue(['checks', i, 'outcomes', k, 'given', name], `there is no cause ${name}`)),
    );
    read.forEach(({ outcome }, k) => {
      if (!outcomes.some((o) => o.id === outcome))
        issue(['checks', i, 'read', k, 'outcome'], `there is no outcome ${outcome}`);
    });
    causes.forEach(({ id: cause, name }) => {
      const sum = outcomes.reduce((s, o) => s + (o.given[cause] ?? o.otherwise), 0);
      if (Math.abs(sum - 1) > 1e-6)
        issue(['checks', i, 'outcomes'], `under “${name}” the chances add up to ${sum.toFixed(2)}, not 1`);
    });
  });
});

/** Tables of a shop: at most one per family. */
export const traceTablesSchema = z.array(traceTableSchema).max(traceFamilies.length);
