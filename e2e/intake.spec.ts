import { expect, test } from './test';
import sharp from 'sharp';
import { choosePerson, inesId, reloadJob, watchConsole, visit } from './demo';

test('a new job in half a minute, then identified, with what the nameplate says at once', async ({
  page,
}) => {
  const said = watchConsole(page);
  await choosePerson(page, inesId);
  await visit(page, '/');
  const started = Date.now();
  await page.getByRole('link', { name: 'New job' }).click();
  // Nothing is chosen for anybody: who presses at once is asked.
  await page.getByRole('button', { name: 'Open job' }).click();
  await expect(page.getByText('Which one?')).toBeVisible();
  await page.getByLabel('Stopped since').selectOption('a time…');
  await page.getByLabel('Stopped at').fill('2030-01-01T08:00');
  await page.getByRole('button', { name: 'Open job' }).click();
  await expect(page.getByText('Day and time, not in the future')).toBeVisible();
  await page.getByLabel('Stopped at').fill('2026-11-20T13:05');
  await page.getByLabel('Downtime allowed').fill('90 min');
  await page.getByLabel('Work order').fill('WO-4711/2');
  await page
    .getByLabel('Machine', { exact: true })
    .selectOption({ label: 'Shellfish grading drum, Pellow Quay' });
  await page.getByLabel('What is wrong?').fill('Trips when it starts');
  await page.getByRole('button', { name: 'Open job' }).click();
  await expect(page.getByText(/Answer both questions about danger/)).toBeVisible();
  await expect(page.getByLabel('What is wrong?')).toHaveValue('Trips when it starts');
  await page.getByRole('group', { name: 'Is anyone in danger?' }).getByLabel('no', { exact: true }).check();
  await page.getByRole('group', { name: 'Is a load suspended?' }).getByLabel('not sure').check();
  await page.getByRole('button', { name: 'Open job' }).click();
  await expect(page.getByRole('heading', { name: 'Call' })).toBeVisible();
  expect(Date.now() - started).toBeLessThan(30_000);

  await page.getByLabel('What does the display show?').fill('OC-A');
  await page.getByLabel('a bang').check();
  await page.getByRole('button', { name: 'Save, go to Nameplates' }).click();

  // Free entry, with a badge that is not the maker's.
  const drive = page.getByRole('form', { name: 'Drive label' });
  await drive.getByRole('button', { name: 'Save drive nameplate' }).click();
  await expect(drive.getByText('Read it from the nameplate').first()).toBeVisible();
  await drive.getByLabel('Maker').fill('Sandpiper');
  await drive.getByLabel('Type code').fill('S-11');
  await drive.getByLabel('Brand on the cover').fill('Harbourline');
  await drive.getByLabel('Rated output current').fill('11,5');
  const [photo] = await Promise.all([
    page.waitForResponse((r) => r.url().endsWith('/api/v1/blobs') && r.status() === 201),
    drive.getByLabel('Photograph: Drive label').setInputFiles({
      name: 'label.jpg',
      mimeType: 'image/jpeg',
      buffer: await sharp({ create: { width: 3000, height: 1500, channels: 3, background: '#887766' } })
        .withExif({ IFD3: { GPSLatitude: '50/1 4/1 0/1', GPSLatitudeRef: 'N' } })
        .jpeg()
        .toBuffer(),
    }),
  ]);
  const { sha256 } = (await photo.json()) as { sha256: string };
  const kept = await sharp(
    await (await page.request.get(`/api/v1/blobs/${sha256}`, { maxRetries: 2 })).body(),
  ).metadata();
  expect(kept.exif).toBeUndefined();
  expect(kept.width).toBe(2000);
  await drive.getByRole('button', { name: 'Save drive nameplate' }).click();
  await expect(page.getByText('Drive nameplate saved.')).toBeVisible();

  const motor = page.getByRole('form', { name: 'Motor nameplate' });
  for (const [label, value] of [
    ['Power', '5,5'],
    ['Volts', '400'],
    ['Amps', '112'],
    ['Speed', '1455'],
  ] as const)
    await motor.getByLabel(label, { exact: true }).fill(value);
  await expect(motor.getByText(/Power far too low for this current/)).toBeVisible();
  await motor.getByLabel('Amps', { exact: true }).fill('11.2');
  await expect(motor.getByText(/4 poles/)).toBeVisible();
  await expect(motor.getByText(/Power far too low/)).toBeHidden();
  await motor.getByRole('button', { name: 'Save motor nameplate' }).click();
  await expect(page.getByText('Motor nameplate saved.')).toBeVisible();

  await page.getByRole('button', { name: 'Go to As found' }).click();
  await expect(page.getByText('Do not restore mains to read the display.').first()).toBeVisible();
  await page.getByRole('button', { name: 'unsafe to energise' }).click();
  await expect(page.getByRole('heading', { name: 'Inspection' })).toBeVisible();
  for (const item of [
    'Capacitors',
    'Soot or arc marks',
    'Moisture, salt, dust',
    'Fan',
    'Lugs and terminals',
    'Fuses',
  ])
    await page.getByRole('group', { name: item }).getByLabel('clear').check();
  await page.getByRole('group', { name: 'Smell' }).getByLabel('found').check();
  await page.getByLabel('What exactly?').fill('burnt varnish');
  await page.getByLabel('What exactly?').blur();
  await expect(page.getByRole('complementary').getByText('Smell: found: “burnt varnish”')).toBeVisible();
  await reloadJob(page);
  await expect(page.getByRole('complementary').getByText('Smell: found: “burnt varnish”')).toBeVisible();
  // By the customer's number it is found again.
  const address = new URL(page.url()).pathname.replace(/\/[^/]*$/, '');
  await visit(page, '/?search=wo-4711%2F2');
  await expect(page.locator(`a[href="${address}"]`)).toContainText('Shellfish grading drum');
  expect(said).toEqual([]);
});

test('what is no picture is refused with words that help', async ({ request }) => {
  const answer = await request.post('/api/v1/blobs', { data: Buffer.from('picture cannot be read') });
  expect(answer.status()).toBe(422);
  expect(((await answer.json()) as { error: string }).error).toMatch(/use JPEG/);
});
