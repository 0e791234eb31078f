import * as z from 'zod';

const place = z.number().min(-1e6).max(1e6);
const box = z.strictObject({ x0: z.number(), y0: z.number(), x1: z.number(), y1: z.number() });
const confidence = z.number().min(0).max(1);

/** A word of a photo with its place; y grows downwards. */
export const plateWordSchema = z.strictObject({
  text: z.string().max(80),
  confidence,
  digits: z.string().max(20).optional(),
  x0: place,
  y0: place,
  x1: place,
  y1: place,
});

/** A bar code or matrix code of a photo with its place. */
export const plateCodeSchema = z.strictObject({
  text: z.string().max(4000),
  x0: place,
  y0: place,
  x1: place,
  y1: place,
});

const text = z.strictObject({ value: z.string(), confidence, box });
const number = z.strictObject({
  value: z.number(),
  confidence,
  box,
  asRead: z.string().optional(),
  orElse: z.number().optional(),
});

/** A plate or label as it was read. */
export const plateReadingSchema = z.strictObject({
  kind: z.enum(['motor', 'drive', 'unknown']),
  fields: z.strictObject({
    power: z.array(number.extend({ unit: z.enum(['kW', 'hp']) })).optional(),
    volts: z.array(number).optional(),
    amps: z.array(number).optional(),
    hz: z.array(number).optional(),
    rpm: z.array(number).optional(),
    cosPhi: number.optional(),
    serviceFactor: number.optional(),
    poles: number.optional(),
    insulationClass: text.optional(),
    connection: text.optional(),
    serial: text.optional(),
    type: text.optional(),
    inputVolts: z.strictObject({ value: z.tuple([z.number(), z.number()]), confidence, box }).optional(),
    phases: number.optional(),
    outputAmps: z.array(number).optional(),
    waitMinutes: number.optional(),
  }),
  findings: z.array(
    z.strictObject({ code: z.enum(['corrected', 'two-ways', 'nothing-read']), text: z.string() }),
  ),
});
