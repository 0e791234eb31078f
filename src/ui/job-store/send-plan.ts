import { withoutServerParts, type Entry } from '@/core/logbook';
import type { NoAnswer } from './ports';

/** So many entries, and so many bytes of JSON, go in one post. */
export const mostEntries = 100;
export const mostBytes = 256 * 1024;

const encoder = new TextEncoder();
const bytesOf = (entry: Entry): number =>
  encoder.encode(JSON.stringify(withoutServerParts(entry))).length + 1;

/**
 * The next post: entries of one person, in the order they were made.
 * @param waiting in the order they were made
 * @param parked people whose entries are left alone for now
 * @param most entries at once
 */
export function nextBatch(waiting: readonly Entry[], parked: ReadonlySet<string>, most: number): Entry[] {
  const mine = waiting.filter((e) => !parked.has(e.by.id));
  const [first] = mine;
  if (first === undefined) return [];
  const batch: Entry[] = [];
  let bytes = 0;
  for (const entry of mine) {
    if (entry.by.id !== first.by.id || batch.length === Math.min(most, mostEntries)) break;
    bytes += bytesOf(entry);
    if (bytes > mostBytes && batch.length > 0) break;
    batch.push(entry);
  }
  return batch;
}

/** What is done after a post that was not answered with verdicts. Nothing is ever dropped for it. */
export type Setback =
  /** All of them wait: no server, or one in trouble. */
  | 'wait'
  /** The entries of this person wait. */
  | 'park-person'
  /** The job is not to be had: all of them wait, and no other way is tried. */
  | 'park-job'
  /** Too much, or something in it: fewer at a time find out which. */
  | 'split';

/** What an answer without verdicts means for the entries that were sent. */
export function setbackOf({ status }: NoAnswer): Setback {
  if (status === 401 || status === 403) return 'park-person';
  if (status === 404 || status === 409 || status === 410) return 'park-job';
  if (status === 400 || status === 413 || status === 415 || status === 422) return 'split';
  return 'wait';
}

const first_ms = 1000;
const longest_ms = 60_000;

/**
 * How long to wait before the next try, ms: doubled each time, up to a minute, and spread so that tablets that lost the
 * server together do not come back together.
 * @param failures in a row, from 1
 * @param random 0 to 1
 */
export function backOff_ms(failures: number, random: number, retryAfter_s: number | null): number {
  const most = Math.min(longest_ms, first_ms * 2 ** Math.min(failures - 1, 10));
  return Math.max(most * (0.5 + random / 2), (retryAfter_s ?? 0) * 1000);
}
