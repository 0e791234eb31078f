import * as z from 'zod';
import { sourceKinds, sourceStates } from '../../../bench/make-safe';
import { short, optionalShort, positive } from '../../fragments';

/** Kinds of entries about sources of energy and the proof that a drive is dead. */
export const safetyKinds = {
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
} as const;
