import { spawnSync } from 'node:child_process';
import { existsSync, mkdirSync, readFileSync, rmSync } from 'node:fs';
import { ensureBuilt } from './build';
import { ensureDatabase, removeCluster, startCluster, type Cluster } from './cluster';
import { prepareDatabase } from './database';
import { ensureDebian, onPath } from './debian';
import { portsAlongside, runAlongside } from './alongside';
import { bin, inRoot, root } from './paths';
import { serve } from './serve';
import { plainWords, say, LauncherError } from './terminal';

interface Tally {
  passed: number;
  failed: number;
}

const results = inRoot('test-results');
const e2ePort = 3199;

function run(program: string, args: readonly string[], env: Record<string, string> = {}): boolean {
  const done = spawnSync(program, args, {
    cwd: root,
    stdio: ['ignore', 'inherit', 'inherit'],
    env: { ...process.env, NEXT_TELEMETRY_DISABLED: '1', ...env },
  });
  return done.status === 0;
}

/** A step that either holds or does not. */
const step = (name: string, holds: () => boolean) => async (): Promise<Tally> => {
  say(`test: ${name}`);
  return holds() ? { passed: 1, failed: 0 } : { passed: 0, failed: 1 };
};

function jestTally(file: string): Tally {
  if (!existsSync(file)) return { passed: 0, failed: 1 };
  const r = JSON.parse(readFileSync(file, 'utf8')) as {
    numPassedTests: number;
    numFailedTests: number;
    numRuntimeErrorTestSuites: number;
  };
  return { passed: r.numPassedTests, failed: r.numFailedTests + r.numRuntimeErrorTestSuites };
}

const jest =
  (name: string, folders: readonly string[], long: boolean) =>
  async (cluster: Cluster): Promise<Tally> => {
    say(`test: ${name}`);
    const file = `${results}/${name}.json`;
    rmSync(file, { force: true });
    const env: Record<string, string> = {
      DATABASE_URL: cluster.url('unit'),
      GRIM_LONG: long ? '1' : '',
      NODE_OPTIONS: '--experimental-vm-modules --no-warnings',
    };
    run(
      bin('jest'),
      [...folders, '--json', `--outputFile=${file}`, '--silent=false', '--passWithNoTests=false'],
      env,
    );
    return jestTally(file);
  };

function playwrightTally(file: string): Tally {
  if (!existsSync(file)) return { passed: 0, failed: 1 };
  const { stats } = JSON.parse(readFileSync(file, 'utf8')) as {
    stats: { expected: number; unexpected: number; flaky: number };
  };
  return { passed: stats.expected, failed: stats.unexpected + stats.flaky };
}

/** The production build, a database of its own with the demo in it, Debian's Chromium. */
async function e2e(cluster: Cluster): Promise<Tally> {
  say('test: e2e');
  ensureBuilt();
  cluster.run('dropdb', ['--if-exists', '--force', 'e2e']);
  ensureDatabase(cluster, 'e2e');
  const url = cluster.url('e2e');
  await prepareDatabase(url, { demo: true });
  const file = `${results}/e2e.json`;
  rmSync(file, { force: true });
  const alongside = await runAlongside('e2e', url);
  try {
    if (alongside.missing.length > 0)
      throw new LauncherError(`the ports of ${alongside.missing.join(', ')} are taken by another program`);
    const served = await serve(e2ePort, { DATABASE_URL: url, ...alongside.env });
    try {
      const env = {
        E2E_METER_CONTROL: String(portsAlongside.e2e.meter[1]),
        E2E_LINK: alongside.env['GRIM_LINK'] ?? '',
        E2E_RIG: alongside.env['GRIM_RIG'] ?? '',
        E2E_PORT: String(e2ePort),
        E2E_DATABASE_URL: url,
        PLAYWRIGHT_JSON_OUTPUT_NAME: file,
      };
      run(bin('playwright'), ['test', '--reporter=list,json'], env);
    } finally {
      await served.stop();
    }
  } finally {
    await alongside.stop();
  }
  return playwrightTally(file);
}

type Part = 'unit' | 'checks' | 'e2e';

/** `./grim test [unit|checks|e2e] [--long]` */
export async function test(args: string[]): Promise<number> {
  const long = args.includes('--long');
  const only = args.find((a): a is Part => a === 'unit' || a === 'checks' || a === 'e2e');
  ensureDebian([
    { present: () => onPath('chromium'), package: 'chromium' },
    { present: () => onPath('ngspice'), package: 'ngspice' },
    { present: () => onPath('pdftotext'), package: 'poppler-utils' },
    { present: () => onPath('mbpoll'), package: 'mbpoll' },
  ]);
  mkdirSync(results, { recursive: true });
  const wants = (part: Part) => only === undefined || only === part;
  const steps: ((cluster: Cluster) => Promise<Tally>)[] = [
    ...(only === undefined
      ? [
          step('types', () => run(bin('next'), ['typegen']) && run(bin('tsc'), ['--noEmit'])),
          step('lint', () => run(bin('eslint'), ['.', '--max-warnings=0'])),
          step('arrows', () =>
            run(bin('depcruise'), [
              '--config',
              '.dependency-cruiser.cjs',
              'src',
              'launcher',
              'checks',
              'stand-ins',
            ]),
          ),
          step('formatting', () => run(bin('prettier'), ['--check', '--log-level=warn', '.'])),
        ]
      : []),
    ...(wants('unit') ? [jest('unit', ['src', 'launcher', 'catalogue', 'stand-ins'], long)] : []),
    ...(wants('checks') ? [jest('checks', ['checks'], long)] : []),
    ...(wants('e2e') ? [e2e] : []),
  ];
  const total: Tally = { passed: 0, failed: 0 };
  removeCluster('test');
  const cluster = await startCluster('test', { durable: false });
  try {
    ensureDatabase(cluster, 'unit');
    for (const one of steps) {
      try {
        const { passed, failed } = await one(cluster);
        total.passed += passed;
        total.failed += failed;
      } catch (error) {
        say(plainWords(error));
        total.failed += 1;
      }
    }
  } finally {
    cluster.stop();
  }
  process.stdout.write(`${total.passed} passed, ${total.failed} failed\n`);
  return total.failed === 0 ? 0 : 1;
}
