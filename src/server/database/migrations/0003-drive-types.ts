import type { Migration } from './migration';

/** Drive types that a workshop wrote itself, beside those that ship. */
export const up: Migration = async (qi, transaction) => {
  await qi.sequelize.query(
    `create table drive_types (
       id text primary key,
       type jsonb not null,
       control jsonb,
       by_id uuid not null references people (id),
       received_at timestamptz not null default now())`,
    { transaction },
  );
};

export const down: Migration = async (qi, transaction) => {
  await qi.sequelize.query('drop table drive_types', { transaction });
};
