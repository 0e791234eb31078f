import type { Migration } from './migration';

/** What was kept of each type of the workshop's own, one version after the other. */
export const up: Migration = async (qi, transaction) => {
  await qi.sequelize.query(
    `create table type_versions (
       type_id text not null references drive_types (id),
       version int not null check (version > 0),
       type jsonb not null,
       control jsonb,
       note text not null default '',
       by_id uuid not null references people (id),
       received_at timestamptz not null default now(),
       primary key (type_id, version));
     insert into type_versions (type_id, version, type, control, by_id, received_at)
       select id, 1, type, control, by_id, received_at from drive_types;
     grant select, insert on type_versions to grim_app;`,
    { transaction },
  );
};

export const down: Migration = async (qi, transaction) => {
  await qi.sequelize.query('drop table type_versions', { transaction });
};
