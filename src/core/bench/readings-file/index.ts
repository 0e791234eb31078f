// Readings as text, in and out.
export { mostReadings, readReadings, type Given, type Line, type Named } from './read';
export { asCase, asCsv, asJsonLines } from './write';
