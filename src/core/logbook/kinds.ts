import * as z from 'zod';
import { alarmFamilies } from '../equipment/concepts';
import { sourceKinds, sourceStates } from '../bench/make-safe';
import { moduleKinds } from '../bench/module-test';
import { plateSchema } from '../equipment/plate/schema';
import { screwSchema, stageSchema, terminalSchema } from '../equipment/power-stage/schema';
import { driveKinds } from './drive-kinds';
import { powerKinds } from './power-kinds';
import { replacementKinds } from './replacement-kinds';
import { setKinds } from './set-kinds';
import { startUpKinds } from './start-up-kinds';
import { dangerSigns, lookItems } from './vocabulary';

const short = z.string().trim().max(200);
const long = z.string().trim().max(4000);
const optionalShort = short.optional();
const sha256 = z.string().regex(/^[0-9a-f]{64}$/);
const photos = z.array(sha256).max(20).default([]);
const positive = z.number().positive();

const moduleDevice = z.int().min(1).max(7);
const yesNo = z.enum(['yes', 'no', 'not-sure']);

/** What each kind of entry carries. */
export const payloads = {
  'job.opened': z.strictObject({
    assetId: z.uuid(),
    site: short.min(1),
    machine: short.min(1),
    complaint: short.min(1),
    stoppedAt: z.iso.datetime().nullable(),
    downtimeAllowed_min: z.number().min(0).max(100_000).nullable(),
    downstream: optionalShort,
    peopleInDanger: yesNo,
    loadSuspended: yesNo,
    bypass: yesNo,
  }),
  'take.call': z.strictObject({
    doing: optionalShort,
    display: optionalShort,
    changedLately: optionalShort,
    signs: z.array(z.enum(dangerSigns)).default([]),
  }),
  'identify.drive': z.strictObject({
    typeId: short.nullable(),
    maker: short.min(1),
    type: short.min(1),
    badge: optionalShort,
    serial: optionalShort,
    supply_V: positive.max(1000),
    phases: z.union([z.literal(1), z.literal(3)]),
    ratedAmps: positive.max(5000),
    labelWait_min: z.number().min(0).max(120),
    drawingOnlySimilar: z.boolean(),
    stage: stageSchema,
    strip: z.array(screwSchema).min(4).max(30),
    photos,
  }),
  'identify.motor': z.strictObject({
    plate: plateSchema,
    serial: optionalShort,
    connection: z.enum(['star', 'delta']).optional(),
    insulationClass: z.string().trim().max(4).optional(),
    photos,
  }),
  'as-found.captured': z.strictObject({
    active: optionalShort,
    family: z.enum(alarmFamilies),
    slots: z.array(z.strictObject({ code: short.min(1), when: optionalShort })).max(30),
    selectors: optionalShort,
    photos,
  }),
  'as-found.impossible': z.strictObject({ reason: short.min(1) }),
  'look.finding': z.strictObject({
    item: z.enum(lookItems),
    state: z.enum(['clear', 'found', 'not-checked']),
    note: optionalShort,
    photos,
  }),
  'safety.sources': z.strictObject({
    sources: z
      .array(z.strictObject({ kind: z.enum(sourceKinds), state: z.enum(sourceStates), how: optionalShort }))
      .max(sourceKinds.length),
  }),
  'safety.locked': z.strictObject({ isolatedAt: z.iso.datetime(), tag: short.min(1) }),
  'safety.meter': z.strictObject({
    when: z.enum(['before', 'after']),
    source: short.min(1),
    volts: z.number().min(0).max(2000),
  }),
  'safety.figure': z.strictObject({
    point: z.string().max(40),
    quantity: z.enum(['dc', 'ac']),
    volts: z.number().min(-2000).max(2000),
  }),
  'safety.source-back': z.strictObject({ kind: z.enum(sourceKinds), note: optionalShort }),
  'safety.no-bank-terminal': z.strictObject({ note: optionalShort }),
  'safety.discharged': z.strictObject({ startVolts: positive, ohm: positive }),
  'static.reading': z.strictObject({
    red: terminalSchema,
    black: terminalSchema,
    value: z.union([z.literal('OL'), z.literal('climbing'), z.number().min(-100).max(100)]),
    typed: z.string().max(40),
  }),
  /** The readings so far were taken under conditions that spoil them: they stay in the log only. */
  'static.retake': z.strictObject({ reason: short.min(1) }),
  'identify.stage': z.strictObject({
    stage: stageSchema,
    strip: z.array(screwSchema).min(4).max(30),
    reason: optionalShort,
  }),
  'module.begun': z.strictObject({ kind: z.enum(moduleKinds), name: short.min(1) }),
  'module.proven': z.strictObject({ module: z.uuid(), lampLights: z.boolean(), polarityRight: z.boolean() }),
  'module.touch': z.strictObject({
    module: z.uuid(),
    device: moduleDevice,
    gate: z.enum(['plus', 'minus']),
    lamp: z.enum(['on', 'off', 'dim']),
    holds: z.boolean(),
  }),
  'module.diode': z.strictObject({
    module: z.uuid(),
    device: moduleDevice,
    forward_V: z.number().min(-10).max(10),
    reverse: z.union([z.literal('OL'), z.number().min(-10).max(10)]),
  }),
  'module.gate': z.strictObject({
    module: z.uuid(),
    device: moduleDevice,
    ohm: z.union([z.literal('OL'), z.number().min(0).max(1e9)]),
  }),
  ...driveKinds,
  ...startUpKinds,
  ...setKinds,
  ...powerKinds,
  ...replacementKinds,
  'note.added': z.strictObject({ stage: z.string().max(20), text: long.min(1), photos }),
  'question.opened': z.strictObject({ text: short.min(1) }),
  'question.closed': z.strictObject({ question: z.uuid(), answer: short.min(1) }),
  'sheet.signed': z.strictObject({
    verdict: z.enum(['not-shorted', 'faulty', 'doubtful', 'invalid']),
    headline: short,
    detail: z.string().max(1000),
    /** The newest entry that the signer had seen. */
    seq: z.int().min(0),
  }),
} as const;

export type EntryKind = keyof typeof payloads;
export type Payload<K extends EntryKind> = z.output<(typeof payloads)[K]>;
