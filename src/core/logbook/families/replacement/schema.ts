import * as z from 'zod';
import { choiceIds } from '../../../replacement/replacement';
import { askedSchema, situationSchema } from '../../../replacement/replacement/schema';
import { wireEnds } from '../../../replacement/wires';
import { roleSchema } from '../../../replacement/wires/schema';
import { short, positive, photos } from '../../fragments';

const long = z.string().trim().max(1000);
const mark = z.string().trim().min(1).max(12);

/** A unit by its plate. */
const plateUnit = z.strictObject({
  typeId: short.nullable(),
  maker: short.min(1),
  type: short.min(1),
  serial: short.optional(),
  firmware: short.optional(),
  /** Null: nobody knows it. */
  supply_V: positive.max(1000).nullable(),
  phases: z.union([z.literal(1), z.literal(3)]),
  ratedAmps: positive.max(5000),
});

const openMatter = z.strictObject({
  id: short.min(1),
  text: long.min(1),
  /** Why it may stay open. Absent in entries of before. */
  reason: short.min(1).optional(),
});

/** Kinds of entries about swapping a unit. */
export const replacementKinds = {
  /** Figures of the choice as they are known now. */
  'decide.figures': situationSchema,
  'decide.made': z.strictObject({
    choice: z.enum(choiceIds),
    reason: long.min(1),
    /** Expected costs as they stood, in the middle; null: it could not be. */
    costs: z.array(
      z.strictObject({ choice: z.enum(choiceIds), mid: z.number().nullable(), stop_h: z.number() }),
    ),
    /** What was the cheapest then. */
    cheapest: z.enum(choiceIds).nullable(),
  }),
  /** What comes out and what comes in its place; null: another of the same is not chosen yet. */
  'swap.units': z.strictObject({ old: plateUnit, next: plateUnit.nullable() }),
  'swap.asked': askedSchema,
  /** Where the jumper or switch of an analog input stood on the old unit. */
  'swap.selector': z.strictObject({ input: z.enum(['AI1', 'AI2']), position: z.enum(['V', 'mA']) }),
  /** A terminal as it was found, in words and photographs. */
  'swap.terminal': z.strictObject({ mark, note: short, photos }),
  /** A wire as it was found; a later one of the same wire stands in its place. */
  'wire.noted': z.strictObject({
    wire: z.uuid(),
    number: z.int().min(1).max(9999),
    from: mark.nullable(),
    /** It stands so on the unit, although the catalogue does not have this mark. */
    unlisted: z.literal(true).optional(),
    role: roleSchema,
    ferrule: short.default(''),
    drawing: short.default(''),
    colour: short.default(''),
    core: short.default(''),
    drawnAt: z.string().trim().max(12).nullable().default(null),
    proven: z.boolean().default(false),
    volts: z.number().min(-2000).max(2000).optional(),
    shared: z
      .strictObject({ machine: short.min(1), meanwhile: short })
      .nullable()
      .default(null),
    later: z.boolean().default(false),
    photos,
  }),
  'wire.removed': z.strictObject({ wire: z.uuid(), reason: short.min(1) }),
  /** Nobody knows what it is; the one who enters this takes it on. */
  'wire.accepted': z.strictObject({ wire: z.uuid(), reason: short.min(1) }),
  /** A terminal that a person chose; null: it gets none; undone by `back`. */
  'wire.chosen': z.strictObject({
    wire: z.uuid(),
    to: mark.nullable(),
    reason: short,
    back: z.boolean().default(false),
  }),
  'wire.ticked': z.strictObject({
    wire: z.uuid(),
    end: z.enum(wireEnds),
    on: z.boolean(),
    /** The terminal of the new unit that it was seen on. */
    to: mark,
  }),
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
  /** The machine stands; the clock runs. */
  'stop.begun': z.strictObject({}),
  'stop.task': z.strictObject({ task: short.min(1), did: z.enum(['begun', 'done', 'open']) }),
  /** The machine runs again. */
  'stop.over': z.strictObject({}),
  'swap.unit-out': z.strictObject({ lookedAt: z.array(short).max(20) }),
  /** The control system was told that the override ends. */
  'handover.told': z.strictObject({ who: short.min(1), how: short }),
  /** The machine follows its own reference. */
  'handover.followed': z.strictObject({
    unit: z.enum(['Hz', 'rpm', '%']),
    points: z
      .array(z.strictObject({ asked: z.number().min(0).max(100_000), got: z.number().min(0).max(100_000) }))
      .min(3)
      .max(6),
  }),
  /** A machine that shares a signal, looked at. */
  'handover.partner': z.strictObject({ machine: short.min(1), right: z.boolean(), note: short }),
  'handover.locks': z.strictObject({ locks: z.enum(['on', 'none', 'open']), note: short }),
  'handover.inspection': z.strictObject({ date: z.iso.date(), what: short }),
  /** Two names: whoever enters it, and whoever takes the machine over. */
  'job.signed-off': z.strictObject({
    second: short.min(1),
    secondIs: short,
    /** What stays open, taken on by both. */
    open: z.array(openMatter).max(60),
    seq: z.int().min(0),
  }),
} as const;
