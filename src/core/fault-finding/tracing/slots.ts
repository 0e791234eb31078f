import type { Slot } from '../../equipment/drive-words';

/** Slots this close belong to one event (common practice, no source). */
const together_min = 10;

const isClose = (newer: Slot, older: Slot): boolean =>
  newer.clock_min > 0 && older.clock_min > 0
    ? newer.clock_min - older.clock_min <= together_min
    : newer.runHours === older.runHours;

/** Faults that were logged within minutes of each other. */
export interface Burst {
  /** What tripped first: the one to trace. */
  first: Slot;
  /** What came after it within minutes, oldest first: perhaps only its consequence. */
  followed: Slot[];
}

/**
 * The newest event of a fault history.
 * @param history newest first, as drives show it
 */
export function newestBurst(history: readonly Slot[]): Burst | null {
  const [newest] = history;
  if (newest === undefined) return null;
  const end = history.findIndex((slot, i) => {
    const newer = history[i - 1];
    return newer !== undefined && !isClose(newer, slot);
  });
  const burst = history.slice(0, end < 0 ? history.length : end).reverse();
  const [first = newest, ...followed] = burst;
  // The same alarm again is one that somebody reset.
  return { first, followed: followed.filter((s) => s.code !== first.code) };
}
