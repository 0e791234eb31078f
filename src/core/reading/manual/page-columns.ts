import { linesOf, type Line, type TextPage, type TextRun } from '../table-text';
import { rolesOfHeads } from './heads';
import { numberAndName } from './table-entries';
import { isParameterNumber, shapeOf } from './numbers';

/** Where the right one of two columns begins, as shares of the page's width. */
const leftmost = 0.42;
const rightmost = 0.64;
/** Fewer lines side by side are no columns. */
const leastLines = 5;

/** What a side of the page has: the head of a table, and the numbers that begin its lines. */
function sideOf(runs: readonly TextRun[]): { head: boolean; numbers: string[] } {
  const lines = linesOf(runs);
  const head = lines.some((line) => {
    const roles = rolesOfHeads(line.segments.map((s) => s.text));
    return (
      roles.filter((r) => r !== undefined).length >= 2 && roles.some((r) => r === 'number' || r === 'code')
    );
  });
  const numbers = lines.flatMap(({ segments: [first, second] }) => {
    if (first === undefined) return [];
    // A value at the left of a column is no number of a parameter: a name has to follow.
    const named = second !== undefined && /[A-Za-z]{2}/.test(second.text);
    const own = named && isParameterNumber(first.text) ? first.text : numberAndName(first.text)?.number;
    return own === undefined || /^[[(]?\d+[\])]?[:=.]?$/.test(own) ? [] : [own];
  });
  return { head, numbers };
}

/** Numbers of parameters rise; values that happen to stand at the left of a column do not. */
const rise = (numbers: readonly string[]): boolean =>
  numbers.length >= 2 &&
  numbers.slice(1).filter((n, i) => n.localeCompare(numbers[i] ?? '', 'en', { numeric: true }) > 0).length >=
    0.85 * (numbers.length - 1);

function areColumns(left: readonly TextRun[], right: readonly TextRun[]): boolean {
  const [l, r] = [sideOf(left), sideOf(right)];
  if (l.head && r.head) return true;
  const alike = shapeOf(l.numbers[0] ?? '') === shapeOf(r.numbers[0] ?? '');
  if (!alike || r.head) return false;
  // The last page may have one on one side only: then the two sides together have to rise.
  const together = l.numbers.length > 0 && r.numbers.length > 0 && rise([...l.numbers, ...r.numbers]);
  return (
    (l.head && rise(r.numbers)) ||
    (rise(l.numbers) && rise(r.numbers)) ||
    (together && l.numbers.length + r.numbers.length >= 3)
  );
}

interface Cut {
  x: number;
  /** The stretch of the page that has two columns. */
  y0: number;
  y1: number;
  lines: number;
  gap: number;
}

/** The longest stretch of lines that none of crosses x; a head over both columns ends it. */
function longestStretch(lines: readonly Line[], x: number): Omit<Cut, 'x' | 'gap'> {
  let best = { y0: 0, y1: 0, lines: 0 };
  let open: Line[] = [];
  const close = (): void => {
    const [first, last] = [open[0], open.at(-1)];
    if (first !== undefined && last !== undefined && open.length > best.lines)
      best = { y0: first.y0, y1: last.y1, lines: open.length };
    open = [];
  };
  for (const line of lines) {
    const crossed = line.segments.some((s) => s.x0 < x && s.x1 > x);
    if (crossed || isHeadOverBoth(line, x)) close();
    if (!crossed) open.push(line);
  }
  close();
  return best;
}

/** The head of one table that has columns on both sides: all that is right of x are heads, and none begins rows. */
function isHeadOverBoth({ segments }: Line, x: number): boolean {
  const roles = rolesOfHeads(segments.map((s) => s.text));
  const right = roles.filter((_, i) => (segments[i]?.x0 ?? 0) >= x);
  const begins = (some: readonly unknown[]): boolean => some.includes('number') || some.includes('code');
  return (
    right.length > 0 &&
    right.length < roles.length &&
    roles.every((r) => r !== undefined) &&
    begins(roles) &&
    !begins(right)
  );
}

/** The runs of a page in the order they are read: column by column where it has two. */
export function splitColumns({ runs, width }: TextPage): (readonly TextRun[])[] {
  const lines = linesOf(runs);
  const segments = lines.flatMap((line) => line.segments);
  const begins = [...new Set(segments.map((s) => Math.round(s.x0)))].filter(
    (x) => x > leftmost * width && x < rightmost * width,
  );
  const cuts = begins.map((begin): Cut => {
    const x = begin - 0.006 * width;
    const stretch = longestStretch(lines, x);
    const inside = segments.filter((s) => s.y0 >= stretch.y0 && s.y1 <= stretch.y1);
    const end = Math.max(0, ...inside.filter((s) => s.x1 <= x).map((s) => s.x1));
    return { x, ...stretch, gap: begin - end };
  });
  const good = cuts
    .filter((cut) => cut.lines >= leastLines && Number.isFinite(cut.gap))
    .sort((a, b) => b.lines - a.lines || b.gap - a.gap);
  for (const { x, y0, y1 } of good.slice(0, 8)) {
    const part = (keep: (run: TextRun, middle: number) => boolean): TextRun[] =>
      runs.filter((run) => keep(run, (run.y0 + run.y1) / 2));
    const left = part((run, y) => y >= y0 && y <= y1 && (run.x0 + run.x1) / 2 < x);
    const right = part((run, y) => y >= y0 && y <= y1 && (run.x0 + run.x1) / 2 >= x);
    if (left.length > 0 && right.length > 0 && areColumns(left, right))
      return [part((_, y) => y < y0), left, right, part((_, y) => y > y1)].filter((some) => some.length > 0);
  }
  return [runs];
}
