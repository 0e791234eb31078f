import { isDeepStrictEqual } from 'node:util';
import { typeDraftSchema } from '../../core/reading/type-draft/schema';
import { driveTypeSchema } from '../../core/equipment/catalogue/schema';
import {
  typeFrom,
  typeIdOf,
  type FinishedType,
  type TypeDraft,
  type UnitFacts,
} from '../../core/reading/type-draft';
import { db } from '../database/connection';
import { HttpError, uuidSchema } from '../http/guard';
import { warnOnce } from '../log';
import { keepType } from './catalogue';
import { versionsOf } from './type-versions';

/** A draft as it is stored, and which of its versions it is. */
export interface StoredDraft {
  draft: TypeDraft;
  version: number;
}

/** The drafts that can be read, newest first. One that cannot be read hurts nothing else. */
export async function typeDrafts(): Promise<StoredDraft[]> {
  const rows = await db().models.TypeDraft.findAll({ order: [['receivedAt', 'DESC']], raw: true });
  return rows.flatMap(({ id, draft, version }) => {
    const read = typeDraftSchema.safeParse(draft);
    if (!read.success) warnOnce(`a draft of a drive type cannot be read and is not used: ${id}`);
    return read.success ? [{ draft: read.data, version }] : [];
  });
}

/** One draft; null where there is none that can be read. */
export async function typeDraft(id: string): Promise<TypeDraft | null> {
  if (!uuidSchema.safeParse(id).success) return null;
  const row = await db().models.TypeDraft.findByPk(id, { raw: true });
  return typeDraftSchema.safeParse(row?.draft).data ?? null;
}

/**
 * Stores a draft in place of the version that the person saw.
 * @param seen 0 for a new one
 * @returns the version that is stored now; the same draft again changes nothing
 * @throws HttpError 409 where somebody else changed it meanwhile
 */
export async function keepDraft(draft: TypeDraft, seen: number, byId: string): Promise<number> {
  return db().sequelize.transaction(async (transaction) => {
    const { TypeDraft } = db().models;
    const row = await TypeDraft.findByPk(draft.id, { transaction, lock: true });
    if (row !== null && isDeepStrictEqual(row.draft, draft)) return row.version;
    if ((row?.version ?? 0) !== seen)
      throw new HttpError(
        409,
        'Someone changed this draft since you opened it. Open the page in a second tab to see it; your changes stay here.',
      );
    const version = seen + 1;
    await TypeDraft.upsert({ id: draft.id, draft, version, byId, receivedAt: new Date() }, { transaction });
    return version;
  });
}

/** The models that a type of the workshop has already, with its version: another unit of the range adds to them. */
async function modelsOf(typeId: string): Promise<{ models: UnitFacts['models']; version: number }> {
  const [row, [newest]] = await Promise.all([
    db().models.DriveType.findByPk(typeId, { raw: true }),
    versionsOf(typeId),
  ]);
  const models = driveTypeSchema.safeParse(row?.type).data?.models ?? [];
  return {
    models: models.map(({ type, ratedAmps, power_kW }) => ({ type, ratedAmps, power_kW })),
    version: newest?.version ?? 0,
  };
}

/**
 * Makes a type of the workshop's own from a draft; made again, it takes over what the draft says now and adds the model.
 * @throws HttpError 404 for a draft that is not there, 422 where the type would not be one
 */
export async function finishType(
  draftId: string,
  unit: UnitFacts,
  byId: string,
): Promise<{ id: string; leftOut: FinishedType['leftOut'] }> {
  const draft = await typeDraft(draftId);
  if (draft === null) throw new HttpError(404, 'This draft is not on the server: save it again.');
  const { models, version: seen } = await modelsOf(typeIdOf(draft));
  const others = models.filter((known) => !unit.models.some((own) => own.type === known.type));
  const { type, control, leftOut } = typeFrom(draft, { ...unit, models: [...unit.models, ...others] });
  const files = { type: JSON.stringify(type, null, 2), control: JSON.stringify(control, null, 2) };
  const note = `from the draft, with ${unit.models.map((m) => m.type).join(', ')}`;
  const { id } = await keepType(files, { keep: true, byId, seen, note });
  return { id, leftOut };
}
