import type { Migration } from './migration';

/** Loose sheets, which are no jobs, and entries that were moved from them. */
export const up: Migration = async (qi, transaction) => {
  await qi.sequelize.query(
    `alter table entries add first_received_at timestamptz;
     alter table job_summaries add loose boolean not null default false;
     create index job_summaries_loose on job_summaries (last_at desc) where loose;`,
    { transaction },
  );
};

export const down: Migration = async (qi, transaction) => {
  await qi.sequelize.query(
    `drop index job_summaries_loose;
     alter table job_summaries drop loose;
     alter table entries drop first_received_at;`,
    { transaction },
  );
};
