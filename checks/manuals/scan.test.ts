/** Scanned pages: printed, turned to pictures by poppler, one of them put in upside down; read and compared with the text itself. */
import { chromium } from '@playwright/test';
import { execFileSync } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import * as pdfjs from 'pdfjs-dist/legacy/build/pdf.mjs';
import { startLetters } from '@/cli/letters';
import { readManualFile } from '@/readers/manual-file';
import { chromiumPath } from '../../launcher/chromium';
import { layouts } from './layouts';
import { makes } from './makes';

const pages = [1, 2] as const;
const firstPages = (page: number): boolean => page <= pages.length;

/** The printed manual, and the same pages as pictures. */
async function printedAndScanned(): Promise<{ printed: Uint8Array; scanned: Uint8Array }> {
  const browser = await chromium.launch({ executablePath: chromiumPath(), args: ['--no-sandbox'] });
  const folder = mkdtempSync(join(tmpdir(), 'grim-scan-'));
  try {
    const page = await browser.newPage();
    const [make] = makes;
    await page.setContent(layouts['limits']!(make!));
    const printed = new Uint8Array(await page.pdf({ preferCSSPageSize: true }));
    const file = join(folder, 'manual.pdf');
    writeFileSync(file, printed);
    execFileSync('pdftoppm', ['-jpeg', '-r', '200', '-l', String(pages.length), file, join(folder, 'page')]);
    const pictures = pages.map((n) => readFileSync(join(folder, `page-${n}.jpg`)).toString('base64'));
    await page.setContent(
      `<style>@page { size: A4; margin: 0 } body { margin: 0 } img { display: block; width: 210mm; height: 296.5mm }
       img + img { transform: rotate(180deg) }</style>${pictures
         .map((picture) => `<img src="data:image/jpeg;base64,${picture}">`)
         .join('')}`,
    );
    return { printed, scanned: new Uint8Array(await page.pdf({ preferCSSPageSize: true })) };
  } finally {
    rmSync(folder, { recursive: true });
    await browser.close();
  }
}

it('scanned pages say what the printed ones say, upside down too', async () => {
  const { printed, scanned } = await printedAndScanned();
  const pdfLibrary = () => Promise.resolve(pdfjs);
  const text = await readManualFile(printed, { pdfLibrary, wanted: firstPages });
  expect(text.entries.length).toBeGreaterThan(40);
  const unread = await readManualFile(scanned.slice(), { pdfLibrary });
  expect(unread.findings.map((f) => f.code)).toContain('no-text');

  const { letters, close } = await startLetters('.');
  const read = await readManualFile(scanned, { pdfLibrary, letters: () => Promise.resolve(letters) }).finally(
    close,
  );
  expect(read.findings[0]).toMatchObject({ code: 'scanned' });
  const truth = new Map(text.entries.map((entry) => [entry.number, entry]));
  const right = read.entries.filter(({ number }) => truth.has(number));
  const share = (holds: (entry: (typeof right)[number]) => boolean): number =>
    right.filter(holds).length / right.length;
  process.stdout.write(
    `scanned: ${right.length} of ${truth.size} parameters, names ${share((e) => e.name === truth.get(e.number)?.name)}, units ${share((e) => e.unit === truth.get(e.number)?.unit)}, ranges ${share((e) => e.min === truth.get(e.number)?.min && e.max === truth.get(e.number)?.max)}\n`,
  );
  expect(right.length / truth.size).toBeGreaterThan(0.95);
  expect(read.entries.length - right.length).toBeLessThanOrEqual(1);
  expect(share((e) => e.concept?.id === truth.get(e.number)?.concept?.id)).toBeGreaterThan(0.9);
  expect(
    share((e) => e.min === truth.get(e.number)?.min && e.max === truth.get(e.number)?.max),
  ).toBeGreaterThan(0.9);
});
