import { spawn } from 'node:child_process';
import { randomBytes } from 'node:crypto';
import { createInterface } from 'node:readline';
import { root } from './paths';
import { keepRunning, type ProcessState, type Running } from './supervise';
import { LauncherError } from './terminal';

interface Ports {
  meter: readonly [lines: number, control: number];
  drive: readonly [bus: number, rig: number];
  link: readonly [number];
}

const portsFrom = (first: number): Ports => ({
  meter: [first, first + 1],
  drive: [first + 2, first + 3],
  link: [first + 4],
});

/** Where what runs beside the server listens. */
export const portsAlongside = portsFrom(4401);
/** Those of a test worker, beside them. */
export const portsOfWorker = (worker: number): Ports => portsFrom(4411 + 10 * worker);

/**
 * Starts a process of ours that ends with its pipe.
 * @throws LauncherError where it does not listen: something else has its ports
 */
async function run(
  script: string,
  ports: readonly number[],
  env: Record<string, string> = {},
): Promise<Running> {
  const child = spawn(process.execPath, ['--import', 'tsx', script, ...ports.map(String)], {
    cwd: root,
    stdio: ['pipe', 'pipe', 'inherit'],
    env: { ...process.env, ...env },
  });
  const ended = new Promise<void>((resolve) => child.once('exit', () => resolve()));
  const first = await new Promise<string>((resolve) => {
    createInterface({ input: child.stdout }).once('line', resolve);
    child.once('exit', () => resolve('it stopped at once'));
  });
  const stop = async () => {
    child.stdin.end();
    const patience = setTimeout(() => child.kill('SIGKILL'), 5000);
    await ended;
    clearTimeout(patience);
  };
  if (first.startsWith('listening')) return { ended, stop };
  await stop();
  throw new LauncherError(`${script} does not listen: ${first}.`);
}

export interface Alongside {
  /** What the server must know of them. */
  env: Record<string, string>;
  /** What could not start because something else has its port. */
  missing: string[];
  states: () => ProcessState[];
  stop: () => Promise<void>;
}

/**
 * The simulated meter and drive that ship, unless real ones are named or GRIM_SIMULATOR is off, and the link to drives; each started again when it dies:
 * what the link was at is in the database.
 * @param changed hears when one died or runs again
 */
export async function runAlongside(
  ports: Ports,
  databaseUrl: string,
  changed: () => void = () => undefined,
): Promise<Alongside> {
  // Other users of this machine reach the link's port, too.
  const secret = randomBytes(24).toString('hex');
  const realMeter = process.env['GRIM_METER'];
  const simulated = process.env['GRIM_SIMULATOR'] !== 'off';
  const wanted: [name: string, start: () => Promise<Running>][] = [
    [
      'link',
      () =>
        run('src/server/drive-link/process/main.ts', ports.link, {
          DATABASE_URL: databaseUrl,
          GRIM_LINK_SECRET: secret,
        }),
    ],
  ];
  if (simulated) wanted.push(['drive', () => run('stand-ins/drive/main.ts', ports.drive)]);
  if (simulated && realMeter === undefined)
    wanted.push(['meter', () => run('stand-ins/meter/main.ts', ports.meter)]);
  const missing: string[] = [];
  const started = await Promise.all(
    wanted.map(async ([name, start]) => {
      try {
        return [keepRunning(name, await start(), start, { changed })];
      } catch {
        missing.push(name);
        return [];
      }
    }),
  );
  const all = started.flat();
  return {
    missing,
    env: {
      GRIM_METER: realMeter ?? `127.0.0.1:${ports.meter[0]}`,
      GRIM_LINK: `127.0.0.1:${ports.link[0]}`,
      GRIM_LINK_SECRET: secret,
      ...(!simulated || missing.includes('drive')
        ? {}
        : { GRIM_RIG: `127.0.0.1:${ports.drive[1]}`, GRIM_RIG_DRIVE: `127.0.0.1:${ports.drive[0]}` }),
    },
    states: () => all.map((one) => one.state()),
    stop: async () => {
      await Promise.all(all.map((one) => one.stop()));
    },
  };
}
