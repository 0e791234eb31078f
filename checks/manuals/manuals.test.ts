/** Manuals of invented makes, printed by Chromium in several layouts, read back and compared with what is true. */
import { chromium, type Browser } from '@playwright/test';
import * as pdfjs from 'pdfjs-dist/legacy/build/pdf.mjs';
import type { ManualReading } from '@/core/reading/manual';
import { readManualFile } from '@/readers/manual-file';
import { chromiumPath } from '../../launcher/chromium';
import { layouts } from './layouts';
import { makes, type Make } from './makes';
import { score, shareOf, table, totalOf, type Score } from './score';

let browser: Browser;
beforeAll(async () => {
  browser = await chromium.launch({ executablePath: chromiumPath(), args: ['--no-sandbox'] });
});
afterAll(() => browser.close());

/** The manual of a make as a PDF, with a head and a foot on each page. */
async function printed(make: Make, layout: (make: Make) => string): Promise<Uint8Array> {
  const page = await browser.newPage();
  const small = (text: string): string =>
    `<div style="font-size:7px;width:100%;text-align:center">${text}</div>`;
  try {
    await page.setContent(layout(make));
    return new Uint8Array(
      await page.pdf({
        preferCSSPageSize: true,
        displayHeaderFooter: true,
        headerTemplate: small(`${make.name} operating instructions`),
        footerTemplate: small('Page <span class="pageNumber"></span> of <span class="totalPages"></span>'),
      }),
    );
  } finally {
    await page.close();
  }
}

const read = (bytes: Uint8Array): Promise<ManualReading> =>
  readManualFile(bytes, { pdfLibrary: () => Promise.resolve(pdfjs) });

const scores = new Map<string, Score>();

describe.each(makes.map((make) => [make.name, make] as const))('%s', (name, make) => {
  it.each(Object.entries(layouts))('printed %s', async (layout, html) => {
    const reading = await read(await printed(make, html));
    const result = score(make, reading);
    scores.set(`${name}, ${layout}`, result);
    // Nothing may be invented, whatever else goes wrong.
    expect(result.spurious).toEqual([]);
    expect(shareOf(result.found, result.parameters)).toBeGreaterThanOrEqual(0.98);
  });
});

it('reads what it is asked to read, over all', () => {
  const all = totalOf([...scores.values()]);
  process.stdout.write(`${table(scores)}\n`);
  expect(shareOf(all.names, all.found)).toBeGreaterThanOrEqual(0.97);
  expect(shareOf(all.units, all.found)).toBeGreaterThanOrEqual(0.97);
  expect(shareOf(all.ranges, all.found)).toBeGreaterThanOrEqual(0.97);
  expect(shareOf(all.defaults, all.found)).toBeGreaterThanOrEqual(0.97);
  expect(shareOf(all.conceptsRight, all.withConcept)).toBeGreaterThanOrEqual(0.92);
  expect(shareOf(all.sureButWrong, all.sure)).toBeLessThan(0.005);
  expect(shareOf(all.familiesRight, all.alarms)).toBeGreaterThanOrEqual(0.9);
});
