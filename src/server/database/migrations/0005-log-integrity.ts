import { QueryTypes } from 'sequelize';
import { greatestLimits } from '../../../core/bench/make-safe';
import { limitsSchema } from '../../../core/bench/make-safe/schema';
import { chainHash, startHash } from '../../../core/job/chain';
import { keptEntry, type EntryKind, type Role } from '../../../core/logbook';
import { sha256 } from '../../logbook/digest';
import type { Migration } from './migration';

interface Row {
  seq: number;
  id: string;
  v: number;
  kind: EntryKind;
  at: Date;
  by_id: string;
  by_name: string;
  by_role: Role;
  received_at: Date;
  payload: unknown;
  corrects: string | null;
}

/**
 * Names, limits in force and the hash chain, with the entries; the board's columns. Entries from before get the names and limits
 * of this day, and a chain from here on.
 */
export const up: Migration = async (qi, transaction) => {
  const run = (text: string, replacements: Record<string, unknown> = {}) =>
    qi.sequelize.query(text, { transaction, replacements });
  const rows = <T extends object>(text: string, replacements: Record<string, unknown> = {}) =>
    qi.sequelize.query<T>(text, { transaction, replacements, type: QueryTypes.SELECT });

  const [setting] = await rows<{ value: unknown }>(`select value from settings where key = 'limits'`);
  const limits = setting === undefined ? greatestLimits : limitsSchema.parse(setting.value);
  await run(`
    alter table entries disable trigger entries_append_only;
    alter table entries add by_name text, add limits jsonb, add verified jsonb, add seen int, add hash text;
    -- Names stay with the entry; people of other installations are never people of this one.
    alter table entries drop constraint if exists entries_by_id_fkey;
    alter table jobs
      add head_hash text not null default '${startHash}',
      add head_at timestamptz,
      add imported jsonb;
    create table daily_heads (
      day date primary key,
      jobs integer not null,
      entries bigint not null,
      previous_hash text not null,
      hash text not null
    );
    -- Pictures that came with an archive are written anew: under which address the log speaks of them.
    create table blob_aliases (
      sha256 text primary key,
      stored_as text not null references blobs (sha256)
    );
    -- What the board is searched, filtered and ordered by; the rest of a line is in the summary.
    alter table job_summaries
      add search text not null default '',
      add concluded boolean not null default false,
      add stage text not null default '',
      add runs_out_at timestamptz,
      add last_at timestamptz;
  `);
  await run(`
    update job_summaries set
      search = lower(concat_ws(e'\\n', summary->>'machine', summary->>'site', summary->>'drive', summary->>'serial', summary->>'complaint')),
      concluded = summary->>'conclusion' is not null,
      stage = coalesce(summary->>'stage', ''),
      runs_out_at = case when summary->>'conclusion' is null then
        (summary->>'stoppedAt')::timestamptz + (summary->>'downtimeAllowed_min')::float8 * interval '1 minute' end,
      last_at = (summary->>'lastAt')::timestamptz
  `);
  await run(
    `update entries set limits = :limits::jsonb, by_name = coalesce((select name from people where people.id = by_id), '')`,
    { limits: JSON.stringify(limits) },
  );
  for (const { id: jobId } of await rows<{ id: string }>('select id from jobs')) {
    let hash = startHash;
    const entries = await rows<Row>('select * from entries where job_id = :jobId order by seq', { jobId });
    for (const row of entries) {
      const { v, id, seq, kind, payload, corrects } = row;
      const envelope = {
        ...{ v, id, jobId, seq, limits },
        at: row.at.toISOString(),
        receivedAt: row.received_at.toISOString(),
        by: { id: row.by_id, name: row.by_name, role: row.by_role },
        ...(corrects === null ? {} : { corrects }),
      };
      hash = chainHash(hash, keptEntry(envelope, kind, payload), sha256);
      await run('update entries set hash = :hash where job_id = :jobId and seq = :seq', { hash, jobId, seq });
    }
    const last = entries[entries.length - 1];
    if (last !== undefined)
      await run('update jobs set head_hash = :hash, head_at = :at where id = :jobId', {
        ...{ hash, jobId },
        at: last.received_at.toISOString(),
      });
  }
  await run(`
    alter table entries
      alter by_name set not null,
      alter limits set not null,
      alter hash set not null;
    alter table entries enable trigger entries_append_only;
    create index job_summaries_clock on job_summaries (concluded, runs_out_at, job_id);
    create index job_summaries_last on job_summaries (last_at desc, job_id);
    create index entries_motor_serial on entries ((payload ->> 'serial')) where kind = 'identify.motor';
    create index entries_sets on entries (received_at desc) where kind in ('set.kept', 'drive.read');
    create index entries_good_sets on entries ((payload ->> 'set')) where kind = 'set.good';
    create index jobs_asset on jobs (asset_id, created_at desc);
  `);
};

export const down: Migration = async (qi, transaction) => {
  await qi.sequelize.query(
    `
    alter table job_summaries drop search, drop concluded, drop stage, drop runs_out_at, drop last_at;
    drop table daily_heads, blob_aliases;
    drop index entries_motor_serial, entries_sets, entries_good_sets, jobs_asset;
    alter table jobs drop head_hash, drop head_at, drop imported;
    alter table entries drop by_name, drop limits, drop verified, drop seen, drop hash;
    `,
    { transaction },
  );
};
