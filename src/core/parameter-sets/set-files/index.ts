// Parameter sets as text.
export { readSetText, type SetLine, type SetText } from './read';
export { setAsCsv, setAsJson, type SetOut } from './write';
export { hasObjects, setAsDcf } from './dcf';
export { checksumOf } from './checksum';
export type { LibrarySet } from './library';
