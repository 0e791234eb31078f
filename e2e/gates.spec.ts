import type { Page } from '@playwright/test';
import { answerSources, lockAndTag, proveMeter } from './hands';
import { expect, test } from './test';
import {
  choosePerson,
  entry,
  iceCrusher,
  inesId,
  odoId,
  newJob,
  pipId,
  pump,
  visit,
  postEntries,
} from './demo';

const field = { name: 'What the meter shows, volts' };

test('the ice crusher stays locked: its capacitor bank is not empty', async ({ page }) => {
  await choosePerson(page, inesId);
  await visit(page, `/jobs/${iceCrusher}/bench-test`);
  await expect(page.getByText(/38.4 V measured; a diode test needs 5 V or less/)).toBeVisible();
  await expect(page.getByRole('textbox', field)).toBeDisabled();
  await visit(page, `/jobs/${iceCrusher}/make-safe`);
  await expect(page.getByText(/This cannot be overridden/)).toBeVisible();
});

test('a reading sent past the locked page is kept, and does not count', async ({ page }) => {
  await choosePerson(page, inesId);
  const reading = entry(iceCrusher, 'static.reading', {
    red: 'L1',
    black: 'DC+',
    value: 0.45,
    typed: '0.45',
  });
  await postEntries(page.request, iceCrusher, [reading]);
  await visit(page, `/jobs/${iceCrusher}/bench-test`);
  await expect(page.getByText(/Does not count: 38.4 V measured/)).toBeVisible();
  await expect(page.getByRole('button', { name: /^L1 to DC\+: not measured/ })).toBeVisible();
});

test('the brine pump is sound: not shorted, and nowhere called good', async ({ page }) => {
  await visit(page, `/jobs/${pump}/sheet`);
  await expect(page.getByText('Not shorted. All devices read normal.')).toBeVisible();
  await expect(page.getByText('Verdict level: not shorted')).toBeVisible();
  await expect(page.getByText(/whether the IGBTs switch/)).toBeVisible();
  expect(await page.locator('main').innerText()).not.toMatch(/\bgood\b/i);
});

test('another person must prove dead again, and an apprentice cannot', async ({ page }) => {
  await choosePerson(page, odoId);
  await visit(page, `/jobs/${pump}/bench-test`);
  await expect(
    page.getByText(/Proven dead by Maren Holt. The person taking over must prove it again/),
  ).toBeVisible();
  await expect(page.getByRole('textbox', field)).toBeDisabled();
  await choosePerson(page, pipId);
  await visit(page, `/jobs/${pump}/make-safe`);
  await expect(page.getByText('Safety steps are locked for apprentices.')).toBeVisible();
  await page.getByRole('button', { name: /1. Energy sources/ }).click();
  await expect(page.getByRole('radio', { name: 'live' }).first()).toBeDisabled();
  await choosePerson(page, inesId);
});

/** A job with a Godwit G4-12 on its nameplates page. */
async function withGodwit(page: Page): Promise<string> {
  const jobId = await newJob(page.request, 'Net-drum');
  await visit(page, `/jobs/${jobId}/nameplates`);
  await page.getByLabel('Type', { exact: true }).selectOption({ label: 'Godwit G4-12' });
  await page.getByRole('button', { name: 'Save drive nameplate' }).click();
  await expect(page.getByText('Drive nameplate saved.')).toBeVisible();
  return jobId;
}

test('what only earlier pages made is refused, and says what to do', async ({ page }) => {
  const former = entry(pump, 'safety.meter', { when: 'before', source: 'battery', volts: 9 });
  const answer = await page.request.post(`/api/v1/jobs/${pump}/entries`, { data: { entries: [former] } });
  expect(await answer.text()).toContain('reload it');
});

test('12 V AC between two lines is not isolated, and a battery proves no meter', async ({ page }) => {
  await choosePerson(page, inesId);
  await visit(page, `/jobs/${await withGodwit(page)}/make-safe`);
  await answerSources(page, ['Mains supply']);
  await page.getByLabel('Isolated since').fill('2090-01-01T00:00');
  await page.getByLabel('Lock and tag', { exact: true }).fill('padlock 7');
  await page.getByRole('button', { name: 'Save: locked and tagged' }).click();
  await expect(page.getByText('This is in the future.')).toBeVisible();
  await lockAndTag(page, 10);
  await page.getByLabel('Known source DC, before').fill('battery');
  await page.getByLabel('Meter reading DC, before').fill('9');
  await page.getByLabel('Meter reading AC, before').fill('231');
  await page.getByRole('button', { name: 'Save: meter proven before' }).click();
  await expect(page.getByText(/At least 216 V for this drive/)).toBeVisible();
  await proveMeter(page, 'before');
  const pair = page.getByRole('textbox', { name: 'L1 to L2, AC, line to line, volts' });
  const caution = page.getByText('12 V AC at L1 to L2, line to line: not isolated.');
  for (const volts of ['12', '0']) {
    await pair.fill(volts);
    await pair.press('Enter');
    await expect(caution).toBeVisible();
  }
  await expect(page.getByText(/Bench test locked: 12 V AC measured at L1 to L2, line to line/)).toBeVisible();
  await page.getByRole('button', { name: /1. Energy sources/ }).click();
  await answerSources(page, ['Mains supply', 'Mains on relay contacts']);
  await expect(caution).toHaveCount(0);
  await expect(page.getByText(/Bench test locked: The drive is not proven dead yet/)).toBeVisible();
});

test('without a bank terminal only removal with covers on is left', async ({ page }) => {
  await choosePerson(page, inesId);
  const jobId = await withGodwit(page);
  await visit(page, `/jobs/${jobId}/make-safe`);
  await page.getByRole('button', { name: /5. Prove dead/ }).click();
  await page.getByRole('button', { name: 'No bank terminal accessible' }).click();
  await expect(page.getByText('No bank terminal accessible: treat as charged.').first()).toBeVisible();
  await visit(page, `/jobs/${jobId}/bench-test`);
  await expect(page.getByText(/Only removal with covers on/)).toBeVisible();
  await expect(page.getByRole('textbox', field)).toBeDisabled();
});

test('the site may lower its limits, not raise them; only the lead', async ({ page }) => {
  const put = async (hands_V: number) => {
    const { version } = (await (await page.request.get('/api/v1/settings')).json()) as { version: string };
    return page.request.put(`/api/v1/settings?seen=${version}`, { data: { hands_V, test_V: 5 } });
  };
  await choosePerson(page, inesId);
  expect((await put(25)).status()).toBe(403);
  await choosePerson(page, odoId);
  expect((await put(60)).status()).toBe(422);
  await visit(page, '/administration');
  await page.getByLabel('Work inside').fill('25');
  await page.getByRole('button', { name: 'Save limits' }).click();
  await expect(page.getByText(/Limits saved/)).toBeVisible();
  // Somebody else, in another tab, meanwhile: what they set is not overwritten by a page that never showed it.
  expect((await put(50)).ok()).toBe(true);
  await page.getByLabel('Work inside').fill('30');
  await page.getByRole('button', { name: 'Save limits' }).click();
  await expect(page.getByText(/Someone changed this since you opened the page/)).toBeVisible();
  await expect(page.getByLabel('Work inside')).toHaveValue('30');
  await choosePerson(page, inesId);
});
