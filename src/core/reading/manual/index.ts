// A maker's manual, as pages of text, a table or a data sheet: its parameters and faults, and what they mean.
export type { Found, ManualAlarm, ManualEntry, ReadDefault, Unread } from './entry';
export type { ReadChoice } from './choices';
export { interpreted, type InterpretedAlarm, type InterpretedEntry, type ManualReading } from './interpret';
export { readPages } from './pages';
export { readGrid } from './grid';
export { readText } from './text-file';
export { withMendedSigns } from './mended';
