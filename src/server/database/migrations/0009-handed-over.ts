import type { Migration } from './migration';

/** A job is closed when its machine was handed over; a signed sheet closes none. */
export const up: Migration = async (qi, transaction) => {
  await qi.sequelize.query(
    `update job_summaries set concluded = coalesce(summary->'conclusion'->>'verdict' = 'handed-over', false)`,
    { transaction },
  );
};

/** Before, whatever was signed closed a job. */
export const down: Migration = async (qi, transaction) => {
  await qi.sequelize.query(`update job_summaries set concluded = summary->>'conclusion' is not null`, {
    transaction,
  });
};
