import type { QueryInterface, Transaction } from 'sequelize';

/** One step of the schema; the caller wraps it in a transaction. */
export type Migration = (qi: QueryInterface, transaction: Transaction) => Promise<void>;
