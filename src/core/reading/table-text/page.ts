/** A piece of text on a page: what its source gives as one, a word of a scan or a run of a file. y grows downwards. */
export interface TextRun {
  text: string;
  x0: number;
  y0: number;
  x1: number;
  y1: number;
}

/** A page as text with its places; the unit of length is the source's own. */
export interface TextPage {
  /** From 1. */
  number: number;
  width: number;
  height: number;
  runs: readonly TextRun[];
}

/** A box on a page. */
export interface Box {
  x0: number;
  y0: number;
  x1: number;
  y1: number;
}

/** The least box around others. @throws RangeError for none */
export function boxAround(boxes: readonly Box[]): Box {
  if (boxes.length === 0) throw new RangeError('no box to go around');
  return {
    x0: Math.min(...boxes.map((b) => b.x0)),
    y0: Math.min(...boxes.map((b) => b.y0)),
    x1: Math.max(...boxes.map((b) => b.x1)),
    y1: Math.max(...boxes.map((b) => b.y1)),
  };
}

/** How high a box is. */
export const heightOf = ({ y0, y1 }: Box): number => y1 - y0;
/** The middle of a box, from the top of the page. */
export const middleOf = ({ y0, y1 }: Box): number => (y0 + y1) / 2;

/** The middle value; 0 for none. */
export function median(values: readonly number[]): number {
  const sorted = [...values].sort((a, b) => a - b);
  return sorted[Math.floor(sorted.length / 2)] ?? 0;
}

/** Runs that follow one another on one line closely enough to be one text. */
export interface Segment extends Box {
  text: string;
  /** Its runs, from left to right. */
  parts: readonly TextRun[];
}

/** The segments of one line, from left to right. */
export interface Line extends Box {
  segments: readonly Segment[];
}

/** Gaps of a text in its own height: a space is about a third; a column's gap more than this. */
const widestSpace = 0.75;
/** Runs closer than this belong to one word. */
const widestJoint = 0.12;

function joined(left: Segment, right: TextRun): Segment {
  const gap = (right.x0 - left.x1) / Math.max(heightOf(left), heightOf(right));
  const space = gap > widestJoint && !left.text.endsWith(' ') && !right.text.startsWith(' ') ? ' ' : '';
  return { ...boxAround([left, right]), text: left.text + space + right.text, parts: [...left.parts, right] };
}

/** Runs of one line as segments, from left to right. */
export function segmentsOf(runs: readonly TextRun[]): Segment[] {
  const sorted = [...runs].sort((a, b) => a.x0 - b.x0);
  const segments: Segment[] = [];
  for (const run of sorted) {
    const last = segments.at(-1);
    const near =
      last !== undefined && run.x0 - last.x1 <= widestSpace * Math.max(heightOf(last), heightOf(run));
    if (last !== undefined && near) segments[segments.length - 1] = joined(last, run);
    else segments.push({ ...run, parts: [run] });
  }
  return segments.flatMap((segment) => {
    const text = segment.text.replace(/\s+/g, ' ').trim();
    return text === '' ? [] : [{ ...segment, text }];
  });
}

/** A run that holds several columns, as text of one width does, in its parts. */
function splitAtWideSpaces(run: TextRun): TextRun[] {
  if (!/\S {3,}\S|\t/.test(run.text)) return [run];
  const perSign = (run.x1 - run.x0) / run.text.length;
  return [...run.text.matchAll(/\S+(?: {1,2}\S+)*/g)].map((part) => ({
    ...run,
    text: part[0],
    x0: run.x0 + part.index * perSign,
    x1: run.x0 + (part.index + part[0].length) * perSign,
  }));
}

/**
 * The lines of a page, from its top. Runs whose middles are within a third of their height of one another share a line:
 * the cells of one row that are centred do not, and that tells them apart.
 */
export function linesOf(runs: readonly TextRun[]): Line[] {
  const sorted = runs
    .filter((run) => run.text.trim() !== '')
    .flatMap(splitAtWideSpaces)
    .sort((a, b) => middleOf(a) - middleOf(b));
  const rows: TextRun[][] = [];
  let at = Number.NEGATIVE_INFINITY;
  let height = 0;
  for (const run of sorted) {
    const same = middleOf(run) - at <= 0.33 * Math.max(Math.min(height, heightOf(run)), 1e-6);
    if (same) rows.at(-1)?.push(run);
    else rows.push([run]);
    if (!same) {
      at = middleOf(run);
      height = heightOf(run);
    }
  }
  return rows.flatMap((row) => {
    const segments = segmentsOf(row);
    return segments.length === 0 ? [] : [{ ...boxAround(segments), segments }];
  });
}

/** The whole text of a line. */
export const textOf = (line: Line): string => line.segments.map((s) => s.text).join('   ');
