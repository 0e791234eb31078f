import { readFile, readdir } from 'node:fs/promises';
import { join } from 'node:path';
import type { DriveType } from '../core/catalogue';
import { driveTypeSchema } from '../core/catalogue/schema';

let read: Promise<DriveType[]> | undefined;

async function readCatalogue(): Promise<DriveType[]> {
  const home = join(process.cwd(), 'catalogue');
  const folders = (await readdir(home, { withFileTypes: true })).filter((f) => f.isDirectory());
  const types = await Promise.all(
    folders.map(async ({ name }) =>
      driveTypeSchema.parse(JSON.parse(await readFile(join(home, name, 'type.json'), 'utf8'))),
    ),
  );
  return types.sort((a, b) => a.maker.localeCompare(b.maker));
}

/** The drive types of catalogue/, read once. */
export const catalogue = (): Promise<DriveType[]> => (read ??= readCatalogue());
