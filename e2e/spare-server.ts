/** A server of a test's own, to be killed. */
import { spawn, type ChildProcess } from 'node:child_process';
import { setTimeout as sleep } from 'node:timers/promises';
import { envOf, serverBundles } from '../launcher/server-bundles';
import { own } from './here';

/** Where it listens. */
export const sparePort = own.sparePort;
const port = sparePort;
/** Where it answers. */
export const spare = `http://127.0.0.1:${port}`;

/** With all that it started. */
export const kill = (server: ChildProcess): void => {
  if (server.pid !== undefined) process.kill(-server.pid, 'SIGKILL');
};

/** Starts it, and waits until it answers. @param databaseUrl of this worker's, or of a database of the test's own; `more` of what it must know */
export async function startServer(
  databaseUrl = own.databaseUrl,
  more: Record<string, string> = {},
): Promise<ChildProcess> {
  const bundles = serverBundles();
  const child = spawn(process.execPath, [bundles.front, String(port)], {
    stdio: 'ignore',
    detached: true,
    env: { ...process.env, NODE_ENV: 'production', DATABASE_URL: databaseUrl, ...envOf(bundles), ...more },
  });
  for (let i = 0; i < 400; i += 1) {
    const up = await fetch(`${spare}/api/v1/health`).then(
      (r) => r.ok,
      () => false,
    );
    if (up) return child;
    await sleep(100);
  }
  kill(child);
  throw new Error('the test’s own server did not come up');
}
