// Runs of writes in the database: their rows, their lines, and who may have one open.
import { Op, UniqueConstraintError, type Transaction } from 'sequelize';
import type { Rating, Values } from '../../../core/equipment/drive-words';
import type { WriteLine, WriteRunState } from '../../../core/parameter-sets/write-run';
import { HttpError } from '../../http/guard';
import { db } from '../../database/connection';
import type { WriteRun as RunRow } from '../../database/models';
import type { Journal } from './runner';

export interface JournalledRun {
  id: string;
  jobId: string;
  setId: string;
  name: string;
  target: string;
  typeId: string;
  serial: string | null;
  rating: Rating;
  /** What was in the drive before. */
  found: Values;
  state: WriteRunState;
  why: string | null;
  byId: string;
}

/** A writer that was not heard of for this long is gone, ms. */
export const silent_ms = 6000;
export const beat_ms = 2000;

const open: readonly WriteRunState[] = ['writing', 'held'];

const toRun = (row: RunRow): JournalledRun => ({
  id: row.id,
  jobId: row.jobId,
  setId: row.setId,
  name: row.name,
  target: row.target,
  typeId: row.typeId,
  serial: row.serial,
  rating: row.rating,
  found: row.found,
  state: row.state,
  why: row.why,
  byId: row.byId,
});

/** A run whose writer is gone is held, whatever its row says. */
const asItIs = (row: RunRow): JournalledRun => {
  const run = toRun(row);
  return run.state === 'writing' && Date.now() - row.heardAt.getTime() > silent_ms
    ? {
        ...run,
        state: 'held',
        why: 'The server stopped during the write. The drive is read before continuing.',
      }
    : run;
};

const inOne = (transaction: Transaction | undefined) => (transaction === undefined ? {} : { transaction });

/** @throws Refused where the drive has an open run already */
export async function createRun(
  run: Omit<JournalledRun, 'state' | 'why'>,
  lines: readonly WriteLine[],
  transaction: Transaction,
): Promise<void> {
  const { WriteRun, WriteLine: Lines } = db().models;
  try {
    await WriteRun.create({ ...run, state: 'writing', why: null }, { transaction });
  } catch (error) {
    if (error instanceof UniqueConstraintError) throw new HttpError(409, busy);
    throw error;
  }
  await Lines.bulkCreate(
    lines.map((line, place) => ({ runId: run.id, place, line, settledAt: null })),
    { transaction },
  );
}

const busy = 'A parameter set is already being written to this drive: end that run first.';

/**
 * @param areOne tells whether two targets are one drive; by their spelling, unless told
 * @throws Refused while a run on this drive is open
 */
export async function noRunOn(
  target: string,
  areOne: (one: string, other: string) => Promise<boolean> = (one, other) => Promise.resolve(one === other),
): Promise<void> {
  const runs = await db().models.WriteRun.findAll({
    where: { state: { [Op.in]: open } },
    attributes: ['target'],
    raw: true,
  });
  for (const run of runs) if (await areOne(run.target, target)) throw new HttpError(409, busy);
}

/** @throws Refused where there is no such run */
export async function runById(id: string): Promise<JournalledRun> {
  const row = await db().models.WriteRun.findByPk(id);
  if (row === null) throw new HttpError(404, 'No such write run.');
  return asItIs(row);
}

export async function writeLinesOf(runId: string): Promise<WriteLine[]> {
  const rows = await db().models.WriteLine.findAll({ where: { runId }, order: ['place'] });
  // They were made by `lineOf` and changed by the runner alone.
  return rows.map((r) => r.line);
}

/** Runs of a job, the newest first, with their lines. */
export async function runsOfJob(jobId: string): Promise<(JournalledRun & { lines: WriteLine[] })[]> {
  const rows = await db().models.WriteRun.findAll({
    where: { jobId },
    order: [['begunAt', 'DESC']],
    limit: 5,
  });
  return Promise.all(rows.map(async (row) => ({ ...asItIs(row), lines: await writeLinesOf(row.id) })));
}

export const journalOf = (runId: string): Journal => ({
  lines: () => writeLinesOf(runId),
  keep: async (place, line) => {
    const settledAt = line.state === 'taken' || line.state === 'left-out' ? new Date() : null;
    await db().models.WriteLine.update({ line, settledAt }, { where: { runId, place } });
  },
});

export async function setRun(
  id: string,
  state: WriteRunState,
  why: string | null,
  transaction?: Transaction,
): Promise<void> {
  await db().models.WriteRun.update(
    { state, why, heardAt: new Date() },
    { where: { id }, ...inOne(transaction) },
  );
}

/** The writer is there. */
export async function beat(id: string): Promise<void> {
  await db().models.WriteRun.update({ heardAt: new Date() }, { where: { id } });
}

/**
 * Takes a held run to go on with it.
 * @returns false where somebody else was quicker
 */
export async function takeRun(id: string): Promise<boolean> {
  const gone = new Date(Date.now() - silent_ms);
  const [count] = await db().models.WriteRun.update(
    { state: 'writing', why: null, heardAt: new Date() },
    { where: { id, [Op.or]: [{ state: 'held' }, { state: 'writing', heardAt: { [Op.lt]: gone } }] } },
  );
  return count === 1;
}
