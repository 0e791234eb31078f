/** Parameter sets: read out, audited, compared, and a set of another type carried over with its choices. */
import { readFileSync } from 'node:fs';
import type { Page } from '@playwright/test';
import { expect, test } from './test';
import { boatWinch, choosePerson, inesId, picture, reloadJob, visit, watchConsole } from './demo';
import { order, winchReady } from './rig';
import { findAndRead, jobWith, panelOf } from './trace';

const sets = (page: Page) => panelOf(page, 'Commissioning', 'Parameter sets');
const view = (page: Page, name: string) => panelOf(page, 'Actions for the set', name);
const findings = (page: Page) => page.getByRole('list', { name: 'Findings' });

/** Entries of the old drive as somebody wrote them down, one that it does not have among them. */
const knotTable = (): string => {
  const control = JSON.parse(readFileSync('catalogue/knot-k3/control.json', 'utf8')) as {
    parameters: { number: string; min: unknown; default: unknown; choices?: unknown }[];
  };
  const lines = control.parameters
    .filter((p) => typeof p.default === 'number')
    .map((p) => `${p.number}\t${String(p.default)}`);
  return ['number\tvalue', ...lines, 'B-02\t7,4 A', 'Z-77\t1']
    .filter((l) => !l.startsWith('B-05'))
    .join('\n');
};

test.beforeEach(async ({ page }) => {
  page.setDefaultTimeout(20_000);
  await choosePerson(page, inesId);
  await winchReady(page.request);
});

test('a read-out is a set: audited against the nameplate, compared with the factory, given out', async ({
  page,
}) => {
  const errors = watchConsole(page);
  const job = await jobWith(page, boatWinch, 'A winch with its set', 'as there');
  await order(page.request, { set: { 'restart.power-on': 'on', 'motor.current': 15, 'ramp.up': 12 } });
  await visit(page, `/jobs/${job}/commissioning`);
  await page.getByRole('button', { name: 'Make start-up sheet' }).click();
  await findAndRead(page, 'Whimbrel W4');
  await sets(page);
  await expect(findings(page)).toContainText('Motor current does not match the nameplate.');
  await expect(findings(page)).toContainText('The machine may start when power returns.');
  await expect(findings(page).getByRole('listitem').first()).toContainText('wrong');
  await expect(page.getByText(/\d+ not judged/)).toBeVisible();

  await view(page, 'Compare');
  const row = page.getByRole('row').filter({ hasText: 'acceleration time' });
  await expect(row).toContainText('12 s');
  await expect(row).toContainText('5 s');

  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'CSV', exact: true }).click(),
  ]);
  const path = await download.path();
  expect(readFileSync(path, 'utf8')).toContain('3-01,Acceleration,12,s,12 s');

  // The file comes back as the same set.
  await view(page, 'Import');
  await page.locator('input[type="file"]').setInputFiles({
    name: 'backup.csv',
    mimeType: 'text/csv',
    buffer: readFileSync(path),
  });
  await expect(page.getByText(/^\d+ values read from \d+ lines\.$/)).toBeVisible();
  await page.getByRole('button', { name: /^Save \d+ values/ }).click();
  await view(page, 'Compare');
  await page.getByRole('combobox', { name: 'With' }).selectOption({ index: 2 });
  await expect(page.getByText('No relevant differences.')).toBeVisible();
  expect(errors).toEqual([]);
});

test('the set of an old Knot is translated to the Whimbrel: every value told, choices made, the rest refused aloud', async ({
  page,
}) => {
  const job = await jobWith(page, boatWinch, 'A Knot replaced', 'as there');
  await visit(page, `/jobs/${job}/commissioning`);
  await sets(page);
  await page.getByRole('combobox', { name: 'Type' }).selectOption('knot-k3');
  await page.getByRole('textbox', { name: 'Rated output current of that unit' }).fill('10');
  await page.getByRole('textbox', { name: 'Rated power of that unit' }).fill('4');
  await page.getByRole('textbox', { name: 'Numbers and values' }).fill('nonsense');
  await expect(page.getByText('is it the right type?')).toBeVisible();
  await page.getByRole('textbox', { name: 'Numbers and values' }).fill(knotTable());
  await expect(page.getByRole('row').filter({ hasText: 'Z-77' })).toContainText(
    'not a parameter of this type',
  );
  await expect(page.getByRole('button', { name: 'Enter a name first' })).toBeDisabled();
  await page.getByRole('textbox', { name: 'Name' }).fill('Paper of the old unit');
  await page.getByRole('button', { name: /^Save \d+ values/ }).click();
  await expect(page.getByText('1 parameter not known to this type')).toBeVisible();

  await view(page, 'Translate');
  const list = page.getByRole('list', { name: 'Translation' });
  const said = page.getByRole('status').filter({ hasText: /values: / });
  const counts = [
    ...((await said.textContent()) ?? '').matchAll(/(\d+) (?:carried|converted|clamped|to choose|no match)/g),
  ];
  const total = Number(/^(\d+) values/.exec((await said.textContent()) ?? '')?.[1]);
  expect(counts.reduce((sum, [, n]) => sum + Number(n), 0)).toBe(total);
  await expect(list.getByRole('listitem').filter({ hasText: 'B-02' })).toContainText('7.4 A');
  await expect(list.getByRole('listitem').filter({ hasText: 'B-07' })).toContainText('150 % × 10 A = 15 A');
  await picture(page, 'set-translate');
  for (const choice of await list.getByRole('combobox').all()) await choice.selectOption({ index: 1 });
  await page.getByRole('button', { name: 'Save translated set' }).click();
  await expect(page.getByText('Saved as a new set.')).toBeVisible();
  await reloadJob(page);
  await sets(page);
  await expect(page.getByRole('combobox', { name: 'Set', exact: true })).toContainText(
    'translated to whimbrel-w4',
  );
});
