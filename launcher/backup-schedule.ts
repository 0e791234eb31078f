import { spawn } from 'node:child_process';
import { mkdirSync, readdirSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { backupTo, copyBackup, drill } from './backup';
import type { Cluster } from './cluster';
import { inRoot, root } from './paths';
import { say } from './terminal';

const minute_ms = 60_000;
const hour_ms = 60 * minute_ms;
/** How many of the newest hours, days and months have a backup that is kept. */
const kept = { hours: 24, days: 30, months: 12 };
const drillEvery_ms = 7 * 24 * hour_ms;
/** Where they are. */
export const backupFolder = inRoot('.data', 'backups');
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
 * Backs the database up into the hour's file, and once a week reads it beside the live one to see that it can be restored.
 * @returns what is wrong with a backup that was proven just now
 */
export async function backUpNow(cluster: Cluster): Promise<string[]> {
  mkdirSync(backupFolder, { recursive: true, mode: 0o700 });
  const name = nameOf(new Date());
  const file = join(backupFolder, name);
  backupTo(cluster, file);
  prune(backupFolder);
  copyElsewhere(file, name);
  if (Date.now() - provenAt(backupFolder) < drillEvery_ms) return [];
  const faults = await drill(cluster, file);
  if (faults.length === 0) {
    writeFileSync(join(backupFolder, provenMark), `${name}\n`);
    say(`${file} passed the test restore`);
  }
  return faults;
}

/**
 * Has a backup made a minute after the start and each hour, by a process of its own: what is started and watched here must not wait for it.
 * What goes wrong is said there, and tried again an hour later.
 * @returns ends it
 */
export function backUpHourly(): () => void {
  const now = () => {
    const child = spawn(process.execPath, ['--import', 'tsx', 'launcher/main.ts', 'db', 'hourly'], {
      cwd: root,
      stdio: ['ignore', 'inherit', 'inherit'],
    });
    child.unref();
  };
  // A machine that is switched off every evening has its backups, too.
  const first = setTimeout(now, minute_ms);
  const timer = setInterval(now, hour_ms);
  for (const one of [first, timer]) one.unref();
  return () => {
    clearTimeout(first);
    clearInterval(timer);
  };
}
