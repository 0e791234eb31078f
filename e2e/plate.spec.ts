/** A motor plate and a drive label read from their photos, looked at, and taken over. */
import { readFileSync } from 'node:fs';
import { audit } from './audit';
import { choosePerson, inesId, newJob, picture, visit, watchConsole } from './demo';
import { toBuffer } from 'qrcode';
import { photoOf, readFromPhoto as list } from './photos';
import { expect, test } from './test';

test('a motor plate: read, what is sure is ticked, and the form is filled', async ({ page }) => {
  test.setTimeout(120_000);
  const errors = watchConsole(page);
  await choosePerson(page, inesId);
  const job = await newJob(page.request, 'Plate bench');
  const { plate, photo } = await photoOf(page, 'american', 1);
  await visit(page, `/jobs/${job}/nameplates`);
  await page
    .getByLabel('Photo of the motor nameplate')
    .setInputFiles([{ name: 'plate.jpg', mimeType: 'image/jpeg', buffer: photo }]);
  await expect(page.getByText(/^Reading the photo/)).toBeVisible();
  const volts = list(page)
    .getByRole('listitem')
    .filter({ has: page.getByLabel('Volts', { exact: true }) });
  await expect(volts.getByLabel('Volts', { exact: true })).toHaveValue('230 / 460', { timeout: 60_000 });
  await expect(volts.getByRole('checkbox')).toBeChecked();
  await expect(volts.getByRole('img', { name: 'As photographed' })).toHaveCount(2);
  await audit(page, 'plate reader');
  for (const box of await list(page).getByRole('checkbox').all()) await box.check();
  await page.getByRole('button', { name: 'Fill in what is ticked' }).click();
  const form = page.getByRole('form', { name: 'Motor nameplate' });
  const { power, amps = [], rpm = [], cosPhi } = plate.truth;
  await expect(form.getByRole('textbox', { name: 'Power', exact: true }).last()).toHaveValue(
    String(power[0]),
  );
  await expect(form.getByRole('textbox', { name: 'Speed', exact: true }).last()).toHaveValue(String(rpm[0]));
  await expect(form.getByRole('textbox', { name: 'cos φ' })).toHaveValue(String(cosPhi));
  await expect(form.getByRole('textbox', { name: /^Other pair, amps/ })).toHaveValue(String(amps[0]));
  expect(errors).toEqual([]);
});

test('a drive label fills the drive’s form; what is no picture is refused', async ({ page }) => {
  test.setTimeout(120_000);
  await choosePerson(page, inesId);
  const job = await newJob(page.request, 'Label bench');
  const { plate, photo } = await photoOf(page, 'labelSmall', 1);
  await visit(page, `/jobs/${job}/nameplates`);
  const field = page.getByLabel('Photo of the drive label');
  await field.setInputFiles([
    { name: 'list.png', mimeType: 'image/png', buffer: readFileSync('package.json') },
  ]);
  const form = page.getByRole('form', { name: 'Drive label' });
  await expect(page.getByRole('main').getByRole('alert')).toContainText('no picture');
  await field.setInputFiles([{ name: 'label.jpg', mimeType: 'image/jpeg', buffer: photo }]);
  await expect(list(page)).toBeVisible({ timeout: 60_000 });
  await picture(page, 'plate-reader');
  for (const box of await list(page).getByRole('checkbox').all()) await box.check();
  await page.getByRole('button', { name: 'Fill in what is ticked' }).click();
  const { outputAmps = [], serial = '', waitMinutes } = plate.truth;
  await expect(form.getByLabel('Rated output current')).toHaveValue(String(outputAmps[0]));
  await expect(form.getByLabel('Serial number').last()).toHaveValue(serial);
  await expect(form.getByLabel('Supply', { exact: true })).toHaveValue('230');
  await expect(form.getByLabel('Discharge time on the label')).toHaveValue(String(waitMinutes));
});

test('the code on a label gives type and serial number where no letter is left', async ({ page }) => {
  test.setTimeout(120_000);
  const errors = watchConsole(page);
  await choosePerson(page, inesId);
  const job = await newJob(page.request, 'Code bench');
  await visit(page, `/jobs/${job}/nameplates`);
  const photo = await toBuffer('TYPE: V7-12; S/N: 88-3301', { scale: 6, margin: 6 });
  await page
    .getByLabel('Photo of the drive label')
    .setInputFiles([{ name: 'code.png', mimeType: 'image/png', buffer: photo }]);
  await expect(list(page)).toBeVisible({ timeout: 60_000 });
  for (const box of await list(page).getByRole('checkbox').all()) await expect(box).toBeChecked();
  await page.getByRole('button', { name: 'Fill in what is ticked' }).click();
  const form = page.getByRole('form', { name: 'Drive label' });
  await expect(form.getByLabel('Serial number').last()).toHaveValue('88-3301');
  await expect(form.getByLabel('Type code', { exact: true })).toHaveValue('V7-12');
  expect(errors).toEqual([]);
});
