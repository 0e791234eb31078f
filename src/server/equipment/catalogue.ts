import { readFile, readdir } from 'node:fs/promises';
import { join } from 'node:path';
import type { Control, DriveType } from '../../core/equipment/catalogue';
import {
  checkFile,
  controlSchema,
  driveTypeSchema,
  type FileProblem,
} from '../../core/equipment/catalogue/schema';
import { HttpError, problemsOf as fieldProblems } from '../http/guard';
import { warnOnce } from '../log';
import { db } from '../database/connection';
import type { ApiProblem } from '../../api/contract';
import type { EditedType, TypeData } from '../../api/type-files';
import { keepVersion, versionsOf } from './type-versions';

const home = join(process.cwd(), 'catalogue');
const json = async (...path: string[]): Promise<unknown> =>
  JSON.parse(await readFile(join(home, ...path), 'utf8'));

let read: Promise<DriveType[]> | undefined;

async function readShipped(): Promise<DriveType[]> {
  const folders = (await readdir(home, { withFileTypes: true })).filter((f) => f.isDirectory());
  return Promise.all(folders.map(async ({ name }) => driveTypeSchema.parse(await json(name, 'type.json'))));
}

/** The types of catalogue/, read once. */
const shipped = (): Promise<DriveType[]> => (read ??= readShipped());

/** Drive types, and which of the workshop's own cannot be read. */
export interface ReadTypes {
  types: DriveType[];
  /** Those that cannot be read, and why. They hurt nothing else. */
  broken: string[];
}

async function own(): Promise<ReadTypes> {
  const rows = await db().models.DriveType.findAll({ attributes: ['id', 'type'], raw: true });
  const read = rows.map(({ id, type }) => ({ id, ...driveTypeSchema.safeParse(type) }));
  const broken = read.flatMap(({ id, error }) =>
    error === undefined ? [] : [`${id}: ${fieldProblems(error)[0]?.allowed ?? 'cannot be read'}`],
  );
  broken.forEach((what) => warnOnce(`a drive type cannot be read and is not used: ${what}`));
  return { types: read.flatMap(({ data }) => data ?? []), broken };
}

/** Every drive type that is known: those that ship, and the workshop's own, of which some may be broken. */
export async function readCatalogue(): Promise<ReadTypes> {
  const { types, broken } = await own();
  const all = [...(await shipped()), ...types];
  return {
    types: all.sort((a, b) => a.maker.localeCompare(b.maker) || a.range.localeCompare(b.range)),
    broken,
  };
}

/** Every drive type that can be read. */
export const catalogue = async (): Promise<DriveType[]> => (await readCatalogue()).types;

const controls = new Map<string, Promise<Control>>();

/** Settings and bus of a drive type; null where nothing is said of them. */
export async function controlOf(typeId: string): Promise<Control | null> {
  if (!(await shipped()).some((t) => t.id === typeId)) {
    const row = await db().models.DriveType.findByPk(typeId);
    const read = controlSchema.safeParse(row?.control ?? null);
    if (row !== null && row.control !== null && !read.success)
      warnOnce(
        `the parameters of ${typeId} cannot be read and are not used: ${String(read.error.issues[0]?.message)}`,
      );
    return read.data ?? null;
  }
  // Only folders that the catalogue knows are ever opened.
  const known =
    controls.get(typeId) ?? json(typeId, 'control.json').then((control) => controlSchema.parse(control));
  controls.set(typeId, known);
  return known.catch((error: unknown) => {
    controls.delete(typeId);
    if (error instanceof Error && 'code' in error && error.code === 'ENOENT') return null;
    throw error;
  });
}

const parsedJson = (text: string): unknown => JSON.parse(text);

export interface WrittenType {
  /** Text of type.json, and of control.json where there is one. */
  type: string;
  control: string | null;
}
const problemsOf = (
  file: 'type.json' | 'control.json',
  checked: { problems: FileProblem[] } | { value: unknown },
): ApiProblem[] =>
  'problems' in checked
    ? checked.problems.map(({ line, path, message }) => ({ file, line, path, allowed: message }))
    : [];

/** Both files of a type of the workshop's own; null for any other. */
export async function ownFiles(id: string): Promise<TypeData | null> {
  const row = await db().models.DriveType.findByPk(id, { raw: true });
  return row === null ? null : { type: row.type, control: row.control };
}

/** The files of a type as they are. @throws HttpError 404 for a type that is not there */
export async function editedType(id: string): Promise<EditedType> {
  if ((await shipped()).some((t) => t.id === id)) {
    const control = await json(id, 'control.json').catch(() => null);
    return { id, type: await json(id, 'type.json'), control, version: 0, supplied: true, versions: [] };
  }
  const files = await ownFiles(id);
  if (files === null) throw new HttpError(404, 'This type is not in the catalogue.');
  const versions = await versionsOf(id);
  const [newest] = versions;
  return {
    ...{ id, ...files, supplied: false, versions },
    version: newest?.version ?? 0,
  };
}

/**
 * Checks what a workshop wrote of a type, and keeps it where nothing is wrong.
 * @throws HttpError where something in the files is wrong, or the id is that of a type that ships
 */
export async function keepType(
  { type, control }: WrittenType,
  {
    keep,
    byId,
    note = '',
    seen = null,
  }: { keep: boolean; byId: string; note?: string; seen?: number | null },
): Promise<{ id: string; version: number | null }> {
  const typeRead = checkFile(type, driveTypeSchema);
  const controlRead = control === null ? { value: null } : checkFile(control, controlSchema);
  const problems = [...problemsOf('type.json', typeRead), ...problemsOf('control.json', controlRead)];
  if (!('value' in typeRead) || !('value' in controlRead))
    throw new HttpError(422, 'The files contain errors.', problems);
  const { id } = typeRead.value;
  if ((await shipped()).some((t) => t.id === id))
    throw new HttpError(409, `${id} is the id of a supplied type: use another id in type.json.`);
  if (!keep) return { id, version: null };
  // What was written is kept, not what the schema made of it: defaults are filled in when it is read.
  const data = { type: parsedJson(type), control: control === null ? null : parsedJson(control) };
  return { id, version: await keepVersion(data, { id, byId, note, seen }) };
}
