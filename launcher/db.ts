import { existsSync, readFileSync, writeFileSync } from 'node:fs';
import { resolve } from 'node:path';
import { ensureDatabase, startCluster, type Cluster } from './cluster';
import { prepareDatabase } from './database';
import { LauncherError, say } from './terminal';

const usage = 'usage: ./grim db reset | backup FILE | restore FILE | rebuild | check';

async function withCluster<T>(work: (cluster: Cluster) => Promise<T>): Promise<T> {
  const cluster = await startCluster('main');
  try {
    return await work(cluster);
  } finally {
    if (cluster.startedHere) cluster.stop();
  }
}

/** Drops the database although the app may hold connections to it; the app reconnects. */
function recreate(cluster: Cluster): void {
  cluster.run('dropdb', ['--if-exists', '--force', 'grim']);
  ensureDatabase(cluster, 'grim');
}

const commands: Record<string, (cluster: Cluster, file: string) => Promise<number | void>> = {
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
  check: async (cluster) => {
    ensureDatabase(cluster, 'grim');
    process.env['DATABASE_URL'] = cluster.url('grim');
    const { migrate, checkChains, close } = await import('../src/server/database/maintenance');
    await migrate();
    const { jobs, entries, broken } = await checkChains();
    await close();
    broken.forEach(({ jobId, seq, why }) => say(`job ${jobId}, entry ${seq}: ${why}`));
    say(
      broken.length === 0
        ? `${entries} entries of ${jobs} jobs are as they were recorded`
        : `${broken.length} of ${jobs} logs are not as they were recorded`,
    );
    return broken.length === 0 ? 0 : 1;
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
  return (await withCluster((cluster) => run(cluster, resolve(path ?? '')))) ?? 0;
}
