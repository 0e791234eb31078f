import { readFile, statfs } from 'node:fs/promises';
import { QueryTypes } from 'sequelize';
import * as z from 'zod';
import type { Health, HealthPart } from '../../api/health';
import { db } from '../database/connection';
import { printLoad } from '../documents/print';
import { backupTimes } from './backups';
import { linkAnswers } from '../drive-link/drives';
import { pictureLoad } from '../pictures';
import { calcLoad } from '../verbs/calc-pool';

const hour_ms = 3_600_000;
const day_ms = 24 * hour_ms;
/** Backups come each hour, proofs each week; so much later is too late. */
const late = { backup_ms: 3 * hour_ms, proof_ms: 8 * day_ms };
/** Below this a database soon cannot write, MB. */
const leastFree_MB = 1000;
const slowDatabase_ms = 500;

const processesSchema = z.array(
  z.object({
    name: z.string(),
    state: z.enum(['running', 'restarting']),
    deaths: z.number(),
    since: z.string(),
    why: z.string().nullable(),
  }),
);

interface DatabaseSays {
  version: string;
  schema: string;
  size_MB: number;
}

async function databaseSays(): Promise<{ says: DatabaseSays; took_ms: number } | null> {
  const begun = performance.now();
  try {
    const [says] = await db().sequelize.query<DatabaseSays>(
      `select current_setting('server_version') as version,
         (select max(name) from schema_migrations) as schema,
         (pg_database_size(current_database()) / 1e6)::float8 as "size_MB"`,
      { type: QueryTypes.SELECT },
    );
    return says === undefined ? null : { says, took_ms: performance.now() - begun };
  } catch {
    return null;
  }
}

function databasePart(answered: Awaited<ReturnType<typeof databaseSays>>): HealthPart {
  const part = { id: 'database', name: 'Database' } as const;
  if (answered === null)
    return {
      ...part,
      state: 'failed',
      facts: ['Not reachable: nothing can be recorded. Devices store their entries and send them later.'],
      advice: 'It restarts automatically. If this persists, read the end of .data/main/postgres.log.',
    };
  const { says, took_ms } = answered;
  const slow = took_ms > slowDatabase_ms;
  return {
    ...part,
    state: slow ? 'watch' : 'ok',
    facts: [`Answers in ${took_ms.toFixed(0)} ms`, `${says.size_MB.toFixed(0)} MB`, `Schema ${says.schema}`],
    advice: slow ? 'Slow response: is another program busy on this machine?' : null,
  };
}

async function linkPart(): Promise<HealthPart> {
  const answers = await linkAnswers();
  return {
    id: 'link',
    name: 'Link to drives',
    state: answers ? 'ok' : 'failed',
    facts: [answers ? 'Answers' : 'Not reachable: no drive can be read or written.'],
    advice: answers ? null : 'It restarts automatically; everything else keeps working.',
  };
}

async function diskPart(): Promise<HealthPart> {
  const { bavail, bsize, blocks } = await statfs(process.cwd());
  const free_MB = (bavail * bsize) / 1e6;
  const low = free_MB < leastFree_MB;
  return {
    id: 'disk',
    name: 'Disk',
    state: low ? 'watch' : 'ok',
    facts: [`${(free_MB / 1000).toFixed(1)} GB free of ${((blocks * bsize) / 1e9).toFixed(0)} GB`],
    advice: low ? 'Free some space: nothing can be recorded on a full disk.' : null,
  };
}

function workPart(): HealthPart {
  const loads = { Computing: calcLoad(), Documents: printLoad(), Photographs: pictureLoad() };
  return {
    id: 'work',
    name: 'Calculation and printing',
    state: 'ok',
    facts: Object.entries(loads).map(
      ([name, { running, waiting }]) =>
        `${name}: ${running === 0 ? 'idle' : `${running} running`}${waiting === 0 ? '' : `, ${waiting} waiting`}`,
    ),
    advice: null,
  };
}

const ago = (then: Date, now: number): string => {
  const hours = (now - then.getTime()) / hour_ms;
  if (hours < 1) return 'less than an hour ago';
  return hours < 48 ? `${Math.round(hours)} h ago` : `${Math.round(hours / 24)} days ago`;
};

async function backupPart(now: number): Promise<HealthPart> {
  const part = { id: 'backup', name: 'Backups' } as const;
  const times = await backupTimes();
  if (times === null)
    return {
      ...part,
      state: 'watch',
      facts: ['No backups: the server was not started with ./grim start.'],
      advice: null,
    };
  const { made, proven } = times;
  const old = made === null || now - made.getTime() > late.backup_ms;
  const unproven = proven === null || now - proven.getTime() > late.proof_ms;
  return {
    ...part,
    state: old || unproven ? 'watch' : 'ok',
    facts: [
      made === null ? 'None made yet' : `Newest: ${ago(made, now)}`,
      proven === null ? 'No test restore yet' : `Last successful test restore: ${ago(proven, now)}`,
    ],
    advice:
      old || unproven
        ? 'The first backup is made a minute after the start, then one every hour; one a week is test-restored. If this persists, read the log of ./grim start.'
        : null,
  };
}

async function processesPart(): Promise<HealthPart> {
  const part = { id: 'processes', name: 'Processes' } as const;
  const file = process.env['GRIM_PROCESSES'];
  const text = file === undefined ? null : await readFile(file, 'utf8').catch(() => null);
  if (text === null) return { ...part, state: 'ok', facts: ['Not supervised'], advice: null };
  const processes = processesSchema.parse(JSON.parse(text));
  const down = processes.filter((p) => p.state === 'restarting');
  return {
    ...part,
    state: down.length > 0 ? 'watch' : 'ok',
    facts: processes.map(({ name, state, deaths, why }) =>
      [
        `${name}: ${state}`,
        ...(deaths === 0
          ? []
          : [deaths === 1 ? 'stopped unexpectedly once' : `stopped unexpectedly ${deaths} times`]),
        ...(why === null ? [] : [why]),
      ].join(', '),
    ),
    advice: down.length > 0 ? 'They are restarted automatically.' : null,
  };
}

/** How the server is. It answers also where nothing else does. */
export async function health(): Promise<Health> {
  const now = Date.now();
  const [answered, link, disk, backup, processes] = await Promise.all([
    databaseSays(),
    linkPart(),
    diskPart(),
    backupPart(now),
    processesPart(),
  ]);
  return {
    ok: answered !== null,
    at: new Date(now).toISOString(),
    parts: [databasePart(answered), link, disk, workPart(), backup, processes],
    versions: [
      { name: 'Grim Spanner', version: process.env['GRIM_VERSION'] ?? 'unknown' },
      { name: 'Node.js', version: process.versions.node },
      ...(answered === null ? [] : [{ name: 'PostgreSQL', version: answered.says.version }]),
    ],
  };
}
