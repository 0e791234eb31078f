import { readFileSync } from 'node:fs';
import { QueryTypes, type Transaction } from 'sequelize';
import { db } from './database/connection';

/**
 * Milliseconds that tests add to the clock, so that they can let minutes pass: they name a file with them in
 * GRIM_CLOCK_FILE, which no ordinary start sets.
 */
export function clockShift_ms(): number {
  const file = process.env['GRIM_CLOCK_FILE'];
  return file === undefined ? 0 : Number(readFileSync(file, 'utf8'));
}

/** The database's clock: every time that a gate depends on comes from here. */
export async function databaseNow(transaction?: Transaction): Promise<Date> {
  const [row] = await db().sequelize.query<{ now: Date }>('select clock_timestamp() as now', {
    type: QueryTypes.SELECT,
    ...(transaction === undefined ? {} : { transaction }),
  });
  if (row === undefined) throw new Error('the database does not say what time it is');
  return new Date(row.now.getTime() + clockShift_ms());
}
