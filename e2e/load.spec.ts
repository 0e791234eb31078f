/** Fifty people at work on one server: entries, photographs, streams, papers (only with --long). */
import { readFileSync, readdirSync } from 'node:fs';
import { get } from 'node:http';
import sharp from 'sharp';
import { ensureDatabase, startCluster } from '../launcher/cluster';
import { prepareDatabase } from '../launcher/database';
import {
  boatWinch,
  craneSlew,
  entry,
  gradingDrum,
  iceCrusher,
  inesId,
  odoId,
  pipId,
  pump,
  trawlWinch,
  winch,
} from './demo';
import { own } from './here';
import { kill, spare, startServer } from './spare-server';
import { expect, test } from './test';

const people = 50;
const everybody = [inesId, odoId, pipId];
const jobs = [winch, pump, iceCrusher, trawlWinch, gradingDrum, craneSlew, boatWinch];
const work_ms = 10 * 60_000;
/** Until every path was taken once and the engine has compiled it. */
const warm_ms = 2 * 60_000;
/** A person enters something as often as this, ms, at random around it. */
const pause_ms = 6000;

const statusOf = (pid: string): string => {
  try {
    return readFileSync(`/proc/${pid}/status`, 'utf8');
  } catch {
    return '';
  }
};
const numberIn = (status: string, name: string): number =>
  Number(new RegExp(`^${name}:\\s+(\\d+)`, 'm').exec(status)?.[1] ?? 0);
/** What the server holds, MB: its door, and the pages behind it. */
const held_MB = (pid: number): number =>
  readdirSync('/proc')
    .filter((name) => /^\d+$/.test(name))
    .map(statusOf)
    .filter((status) => numberIn(status, 'Pid') === pid || numberIn(status, 'PPid') === pid)
    .reduce((sum, status) => sum + numberIn(status, 'VmRSS') / 1000, 0);

const sleep = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms));

test('fifty people for ten minutes: no error, memory flat', async () => {
  test.skip(process.env['GRIM_LONG'] !== '1', 'ten minutes: with --long');
  test.setTimeout(work_ms + 300_000);
  const cluster = await startCluster('test');
  const name = `load${own.sparePort}`;
  cluster.run('dropdb', ['--if-exists', '--force', name]);
  ensureDatabase(cluster, name);
  await prepareDatabase(cluster.ownerUrl(name), { demo: true });
  const server = await startServer(cluster.appUrl(name));
  const pid = server.pid ?? 0;
  const errors: string[] = [];
  const appends: number[] = [];
  const memory: number[] = [];
  try {
    const photo = await sharp({
      create: {
        width: 3000,
        height: 2000,
        channels: 3,
        noise: { type: 'gaussian', mean: 128, sigma: 30 },
        background: '#000',
      },
    })
      .jpeg()
      .toBuffer();
    const begun = performance.now();
    const over = () => performance.now() - begun > work_ms;
    const ask = async (
      what: string,
      path: string,
      { init = {}, who }: { init?: RequestInit; who: string },
    ): Promise<void> => {
      const from = performance.now();
      const headers = { cookie: `grim_person=${who}`, ...init.headers };
      try {
        const answer = await fetch(`${spare}${path}`, { ...init, headers });
        const text = await answer.text();
        if (!answer.ok || text.includes('"refused"'))
          errors.push(`${what}: ${answer.status} ${text.slice(0, 120)}`);
      } catch (error) {
        errors.push(`${what}: ${String(error)}`);
      }
      if (what === 'append' && from - begun > warm_ms) appends.push(performance.now() - from);
    };
    const append = (job: string, who: string) =>
      ask('append', `/api/v1/jobs/${job}/entries`, {
        who,
        init: {
          method: 'POST',
          headers: { 'content-type': 'application/json' },
          body: JSON.stringify({
            entries: [entry(job, 'note.added', { stage: 'look', text: 'looked at again', photos: [] })],
          }),
        },
      });
    const streams = new AbortController();
    const person = async (nth: number): Promise<void> => {
      const job = jobs[nth % jobs.length] ?? winch;
      const who = everybody[nth % everybody.length] ?? inesId;
      // Fifty devices are one process here: their streams should cost it little.
      get(`${spare}/api/v1/news`, { signal: streams.signal, agent: false }, (answer) => {
        answer.on('error', () => undefined).resume();
      }).on('error', () => undefined);
      for (let turn = 0; !over(); turn += 1) {
        await sleep(pause_ms * (0.5 + Math.random()));
        await append(job, who);
        if ((turn + nth) % 15 === 0)
          await ask('photograph', '/api/v1/blobs', {
            who,
            init: { method: 'POST', body: new Uint8Array(photo) },
          });
        if ((turn + nth) % 20 === 7) await ask('paper', `/api/v1/jobs/${job}/report?form=pdf`, { who });
        if ((turn + nth) % 10 === 3) await ask('board', '/', { who });
      }
    };
    const watch = async (): Promise<void> => {
      while (!over()) {
        await sleep(10_000);
        memory.push(held_MB(pid));
      }
    };
    await Promise.all([watch(), ...Array.from({ length: people }, (_, nth) => person(nth))]);
    streams.abort();
  } finally {
    kill(server);
    cluster.run('dropdb', ['--if-exists', '--force', name]);
  }
  const sorted = appends.sort((a, b) => a - b);
  const p95 = sorted[Math.floor(0.95 * sorted.length)] ?? 0;
  const [early = 0, late = 0] = [memory.slice(10, 20), memory.slice(-10)].map(
    (some) => some.reduce((sum, one) => sum + one, 0) / some.length,
  );
  process.stdout.write(
    `load: ${sorted.length} appends, p95 ${p95.toFixed(0)} ms (asked 60); server ${early.toFixed(0)} MB early, ${late.toFixed(0)} MB late\n`,
  );
  expect(errors).toEqual([]);
  expect(late).toBeLessThan(1.25 * early);
});
