import type { TextPage } from '../table-text';
import type { Found, ManualAlarm, ManualEntry } from './entry';
import { entriesInParagraphs } from './paragraphs';
import { tablesOf, type ManualTable } from './page-tables';
import { isBare, readRows } from './read-rows';
import { shapeOf } from './numbers';
import { splitColumns } from './page-columns';
import { withoutMargins } from './margins';

const readTable = ({ roles, rows, title }: ManualTable, page: number): Found =>
  readRows(
    roles,
    rows.map(({ cells, heading, box }) => ({
      cells: cells.map(({ lines }) => lines.map((line) => line.text)),
      ...{ heading, page, box },
    })),
    title,
  );

/** A table whose last row goes on with the end of a row that the page break parted. */
const withTail = (table: ManualTable, tail: NonNullable<ManualTable['before']>): ManualTable => ({
  ...table,
  rows: table.rows.map((row, r) =>
    r < table.rows.length - 1
      ? row
      : {
          ...row,
          cells: row.cells.map((cell, i) => ({ lines: [...cell.lines, ...(tail.cells[i]?.lines ?? [])] })),
        },
  ),
});

/** Of numbers written in a way that hardly any other number is written, none is a parameter. */
function withoutStrangers(entries: readonly ManualEntry[]): { kept: ManualEntry[]; strange: ManualEntry[] } {
  const shapes = new Map<string, number>();
  for (const { number } of entries) shapes.set(shapeOf(number), (shapes.get(shapeOf(number)) ?? 0) + 1);
  const usual = ({ number }: ManualEntry): boolean =>
    entries.length < 12 || (shapes.get(shapeOf(number)) ?? 0) >= Math.max(2, 0.02 * entries.length);
  return { kept: entries.filter(usual), strange: entries.filter((e) => !usual(e)) };
}

/** Rows of number and name alone are parameters only where there are many, such as a list of names. */
const fewestBare = 5;

function withoutFewBare(entries: readonly ManualEntry[]): { kept: ManualEntry[]; bare: ManualEntry[] } {
  const bare = entries.filter(isBare);
  return bare.length >= fewestBare
    ? { kept: [...entries], bare: [] }
    : { kept: entries.filter((e) => !isBare(e)), bare };
}

/** The same number again is the same parameter: the fuller one counts. */
function once(entries: readonly ManualEntry[]): ManualEntry[] {
  const fullness = (e: ManualEntry): number =>
    [e.unit, e.min, e.max, e.default].filter((v) => v !== null).length + (e.choices.length > 0 ? 2 : 0);
  const best = new Map<string, ManualEntry>();
  for (const entry of entries) {
    const known = best.get(entry.number);
    if (known === undefined || fullness(entry) > fullness(known)) best.set(entry.number, entry);
  }
  return [...best.values()];
}

/**
 * Reads the pages of a manual.
 * @param pages in their order; a table may go on from one to the next
 */
export function readPages(pages: readonly TextPage[]): Found {
  const tables: { table: ManualTable; page: number }[] = [];
  const paragraphs: ManualEntry[] = [];
  let carried: ManualTable | null = null;
  for (const page of withoutMargins(pages)) {
    for (const runs of splitColumns(page)) {
      const found = tablesOf(runs, carried);
      for (const table of found.tables) {
        const previous = tables.at(-1);
        if (table.before !== null && previous !== undefined && sameHeads(previous.table, table))
          tables[tables.length - 1] = { ...previous, table: withTail(previous.table, table.before) };
        tables.push({ table, page: page.number });
      }
      paragraphs.push(...entriesInParagraphs(found.loose, page.number));
      carried = found.tables.at(-1) ?? carried;
    }
  }
  const read = tables.map(({ table, page }) => readTable(table, page));
  const inTables = read.flatMap((r) => r.entries);
  const { kept: usual, strange } = withoutStrangers([...inTables, ...paragraphs]);
  const { kept, bare } = withoutFewBare(usual);
  return {
    entries: once(kept),
    alarms: onceEach(read.flatMap((r) => r.alarms)),
    unread: [
      ...read.flatMap((r) => r.unread),
      ...[...strange, ...bare].map(({ page, number, name }) => ({ page, text: `${number} ${name}` })),
    ],
  };
}

const onceEach = (alarms: readonly ManualAlarm[]): ManualAlarm[] =>
  [...new Map([...alarms].reverse().map((a) => [a.code, a])).values()].reverse();

const sameHeads = (a: ManualTable, b: ManualTable): boolean => a.roles.join() === b.roles.join();
