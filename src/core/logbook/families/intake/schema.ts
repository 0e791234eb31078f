import * as z from 'zod';
import { termsProfile } from '../../../terms/schema';
import { dangerSigns } from './vocabulary';
import { short, optionalShort, time, yesNo } from '../../fragments';

/** Kinds of entries about what was called in. */
export const intakeKinds = {
  'job.opened': z.strictObject({
    assetId: z.uuid(),
    site: short.min(1),
    machine: short.min(1),
    complaint: short.min(1),
    /** The customer's number for the work. */
    workOrder: optionalShort,
    stoppedAt: time.nullable(),
    downtimeAllowed_min: z.number().min(0).max(100_000).nullable(),
    downstream: optionalShort,
    peopleInDanger: yesNo,
    loadSuspended: yesNo,
    bypass: yesNo,
    /** No job: a loose sheet, whose entries may be moved to a job later. */
    loose: z.literal(true).optional(),
  }),
  'take.call': z.strictObject({
    doing: optionalShort,
    display: optionalShort,
    changedLately: optionalShort,
    signs: z.array(z.enum(dangerSigns)).default([]),
    /** The customer's terms and units: of every document. */
    terms: termsProfile.optional(),
  }),
} as const;
