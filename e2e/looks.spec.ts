import AxeBuilder from '@axe-core/playwright';
import { expect, test } from '@playwright/test';
import { choosePerson, iceCrusher, ines, pump, visit, watchConsole, winch } from './demo';

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
  `/jobs/${iceCrusher}/make-safe`,
  `/jobs/${pump}/bench`,
  `/jobs/${pump}/hand-over`,
  `/jobs/${pump}/sheet`,
];

for (const theme of ['day', 'night'] as const)
  test(`axe finds nothing by ${theme}`, async ({ page, context, baseURL }) => {
    test.setTimeout(180_000);
    await choosePerson(page, ines);
    await context.addCookies([{ name: 'grim_theme', value: theme, url: baseURL ?? '' }]);
    const said = watchConsole(page);
    for (const path of pages) {
      await visit(page, path);
      await page.locator('main').waitFor();
      await page.waitForTimeout(700);
      const { violations } = await new AxeBuilder({ page })
        .withTags(['wcag2a', 'wcag2aa', 'wcag21aa', 'wcag22aa'])
        .analyze();
      expect(
        violations.map((v) => `${path} ${v.id}: ${v.nodes.map((n) => n.html.slice(0, 120)).join(' | ')}`),
      ).toEqual([]);
    }
    expect(said).toEqual([]);
  });

test('axe finds nothing in any panel of the trace page', async ({ page }) => {
  test.setTimeout(120_000);
  await choosePerson(page, ines);
  await visit(page, `/jobs/${winch}/trace`);
  const panels = page.getByRole('group', { name: 'What to do' }).getByRole('button');
  for (const panel of await panels.all()) {
    await panel.click();
    for (const more of ['Walk a loop', 'Temporary jumper']) {
      const opener = page.getByRole('button', { name: more });
      if ((await opener.count()) > 0) await opener.click();
    }
    const { violations } = await new AxeBuilder({ page })
      .withTags(['wcag2a', 'wcag2aa', 'wcag21aa', 'wcag22aa'])
      .analyze();
    expect(violations.map((v) => `${v.id}: ${v.nodes.map((n) => n.html.slice(0, 120)).join(' | ')}`)).toEqual(
      [],
    );
  }
});

for (const width of [390, 820])
  test(`nothing runs out of a screen ${width} px wide`, async ({ page }) => {
    await page.setViewportSize({ width, height: 800 });
    for (const path of pages) {
      await visit(page, path);
      await page.locator('main').waitFor();
      await page.waitForTimeout(500);
      const over = await page.evaluate(
        () => document.documentElement.scrollWidth - document.documentElement.clientWidth,
      );
      expect([path, over]).toEqual([path, 0]);
    }
  });

test('the keys sheet opens and closes by keyboard', async ({ page }) => {
  await visit(page, `/jobs/${pump}/bench`);
  await page.getByRole('button', { name: '? keys' }).click();
  await expect(page.getByRole('dialog', { name: 'Keys of the bench' })).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(page.getByRole('dialog')).toBeHidden();
});
