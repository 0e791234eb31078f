import { item } from '../../numerics/arrays';
import {
  columnsUnder,
  headCells,
  heightOf,
  linesOf,
  median,
  rowsOf,
  type Column,
  type HeadCell,
  type Line,
  type TableRow,
  type TextRun,
} from '../table-text';
import { rolesOfHeads, type Role } from './heads';
import { isFaultCode, isParameterNumber } from './numbers';
import { numberAndName } from './table-entries';

/** The head of a table, and which lines of the page it takes. */
interface Head {
  from: number;
  to: number;
  cells: HeadCell[];
  roles: (Role | undefined)[];
}

/** What kind of rows a table has. */
export type TableKind = 'parameters' | 'faults';

/** A table of a manual, read as far as its cells. */
export interface ManualTable {
  kind: TableKind;
  /** The heading that stands above the table. */
  title: string | null;
  columns: Column[];
  roles: (Role | undefined)[];
  rows: TableRow[];
  /** The end of a row of the page before. */
  before: TableRow | null;
  /** Lines of the page that it takes: from, to (not included). */
  lines: [number, number];
}

const mostHeadLines = 4;

/** How well some lines do as the head of a table; at least three known columns, or two of two. */
function headAt(lines: readonly Line[], from: number): Head | null {
  let best: { head: Head; score: number } | null = null;
  for (let count = 1; count <= mostHeadLines && from + count <= lines.length; count += 1) {
    const band = lines.slice(from, from + count);
    const last = band.at(-1);
    const before = band.at(-2);
    if (last !== undefined && before !== undefined && last.y0 - before.y1 > 1.2 * heightOf(last)) break;
    const cells = headCells(band.flatMap((line) => line.segments));
    const roles = rolesOfHeads(cells);
    const known = roles.filter((r) => r !== undefined).length;
    const telling = roles.filter((r) => r !== undefined && r !== 'other').length;
    const score = known - 1.1 * (cells.length - known);
    if (telling < 2 || score < 1.5 || !startsRows(roles)) continue;
    // A head may be wrapped: a line more that changes nothing belongs to it.
    const wrapped = best !== null && score === best.score && cells.length === best.head.cells.length;
    if (best === null || score > best.score || wrapped)
      best = { head: { from, to: from + count, cells, roles }, score };
  }
  return best?.head ?? null;
}

/** Rows are found by their number or code; a name may carry it. */
function startsRows(roles: readonly (Role | undefined)[]): boolean {
  const has = (...some: Role[]): boolean => some.some((role) => roles.includes(role));
  if (has('code')) return has('fault-name', 'cause', 'remedy');
  return (
    has('number', 'name') &&
    has('name', 'range', 'default', 'min', 'max', 'choices', 'default-50', 'unit', 'choice-name')
  );
}

const kindOf = (roles: readonly (Role | undefined)[]): TableKind =>
  roles.includes('code') ? 'faults' : 'parameters';

/** The column that tells where a row begins, and what begins one. */
function anchorOf(roles: readonly (Role | undefined)[]): {
  column: number;
  begins: (text: string) => boolean;
} {
  const code = roles.indexOf('code');
  if (code >= 0)
    return { column: code, begins: (text) => isFaultCode(text) || isFaultCode(text.split(/\s/)[0] ?? '') };
  const number = roles.indexOf('number');
  const begins = (text: string): boolean => isParameterNumber(text) || numberAndName(text) !== null;
  return { column: number >= 0 ? number : roles.indexOf('name'), begins };
}

/** Does a line begin a row: has it a number or code in the column for it? */
const beginsRow = (line: Line, column: Column | undefined, begins: (text: string) => boolean): boolean =>
  line.segments.some((s) => column !== undefined && s.x0 < column.x1 && s.x1 > column.x0 && begins(s.text));

/** Lines far below a row are no part of it. */
const farBelow = 2.4;

/** Lines that belong to the table: up to a great gap below which nothing begins a row. */
function bodyOf(
  lines: readonly Line[],
  columns: readonly Column[],
  anchor: ReturnType<typeof anchorOf>,
): number {
  const pitch = median(lines.map(heightOf));
  const lastAnchor = lines.findLastIndex((line) => beginsRow(line, columns[anchor.column], anchor.begins));
  for (let i = Math.max(1, lastAnchor + 1); i < lines.length; i += 1) {
    const gap = (lines[i]?.y0 ?? 0) - (lines[i - 1]?.y1 ?? 0);
    if (gap > farBelow * pitch) return i;
  }
  return lines.length;
}

/** The line above the head is the table's title where it is short, alone, and near. */
function titleAbove(line: Line | undefined, head: Head): string | null {
  const [only, second] = line?.segments ?? [];
  if (line === undefined || only === undefined || second !== undefined || only.text.length > 70) return null;
  const top = Math.min(...head.cells.map((c) => c.y0));
  return top - line.y1 < 3 * heightOf(line) && /[A-Za-z]{3}/.test(only.text) && !/[.;,]$/.test(only.text)
    ? only.text
    : null;
}

function tableFrom(head: Head, lines: readonly Line[], until: number): ManualTable {
  const all = lines.slice(head.to, until);
  const anchor = anchorOf(head.roles);
  const rough = columnsUnder(head.cells, all);
  const end = bodyOf(all, rough, anchor);
  const body = all.slice(0, end);
  const columns = columnsUnder(head.cells, body);
  const { rows, before } = rowsOf(columns, body, anchor.column, anchor.begins);
  return {
    title: titleAbove(lines[head.from - 1], head),
    kind: kindOf(head.roles),
    columns,
    roles: head.roles,
    rows,
    before,
    lines: [head.from, head.to + end],
  };
}

/** One table twice beside itself: the heads come again. */
function repeatsAt(head: Head): number {
  const first = head.cells[0]?.text.toLowerCase();
  const again = head.cells.findIndex((cell, i) => i >= 2 && cell.text.toLowerCase() === first);
  return again >= 0 && head.roles[again] === head.roles[0] ? again : -1;
}

/** What a page has of tables, and the lines that are in none. */
export interface PageTables {
  tables: ManualTable[];
  /** Lines outside of tables, in runs of lines that follow one another. */
  loose: Line[][];
}

/**
 * The tables of one column of a page.
 * @param carried columns of a table that may go on from the page before
 */
export function tablesOf(runs: readonly TextRun[], carried: ManualTable | null): PageTables {
  const lines = linesOf(runs);
  const heads: Head[] = [];
  for (let i = 0; i < lines.length; i += 1) {
    const head = headAt(lines, i);
    if (head === null) continue;
    heads.push(head);
    i = head.to - 1;
  }
  const twice = heads.find((head) => repeatsAt(head) >= 0);
  if (twice !== undefined) {
    const { x0 } = item(columnsUnder(twice.cells, lines.slice(twice.to)), repeatsAt(twice));
    const side = (left: boolean): PageTables =>
      tablesOf(
        runs.filter((r) => (r.x0 + r.x1) / 2 < x0 === left),
        null,
      );
    const [l, r] = [side(true), side(false)];
    return { tables: [...l.tables, ...r.tables], loose: [...l.loose, ...r.loose] };
  }
  const tables = heads.map((head, i) => tableFrom(head, lines, heads[i + 1]?.from ?? lines.length));
  const goesOn = carried === null ? null : continued(carried, lines, heads[0]?.from ?? lines.length);
  const all = goesOn === null ? tables : [goesOn, ...tables];
  const taken = (i: number): boolean => all.some(({ lines: [from, to] }) => i >= from && i < to);
  const loose: Line[][] = [];
  lines.forEach((line, i) => {
    if (taken(i)) return;
    if (i > 0 && !taken(i - 1) && loose.length > 0) loose.at(-1)?.push(line);
    else loose.push([line]);
  });
  return { tables: all, loose };
}

/** A table that goes on without a head: its numbers begin lines in the column they had before. */
function continued(carried: ManualTable, lines: readonly Line[], until: number): ManualTable | null {
  const anchor = anchorOf(carried.roles);
  const column = carried.columns[anchor.column];
  const body = lines.slice(0, until);
  const numbered = body.filter((line) => line.segments.length > 1 && beginsRow(line, column, anchor.begins));
  // Paragraphs begin with a number and a name, too: rows of a table have more than those.
  const rowLike = numbered.filter((line) => line.segments.length >= Math.min(3, carried.columns.length));
  if (numbered.length < 2 || numbered.length < 0.15 * body.length || rowLike.length < 0.5 * numbered.length)
    return null;
  const { rows, before } = rowsOf(carried.columns, body, anchor.column, anchor.begins);
  return { ...carried, rows, before, lines: [0, until] };
}
