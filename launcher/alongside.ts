import { spawn } from 'node:child_process';
import { randomBytes } from 'node:crypto';
import { createInterface } from 'node:readline';
import { root } from './paths';
import { say } from './terminal';

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

interface Running {
  stop: () => Promise<void>;
}

const again_ms = 500;

/**
 * Starts a process of ours that ends with its pipe; null where something else has its ports.
 * @param again it is started anew when it dies: what it was at is in the database
 */
async function run(
  script: string,
  ports: readonly number[],
  env: Record<string, string> = {},
  again = false,
): Promise<Running | null> {
  const child = spawn(process.execPath, ['--import', 'tsx', script, ...ports.map(String)], {
    cwd: root,
    stdio: ['pipe', 'pipe', 'inherit'],
    env: { ...process.env, ...env },
  });
  const first = await new Promise<string>((resolve) => {
    createInterface({ input: child.stdout }).once('line', resolve);
    child.once('exit', () => resolve('gone'));
  });
  const ended = new Promise<void>((resolve) => child.once('exit', () => resolve()));
  let wanted = true;
  const stillWanted = () => wanted;
  let next: Promise<Running | null> | null = null;
  if (again && first.startsWith('listening'))
    void ended.then(async () => {
      if (!stillWanted()) return;
      say(`${script} died; it is started again`);
      await new Promise((resolve) => setTimeout(resolve, again_ms));
      if (stillWanted()) next = run(script, ports, env, again);
    });
  const stop = async () => {
    wanted = false;
    await (await next)?.stop();
    child.stdin.end();
    const patience = setTimeout(() => child.kill('SIGKILL'), 5000);
    await ended;
    clearTimeout(patience);
  };
  return first.startsWith('listening') ? { stop } : null;
}

export interface Alongside {
  /** What the server must know of them. */
  env: Record<string, string>;
  /** What could not start because something else has its port. */
  missing: string[];
  stop: () => Promise<void>;
}

/** The simulated meter and drive that ship, unless real ones are named, and the link to drives. */
export async function runAlongside(ports: Ports, databaseUrl: string): Promise<Alongside> {
  // Other users of this machine reach the link's port, too.
  const secret = randomBytes(24).toString('hex');
  const [meter, drive, link] = await Promise.all([
    process.env['GRIM_METER'] === undefined ? run('stand-ins/meter/main.ts', ports.meter) : null,
    run('stand-ins/drive/main.ts', ports.drive),
    run(
      'src/server/drive-link/process/main.ts',
      ports.link,
      { DATABASE_URL: databaseUrl, GRIM_LINK_SECRET: secret },
      true,
    ),
  ]);
  const started = { meter, drive, link };
  return {
    missing: Object.entries(started).flatMap(([name, one]) =>
      one === null && !(name === 'meter' && process.env['GRIM_METER'] !== undefined) ? [name] : [],
    ),
    env: {
      GRIM_METER: process.env['GRIM_METER'] ?? `127.0.0.1:${ports.meter[0]}`,
      GRIM_LINK: `127.0.0.1:${ports.link[0]}`,
      GRIM_LINK_SECRET: secret,
      ...(drive === null
        ? {}
        : { GRIM_RIG: `127.0.0.1:${ports.drive[1]}`, GRIM_RIG_DRIVE: `127.0.0.1:${ports.drive[0]}` }),
    },
    stop: async () => {
      await Promise.all(Object.values(started).map(async (one) => one?.stop()));
    },
  };
}
