import type { Page } from '@playwright/test';
import { entriesOf } from './copies';
import { expect } from './test';
import { entry, newJob, visit } from './demo';

/** Contacts of the winch's inputs with run given and the interlock made. */
export const winchContacts = { DI1: true, DI2: false, DI3: true, DI4: false, DI5: false, DI6: false };

/** Where nothing is derated. */
const usualPlace = {
  ...{ phases: 3, earthing: 'star-earthed', ambient_C: 30, altitude_m: 0, carrier_kHz: 4 },
  ...{ sideBySide: false, storedYears: 0, motors: 1, singlePhaseMotor: false, onePhase: null },
};

/** A job of its own with the drive of a demo job, and a motor where one is given: its plate, or the demo job's own. */
export async function jobWith(
  page: Page,
  from: string,
  machine: string,
  plate?: object | 'as there',
): Promise<string> {
  const { request } = page;
  const entries = await entriesOf(request, from);
  const job = await newJob(request, machine);
  const made = [
    entry(job, 'identify.drive', entries.find((e) => e.kind === 'identify.drive')?.payload),
    ...(plate === undefined
      ? []
      : [
          entry(
            job,
            'identify.motor',
            plate === 'as there'
              ? entries.find((e) => e.kind === 'identify.motor')?.payload
              : { plate, photos: [] },
          ),
          entry(job, 'startup.place', usualPlace),
        ]),
  ];
  const answer = await request.post(`/api/v1/jobs/${job}/entries`, { data: { entries: made } });
  expect(answer.ok(), await answer.text()).toBe(true);
  return job;
}

const link = (page: Page) => page.getByRole('region', { name: 'Drive link' });

/** Finds the drive over the link and reads it out. */
export async function findAndRead(page: Page, product: string): Promise<void> {
  await expect(async () => {
    await link(page).getByRole('button', { name: 'Search for drives' }).click();
    await expect(link(page).getByRole('combobox', { name: 'Drive' })).toContainText(product, {
      timeout: 2000,
    });
  }).toPass({ timeout: 20_000 });
  await readAgain(page);
}

/** Reads out once more; the page has kept it. */
export async function readAgain(page: Page): Promise<void> {
  const read = page.waitForResponse((r) => r.url().endsWith('/drives/read'));
  await link(page).getByRole('button', { name: 'Read out' }).click();
  expect((await read).ok()).toBe(true);
  await expect(page.getByText(/^Read out: \d+ parameters/)).toBeVisible();
}

/** Opens the trace page of a job, finds the winch's drive and reads it out. */
export async function readOut(page: Page, job: string): Promise<void> {
  await visit(page, `/jobs/${job}/fault-finding`);
  await findAndRead(page, 'Whimbrel W4');
}

const form = (page: Page) => page.getByRole('region', { name: 'Write to the drive' });

/** Says yes to both questions before a write, each of which alone is not enough, and writes. */
export async function confirmWrite(page: Page): Promise<void> {
  const go = form(page).getByRole('button', { name: 'Write and read back' });
  await expect(form(page).getByRole('note')).toContainText('may start');
  await expect(go).toBeDisabled();
  await form(page)
    .getByRole('checkbox', { name: /Run input open/ })
    .check();
  await expect(go).toBeDisabled();
  await form(page)
    .getByRole('checkbox', { name: /People are clear/ })
    .check();
  await go.click();
}
/** The same, and it was taken. */
export async function writeTaken(page: Page): Promise<void> {
  await confirmWrite(page);
  await expect(form(page)).toHaveCount(0, { timeout: 60_000 });
}

/** The page says it aloud. */
export const says = (page: Page, text: RegExp) =>
  expect(page.getByRole('status').filter({ hasText: text })).toBeVisible({ timeout: 8000 });

/** Opens a panel of a row of tabs, by the name of the row. */
export const panelOf = (page: Page, row: string, name: string) =>
  page.getByRole('tablist', { name: row, exact: true }).getByRole('tab', { name }).click();

/** Opens a panel of fault finding. */
export const panel = (page: Page, name: string) => panelOf(page, 'What to do', name);
