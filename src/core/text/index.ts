// Text as files have it: tables as CSV, JSON before it is parsed, signs at the ends.
export { csvOf, csvOfRecords } from './csv';
export { isNestedBeyond } from './nesting';
export { oneLine, withoutEnd, withoutEnds } from './trim';
