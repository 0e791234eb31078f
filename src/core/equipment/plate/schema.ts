import * as z from 'zod';

const positive = z.number().positive();

/** A motor plate at the border. */
export const plateSchema = z.strictObject({
  power: z.strictObject({ value: positive, unit: z.enum(['kW', 'hp']) }),
  volts: positive,
  amps: positive,
  hz: positive,
  rpm: positive,
  cosPhi: positive.optional(),
  serviceFactor: positive.optional(),
  poles: z.int().min(2).max(200).optional(),
  asWritten: z.boolean().optional(),
  alternatives: z
    .array(z.strictObject({ connection: z.enum(['star', 'delta']), volts: positive, amps: positive }))
    .max(4)
    .optional(),
});

/** What is doubtful or wrong, as it leaves a verb. */
export const findingsSchema = z.array(
  z.strictObject({
    code: z.string(),
    severity: z.enum(['info', 'doubt', 'wrong']),
    text: z.string(),
    sum: z.string(),
  }),
);
