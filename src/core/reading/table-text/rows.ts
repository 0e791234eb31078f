import { boxAround, heightOf, median, middleOf, type Box, type Line, type Segment } from './page';
import { placeIn, splitAtColumns, type Column } from './columns';

/** A cell of a row: its lines from the top. */
export interface Cell {
  lines: { text: string; y: number }[];
}

/** A row of a table, with the heading above it. */
export interface TableRow {
  cells: Cell[];
  box: Box;
  heading: string | null;
}

interface Placed {
  segment: Segment;
  column: number;
}

/** Free stretches of y between what is there. */
function gapsBetween(boxes: readonly Box[], from: number, to: number): { y0: number; y1: number }[] {
  const sorted = boxes.filter((b) => b.y1 > from && b.y0 < to).sort((a, b) => a.y0 - b.y0);
  const gaps: { y0: number; y1: number }[] = [];
  let y = from;
  for (const box of sorted) {
    if (box.y0 > y) gaps.push({ y0: y, y1: box.y0 });
    y = Math.max(y, box.y1);
  }
  if (to > y) gaps.push({ y0: y, y1: to });
  return gaps;
}

type Alignment = 'top' | 'middle';

/** Where one row ends and the next begins: in the widest gap over all columns; of equal ones where both rows hang together best. */
function boundaryOf(above: Box, below: Box, others: readonly Segment[], alignment: Alignment): number {
  const gaps = gapsBetween(others, above.y0, below.y1).filter((g) => g.y1 > g.y0);
  const inside = gaps.filter((g) => g.y0 >= above.y0 && g.y1 <= below.y1);
  const widest = Math.max(0, ...inside.map((g) => g.y1 - g.y0));
  const close = inside.filter((g) => g.y1 - g.y0 >= 0.82 * widest - 1e-6);
  if (close.length === 0) return below.y0;
  if (alignment === 'top') return close.reduce((a, b) => (b.y1 <= below.y0 + 1 ? b : a)).y1;
  const middle = (middleOf(above) + middleOf(below)) / 2;
  const best = close.reduce((a, b) =>
    Math.abs((b.y0 + b.y1) / 2 - middle) < Math.abs((a.y0 + a.y1) / 2 - middle) ? b : a,
  );
  return (best.y0 + best.y1) / 2;
}

/** Is there text of a row above its number? Seen by a gap over all columns that is wider than the others. */
function hasTextAbove(above: Segment, below: Segment, segments: readonly Segment[]): boolean {
  const gaps = gapsBetween(segments, above.y0, below.y1).filter((g) => g.y0 >= above.y0 && g.y1 <= below.y1);
  const [first, second] = [...gaps].sort((a, b) => b.y1 - b.y0 - (a.y1 - a.y0));
  if (first === undefined) return false;
  const clear = second === undefined || second.y1 - second.y0 < 0.8 * (first.y1 - first.y0);
  return clear && first.y1 < below.y0 - 0.5 * heightOf(below);
}

/** Do the texts of a row begin at the height of its number, or are they centred about it? */
function alignmentOf(anchors: readonly Segment[], segments: readonly Segment[]): Alignment {
  const centred = anchors.filter((anchor, i) => {
    const before = anchors[i - 1];
    const halfLine = segments.some(
      (s) =>
        Math.abs(Math.abs(middleOf(s) - middleOf(anchor)) - 0.6 * heightOf(anchor)) < 0.22 * heightOf(anchor),
    );
    return halfLine || (before !== undefined && hasTextAbove(before, anchor, segments));
  });
  return centred.length > 0.06 * anchors.length ? 'middle' : 'top';
}

/** A number that is parted at its hyphen goes on in the line below: "B1-", "00". */
function withWholeNumbers(placed: readonly Placed[], anchorColumn: number): Placed[] {
  const merged = new Set<Placed>();
  return placed.flatMap((one) => {
    if (merged.has(one)) return [];
    if (one.column !== anchorColumn || !/[-./:]$/.test(one.segment.text)) return [one];
    const { segment } = one;
    const below = placed.find(
      (p) =>
        p.column === anchorColumn &&
        p.segment.y0 > segment.y0 &&
        p.segment.y0 - segment.y1 < 0.8 * heightOf(segment),
    );
    if (below === undefined) return [one];
    merged.add(below);
    const text = segment.text + below.segment.text;
    return [{ column: anchorColumn, segment: { ...boxAround([segment, below.segment]), text, parts: [] } }];
  });
}

/** What is under the head of a table: its rows, and what is above the first of them. */
export interface TableBody {
  rows: TableRow[];
  /** Text in the columns above the first number: the end of a row of the page before. */
  before: TableRow | null;
  /** Lines that go over the columns and are no headings. */
  notes: { text: string; box: Box }[];
}

const rowFrom = (placed: readonly Placed[], columns: number, heading: string | null): TableRow => ({
  heading,
  box: {
    x0: Math.min(...placed.map((p) => p.segment.x0)),
    y0: Math.min(...placed.map((p) => p.segment.y0)),
    x1: Math.max(...placed.map((p) => p.segment.x1)),
    y1: Math.max(...placed.map((p) => p.segment.y1)),
  },
  cells: Array.from({ length: columns }, (_, c) => ({
    lines: placed
      .filter((p) => p.column === c)
      .sort((a, b) => a.segment.y0 - b.segment.y0 || a.segment.x0 - b.segment.x0)
      .map(({ segment }) => ({ text: segment.text, y: middleOf(segment) })),
  })),
});

/** A heading is short and does not end as a sentence does. */
const isHeading = (text: string): boolean => text.length <= 70 && !/[.;,]$/.test(text);

/**
 * The rows under the heads of a table.
 * @param isAnchor does a text of the anchor column begin a row?
 * @param anchorColumn the column that has one text in each row: the number
 */
export function rowsOf(
  columns: readonly Column[],
  body: readonly Line[],
  anchorColumn: number,
  isAnchor: (text: string) => boolean,
): TableBody {
  const notes: TableBody['notes'] = [];
  const headings: { y: number; text: string }[] = [];
  const all: Placed[] = [];
  for (const line of body) {
    const places = line.segments
      .flatMap((segment) => splitAtColumns(columns, segment))
      .map((segment) => ({ segment, ...placeIn(columns, segment) }));
    const wide = places.find(({ crosses }) => crosses > 0);
    const numbered = places.some(({ index, segment }) => index === anchorColumn && isAnchor(segment.text));
    if (wide !== undefined && line.segments.length === 1 && !numbered) {
      if (isHeading(wide.segment.text)) headings.push({ y: middleOf(line), text: wide.segment.text });
      else notes.push({ text: wide.segment.text, box: wide.segment });
      continue;
    }
    all.push(...places.map(({ segment, index }) => ({ segment, column: index })));
  }
  const placed = withWholeNumbers(all, anchorColumn);
  const anchors = placed
    .filter((p) => p.column === anchorColumn && isAnchor(p.segment.text))
    .map((p) => p.segment)
    .sort((a, b) => a.y0 - b.y0);
  if (anchors.length === 0) return { rows: [], before: null, notes };
  const segments = placed.map((p) => p.segment);
  const alignment = alignmentOf(anchors, segments);
  const bounds = anchors.slice(1).map((below, i) => {
    const above = anchors[i] ?? below;
    // A heading between two rows parts them.
    const parted = headings.find((h) => h.y > middleOf(above) && h.y < middleOf(below));
    return parted?.y ?? boundaryOf(above, below, segments, alignment);
  });
  const first = anchors[0];
  const height = median(anchors.map(heightOf));
  const top = first === undefined ? 0 : topOfFirst(first, segments, headings, alignment, height);
  const headingAt = (y: number): string | null => headings.filter((h) => h.y < y).at(-1)?.text ?? null;
  const rows = anchors.flatMap((anchor, i) => {
    const y0 = bounds[i - 1] ?? top;
    const y1 = bounds[i] ?? Number.POSITIVE_INFINITY;
    const own = placed.filter(({ segment }) => middleOf(segment) > y0 && middleOf(segment) <= y1);
    return own.length === 0 ? [] : [rowFrom(own, columns.length, headingAt(middleOf(anchor)))];
  });
  const above = placed.filter(({ segment }) => middleOf(segment) <= top);
  return {
    rows,
    before: above.length === 0 ? null : rowFrom(above, columns.length, null),
    notes,
  };
}

/** From where on text belongs to the first row: what is above may be the end of a row of the page before. */
function topOfFirst(
  first: Segment,
  segments: readonly Segment[],
  headings: readonly { y: number }[],
  alignment: Alignment,
  height: number,
): number {
  const heading = headings.filter((h) => h.y < first.y0).at(-1)?.y;
  if (heading !== undefined) return heading;
  if (alignment === 'top') return first.y0 - 0.3 * height;
  const above = segments.filter((s) => s.y1 <= first.y0 + 0.5 * height);
  if (above.length === 0) return Number.NEGATIVE_INFINITY;
  const gaps = gapsBetween(above, Math.min(...above.map((s) => s.y0)), first.y0).filter(
    (g) => g.y1 - g.y0 > 0.55 * height,
  );
  const last = gaps.at(-1);
  return last === undefined ? Number.NEGATIVE_INFINITY : (last.y0 + last.y1) / 2;
}
