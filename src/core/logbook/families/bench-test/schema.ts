import * as z from 'zod';
import { terminalSchema } from '../../../equipment/power-stage/schema';
import { staticVerdicts } from '../../verified';
import { short } from '../../fragments';

/** Kinds of entries about the diode test and its sheet. */
export const benchTestKinds = {
  'static.reading': z.strictObject({
    red: terminalSchema,
    black: terminalSchema,
    value: z.union([z.literal('OL'), z.literal('climbing'), z.number().min(-100).max(100)]),
    typed: z.string().max(40),
  }),
  /** The readings so far were taken under conditions that spoil them: they stay in the log only. */
  'static.retake': z.strictObject({ reason: short.min(1) }),
  'sheet.signed': z.strictObject({
    verdict: z.enum(staticVerdicts),
    headline: short,
    detail: z.string().max(1000),
    /** The newest entry that the signer had seen. */
    seq: z.int().min(0),
  }),
} as const;
