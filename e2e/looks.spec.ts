import { audit } from './audit';
import {
  choosePerson,
  iceCrusher,
  ines,
  netDrum,
  netDrumSwap,
  pump,
  visit,
  watchConsole,
  winch,
} from './demo';
import { expect, test } from './test';

const pages = [
  '/',
  '/jobs/new',
  '/settings',
  '/settings/traces',
  '/catalogue',
  '/rig',
  `/jobs/${pump}/take`,
  `/jobs/${pump}/identify`,
  `/jobs/${pump}/as-found`,
  `/jobs/${pump}/look`,
  `/jobs/${winch}/trace`,
  `/jobs/${winch}/motor`,
  `/jobs/${winch}/settings`,
  `/jobs/${netDrumSwap}/decide`,
  `/jobs/${netDrumSwap}/prepare`,
  `/jobs/${netDrumSwap}/swap?wire=3`,
  `/jobs/${netDrumSwap}/hand-over`,
  `/jobs/${netDrumSwap}/report`,
  '/scan',
  `/jobs/${netDrum}/prepare`,
  `/jobs/${iceCrusher}/make-safe`,
  `/jobs/${pump}/bench`,
  `/jobs/${pump}/hand-over`,
  `/jobs/${pump}/sheet`,
];

for (const path of pages)
  test(`${path.replace(/[0-9a-f-]{36}/, 'a job')} reads well by day and night, wide and narrow`, async ({
    page,
  }) => {
    test.setTimeout(120_000);
    await choosePerson(page, ines);
    const said = watchConsole(page);
    await visit(page, path);
    await page.locator('main').waitFor();
    await audit(page, path);
    expect(said).toEqual([]);
  });

test('the keys sheet opens and closes by keyboard', async ({ page }) => {
  await visit(page, `/jobs/${pump}/bench`);
  await page.getByRole('button', { name: '? keys' }).click();
  await expect(page.getByRole('dialog', { name: 'Keys of the bench' })).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(page.getByRole('dialog')).toBeHidden();
});
