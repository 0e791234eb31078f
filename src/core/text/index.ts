// Text as files have it: tables as CSV, JSON before it is parsed.
export { csvOf, csvOfRecords } from './csv';
export { isNestedBeyond } from './nesting';
