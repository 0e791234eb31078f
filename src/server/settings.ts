import * as z from 'zod';
import { greatestLimits, type Limits } from '../core/make-safe';
import { db } from './connection';

/** A site may set its limits lower than the usual ones, never higher. */
export const limitsSchema = z.strictObject({
  hands_V: z.number().positive().max(greatestLimits.hands_V),
  test_V: z.number().positive().max(greatestLimits.test_V),
});

export async function limits(): Promise<Limits> {
  const row = await db().models.Setting.findByPk('limits');
  return row === null ? greatestLimits : limitsSchema.parse(row.value);
}

export async function setLimits(next: Limits): Promise<void> {
  await db().models.Setting.upsert({ key: 'limits', value: limitsSchema.parse(next) });
}
