import { spawn } from 'node:child_process';
import { existsSync, mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import * as z from 'zod';
import { ensureBuilt } from './build';
import { chromiumNeed } from './chromium';
import { ensureDatabase, removeCluster, startCluster, type Cluster } from './cluster';
import { prepareDatabase } from './database';
import { ensureDebian, onPath } from './debian';
import { portsOfWorker, runAlongside } from './alongside';
import { bin, inRoot, root } from './paths';
import { serve } from './serve';
import { threadBundle } from './server-bundles';
import { plainWords, say, LauncherError } from './terminal';

interface Tally {
  passed: number;
  failed: number;
}

const results = inRoot('test-results');
const e2ePort = 3199;

/** Runs a program to its end. @param quiet its output is shown as a whole at the end, so that lanes do not mix */
function run(
  program: string,
  args: readonly string[],
  env: Record<string, string> = {},
  quiet = false,
): Promise<boolean> {
  return new Promise((resolve) => {
    const child = spawn(program, args, {
      cwd: root,
      stdio: ['ignore', quiet ? 'pipe' : 'inherit', quiet ? 'pipe' : 'inherit'],
      env: { ...process.env, NEXT_TELEMETRY_DISABLED: '1', ...env },
    });
    const said: Buffer[] = [];
    child.stdout?.on('data', (chunk: Buffer) => said.push(chunk));
    child.stderr?.on('data', (chunk: Buffer) => said.push(chunk));
    child.once('error', (error) => {
      say(`${program}: ${error.message}`);
      resolve(false);
    });
    child.once('close', (code) => {
      process.stdout.write(Buffer.concat(said));
      resolve(code === 0);
    });
  });
}

/** A step that either holds or does not. */
const step = (name: string, holds: () => Promise<boolean>) => async (): Promise<Tally> => {
  say(`test: ${name}`);
  return (await holds()) ? { passed: 1, failed: 0 } : { passed: 0, failed: 1 };
};

const jestSummary = z.object({
  numPassedTests: z.number(),
  numFailedTests: z.number(),
  numRuntimeErrorTestSuites: z.number(),
});
const playwrightSummary = z.object({
  stats: z.object({ expected: z.number(), unexpected: z.number(), flaky: z.number() }),
});

function jestTally(file: string): Tally {
  if (!existsSync(file)) return { passed: 0, failed: 1 };
  const r = jestSummary.parse(JSON.parse(readFileSync(file, 'utf8')));
  return { passed: r.numPassedTests, failed: r.numFailedTests + r.numRuntimeErrorTestSuites };
}

/** A runner that failed without a failed test did not run them all. */
const withTrouble = ({ passed, failed }: Tally, ran: boolean): Tally => ({
  passed,
  failed: ran || failed > 0 ? failed : 1,
});

const jest =
  (name: string, folders: readonly string[], long: boolean) =>
  async (cluster: Cluster): Promise<Tally> => {
    say(`test: ${name}`);
    const file = `${results}/${name}.json`;
    rmSync(file, { force: true });
    const env: Record<string, string> = {
      DATABASE_URL: cluster.ownerUrl('unit'),
      GRIM_THREAD_BUNDLE: threadBundle(),
      GRIM_LONG: long ? '1' : '',
      NODE_OPTIONS: '--experimental-vm-modules --no-warnings',
    };
    const ran = await run(
      bin('jest'),
      [...folders, '--json', `--outputFile=${file}`, '--silent=false', '--passWithNoTests=false'],
      env,
      true,
    );
    return withTrouble(jestTally(file), ran);
  };

function playwrightTally(file: string): Tally {
  if (!existsSync(file)) return { passed: 0, failed: 1 };
  const { stats } = playwrightSummary.parse(JSON.parse(readFileSync(file, 'utf8')));
  if (stats.flaky > 0) say(`test: ${stats.flaky} passed only when run again: see "flaky" above`);
  return { passed: stats.expected + stats.flaky, failed: stats.unexpected };
}

/** Two browsers at a time: more do not go faster on two cores. */
const workers = 2;

interface TestServer {
  /** What the tests of this worker must know (e2e/here.ts). */
  told: Record<string, unknown>;
  stop: () => Promise<void>;
}

/** A server with a database, a clock and simulated devices of its own. */
async function testServer(cluster: Cluster, worker: number): Promise<TestServer> {
  const url = cluster.appUrl(`e2e${worker}`);
  const clockFile = `${results}/clock-${worker}`;
  writeFileSync(clockFile, '0');
  const alongside = await runAlongside(portsOfWorker(worker), url);
  try {
    if (alongside.missing.length > 0)
      throw new LauncherError(`the ports of ${alongside.missing.join(', ')} are taken by another program`);
    const port = e2ePort + 2 * worker;
    const served = await serve(port, { DATABASE_URL: url, GRIM_CLOCK_FILE: clockFile, ...alongside.env });
    return {
      told: {
        port,
        sparePort: port + 1,
        meterControl: portsOfWorker(worker).meter[1],
        rig: alongside.env['GRIM_RIG'],
        link: alongside.env['GRIM_LINK'],
        databaseUrl: cluster.ownerUrl(`e2e${worker}`),
        clockFile,
      },
      stop: async () => {
        await served.stop();
        await alongside.stop();
      },
    };
  } catch (error) {
    await alongside.stop();
    throw error;
  }
}

/** The production build, a database with the demo for each worker, Debian's Chromium. */
const e2e =
  (chosen: readonly string[], long: boolean) =>
  async (cluster: Cluster): Promise<Tally> => {
    say('test: e2e');
    ensureBuilt();
    const names = Array.from({ length: workers }, (_, worker) => `e2e${worker}`);
    for (const name of names) {
      cluster.run('dropdb', ['--if-exists', '--force', name]);
      ensureDatabase(cluster, name);
      await prepareDatabase(cluster.ownerUrl(name), { demo: true });
    }
    const file = `${results}/e2e.json`;
    rmSync(file, { force: true });
    const servers: TestServer[] = [];
    let ran = false;
    try {
      for (const worker of names.keys()) servers.push(await testServer(cluster, worker));
      const env = {
        E2E_SERVERS: JSON.stringify(servers.map((s) => s.told)),
        PLAYWRIGHT_JSON_OUTPUT_NAME: file,
        GRIM_LONG: long ? '1' : '',
      };
      ran = await run(
        bin('playwright'),
        ['test', '--reporter=list,json', `--workers=${workers}`, ...chosen],
        env,
      );
    } finally {
      for (const server of servers) await server.stop();
    }
    return withTrouble(playwrightTally(file), ran);
  };

const parts = ['unit', 'checks', 'e2e'] as const;
type Part = (typeof parts)[number];

/** `./grim test [unit|checks|e2e [what to run of it…]] [--long]`; what to run is a path, or what Jest or Playwright take. */
export async function runTests(args: string[]): Promise<number> {
  const long = args.includes('--long');
  const [first, ...chosen] = args.filter((a) => a !== '--long');
  const only = parts.find((part) => part === first);
  if (first !== undefined && only === undefined)
    throw new LauncherError(`"${first}" is no part of the tests: ${parts.join(', ')}`);
  ensureDebian([
    chromiumNeed,
    { present: () => onPath('ngspice'), package: 'ngspice' },
    { present: () => onPath('pdftotext'), package: 'poppler-utils' },
    { present: () => onPath('qpdf'), package: 'qpdf' },
    { present: () => onPath('mbpoll'), package: 'mbpoll' },
    { present: () => existsSync('/usr/lib/python3/dist-packages/pymodbus'), package: 'python3-pymodbus' },
    // pymodbus needs it for its servers and only recommends it.
    {
      present: () => existsSync('/usr/lib/python3/dist-packages/serial_asyncio'),
      package: 'python3-serial-asyncio',
    },
  ]);
  mkdirSync(results, { recursive: true });
  const wants = (part: Part) => only === undefined || only === part;
  const of = (folders: readonly string[]) => (chosen.length > 0 ? chosen : folders);
  const sources = ['src', 'launcher', 'checks', 'stand-ins'];
  const quietly = (program: string, args: readonly string[]) => run(bin(program), args, {}, true);
  // Two lanes for two cores: the longest first, what is short fills the other. The browsers come alone after them.
  const lanes: ((cluster: Cluster) => Promise<Tally>)[][] = [
    wants('unit') ? [jest('unit', of(['src', 'launcher', 'catalogue', 'stand-ins']), long)] : [],
    [
      ...(only === undefined
        ? [
            step('types', async () => (await quietly('next', ['typegen'])) && quietly('tsc', ['--noEmit'])),
            step('lint', () => quietly('eslint', ['.', '--max-warnings=0'])),
            step('arrows', () => quietly('depcruise', ['--config', '.dependency-cruiser.cjs', ...sources])),
            step('formatting', () => quietly('prettier', ['--check', '--log-level=warn', '.'])),
          ]
        : []),
      ...(wants('checks') ? [jest('checks', of(['checks']), long)] : []),
    ],
  ];
  const total: Tally = { passed: 0, failed: 0 };
  removeCluster('test');
  const cluster = await startCluster('test', { durable: false });
  const inTurn = async (steps: readonly ((cluster: Cluster) => Promise<Tally>)[]): Promise<void> => {
    for (const one of steps) {
      const begun = performance.now();
      const { passed, failed } = await one(cluster).catch((error: unknown): Tally => {
        say(plainWords(error));
        return { passed: 0, failed: 1 };
      });
      total.passed += passed;
      total.failed += failed;
      say(`test: ${passed} passed, ${failed} failed in ${((performance.now() - begun) / 1000).toFixed(0)} s`);
    }
  };
  try {
    ensureDatabase(cluster, 'unit');
    await Promise.all(lanes.map(inTurn));
    if (wants('e2e')) await inTurn([e2e(chosen, long)]);
  } finally {
    cluster.stop();
  }
  process.stdout.write(`${total.passed} passed, ${total.failed} failed\n`);
  return total.failed === 0 ? 0 : 1;
}
