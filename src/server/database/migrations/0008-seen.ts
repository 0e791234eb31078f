import type { Migration } from './migration';

/** The version an edit began from: databases that took 0005 in its first days lack its column. */
export const up: Migration = async (qi, transaction) => {
  await qi.sequelize.query('alter table entries add column if not exists seen int', { transaction });
};

/** The column is 0005's own. */
export const down: Migration = () => Promise.resolve();
