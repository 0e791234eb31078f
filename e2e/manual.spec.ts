/** A manual of a make that nobody has described becomes a draft of a drive type. */
import { layouts } from '../checks/manuals/layouts';
import { makes } from '../checks/manuals/makes';
import { audit } from './audit';
import { choosePerson, inesId, picture, visit, watchConsole } from './demo';
import { photoOf, readFromPhoto } from './photos';
import { expect, test } from './test';
import { panelOf } from './trace';
import type { Page } from '@playwright/test';

const manual = 'Manual or parameter list';

/** The manual of an invented make, printed by the browser of the test. */
async function printed(page: Page, name: string, layout: keyof typeof layouts): Promise<Buffer> {
  const make = makes.find((m) => m.name.startsWith(name));
  const html = layouts[layout];
  if (make === undefined || html === undefined) throw new Error(`no manual of ${name}, ${layout}`);
  const printer = await page.context().newPage();
  await printer.setContent(html(make));
  const pdf = await printer.pdf({ preferCSSPageSize: true });
  await printer.close();
  return pdf;
}

test('from a manual to a draft: read, asked, answered, saved, and there after a reload', async ({ page }) => {
  test.setTimeout(120_000);
  const errors = watchConsole(page);
  await choosePerson(page, inesId);
  const pdf = {
    name: 'avocet.pdf',
    mimeType: 'application/pdf',
    buffer: await printed(page, 'Avocet', 'overHeads'),
  };
  await visit(page, '/drive-types');
  await page.getByRole('link', { name: 'Read a manual' }).click();
  await page.getByLabel(manual).setInputFiles([pdf]);
  await expect(page.getByText('Enter maker and range first')).toBeVisible();
  await page.getByRole('textbox', { name: 'Maker' }).fill('Avocet');
  await page.getByRole('textbox', { name: 'Range' }).fill('A1');
  await page.getByLabel(manual).setInputFiles([pdf]);
  await expect(page.getByRole('heading', { name: 'Avocet A1: 54 parameters, 17 faults' })).toBeVisible();
  await expect(page.getByText('Saved as a draft.')).toBeVisible();
  const coverage = page.getByRole('list', { name: 'How complete it is' });
  await expect(coverage).toContainText('Fault finding100 %');
  const chain = coverage.getByRole('listitem').filter({ hasText: 'Run chain' });
  const percent = async (): Promise<number> => Number(/(\d+) %/.exec(await chain.innerText())?.[1]);
  const before = await percent();
  expect(before).toBeLessThan(100);
  // The first question is one that unlocks something; its row is shown on its page.
  const question = page.getByRole('group', { name: 'Question' });
  await expect(question).toContainText('Without it:');
  await expect(question.getByRole('img', { name: /^Page \d+$/ })).toBeVisible({ timeout: 20_000 });
  await picture(page, 'manual-reader');
  await audit(page, 'read a manual');
  await question.getByRole('button', { name: 'Yes, save' }).click();
  await expect.poll(percent).toBeGreaterThan(before);
  const after = await percent();
  // A meaning belongs to one parameter: the one that had it loses it.
  const list = page.getByRole('region', { name: 'Parameters of the draft' });
  await list.getByRole('button', { name: 'Change the meaning of 2010:01' }).click();
  await list.getByRole('combobox', { name: 'Meaning of 2010:01' }).selectOption({ label: 'motor voltage' });
  await expect(list.getByRole('row').filter({ hasText: '2010:02' })).toContainText('none');
  await expect(page.getByText('Saved as a draft.')).toBeVisible();

  await page.reload();
  await page.getByRole('button', { name: /Open Avocet A1, 54 parameters/ }).click();
  // The manual stayed on this device: from any parameter to its place.
  await list.getByRole('button', { name: /^Show 2010:01 on page/ }).click();
  await expect(page.getByRole('region', { name: /^Page \d+ of the manual$/ }).last()).toBeVisible({
    timeout: 20_000,
  });
  await expect(list.getByRole('row').filter({ hasText: '2010:01' })).toContainText('motor voltage');
  expect(await percent()).toBe(after);
  expect(errors).toEqual([]);
});

test('files that are no manual are refused with words that help, and the page stays', async ({ page }) => {
  await choosePerson(page, inesId);
  const whole = await printed(page, 'Turnstone', 'plain');
  await visit(page, '/drive-types/manual');
  await page.getByRole('textbox', { name: 'Maker' }).fill('Nobody');
  await page.getByRole('textbox', { name: 'Range' }).fill('N1');
  const give = (name: string, buffer: Buffer) =>
    page.getByLabel(manual).setInputFiles([{ name, mimeType: 'application/octet-stream', buffer }]);
  await give('half.pdf', whole.subarray(0, 300));
  await expect(page.getByRole('main').getByRole('alert')).toContainText('damaged or is no PDF');
  await give('cat.jpg', Buffer.from([0xff, 0xd8, 0xff, 0xe0, 0, 16, 0x4a, 0x46, 0x49, 0x46, 0, 1]));
  await expect(page.getByRole('main').getByRole('alert')).toContainText(
    'neither a PDF, a spreadsheet nor text',
  );
  await give('letter.txt', Buffer.from('A letter.\nIt has no table.\n'));
  await expect(page.getByText('No table of parameters or faults was found.')).toBeVisible();
  await expect(page.getByRole('textbox', { name: 'Maker' })).toHaveValue('Nobody');
  await give(
    'list.csv',
    Buffer.from('No;Name;Range;Default\nP01;Max. speed;5 - 300 Hz;50\nP02;Run-up time;0.1 - 99 s;4\n'),
  );
  await expect(page.getByRole('heading', { name: 'Nobody N1: 2 parameters, 0 faults' })).toBeVisible();
});

test('without the server the draft stays on the page and is saved later', async ({ page, context }) => {
  await choosePerson(page, inesId);
  await visit(page, '/drive-types/manual');
  await page.getByRole('textbox', { name: 'Maker' }).fill('Away');
  await page.getByRole('textbox', { name: 'Range' }).fill('A9');
  const list = 'No;Name;Range;Default\nP01;Max. speed;5 - 300 Hz;50\nP02;Run-up time;0.1 - 99 s;4\n';
  await page
    .getByLabel(manual)
    .setInputFiles([{ name: 'a.csv', mimeType: 'text/csv', buffer: Buffer.from(list) }]);
  await expect(page.getByText('Saved as a draft.')).toBeVisible();
  await context.setOffline(true);
  const row = page.getByRole('region', { name: 'Parameters of the draft' });
  await row.getByRole('button', { name: 'Change the meaning of P01' }).click();
  await row.getByRole('combobox', { name: 'Meaning of P01' }).selectOption({ label: 'jog frequency' });
  await expect(page.getByRole('main').getByRole('alert')).toContainText('Server not reachable');
  await context.setOffline(false);
  await page.getByRole('button', { name: 'Save again' }).click();
  await expect(page.getByText('Saved as a draft.')).toBeVisible();
  await page.reload();
  await page.getByRole('button', { name: /Open Away A9/ }).click();
  await expect(row.getByRole('row').filter({ hasText: 'P01' })).toContainText('jog frequency');
});

test('an unlisted make: from its manual and a plate photo to a start-up sheet, a traced fault and a translated set', async ({
  page,
}) => {
  test.setTimeout(150_000);
  const errors = watchConsole(page);
  await choosePerson(page, inesId);
  let inputs = 0;
  const fill = async (name: string, value: string): Promise<void> => {
    inputs += 1;
    await page.getByRole('textbox', { name, exact: true }).fill(value);
  };
  const press = async (name: string | RegExp): Promise<void> => {
    inputs += 1;
    await page.getByRole('button', { name }).click();
  };
  await visit(page, '/drive-types/manual');
  await fill('Maker', 'Avocet');
  await fill('Range', 'A7');
  inputs += 1;
  await page
    .getByLabel(manual)
    .setInputFiles([
      { name: 'avocet.pdf', mimeType: 'application/pdf', buffer: await printed(page, 'Avocet', 'overHeads') },
    ]);
  await expect(page.getByText('Saved as a draft.')).toBeVisible();
  // A form that is not filled says what is missing, and nothing is added.
  await page.getByRole('button', { name: 'Add to the catalogue' }).click();
  await expect(page.getByText('Read it from the rating label')).toBeVisible();
  await fill('Type code', 'A7-12');
  await fill('Rated output current', '12');
  await fill('Motor power', '5.5');
  await fill('Supply', '400');
  await fill('Discharge time on the label', '5');
  await press('Add to the catalogue');
  await expect(page.getByRole('heading', { name: 'Avocet A7 is in the catalogue' })).toBeVisible();
  await audit(page, 'a type from a manual');

  // Going to another page is an input, too.
  inputs += 1;
  await visit(page, '/begin');
  await press(/^New motor or settings/);
  await expect(page.getByRole('heading', { name: 'Nameplates' })).toBeVisible();
  const job = /jobs\/([0-9a-f-]+)/.exec(page.url())?.[1] ?? '';
  inputs += 1;
  await page
    .getByRole('form', { name: 'Drive label' })
    .getByRole('combobox', { name: 'Type' })
    .selectOption({ label: 'Avocet A7-12' });
  await press('Save drive nameplate');
  await expect(page.getByText('Drive nameplate saved.')).toBeVisible();
  inputs += 1;
  const { photo } = await photoOf(page, 'twoByTwo', 1);
  await page
    .getByLabel('Photo of the motor nameplate')
    .setInputFiles([{ name: 'plate.jpg', mimeType: 'image/jpeg', buffer: photo }]);
  await expect(readFromPhoto(page)).toBeVisible({ timeout: 60_000 });
  for (const box of await readFromPhoto(page).getByRole('checkbox').all())
    if (!(await box.isChecked())) {
      inputs += 1;
      await box.check();
    }
  await press('Fill in what is ticked');
  await press('Save motor nameplate');
  await expect(page.getByText('Motor nameplate saved.')).toBeVisible();
  inputs += 1;
  await visit(page, `/jobs/${job}/commissioning`);
  await press('Make start-up sheet');
  const sheet = page.getByRole('list', { name: 'Start-up sheet' });
  await expect(sheet.getByRole('listitem').filter({ hasText: '2010:01' })).toContainText('4 kW');
  await expect(page.getByText('The link to a drive opens in a job')).toBeVisible();

  inputs += 1;
  await visit(page, `/jobs/${job}/fault-finding`);
  await expect(
    page.getByText('From supply to output: the first open condition stops the drive.'),
  ).toBeVisible();
  inputs += 1;
  await page
    .getByRole('combobox', { name: 'Active fault' })
    .selectOption({ label: 'd.03: Short circuit to the earth' });
  const tracer = page.getByRole('region', { name: 'Tracer' });
  await expect(tracer.getByRole('list', { name: 'Likely causes' })).toContainText('insulation');
  // Typed, chosen and pressed no more often than this, from the maker's name to the likely causes, with every change of page.
  expect(inputs).toBeLessThanOrEqual(22);
  await audit(page, 'trace of a type from a manual');

  // From a parameter of the finished type to its place in the manual; on another device the file is asked for.
  await visit(page, `/jobs/${job}/commissioning`);
  const opened = page.waitForEvent('popup');
  await sheet.getByRole('link', { name: /^2010:01 on page \d+ of the manual/ }).click();
  const place = await opened;
  await expect(place.getByRole('region', { name: /^Page \d+ of the manual$/ })).toBeVisible();
  await audit(place, 'a parameter in its manual');
  await place.evaluate(() => caches.delete('manuals'));
  await place.reload();
  await expect(place.getByText('The manual is not on this device')).toBeVisible();
  await place.close();

  // The old unit was a Knot: what was in it, by the new one's numbers.
  await visit(page, `/jobs/${job}/commissioning`);
  await panelOf(page, 'Commissioning', 'Parameter sets');
  await page.getByRole('combobox', { name: 'Type' }).selectOption('knot-k3');
  await page.getByRole('textbox', { name: 'Rated output current of that unit' }).fill('10');
  await page.getByRole('textbox', { name: 'Rated power of that unit' }).fill('4');
  await page.getByRole('textbox', { name: 'Numbers and values' }).fill('B-02\t7.4\nB-07\t150');
  await page.getByRole('textbox', { name: 'Name' }).fill('Paper of the old unit');
  await page.getByRole('button', { name: /^Save \d+ values/ }).click();
  await panelOf(page, 'Actions for the set', 'Translate');
  const translated = page.getByRole('list', { name: 'Translation' });
  await expect(translated.getByRole('listitem').filter({ hasText: 'B-02' })).toContainText('7.4 A');
  await expect(translated.getByRole('listitem').filter({ hasText: 'B-02' })).toContainText('2010:03');
  expect(errors).toEqual([]);
});
