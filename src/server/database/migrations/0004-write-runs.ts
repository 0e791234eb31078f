import type { Migration } from './migration';

/** Runs of writes to drives, line by line: what was sent, and what became of it. */
export const up: Migration = async (qi, transaction) => {
  const run = (text: string) => qi.sequelize.query(text, { transaction });
  await run(
    `create table write_runs (
       id uuid primary key,
       job_id uuid not null references jobs (id),
       set_id uuid not null,
       name text not null,
       target text not null,
       type_id text not null,
       serial text,
       rating jsonb not null,
       found jsonb not null,
       state text not null,
       why text,
       by_id uuid not null references people (id),
       begun_at timestamptz not null default now(),
       heard_at timestamptz not null default now())`,
  );
  // One open run a drive, whoever asks.
  await run(`create unique index write_runs_open on write_runs (target) where state in ('writing', 'held')`);
  await run('create index write_runs_job on write_runs (job_id)');
  await run(
    `create table write_lines (
       run_id uuid not null references write_runs (id),
       place int not null,
       line jsonb not null,
       settled_at timestamptz,
       primary key (run_id, place))`,
  );
};

export const down: Migration = async (qi, transaction) => {
  await qi.sequelize.query('drop table write_lines; drop table write_runs', { transaction });
};
