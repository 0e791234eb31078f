import { readFile, readdir } from 'node:fs/promises';
import { join } from 'node:path';
import type { Control, DriveType } from '../core/catalogue';
import { controlSchema, driveTypeSchema } from '../core/catalogue/schema';

const home = join(process.cwd(), 'catalogue');
const json = async (...path: string[]): Promise<unknown> =>
  JSON.parse(await readFile(join(home, ...path), 'utf8'));

let read: Promise<DriveType[]> | undefined;

async function readCatalogue(): Promise<DriveType[]> {
  const folders = (await readdir(home, { withFileTypes: true })).filter((f) => f.isDirectory());
  const types = await Promise.all(
    folders.map(async ({ name }) => driveTypeSchema.parse(await json(name, 'type.json'))),
  );
  return types.sort((a, b) => a.maker.localeCompare(b.maker));
}

/** The drive types of catalogue/, read once. */
export const catalogue = (): Promise<DriveType[]> => (read ??= readCatalogue());

const controls = new Map<string, Promise<Control>>();

/** Settings and bus of a drive type; null where its folder says nothing of them. */
export async function controlOf(typeId: string): Promise<Control | null> {
  // Only folders that the catalogue knows are ever opened.
  if (!(await catalogue()).some((t) => t.id === typeId)) return null;
  const known =
    controls.get(typeId) ?? json(typeId, 'control.json').then((control) => controlSchema.parse(control));
  controls.set(typeId, known);
  return known.catch((error: unknown) => {
    controls.delete(typeId);
    if ((error as NodeJS.ErrnoException).code === 'ENOENT') return null;
    throw error;
  });
}
