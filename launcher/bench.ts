import { spawnSync } from 'node:child_process';
import { writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromium } from '@playwright/test';
import { ensureBuilt } from './build';
import { ensureDatabase, startCluster } from './cluster';
import { prepareDatabase } from './database';
import { ensureDebian, onPath } from './debian';
import { bin, root } from './paths';
import { serve } from './serve';
import { Trouble } from './terminal';

interface Core {
  hypotheses: number;
  prepare_ms: number;
  forward_ms: number;
  full_ms: number;
  reading_ms: number;
}

const port = 3197;

function core(): Core {
  const bundle = join(root, '.cache', 'bench-core.mjs');
  const made = spawnSync(
    bin('esbuild'),
    [
      'launcher/bench-core.ts',
      '--bundle',
      '--platform=node',
      '--format=esm',
      '--log-level=error',
      `--outfile=${bundle}`,
    ],
    { cwd: root, stdio: 'inherit' },
  );
  if (made.status !== 0) throw new Trouble('the benchmark could not be bundled');
  const ran = spawnSync(process.execPath, [bundle], { encoding: 'utf8' });
  return JSON.parse(ran.stdout) as Core;
}

/** One ngspice run on a deck of the same size: what a reading costs with the usual tool, ms. */
function ngspice(): number {
  const deck = join(tmpdir(), 'grim-bench.cir');
  const diodes = Array.from({ length: 14 }, (_, i) => `D${i} n${i % 7} n${7 + (i % 3)} DM`).join('\n');
  writeFileSync(
    deck,
    `bench\n${diodes}\n.model DM D(IS=9e-9 N=1.5 RS=0.02)\nI1 n7 n0 0.001\nR1 n7 n8 150k\n.options rshunt=1e11\n.control\nop\nquit 0\n.endc\n.end\n`,
  );
  const started = performance.now();
  const runs = 10;
  for (let i = 0; i < runs; i += 1) spawnSync('ngspice', ['-b', deck]);
  return (performance.now() - started) / runs;
}

/** Compressed scripts of a first load, kB, without what links fetch ahead. */
async function firstLoad(path: string): Promise<number> {
  const browser = await chromium.launch({
    executablePath: '/usr/bin/chromium',
    args: ['--no-sandbox', '--disable-gpu'],
  });
  try {
    const page = await browser.newPage();
    await page.goto(`http://127.0.0.1:${port}${path}`);
    await page.waitForTimeout(2500);
    const bytes = await page.evaluate(() =>
      performance
        .getEntriesByType('resource')
        .filter((e) => e.name.endsWith('.js'))
        .reduce((sum, e) => sum + (e as PerformanceResourceTiming).encodedBodySize, 0),
    );
    return bytes / 1000;
  } finally {
    await browser.close();
  }
}

const line = (what: string, measured: string, asked = ''): void => {
  process.stdout.write(`${what.padEnd(58)} ${measured.padStart(14)}   ${asked}\n`);
};

/** `./grim bench`: speed against the budgets, reported and never failed. */
export async function bench(): Promise<number> {
  ensureDebian([
    { present: () => onPath('chromium'), package: 'chromium' },
    { present: () => onPath('ngspice'), package: 'ngspice' },
  ]);
  const c = core();
  line('conclusion after one more reading, 15 readings, median', `${c.forward_ms.toFixed(1)} ms`, '≤ 16 ms');
  line('conclusion after one more reading, 52 readings, median', `${c.full_ms.toFixed(1)} ms`, '≤ 16 ms');
  line(
    `tables of a stage and meter (${c.hypotheses} hypotheses × 52 probes)`,
    `${c.prepare_ms.toFixed(0)} ms`,
    'reported',
  );
  line('one reading solved', `${(c.reading_ms * 1000).toFixed(0)} µs`, 'reported');
  line('… times faster than one ngspice run', `${(ngspice() / c.reading_ms).toFixed(0)} ×`, 'reported');

  ensureBuilt();
  const cluster = await startCluster('test', { durable: false });
  try {
    cluster.run('dropdb', ['--if-exists', '--force', 'bench']);
    ensureDatabase(cluster, 'bench');
    const url = cluster.url('bench');
    await prepareDatabase(url, { demo: true });
    const served = await serve(port, { DATABASE_URL: url });
    try {
      const job = '/jobs/0190a200-0000-7000-8000-000000000001';
      line(
        'job card, first load, compressed scripts (make safe)',
        `${(await firstLoad(`${job}/make-safe`)).toFixed(0)} kB`,
        '≤ 230 kB',
      );
      line(
        'job card, first load, compressed scripts (bench)',
        `${(await firstLoad(`${job}/bench`)).toFixed(0)} kB`,
        '≤ 230 kB',
      );
      line('board, first load, compressed scripts', `${(await firstLoad('/')).toFixed(0)} kB`, 'reported');
    } finally {
      await served.stop();
    }
  } finally {
    if (cluster.startedHere) cluster.stop();
  }
  return 0;
}
