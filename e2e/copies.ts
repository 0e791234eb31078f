/** Jobs of a test's own that stand where a job of the demo stands, or further on. */
import type { APIRequestContext } from '@playwright/test';
import { v7 } from 'uuid';
import { expect } from './test';

export interface LoggedEntry {
  id: string;
  at: string;
  kind: string;
  payload: Record<string, unknown>;
}

/** The entries of a job, oldest first. */
export async function entriesOf(request: APIRequestContext, jobId: string): Promise<LoggedEntry[]> {
  const answer = await request.get(`/api/v1/jobs/${jobId}/entries`);
  return ((await answer.json()) as { entries: LoggedEntry[] }).entries;
}

/** The first entry of a kind; the page shows it a moment before the server has it. */
export async function keptEntry(
  request: APIRequestContext,
  jobId: string,
  kind: string,
): Promise<LoggedEntry> {
  const found = async () => (await entriesOf(request, jobId)).find((e) => e.kind === kind);
  await expect.poll(found).toBeDefined();
  return (await found())!;
}

/**
 * A job that stands where another one stands, with entries on top: a test may go on from there, and nobody else finds what it
 * leaves. What names the old job or one of its entries names the new one.
 */
export async function copyOf(
  request: APIRequestContext,
  from: string,
  onTop: readonly (Omit<LoggedEntry, 'payload'> & { payload: unknown })[] = [],
): Promise<string> {
  const logged = [...(await entriesOf(request, from)), ...onTop];
  const job = v7();
  const renamed = logged.reduce((text, { id }) => text.replaceAll(id, v7()), JSON.stringify(logged));
  const copies = JSON.parse(renamed.replaceAll(from, job)) as LoggedEntry[];
  const [opened, ...rest] = copies.map(({ id, at, kind, payload }) => ({
    v: 1,
    id,
    jobId: job,
    at,
    kind,
    payload,
  }));
  expect((await request.post('/api/v1/jobs', { data: { entry: opened } })).status()).toBe(201);
  const answer = await request.post(`/api/v1/jobs/${job}/entries`, { data: { entries: rest } });
  expect(answer.ok(), await answer.text()).toBe(true);
  return job;
}
