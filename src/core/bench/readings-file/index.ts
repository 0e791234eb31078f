// Readings as text, in and out.
export { mostReadings, readReadings, type Given, type ReadingLine, type Named } from './read';
export { asCase, asCsv, asJsonLines } from './write';
