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

/**
 * The record in pages: parts one after the other, long tables cut with their heads repeated. A paper in one piece would be laid
 * out again with every page that it takes.
 */
export function pagesOf(record: readonly ReportPart[]): Piece[][] {
  const pages: Piece[][] = [[]];
  let used = 3;
  const put = (piece: Piece, height: number): void => {
    pages[pages.length - 1]?.push(piece);
    used += height;
  };
  const turn = (): void => {
    pages.push([]);
    used = 0;
  };
  for (const part of record) {
    const widths = part.table === null ? [] : widthsOf(part.table);
    const head = 2.5 + part.lines.reduce((sum, l) => sum + linesOf(l, charactersAcross * 0.9), 0);
    const rows = part.table?.rows ?? [];
    const some = rows.slice(0, fewest).reduce((sum, r) => sum + rowHeight(r, widths), 0);
    if (used > 0 && used + head + some > capacity) turn();
    let from = 0;
    let height = head + (rows.length > 0 ? 1 : 0);
    for (let i = 0; i < rows.length; i += 1) {
      const next = rowHeight(rows[i] ?? [], widths);
      if (used + height + next > capacity && i > from) {
        put(pieceOf(part, widths, from, i), height);
        turn();
        from = i;
        height = 3.5;
      }
      height += next;
    }
    put(pieceOf(part, widths, from, rows.length), height);
  }
  return pages.filter((p) => p.length > 0);
}

function pieceOf(part: ReportPart, widths: number[], from: number, to: number): Piece {
  const whole = from === 0;
  return {
    ...part,
    id: `${part.id}-${from}`,
    title: whole ? part.title : `${part.title}, continued`,
    lines: whole ? part.lines : [],
    table: part.table === null ? null : { heads: part.table.heads, rows: part.table.rows.slice(from, to) },
    widths,
  };
}
