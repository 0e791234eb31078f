import { Sequelize } from 'sequelize';
import { initModels, type Models } from './models';

export interface Db {
  sequelize: Sequelize;
  models: Models;
}

// The pool is one per process. The model classes are one per module instance: Next evaluates this
// module once for pages and once more for route handlers, and a class shared across would fail.
/** What a process has one of. */
export const connectionSlot = globalThis as typeof globalThis & {
  grimPool?: Sequelize;
  /** See `generation`. */
  grimGeneration?: Promise<string>;
};

const pool = (): Sequelize => {
  const url = process.env['DATABASE_URL'];
  if (!url) throw new Error('DATABASE_URL is not set: start the app with ./grim start');
  return (connectionSlot.grimPool ??= new Sequelize(url, {
    dialect: 'postgres',
    logging: false,
    hooks: {
      afterConnect: () => {
        delete connectionSlot.grimGeneration;
      },
    },
    // A connection costs more than what most requests ask of it: those of a busy minute stay for the next.
    pool: { max: 10, min: 0, idle: 60_000, acquire: 10_000 },
    // Whoever holds a job's row and does not come back must not stop everybody.
    dialectOptions: {
      statement_timeout: 30_000,
      lock_timeout: 10_000,
      idle_in_transaction_session_timeout: 120_000,
    },
  }));
};

let mine: Db | undefined;

/** The database, opened on first use. */
export const db = (): Db => (mine ??= { sequelize: pool(), models: initModels(pool()) });

/** Closes the pool; the next `db()` opens a new one. */
export async function closeDb(): Promise<void> {
  mine = undefined;
  await connectionSlot.grimPool?.close();
  delete connectionSlot.grimPool;
  delete connectionSlot.grimGeneration;
}
