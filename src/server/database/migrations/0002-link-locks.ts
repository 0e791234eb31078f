import type { Migration } from './migration';

/** Which process talks to which drive. */
export const up: Migration = async (qi, transaction) => {
  await qi.sequelize.query(
    'create table link_locks (target text primary key, holder uuid not null, seen timestamptz not null)',
    { transaction },
  );
};

export const down: Migration = async (qi, transaction) => {
  await qi.sequelize.query('drop table link_locks', { transaction });
};
