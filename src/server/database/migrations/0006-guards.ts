import type { Migration } from './migration';

/** Emptying a table fires no trigger of its rows: the log refuses that, too. */
export const up: Migration = async (qi, transaction) => {
  await qi.sequelize.query(
    `create trigger entries_keep before truncate on entries for each statement execute function refuse_change()`,
    { transaction },
  );
};

export const down: Migration = async (qi, transaction) => {
  await qi.sequelize.query('drop trigger entries_keep on entries', { transaction });
};
