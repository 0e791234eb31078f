import { execFileSync } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { performance } from 'node:perf_hooks';
import { setTimeout as sleep } from 'node:timers/promises';
import { gunzipSync } from 'node:zlib';
import { v7 } from 'uuid';
import * as z from 'zod';
import { newestVersion, type Entry } from '../src/core/logbook';
import type { FoldTimes } from './bench-fold';
import { fillShop, type ScaleJobs } from './bench-scale-data';
import { ensureBuilt } from './build';
import { ensureDatabase, removeCluster, startCluster } from './cluster';
import { prepareDatabase } from './database';
import { runBundle } from './run-bundle';
import { serve } from './serve';
import { median } from './timing';
import { say } from './terminal';

const ports = { small: 3195, large: 3196 };
const demoWinch = '0190a200-0000-7000-8000-000000000001';

/** Median of how long a request takes, ms. */
async function requestTime(times: number, work: () => Promise<unknown>): Promise<number> {
  const all: number[] = [];
  for (let i = 0; i < times; i += 1) {
    const begun = performance.now();
    await work();
    all.push(performance.now() - begun);
  }
  return median(all);
}

const entriesSchema = z.object({ entries: z.array(z.custom<Entry>()), more: z.boolean() });
const verdictsSchema = z.object({ verdicts: z.array(z.object({ kept: z.object({ seq: z.number() }) })) });

/** What is asked of one server. */
function client(port: number) {
  const base = `http://127.0.0.1:${port}`;
  const get = async (path: string): Promise<string> => {
    const answer = await fetch(`${base}${path}`);
    const text = await answer.text();
    if (!answer.ok) throw new Error(`${path}: ${answer.status} ${text.slice(0, 200)}`);
    return text;
  };
  const append = async (jobId: string): Promise<void> => {
    const entry = {
      ...{ v: newestVersion, id: v7(), jobId, at: new Date().toISOString(), kind: 'note.added' },
      payload: { stage: 'bench', text: 'one more', photos: [] },
    };
    const answer = await fetch(`${base}/api/v1/jobs/${jobId}/entries`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ entries: [entry] }),
    });
    verdictsSchema.parse(await answer.json());
  };
  const after = async (jobId: string, seq: number) =>
    entriesSchema.parse(JSON.parse(await get(`/api/v1/jobs/${jobId}/entries?after=${seq}`)));
  const whole = async (jobId: string): Promise<Entry[]> => {
    const all: Entry[] = [];
    for (;;) {
      const { entries, more } = await after(jobId, all.length);
      all.push(...entries);
      if (!more) return all;
    }
  };
  /** Bytes of a page as it goes over the wire. */
  const weight = (path: string): number => {
    const packed = execFileSync('curl', ['-s', '-H', 'accept-encoding: gzip', `${base}${path}`], {
      maxBuffer: 1e9,
    });
    return packed[0] === 0x1f ? Math.min(packed.length, gunzipSync(packed).length) : packed.length;
  };
  return { base, get, append, after, whole, weight };
}

/** Seconds of processor time that a process and its children have used. */
function cpuSeconds(group: number): number {
  const pids = execFileSync('pgrep', ['-g', String(group)], { encoding: 'utf8' })
    .trim()
    .split('\n');
  return pids.reduce((sum, pid) => {
    const fields = readFileSync(`/proc/${pid}/stat`, 'utf8').split(') ')[1]?.split(' ') ?? [];
    return sum + (Number(fields[11]) + Number(fields[12])) / 100;
  }, 0);
}

/** Share of one core that a hundred listening tabs cost at rest. */
async function restingTabs(base: string, group: number): Promise<number> {
  const ended = new AbortController();
  const streams = await Promise.all(
    Array.from({ length: 100 }, () => fetch(`${base}/api/v1/news`, { signal: ended.signal })),
  );
  await sleep(3000);
  const before = cpuSeconds(group);
  await sleep(30_000);
  const share = (cpuSeconds(group) - before) / 30;
  ended.abort();
  await Promise.allSettled(streams.flatMap((s) => s.body?.cancel() ?? []));
  return share;
}

type Line = (what: string, measured: string, asked?: string) => void;
const ms = (time: number): string => `${time < 10 ? time.toFixed(2) : time.toFixed(0)} ms`;

/** The same twice: in the demo's shop, and in one after years. */
async function compare(line: Line, jobs: ScaleJobs): Promise<void> {
  const small = client(ports.small);
  const large = client(ports.large);
  const side = async (
    what: string,
    asked: string,
    one: () => Promise<unknown>,
    other: () => Promise<unknown>,
  ) => line(what, `${ms(await requestTime(15, one))} / ${ms(await requestTime(15, other))}`, asked);
  for (const c of [small, large]) await c.get('/');
  await side(
    'board, 13 jobs / 20,000',
    '≤ 150 ms',
    () => small.get('/'),
    () => large.get('/'),
  );
  line(
    '… over the wire',
    `${(small.weight('/') / 1000).toFixed(0)} / ${(large.weight('/') / 1000).toFixed(0)} kB`,
    '≤ 80 kB',
  );
  const search = '/api/v1/jobs?search=winch+19';
  await side(
    'search',
    '≤ 100 ms',
    () => small.get(search),
    () => large.get(search),
  );
  await side(
    'search that finds nothing',
    '≤ 100 ms',
    () => small.get('/api/v1/jobs?search=xyzzy'),
    () => large.get('/api/v1/jobs?search=xyzzy'),
  );
  await side(
    'last page of the board',
    '≤ 150 ms',
    () => small.get('/?page=1'),
    () => large.get('/?page=801&sort=newest'),
  );
  const page = (id: string) => `/jobs/${id}/bench-test`;
  await side(
    'job page, demo / 50 entries',
    '≤ 200 ms',
    () => small.get(page(demoWinch)),
    () => large.get(page(jobs.fifty)),
  );
  line(
    'job page, 5,000 entries, first time',
    ms(await requestTime(1, () => large.get(page(jobs.fiveThousand)))),
    'reported',
  );
  line('… afterwards', ms(await requestTime(9, () => large.get(page(jobs.fiveThousand)))), '≤ 400 ms');
  line('… over the wire', `${(large.weight(page(jobs.fiveThousand)) / 1000).toFixed(0)} kB`, 'reported');
  await side(
    'append, demo / job of 50',
    '≤ 30 ms',
    () => small.append(demoWinch),
    () => large.append(jobs.fifty),
  );
  line(
    'append to a job of 5,000',
    ms(await requestTime(15, () => large.append(jobs.fiveThousand))),
    '≤ 30 ms',
  );
  line(
    'append to a job of 4,000, first time',
    ms(await requestTime(1, () => large.append(jobs.fourThousand))),
    'reported',
  );
  // A server that has been at work for some minutes: the engine has compiled what is used all day.
  for (let i = 0; i < 20; i += 1)
    await Promise.all(Array.from({ length: 20 }, () => large.append(jobs.fifty)));
  const slowest: number[] = [];
  for (let round = 0; round < 5; round += 1) {
    const times = await Promise.all(
      Array.from({ length: 20 }, () => requestTime(1, () => large.append(jobs.fourThousand))),
    );
    slowest.push(Math.max(...times));
  }
  line('20 tablets at once on it, the slowest, median of 5', ms(median(slowest)), '≤ 150 ms');
  const all = await large.whole(jobs.fiveThousand);
  line(
    'catch-up of 20 entries after a break',
    ms(await requestTime(15, () => large.after(jobs.fiveThousand, all.length - 20))),
    '≤ 15 ms',
  );
  folds(line, all);
}

function folds(line: Line, all: readonly Entry[]): void {
  const times = JSON.parse(runBundle('launcher/bench-fold.ts', { input: JSON.stringify(all) })) as FoldTimes;
  line('fold of 5,000 entries', ms(times.fiveThousand_ms), '≤ 25 ms');
  line('one more, with 20 waiting', ms(times.oneMore_ms), '≤ 0.2 ms');
}

/** `./grim bench --scale`: 20,000 jobs and 1.4 million entries beside the demo. */
export async function benchScale(): Promise<number> {
  const line: Line = (what, measured, asked = '') => {
    process.stdout.write(`${what.padEnd(58)} ${measured.padStart(20)}   ${asked}\n`);
  };
  removeCluster('scale');
  const cluster = await startCluster('scale');
  try {
    for (const name of ['small', 'large']) {
      ensureDatabase(cluster, name);
      await prepareDatabase(cluster.ownerUrl(name), { demo: true });
    }
    const jobs = await fillShop(cluster.ownerUrl('large'), say);
    ensureBuilt();
    const small = await serve(ports.small, { DATABASE_URL: cluster.appUrl('small') });
    const large = await serve(ports.large, { DATABASE_URL: cluster.appUrl('large') });
    try {
      await compare(line, jobs);
      const share = await restingTabs(client(ports.large).base, large.child.pid ?? 0);
      line('a hundred tabs at rest, share of a core', `${(100 * share).toFixed(1)} %`, '< 5 %');
    } finally {
      await Promise.all([small.stop(), large.stop()]);
    }
  } finally {
    cluster.stop();
    removeCluster('scale');
  }
  return 0;
}
