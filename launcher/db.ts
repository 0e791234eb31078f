import { resolve } from 'node:path';
import { createInterface } from 'node:readline/promises';
import { backupTo, drill, finishSwap, putAside, restoreFrom } from './backup';
import { backUpNow } from './backup-schedule';
import { ensureDatabase, startCluster, type Cluster } from './cluster';
import { prepareDatabase } from './database';
import { say } from './terminal';

const usage =
  'usage: ./grim db reset [--yes] | backup FILE | restore FILE [--as-it-is] | drill FILE | rebuild | check';

async function withCluster<T>(work: (cluster: Cluster) => Promise<T>): Promise<T> {
  const cluster = await startCluster('main');
  try {
    finishSwap(cluster);
    return await work(cluster);
  } finally {
    if (cluster.startedHere) cluster.stop();
  }
}

/** Whoever asks for a new database at a terminal is asked whether the old one may go out of use. */
async function isMeant(options: readonly string[]): Promise<boolean> {
  if (options.includes('--yes')) return true;
  if (!process.stdin.isTTY) {
    say('this replaces the database: use --yes');
    return false;
  }
  const asked = createInterface({ input: process.stdin, output: process.stderr });
  const said = await asked.question('All jobs are replaced with the demo data. Continue? [yes/no] ');
  asked.close();
  return said.trim().toLowerCase() === 'yes';
}

type Command = (
  cluster: Cluster,
  file: string,
  options: readonly string[],
) => Promise<number | void> | number | void;

const commands: Record<string, Command> = {
  reset: async (cluster, _, options) => {
    if (!(await isMeant(options))) return 2;
    putAside(cluster);
    ensureDatabase(cluster, 'grim');
    await prepareDatabase(cluster.ownerUrl('grim'), { demo: true });
    say('new database with the demo data; the previous one is stored beside it');
    return 0;
  },
  backup: (cluster, file) => {
    backupTo(cluster, file);
    say(`saved to ${file}`);
  },
  // What the supervisor asks for.
  hourly: async (cluster) => {
    const faults = await backUpNow(cluster);
    faults.forEach((fault) => say(`the newest backup failed its test restore: ${fault}`));
    return faults.length === 0 ? 0 : 1;
  },
  restore: async (cluster, file, options) => {
    await restoreFrom(cluster, file, options.includes('--as-it-is'));
    say(`restored from ${file}; the previous database is stored beside it`);
  },
  drill: async (cluster, file) => {
    const faults = await drill(cluster, file);
    faults.forEach((fault) => say(fault));
    say(
      faults.length === 0 ? `${file} can be restored completely` : `${file} does not match what was recorded`,
    );
    return faults.length === 0 ? 0 : 1;
  },
  rebuild: async (cluster) => {
    ensureDatabase(cluster, 'grim');
    process.env['DATABASE_URL'] = cluster.ownerUrl('grim');
    const { migrate, rebuildSummaries, close } = await import('../src/server/database/maintenance');
    await migrate();
    const jobs = await rebuildSummaries();
    await close();
    say(`${jobs} summaries rebuilt`);
  },
  check: async (cluster) => {
    ensureDatabase(cluster, 'grim');
    process.env['DATABASE_URL'] = cluster.ownerUrl('grim');
    const { migrate, checkChains, close } = await import('../src/server/database/maintenance');
    await migrate();
    const { jobs, entries, broken } = await checkChains();
    await close();
    broken.forEach(({ jobId, seq, why }) => say(`job ${jobId}, entry ${seq}: ${why}`));
    say(
      broken.length === 0
        ? `${entries} entries of ${jobs} jobs match what was recorded`
        : `${broken.length} of ${jobs} logs do not match what was recorded`,
    );
    return broken.length === 0 ? 0 : 1;
  },
};

/** `./grim db …` */
export async function dbCommand(args: string[]): Promise<number> {
  const [command = '', ...rest] = args;
  const [path] = rest.filter((word) => !word.startsWith('--'));
  const options = rest.filter((word) => word.startsWith('--'));
  const run = commands[command];
  const needsFile = ['backup', 'restore', 'drill'].includes(command);
  if (run === undefined || (needsFile && path === undefined)) {
    say(usage);
    return 2;
  }
  return (await withCluster(async (cluster) => run(cluster, resolve(path ?? ''), options))) ?? 0;
}
