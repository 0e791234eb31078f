import * as z from 'zod';
import { stopPlan, taskTrouble } from '../replacement/stop-plan';
import { verb } from './verb';
import { always } from './vocabulary-schema';

/** A year: what takes longer is no task of an outage. */
const longest_min = 525_600;
const minutes = z.number().positive().max(longest_min);
const name = z.string().min(1).max(100);
const task = z.strictObject({
  id: name,
  minutes,
  /** `stop`: the machine is stopped; `isolated`: isolated and proven dead. A word of neither would plan such work on a live machine. */
  needs: z
    .array(z.enum(['stop', 'isolated']))
    .max(2)
    .prefault([]),
  after: z.array(name).prefault([]),
  people: z.int().min(1).max(50).optional(),
});

const words = {
  ring: 'circular dependency',
  unknown: 'no task with that id',
  twice: 'duplicate id',
  people: 'more people needed than available',
} as const;

export const downtimeVerb = verb({
  name: 'downtime',
  summary: 'Who does what when, for the shortest outage of the machine.',
  input: z
    .strictObject({
      ...always,
      tasks: z.array(task).max(200),
      people: z.int().min(1).max(50),
      allowed_min: z.number().min(0).max(longest_min).optional(),
    })
    .superRefine(({ tasks, people }, ctx) => {
      const trouble = taskTrouble(tasks, people);
      if (trouble === null) return;
      for (const id of trouble.ids)
        ctx.addIssue({
          code: 'custom',
          message: `${words[trouble.trouble]}: ${id}`,
          path: ['tasks', tasks.findIndex((t) => t.id === id || t.after.includes(id))],
        });
    }),
  output: z.strictObject({
    id: z.json().optional(),
    stop_min: z.number(),
    total_min: z.number(),
    stopsAt_min: z.number(),
    schedule: z.array(
      z.strictObject({
        id: z.string(),
        start_min: z.number(),
        end_min: z.number(),
        people: z.array(z.number()),
      }),
    ),
    optimal: z.boolean(),
    bound_min: z.number(),
    /** With that stop, the work in all is proven to be the shortest; no work in all is shorter than the bound. */
    totalOptimal: z.boolean(),
    totalBound_min: z.number(),
    /** Does the stop keep to what is allowed? Null where that was not said. */
    fits: z.boolean().nullable(),
  }),
  run: ({ tasks, people, allowed_min }) => {
    const plan = stopPlan(tasks, people);
    return { ...plan, fits: allowed_min === undefined ? null : plan.stop_min <= allowed_min + 1e-9 };
  },
});
