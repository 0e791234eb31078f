/** How the server says it is, against the test cluster (DATABASE_URL). */
import { mkdtempSync, rmSync, utimesSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { HealthPart } from '../../api/health';
import { closeDb } from '../database/connection';
import { ownDatabase } from '../database/__tests__/own-database';
import { health } from './health';

ownDatabase();

const dir = mkdtempSync(join(tmpdir(), 'grim-health-'));
const processes = join(dir, 'processes.json');
beforeAll(() => {
  process.env['GRIM_BACKUP_FOLDER'] = dir;
  process.env['GRIM_PROCESSES'] = processes;
  process.env['GRIM_LINK'] = '127.0.0.1:9';
});
afterAll(() => {
  for (const name of ['GRIM_BACKUP_FOLDER', 'GRIM_PROCESSES', 'GRIM_LINK']) delete process.env[name];
  rmSync(dir, { recursive: true });
});

const partOf = async (id: HealthPart['id']): Promise<HealthPart> => {
  const part = (await health()).parts.find((p) => p.id === id);
  if (part === undefined) throw new Error(`no part ${id}`);
  return part;
};
const hoursAgo = (name: string, hours: number) => {
  writeFileSync(join(dir, name), '');
  const then = new Date(Date.now() - hours * 3_600_000);
  utimesSync(join(dir, name), then, then);
};

it('with its database it is well, with the newest migration named', async () => {
  const now = await health();
  expect(now.ok).toBe(true);
  expect((await partOf('database')).facts.join()).toMatch(/Schema \d{4}-/);
});

it('without a link it says so', async () => {
  expect((await partOf('link')).state).toBe('failed');
});

it('backups want to be fresh and proven', async () => {
  expect(await partOf('backup')).toMatchObject({ state: 'watch' });
  hoursAgo('grim-2026-11-30T09.dump', 0.5);
  hoursAgo('proven', 24);
  expect(await partOf('backup')).toMatchObject({ state: 'ok', advice: null });
  hoursAgo('proven', 24 * 9);
  expect(await partOf('backup')).toMatchObject({ state: 'watch' });
  hoursAgo('proven', 24);
  hoursAgo('grim-2026-11-30T09.dump', 5);
  expect(await partOf('backup')).toMatchObject({ state: 'watch' });
});

it('a process that is being started again is shown, with the reason', async () => {
  const one = { name: 'link', deaths: 2, since: '2026-11-30T10:00:00Z', why: 'its port is taken' };
  writeFileSync(processes, JSON.stringify([{ ...one, state: 'restarting' }]));
  expect(await partOf('processes')).toMatchObject({
    state: 'watch',
    facts: ['link: restarting, stopped unexpectedly 2 times, its port is taken'],
  });
});

it('without its database it answers all the same', async () => {
  const given = process.env['DATABASE_URL'];
  await closeDb();
  process.env['DATABASE_URL'] = 'postgres://nobody:x@127.0.0.1:9/none';
  const now = await health();
  await closeDb();
  process.env['DATABASE_URL'] = given;
  expect(now.ok).toBe(false);
  expect(now.parts.find((p) => p.id === 'database')).toMatchObject({ state: 'failed' });
});
