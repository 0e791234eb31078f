/** Backups on a cluster of this test's own: cut off, tampered with, killed between two steps. */
import { spawnSync } from 'node:child_process';
import { randomBytes } from 'node:crypto';
import {
  chmodSync,
  existsSync,
  mkdtempSync,
  readFileSync,
  rmSync,
  statSync,
  truncateSync,
  writeFileSync,
} from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { backupTo, drill, finishSwap, putAside, restoreFrom } from './backup';
import { ensureDatabase, removeCluster, startCluster, type Cluster } from './cluster';
import { prepareDatabase } from './database';

const name = 'backup-test';
const cuts = process.env['GRIM_LONG'] === '1' ? 50 : 6;
const folder = mkdtempSync(join(tmpdir(), 'grim-backup-'));
const file = join(folder, 'kept.dump');
let cluster: Cluster;

const sql = (text: string, database = 'grim') => cluster.run('psql', ['-XAtqc', text, database]).trim();
const databases = () =>
  sql(`select datname from pg_database where datname like 'grim%' order by 1`, 'postgres').split('\n');
const entries = () =>
  sql('select count(*) || md5(string_agg(hash, chr(10) order by job_id, seq)) from entries');

beforeAll(async () => {
  removeCluster(name);
  cluster = await startCluster(name, { durable: false });
  ensureDatabase(cluster, 'grim');
  await prepareDatabase(cluster.ownerUrl('grim'), { demo: true });
  backupTo(cluster, file);
}, 120_000);
afterAll(() => {
  cluster.stop();
  removeCluster(name);
  rmSync(folder, { recursive: true });
});

it('a backup is for its owner alone, and can be restored', async () => {
  expect(statSync(file).mode & 0o777).toBe(0o600);
  expect(await drill(cluster, file)).toEqual([]);
  expect(databases()).toEqual(['grim']);
}, 60_000);

it('a backup that was cut off or is none costs nothing', async () => {
  const before = entries();
  const whole = readFileSync(file);
  const cut = join(folder, 'cut.dump');
  for (let i = 0; i < cuts; i += 1) {
    writeFileSync(cut, whole);
    truncateSync(cut, Math.floor(whole.length * (0.02 + ((0.97 * (i * 0.618)) % 0.97))));
    await expect(restoreFrom(cluster, cut)).rejects.toThrow('The database was not changed');
  }
  writeFileSync(cut, 'drop database grim;');
  await expect(restoreFrom(cluster, cut)).rejects.toThrow('not a backup');
  await expect(restoreFrom(cluster, join(folder, 'nowhere'))).rejects.toThrow('no such file');
  expect(entries()).toBe(before);
  expect(databases()).toEqual(['grim']);
}, 300_000);

it('a disk that fills up under a backup leaves nothing that looks like one', () => {
  const full = join(folder, 'full.dump');
  const script = `
    import { backupTo } from './launcher/backup.ts';
    import { startCluster } from './launcher/cluster.ts';
    backupTo(await startCluster('${name}', { durable: false }), '${full}');`;
  const node = [process.execPath, '--import', 'tsx', '--input-type=module', '-e', script];
  const options = { encoding: 'utf8' as const, env: { ...process.env, NODE_OPTIONS: '' } };
  // No file may grow beyond this, as on a disk that has no more room.
  const cramped = spawnSync('prlimit', ['--fsize=20000', '--', ...node], options);
  expect(cramped.stderr).toContain('pg_dump');
  expect(existsSync(full)).toBe(false);
  expect(existsSync(`${full}.part`)).toBe(false);
  expect(spawnSync(process.execPath, node.slice(1), options).stderr).toBe('');
  expect(statSync(full).size).toBeGreaterThan(20_000);
}, 120_000);

const long = process.env['GRIM_LONG'] === '1' ? it : it.skip;
long(
  'two gigabytes of photographs go out and come back, and are never held',
  async () => {
    // Each of ten megabytes that do not pack; their addresses are true. The database reads them itself.
    const noise = join(folder, 'noise');
    chmodSync(folder, 0o755);
    for (let n = 0; n < 210; n += 1) {
      writeFileSync(noise, randomBytes(10e6));
      sql(
        `insert into blobs select encode(sha256(b), 'hex'), 'image/jpeg', b from pg_read_binary_file('${noise}') b`,
      );
    }
    chmodSync(folder, 0o700);
    const great = join(folder, 'great.dump');
    const before = process.memoryUsage().rss;
    backupTo(cluster, great);
    expect(statSync(great).size).toBeGreaterThan(2e9);
    expect(await drill(cluster, great)).toEqual([]);
    expect(process.memoryUsage().rss - before).toBeLessThan(300e6);
    sql(`delete from blobs where length(bytes) > 5e6`);
  },
  1_800_000,
);

it('the one before a restore is kept, and what was restored refuses changes as before', async () => {
  const before = entries();
  sql(`insert into settings values ('later', '1')`);
  await restoreFrom(cluster, file);
  expect(entries()).toBe(before);
  expect(sql(`select count(*) from settings where key = 'later'`)).toBe('0');
  expect(() => sql(`update entries set kind = 'x'`)).toThrow('append-only');
  const old = databases().find((d) => d.startsWith('grim_before_')) ?? '';
  expect(sql(`select count(*) from settings where key = 'later'`, old)).toBe('1');
  cluster.run('dropdb', [old]);
}, 60_000);

it('a kill between two steps of the swap is gone on with at the next start', async () => {
  const before = entries();
  // Killed after the old one was put aside: no live database, a checked one.
  cluster.run('createdb', ['-T', 'grim', 'grim_proven']);
  putAside(cluster);
  finishSwap(cluster);
  expect(entries()).toBe(before);
  // Killed before that: both are there.
  cluster.run('createdb', ['-T', 'grim', 'grim_proven']);
  finishSwap(cluster);
  expect(entries()).toBe(before);
  finishSwap(cluster);
  expect(databases().filter((d) => !d.startsWith('grim_before_'))).toEqual(['grim']);
}, 60_000);

it('a backup of a log that somebody changed is refused, with the entry, and taken only as it is', async () => {
  const forged = join(folder, 'forged.dump');
  sql('alter table entries disable trigger entries_append_only');
  sql(
    `update entries set payload = '{"text":"forged","stage":"take","photos":[]}' where seq = 2 and job_id = (select min(job_id::text)::uuid from entries)`,
  );
  sql('alter table entries enable trigger entries_append_only');
  backupTo(cluster, forged);
  expect((await drill(cluster, forged)).join()).toMatch(/entry 2/);
  await expect(restoreFrom(cluster, forged)).rejects.toThrow('does not match what was recorded');
  await restoreFrom(cluster, file);
  await restoreFrom(cluster, forged, true);
  expect(sql(`select count(*) from entries where payload->>'text' = 'forged'`)).toBe('1');
}, 120_000);
