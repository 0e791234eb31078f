import { randomBytes } from 'node:crypto';
import pg from 'pg';
import { closeDb } from '../connection';
import { migrate } from '../maintenance';

/** A migrated database for one test file, gone when it ends: tests of two files never meet in a table. */
export function ownDatabase(): void {
  const given = process.env['DATABASE_URL'] ?? '';
  const name = `t${randomBytes(6).toString('hex')}`;
  const asOwner = async (sql: string): Promise<void> => {
    const client = new pg.Client({ connectionString: given });
    await client.connect();
    try {
      await client.query(sql);
    } finally {
      await client.end();
    }
  };
  beforeAll(async () => {
    await asOwner(`create database ${name}`);
    process.env['DATABASE_URL'] = given.replace(/\/[^/?]+(\?|$)/, `/${name}$1`);
    await migrate();
  });
  afterAll(async () => {
    await closeDb();
    process.env['DATABASE_URL'] = given;
    await asOwner(`drop database ${name} with (force)`);
  });
}
