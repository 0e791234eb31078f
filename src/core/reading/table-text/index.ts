// From text with places to lines, columns and rows.
export { boxAround, heightOf, linesOf, median, middleOf, textOf } from './page';
export type { Box, Line, Segment, TextPage, TextRun } from './page';
export { columnsUnder, headCells, placeIn, type Column, type HeadCell } from './columns';
export { rowsOf, type Cell, type TableBody, type TableRow } from './rows';
