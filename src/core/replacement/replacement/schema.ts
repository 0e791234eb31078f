import * as z from 'zod';
import { motorCableSchema } from '../../equipment/cable/schema';
import { emcCategories } from './unit';
import { choiceIds } from './choices';

const range = z
  .tuple([z.number().min(0).max(1e7), z.number().min(0).max(1e7)])
  .readonly()
  .refine(([a, b]) => a <= b, 'the first value must be the smaller one')
  .nullable();

/** A situation at the border. */
export const situationSchema = z.strictObject({
  common: z.strictObject({ stopPerHour: range, workPerHour: range, bankAge_years: range }),
  choices: z.record(
    z.enum(choiceIds),
    z.strictObject({ price: range, work_h: range, lead_h: range, stop_h: range, holds_percent: range }),
  ),
  out: z.partialRecord(z.enum(choiceIds), z.string().trim().min(1).max(200)),
  standsMeanwhile: z.boolean(),
  discontinued: z.boolean(),
});

const figure = z.number().min(-1e6).max(1e6).nullable();
const count = z.int().min(0).max(99);

/** What machine and place ask of a unit (`Asked`). */
export const askedSchema = z.strictObject({
  supply: z.strictObject({
    volts: z.number().positive().max(1000).nullable(),
    phases: z.union([z.literal(1), z.literal(3)]),
    earthing: z.enum(['star-earthed', 'isolated', 'corner-earthed']),
  }),
  motorAmps: figure,
  duty: z.enum(['normal', 'heavy']).nullable(),
  ambient_C: figure,
  altitude_m: figure,
  carrier_kHz: figure,
  sideBySide: z.boolean(),
  brakeResistor_ohm: figure,
  brakes: z.boolean().nullable(),
  feedback: z.boolean().nullable(),
  network: z
    .strictObject({
      name: z.string().trim().min(1).max(60),
      answers: z.record(z.string().max(20), z.string().trim().max(300)),
    })
    .nullable(),
  wired: z
    .strictObject({ digital: count, analog: count, analogOut: count, relays: count, safe: z.boolean() })
    .nullable(),
  room_mm: z.strictObject({ width: figure, height: figure, depth: figure }),
  cablesFrom: z.enum(['below', 'above']).nullable(),
  protection: z
    .string()
    .regex(/^IP[0-6][0-9]$/)
    .nullable(),
  cable: motorCableSchema.nullable().optional(),
  shortCircuit_kA: z.number().positive().max(1000).nullable().optional(),
  emc: z.enum(emcCategories).nullable().optional(),
});
