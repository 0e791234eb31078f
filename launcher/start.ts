import { ensureBuilt } from './build';
import { finishSwap } from './backup';
import { backUpHourly } from './backup-schedule';
import { ensureDatabase, startCluster } from './cluster';
import { prepareDatabase } from './database';
import { portsAlongside, runAlongside } from './alongside';
import { anotherStart, claimPort, serve } from './serve';
import { say } from './terminal';

/** `./grim start [--dev]`: everything up, one line, until Ctrl-C. */
export async function startCommand(args: string[]): Promise<number> {
  const dev = args.includes('--dev');
  const port = Number(process.env['GRIM_PORT'] ?? 3000);
  await claimPort(port);
  const cluster = await startCluster('main');
  let interrupted = false;
  const wasInterrupted = () => interrupted;
  const interruption = new Promise<void>((resolve) => {
    for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP'] as const)
      process.on(signal, () => {
        interrupted = true;
        resolve();
      });
  });
  try {
    finishSwap(cluster);
    ensureDatabase(cluster, 'grim');
    const url = cluster.url('grim');
    await prepareDatabase(url, { demo: true });
    if (!dev) ensureBuilt();
    const alongside = await runAlongside(portsAlongside, url);
    for (const name of alongside.missing) say(`the ${name} does not run: another program has its port.`);
    try {
      const served = await serve(port, { DATABASE_URL: url, ...alongside.env }, { dev });
      const endBackups = backUpHourly(cluster);
      say(`serving on http://127.0.0.1:${port} (Ctrl-C stops everything)`);
      await Promise.race([interruption, served.ended]);
      endBackups();
      await served.stop();
    } finally {
      await alongside.stop();
    }
    if (!wasInterrupted()) say('the server ended by itself; run ./grim start again.');
    return wasInterrupted() ? 0 : 1;
  } finally {
    // Also one that an earlier start left behind when it was killed.
    if (!anotherStart()) cluster.stop();
  }
}
