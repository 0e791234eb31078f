import AxeBuilder from '@axe-core/playwright';
import { expect, test, type Page } from '@playwright/test';
import {
  boatWinch,
  choosePerson,
  entry,
  iceCrusher,
  ines,
  netDrum,
  netDrumSwap,
  pump,
  visit,
  watchConsole,
  winch,
} from './demo';
import { winchReady } from './rig';
import { findAndRead, jobWith } from './trace';

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

const axe = async (page: Page, where: string): Promise<void> => {
  const { violations } = await new AxeBuilder({ page })
    .withTags(['wcag2a', 'wcag2aa', 'wcag21aa', 'wcag22aa'])
    .analyze();
  expect(
    violations.map((v) => `${where} ${v.id}: ${v.nodes.map((n) => n.html.slice(0, 120)).join(' | ')}`),
  ).toEqual([]);
};

for (const theme of ['day', 'night'] as const)
  test(`axe finds nothing by ${theme}`, async ({ page, context, baseURL }) => {
    test.setTimeout(360_000);
    await choosePerson(page, ines);
    await context.addCookies([{ name: 'grim_theme', value: theme, url: baseURL ?? '' }]);
    const said = watchConsole(page);
    for (const path of pages) {
      await visit(page, path);
      await page.locator('main').waitFor();
      await page.waitForTimeout(700);
      await axe(page, path);
    }
    expect(said).toEqual([]);
  });

test('axe finds nothing in any panel of a swap', async ({ page }) => {
  test.setTimeout(180_000);
  await choosePerson(page, ines);
  for (const [path, group] of [
    ['decide', 'Decide'],
    ['prepare', 'Prepare'],
    ['swap', 'Swap and wire'],
    ['hand-over', 'Hand over'],
  ] as const) {
    await visit(page, `/jobs/${netDrumSwap}/${path}`);
    for (const panel of await page
      .getByRole('group', { name: group, exact: true })
      .getByRole('button')
      .all()) {
      await panel.click();
      for (const more of ['Add a wire', 'What a swap usually takes']) {
        const opener = page.getByRole('button', { name: more });
        if ((await opener.count()) > 0) await opener.click();
      }
      await page.waitForTimeout(400);
      await axe(page, path);
    }
  }
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

/** Every panel of a start-up that was begun, with sets and a failed test. */
async function startUpPanels(page: Page, look: (where: string) => Promise<void>): Promise<void> {
  const { request } = page;
  await winchReady(request);
  const job = await jobWith(page, boatWinch, 'A start-up to look at', 'as there');
  const choices = {
    ...{ load: 'winch', region: '60Hz', runFrom: 'terminals', speedFrom: 'AI1', wiring: 'two-wire' },
    ...{ signal: '0-10V', reverse: false, encoder: false, coupled: true, brakeProven: false },
    ...{ brakeResistor: true, singlePhaseFed: false },
  };
  const made = [
    entry(job, 'startup.choices', { choices, supply: { volts: 400, hz: 50 } }),
    entry(job, 'motor.disconnected', { drive: 'off', thermistors: 'none', encoder: 'none' }),
    entry(job, 'motor.insulation', {
      ...{ of: 'cable', between: 'earth', ratedVolts: 400, testVolts: 500, winding_C: 20 },
      readings: [{ at_s: 60, megohm: 1 }],
    }),
  ];
  expect((await request.post(`/api/v1/jobs/${job}/entries`, { data: { entries: made } })).ok()).toBe(true);
  await visit(page, `/jobs/${job}/motor`);
  await page.getByText('Winding resistance').waitFor();
  await look('motor');
  await visit(page, `/jobs/${job}/settings`);
  await findAndRead(page, 'Whimbrel W4');
  for (const name of [
    'Load and control',
    'Supply and place',
    'Start-up sheet',
    'Ramps',
    'Commissioning run',
  ]) {
    await page.getByRole('group', { name: 'Settings' }).getByRole('button', { name }).click();
    await page.waitForTimeout(400);
    await look(name);
  }
  await page.getByRole('group', { name: 'Settings' }).getByRole('button', { name: 'Parameter sets' }).click();
  for (const name of ['Audit', 'Compare', 'Translate', 'Write', 'Keys', 'By hand', 'Bring in', 'Library']) {
    await page.getByRole('group', { name: 'What to do with a set' }).getByRole('button', { name }).click();
    await page.waitForTimeout(400);
    await look(name);
  }
}

test('axe finds nothing in any panel of motor, start-up and sets', async ({ page }) => {
  test.setTimeout(180_000);
  await choosePerson(page, ines);
  await startUpPanels(page, async (where) => {
    const { violations } = await new AxeBuilder({ page })
      .withTags(['wcag2a', 'wcag2aa', 'wcag21aa', 'wcag22aa'])
      .analyze();
    expect(
      violations.map((v) => `${where} ${v.id}: ${v.nodes.map((n) => n.html.slice(0, 120)).join(' | ')}`),
    ).toEqual([]);
  });
});

test('motor, start-up and sets stay within a screen 390 px wide', async ({ page }) => {
  test.setTimeout(120_000);
  await choosePerson(page, ines);
  await page.setViewportSize({ width: 390, height: 800 });
  await startUpPanels(page, async (where) => {
    const over = await page.evaluate(
      () => document.documentElement.scrollWidth - document.documentElement.clientWidth,
    );
    expect([where, over]).toEqual([where, 0]);
  });
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
