/** Draws plates with Chromium, in the fonts that ship. */
import { chromium } from '@playwright/test';
import { readFileSync } from 'node:fs';
import { chromiumPath } from '../../launcher/chromium';
import type { MadePlate } from './plates';

const faces = [
  ['Barlow', 'barlow', [500, 700]],
  ['Barlow Semi Condensed', 'barlow-semi-condensed', [500, 700]],
  ['IBM Plex Mono', 'ibm-plex-mono', [500]],
] as const;

/** The fonts that ship, as style rules a page without a server can use. */
export const fontStyle = (): string =>
  faces
    .flatMap(([family, folder, weights]) =>
      weights.map((weight) => {
        const file = `node_modules/@fontsource/${folder}/files/${folder}-latin-${weight}-normal.woff2`;
        return `@font-face{font-family:'${family}';font-weight:${weight};src:url(data:font/woff2;base64,${readFileSync(file, 'base64')})}`;
      }),
    )
    .join('');

/** The picture of each plate, as PNG. */
export async function drawn(plates: readonly MadePlate[]): Promise<Buffer[]> {
  const browser = await chromium.launch({ executablePath: chromiumPath(), args: ['--no-sandbox'] });
  const fonts = fontStyle();
  const pictures: Buffer[] = [];
  try {
    const page = await browser.newPage({ viewport: { width: 1000, height: 600 } });
    for (const { html } of plates) {
      await page.setContent(html.replace('<style>', `<style>${fonts}`));
      await page.evaluate(() => document.fonts.ready.then(() => undefined));
      pictures.push(await page.locator('body').screenshot());
    }
  } finally {
    await browser.close();
  }
  return pictures;
}
