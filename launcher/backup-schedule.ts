import { mkdirSync, readdirSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { backupTo, copyBackup, drill } from './backup';
import type { Cluster } from './cluster';
import { inRoot } from './paths';
import { say } from './terminal';

const hour_ms = 3_600_000;
/** How many of the newest hours, days and months have a backup that is kept. */
const kept = { hours: 24, days: 30, months: 12 };
const drillEvery_ms = 7 * 24 * hour_ms;
/** A file that names the backup which was proven last. */
const provenMark = 'proven';

const nameOf = (at: Date): string => `grim-${at.toISOString().slice(0, 13)}.dump`;
/** When a backup was made, from its name: to the hour; null: it is none of ours. */
const madeAt = (name: string): string | null => /^grim-(\d{4}-\d\d-\d\dT\d\d)\.dump$/.exec(name)?.[1] ?? null;
/** Left behind by a kill: each hour has a name of its own, so nothing writes to it any more. */
const isLeftOver = (name: string): boolean => name.endsWith('.dump.part');

/**
 * Which backups stay: the newest of each of the last hours, days and months that have one.
 * @param names files of the folder; what is none of ours stays, too
 */
export function backupsToKeep(names: readonly string[]): string[] {
  const ours = names
    .filter((name) => madeAt(name) !== null)
    .sort()
    .reverse();
  const newestOf = (letters: number, count: number): string[] => {
    const seen = new Map<string, string>();
    for (const name of ours) {
      const period = (madeAt(name) ?? '').slice(0, letters);
      if (!seen.has(period)) seen.set(period, name);
    }
    return [...seen.values()].slice(0, count);
  };
  const staying = new Set([
    ...newestOf('yyyy-mm-ddThh'.length, kept.hours),
    ...newestOf('yyyy-mm-dd'.length, kept.days),
    ...newestOf('yyyy-mm'.length, kept.months),
  ]);
  return names.filter((name) => (madeAt(name) === null && !isLeftOver(name)) || staying.has(name));
}

/** Another folder, on another disk perhaps, that gets a copy: GRIM_BACKUPS. */
function copyElsewhere(file: string, name: string): void {
  const elsewhere = process.env['GRIM_BACKUPS'];
  if (elsewhere === undefined) return;
  mkdirSync(elsewhere, { recursive: true });
  copyBackup(file, join(elsewhere, name));
  prune(elsewhere);
}

/** When a backup was last restored beside the database and found whole, ms; over restarts. */
function provenAt(folder: string): number {
  return statSync(join(folder, provenMark), { throwIfNoEntry: false })?.mtimeMs ?? 0;
}

function prune(folder: string): void {
  const names = readdirSync(folder);
  const staying = new Set(backupsToKeep(names));
  for (const name of names) if (!staying.has(name)) rmSync(join(folder, name));
}

/**
 * Backs the database up each hour, and reads the newest backup beside it once a week to see that it can be restored.
 * What goes wrong is said, and tried again an hour later.
 * @returns ends it
 */
export function backUpHourly(cluster: Cluster): () => void {
  const folder = inRoot('.data', 'backups');
  mkdirSync(folder, { recursive: true, mode: 0o700 });
  const once = async (): Promise<void> => {
    const name = nameOf(new Date());
    const file = join(folder, name);
    backupTo(cluster, file);
    prune(folder);
    copyElsewhere(file, name);
    if (Date.now() - provenAt(folder) < drillEvery_ms) return;
    const faults = await drill(cluster, file);
    if (faults.length === 0) writeFileSync(join(folder, provenMark), `${name}\n`);
    say(
      faults.length === 0
        ? `${file} was restored beside the database: all of it is there`
        : `${file}: ${faults.join('; ')}`,
    );
  };
  const tick = () =>
    void once().catch((error: unknown) =>
      say(`no backup was made: ${error instanceof Error ? error.message : String(error)}`),
    );
  const timer = setInterval(tick, hour_ms);
  timer.unref();
  return () => clearInterval(timer);
}
