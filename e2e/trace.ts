import { expect, type Page } from '@playwright/test';
import { visit, winch } from './demo';

/** Contacts of the winch's inputs with run given and the interlock made. */
export const contacts = { DI1: true, DI2: false, DI3: true, DI4: false, DI5: false, DI6: false };

/** Opens the trace page of a job, finds the drive and reads it out. */
export async function readOut(page: Page, job = winch): Promise<void> {
  await visit(page, `/jobs/${job}/trace`);
  const link = page.getByRole('region', { name: 'Link to the drive' });
  await expect(async () => {
    await link.getByRole('button', { name: 'Look for drives' }).click();
    await expect(link.getByRole('combobox', { name: 'Drive' })).toContainText('Whimbrel W4', {
      timeout: 2000,
    });
  }).toPass({ timeout: 20_000 });
  await link.getByRole('button', { name: 'Read out' }).click();
  await expect(page.getByText(/^Read out: \d+ entries/)).toBeVisible();
}

/** The page says it aloud. */
export const says = (page: Page, text: RegExp) =>
  expect(page.getByRole('status').filter({ hasText: text })).toBeVisible({ timeout: 8000 });

export const panel = (page: Page, name: string) =>
  page.getByRole('group', { name: 'What to do' }).getByRole('button', { name }).click();
