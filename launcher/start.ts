import { writeFileSync } from 'node:fs';
import { ensureBuilt } from './build';
import { finishSwap } from './backup';
import { backUpHourly, backupFolder } from './backup-schedule';
import { ensureDatabase, startCluster } from './cluster';
import { prepareDatabase } from './database';
import { portsAlongside, runAlongside } from './alongside';
import { inRoot } from './paths';
import { keepInUse } from './run-bundle';
import { anotherStart, claimPort, serve } from './serve';
import { serverBundles } from './server-bundles';
import { keepRunning, type ProcessState, type Supervised } from './supervise';
import { say } from './terminal';

/** Resolves when a person or the system asks us to end. */
const interruption = (): Promise<void> =>
  new Promise((resolve) => {
    for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP'] as const) process.on(signal, () => resolve());
  });

/** `./grim start [--dev]`: everything up, one line, and kept up until Ctrl-C. */
export async function startCommand(args: string[]): Promise<number> {
  const dev = args.includes('--dev');
  const port = Number(process.env['GRIM_PORT'] ?? 3000);
  await claimPort(port);
  const cluster = await startCluster('main');
  const interrupted = interruption();
  try {
    finishSwap(cluster);
    ensureDatabase(cluster, 'grim');
    const url = cluster.appUrl('grim');
    await prepareDatabase(cluster.ownerUrl('grim'), { demo: true });
    if (!dev) ensureBuilt();

    // The health page reads this file: it tells of processes that the server itself cannot see.
    const stateFile = inRoot('.data', `processes-${port}.json`);
    let states: () => ProcessState[] = () => [];
    const changed = () => writeFileSync(stateFile, JSON.stringify(states()));
    const alongside = await runAlongside(portsAlongside, url, changed);
    for (const name of alongside.missing) say(`the ${name} does not run: another program has its port.`);
    const startDatabase = async () => (await startCluster('main', { port: cluster.port })).watch();
    const bundles = serverBundles();
    const startServer = (signal?: AbortSignal) =>
      serve(
        port,
        { DATABASE_URL: url, GRIM_PROCESSES: stateFile, GRIM_BACKUP_FOLDER: backupFolder, ...alongside.env },
        { dev, signal, bundles },
      );
    const kept: Supervised[] = [];
    try {
      kept.push(keepRunning('database', cluster.watch(), startDatabase, { changed }));
      kept.push(keepRunning('server', await startServer(), startServer, { changed }));
      states = () => [...kept.map((one) => one.state()), ...alongside.states()];
      changed();
      const endBackups = backUpHourly();
      const letGo = keepInUse([
        bundles.front,
        bundles.pages,
        bundles.thread,
        process.env['GRIM_CALC_BUNDLE'] ?? '',
      ]);
      say(`serving on http://127.0.0.1:${port} (Ctrl-C stops everything)`);
      await interrupted;
      endBackups();
      letGo();
    } finally {
      for (const one of kept.reverse()) await one.stop();
      await alongside.stop();
    }
    return 0;
  } finally {
    // Also one that an earlier start left behind when it was killed.
    if (!anotherStart()) cluster.stop();
  }
}
