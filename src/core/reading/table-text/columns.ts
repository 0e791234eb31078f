import { boxAround, heightOf, segmentsOf, type Box, type Line, type Segment, type TextRun } from './page';

/** A column of a table: its head, and from where to where it reaches. */
export interface Column {
  head: string;
  x0: number;
  x1: number;
}

/** Heads of columns, put together from lines that may be wrapped, and from heads that stand over several. */
export interface HeadCell extends Box {
  text: string;
  /** Without the head that stands over it and its neighbours. */
  own: string;
}

const overlap = (a: Box, b: Box): number => Math.min(a.x1, b.x1) - Math.max(a.x0, b.x0);

const centreOf = (box: Box): number => (box.x0 + box.x1) / 2;
/** A head stands over another when it is that near, in its own height. */
const nearAbove = 6;

/** The segment above that one belongs under: the one it overlaps, else the nearest. */
function parentOf(segment: Segment, all: readonly Segment[]): Segment | undefined {
  const above = all.filter((s) => s !== segment && s.y1 <= segment.y0 + 0.3 * heightOf(segment));
  const over = above.filter((s) => overlap(s, segment) > 0);
  const nearest = (over.length > 0 ? over : above).sort(
    (a, b) => Math.abs(centreOf(a) - centreOf(segment)) - Math.abs(centreOf(b) - centreOf(segment)),
  )[0];
  const apart = nearest === undefined ? 0 : Math.abs(centreOf(nearest) - centreOf(segment));
  return over.length > 0 || apart < nearAbove * heightOf(segment) ? nearest : undefined;
}

/** Segments that stand over two others or more, side by side. */
function spanningOf(segments: readonly Segment[]): Set<Segment> {
  const children = new Map<Segment, Segment[]>();
  for (const segment of segments) {
    const parent = parentOf(segment, segments);
    if (parent !== undefined) children.set(parent, [...(children.get(parent) ?? []), segment]);
  }
  const sideBySide = (some: readonly Segment[]): boolean =>
    some.some((a) => some.some((b) => overlap(a, b) <= 0 && Math.abs(a.y0 - b.y0) < 0.5 * heightOf(a)));
  return new Set([...children].filter(([, under]) => sideBySide(under)).map(([parent]) => parent));
}

/** Segments of a head that stand under one another belong together; one over several is said of each. */
export function headCells(segments: readonly Segment[]): HeadCell[] {
  const sorted = [...segments].sort((a, b) => a.y0 - b.y0);
  const spanning = spanningOf(sorted);
  const parents = new Map(sorted.map((s) => [s, parentOf(s, sorted)]));
  const cells: Segment[][] = [];
  for (const segment of sorted) {
    if (spanning.has(segment)) continue;
    const home = cells.find((cell) => overlap(boxAround(cell), segment) > 0);
    if (home === undefined) cells.push([segment]);
    else home.push(segment);
  }
  return cells
    .map((cell) => {
      const box = boxAround(cell);
      const over = [...spanning].filter((s) => cell.some((part) => parents.get(part) === s));
      const textOf = (some: readonly Segment[]): string => some.map((s) => s.text).join(' ');
      return { ...box, text: textOf([...over, ...cell]), own: textOf(cell) };
    })
    .sort((a, b) => a.x0 - b.x0);
}

/**
 * Where a column ends and the next begins: between the middles of their heads, in the widest gap that the fewest texts
 * of the body cross; of equal ones the rightmost, for most columns begin at their head's left.
 */
function boundaryBetween(left: HeadCell, right: HeadCell, body: readonly Segment[]): number {
  const from = (left.x0 + left.x1) / 2;
  const to = (right.x0 + right.x1) / 2;
  const both = [...body, left, right];
  const edges = [from, to, ...both.flatMap((s) => [s.x0, s.x1])].filter((x) => x >= from && x <= to);
  const stops = [...new Set(edges)].sort((a, b) => a - b);
  let best = { crossing: Number.POSITIVE_INFINITY, width: 0, x: (left.x1 + right.x0) / 2 };
  for (let i = 0; i + 1 < stops.length; i += 1) {
    const a = stops[i] ?? 0;
    const b = stops[i + 1] ?? 0;
    const x = (a + b) / 2;
    if (b - a < 1e-6) continue;
    const crossing = both.filter((s) => s.x0 < x && s.x1 > x).length;
    if (crossing < best.crossing || (crossing === best.crossing && b - a >= best.width))
      best = { crossing, width: b - a, x };
  }
  return best.x;
}

/**
 * The columns under the heads of a table.
 * @param body the lines below, as far as the table may go
 */
export function columnsUnder(heads: readonly HeadCell[], body: readonly Line[]): Column[] {
  const segments = body.flatMap((line) => line.segments);
  const bounds = heads.slice(1).map((head, i) => boundaryBetween(heads[i] ?? head, head, segments));
  return heads.map(({ text }, i) => ({
    head: text,
    x0: bounds[i - 1] ?? Number.NEGATIVE_INFINITY,
    x1: bounds[i] ?? Number.POSITIVE_INFINITY,
  }));
}

/** The column that a segment is in, by its middle; and how many boundaries it crosses. */
export function placeIn(columns: readonly Column[], segment: Segment): { index: number; crosses: number } {
  const middle = (segment.x0 + segment.x1) / 2;
  const slack = 0.4 * heightOf(segment);
  const crosses = columns.filter((c) => c.x0 > segment.x0 + slack && c.x0 < segment.x1 - slack).length;
  const start = columns.findIndex((c) => segment.x0 + slack < c.x1);
  const index = crosses > 0 ? start : columns.findIndex((c) => middle < c.x1);
  return { index: Math.max(index, 0), crosses };
}

/** A gap between runs that is wider than a space, in their height: a column may end there. */
const widerThanSpace = 0.42;

/** A segment that goes over the end of a column, in its parts where a gap lies about there: values of narrow columns. */
export function splitAtColumns(columns: readonly Column[], segment: Segment): Segment[] {
  const bounds = columns.map((c) => c.x1).filter((x) => x > segment.x0 && x < segment.x1);
  const pieces: TextRun[][] = [[]];
  for (const part of segment.parts) {
    const last = pieces.at(-1)?.at(-1);
    const wide = last !== undefined && part.x0 - last.x1 > widerThanSpace * heightOf(segment);
    const ends =
      wide &&
      bounds.some((x) => x > last.x1 - 0.3 * heightOf(segment) && x < part.x0 + 0.3 * heightOf(segment));
    if (ends) pieces.push([part]);
    else pieces.at(-1)?.push(part);
  }
  if (pieces.length < 2) return [segment];
  return pieces.flatMap((parts) => segmentsOf(parts));
}
