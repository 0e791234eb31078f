import type { QueryInterface, Sequelize, Transaction } from 'sequelize';
import { SequelizeStorage, Umzug, type RunnableMigration } from 'umzug';
import * as m0001 from './0001-ground';
import * as m0002 from './0002-link-locks';
import * as m0003 from './0003-drive-types';
import * as m0004 from './0004-write-runs';
import * as m0005 from './0005-log-integrity';
import * as m0006 from './0006-guards';
import * as m0007 from './0007-app-role';
import * as m0008 from './0008-seen';
import * as m0009 from './0009-handed-over';
import * as m0010 from './0010-terms';
import * as m0011 from './0011-type-drafts';
import * as m0012 from './0012-type-versions';
import * as m0013 from './0013-loose-sheets';
import type { Migration } from './migration';

// A static list, no glob: it survives bundling, Jest and tsx alike.
const list: [string, { up: Migration; down: Migration }][] = [
  ['0001-ground', m0001],
  ['0002-link-locks', m0002],
  ['0003-drive-types', m0003],
  ['0004-write-runs', m0004],
  ['0005-log-integrity', m0005],
  ['0006-guards', m0006],
  ['0007-app-role', m0007],
  ['0008-seen', m0008],
  ['0009-handed-over', m0009],
  ['0010-terms', m0010],
  ['0011-type-drafts', m0011],
  ['0012-type-versions', m0012],
  ['0013-loose-sheets', m0013],
];

/** A step may rewrite a table of years: its statements take as long as they take. */
const patiently = (sequelize: Sequelize, step: (transaction: Transaction) => Promise<void>): Promise<void> =>
  sequelize.transaction(async (transaction) => {
    await sequelize.query('set local statement_timeout = 0; set local lock_timeout = 0', { transaction });
    await step(transaction);
  });

export const migrator = (sequelize: Sequelize): Umzug<QueryInterface> =>
  new Umzug<QueryInterface>({
    migrations: list.map(([name, step]): RunnableMigration<QueryInterface> => ({
      name,
      up: ({ context }) => patiently(sequelize, (transaction) => step.up(context, transaction)),
      down: ({ context }) => patiently(sequelize, (transaction) => step.down(context, transaction)),
    })),
    context: sequelize.getQueryInterface(),
    storage: new SequelizeStorage({ sequelize, modelName: 'schema_migrations' }),
    logger: undefined,
  });
