import * as z from 'zod';
import { controlShape } from '../equipment/catalogue/schema';
import { fitCheck, nothingAsked } from '../replacement/replacement';
import { askedSchema } from '../replacement/replacement/schema';
import { verb } from './verb';
import { always } from './vocabulary-schema';

const positive = z.number().positive();

/** A unit: its plate, and of its type's control.json what the check reads; null: nothing is known of the type. */
const unit = z.strictObject({
  maker: z.string().min(1),
  type: z.string().min(1),
  supply_V: positive,
  phases: z.union([z.literal(1), z.literal(3)]),
  ratedAmps: positive,
  power_kW: positive.nullable().default(null),
  discontinued: z.boolean().default(false),
  brake: z.boolean().default(false),
  firmware: z.string().nullable().default(null),
  control: controlShape
    .pick({
      inputs: true,
      analogInputs: true,
      analogOutput: true,
      relays: true,
      safeStop: true,
      options: true,
      supply: true,
      fitting: true,
      mounting: true,
    })
    .nullable()
    .default(null),
});

/** Of a log these are taken as they were recorded; asked anew they must be possible. */
const askable = {
  motorAmps: positive.max(1e5).nullable().optional(),
  ambient_C: z.number().min(-60).max(100).nullable().optional(),
  altitude_m: z.number().min(-500).max(9000).nullable().optional(),
  carrier_kHz: positive.max(100).nullable().optional(),
  brakeResistor_ohm: positive.max(1e6).nullable().optional(),
};

const verdict = z.enum(['fits', 'adapts', 'does-not', 'ask']);
const action = z.enum(['buy', 'move', 'change', 'ask']);

export const fitCheckVerb = verb({
  name: 'fit-check',
  summary: 'Whether a unit can replace another, row by row, with what to buy, move, change or ask.',
  input: z.strictObject({
    ...always,
    old: unit,
    next: unit,
    asked: askedSchema.partial().extend(askable).required({ supply: true }),
  }),
  output: z.strictObject({
    id: z.json().optional(),
    verdict,
    counts: z.record(verdict, z.number()),
    rows: z.array(
      z.strictObject({
        id: z.string(),
        name: z.string(),
        old: z.string(),
        next: z.string(),
        verdict,
        text: z.string(),
        sum: z.string().optional(),
        action: z.strictObject({ kind: action, text: z.string() }).optional(),
      }),
    ),
    actions: z.array(z.strictObject({ kind: action, text: z.string(), row: z.string() })),
  }),
  run: ({ old, next, asked }) => fitCheck(old, next, { ...nothingAsked, ...asked }),
});
