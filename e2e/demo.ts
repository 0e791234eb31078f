import { execFileSync } from 'node:child_process';
import type { APIRequestContext, Page } from '@playwright/test';
import { expect } from './test';
import { v7 } from 'uuid';
import { newestVersion } from '../src/core/logbook';

/** The demo's jobs and people (demo/scenario.json). */
export const winch = '0190a200-0000-7000-8000-000000000001';
export const pump = '0190a200-0000-7000-8000-000000000002';
export const iceCrusher = '0190a200-0000-7000-8000-000000000003';
export const trawlWinch = '0190a200-0000-7000-8000-000000000004';
export const gradingDrum = '0190a200-0000-7000-8000-000000000005';
export const craneSlew = '0190a200-0000-7000-8000-000000000006';
export const brineFeed = '0190a200-0000-7000-8000-000000000007';
export const boatWinch = '0190a200-0000-7000-8000-000000000008';
export const netDrum = '0190a200-0000-7000-8000-00000000000a';
export const netDrumSwap = '0190a200-0000-7000-8000-00000000000b';
export const southWinch = '0190a200-0000-7000-8000-00000000000c';
export const inesId = '0190a000-0000-7000-8000-000000000001';
export const odoId = '0190a000-0000-7000-8000-000000000002';
export const pipId = '0190a000-0000-7000-8000-000000000003';
export const marenId = '0190a000-0000-7000-8000-000000000004';

export const choosePerson = async (page: Page, id: string): Promise<void> => {
  const answer = await page.request.post('/api/v1/person', { data: { id } });
  expect(answer.ok()).toBe(true);
};

/** An entry as the page would send it. */
export const entry = (jobId: string, kind: string, payload: unknown) => ({
  v: newestVersion,
  id: v7(),
  jobId,
  at: new Date().toISOString(),
  kind,
  payload,
});

/** Sends entries to the server past the page; each must be recorded. A post takes a hundred. */
export async function postEntries(
  request: APIRequestContext,
  jobId: string,
  entries: readonly object[],
): Promise<void> {
  for (let i = 0; i < entries.length; i += 100) {
    const answer = await request.post(`/api/v1/jobs/${jobId}/entries`, {
      data: { entries: entries.slice(i, i + 100) },
    });
    expect(answer.ok(), await answer.text()).toBe(true);
    const { verdicts } = (await answer.json()) as { verdicts: { refused?: string }[] };
    expect(verdicts.filter((v) => v.refused !== undefined)).toEqual([]);
  }
}

/** Until the server has all that the page recorded: what is asked past the page comes after it. */
export async function allKept(page: Page): Promise<void> {
  await expect(page.getByRole('region', { name: 'Log', exact: true })).toBeAttached();
  await expect(page.getByText('(not saved yet, sending)')).toHaveCount(0);
}

/** Loads a job's page anew, nothing of it lost: a reload can be faster than the disk that an entry is on its way to. */
export async function reloadJob(page: Page): Promise<void> {
  await allKept(page);
  await page.reload();
  await alive(page);
}

/** Opens a job of its own through the API, so that tests do not meet in one logbook. @param at another server than this worker's */
export async function newJob(request: APIRequestContext, machine: string, at = ''): Promise<string> {
  const jobId = v7();
  const opened = entry(jobId, 'job.opened', {
    assetId: v7(),
    site: 'Pellow Quay',
    machine,
    complaint: 'stands still',
    stoppedAt: null,
    downtimeAllowed_min: null,
    peopleInDanger: 'no',
    loadSuspended: 'no',
    bypass: 'no',
  });
  const answer = await request.post(`${at}/api/v1/jobs`, { data: { entry: opened } });
  expect(answer.status()).toBe(201);
  return jobId;
}

/** Nothing may go wrong quietly. An aborted request of a page that was left is no fault. */
export function watchConsole(page: Page): string[] {
  const said: string[] = [];
  page.on('console', (m) => {
    if (
      m.type() === 'error' &&
      !/ERR_(ABORTED|CONNECTION_REFUSED|INTERNET_DISCONNECTED)|status of (503|409|422)/.test(m.text())
    )
      said.push(`${m.text()} ${m.location().url}`);
  });
  page.on('pageerror', (e) => said.push(e.message));
  return said;
}

/**
 * Waits until the page listens: what is clicked before that is lost. A slow machine has the whole
 * page long before React has taken its buttons over; the parts of the page say when they have
 * (`data-live`, src/ui/kit/island.tsx).
 */
export async function alive(page: Page): Promise<void> {
  await page.waitForFunction(
    () =>
      document.querySelector('[data-live="yes"]') !== null &&
      document.querySelector('[data-live="no"]') === null,
    undefined,
    { timeout: 30_000 },
  );
}

/** Goes to a page and waits until it is alive. */
export async function visit(page: Page, path: string): Promise<void> {
  await page.goto(path);
  await alive(page);
}

/** Chooses a plan on the bench. */
export const choosePlan = async (page: Page, name: 'quick' | 'full' | 'guided'): Promise<void> => {
  const radio = page.getByRole('radio', { name });
  await radio.click();
  await expect(radio).toBeChecked();
};

/** The pictures of docs/screenshots are taken on the way, when asked for (GRIM_SHOTS=1). */
export async function picture(page: Page, name: string): Promise<void> {
  if (process.env['GRIM_SHOTS'] !== '1') return;
  await page.waitForTimeout(600);
  await page.screenshot({ path: `docs/screenshots/${name}.png` });
}

/** The words of a PDF that the server makes, as they stand on it. */
export async function pdfText(request: APIRequestContext, url: string): Promise<string> {
  const pdf = await request.get(url);
  expect(pdf.headers()['content-type']).toBe('application/pdf');
  return execFileSync('pdftotext', ['-layout', '-', '-'], { input: await pdf.body(), encoding: 'utf8' });
}
