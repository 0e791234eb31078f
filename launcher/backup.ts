import { closeSync, existsSync, fsyncSync, openSync, readSync, renameSync, rmSync, writeSync } from 'node:fs';
import { dirname } from 'node:path';
import type { Cluster } from './cluster';
import { prepareDatabase } from './database';
import { LauncherError, say } from './terminal';

const live = 'grim';
/** Where a backup is read into. What is in it is of nobody's use before it was checked. */
const beside = 'grim_beside';
/** A checked one that waits to become the live one. */
const proven = 'grim_proven';

const sql = (cluster: Cluster, text: string, database = 'postgres'): string =>
  cluster.run('psql', ['-XAtqc', text, database]).trim();
const isThere = (cluster: Cluster, database: string): boolean =>
  sql(cluster, `select count(*) from pg_database where datname = '${database}'`) === '1';
const drop = (cluster: Cluster, database: string): void => {
  cluster.run('dropdb', ['--if-exists', '--force', database]);
};

/** Ends all connections first, because a name cannot change under them; clients reconnect. */
function rename(cluster: Cluster, from: string, to: string): void {
  sql(cluster, `select pg_terminate_backend(pid) from pg_stat_activity where datname = '${from}'`);
  sql(cluster, `alter database ${from} rename to ${to}`);
}

function syncFolder(path: string): void {
  const folder = openSync(path, 'r');
  fsyncSync(folder);
  closeSync(folder);
}

/** Writes a file: it is there whole under its name, for its owner alone, or not at all. */
function writeWhole(file: string, write: (to: number) => void): void {
  const part = `${file}.part`;
  const to = openSync(part, 'w', 0o600);
  try {
    write(to);
    fsyncSync(to);
  } catch (error) {
    rmSync(part, { force: true });
    throw error;
  } finally {
    closeSync(to);
  }
  renameSync(part, file);
  syncFolder(dirname(file));
}

/** Writes a backup, whole or not at all. */
export const backupTo = (cluster: Cluster, file: string): void =>
  writeWhole(file, (to) => cluster.stream('pg_dump', ['-Fc', '--no-owner', live], { to }));

const pieceSize = 4 * 1024 * 1024;

/** Copies a backup, to another disk perhaps, whole or not at all. */
export const copyBackup = (file: string, elsewhere: string): void =>
  writeWhole(elsewhere, (to) => {
    const from = openSync(file, 'r');
    try {
      const piece = Buffer.alloc(pieceSize);
      for (let read = readSync(from, piece); read > 0; read = readSync(from, piece))
        writeSync(to, piece, 0, read);
    } finally {
      closeSync(from);
    }
  });

function isOurs(file: string): boolean {
  const bytes = Buffer.alloc(5);
  const from = openSync(file, 'r');
  readSync(from, bytes, 0, 5, 0);
  closeSync(from);
  return bytes.toString('latin1') === 'PGDMP';
}

/** What is wrong with a database that a backup was read into; none: it may become the live one. */
async function faultsOf(cluster: Cluster, database: string): Promise<string[]> {
  const trigger = sql(
    cluster,
    `select count(*) from pg_trigger where tgname = 'entries_append_only'`,
    database,
  );
  const reach = sql(
    cluster,
    `select has_table_privilege('grim_app', 'entries', 'insert') and not has_table_privilege('grim_app', 'entries', 'update')`,
    database,
  );
  const torn = sql(
    cluster,
    `select count(*) from blobs where encode(sha256(bytes), 'hex') <> sha256`,
    database,
  );
  process.env['DATABASE_URL'] = cluster.ownerUrl(database);
  const { checkChains, close } = await import('../src/server/database/maintenance');
  const { broken } = await checkChains();
  await close();
  return [
    ...(trigger === '1' ? [] : ['its log entries are not protected against changes']),
    ...(reach === 't' ? [] : ['the rights of the server role are wrong']),
    ...(torn === '0' ? [] : [`${torn} pictures or captures do not match their hash`]),
    ...broken.map(({ jobId, seq, why }) => `job ${jobId}, entry ${seq}: ${why}`),
  ];
}

/**
 * Reads a backup into a database beside the live one and looks whether all of it is there.
 * @returns what is wrong with what was read; none: it is as it was backed up
 * @throws LauncherError where it is no backup, or one that was cut off
 */
async function readBeside(cluster: Cluster, file: string): Promise<string[]> {
  if (!existsSync(file)) throw new LauncherError(`no such file: ${file}`);
  if (!isOurs(file)) throw new LauncherError(`${file} is not a backup made by ./grim db backup`);
  drop(cluster, beside);
  cluster.run('createdb', [beside]);
  const from = openSync(file, 'r');
  try {
    cluster.stream('pg_restore', ['--no-owner', '--single-transaction', '--exit-on-error', '-d', beside], {
      from,
    });
  } catch (error) {
    drop(cluster, beside);
    const why = error instanceof Error ? error.message : String(error);
    throw new LauncherError(`${file} cannot be read completely: ${why}. The database was not changed.`);
  } finally {
    closeSync(from);
  }
  await prepareDatabase(cluster.ownerUrl(beside), { demo: false });
  return faultsOf(cluster, beside);
}

const stamp = (): string => new Date().toISOString().replaceAll(/[-:.]/g, '').toLowerCase();

/** Takes the live database out of use; it is kept under another name. */
export function putAside(cluster: Cluster): void {
  if (isThere(cluster, live)) rename(cluster, live, `grim_before_${stamp()}`);
}

/** The checked one becomes the live one; what was live is kept under another name. A kill between any two steps is gone on with. */
export function finishSwap(cluster: Cluster): void {
  if (!isThere(cluster, proven)) return;
  putAside(cluster);
  rename(cluster, proven, live);
}

/**
 * Puts a backup in the place of the live database, which is kept.
 * @param asItIs also where some of it is not as it was kept
 * @throws LauncherError with what is wrong; the live database is as it was
 */
export async function restoreFrom(cluster: Cluster, file: string, asItIs = false): Promise<void> {
  const faults = await readBeside(cluster, file);
  faults.forEach((fault) => say(fault));
  if (faults.length > 0 && !asItIs) {
    drop(cluster, beside);
    throw new LauncherError(
      `${file} does not match what was recorded. The database was not changed. To restore it anyway: ./grim db restore ${file} --as-it-is`,
    );
  }
  process.env['DATABASE_URL'] = cluster.ownerUrl(beside);
  const { beginGeneration, close } = await import('../src/server/database/maintenance');
  await beginGeneration();
  await close();
  drop(cluster, proven);
  rename(cluster, beside, proven);
  finishSwap(cluster);
}

/** Reads a backup beside the live database, checks it and throws it away. @returns what is wrong with it */
export async function drill(cluster: Cluster, file: string): Promise<string[]> {
  try {
    return await readBeside(cluster, file);
  } finally {
    drop(cluster, beside);
  }
}
