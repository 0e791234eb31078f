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

/** The limits that a setting says; the greatest ones where nothing was set. */
export const limitsOf = (value: unknown): Limits =>
  value === null || value === undefined ? greatestLimits : limitsSchema.parse(value);

export async function siteLimits(): Promise<Limits> {
  return limitsOf((await db().models.Setting.findByPk('limits', { raw: true }))?.value);
}

export async function setLimits(next: Limits): Promise<void> {
  await db().models.Setting.upsert({ key: 'limits', value: limitsSchema.parse(next) });
}

/** The table of consequences: the shop's own, or the usual one. */
export async function consequences(): Promise<readonly Consequence[]> {
  const row = await db().models.Setting.findByPk('consequences');
  return row === null ? usualConsequences : consequencesSchema.parse(row.value);
}

export async function setConsequences(next: readonly Consequence[]): Promise<void> {
  await db().models.Setting.upsert({ key: 'consequences', value: consequencesSchema.parse(next) });
}

/** Trace tables that the shop put in the place of the usual ones. */
export async function ownTraceTables(): Promise<readonly TraceTable[]> {
  const row = await db().models.Setting.findByPk('trace-tables');
  return row === null ? [] : traceTablesSchema.parse(row.value);
}

/** Keeps what differs from the usual tables only, so that better usual ones still come with an update. */
export async function setTraceTables(next: readonly TraceTable[]): Promise<void> {
  const usual = new Set(usualTables.map((t) => JSON.stringify(traceTablesSchema.parse([t]))));
  const own = traceTablesSchema.parse(next).filter((t) => !usual.has(JSON.stringify([t])));
  await db().models.Setting.upsert({ key: 'trace-tables', value: own });
}

/** Addresses of drives that the link may talk to, beside those on this machine. */
export async function listedDrives(): Promise<readonly string[]> {
  const row = await db().models.Setting.findByPk('drives');
  return row === null ? [] : drivesSchema.parse(row.value);
}

export async function setListedDrives(next: readonly string[]): Promise<void> {
  await db().models.Setting.upsert({ key: 'drives', value: drivesSchema.parse(next) });
}

/** The id of this installation, made when it is asked for first: archives say where they come from. */
export async function installationId(): Promise<string> {
  const { Setting } = db().models;
  const made = { key: 'installation', value: v7() };
  const [row] = await Setting.findOrCreate({ where: { key: made.key }, defaults: made });
  return z.uuid().parse(row.value);
}
