import * as z from 'zod';
import { elementKinds } from '../../../fault-finding/loop-check';
import { loopGuards } from './vocabulary';
import { short, yesNo, sha256 } from '../../fragments';

/** Kinds of entries about what must come out again or be put back: jumpers and writes; loops and trends. */
export const registerKinds = {
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
    /** It was there already: nobody of this job set it. */
    found: z.literal(true).optional(),
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
    /** What is out of date after it: motor data and control mode outdate the identification. */
    outdates: z.literal('identification').optional(),
    /** What it puts back to the factory’s: nobody knows these values before they are read. */
    resets: z.union([z.literal('all'), z.array(short.min(1)).max(500)]).optional(),
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
    sha256: sha256,
    names: z.array(short.min(1)).min(1).max(8),
    seconds: z.number().min(0).max(3600),
    note: short.optional(),
  }),
} as const;
