import type { ReportPart } from '../../../core/job/report';
import { pagesOf, widthsOf } from './page-breaks';

const table = (id: string, rows: number, cell = 'x'): ReportPart => ({
  id,
  title: id,
  lines: [`about ${id}`],
  table: { heads: ['a', 'b'], rows: Array.from({ length: rows }, (_, i) => [String(i), cell]) },
});

it('keeps every row once, in order, with the heads on every page, and says what goes on', () => {
  const pages = pagesOf([table('wires', 120), table('settings', 3)]);
  const pieces = pages.flat();
  expect(pages.length).toBeGreaterThanOrEqual(3);
  const rows = pieces.filter((p) => p.title.startsWith('wires')).flatMap((p) => p.table?.rows ?? []);
  expect(rows.map((r) => r[0])).toEqual(Array.from({ length: 120 }, (_, i) => String(i)));
  expect([...new Set(pieces.map((p) => p.title))]).toEqual(['wires', 'wires, continued', 'settings']);
  expect(pieces.every((p) => p.table?.heads.length === 2)).toBe(true);
  expect(pieces.filter((p) => p.lines.length > 0).map((p) => p.id)).toEqual(['wires-0', 'settings-0']);
});

it('long cells take more room, and a part without a table stays whole', () => {
  const long = 'a long reason that wraps over and over '.repeat(6);
  expect(pagesOf([table('a', 40, long)]).length).toBeGreaterThan(pagesOf([table('a', 40)]).length);
  const notes: ReportPart = { id: 'notes', title: 'notes', lines: ['one', 'two'], table: null };
  expect(pagesOf([notes])[0]?.[0]).toMatchObject({ title: 'notes', lines: ['one', 'two'], table: null });
  expect(pagesOf([])).toEqual([]);
});

it('a long list of lines is cut too, whether a table follows or not', () => {
  const lines = Array.from({ length: 600 }, (_, i) => `note ${i}`);
  for (const part of [
    { ...table('notes', 30), lines },
    { id: 'n', title: 'n', lines, table: null },
  ]) {
    const pages = pagesOf([table('a', 3), part]);
    expect(pages.length).toBeGreaterThan(10);
    const pieces = pages.flat().filter((p) => !p.id.startsWith('a-'));
    expect(pieces.flatMap((p) => p.lines)).toEqual(lines);
    expect(pieces.flatMap((p) => p.table?.rows ?? [])).toHaveLength(part.table === null ? 0 : 30);
    for (const page of pages) expect(page.flatMap((p) => p.lines).length).toBeLessThan(60);
  }
});

it('widths add up to the page', () => {
  const widths = widthsOf({
    heads: ['No.', 'Why'],
    rows: [['1', 'because of something long, and more than that']],
  });
  expect(widths.reduce((a, b) => a + b, 0)).toBeCloseTo(100, 6);
  expect(widths[1]).toBeGreaterThan(widths[0] ?? 0);
});
