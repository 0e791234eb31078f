import * as z from 'zod';
import type { NewEntry } from './entry';
import { payloads } from './payloads';
import { keysOf } from '../numerics/arrays';

export { payloads };

const kinds = keysOf(payloads);

/** The newest shape of every kind. Older ones are lifted by `lift` before they are folded. */
export const newestVersion = 1;

const envelope = {
  v: z.int().refine((v) => v === newestVersion, `version ${newestVersion} is wanted`),
  id: z.uuid({ version: 'v7' }),
  jobId: z.uuid(),
  at: z.iso.datetime(),
  corrects: z.uuid().optional(),
};

/** An entry as a client sends it. The payload is checked by the schema of its kind. */
export const newEntrySchema = z
  .strictObject({ ...envelope, kind: z.enum(kinds), payload: z.unknown() })
  .transform((entry, ctx): NewEntry => {
    const payload = payloads[entry.kind].safeParse(entry.payload);
    // Kind and payload were just checked against each other.
    if (payload.success) return { ...entry, payload: payload.data } as NewEntry;
    for (const issue of payload.error.issues)
      ctx.issues.push({
        code: 'custom',
        message: issue.message,
        path: ['payload', ...issue.path],
        input: entry,
      });
    return z.NEVER;
  });

/** A payload may weigh this much, bytes of JSON. */
export const heaviestPayload = 64 * 1024;

/** Entries as they come in one request: at least one, at most 200. */
export const newEntriesSchema = z.array(newEntrySchema).min(1).max(200);
