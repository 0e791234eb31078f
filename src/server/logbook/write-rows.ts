import { QueryTypes, type Transaction } from 'sequelize';
import { db } from '../database/connection';
import type { StoredEntry } from './entries';
import type { BoardRow } from './summaries';

/** The channel on which the database says that a job has new entries: `job seq`, when and only when they are committed. */
export const channel = 'grim_entries';

/** Columns of the table by the names of a row, with their types. */
const entryColumns = {
  jobId: 'job_id uuid',
  seq: 'seq int',
  id: 'id uuid',
  v: 'v int',
  kind: 'kind text',
  at: 'at timestamptz',
  byId: 'by_id uuid',
  byName: 'by_name text',
  byRole: 'by_role text',
  receivedAt: 'received_at timestamptz',
  firstReceivedAt: 'first_received_at timestamptz',
  payload: 'payload jsonb',
  corrects: 'corrects uuid',
  seen: 'seen int',
  limits: 'limits jsonb',
  verified: 'verified jsonb',
  hash: 'hash text',
} as const satisfies Record<keyof StoredEntry, string>;

const types = Object.values(entryColumns).join(', ');
const names = Object.values(entryColumns)
  .map((column) => column.split(' ')[0])
  .join(', ');

const inColumns = (row: StoredEntry): Record<string, unknown> =>
  Object.fromEntries(
    Object.entries(entryColumns).map(([name, column]) => [
      column.split(' ')[0] ?? name,
      row[name as keyof StoredEntry],
    ]),
  );

// One statement, so that the job's row is locked for one way to the database and not for four: with twenty tablets on a job,
// each waits for those before it.
const sql = `
  with written as (
    insert into entries (${names}) select ${names} from jsonb_to_recordset($entries::jsonb) as row(${types})
  ), moved as (
    update jobs set head_seq = $headSeq, head_hash = $headHash, head_at = $headAt where id = $jobId
  ), shown as (
    insert into job_summaries (job_id, seq, summary, search, concluded, loose, stage, runs_out_at, last_at)
    select $jobId::uuid, $headSeq, board.summary, board.search, board.concluded, board.loose, board.stage, board.runs_out_at, board.last_at
    from jsonb_to_record($board::jsonb) as board(
      summary jsonb, search text, concluded boolean, loose boolean, stage text, runs_out_at timestamptz, last_at timestamptz)
    where $board::jsonb is not null
    on conflict (job_id) do update set
      (seq, summary, search, concluded, loose, stage, runs_out_at, last_at) =
      (excluded.seq, excluded.summary, excluded.search, excluded.concluded, excluded.loose, excluded.stage, excluded.runs_out_at, excluded.last_at)
  )
  select pg_notify('${channel}', $news)`;

/**
 * Writes new entries with what follows from them: the head of the job, the board's line, and the news to listeners.
 * @param rows at least one, numbered and chained
 * @param board null before the job was opened
 */
export async function writeRows(
  jobId: string,
  rows: readonly StoredEntry[],
  board: BoardRow | null,
  transaction: Transaction,
): Promise<void> {
  const last = rows[rows.length - 1];
  if (last === undefined) return;
  const { seq: headSeq, hash: headHash, receivedAt: headAt } = last;
  const shown =
    board === null
      ? null
      : {
          ...{ summary: board.summary, search: board.search, concluded: board.concluded },
          ...{ loose: board.loose, stage: board.stage },
          ...{ runs_out_at: board.runsOutAt, last_at: board.lastAt },
        };
  await db().sequelize.query(sql, {
    bind: {
      ...{ jobId, headSeq, headHash, headAt: headAt.toISOString(), news: `${jobId} ${headSeq}` },
      entries: JSON.stringify(rows.map(inColumns)),
      board: shown === null ? null : JSON.stringify(shown),
    },
    type: QueryTypes.SELECT,
    transaction,
  });
}
