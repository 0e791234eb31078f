import Papa from 'papaparse';
import type { TextPage, TextRun } from '../table-text';
import { isDataSheet, readDataSheet } from './eds';
import type { Found } from './entry';
import { readGrid } from './grid';
import { readPages } from './pages';

/** A sign of text of one width, in the units of its page. */
const signWidth = 6;
const lineHeight = 12;
const signHeight = 10;

/** Text of one width as a page: columns stand where the signs stand. */
function pageOfText(lines: readonly string[], number: number): TextPage {
  const runs = lines.flatMap((line, row): TextRun[] =>
    [...line.replace(/\t/g, '    ').matchAll(/\S+(?: \S+)*/g)].map((part) => ({
      text: part[0],
      x0: part.index * signWidth,
      x1: (part.index + part[0].length) * signWidth,
      y0: row * lineHeight,
      y1: row * lineHeight + signHeight,
    })),
  );
  const width = Math.max(1, ...lines.map((line) => line.length)) * signWidth;
  return { number, width, height: Math.max(1, lines.length) * lineHeight, runs };
}

const count = (text: string, sign: string): number => text.split(sign).length - 1;

/** The sign that parts the cells of most lines; undefined for text that is no table of that kind. */
function separatorOf(lines: readonly string[]): string | undefined {
  const filled = lines.filter((line) => line.trim() !== '');
  return ['\t', ';', '|', ','].find((sign) => {
    const having = filled.filter((line) => count(line, sign) >= 2).length;
    return having >= 2 && having >= 0.6 * filled.length;
  });
}

const cellsBetweenBars = (row: readonly string[]): string[] =>
  row
    .map((cell) => cell.trim())
    .filter((cell, i, all) => !(cell === '' && (i === 0 || i === all.length - 1)));

/**
 * Reads a parameter list that is text: a table with any separator, a data sheet (CiA 306), or lines as a display or a
 * manual has them.
 */
export function readText(text: string): Found {
  if (isDataSheet(text)) return readDataSheet(text);
  const lines = text.split(/\r\n|\r|\n/);
  const separator = separatorOf(lines);
  if (separator === undefined) {
    const pages = text.split('\f').map((page, i) => pageOfText(page.split(/\r\n|\r|\n/), i + 1));
    return readPages(pages);
  }
  const { data } = Papa.parse<string[]>(text, { delimiter: separator });
  const rows = separator === '|' ? data.map(cellsBetweenBars) : data;
  // The line under the head of a table drawn with bars.
  return readGrid(
    rows.filter((row) => !row.every((cell) => /^[-: ]*$/.test(cell)) || row.join('').trim() === ''),
  );
}
