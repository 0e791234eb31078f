import { audit } from './audit';
import {
  choosePerson,
  iceCrusher,
  inesId,
  netDrum,
  netDrumSwap,
  pump,
  visit,
  watchConsole,
  winch,
} from './demo';
import { expect, test } from './test';

/** What a page's address says less than its name. */
const names: Readonly<Record<string, string>> = {
  [pump]: 'brine pump',
  [winch]: 'winch',
  [netDrum]: 'net-drum',
  [netDrumSwap]: 'net-drum to be replaced',
  [iceCrusher]: 'ice crusher',
};
const nameOf = (path: string): string => path.replace(/[0-9a-f-]{36}/, (id) => names[id] ?? id);

const pages = [
  '/',
  '/jobs/new',
  '/administration',
  '/administration/trace-tables',
  '/drive-types',
  '/drive-types/edit?type=whimbrel-w4',
  '/simulator',
  '/administration/status',
  `/jobs/${pump}/call`,
  `/jobs/${pump}/nameplates`,
  `/jobs/${pump}/as-found`,
  `/jobs/${pump}/inspection`,
  `/jobs/${winch}/fault-finding`,
  `/jobs/${winch}/motor-and-cable`,
  `/jobs/${winch}/commissioning`,
  `/jobs/${netDrumSwap}/repair-or-replace`,
  `/jobs/${netDrumSwap}/preparation`,
  `/jobs/${netDrumSwap}/replacement?wire=3`,
  `/jobs/${netDrumSwap}/hand-over`,
  `/jobs/${netDrumSwap}/report`,
  '/scan',
  `/jobs/${netDrum}/preparation`,
  `/jobs/${iceCrusher}/make-safe`,
  `/jobs/${pump}/bench-test`,
  `/jobs/${pump}/hand-over`,
  `/jobs/${pump}/sheet`,
];

for (const path of pages)
  test(`${nameOf(path)} reads well by day and night, wide and narrow`, async ({ page }) => {
    test.setTimeout(120_000);
    await choosePerson(page, inesId);
    const said = watchConsole(page);
    await visit(page, path);
    await page.locator('main').waitFor();
    await audit(page, path);
    expect(said).toEqual([]);
  });

test('the keys sheet opens and closes by keyboard', async ({ page }) => {
  await visit(page, `/jobs/${pump}/bench-test`);
  await page.getByRole('button', { name: '? keys' }).click();
  const help = page.getByRole('dialog', { name: 'Help' });
  await expect(help).toBeVisible();
  await expect(help).toContainText('451 mV, .451 and 0,451 are the same');
  await page.keyboard.press('Escape');
  await expect(page.getByRole('dialog')).toBeHidden();
});
