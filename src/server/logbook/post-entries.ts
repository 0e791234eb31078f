import type { EntryVerdict, VerdictsAnswer } from '../../api/entries';
import { isFormerEntry, isRecordedByServer, type NewEntry, type Person } from '../../core/logbook';
import { heaviestPayload, newEntrySchema } from '../../core/logbook/schema';
import { generation } from '../database/generation';
import { problemsOf } from '../http/guard';
import { plainFault } from '../http/plain-fault';
import { verifySignature } from '../job/signatures';
import { refusals } from './refuse-entry';
import { appendEntries } from './append';
import { withoutHash } from './entries';

/** What a client says the id of an entry is, so that it finds the verdict of one that cannot be read. */
const idIn = (raw: unknown): string =>
  typeof raw === 'object' && raw !== null && 'id' in raw && typeof raw.id === 'string' ? raw.id : '';

/** One entry as it was sent: read by its schema, or refused with what is wrong. */
function readEntry(raw: unknown, jobId: string): NewEntry | EntryVerdict {
  const id = idIn(raw);
  const parsed = newEntrySchema.safeParse(raw, { error: plainFault });
  if (!parsed.success)
    return {
      id,
      refused: 'This entry is not valid.',
      problems: problemsOf(parsed.error),
    };
  const entry = parsed.data;
  if (isFormerEntry(entry))
    return {
      id,
      refused: 'This page is older than the server: reload it, then enter this again.',
      problems: [],
    };
  if (isRecordedByServer(entry.kind)) return { id, refused: 'Only the server records this.', problems: [] };
  if (entry.jobId !== jobId) return { id, refused: 'It belongs to another job.', problems: [] };
  if (Buffer.byteLength(JSON.stringify(entry.payload)) > heaviestPayload)
    return {
      id,
      refused: 'A log entry may have at most 64 kB; photographs and captures are stored separately.',
      problems: [],
    };
  return entry;
}

const isEntry = (read: NewEntry | EntryVerdict): read is NewEntry => 'kind' in read;

/**
 * Records what a client sent, each entry on its own: one that is refused stands in nobody's way.
 * @returns a verdict for each, in the order they were sent, and the database's clock; null when there is no such job
 */
export async function postEntries(
  jobId: string,
  sent: readonly unknown[],
  by: Person,
): Promise<VerdictsAnswer | null> {
  const read = sent.map((raw) => readEntry(raw, jobId));
  const appended = await appendEntries(jobId, read.filter(isEntry), by, {
    verify: verifySignature,
    refuse: refusals(),
  });
  if (appended === null) return null;
  const kept = new Map(appended.kept.map((entry) => [entry.id, withoutHash(entry)]));
  const refused = new Map(appended.refused.map(({ id, why }) => [id, why]));
  const verdicts = read.map((one): EntryVerdict => {
    if (!isEntry(one)) return one;
    const why = refused.get(one.id);
    const entry = kept.get(one.id);
    if (why !== undefined) return { id: one.id, refused: why, problems: [] };
    if (entry === undefined) throw new Error('an entry was neither saved nor refused');
    return { id: one.id, kept: entry };
  });
  return { verdicts, now: appended.now.toISOString(), generation: await generation() };
}
