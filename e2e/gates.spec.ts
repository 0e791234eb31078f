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

test('the ice crusher stays locked: its bank is not empty', async ({ page }) => {
  await choosePerson(page, inesId);
  await visit(page, `/jobs/${iceCrusher}/bench`);
  await expect(page.getByText(/38.4 V measured; a diode test needs 5 V or less/)).toBeVisible();
  await expect(page.getByRole('textbox', field)).toBeDisabled();
  await visit(page, `/jobs/${iceCrusher}/make-safe`);
  await expect(page.getByText(/Nobody can override this/)).toBeVisible();
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
  await visit(page, `/jobs/${iceCrusher}/bench`);
  await expect(page.getByText(/Does not count: 38.4 V measured/)).toBeVisible();
  await expect(page.getByRole('button', { name: /^L1 to DC\+: not probed/ })).toBeVisible();
});

test('the brine pump is sound: not shorted, and nowhere called good', async ({ page }) => {
  await visit(page, `/jobs/${pump}/sheet`);
  await expect(page.getByText('Not shorted. Every position reads as it should.')).toBeVisible();
  await expect(page.getByText('Verdict level: not shorted')).toBeVisible();
  await expect(page.getByText(/whether the transistors switch/)).toBeVisible();
  expect(await page.locator('main').innerText()).not.toMatch(/\bgood\b/i);
});

test('another person must prove dead again, and an apprentice cannot', async ({ page }) => {
  await choosePerson(page, odoId);
  await visit(page, `/jobs/${pump}/bench`);
  await expect(page.getByText(/Proven dead by Maren Holt. Whoever takes over proves it again/)).toBeVisible();
  await expect(page.getByRole('textbox', field)).toBeDisabled();
  await choosePerson(page, pipId);
  await visit(page, `/jobs/${pump}/make-safe`);
  await expect(page.getByText('Safety steps are locked for apprentices.')).toBeVisible();
  await page.getByRole('button', { name: /1. Every source of energy/ }).click();
  await expect(page.getByRole('radio', { name: 'live' }).first()).toBeDisabled();
  await choosePerson(page, inesId);
});

test('without a bank terminal only removal with covers on is left', async ({ page }) => {
  await choosePerson(page, inesId);
  const jobId = await newJob(page.request, 'Net-drum');
  await visit(page, `/jobs/${jobId}/make-safe`);
  await expect(page.getByRole('button', { name: 'Identify the drive first' })).toBeVisible();
  await visit(page, `/jobs/${jobId}/identify`);
  await page.getByLabel('Type', { exact: true }).selectOption({ label: 'Godwit G4-12' });
  await page.getByRole('button', { name: 'Keep drive label' }).click();
  await expect(page.getByText('Drive label kept.')).toBeVisible();
  await visit(page, `/jobs/${jobId}/make-safe`);
  await page.getByRole('button', { name: /5. Prove dead/ }).click();
  await page.getByRole('button', { name: 'No bank terminal within reach' }).click();
  await expect(page.getByText('No bank terminal within reach: treat as charged.').first()).toBeVisible();
  await visit(page, `/jobs/${jobId}/bench`);
  await expect(page.getByText(/Only removal with covers on/)).toBeVisible();
  await expect(page.getByRole('textbox', field)).toBeDisabled();
});

test('the site may lower its limits, not raise them; only the lead', async ({ page }) => {
  await choosePerson(page, inesId);
  const asTechnician = await page.request.put('/api/v1/settings', { data: { hands_V: 25, test_V: 5 } });
  expect(asTechnician.status()).toBe(403);
  await choosePerson(page, odoId);
  expect((await page.request.put('/api/v1/settings', { data: { hands_V: 60, test_V: 5 } })).status()).toBe(
    422,
  );
  await visit(page, '/settings');
  await page.getByLabel('Hands').fill('25');
  await page.getByRole('button', { name: 'Keep limits' }).click();
  await expect(page.getByText(/Limits kept/)).toBeVisible();
  expect((await page.request.put('/api/v1/settings', { data: { hands_V: 50, test_V: 5 } })).ok()).toBe(true);
  await choosePerson(page, inesId);
});
