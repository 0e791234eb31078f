import type { Migration } from './migration';

/**
 * What the server may do, as the role it serves under (the launcher makes it with the cluster): add to the log, never change
 * it; change no table's shape. Migrations, backups and rebuilding are the owner's.
 */
export const up: Migration = async (qi, transaction) => {
  await qi.sequelize.query(
    `
    grant usage on schema public to grim_app;
    grant select on all tables in schema public to grim_app;
    grant insert on entries, blobs, blob_aliases, daily_heads, jobs, people, assets to grim_app;
    grant update (head_seq, head_hash, head_at) on jobs to grim_app;
    grant update (known_sources) on assets to grim_app;
    grant insert, update on job_summaries, settings, drive_types, write_runs, write_lines to grim_app;
    grant insert, update, delete on link_locks to grim_app;
    `,
    { transaction },
  );
};

export const down: Migration = async (qi, transaction) => {
  await qi.sequelize.query(
    `
    revoke all on all tables in schema public from grim_app;
    revoke all on schema public from grim_app;
    `,
    { transaction },
  );
};
