/** Papers of the net-drum's swap, read back by others: a decoder of codes, a calendar parser, a PDF renderer. */
import { execFileSync } from 'node:child_process';
import { mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { jest } from '@jest/globals';
import ICAL from 'ical.js';
import jsQR from 'jsqr';
import sharp from 'sharp';
import { v7 } from 'uuid';
import { units } from '../../../core/job/swap/__tests__/swap-job';
import { labelFrom } from '../../../core/replacement/wires';
import { HttpError } from '../../http/guard';
import { loadDemo } from '../../database/maintenance';
import { appendEntries } from '../../logbook/append';
import { jobOrRefusal } from '../../logbook/folded';
import { personById } from '../../people/people';
import { drillingOf, drillingRows, labelsOf, stopCalendar, wiredJob, wireList } from '.';
import { renderDocument, type PdfElement } from '../pdf';
import { drillingPdf } from './drilling-pdf';
import { labelsPdf } from './labels-pdf';
import { wireListPdf } from './wire-list-pdf';
import { ownDatabase } from '../../database/__tests__/own-database';
import { newestVersion } from '../../../core/logbook';

const printed = (paper: PdfElement) => renderDocument(paper, { terms: 'international', headHash: null });

ownDatabase();

const swapJob = '0190a200-0000-7000-8000-00000000000b';
const task = (id: string, minutes: number, needs: string[], after: string[]) => ({
  id,
  name: `Task ${id}, with a comma`,
  minutes,
  needs,
  after,
  people: 1,
});
const tasks = [
  task('mark', 20, [], []),
  task('out', 30, ['isolated'], ['mark']),
  task('moment', 0, ['stop'], ['out']),
  task('in', 40, ['isolated'], ['out']),
  task('report', 15, [], ['in']),
];

/** A PDF as grey pixels, page by page. */
async function pages(pdf: Buffer, dpi: number): Promise<{ data: Buffer; width: number; height: number }[]> {
  const dir = mkdtempSync(join(tmpdir(), 'grim-pdf-'));
  try {
    writeFileSync(join(dir, 'a.pdf'), pdf);
    execFileSync('pdftoppm', ['-r', String(dpi), '-png', join(dir, 'a.pdf'), join(dir, 'p')]);
    const files = readdirSync(dir)
      .filter((f) => f.endsWith('.png'))
      .sort();
    return await Promise.all(
      files.map(async (f) => {
        const { data, info } = await sharp(readFileSync(join(dir, f)))
          .removeAlpha()
          .greyscale()
          .raw()
          .toBuffer({ resolveWithObject: true });
        return { data, width: info.width, height: info.height };
      }),
    );
  } finally {
    rmSync(dir, { recursive: true });
  }
}
const words = (pdf: Buffer): string =>
  execFileSync('pdftotext', ['-layout', '-', '-'], { input: pdf, encoding: 'utf8' });

const loaded = () => jobOrRefusal(swapJob);
const gathered = async () => wiredJob(await loaded());

// Pages are drawn and measured.
jest.setTimeout(60_000);

beforeAll(async () => {
  await loadDemo();
  const ines = await personById('0190a000-0000-7000-8000-000000000001');
  if (ines === null) throw new Error('nobody there');
  const entry = (kind: string, payload: unknown) =>
    ({ v: newestVersion, id: v7(), jobId: swapJob, at: new Date().toISOString(), kind, payload }) as never;
  await appendEntries(
    swapJob,
    [entry('swap.units', units), entry('stop.planned', { people: 1, allowed_min: 90, tasks })],
    ines,
  );
});

it('labels: one for each end of every wire, and an independent reader finds job and wire in each', async () => {
  const { state } = await gathered();
  const labels = labelsOf(state.swap.wires, () => 'X1');
  expect(labels).toHaveLength(2 * state.swap.wires.length);
  const pdf = await printed(labelsPdf({ jobId: swapJob, labels, sheet: 'a4-5x13', skip: 3 }));
  const [first] = await pages(pdf, 300);
  if (first === undefined) throw new Error('no page');
  const mm = 300 / 25.4;
  const read = (place: number) => {
    const left = Math.round((4.75 + (place % 5) * 40.6) * mm);
    const top = Math.round((10.7 + Math.floor(place / 5) * 21.2) * mm);
    const [width, height] = [Math.round(22 * mm), Math.round(21 * mm)];
    const pixels = new Uint8ClampedArray(width * height * 4).fill(255);
    for (let y = 0; y < height; y += 1)
      for (let x = 0; x < width; x += 1) {
        const grey = first.data[(top + y) * first.width + left + x] ?? 255;
        pixels.set([grey, grey, grey], (y * width + x) * 4);
      }
    const text = jsQR(pixels, width, height)?.data;
    return text === undefined ? null : labelFrom(text);
  };
  // Three are used already.
  expect([0, 1, 2].map(read)).toEqual([null, null, null]);
  expect(labels.map((_, i) => read(i + 3)?.number)).toEqual(labels.map((l) => l.wire.number));
  expect(read(3)?.jobId).toBe(swapJob);
});

it('the template is true to scale: its ruler and its holes, measured on the print', async () => {
  const paper = await drillingOf(await loaded());
  const sheets = await pages(await printed(drillingPdf(paper, 'a4')), 254);
  // Ten pixels a millimetre: A4.
  expect(sheets.map((p) => [Math.round(p.width / 10), Math.round(p.height / 10)])).toEqual([
    [210, 297],
    [210, 297],
  ]);
  const [page] = sheets;
  if (page === undefined) throw new Error('no page');
  const dark = (x: number, y: number): boolean => (page.data[y * page.width + x] ?? 255) < 140;
  // The longest dark run at the left of the foot is the ruler.
  let longest = 0;
  for (let y = Math.round(page.height * 0.8); y < page.height; y += 1) {
    let run = 0;
    for (let x = 0; x < page.width; x += 1) {
      run = dark(x, y) ? run + 1 : 0;
      longest = Math.max(longest, run);
    }
  }
  expect(longest).toBeGreaterThanOrEqual(996);
  expect(longest).toBeLessThanOrEqual(1010);
  // Cross-hairs of the upper holes: 116 mm apart, as the catalogue says.
  const [a, b] = paper.templates.a4.holes;
  expect((b?.x_mm ?? 0) - (a?.x_mm ?? 0)).toBe(116);
  const row = Math.round((12 + (a?.drawn[1] ?? 0) - 5.5) * 10);
  const at = (x_mm: number): boolean =>
    [-2, -1, 0, 1, 2].some((d) => dark(Math.round((12 + x_mm) * 10) + d, row));
  expect(at(a?.drawn[0] ?? 0)).toBe(true);
  expect(at(b?.drawn[0] ?? 0)).toBe(true);
  expect(at((a?.drawn[0] ?? 0) + 20)).toBe(false);
  expect(drillingRows(paper)[0]).toEqual({ hole: 1, x_mm: 12, y_mm: 10, screw_mm: 5, old_hole: 'no' });
  expect(words(await printed(drillingPdf(paper, 'letter')))).toContain('must measure 100 mm');
});

it('the wire list has every wire once, with what is not settled', async () => {
  const list = await wireList(await loaded());
  expect(list.rows.map((r) => r.number)).toEqual(Array.from({ length: 21 }, (_, i) => i + 1));
  expect(list.rows.find((r) => r.number === 20)).toMatchObject({ from: '5', to: 'open', is: 'not known' });
  expect(list.rows.find((r) => r.number === 21)).toMatchObject({ from: 'loose', to: 'cap' });
  const text = words(await printed(wireListPdf(list, 'a4')));
  expect(text).toContain('common of the analog signals');
  expect(text).toMatch(/16\s+W14\.1\s+201\s+white\s+V1\s+A1/);
});

describe('the calendar', () => {
  const from = new Date('2026-11-27T06:00:00Z');
  it('is one that an independent parser reads, with the stop and every task that takes time', async () => {
    const text = await stopCalendar(await loaded(), from);
    const calendar = new ICAL.Component(ICAL.parse(text ?? '') as string);
    expect(calendar.getFirstPropertyValue('version')).toBe('2.0');
    const events = calendar.getAllSubcomponents('vevent').map((e) => new ICAL.Event(e));
    const found: Record<string, unknown> = Object.fromEntries(
      events.map((e): [string, unknown] => [
        String(e.uid.split('@')[0]?.slice(37)),
        [e.startDate.toJSDate().toISOString(), e.duration.toSeconds() / 60],
      ]),
    );
    expect(found).toEqual({
      stop: ['2026-11-27T06:00:00.000Z', 70],
      mark: ['2026-11-27T05:40:00.000Z', 20],
      out: ['2026-11-27T06:00:00.000Z', 30],
      in: ['2026-11-27T06:30:00.000Z', 40],
      report: ['2026-11-27T07:10:00.000Z', 15],
    });
    expect(events[1]?.summary).toBe('Task mark, with a comma');
    // RFC 5545, 3.1: lines end with CRLF and have 75 octets at most.
    const lines = (text ?? '').split('\r\n');
    expect(lines.every((l) => Buffer.byteLength(l) <= 75 && !l.includes('\n'))).toBe(true);
  });

  it('is refused where nothing is planned', async () => {
    await expect(
      stopCalendar(await jobOrRefusal('0190a200-0000-7000-8000-000000000001'), from),
    ).rejects.toThrow(HttpError);
  });
});

it('a template of a unit that the catalogue does not know is refused with what to do', async () => {
  await expect(drillingOf(await jobOrRefusal('0190a200-0000-7000-8000-000000000001'))).rejects.toThrow(
    /choose it under Repair or replace/,
  );
});
