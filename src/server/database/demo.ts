import { readFile } from 'node:fs/promises';
import { join } from 'node:path';
import { v7 } from 'uuid';
import * as z from 'zod';
import type { EntryKind, NewEntry, Payload, Person, Verified } from '../../core/logbook';
import { newEntrySchema, newestVersion, payloads } from '../../core/logbook/schema';
import { againId, proofSteps } from '../../core/bench/make-safe';
import type { Stage } from '../../core/equipment/power-stage';
import { db } from './connection';
import { appendEntries, openJob } from '../logbook/append';
import { keysOf } from '../../core/numerics/arrays';

/** Set when the demo is wholly there. */
export const filledKey = 'demo-filled';

const person = z.object({
  id: z.string(),
  name: z.string(),
  role: z.enum(['technician', 'lead', 'apprentice']),
});
const demoLine = z.object({
  /** Minutes before the demo is loaded. */
  ago: z.number(),
  by: z.string(),
  kind: z.enum([...keysOf(payloads), 'demo.proof', 'demo.readings']),
  payload: z.unknown(),
});
type DemoEntry = z.output<typeof demoLine>;

const scenarioSchema = z.object({
  people: z.array(person),
  assets: z.array(
    z.object({ id: z.string(), site: z.string(), name: z.string(), knownSources: z.array(z.string()) }),
  ),
  jobs: z.array(z.object({ id: z.string(), entries: z.array(demoLine) })),
});

const proofSchema = z.object({ bank_V: z.number(), again_V: z.number(), other_V: z.number() });
const readingsSchema = z.array(z.tuple([z.string(), z.string(), z.union([z.number(), z.literal('OL')])]));

type Timed = { entry: NewEntry; receivedAt: Date; by: Person };

/** The dead proof of the demo in one line: all figures, a few seconds apart, the bank again a minute later. */
function proofEntries(
  stage: Stage,
  { bank_V, again_V, other_V }: { bank_V: number; again_V: number; other_V: number },
) {
  const figures = proofSteps(stage).map((step, i) => {
    const volts = step.key === 'bank dc' ? bank_V : step.point.id === againId ? again_V : other_V;
    const payload: Payload<'safety.figure'> = { point: step.point.id, quantity: step.quantity, volts };
    return {
      after_s: 10 + i * 6 + (step.point.id === againId ? 60 : 0),
      kind: 'safety.figure' as const,
      payload,
    };
  });
  const meter = (when: 'before' | 'after') => ({
    when,
    dc: { source: 'proving unit', volts: 240 },
    ac: { source: 'socket outlet', volts: 231 },
  });
  return [
    { after_s: 0, kind: 'safety.meter-proof' as const, payload: meter('before') },
    ...figures,
    { after_s: 10 + figures.length * 6 + 70, kind: 'safety.meter-proof' as const, payload: meter('after') },
  ];
}

/**
 * Fills a new database with Pellow Quay: its people, machines and jobs (demo/scenario.json).
 * Times are set relative to now, so that the board's clocks run.
 */
export async function loadDemo(now = new Date()): Promise<void> {
  const path = join(process.cwd(), 'demo', 'scenario.json');
  const scenario = scenarioSchema.parse(JSON.parse(await readFile(path, 'utf8')));
  const { Person: People, Asset } = db().models;
  await People.bulkCreate(
    scenario.people.map((p) => ({ ...p, active: true })),
    { ignoreDuplicates: true },
  );
  await Asset.bulkCreate(scenario.assets, { ignoreDuplicates: true });
  for (const job of scenario.jobs) {
    const there = await db().models.Job.findByPk(job.id);
    if (there === null || there.headSeq <= 1) await loadJob(job.id, job.entries, scenario.people, now);
  }
  await db().models.Setting.upsert({ key: filledKey, value: true });
}

/** The demo's signatures are ours: what they say is what the readings lead to, which a test of the demo holds them to. */
const claimed = ({ kind, payload }: NewEntry): Promise<Verified> =>
  Promise.resolve(kind === 'sheet.signed' ? { verdict: payload.verdict } : { openIssues: [] });

async function loadJob(
  jobId: string,
  lines: readonly DemoEntry[],
  people: readonly Person[],
  now: Date,
): Promise<void> {
  let stage: Stage | null = null;
  /** The newest entry of each kind so far: later ones may speak of it. */
  const newest = new Map<string, string>();
  const timed: Timed[] = lines.flatMap((line) => {
    const by = people.find((p) => p.name === line.by);
    if (by === undefined) throw new Error(`demo/scenario.json: nobody is called ${line.by}`);
    const make = (kind: EntryKind, payload: unknown, after_s: number): Timed => {
      const receivedAt = new Date(now.getTime() - line.ago * 60_000 + after_s * 1000);
      const at = receivedAt.toISOString();
      const raw = {
        v: newestVersion,
        id: v7({ msecs: receivedAt.getTime() }),
        jobId,
        at,
        kind,
        payload: filled(payload, now, newest),
      };
      newest.set(kind, raw.id);
      return { entry: newEntrySchema.parse(raw), receivedAt, by };
    };
    if (line.kind === 'identify.drive') stage = payloads['identify.drive'].parse(line.payload).stage;
    if (line.kind === 'demo.proof') {
      if (stage === null) throw new Error('demo/scenario.json: a proof before its drive');
      return proofEntries(stage, proofSchema.parse(line.payload)).map((e) =>
        make(e.kind, e.payload, e.after_s),
      );
    }
    if (line.kind === 'demo.readings')
      return readingsSchema
        .parse(line.payload)
        .map(([red, black, value], i) =>
          make('static.reading', { red, black, value, typed: String(value) }, i * 15),
        );
    return [make(line.kind, line.payload, 0)];
  });
  const [opening, ...rest] = timed;
  if (opening === undefined || opening.entry.kind !== 'job.opened')
    throw new Error('a demo job begins with job.opened');
  const byId = new Map(timed.map((t) => [t.entry.id, t]));
  const clock = (entry: NewEntry): Date => byId.get(entry.id)?.receivedAt ?? now;
  const person = (entry: NewEntry): Person => byId.get(entry.id)?.by ?? opening.by;
  await openJob(opening.entry, opening.by, clock);
  if (rest.length > 0)
    await appendEntries(
      jobId,
      rest.map((t) => t.entry),
      person,
      { clock, verify: claimed },
    );
}

/**
 * Times in the demo are written as "minutes ago", {"$ago": 90}; an entry that speaks of another, as
 * {"$newest": "motor.insulation"}.
 */
function filled(payload: unknown, now: Date, newest: ReadonlyMap<string, string>): unknown {
  if (Array.isArray(payload)) return payload.map((inner) => filled(inner, now, newest));
  if (typeof payload !== 'object' || payload === null) return payload;
  if ('$ago' in payload) return new Date(now.getTime() - Number(payload.$ago) * 60_000).toISOString();
  if ('$newest' in payload) return newest.get(String(payload.$newest));
  return Object.fromEntries(Object.entries(payload).map(([k, v]) => [k, filled(v, now, newest)]));
}
