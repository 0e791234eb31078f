import type { Page } from '@playwright/test';
import { allKept } from './demo';
import { expect } from './test';
import { letPass, serverTime } from './here';

/** As a field of date and time takes it. */
const minutesAgo = (minutes: number): string => {
  const t = new Date(serverTime() - minutes * 60_000);
  return new Date(t.getTime() - t.getTimezoneOffset() * 60_000).toISOString().slice(0, 16);
};

/** Answers the sources by keyboard: isolated where named, not there elsewhere. */
export async function answerSources(page: Page, isolated: readonly string[]): Promise<void> {
  const rows = page.getByRole('group').filter({ has: page.getByRole('radio', { name: 'live' }) });
  const count = await rows.count();
  await rows.nth(0).getByRole('radio').first().focus();
  for (let i = 0; i < count; i += 1) {
    const name = (await rows.nth(i).getAttribute('aria-label')) ?? '';
    await page.keyboard.press(isolated.includes(name) ? 'i' : 'a');
    await page.keyboard.press('Enter');
  }
  await page.getByRole('button', { name: 'Confirm all sources' }).click();
}

export async function lockAndTag(page: Page, isolatedMinutesAgo: number): Promise<void> {
  await page.getByLabel('Isolated since').fill(minutesAgo(isolatedMinutesAgo));
  await page.getByLabel('Lock and tag', { exact: true }).fill('padlock 7, tag I. T.');
  await page.getByRole('button', { name: 'Save: locked and tagged' }).click();
  await expect(page.getByRole('button', { name: /2\. Lock and tag.*padlock 7/ })).toBeVisible();
}

export async function proveMeter(page: Page, when: 'before' | 'after'): Promise<void> {
  await page.getByLabel(`Known source DC, ${when}`).fill('proving unit');
  await page.getByLabel(`Meter reading DC, ${when}`).fill('240');
  await page.getByLabel(`Known source AC, ${when}`).fill('socket outlet');
  await page.getByLabel(`Meter reading AC, ${when}`).fill('231');
  await page.getByRole('button', { name: `Save: meter proven ${when}` }).click();
  const step = when === 'before' ? /4\. Prove the meter.*240 V DC/ : /Prove the meter again.*240 V DC/;
  await expect(page.getByRole('button', { name: step })).toBeVisible();
}

/** Types the figures, Enter after each; the bank again waits for its minute. */
export async function takeFigures(
  page: Page,
  bank: string,
  other: string,
  again: string,
  meanwhile: () => Promise<void> = async () => undefined,
): Promise<void> {
  const fields = page.getByRole('textbox', { name: /, volts$/ });
  const count = await fields.count();
  await fields.first().focus();
  for (let i = 0; i < count - 1; i += 1) {
    await page.keyboard.type(i === 0 ? bank : other);
    await page.keyboard.press('Enter');
  }
  await meanwhile();
  // The server counts the minute from when it has the first figure.
  await allKept(page);
  // The bank again after a minute: on the clock of the server, which the page follows with each answer.
  letPass(61);
  await page.evaluate(() => window.dispatchEvent(new Event('online')));
  const last = fields.last();
  await expect(last).toBeEnabled();
  await last.fill(again);
  await last.press('Enter');
}

/** On the page of making safe: everything up to a proof that holds. */
export async function proveDead(
  page: Page,
  isolated: readonly string[],
  isolatedMinutesAgo: number,
): Promise<void> {
  await expect(page.getByRole('heading', { name: 'Make safe', level: 1 })).toBeVisible();
  await answerSources(page, isolated);
  await lockAndTag(page, isolatedMinutesAgo);
  await proveMeter(page, 'before');
  await takeFigures(page, '11', '0.1', '11');
  await proveMeter(page, 'after');
  await allKept(page);
}

/** Types one reading into the big field. */
export async function read(page: Page, figure: string): Promise<void> {
  const field = page.getByRole('textbox', { name: 'What the meter shows, volts' });
  await expect(field).toBeFocused();
  if (figure === 'OL') await page.keyboard.press('o');
  else {
    await page.keyboard.type(figure);
    await page.keyboard.press('Enter');
  }
}
