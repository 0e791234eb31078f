import { existsSync, readFileSync, writeFileSync } from 'node:fs';
import { resolve } from 'node:path';
import { ensureDatabase, startCluster, type Cluster } from './cluster';
import { prepareDatabase } from './database';
import { LauncherError, say } from './terminal';

const usage = 'usage: ./grim db reset | backup FILE | restore FILE | rebuild';

async function withCluster(work: (cluster: Cluster) => Promise<void>): Promise<void> {
  const cluster = await startCluster('main');
  try {
    await work(cluster);
  } finally {
    if (cluster.startedHere) cluster.stop();
  }
}

/** Drops the database although the app may hold connections to it; the app reconnects. */
function recreate(cluster: Cluster): void {
  cluster.run('dropdb', ['--if-exists', '--force', 'grim']);
  ensureDatabase(cluster, 'grim');
}

const commands: Record<string, (cluster: Cluster, file: string) => Promise<void>> = {
  reset: async (cluster) => {
    recreate(cluster);
    await prepareDatabase(cluster.url('grim'), { demo: true });
    say('the database is new, with the demo data');
  },
  backup: async (cluster, file) => {
    ensureDatabase(cluster, 'grim');
    writeFileSync(file, cluster.run('pg_dump', ['--no-owner', 'grim']));
    say(`kept in ${file}`);
  },
  restore: async (cluster, file) => {
    if (!existsSync(file)) throw new LauncherError(`there is no file ${file}`);
    const dump = readFileSync(file, 'utf8');
    if (!dump.includes('PostgreSQL database dump'))
      throw new LauncherError(`${file} is no backup of ./grim db backup`);
    // Into a database beside the live one first: a broken file must not cost what is there.
    cluster.run('dropdb', ['--if-exists', '--force', 'grim_restored']);
    cluster.run('createdb', ['grim_restored']);
    cluster.run('psql', ['-q', '-v', 'ON_ERROR_STOP=1', '--single-transaction', '-d', 'grim_restored'], dump);
    cluster.run('dropdb', ['--if-exists', '--force', 'grim']);
    cluster.run('psql', ['-qc', 'alter database grim_restored rename to grim', 'postgres']);
    await prepareDatabase(cluster.url('grim'), { demo: false });
    say(`restored from ${file}`);
  },
  rebuild: async (cluster) => {
    ensureDatabase(cluster, 'grim');
    process.env['DATABASE_URL'] = cluster.url('grim');
    const { migrate, rebuildSummaries, close } = await import('../src/server/database/maintenance');
    await migrate();
    const jobs = await rebuildSummaries();
    await close();
    say(`${jobs} summaries written anew`);
  },
};

/** `./grim db …` */
export async function dbCommand(args: string[]): Promise<number> {
  const [command = '', path] = args;
  const run = commands[command];
  const needsFile = command === 'backup' || command === 'restore';
  if (run === undefined || (needsFile && path === undefined)) {
    say(usage);
    return 2;
  }
  await withCluster((cluster) => run(cluster, resolve(path ?? '')));
  return 0;
}
