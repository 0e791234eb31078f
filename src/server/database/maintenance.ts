// What the launcher does with the database: migrate, fill, rebuild.
import { closeDb, db } from './connection';
import { migrator } from './migrations';
import { filledKey } from './demo';

export { loadDemo } from './demo';
export { rebuildSummaries } from '../logbook/summaries';
export { checkChains } from '../logbook/chain-check';

export async function migrate(): Promise<void> {
  await migrator(db().sequelize).up();
}

/** Nothing was ever filled in here, or the filling was cut short. */
export const isNew = async (): Promise<boolean> => (await db().models.Setting.findByPk(filledKey)) === null;

export const close = closeDb;
