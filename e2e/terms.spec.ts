import type { Page } from '@playwright/test';
import {
  alive,
  allKept,
  choosePerson,
  entry,
  iceCrusher,
  marenId,
  netDrum,
  netDrumSwap,
  newJob,
  postEntries,
  pump,
  visit,
  winch,
} from './demo';
import { expect, test } from './test';

/** What must not be on a page in US terms. Notes of the demo's people have none of it. */
const international = [
  /[^\n]*\bearth(?:ed|ing|s)?\b[^\n]*/gi,
  /[^\n]*\d °C(?! \()(?!\n*= )[^\n]*/g,
  /[^\n]*(?<!lb·in \([\d.–]+ )\bN·m[^\n]*/g,
  /[^\n]*(?<!(?:AWG [\d/]+|kcmil) \([\d.]+ )mm²[^\n]*/g,
];

/** Whatever is folded in is opened, so that all texts are on the page. */
async function wordsOf(page: Page): Promise<string> {
  return page.locator('main').evaluate((main) => {
    for (const part of main.querySelectorAll('details')) part.open = true;
    return main instanceof HTMLElement ? main.innerText : '';
  });
}

async function expectUsTerms(page: Page, where: string): Promise<void> {
  const words = await wordsOf(page);
  const found = international.flatMap((term) => words.match(term) ?? []);
  expect({ where, found }).toEqual({ where, found: [] });
}

const pages = [
  '/',
  '/administration/trace-tables',
  '/drive-types',
  '/simulator',
  `/jobs/${pump}/bench-test`,
  `/jobs/${winch}/fault-finding`,
  `/jobs/${winch}/motor-and-cable`,
  `/jobs/${winch}/commissioning`,
  `/jobs/${winch}/repair-or-replace`,
  `/jobs/${netDrumSwap}/repair-or-replace`,
  `/jobs/${netDrumSwap}/preparation`,
  `/jobs/${netDrumSwap}/replacement`,
  `/jobs/${netDrum}/preparation`,
  `/jobs/${iceCrusher}/make-safe`,
  `/jobs/${iceCrusher}/first-power-up`,
];

/** Chooses terms as a person does. */
async function chooseTerms(page: Page, name: RegExp, lang: string): Promise<void> {
  await visit(page, '/administration');
  await page.getByRole('group', { name: 'Terms and units of your pages' }).getByText(name).click();
  await expect(page.locator('html')).toHaveAttribute('lang', lang);
  await alive(page);
}

test.describe('US terms', () => {
  test.beforeEach(async ({ page }) => {
    await choosePerson(page, marenId);
    await chooseTerms(page, /^US/, 'en-US');
  });
  test.afterEach(async ({ page }) => {
    await chooseTerms(page, /^International/, 'en');
  });

  test('every page and every tab of it speaks them', async ({ page }) => {
    test.setTimeout(300_000);
    for (const path of pages) {
      await visit(page, path);
      await page.locator('main').waitFor();
      const tabs = page.getByRole('tab');
      await expectUsTerms(page, path);
      for (let i = 1; i < (await tabs.count()); i += 1) {
        await tabs.nth(i).click();
        await expect(tabs.nth(i)).toHaveAttribute('aria-selected', 'true');
        await expectUsTerms(page, `${path} ${await tabs.nth(i).innerText()}`);
      }
    }
  });

  test('a temperature is typed in either unit, converted at once, and stored in °C', async ({ page }) => {
    const job = await newJob(page.request, 'Test pump');
    await postEntries(page.request, job, [
      entry(job, 'identify.motor', {
        plate: { power: { value: 7.5, unit: 'kW' }, volts: 400, amps: 14.8, hz: 50, rpm: 1455 },
        photos: [],
      }),
      entry(job, 'motor.disconnected', { drive: 'off', thermistors: 'none', encoder: 'none' }),
    ]);
    await visit(page, `/jobs/${job}/motor-and-cable`);
    const windings = page
      .locator('section')
      .filter({ has: page.getByRole('heading', { name: 'Winding resistance' }) });
    const temperature = windings.getByLabel('Winding temperature', { exact: true });
    await expect(windings).toContainText('= 68 °F');
    await temperature.fill('104 F');
    await expect(temperature).toHaveValue('104');
    await expect(windings.getByLabel('Unit of Winding temperature')).toHaveValue('us');
    await expect(windings).toContainText('= 40 °C');
    for (const pair of ['U to V', 'V to W', 'W to U']) await windings.getByLabel(pair).fill('2');
    await windings.getByRole('button', { name: 'Save the three readings' }).click();
    await allKept(page);
    const { entries } = (await (await page.request.get(`/api/v1/jobs/${job}/entries`)).json()) as {
      entries: { kind: string; payload: { temperature_C?: number } }[];
    };
    expect(entries.find((e) => e.kind === 'motor.winding')?.payload.temperature_C).toBe(40);
  });

  test('documents follow the customer, whoever reads them', async ({ page }) => {
    const job = await newJob(page.request, 'Test fan');
    await visit(page, `/jobs/${job}/call`);
    await page
      .getByRole('group', { name: 'Terms and units on this customer’s documents' })
      .getByText(/^International/)
      .click();
    await page.getByRole('button', { name: 'Save, go to Nameplates' }).click();
    await page.getByRole('heading', { name: 'Nameplates' }).waitFor();
    await allKept(page);
    await visit(page, `/jobs/${job}/report`);
    await expect(page.getByRole('link', { name: /^PDF/ }).first()).toHaveText('PDF, A4');
    await visit(page, `/jobs/${job}/call`);
    await page
      .getByRole('group', { name: 'Terms and units on this customer’s documents' })
      .getByText(/^US/)
      .click();
    await page.getByRole('button', { name: 'Save, go to Nameplates' }).click();
    await page.getByRole('heading', { name: 'Nameplates' }).waitFor();
    await allKept(page);
    await visit(page, `/jobs/${job}/report`);
    await expect(page.getByRole('link', { name: /^PDF/ }).first()).toHaveText('PDF, letter');
  });
});
