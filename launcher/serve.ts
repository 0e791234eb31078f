import { spawn, type ChildProcess } from 'node:child_process';
import { existsSync, mkdirSync, readFileSync, readdirSync, rmSync, writeFileSync } from 'node:fs';
import { createServer } from 'node:net';
import { setTimeout as sleep } from 'node:timers/promises';
import { inRoot, root } from './paths';
import { envOf, serverBundles, type ServerBundles } from './server-bundles';
import { LauncherError } from './terminal';
import * as z from 'zod';

export interface Served {
  child: ChildProcess;
  /** Resolves when the server has ended, by whatever cause. */
  ended: Promise<void>;
  stop: () => Promise<void>;
}

/** Who serves on a port: process ids. */
const runFileSchema = z.object({ launcher: z.number(), server: z.number() });

const runFile = (port: number): string => inRoot('.data', `serve-${port}.json`);

const taken = (port: number): Promise<boolean> =>
  new Promise((resolve) => {
    const probe = createServer();
    probe.once('error', () => resolve(true));
    probe.listen(port, '127.0.0.1', () => probe.close(() => resolve(false)));
  });

const commandOf = (pid: number): string => {
  try {
    return readFileSync(`/proc/${pid}/cmdline`, 'utf8');
  } catch {
    return '';
  }
};

/** Is another `./grim start` of this project at work, on another port? */
export function anotherStart(): boolean {
  const files = readdirSync(inRoot('.data')).filter((f) => /^serve-\d+\.json$/.test(f));
  return files.some((f) => {
    const { launcher } = runFileSchema.parse(JSON.parse(readFileSync(inRoot('.data', f), 'utf8')));
    return launcher !== process.pid && commandOf(launcher).includes('launcher/main.ts\0start');
  });
}

/** Signals a server and all that it started; it leads a process group of its own. */
function endGroup(pid: number | undefined, signal: NodeJS.Signals): void {
  try {
    if (pid !== undefined) process.kill(-pid, signal);
  } catch {
    // It has ended meanwhile.
  }
}

/** Ends a server of ours whose launcher died without taking it along. */
async function clearOrphan(port: number): Promise<void> {
  const file = runFile(port);
  if (!existsSync(file)) return;
  const { launcher, server } = runFileSchema.parse(JSON.parse(readFileSync(file, 'utf8')));
  const launcherLives = commandOf(launcher).includes('launcher/main.ts');
  if (!launcherLives && /next|front-[0-9a-f]+\.mjs/.test(commandOf(server))) {
    endGroup(server, 'SIGTERM');
    for (let i = 0; i < 40 && commandOf(server) !== ''; i += 1) await sleep(100);
  }
  if (!launcherLives) rmSync(file, { force: true });
}

/** Makes sure that we can serve on a port; before anything is built or started. */
export async function claimPort(port: number): Promise<void> {
  mkdirSync(inRoot('.data'), { recursive: true });
  await clearOrphan(port);
  if (await taken(port))
    throw new LauncherError(
      `port ${port} is taken by another program (or by another Grim Spanner). Stop that, or use another port: GRIM_PORT=${port + 1} ./grim start`,
    );
}

/**
 * Serves the built app (or the sources, with `dev`) on loopback and waits until it answers.
 * @param env what the server needs to know, e.g. DATABASE_URL
 */
export async function serve(
  port: number,
  env: Record<string, string>,
  {
    dev = false,
    signal,
    bundles = serverBundles(),
  }: { dev?: boolean; signal?: AbortSignal | undefined; bundles?: ServerBundles } = {},
): Promise<Served> {
  await claimPort(port);
  const child = spawn(process.execPath, [bundles.front, String(port), ...(dev ? ['dev'] : [])], {
    cwd: root,
    // A group of its own: Ctrl-C reaches the launcher alone, which then ends things in order.
    detached: true,
    stdio: ['ignore', dev ? 'inherit' : 'ignore', 'inherit'],
    env: {
      ...process.env,
      ...env,
      ...envOf(bundles),
      NEXT_TELEMETRY_DISABLED: '1',
      NODE_ENV: dev ? 'development' : 'production',
    },
  });
  const ended = new Promise<void>((resolve) => child.once('exit', () => resolve()));
  let gone = false;
  const isGone = () => gone;
  void ended.then(() => {
    gone = true;
    rmSync(runFile(port), { force: true });
  });
  writeFileSync(runFile(port), JSON.stringify({ launcher: process.pid, server: child.pid }));
  const stop = async () => {
    if (isGone()) return;
    endGroup(child.pid, 'SIGTERM');
    await Promise.race([ended, sleep(5_000).then(() => endGroup(child.pid, 'SIGKILL'))]);
  };
  for (let i = 0; i < 600 && !isGone() && signal?.aborted !== true; i += 1) {
    try {
      const answer = await fetch(`http://127.0.0.1:${port}/api/v1/health`);
      if (answer.ok) return { child, ended, stop };
      if (i > 100) throw new LauncherError(`the server answers ${answer.status}: ${await answer.text()}`);
    } catch (error) {
      if (error instanceof LauncherError) {
        await stop();
        throw error;
      }
    }
    await sleep(100);
  }
  await stop();
  throw new LauncherError('the server did not come up: see the lines above.');
}
