/** Photos of plates for tests of the pages. */
import type { Page } from '@playwright/test';
import { damaged } from '../checks/plates/damage';
import { fontStyle } from '../checks/plates/draw';
import { madePlates, type MadePlate } from '../checks/plates/plates';

const plates = madePlates(8);

/** The photo of a plate, drawn by the browser of the test. */
export async function photoOf(
  page: Page,
  name: string,
  grade: 1 | 2,
): Promise<{ plate: MadePlate; photo: Buffer }> {
  const plate = plates.find((p) => p.name.startsWith(name));
  if (plate === undefined) throw new Error(`no plate ${name}`);
  const drawer = await page.context().newPage();
  await drawer.setContent(plate.html.replace('<style>', `<style>${fontStyle()}`));
  await drawer.evaluate(() => document.fonts.ready.then(() => undefined));
  const drawn = await drawer.locator('body').screenshot();
  await drawer.close();
  return { plate, photo: await damaged(drawn, grade, 5) };
}

/** What was read from a photo, to be ticked. */
export const readFromPhoto = (page: Page) => page.getByRole('list', { name: 'Read from the photo' });
