import type { ReportPart } from '../../../core/job/report';

/** Lines of small print that a page takes; a page that gets more runs over by itself. */
const capacity = 54;
/** A table is not begun where fewer rows than this are left for it. */
const fewest = 6;
const charactersAcross = 118;

const linesOf = (text: string, width: number): number => Math.max(1, Math.ceil(text.length / width));

/** How wide each column is by what stands in it, in percent. */
export function widthsOf({ heads, rows }: NonNullable<ReportPart['table']>): number[] {
  const need = heads.map((h, i) => {
    const longest = Math.max(h.length, 3, ...rows.map((r) => (r[i] ?? '').length));
    // A long cell wraps: it asks for the root of what it has beyond a line.
    return longest <= 14 ? longest + 1.5 : 14 + Math.sqrt(longest - 14) * 3;
  });
  const sum = need.reduce((a, b) => a + b, 0);
  return need.map((n) => (100 * n) / sum);
}

/** A part or a piece of one, with the widths of its whole table. */
export interface Piece extends ReportPart {
  widths: number[];
}

const rowHeight = (row: readonly string[], widths: readonly number[]): number =>
  0.15 +
  Math.max(...row.map((cell, i) => linesOf(cell, ((widths[i] ?? 10) / 100) * charactersAcross * 1.15)));

/** A line or a row of a part, with the lines of small print that it takes. */
type Item = { height: number } & ({ line: string } | { row: string[] });

const itemsOf = ({ lines, table }: ReportPart, widths: readonly number[]): Item[] => [
  ...lines.map((line) => ({ line, height: linesOf(line, charactersAcross * 0.9) })),
  ...(table?.rows ?? []).map((row) => ({ row, height: rowHeight(row, widths) })),
];
const heightOf = (items: readonly Item[]): number => items.reduce((sum, { height }) => sum + height, 0);

/** What a part needs to be begun on a page: all its lines and some rows; where those alone fill a page, some lines. */
function startOf({ lines }: ReportPart, items: readonly Item[]): number {
  const start = heightOf(items.slice(0, lines.length + fewest));
  return start <= capacity ? start : heightOf(items.slice(0, fewest));
}

/**
 * The record in pages: parts one after the other, long lists and tables cut, with their heads repeated. A paper in one piece
 * would be laid out again with every page that it takes, and after a dozen pages not at all.
 */
export function pagesOf(record: readonly ReportPart[]): Piece[][] {
  const pages: Piece[][] = [[]];
  let used = 3;
  const turn = (): void => {
    pages.push([]);
    used = 0;
  };
  for (const part of record) {
    const widths = part.table === null ? [] : widthsOf(part.table);
    const items = itemsOf(part, widths);
    const title = part.table === null || part.table.rows.length === 0 ? 2.5 : 3.5;
    if (used > 0 && used + title + startOf(part, items) > capacity) turn();
    let from = 0;
    let height = title;
    const put = (to: number): void => {
      pages[pages.length - 1]?.push(pieceOf(part, widths, items.slice(from, to), from));
      used += height;
    };
    items.forEach((item, i) => {
      if (used + height + item.height > capacity && i > from) {
        put(i);
        turn();
        from = i;
        height = 3.5;
      }
      height += item.height;
    });
    put(items.length);
  }
  return pages.filter((p) => p.length > 0);
}

function pieceOf(part: ReportPart, widths: number[], items: readonly Item[], from: number): Piece {
  const rows = items.flatMap((item) => ('row' in item ? [item.row] : []));
  // Its rows begin on a later page, where their heads are.
  const notYet = rows.length === 0 && (part.table?.rows.length ?? 0) > 0;
  return {
    ...part,
    id: `${part.id}-${from}`,
    title: from === 0 ? part.title : `${part.title}, continued`,
    lines: items.flatMap((item) => ('line' in item ? [item.line] : [])),
    table: part.table === null || notYet ? null : { heads: part.table.heads, rows },
    widths,
  };
}
