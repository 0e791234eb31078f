import { readdir, stat } from 'node:fs/promises';
import { join } from 'node:path';

/** When the newest backup was made and when one was last restored as a test; null: never. */
export interface BackupTimes {
  made: Date | null;
  proven: Date | null;
}

/** Of the folder that the launcher keeps backups in; null where this server makes none. */
export async function backupTimes(): Promise<BackupTimes | null> {
  const folder = process.env['GRIM_BACKUP_FOLDER'];
  if (folder === undefined) return null;
  const names = await readdir(folder).catch(() => []);
  const newest = names
    .filter((name) => name.endsWith('.dump'))
    .sort()
    .pop();
  const timeOf = async (name: string): Promise<Date | null> =>
    (await stat(join(folder, name)).catch(() => null))?.mtime ?? null;
  return { made: newest === undefined ? null : await timeOf(newest), proven: await timeOf('proven') };
}
