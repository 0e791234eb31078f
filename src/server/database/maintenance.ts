// What the launcher does with the database: migrate, fill, rebuild.
import { closeDb, db } from './connection';
import { migrator } from './migrations';
import { filledKey } from './demo';

export { loadDemo } from './demo';
export { beginGeneration } from './generation';
export { rebuildSummaries } from '../logbook/summaries';
export { checkChains } from '../logbook/chain-check';

/** Any number that no other of our locks has. */
const migrationLock = 7_246_301;

/** Brings the database to the newest shape; two that start at the same time do it one after the other. */
export async function migrate(): Promise<void> {
  const { sequelize } = db();
  await sequelize.transaction(async (transaction) => {
    await sequelize.query(
      'set local lock_timeout = 0; set local statement_timeout = 0; set local idle_in_transaction_session_timeout = 0',
      { transaction },
    );
    await sequelize.query(`select pg_advisory_xact_lock(${migrationLock})`, { transaction });
    await migrator(sequelize).up();
  });
}

/** Nothing was ever filled in here, or the filling was cut short. */
export const isNew = async (): Promise<boolean> => (await db().models.Setting.findByPk(filledKey)) === null;

export const close = closeDb;
