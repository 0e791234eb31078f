import type { Migration } from './migration';

/** Each person chooses terms and units. */
export const up: Migration = async (qi, transaction) => {
  await qi.sequelize.query(
    `
    alter table people add column terms text not null default 'international'
      check (terms in ('international', 'us'));
    grant update (terms) on people to grim_app;
    `,
    { transaction },
  );
};

export const down: Migration = async (qi, transaction) => {
  await qi.sequelize.query('alter table people drop column terms', { transaction });
};
