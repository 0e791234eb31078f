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
  alternatives: z
    .array(z.strictObject({ connection: z.enum(['star', 'delta']), volts: positive, amps: positive }))
    .max(4)
    .optional(),
});
