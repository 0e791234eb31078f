import type { Migration } from './migration';

/** People, machines, jobs, their logbooks, photographs and settings. */
export const up: Migration = async (qi, transaction) => {
  await qi.sequelize.query(
    `
    create table people (
      id uuid primary key,
      name text not null,
      role text not null check (role in ('technician', 'lead', 'apprentice')),
      active boolean not null default true
    );
    create table assets (
      id uuid primary key,
      site text not null,
      name text not null,
      known_sources jsonb not null default '[]'
    );
    create table jobs (
      id uuid primary key,
      asset_id uuid not null references assets (id),
      head_seq integer not null default 0,
      created_at timestamptz not null default now()
    );
    create table entries (
      job_id uuid not null references jobs (id),
      seq integer not null,
      id uuid not null unique,
      v integer not null,
      kind text not null,
      at timestamptz not null,
      by_id uuid not null references people (id),
      by_role text not null,
      received_at timestamptz not null,
      payload jsonb not null check (pg_column_size(payload) <= 131072),
      corrects uuid,
      primary key (job_id, seq)
    );
    create table job_summaries (
      job_id uuid primary key references jobs (id),
      seq integer not null,
      summary jsonb not null
    );
    create table blobs (
      sha256 text primary key check (sha256 ~ '^[0-9a-f]{64}$'),
      media_type text not null,
      bytes bytea not null
    );
    create table settings (
      key text primary key,
      value jsonb not null
    );
    -- Nothing that was entered is ever edited or removed.
    create function refuse_change() returns trigger language plpgsql as $$
    begin raise exception 'entries are append-only'; end $$;
    create trigger entries_append_only before update or delete on entries
      for each row execute function refuse_change();
    `,
    { transaction },
  );
};

export const down: Migration = async (qi, transaction) => {
  await qi.sequelize.query(
    `drop table settings, blobs, job_summaries, entries, jobs, assets, people; drop function refuse_change;`,
    { transaction },
  );
};
