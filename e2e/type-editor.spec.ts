/** A drive type changed on screen: checked, saved in versions, compared, handed on as one file and taken in again. */
import { readFileSync } from 'node:fs';
import type { Page } from '@playwright/test';
import { audit } from './audit';
import { choosePerson, inesId, odoId, visit, watchConsole } from './demo';
import { expect, test } from './test';

const part = (page: Page, name: RegExp) =>
  page.getByRole('group', { name: 'Part of the type' }).getByRole('button', { name }).click();
const press = (page: Page, name: string | RegExp) => page.getByRole('button', { name }).click();

/** Opens the first parameter that is found by some words. */
async function openParameter(page: Page, words: string, title: string): Promise<void> {
  await part(page, /^Parameters/);
  await page.getByRole('textbox', { name: 'Find in Parameters' }).fill(words);
  await press(page, title);
}

test('a copy of a supplied type: changed, wrong and put right, saved twice, compared, gone back to', async ({
  page,
}, info) => {
  test.setTimeout(120_000);
  const errors = watchConsole(page);
  await choosePerson(page, odoId);
  await visit(page, '/drive-types');
  await page.getByRole('combobox', { name: 'Type' }).selectOption({ label: 'Knot K3' });
  await page.getByRole('link', { name: 'Edit Knot K3' }).click();
  await expect(page.getByRole('textbox', { name: 'Id', exact: true })).toHaveValue('knot-k3-own');
  await audit(page, 'type editor');

  await part(page, /^Faults/);
  await expect(page.getByRole('list', { name: 'Faults' }).getByRole('listitem').first()).toBeVisible();
  await part(page, /^Parameters/);
  const [first = ''] = await page
    .getByRole('list', { name: 'Parameters' })
    .getByRole('button')
    .allTextContents();
  await openParameter(page, first.split(' ')[0] ?? '', first);
  const name = page.getByRole('textbox', { name: 'Name', exact: true }).first();
  const before = await name.inputValue();
  await name.fill('');
  await press(page, 'Check');
  await expect(page.getByRole('main').getByRole('alert').last()).toContainText('1 to correct');
  await expect(page.getByRole('button', { name: /Parameters \(\d+\) – to correct/ })).toBeVisible();
  await name.fill('Name of ours');
  await press(page, 'Check');
  await expect(page.getByText('No errors found.')).toBeVisible();

  await page.getByRole('textbox', { name: 'Note for this version' }).fill('firmware 2.1');
  await press(page, 'Save this type');
  await expect(page).toHaveURL(/type=knot-k3-own$/);
  await expect(page.getByText(/^Version 1\. Every change/)).toBeVisible();
  await expect(page.getByRole('cell', { name: 'firmware 2.1' })).toBeVisible();

  await openParameter(page, 'Name of ours', first.replace(before, 'Name of ours'));
  await page.getByRole('textbox', { name: 'Name', exact: true }).first().fill(before);
  await press(page, 'Compare version 1');
  await expect(page.getByText('1 place differs from version 1.')).toBeVisible();
  await press(page, 'Save this type');
  await expect(page.getByText(/^Version 2\. Every change/)).toBeVisible();

  await press(page, 'Run in the simulator');
  await expect(page).toHaveURL(/simulator$/);
  await expect(page.getByRole('combobox', { name: 'Drive', exact: true })).toHaveValue(/^knot-k3-own /);
  await page.goBack();

  await press(page, 'Compare version 1');
  await press(page, 'Go back to version 1');
  await expect(page.getByText('Nothing differs from version 1.')).toBeVisible();
  await press(page, 'Undo');
  await expect(page.getByText('1 place differs from version 1.')).toBeVisible();

  const handed = page.waitForEvent('download');
  await press(page, 'Save as one file');
  const file = info.outputPath('knot.json');
  await (await handed).saveAs(file);
  expect(JSON.parse(readFileSync(file, 'utf8'))).toMatchObject({ type: { id: 'knot-k3-own' } });
  await visit(page, '/drive-types');
  await page.getByLabel('Files of the type').setInputFiles(file);
  await expect(page.getByText('No errors found.')).toBeVisible();
  expect(errors).toEqual([]);
});

test('what was not saved is there after a reload; a technician hands it on; somebody else’s version is not overwritten', async ({
  page,
}) => {
  test.setTimeout(90_000);
  await choosePerson(page, inesId);
  await visit(page, '/drive-types/edit?type=dunlin-d1');
  await page.getByRole('textbox', { name: 'Range' }).fill('D1 of ours');
  await expect(page.getByRole('button', { name: 'Save this type' })).toBeDisabled();
  await page.reload();
  await expect(page.getByRole('textbox', { name: 'Range' })).toHaveValue('D1 of ours');
  await press(page, 'Discard them');
  await expect(page.getByRole('textbox', { name: 'Range' })).toHaveValue('D1');
  const post = (seen: number, about: string) =>
    page.request.get('/api/v1/catalogue/dunlin-d1/files').then(async (answer) => {
      const { type, control } = (await answer.json()) as { type: object; control: object };
      return page.request.post('/api/v1/catalogue', {
        data: {
          type: JSON.stringify({ ...type, id: 'dunlin-two-tabs', about }),
          control: JSON.stringify(control),
          ...{ keep: true, seen },
        },
      });
    });
  expect((await post(0, 'by a technician')).status()).toBe(403);
  await choosePerson(page, odoId);
  expect((await post(0, 'first')).status()).toBe(200);
  await visit(page, '/drive-types/edit?type=dunlin-two-tabs');
  expect((await post(1, 'second, from another tab')).status()).toBe(200);
  await page.getByRole('textbox', { name: 'About' }).fill('third');
  await press(page, 'Save this type');
  await expect(page.getByRole('main').getByRole('alert')).toContainText('Someone saved another version');
  await expect(page.getByRole('textbox', { name: 'About' })).toHaveValue('third');
  await choosePerson(page, inesId);
});
