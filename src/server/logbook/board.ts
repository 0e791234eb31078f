import { Op, type Order, type WhereOptions } from 'sequelize';
import type { BoardAnswer, BoardQuery } from '../../api/board';
import { db } from '../database/connection';
import type { JobSummaryRow } from '../database/models';

/** Lines on a page of the board. */
export const pageSize = 25;

const orders: Record<BoardQuery['sort'], Order> = {
  // The tightest clock first; jobs that are closed, and those without a clock, last.
  clock: [['concluded', 'ASC'], ['runsOutAt', 'ASC'], ['lastAt', 'DESC'], 'jobId'],
  newest: [['lastAt', 'DESC'], 'jobId'],
  machine: [['search', 'ASC'], 'jobId'],
};

const states: Record<BoardQuery['state'], WhereOptions<JobSummaryRow>> = {
  all: { loose: false },
  open: { loose: false, concluded: false },
  closed: { loose: false, concluded: true },
  loose: { loose: true, concluded: false },
};

/** What a person typed, as a pattern in which nothing is special. */
const pattern = (word: string): string => `%${word.replace(/[\\%_]/g, (c) => `\\${c}`)}%`;

/** One page of the board: every word that is searched for is somewhere in the job's machine, site, drive, serial number, complaint or work order. */
export async function board({ search, state, stage, sort, page }: BoardQuery): Promise<BoardAnswer> {
  const words = search
    .toLowerCase()
    .split(/\s+/)
    .filter((word) => word !== '');
  const { JobSummary } = db().models;
  const where: WhereOptions<JobSummaryRow> = {
    [Op.and]: [
      states[state],
      ...(stage === null ? [] : [{ stage }]),
      ...words.map((word) => ({ search: { [Op.like]: pattern(word) } })),
    ],
  };
  const total = await JobSummary.count({ where });
  const pages = Math.max(1, Math.ceil(total / pageSize));
  const shown = Math.min(page, pages);
  const rows = await JobSummary.findAll({
    where,
    attributes: ['jobId', 'summary'],
    order: orders[sort],
    limit: pageSize,
    offset: (shown - 1) * pageSize,
    raw: true,
  });
  return { jobs: rows.map((row) => ({ jobId: row.jobId, ...row.summary })), total, page: shown, pages };
}
