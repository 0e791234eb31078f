import { v7 } from 'uuid';
import * as z from 'zod';
import { drivesSchema } from '../../api/target';
import { greatestLimits, type Limits } from '../../core/bench/make-safe';
import { limitsSchema } from '../../core/bench/make-safe/schema';
import { usualConsequences, type Consequence } from '../../core/bench/story';
import { consequencesSchema } from '../../core/bench/story/schema';
import { usualTables, type TraceTable } from '../../core/fault-finding/tracing';
import { traceTablesSchema } from '../../core/fault-finding/tracing/schema';
import { db } from '../database/connection';
import { problemsOf } from '../http/guard';
import { warnOnce } from '../log';
import { keepSetting } from './versions';

export { settingVersion } from './versions';

/** The limits that a setting says; the greatest ones where nothing was set. */
export const limitsOf = (value: unknown): Limits =>
  value === null || value === undefined ? greatestLimits : limitsSchema.parse(value);

export async function siteLimits(): Promise<Limits> {
  return limitsOf((await db().models.Setting.findByPk('limits', { raw: true }))?.value);
}

/** @returns the new version @throws HttpError 409 as `keepSetting` */
export const setLimits = (next: Limits, seen: string): Promise<string> =>
  keepSetting('limits', seen, limitsSchema.parse(next));

/** The table of consequences: the shop's own, or the usual one. */
export async function consequences(): Promise<readonly Consequence[]> {
  const row = await db().models.Setting.findByPk('consequences');
  return row === null ? usualConsequences : consequencesSchema.parse(row.value);
}

/** @returns the new version @throws HttpError 409 as `keepSetting` */
export const setConsequences = (next: readonly Consequence[], seen: string): Promise<string> =>
  keepSetting('consequences', seen, consequencesSchema.parse(next));

/** Trace tables of the shop's own, and those that cannot be read: the usual ones stand in for these. */
export interface OwnTraceTables {
  tables: readonly TraceTable[];
  /** Which, and why. */
  broken: readonly string[];
}

/** Trace tables that the shop put in the place of the usual ones, each read on its own. */
export async function readTraceTables(): Promise<OwnTraceTables> {
  const row = await db().models.Setting.findByPk('trace-tables');
  if (row === null) return { tables: [], broken: [] };
  const raw: unknown[] = Array.isArray(row.value) ? row.value : [row.value];
  const read = raw.map((table) => traceTablesSchema.safeParse([table]));
  const broken = read.flatMap(({ error }, i) =>
    error === undefined ? [] : [`${nameOf(raw[i])}: ${problemsOf(error)[0]?.allowed ?? 'cannot be read'}`],
  );
  broken.forEach((what) => warnOnce(`a trace table cannot be read, the default is used: ${what}`));
  return { tables: read.flatMap(({ data }) => data ?? []), broken };
}

const nameOf = (table: unknown): string =>
  typeof table === 'object' && table !== null && 'family' in table ? String(table.family) : 'a table';

/** The tables of the shop's own that can be read. */
export const ownTraceTables = async (): Promise<readonly TraceTable[]> => (await readTraceTables()).tables;

/**
 * Keeps what differs from the usual tables only, so that better usual ones still come with an update.
 * @returns the new version
 * @throws HttpError 409 as `keepSetting`
 */
export async function setTraceTables(next: readonly TraceTable[], seen: string): Promise<string> {
  const usual = new Set(usualTables.map((t) => JSON.stringify(traceTablesSchema.parse([t]))));
  const own = traceTablesSchema.parse(next).filter((t) => !usual.has(JSON.stringify([t])));
  return keepSetting('trace-tables', seen, own);
}

/** Addresses of drives that the link may talk to, beside those on this machine. */
export async function listedDrives(): Promise<readonly string[]> {
  const row = await db().models.Setting.findByPk('drives');
  return row === null ? [] : drivesSchema.parse(row.value);
}

/** @returns the new version @throws HttpError 409 as `keepSetting` */
export const setListedDrives = (next: readonly string[], seen: string): Promise<string> =>
  keepSetting('drives', seen, drivesSchema.parse(next));

/** The id of this installation, made when it is asked for first: archives say where they come from. */
export async function installationId(): Promise<string> {
  const { Setting } = db().models;
  const made = { key: 'installation', value: v7() };
  const [row] = await Setting.findOrCreate({ where: { key: made.key }, defaults: made });
  return z.uuid().parse(row.value);
}
