/** Jobs of a test's own that stand where a job of the demo stands, or further on. */
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import type { APIRequestContext } from '@playwright/test';
import { v7 } from 'uuid';
import { newestVersion } from '../src/core/logbook';
import { postEntries, winch } from './demo';
import { letPass, serverTime } from './here';
import { expect } from './test';

export interface LoggedEntry {
  id: string;
  at: string;
  kind: string;
  payload: Record<string, unknown>;
}
type Added = Omit<LoggedEntry, 'payload'> & { payload: unknown };

/** One line of a log in `e2e/logs`: an entry as it was made by hand once, and the step of the work it belongs to. */
type KeptLine = LoggedEntry & { step: string };

/** The entries of a kept log up to the end of a step. */
export function logUpTo(name: string, step: string): LoggedEntry[] {
  const text = readFileSync(join(import.meta.dirname, 'logs', `${name}.jsonl`), 'utf8');
  const lines = text
    .trimEnd()
    .split('\n')
    .map((line) => JSON.parse(line) as KeptLine);
  const end = lines.findLastIndex((line) => line.step === step);
  expect(end, `no step “${step}” in ${name}`).toBeGreaterThanOrEqual(0);
  return lines.slice(0, end + 1);
}

/** The entries of a job, oldest first. */
export async function entriesOf(request: APIRequestContext, jobId: string): Promise<LoggedEntry[]> {
  const answer = await request.get(`/api/v1/jobs/${jobId}/entries`);
  return ((await answer.json()) as { entries: LoggedEntry[] }).entries;
}

/** The first entry of a kind; the page shows it a moment before the server has it. */
export async function savedEntry(
  request: APIRequestContext,
  jobId: string,
  kind: string,
): Promise<LoggedEntry> {
  const found = async () => (await entriesOf(request, jobId)).find((e) => e.kind === kind);
  await expect.poll(found).toBeDefined();
  return (await found())!;
}

/** A time in an entry. */
const instant = /\d{4}-\d\d-\d\dT\d\d:\d\d:\d\d\.\d{3}Z/g;
const moved = <T>(entries: T, by_ms: number): T =>
  JSON.parse(
    JSON.stringify(entries).replace(instant, (at) => new Date(Date.parse(at) + by_ms).toISOString()),
  ) as T;

/** Runs of entries of a log, with the seconds that passed before each where they are many. */
function runsOf(log: readonly Added[]): { pause_s: number; entries: Added[] }[] {
  const runs: { pause_s: number; entries: Added[] }[] = [];
  let before = NaN;
  for (const entry of log) {
    const at = Date.parse(entry.at);
    const pause_s = (at - before) / 1000;
    if (runs.length === 0 || pause_s > 10)
      runs.push({ pause_s: runs.length === 0 ? 0 : pause_s, entries: [] });
    runs.at(-1)!.entries.push(entry);
    before = at;
  }
  return runs;
}

/**
 * A job that stands where another one stands, with a log on top that is gone through now, its pauses included (the server
 * counts minutes by its own clock): a test may go on from there, and nobody else finds what it leaves. What names the old job
 * or one of its entries names the new one.
 */
export const copyOf = async (
  request: APIRequestContext,
  from: string,
  onTop: readonly Added[] = [],
): Promise<string> => jobFrom(request, from, await entriesOf(request, from), onTop);

/** The slipway winch as it was called in, and on to a step, on a job of one's own; the board calls it otherwise. */
export function slipwayWinch(request: APIRequestContext, step = 'called'): Promise<string> {
  const [opened, ...called] = logUpTo('slipway-winch', 'called');
  const there = [{ ...opened!, payload: { ...opened!.payload, machine: 'Berth winch' } }, ...called];
  return jobFrom(request, winch, there, logUpTo('slipway-winch', step).slice(there.length));
}

/** A job made of a log alone, whatever became of the job it was once: what is `there`, then what is on top, as it happened. */
async function jobFrom(
  request: APIRequestContext,
  from: string,
  there: readonly LoggedEntry[],
  onTop: readonly Added[] = [],
): Promise<string> {
  const job = v7();
  const names = new Map([[from, job], ...[...there, ...onTop].map(({ id }) => [id, v7()] as const)]);
  let seq = 0;
  const copied = (entries: readonly Added[]) =>
    (
      JSON.parse(
        [...names].reduce((text, [old, own]) => text.replaceAll(old, own), JSON.stringify(entries)),
      ) as LoggedEntry[]
    ).map(({ id, at, kind, payload }) => {
      // A signature says how many entries it stands under.
      const signed = 'seq' in payload ? { ...payload, seq } : payload;
      seq += 1;
      return { v: newestVersion, id, jobId: job, at, kind, payload: signed };
    });
  const send = (entries: readonly object[]) => postEntries(request, job, entries);
  const [opened] = copied(there.slice(0, 1));
  expect((await request.post('/api/v1/jobs', { data: { entry: opened } })).status()).toBe(201);
  // A signature counts only over readings under a proof, and a proof takes its minute before the bank is read again. Longer
  // pauses are left out: they would lapse the proofs of the demo's own jobs.
  const again = there.findIndex((e) => e.kind === 'safety.figure' && e.payload['point'] === 'bank-again');
  if (again > 0) {
    await send(copied(there.slice(1, again)));
    letPass(61);
  }
  await send(copied(there.slice(Math.max(1, again))));
  for (const { pause_s, entries } of runsOf(onTop)) {
    letPass(pause_s);
    await send(copied(moved(entries, serverTime() - Date.parse(entries.at(-1)!.at))));
  }
  return job;
}
