/** What the role that serves may do, against the test cluster (DATABASE_URL). */
import { QueryTypes } from 'sequelize';
import { ownDatabase } from './__tests__/own-database';
import { db } from './connection';
import { loadDemo } from './maintenance';

ownDatabase();
beforeAll(loadDemo);

const asApp = (statement: string): Promise<unknown> =>
  db().sequelize.transaction(async (transaction) => {
    await db().sequelize.query('set local role grim_app', { transaction });
    return db().sequelize.query(statement, { transaction });
  });

it('is a role without powers', async () => {
  const [role] = await db().sequelize.query<Record<string, boolean>>(
    `select rolsuper, rolcreatedb, rolcreaterole, rolbypassrls from pg_roles where rolname = 'grim_app'`,
    { type: QueryTypes.SELECT },
  );
  expect(Object.values(role ?? {})).toEqual([false, false, false, false]);
});

it.each([
  `update entries set kind = 'note'`,
  'delete from entries',
  'truncate entries cascade',
  'alter table entries disable trigger all',
  `set session_replication_role = 'replica'`,
  'drop table daily_heads',
  'update daily_heads set entries = 0',
  'delete from blobs',
  'delete from jobs',
  'create table mine (a int)',
  'create or replace function refuse_change() returns trigger language plpgsql as $$ begin return null; end $$',
  `copy people to program 'cat'`,
])('is refused: %s', async (statement) => {
  await expect(asApp(statement)).rejects.toThrow(/permission denied|must be owner|must be superuser/);
});

it('reads and adds', async () => {
  await expect(asApp('select count(*) from entries')).resolves.toBeDefined();
  await expect(asApp(`insert into settings (key, value) values ('x', '1')`)).resolves.toBeDefined();
});
