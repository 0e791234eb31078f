import * as z from 'zod';

const short = z.string().trim().max(200);

/** Kinds of entries about swapping a unit. */
export const replacementKinds = {
  /** Tasks of the stop as they are planned now; a later one stands in its place. */
  'stop.planned': z.strictObject({
    people: z.int().min(1).max(20),
    allowed_min: z.number().min(0).max(100_000).nullable(),
    tasks: z
      .array(
        z.strictObject({
          id: short.min(1),
          name: short.min(1),
          minutes: z.number().min(0).max(10_000),
          needs: z.array(z.enum(['stop', 'isolated'])).max(1),
          after: z.array(short.min(1)).max(60),
          people: z.int().min(1).max(20),
        }),
      )
      .max(60),
  }),
} as const;
