import type { Migration } from './migration';

/** Drive types in the making, from manuals. */
export const up: Migration = async (qi, transaction) => {
  await qi.sequelize.query(
    `create table type_drafts (
       id uuid primary key,
       draft jsonb not null,
       version int not null default 1,
       by_id uuid not null references people (id),
       received_at timestamptz not null default now());
     grant select, insert, update on type_drafts to grim_app;`,
    { transaction },
  );
};

export const down: Migration = async (qi, transaction) => {
  await qi.sequelize.query('drop table type_drafts', { transaction });
};
