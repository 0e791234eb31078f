import * as z from 'zod';
import { channelRoles } from '../../../power-up/capture';
import { short, sha256 } from '../../fragments';

const zeroUp = z.number().min(0);
const three = z.tuple([zeroUp.max(5000), zeroUp.max(5000), zeroUp.max(5000)]);
const hz = zeroUp.max(1000);

const motor = z.strictObject({
  volts: z.number().positive().max(2000),
  amps: z.number().positive().max(5000),
  hz: z.number().positive().max(500),
  cosPhi: z.number().min(0.3).max(1),
});

/** What it ran on when it was measured. */
const running = z.union([
  z.strictObject({ load: z.literal('none'), f1: z.number().positive().max(1000) }),
  z.strictObject({
    load: z.literal('lamps'),
    f1: z.number().positive().max(1000),
    ohmPerLeg: z.number().positive().max(1e6),
  }),
  z.strictObject({
    load: z.literal('motor'),
    f1: z.number().positive().max(1000),
    share: zeroUp.max(3),
    motor,
  }),
]);

/** What was concluded, as it stood; the sums can be done again. */
const conclusion = z.strictObject({
  verdict: z.enum(['sound', 'fault', 'doubtful', 'unexplained', 'nothing-measured']),
  headline: z.string().max(1000),
  causes: z
    .array(z.strictObject({ id: short, name: z.string().max(300), probability: z.number().min(0).max(1) }))
    .max(6),
});

/** Kinds of entries about first power and what was measured under power. */
export const powerKinds = {
  /** Gate drives compared, U V W upper then lower, with the bus dead. */
  'power.gates': z.strictObject({
    ohms: z.array(zeroUp.max(1e7).nullable()).length(6),
    supplies: z.array(z.number().min(-50).max(50).nullable()).length(6),
    /** The negative rail; null: the drivers have one rail. Absent in entries of before. */
    minus: z.array(z.number().min(-50).max(50).nullable()).length(6).nullable().optional(),
    pulses: z.array(z.enum(['yes', 'no', 'not-seen'])).length(6),
  }),
  /** What will touch live terminals; an earthed clip is none of the answers. */
  'power.probes': z.strictObject({
    by: z.enum(['differential', 'battery-scope', 'meter-only']),
    ratedVolts: z.number().positive().max(100_000),
    /** Measurement category of probes, leads and meter. Absent in entries of before. */
    category: z.enum(['II', 'III', 'IV']).optional(),
  }),
  'power.planned': z.strictObject({
    way: z.union([
      z.strictObject({ by: z.literal('lamps'), watts: z.number().positive().max(5000) }),
      z.strictObject({ by: z.literal('limit'), amps: z.number().positive().max(1000) }),
    ]),
    expected_V: z.number().positive().max(5000),
    stopBelow_V: z.number().min(0).max(5000),
    /** Absent in entries of before. */
    stopAbove_V: z.number().positive().max(5000).optional(),
    stopAfter_s: z.number().positive().max(3600),
  }),
  /** Switched on, as planned or on the full supply. */
  'power.on': z.strictObject({ through: z.enum(['lamps', 'limit', 'supply']) }),
  'power.bus': z.strictObject({ at_s: zeroUp.max(3600), volts: zeroUp.max(5000) }),
  'power.off': z.strictObject({ note: short.optional() }),
  'power.measured': z.strictObject({
    running,
    /** By the names of the waveform figures. */
    figures: z.record(z.string().max(40), z.number()),
    conclusion,
  }),
  'power.capture': z.strictObject({
    running,
    sha256: sha256,
    name: short.min(1),
    from: z.enum(['csv', 'comtrade']),
    roles: z.array(z.enum(channelRoles)).min(1).max(16),
    notes: z.array(z.string().max(400)).max(20),
    figures: z.record(z.string().max(40), z.number()),
    conclusion,
  }),
  'power.lamps': z.strictObject({
    lamp: z.strictObject({ volts: z.number().positive().max(500), watts: z.number().positive().max(5000) }),
    perLeg: z.int().min(1).max(6),
    hz,
    volts: three,
    amps: three.nullable(),
  }),
  'power.swept': z.strictObject({
    min_Hz: hz,
    max_Hz: z.number().positive().max(1000),
    points: z
      .array(z.strictObject({ percent: zeroUp.max(100), hz }))
      .min(1)
      .max(40),
  }),
} as const;
