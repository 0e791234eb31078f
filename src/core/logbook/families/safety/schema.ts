import * as z from 'zod';
import { proofPlaces, quantities, sourceKinds, sourceStates, together_V } from '../../../bench/make-safe';
import { short, optionalShort, positive, time } from '../../fragments';

/** What a meter showed on a source whose voltage is known. */
const knownSource = z.strictObject({ source: short.min(1), volts: z.number().min(0).max(2000) });

/** Kinds of entries about sources of energy and the proof that a drive is dead. */
export const safetyKinds = {
  'safety.sources': z.strictObject({
    sources: z
      .array(z.strictObject({ kind: z.enum(sourceKinds), state: z.enum(sourceStates), how: optionalShort }))
      .max(sourceKinds.length),
    place: z.enum(proofPlaces).optional(),
  }),
  'safety.locked': z.strictObject({ isolatedAt: time, tag: short.min(1) }),
  /** Of earlier versions, which proved one range of the meter; nobody makes it any more. */
  'safety.meter': z.strictObject({ when: z.enum(['before', 'after']), ...knownSource.shape }),
  'safety.meter-proof': z.strictObject({
    when: z.enum(['before', 'after']),
    dc: knownSource,
    /** Left out where no lead is on the unit. */
    ac: knownSource.optional(),
  }),
  'safety.figure': z.strictObject({
    point: z.string().max(40),
    quantity: z.enum(quantities),
    volts: z.number().min(-2000).max(2000),
  }),
  'safety.figures': z.strictObject({
    quantity: z.enum(quantities),
    points: z.array(z.string().max(40)).min(1).max(40),
    below_V: z.number().positive().max(together_V),
  }),
  'safety.source-back': z.strictObject({ kind: z.enum(sourceKinds), note: optionalShort }),
  'safety.no-bank-terminal': z.strictObject({ note: optionalShort }),
  'safety.discharged': z.strictObject({ startVolts: positive, ohm: positive }),
  /** The resistor that keeps the capacitor bank empty between tests: fitted, or removed. */
  'safety.bridge': z.strictObject({ fitted: z.boolean() }),
} as const;
