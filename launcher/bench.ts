import { chromium } from '@playwright/test';
import { chromiumNeed, chromiumPath } from './chromium';
import { timeSwap } from './bench-swap';
import { portsOfWorker, runAlongside } from './alongside';
import { timeLink } from './bench-link';
import { timeWriting } from './bench-writing';
import { ensureBuilt } from './build';
import { ensureDatabase, startCluster } from './cluster';
import { prepareDatabase } from './database';
import { ensureDebian, onPath } from './debian';
import { runBundle } from './run-bundle';
import { serve } from './serve';

interface Core {
  hypotheses: number;
  probes: number;
  prepare_ms: number;
  wholePosterior_ms: number;
  prunedMass: number;
  roughMass: number;
  again_ms: number;
  forward_ms: number;
  afterOneMore_ms: number;
  reading_ms: number;
  ngspice_ms: number;
  trace_ms: number;
  startUp_ms: number;
  rampCurves_ms: number;
  rampAnswer_ms: number;
  translate_ms: number;
  audit_ms: number;
  keys_ms: number;
  memory_MB: number;
  plan20_ms: number;
  proven: number;
  movable_ms: number;
  wires300_ms: number;
  waveRectifier_ms: number;
  waveHalves_ms: number;
  waveWhole_ms: number;
  wavePull_ms: number;
  spiceRectifier_ms: number;
  spiceDrive_ms: number;
}

const port = 3197;

const core = (): Core => JSON.parse(runBundle('launcher/bench-core.ts')) as Core;

/** Compressed scripts of a first load, kB, without what links fetch ahead. */
async function firstLoad(path: string): Promise<number> {
  const browser = await chromium.launch({
    executablePath: chromiumPath(),
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
        .reduce((sum, e) => sum + (e instanceof PerformanceResourceTiming ? e.encodedBodySize : 0), 0),
    );
    return bytes / 1000;
  } finally {
    await browser.close();
  }
}

const line = (what: string, measured: string, asked = ''): void => {
  process.stdout.write(`${what.padEnd(58)} ${measured.padStart(14)}   ${asked}\n`);
};

interface Reading {
  meaning_ms: number;
  start_ms: number;
  plate_ms: number;
  fields: number;
}

function reading(): void {
  const r = JSON.parse(runBundle('launcher/bench-reading.ts', { packagesOutside: true })) as Reading;
  line('meaning of 500 names of parameters', `${r.meaning_ms.toFixed(0)} ms`, '≤ 100 ms');
  line('a rating plate, from its photo to its fields', `${r.plate_ms.toFixed(0)} ms`, '≤ 4000 ms');
  line('… fields read', String(r.fields), 'reported');
  line('… the reader of letters started, once', `${r.start_ms.toFixed(0)} ms`, 'reported');
}

/** `./grim bench`: speed against the budgets, reported and never failed. */
export async function bench(): Promise<number> {
  ensureDebian([chromiumNeed, { present: () => onPath('ngspice'), package: 'ngspice' }]);
  const c = core();
  const solvedByNgspice_ms = c.ngspice_ms * c.hypotheses * c.probes;
  line(
    `whole posterior, ${c.hypotheses} hypotheses × ${c.probes} readings`,
    `${c.wholePosterior_ms.toFixed(0)} ms`,
    '≤ 250 ms, tables prepared',
  );
  line('… share left out', c.prunedMass.toExponential(1), '≤ 1e-3');
  line('… share compared roughly, without a fit', c.roughMass.toExponential(1), 'reported');
  line('… the same readings again', `${c.again_ms.toFixed(0)} ms`, '≤ 50 ms');
  line('conclusion at 15 readings of a fixed plan, median', `${c.forward_ms.toFixed(0)} ms`, '≤ 50 ms');
  line('conclusion at 30 readings, median', `${c.afterOneMore_ms.toFixed(0)} ms`, '≤ 50 ms');
  line('tables of a stage and meter, all solved ahead', `${(c.prepare_ms / 1000).toFixed(1)} s`, 'reported');
  line('memory after that', `${c.memory_MB.toFixed(0)} MB`, '≤ 150 MB');
  line('one reading solved', `${(c.reading_ms * 1000).toFixed(0)} µs`, 'reported');
  line('… by ngspice, all probes in one run', `${(c.ngspice_ms * 1000).toFixed(0)} µs`, 'reported');
  line(
    '… times faster than ngspice on the same hypotheses × probes',
    `${(solvedByNgspice_ms / c.wholePosterior_ms).toFixed(0)} ×`,
    '≥ 200 ×',
  );
  line(
    '… the tables counted in',
    `${(solvedByNgspice_ms / (c.wholePosterior_ms + c.prepare_ms)).toFixed(0)} ×`,
    'reported',
  );

  line('tracer, from an answer to the next check, slowest table', `${c.trace_ms.toFixed(2)} ms`, '≤ 30 ms');

  line('start-up sheet, whole', `${c.startUp_ms.toFixed(2)} ms`, '≤ 10 ms');
  line('ramp curves of one run-up and stop', `${c.rampCurves_ms.toFixed(1)} ms`, '≤ 33 ms');
  line('… with the shortest ramps and the brake', `${c.rampAnswer_ms.toFixed(1)} ms`, '≤ 33 ms');

  line('a set of 1,000 entries on another type', `${c.translate_ms.toFixed(1)} ms`, '≤ 100 ms');
  line('… under all rules', `${c.audit_ms.toFixed(1)} ms`, '≤ 100 ms');
  line('keys for 60 entries, the slowest of four keypads', `${c.keys_ms.toFixed(0)} ms`, '≤ 1000 ms');

  line('shortest stop, 20 tasks and 2 people, slowest of 40', `${c.plan20_ms.toFixed(0)} ms`, '≤ 1000 ms');
  line('… proven to be the shortest', `${(100 * c.proven).toFixed(0)} %`, 'reported');
  line('… what would shorten a usual one', `${c.movable_ms.toFixed(0)} ms`, 'reported');
  line('300 wires: set carried, wires mapped, fit checked', `${c.wires300_ms.toFixed(1)} ms`, 'reported');

  reading();

  const times = (slow: number, quick: number) => `${(slow / quick).toFixed(0)} ×`;
  line('0.2 s of a three-phase rectifier and bus', `${c.waveRectifier_ms.toFixed(1)} ms`, '≤ 8 ms');
  line(
    '… times faster than ngspice, steps of 20 µs',
    times(c.spiceRectifier_ms, c.waveRectifier_ms),
    '≥ 25 ×',
  );
  line('0.1 s of a whole drive at 4 kHz, in two halves', `${c.waveHalves_ms.toFixed(1)} ms`, '≤ 15 ms');
  line('… times faster than ngspice, steps of 2 µs', times(c.spiceDrive_ms, c.waveHalves_ms), '≥ 200 ×');
  line('… the whole network', `${c.waveWhole_ms.toFixed(1)} ms`, '≤ 80 ms');
  line('… times faster than ngspice', times(c.spiceDrive_ms, c.waveWhole_ms), 'reported');
  line('a fault slider, a new picture at each step', `${(1000 / c.wavePull_ms).toFixed(0)} a second`, '≥ 20');

  ensureBuilt();
  const cluster = await startCluster('test', { durable: false });
  try {
    cluster.run('dropdb', ['--if-exists', '--force', 'bench']);
    ensureDatabase(cluster, 'bench');
    const url = cluster.appUrl('bench');
    await prepareDatabase(cluster.ownerUrl('bench'), { demo: true });
    const alongside = await runAlongside(portsOfWorker(0), url);
    try {
      await overHttp(url, alongside.env);
    } finally {
      await alongside.stop();
    }
  } finally {
    if (cluster.startedHere) cluster.stop();
  }
  return 0;
}

/** What a browser and the link see of the served app. */
async function overHttp(url: string, env: Record<string, string>): Promise<void> {
  const served = await serve(port, { DATABASE_URL: url, ...env });
  try {
    const { GRIM_RIG_DRIVE: drive, GRIM_RIG: rig } = env;
    if (drive !== undefined && rig !== undefined) {
      const link = await timeLink(port, drive, rig);
      line(
        `read-out of ${link.entries} entries with live values and history`,
        `${link.readOut_ms.toFixed(0)} ms`,
        '≤ 1000 ms for 150',
      );
      const writing = await timeWriting(port, drive, rig);
      line(
        `a run of ${writing.values} values, begun to compared`,
        `${(writing.whole_ms / 1000).toFixed(2)} s`,
        '≤ 5 s for 60',
      );
      line('live values over the link', `${link.live_perSecond.toFixed(1)} /s`, '≥ 5 /s');
    }
    const swap = await timeSwap(port);
    line('job report with its record as PDF, 300 wires', `${(swap.report_ms / 1000).toFixed(2)} s`, '≤ 3 s');
    line(
      'list of 300 wires, frames while scrolling, 95 of 100',
      `${swap.frame95_ms.toFixed(0)} ms`,
      '≤ 33 ms',
    );
    line('… a wire opened, drawn', `${swap.open_ms.toFixed(0)} ms`, 'reported');
    const job = '/jobs/0190a200-0000-7000-8000-000000000001';
    line(
      'job card, first load, compressed scripts (make safe)',
      `${(await firstLoad(`${job}/make-safe`)).toFixed(0)} kB`,
      '≤ 230 kB',
    );
    line(
      'job card, first load, compressed scripts (bench)',
      `${(await firstLoad(`${job}/bench-test`)).toFixed(0)} kB`,
      '≤ 230 kB',
    );
    line('board, first load, compressed scripts', `${(await firstLoad('/')).toFixed(0)} kB`, 'reported');
  } finally {
    await served.stop();
  }
}
