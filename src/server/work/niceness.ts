import { readlinkSync } from 'node:fs';
import { setPriority } from 'node:os';
import { basename } from 'node:path';

/**
 * Who comes first on a busy processor: a higher number gets less of it. The database and the door, which record what a person
 * enters with a drive in hand, stay at 0.
 */
export const niceness = { pages: 5, documents: 10, pictures: 10 } as const;

/** Lets the others of this machine go first: of this thread, and of what it starts from now on. */
export function letOthersFirst(level: number): void {
  // Linux gives each thread a priority of its own, and this link names the one that asks.
  setPriority(Number(basename(readlinkSync('/proc/thread-self'))), level);
}
