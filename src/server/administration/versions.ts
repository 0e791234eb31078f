import { QueryTypes, type Transaction } from 'sequelize';
import { db } from '../database/connection';
import { HttpError } from '../http/guard';

/** What the shop has one of: a page edits it as a whole. */
export type SettingKey = 'limits' | 'consequences' | 'trace-tables' | 'drives';

/** The version of what was never set. */
const neverSet = 'none';

async function versionNow(key: SettingKey, transaction?: Transaction): Promise<string> {
  const [row] = await db().sequelize.query<{ version: string }>(
    `select md5(value::text) as version from settings where key = :key`,
    { type: QueryTypes.SELECT, replacements: { key }, ...(transaction === undefined ? {} : { transaction }) },
  );
  return row?.version ?? neverSet;
}

/** Says which of its values a setting has: whoever edits it says which one they saw. */
export const settingVersion = (key: SettingKey): Promise<string> => versionNow(key);

/** Any number that no other of our locks has. */
const settingsLock = 7_246_302;

/**
 * Puts a value in the place of the one that the person saw.
 * @returns the version of what is stored now
 * @throws HttpError 409 where somebody else changed it meanwhile; nothing is changed then
 */
export async function keepSetting(key: SettingKey, seen: string, value: unknown): Promise<string> {
  return db().sequelize.transaction(async (transaction) => {
    // One after the other, also where there is no row yet that could be locked.
    await db().sequelize.query(`select pg_advisory_xact_lock(${settingsLock})`, { transaction });
    if ((await versionNow(key, transaction)) !== seen)
      throw new HttpError(
        409,
        'Someone changed this since you opened the page. Open it in a second tab to see the current version; what you typed stays here.',
      );
    await db().models.Setting.upsert({ key, value }, { transaction });
    return versionNow(key, transaction);
  });
}
