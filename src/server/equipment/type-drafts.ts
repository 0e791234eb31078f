import { isDeepStrictEqual } from 'node:util';
import { typeDraftSchema } from '../../core/reading/type-draft/schema';
import type { TypeDraft } from '../../core/reading/type-draft';
import { db } from '../database/connection';
import { HttpError } from '../http/guard';
import { warnOnce } from '../log';

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
