import { roleOfHead } from './heads';
import { linesOf, textOf, type Line, type TextPage } from '../table-text';

/** Lines at the top and the bottom of a page that can be its head and foot. */
const mostLines = 3;
const plainFoot = /^(?:page\s*)?\d{1,4}(?:\s*(?:\/|of)\s*\d{1,4})?$/i;
/** The same text at the same height, whatever number it has. */
const keyOf = (line: Line): string =>
  `${textOf(line).replace(/\d+/g, '#').trim()} @ ${Math.round(line.y0 / 3)}`;

/** Lines of one edge from the outside inwards, as long as they come again on other pages. */
function marginal(edge: readonly Line[], seen: ReadonlyMap<string, number>, pages: number): Line[] {
  const stop = edge.findIndex((line) => {
    const text = textOf(line);
    const again = (seen.get(keyOf(line)) ?? 0) >= Math.max(2, 0.4 * pages);
    const isHead = line.segments.some((s) => roleOfHead(s.text) !== undefined);
    return isHead || !(again || plainFoot.test(text));
  });
  return stop < 0 ? [...edge] : edge.slice(0, stop);
}

/** Pages without what comes again on each: their heads and feet, page numbers. */
export function withoutMargins(pages: readonly TextPage[]): TextPage[] {
  const edges = pages.map((page) => {
    const lines = linesOf(page.runs);
    return { top: lines.slice(0, mostLines), bottom: lines.slice(-mostLines).reverse() };
  });
  const seen = new Map<string, number>();
  for (const { top, bottom } of edges)
    for (const text of new Set([...top, ...bottom].map(keyOf))) seen.set(text, (seen.get(text) ?? 0) + 1);
  return pages.map((page, i) => {
    const { top = [], bottom = [] } = edges[i] ?? {};
    const away = [...marginal(top, seen, pages.length), ...marginal(bottom, seen, pages.length)];
    if (away.length === 0) return page;
    const isAway = (y: number): boolean => away.some((l) => y >= l.y0 - 0.01 && y <= l.y1 + 0.01);
    return { ...page, runs: page.runs.filter((r) => !isAway((r.y0 + r.y1) / 2)) };
  });
}
