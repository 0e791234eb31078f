import * as z from 'zod';
import { limitsSchema } from '../../bench/make-safe/schema';
import { newestVersion, payloads, verifiedSchema } from '../../logbook/schema';
import { keysOf } from '../../numerics/arrays';

const person = z.strictObject({
  id: z.uuid(),
  name: z.string().min(1).max(200),
  role: z.enum(['technician', 'lead', 'apprentice']),
});

const hash = z.string().regex(/^[0-9a-f]{64}$/);

const envelope = {
  v: z.int().min(1).max(newestVersion),
  id: z.uuid(),
  jobId: z.uuid(),
  at: z.iso.datetime(),
  corrects: z.uuid().optional(),
  seen: z.int().min(0).optional(),
  by: person,
  seq: z.int().min(1),
  receivedAt: z.iso.datetime(),
  /** Of an entry that was moved here from a loose sheet: when it was received there. */
  firstReceivedAt: z.iso.datetime().optional(),
  /** Since version 2: the limits in force then, and the hash that chains it to the entry before it. */
  limits: limitsSchema.optional(),
  /** Of a signature: what the server computed from the log. */
  verified: verifiedSchema.optional(),
  hash: hash.optional(),
};

const kinds = keysOf(payloads);

/** An entry as the server that made the archive had kept it. */
const archivedEntry = z
  .strictObject({ ...envelope, kind: z.enum(kinds), payload: z.unknown() })
  .superRefine((entry, ctx) => {
    const made = payloads[entry.kind].safeParse(entry.payload);
    if (made.success) return;
    for (const issue of made.error.issues)
      ctx.addIssue({ code: 'custom', message: issue.message, path: ['payload', ...issue.path] });
  });

const file = z.strictObject({
  /** The address that entries know it by. */
  sha256: hash,
  /** The SHA-256 of the file itself, where it was written anew since. */
  content: hash.optional(),
  mediaType: z.enum(['image/jpeg', 'application/json']),
});

/** The name of the format, at the head of an archive. */
export const archiveFormat = 'grim-spanner-job';

/** `job.json` of an archive: the whole logbook, in the order it was kept. */
export const archiveSchema = z.strictObject({
  format: z.literal(archiveFormat),
  version: z.union([z.literal(1), z.literal(2)]),
  madeAt: z.iso.datetime(),
  /** The installation that made it. */
  installation: z.uuid().optional(),
  job: z.strictObject({ id: z.uuid() }),
  entries: z.array(archivedEntry).min(1).max(20_000),
  /** What lies beside it under `files/`, each under its SHA-256. */
  files: z.array(file).max(2000),
});
/** A job as one open file. */
export type Archive = z.output<typeof archiveSchema>;

/** The published schema: what every kind of entry carries. */
export function publishedArchiveSchema(): unknown {
  const entry = z.union(
    kinds.map((kind) => z.strictObject({ ...envelope, kind: z.literal(kind), payload: payloads[kind] })),
  );
  return z.toJSONSchema(archiveSchema.extend({ entries: z.array(entry).min(1) }), {
    io: 'input',
    unrepresentable: 'any',
    // Envelope and photographs are the same in every kind: said once.
    reused: 'ref',
  });
}
