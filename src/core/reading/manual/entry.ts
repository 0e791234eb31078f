import type { ReadChoice } from './choices';

/** A default: one value, one for each default set, or null where the manual gives no number. */
export type ReadDefault = number | { '50Hz': number; '60Hz': number } | null;

/** A parameter as a manual prints it, before anything is said of its meaning. */
export interface ManualEntry {
  number: string;
  name: string;
  unit: string | null;
  min: number | null;
  max: number | null;
  default: ReadDefault;
  choices: ReadChoice[];
  /** The text of the range and of the default where they are no numbers: "0 to rated current". */
  rangeText: string | null;
  defaultText: string | null;
  register: number | null;
  /** The heading that it is under. */
  group: string | null;
  page: number;
  /** Where on the page; null where the file has no places. */
  box: { x0: number; y0: number; x1: number; y1: number } | null;
}

/** A fault as a manual prints it. */
export interface ManualAlarm {
  code: string;
  name: string;
  cause: string;
  remedy: string;
  page: number;
  box: ManualEntry['box'];
}

/** A piece of a table that could not be read. */
export interface Unread {
  page: number;
  text: string;
}

/** What was found on some pages. */
export interface Found {
  entries: ManualEntry[];
  alarms: ManualAlarm[];
  unread: Unread[];
}

/** One cell, as its lines. */
export type CellLines = readonly string[];
