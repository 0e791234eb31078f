import * as z from 'zod';
import type { Entry } from '../core/logbook';
import type { ApiProblem } from './problem';

/** What became of one entry: recorded as the server has it, or refused for good with the reason. */
export type EntryVerdict =
  { id: string; kept: Entry } | { id: string; refused: string; problems: readonly ApiProblem[] };

/** Entries that the server has, in order, and its clock for the countdowns. */
export interface EntriesAnswer {
  entries: Entry[];
  /** There are more after the last of them. */
  more: boolean;
  now: string;
  /** Which life of the database this is: where it is another one, what is known of the log is of no use. */
  generation: string;
}

/** A verdict for each entry that was sent, in that order. */
export interface VerdictsAnswer {
  verdicts: EntryVerdict[];
  now: string;
  /** As in `EntriesAnswer`. */
  generation: string;
}

/** So many entries go in one post. */
export const mostPosted = 100;

/** Entries as they are sent. Each is read by its own schema, so that one that cannot be read costs only itself. */
export const postedEntriesSchema = z.strictObject({
  /** Who made them; whoever is at the device when they are sent. */
  person: z.uuid().optional(),
  entries: z.array(z.unknown()).min(1).max(mostPosted),
});
