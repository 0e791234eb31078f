// Parameter sets as text.
export { readSetText, type SetLine, type SetText } from './read';
export { setAsCsv, setAsJson, type SetOut } from './write';
