import * as z from 'zod';
import type { NewEntry } from './entry';
import { time } from './fragments';
import { payloads } from './payloads';
import { staticVerdicts } from './verified';
import { keysOf } from '../numerics/arrays';
import { newestVersion } from './version';

export { payloads, newestVersion };

/** What the server verified of a signature, as an archive has it. */
export const verifiedSchema = z.strictObject({
  verdict: z.enum(staticVerdicts).optional(),
  openIssues: z.array(z.strictObject({ id: z.string(), text: z.string(), mayWait: z.boolean() })).optional(),
});

const kinds = keysOf(payloads);

/** NUL and halves of surrogate pairs: no text that a database can hold. */
const unstorable = /[\0\p{Surrogate}]/u;

/** Can every text in it be stored? */
function isStorable(value: unknown): boolean {
  if (typeof value === 'string') return !unstorable.test(value);
  if (typeof value !== 'object' || value === null) return true;
  return Object.entries(value).every(([key, inner]) => !unstorable.test(key) && isStorable(inner));
}

const envelope = {
  v: z.int().min(1).max(newestVersion, `version ${newestVersion} at most: reload the page`),
  id: z.uuid({ version: 'v7' }),
  jobId: z.uuid(),
  at: time,
  corrects: z.uuid().optional(),
  seen: z.int().min(0).optional(),
};

/** An entry as a client sends it. The payload is checked by the schema of its kind. */
export const newEntrySchema = z
  .strictObject({ ...envelope, kind: z.enum(kinds), payload: z.unknown() })
  .refine(({ payload }) => isStorable(payload), {
    path: ['payload'],
    message: 'it contains characters that cannot be stored: delete them and type the text again',
  })
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
