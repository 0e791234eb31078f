import * as z from 'zod';
import { short } from '../../fragments';

/** Kinds of entries about a loose sheet, which is no job, and the job that took it. The server alone records them. */
export const looseSheetKinds = {
  /** In the log of the sheet: its entries are in a job from here on. */
  'loose.moved': z.strictObject({ toJobId: z.uuid(), machine: short }),
  /** In the log of the job, after the entries that came. */
  'loose.attached': z.strictObject({ fromJobId: z.uuid(), unit: short, entries: z.int().min(0) }),
} as const;
