import * as z from 'zod';
import { liveSchema, slotSchema, valuesSchema } from '../equipment/drive-words/schema';
import { elementKinds } from '../fault-finding/loop-check';
import { loopGuards } from './vocabulary';

const short = z.string().trim().max(200);
const long = z.string().trim().max(4000);
const yesNo = z.enum(['yes', 'no', 'not-sure']);

/** Kinds of entries about what a drive says, what is asked of it, and what is put in its loops. */
export const driveKinds = {
  /** A read-out over the link: who answered, every entry, live values and the fault history. */
  'drive.read': z.strictObject({
    target: short.min(1),
    typeId: short.min(1),
    identity: z.strictObject({ vendor: short, product: short, revision: short }),
    serial: short.optional(),
    values: valuesSchema,
    live: liveSchema,
    history: z.array(slotSchema).max(30),
  }),
  /** What was read off the display or at the terminals, by a person. */
  'drive.seen': z.strictObject({ values: valuesSchema.default({}), live: liveSchema.default({}) }),
  /** One answer of a trace: an outcome of its table, or why there is none. */
  'trace.answered': z.strictObject({
    family: short.min(1),
    check: short.min(1),
    outcome: short.min(1),
    words: short,
  }),
  /** The cause, shown by making and breaking it. */
  'trace.confirmed': z.strictObject({
    family: short.min(1),
    cause: short.min(1),
    name: short.min(1),
    how: long.min(1),
    remedy: z.string().trim().max(300).optional(),
    watch: short.optional(),
  }),
  /** A 24 V loop walked with the meter. */
  'loop.checked': z.strictObject({
    input: short.min(1),
    source_V: z.number().min(-100).max(1000),
    elements: z
      .array(z.strictObject({ id: short.min(1), kind: z.enum(elementKinds) }))
      .min(1)
      .max(40),
    measured: z
      .array(z.strictObject({ after: short.min(1), volts: z.number().min(-1000).max(1000) }))
      .max(80),
    bit: z.union([z.literal(0), z.literal(1)]).optional(),
    selector: z.enum(['source', 'sink']).optional(),
    open: short.nullable(),
    why: z.string().max(1000),
  }),
  /** A jumper, or an input set to no function, for the time being. */
  'jumper.set': z.strictObject({
    form: z.enum(['jumper', 'no-function']),
    where: short.min(1),
    guards: z.enum(loopGuards),
    plant: z.enum(['existing', 'new']),
    landed: yesNo,
    wire: short.optional(),
    motorConnected: z.boolean(),
    reason: short.min(1),
    approver: short.min(1),
    removeBy: z.iso.date(),
  }),
  'jumper.removed': z.strictObject({ jumper: z.uuid(), how: short.min(1) }),
  /** What is about to be written to the drive: kept before it is sent. */
  'drive.write-asked': z.strictObject({
    target: short.min(1),
    typeId: short.min(1),
    number: short.min(1),
    name: short.min(1),
    from: z.number(),
    to: z.number(),
    /** Both as the keypad shows them. */
    shownFrom: short,
    shownTo: short,
    reason: short.min(1),
    trial: z.boolean(),
    /** The trial that this one puts back. */
    restores: z.uuid().optional(),
    /** What the person was told may move, and said yes to. */
    mayMove: short.min(1),
    runOpen: z.literal(true),
    peopleClear: z.literal(true),
  }),
  'drive.write-done': z.strictObject({ asked: z.uuid(), found: z.number() }),
  /** `certain`: the drive has its old value; else nobody knows before it is read. */
  'drive.write-failed': z.strictObject({ asked: z.uuid(), why: z.string().max(1000), certain: z.boolean() }),
  /** A trial that stays, with the reason. */
  'trial.kept': z.strictObject({ asked: z.uuid(), reason: short.min(1) }),
  /** Live values over some time; the samples are a blob. */
  'trend.kept': z.strictObject({
    sha256: z.string().regex(/^[0-9a-f]{64}$/),
    names: z.array(short.min(1)).min(1).max(8),
    seconds: z.number().min(0).max(3600),
    note: short.optional(),
  }),
} as const;
