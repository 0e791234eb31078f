import pg from 'pg';

/** What the scale bench makes: a shop after years. */
export interface ScaleJobs {
  /** Jobs of the sizes that are measured. */
  fifty: string;
  fourThousand: string;
  fiveThousand: string;
}

const jobs = 20_000;
const entries = 1_400_000;

const idOf = (n: number): string => `01a0f000-0000-7000-8000-${n.toString(16).padStart(12, '0')}`;

type Run = (sql: string, values?: unknown[]) => Promise<pg.QueryResult>;

async function withDatabase<T>(url: string, work: (run: Run) => Promise<T>): Promise<T> {
  const client = new pg.Client({ connectionString: url });
  await client.connect();
  try {
    return await work((sql, values = []) => client.query(sql, values));
  } finally {
    await client.end();
  }
}

/** Copies the demo's jobs until there are so many more, with their lines of the board; their machines differ by a number. */
async function copyJobs(run: Run, count: number): Promise<void> {
  await run(`create temp table pattern as
    select id, asset_id, head_seq, row_number() over (order by id) - 1 as place from jobs where head_seq > 10`);
  await run(
    `create temp table copies as
       select p.id as old, p.asset_id, p.head_seq, n,
              ('01a0f000-0000-7000-8000-' || lpad(to_hex(n), 12, '0'))::uuid as id
       from generate_series(1, $1::int) n join pattern p on p.place = n % (select count(*) from pattern)`,
    [count],
  );
  await run(`insert into jobs (id, asset_id, head_seq, head_hash, head_at)
    select id, asset_id, head_seq, repeat('0', 64), now() - n * interval '7 minutes' from copies`);
  await run(`insert into job_summaries (job_id, seq, summary, search, concluded, stage, runs_out_at, last_at)
    select c.id, s.seq,
           jsonb_set(s.summary, '{machine}', to_jsonb(s.summary->>'machine' || ' ' || c.n)),
           replace(s.search, lower(s.summary->>'machine'), lower(s.summary->>'machine') || ' ' || c.n),
           s.concluded or c.n % 40 > 0, s.stage, s.runs_out_at + c.n * interval '1 minute',
           s.last_at - c.n * interval '7 minutes'
    from copies c join job_summaries s on s.job_id = c.old`);
}

/** A board of so many jobs, without their entries. */
export const fillBoard = (url: string, count: number): Promise<void> =>
  withDatabase(url, (run) => copyJobs(run, count));

/**
 * The demo's jobs copied until there are 20,000 with 1.4 million entries. The hashes are copied along and chain nothing: only
 * speed is asked of these jobs.
 */
export const fillShop = (url: string, say: (what: string) => void): Promise<ScaleJobs> =>
  withDatabase(url, async (run) => {
    await run('set synchronous_commit = off');
    say(`making ${jobs} jobs with ${entries} entries; a few minutes`);
    await copyJobs(run, jobs);
    await run(`insert into entries (job_id, seq, id, v, kind, at, by_id, by_role, received_at, payload, corrects, by_name, limits, hash)
      select c.id, e.seq, gen_random_uuid(), e.v, e.kind, e.at, e.by_id, e.by_role,
             e.received_at - c.n * interval '7 minutes', e.payload, null, e.by_name, e.limits, e.hash
      from copies c join entries e on e.job_id = c.old`);
    const { rows } = await run('select count(*)::int as there from entries');
    const missing = entries - (rows[0] as { there: number }).there;
    // What is missing are readings in jobs that are there: long ones, as they are found in practice.
    const each = Math.ceil(missing / jobs);
    if (each > 0) await lengthen(run, 'select id from copies', each);
    const sizes = { fifty: idOf(1), fourThousand: idOf(2), fiveThousand: idOf(3) };
    for (const [id, size] of [
      [sizes.fifty, 50],
      [sizes.fourThousand, 4000],
      [sizes.fiveThousand, 5000],
    ] as const) {
      const head = await run('select head_seq from jobs where id = $1', [id]);
      const more = size - (head.rows[0] as { head_seq: number }).head_seq;
      if (more > 0) await lengthen(run, `select '${id}'::uuid as id`, more);
    }
    await run('analyze');
    return sizes;
  });

/** Adds notes, questions and readings to jobs, in turns. */
async function lengthen(run: (sql: string) => Promise<unknown>, which: string, more: number): Promise<void> {
  await run(`insert into entries (job_id, seq, id, v, kind, at, by_id, by_role, received_at, payload, by_name, limits, hash)
    select j.id, j.head_seq + n, gen_random_uuid(), 1,
           case when n % 3 = 0 then 'note.added' else 'static.reading' end,
           j.head_at, last.by_id, last.by_role, last.received_at,
           case when n % 3 = 0
             then jsonb_build_object('stage', 'bench', 'text', 'read again after the unit had cooled down, ' || n, 'photos', '[]'::jsonb)
             else jsonb_build_object('red', 'L1', 'black', 'DC+', 'value', 0.4 + (n % 50) / 1000.0, 'typed', '0.45') end,
           last.by_name, last.limits, last.hash
    from jobs j join (${which}) chosen on chosen.id = j.id
      join lateral (select * from entries e where e.job_id = j.id order by seq desc limit 1) last on true
      cross join generate_series(1, ${more}) n`);
  await run(`update jobs set head_seq = head_seq + ${more} where id in (${which})`);
  await run(
    `update job_summaries s set seq = j.head_seq from jobs j where j.id = s.job_id and j.id in (${which})`,
  );
}
