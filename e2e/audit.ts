import AxeBuilder from '@axe-core/playwright';
import type { Page } from '@playwright/test';
import { expect } from './test';

const standard = ['wcag2a', 'wcag2aa', 'wcag21aa', 'wcag22aa'];
/** The only rules that look at colours; all others say the same by day and by night. */
const colourRules = ['color-contrast', 'link-in-text-block'];

/** The widest and narrowest screens a page must stay within, px. */
const widths = [390, 820];

/** Charts and skeletons fade in: their colours are judged when they stand still. */
const settled = (page: Page): Promise<unknown> =>
  page.evaluate(() =>
    Promise.all(
      document
        .getAnimations()
        .filter((a) => a.effect?.getComputedTiming().iterations !== Infinity)
        .map((a) => a.finished.catch(() => undefined)),
    ),
  );

const night = (page: Page, on: boolean): Promise<void> =>
  page.evaluate((dark) => {
    document.documentElement.classList.toggle('dark', dark);
  }, on);

/** axe as the page is now. @param rules only these, or every rule axe has; else all of the standard */
export async function axe(page: Page, where: string, rules?: readonly string[] | 'every'): Promise<void> {
  await settled(page);
  const builder = new AxeBuilder({ page });
  if (rules === undefined) builder.withTags(standard);
  else if (rules !== 'every') builder.withRules([...rules]);
  const { violations } = await builder.analyze();
  expect(
    violations.map((v) => `${where} ${v.id}: ${v.nodes.map((n) => n.html.slice(0, 120)).join(' | ')}`),
  ).toEqual([]);
}

/** Nothing runs out of the screen at any of the widths. */
export async function withinScreen(page: Page, where: string): Promise<void> {
  const usual = page.viewportSize();
  for (const width of widths) {
    await page.setViewportSize({ width, height: 800 });
    await settled(page);
    const over = await page.evaluate(
      () => document.documentElement.scrollWidth - document.documentElement.clientWidth,
    );
    expect([where, width, over]).toEqual([where, width, 0]);
  }
  if (usual !== null) await page.setViewportSize(usual);
}

/** Both themes and both widths at one visit. */
export async function audit(page: Page, where: string, rules?: 'every'): Promise<void> {
  await axe(page, `${where} by day`, rules);
  await night(page, true);
  await axe(page, `${where} by night`, colourRules);
  await night(page, false);
  await withinScreen(page, where);
}
