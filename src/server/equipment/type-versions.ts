import { isDeepStrictEqual } from 'node:util';
import type { TypeData, TypeVersion } from '../../api/type-files';
import { db } from '../database/connection';
import { HttpError } from '../http/guard';

/** How a version is kept. */
export interface Keeping {
  id: string;
  byId: string;
  note: string;
  /** The version that the person edited from; null: whatever there is, e.g. files that are uploaded. */
  seen: number | null;
}

/**
 * Keeps a type as its newest version; the same again makes none.
 * @returns the version it is now
 * @throws HttpError 409 where somebody else saved one meanwhile
 */
export async function keepVersion(data: TypeData, { id, byId, note, seen }: Keeping): Promise<number> {
  const { DriveType, TypeVersion } = db().models;
  return db().sequelize.transaction(async (transaction) => {
    // Two that save a type for the first time meet here: there is no row yet that could be locked.
    await db().sequelize.query('select pg_advisory_xact_lock(hashtext($1))', { bind: [id], transaction });
    const row = await DriveType.findByPk(id, { transaction, raw: true });
    const last =
      row === null ? 0 : Number(await TypeVersion.max('version', { where: { typeId: id }, transaction }));
    if (row !== null && isDeepStrictEqual({ type: row.type, control: row.control }, data)) return last;
    if (seen !== null && seen !== last)
      throw new HttpError(
        409,
        'Someone saved another version of this type since you opened it. Open the page in a second tab to see it; your changes stay here.',
      );
    const version = last + 1;
    const receivedAt = new Date();
    await DriveType.upsert({ id, ...data, byId, receivedAt }, { transaction });
    await TypeVersion.create({ typeId: id, version, ...data, note, byId, receivedAt }, { transaction });
    return version;
  });
}

/** The versions of a type, newest first; none of a type that ships. */
export async function versionsOf(id: string): Promise<TypeVersion[]> {
  const { TypeVersion, Person } = db().models;
  const rows = await TypeVersion.findAll({
    where: { typeId: id },
    attributes: ['version', 'note', 'byId', 'receivedAt'],
    order: [['version', 'DESC']],
    raw: true,
  });
  const people = await Person.findAll({ attributes: ['id', 'name'], raw: true });
  return rows.map(({ version, note, byId, receivedAt }) => ({
    ...{ version, note, at: receivedAt.toISOString() },
    by: people.find((p) => p.id === byId)?.name ?? 'somebody',
  }));
}

/** The files of one version. @throws HttpError 404 where there is none */
export async function versionOf(id: string, version: number): Promise<TypeData> {
  const row = await db().models.TypeVersion.findOne({ where: { typeId: id, version }, raw: true });
  if (row === null) throw new HttpError(404, 'This type has no such version.');
  return { type: row.type, control: row.control };
}
