import { v7 } from 'uuid';
import * as z from 'zod';
import { connectionSlot, db } from './connection';

const key = 'generation';

async function read(): Promise<string> {
  const { Setting } = db().models;
  const known = await Setting.findByPk(key, { raw: true });
  // The first to ask makes it; of two at once one does.
  const [row] =
    known === null ? await Setting.findOrCreate({ where: { key }, defaults: { key, value: v7() } }) : [known];
  return z.uuid().parse(row.value);
}

/**
 * Which life of the database this is: another one after it was restored from a backup, when devices must start over. Ask
 * after reading what it is said of: it is read anew whenever a connection was made, and a restore ends all of them.
 */
export function generation(): Promise<string> {
  const asked = (connectionSlot.grimGeneration ??= read());
  asked.catch(() => {
    if (connectionSlot.grimGeneration === asked) delete connectionSlot.grimGeneration;
  });
  return asked;
}

/** Begins another life. */
export async function beginGeneration(): Promise<void> {
  await db().models.Setting.upsert({ key, value: v7() });
}
