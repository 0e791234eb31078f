// The data port of a bench meter: its lines, and when a figure counts with no key pressed.
export * from './hands-free';
export { readLine, type MeterLine } from './lines';
