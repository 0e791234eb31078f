import * as z from 'zod';
import type { Control, DriveType } from '../core/equipment/catalogue';
import { limitsSchema } from '../core/bench/make-safe/schema';
import type { Consequence } from '../core/bench/story';
import { consequencesSchema } from '../core/bench/story/schema';
import type { Live, Rating, Slot, Values } from '../core/equipment/drive-words';
import type { TraceTable } from '../core/fault-finding/tracing';
import { traceTablesSchema } from '../core/fault-finding/tracing/schema';
import type { Entry, Payload, Person } from '../core/logbook';
import { newEntrySchema } from '../core/logbook/schema';
import type { InsulationThen } from '../core/motor/motor-history';
import type { LibrarySet } from '../core/parameter-sets/set-files';
import { runDeeds, runStates, type WriteLine } from '../core/parameter-sets/write-run';
import type { TypeDraft } from '../core/reading/type-draft';
import { typeDraftSchema, unitFactsSchema } from '../core/reading/type-draft/schema';
import { termsProfile } from '../core/terms/schema';
import { captureSchema } from '../core/power-up/capture/schema';
export type { ApiError, ApiProblem } from './problem';
import { boardQuerySchema, type BoardAnswer } from './board';
import { postedEntriesSchema, type EntriesAnswer, type VerdictsAnswer } from './entries';
import { rigOrderSchema, type RigState } from './rig-state';
import { drivesSchema, targetSchema as target } from './target';
import type { EditedType, TypeData } from './type-files';

/** One value that is to be written to the drive of a job. */
const writeOrderSchema = z.strictObject({
  /** Of the entry that asks for it: asking twice writes once. */
  id: z.uuid({ version: 'v7' }),
  jobId: z.uuid(),
  target,
  number: z.string().max(12),
  /** What the drive had when the person decided. */
  from: z.number(),
  to: z.number(),
  reason: z.string().trim().min(1).max(200),
  trial: z.boolean(),
  /** The trial that this one puts back. */
  restores: z.uuid().optional(),
  confirmed: z.literal(true),
});
/** One value that is to be written to the drive of a job. */
export type WriteOrder = z.output<typeof writeOrderSchema>;

/** An answer that core types describe: the server makes it of them, so it is not parsed again. */
const answerOf = <T>() => z.custom<T>();

/** The version of a setting that was edited: where it is another by now, nothing is changed. */
const seenQuery = z.strictObject({ seen: z.string().max(40) });
const typeId = z.string().max(100);
const positive = z.number().positive();
/** The person said yes to what may move. */
const confirmed = z.literal(true);

/** What a drive says of itself. */
export interface DriveIdentity {
  vendor: string;
  product: string;
  revision: string;
}

/** What answered at an address. */
export interface FoundDrive {
  target: string;
  identity: DriveIdentity | null;
  /** Types of the catalogue that say this of themselves. */
  typeIds: string[];
  trouble: string | null;
}

/** All that was read out of a drive. */
export interface ReadOut {
  identity: DriveIdentity;
  /** Of the unit, where its type says it over the link. */
  serial?: string;
  values: Values;
  live: Live;
  history: Slot[];
}

/** What became of one write. */
export interface Written {
  /** What the drive has now. */
  found: number;
  /** False where the type keeps edits only after an entry that saves. */
  kept: boolean;
  /** True where a lock was opened for it and could not be shut again. */
  lockOpen: boolean;
}

/** A run of writes with its lines. */
export interface WriteRunView {
  id: string;
  setId: string;
  name: string;
  target: string;
  state: (typeof runStates)[number];
  why: string | null;
  lines: WriteLine[];
}

/** What an archive brought. */
export interface TakenIn {
  jobId: string;
  machine: string;
  entries: number;
  /** Entries that were not here before. */
  fresh: number;
}

/** Samples of a trend: seconds since its start, and a value a series, null where none came. */
const trendSchema = z.strictObject({
  startedAt: z.iso.datetime(),
  names: z.array(z.string().min(1).max(60)).min(1).max(8),
  rows: z
    .array(z.tuple([z.number()], z.number().nullable()))
    .min(1)
    .max(20_000),
});

const file = z.string().max(1_000_000);
const kB = 1024;
const MB = 1024 * kB;

/** What a route takes, who may ask, and what it answers. */
export interface Route {
  /** Absent: the request has no body, or bytes of a file. */
  body?: z.ZodType;
  /** Of the body, bytes. */
  heaviest?: number;
  query?: z.ZodType;
  /** Who may ask; absent: everybody. A technician's right is the lead's too. */
  may?: { role: 'technician' | 'lead'; refusal: string };
  answer: z.ZodType;
  /** Of a success; 200 where it is not said. */
  status?: 201;
}

/**
 * Every JSON route: method and path, what it takes and what it answers. Server and interface are both
 * checked against it; the interface takes its types only, so that no schema travels to the browser.
 */
export const contract = {
  'GET /api/v1/jobs': { query: boardQuerySchema, answer: answerOf<BoardAnswer>() },
  'POST /api/v1/jobs': {
    body: z.strictObject({ entry: newEntrySchema }),
    heaviest: 64 * kB,
    answer: answerOf<{ jobId: string; entries: Entry[] }>(),
    status: 201,
  },
  'GET /api/v1/jobs/:id/entries': {
    query: z.object({ after: z.coerce.number().int().min(0).catch(0).default(0) }),
    answer: answerOf<EntriesAnswer>(),
  },
  'POST /api/v1/jobs/:id/entries': {
    body: postedEntriesSchema,
    heaviest: 300 * kB,
    answer: answerOf<VerdictsAnswer>(),
  },
  'POST /api/v1/jobs/:id/attach': {
    body: z.strictObject({ toJobId: z.uuid() }),
    heaviest: kB,
    answer: answerOf<{ jobId: string }>(),
  },
  'GET /api/v1/jobs/:id/motor-tests': { answer: answerOf<{ tests: InsulationThen[] }>() },
  'GET /api/v1/jobs/:id/other-motors': { answer: answerOf<{ ohms: number[] }>() },
  'GET /api/v1/jobs/:id/set-library': {
    query: z.object({ text: z.string().default('') }),
    answer: answerOf<{ sets: LibrarySet[] }>(),
  },
  'GET /api/v1/jobs/:id/set-writes': { answer: answerOf<{ runs: WriteRunView[] }>() },
  'POST /api/v1/jobs/:id/set-writes': {
    body: z.strictObject({
      id: z.uuid({ version: 'v7' }),
      set: z.uuid(),
      name: z.string().min(1).max(200),
      target,
      typeId,
      rating: z.strictObject({ ratedAmps: positive, power_kW: positive, supply_V: positive }),
      expects: z
        .array(z.strictObject({ number: z.string().max(12), from: z.number().nullable(), to: z.number() }))
        .max(400),
      confirmed,
    }),
    heaviest: 100_000,
    may: { role: 'technician', refusal: 'Only a technician or the lead can write to a drive.' },
    answer: z.object({}),
  },
  'POST /api/v1/jobs/:id/set-writes/:run': {
    body: z.strictObject({ do: z.enum(runDeeds), confirmed: confirmed.optional() }),
    heaviest: 1000,
    may: { role: 'technician', refusal: 'Only a technician or the lead can write to a drive.' },
    answer: z.object({}),
  },
  'GET /api/v1/sets/:id': {
    answer: answerOf<{ set: (Payload<'set.kept'> | Payload<'drive.read'>) & { rating?: Rating } }>(),
  },
  'GET /api/v1/drives': { answer: answerOf<{ found: FoundDrive[] }>() },
  'PUT /api/v1/drives': {
    query: seenQuery,
    body: drivesSchema,
    heaviest: 32 * kB,
    may: { role: 'lead', refusal: 'Only the shop lead can change this list.' },
    answer: z.object({ drives: drivesSchema, version: z.string() }),
  },
  'POST /api/v1/drives/read': {
    body: z.strictObject({ target, typeId }),
    heaviest: 1000,
    answer: answerOf<ReadOut>(),
  },
  'POST /api/v1/drives/write': {
    body: writeOrderSchema,
    heaviest: 2000,
    may: { role: 'technician', refusal: 'Only a technician or the lead can write to a drive.' },
    answer: answerOf<Written>(),
  },
  'GET /api/v1/catalogue': { answer: answerOf<{ types: DriveType[] }>() },
  'POST /api/v1/catalogue': {
    body: z.strictObject({
      type: file,
      control: file.nullable(),
      keep: z.boolean(),
      note: z.string().trim().max(200).optional(),
      /** The version it was edited from; left out: whatever there is. */
      seen: z.int().min(0).optional(),
    }),
    heaviest: 2 * MB,
    answer: z.object({ id: z.string(), version: z.int().nullable() }),
  },
  'GET /api/v1/catalogue/:id/files': { answer: answerOf<EditedType>() },
  'GET /api/v1/catalogue/:id/versions/:version': { answer: answerOf<TypeData>() },
  'GET /api/v1/catalogue/:id/control': { answer: answerOf<Control>() },
  'GET /api/v1/type-drafts': { answer: answerOf<{ drafts: { draft: TypeDraft; version: number }[] }>() },
  'PUT /api/v1/type-drafts/:id': {
    query: z.strictObject({ seen: z.coerce.number().int().min(0) }),
    body: typeDraftSchema,
    heaviest: 4 * MB,
    may: { role: 'technician', refusal: 'An apprentice cannot change drive types.' },
    answer: z.object({ version: z.int() }),
  },
  'POST /api/v1/type-drafts/:id/type': {
    body: unitFactsSchema,
    heaviest: 32 * kB,
    may: { role: 'technician', refusal: 'An apprentice cannot change drive types.' },
    answer: z.object({ id: z.string(), leftOut: z.array(z.object({ number: z.string(), why: z.string() })) }),
  },
  'GET /api/v1/trace-tables': { answer: answerOf<{ own: readonly TraceTable[]; version: string }>() },
  'PUT /api/v1/trace-tables': {
    query: seenQuery,
    body: traceTablesSchema,
    heaviest: 512 * kB,
    may: { role: 'lead', refusal: 'Only the shop lead can change these tables.' },
    answer: answerOf<{ own: readonly TraceTable[]; version: string }>(),
  },
  'GET /api/v1/consequences': {
    answer: answerOf<{ consequences: readonly Consequence[]; version: string }>(),
  },
  'PUT /api/v1/consequences': {
    query: seenQuery,
    body: consequencesSchema,
    heaviest: 64 * kB,
    may: { role: 'lead', refusal: 'Only the shop lead can change this table.' },
    answer: answerOf<{ consequences: readonly Consequence[]; version: string }>(),
  },
  'GET /api/v1/settings': { answer: z.object({ limits: limitsSchema, version: z.string() }) },
  'PUT /api/v1/settings': {
    query: seenQuery,
    body: limitsSchema,
    heaviest: 1000,
    may: { role: 'lead', refusal: 'Only the shop lead can change the limits.' },
    answer: z.object({ limits: limitsSchema, version: z.string() }),
  },
  'POST /api/v1/person': {
    body: z.strictObject({ id: z.string().max(60) }),
    heaviest: 1000,
    answer: answerOf<{ person: Person }>(),
  },
  'PUT /api/v1/person/terms': {
    body: z.strictObject({ terms: termsProfile }),
    heaviest: 1000,
    answer: z.object({ terms: termsProfile }),
  },
  'POST /api/v1/trends': {
    body: trendSchema,
    heaviest: 2 * MB,
    answer: z.object({ sha256: z.string() }),
    status: 201,
  },
  'POST /api/v1/captures': {
    body: captureSchema,
    heaviest: 6 * MB,
    answer: z.object({ sha256: z.string() }),
    status: 201,
  },
  'POST /api/v1/blobs': { answer: z.object({ sha256: z.string() }), status: 201 },
  'POST /api/v1/archives': {
    may: { role: 'technician', refusal: 'Only a technician or the lead can import archives.' },
    answer: answerOf<TakenIn>(),
    status: 201,
  },
  'GET /api/v1/work': { answer: z.object({ waiting: z.int() }) },
  'GET /api/v1/rig': { answer: answerOf<RigState>() },
  'POST /api/v1/rig': {
    body: rigOrderSchema,
    heaviest: 256_000,
    answer: answerOf<RigState>(),
  },
} as const satisfies Record<string, Route>;

/** The contract as a type. */
export type Contract = typeof contract;
/** Method and path of a route. */
export type RouteKey = keyof Contract;

/** What a route takes as its body, as a client writes it. */
export type BodyOf<K extends RouteKey> = Contract[K] extends { body: infer B extends z.ZodType }
  ? z.input<B>
  : undefined;
/** The same after the schema, as the server gets it. */
export type ParsedBodyOf<K extends RouteKey> = Contract[K] extends { body: infer B extends z.ZodType }
  ? z.output<B>
  : undefined;
/** What stands behind the `?` of a route. */
export type QueryOf<K extends RouteKey> = Contract[K] extends { query: infer Q extends z.ZodType }
  ? z.output<Q>
  : undefined;
/** What a route answers. */
export type AnswerOf<K extends RouteKey> = z.output<Contract[K]['answer']>;

/** Names of the parts of a path that vary. */
export type ParamsOf<K extends string> = K extends `${string}/:${infer Name}/${infer Rest}`
  ? Name | ParamsOf<`/${Rest}`>
  : K extends `${string}/:${infer Name}`
    ? Name
    : never;
