import type { Entry } from './entry';

/** An entry in the log, with what became of it. */
export interface LogLine {
  entry: Entry;
  /** Why the entry does not count, if it does not. */
  void: string | null;
  /** What it stands in the place of although its maker's page did not have it: both are to be looked at. */
  unseen: Entry | null;
  /** The entry that put this one right. */
  correctedBy: string | null;
}
