import { QueryTypes } from 'sequelize';
import type { DailyHead } from '../../api/daily-head';
import { startHash } from '../../core/job/chain';
import { db } from '../database/connection';
import { log } from '../log';
import { sha256 } from './digest';

const dayOf = (now: Date): string => now.toISOString().slice(0, 10);

/** `job seq hash`, a line a job, in the order of the ids. */
async function headLines(): Promise<{ text: string; jobs: number; entries: number }> {
  const [row] = await db().sequelize.query<{ text: string; jobs: number; entries: number }>(
    `select coalesce(string_agg(id || ' ' || head_seq || ' ' || head_hash, e'\\n' order by id), '') as text,
            count(*)::int as jobs, coalesce(sum(head_seq), 0)::int as entries from jobs`,
    { type: QueryTypes.SELECT },
  );
  return row ?? { text: '', jobs: 0, entries: 0 };
}

/** Hashes the heads of all jobs as of now, after the head of the day before, once a day. */
export async function makeDailyHead(now: Date): Promise<void> {
  const { DailyHead: Heads } = db().models;
  const day = dayOf(now);
  if ((await Heads.count({ where: { day } })) > 0) return;
  const before = await Heads.findOne({ order: [['day', 'DESC']], raw: true });
  const previousHash = before?.hash ?? startHash;
  const { text, jobs, entries } = await headLines();
  await Heads.bulkCreate([{ day, jobs, entries, previousHash, hash: sha256(`${previousHash}\n${text}`) }], {
    ignoreDuplicates: true,
  });
}

let lastDay = '';

/** The same beside an append: the first of a day in this process makes it, and nobody waits for it. */
export function keepDailyHead(now: Date): void {
  if (dayOf(now) === lastDay) return;
  lastDay = dayOf(now);
  makeDailyHead(now).catch((error: unknown) => {
    lastDay = '';
    log.error({ err: error }, 'the head of the day was not made');
  });
}

/** The newest heads of days, newest first. */
export async function dailyHeads(limit: number): Promise<DailyHead[]> {
  const rows = await db().models.DailyHead.findAll({ order: [['day', 'DESC']], limit, raw: true });
  return rows.map(({ entries, ...head }) => ({ ...head, entries: Number(entries) }));
}
