import { strFromU8, unzipSync } from 'fflate';
import { archiveSchema, type Archive } from '../../../core/job/archive/schema';
import { walkChain } from '../../../core/job/chain';
import { keptEntry, type Entry } from '../../../core/logbook';
import { readJson } from '../../http/body';
import { HttpError, problemsOf } from '../../http/refusal';
import { sha256 } from '../../logbook/digest';

/** An archive may weigh this much, packed, and each of its files this much, unpacked. */
export const heaviestArchive = 200 * 1024 * 1024;
const heaviestFile = 30 * 1024 * 1024;
const heaviestJob = 60 * 1024 * 1024;
/** More files than any job has. */
const mostFiles = 2100;
/** Text packs to a hundredth at most; what says more is made to burst. */
const greatestRatio = 1000;

/** Files of an archive by their name. */
export type ArchiveFiles = Record<string, Uint8Array>;

/** Only what is asked for is unpacked, and nothing that says of itself that it is too big. @throws HttpError */
export function unpacked(bytes: Uint8Array): ArchiveFiles {
  let all = 0;
  let count = 0;
  try {
    return unzipSync(bytes, {
      filter: ({ name, size, originalSize }) => {
        count += 1;
        if (count > mostFiles) throw new HttpError(413, `It has more than ${mostFiles} files.`);
        const wanted = name === 'job.json' || /^files\/[0-9a-f]{64}$/.test(name);
        if (!wanted) return false;
        all += originalSize;
        if (originalSize > (name === 'job.json' ? heaviestJob : heaviestFile) || all > 4 * heaviestArchive)
          throw new HttpError(413, `${name} is too big.`);
        if (originalSize > greatestRatio * Math.max(size, 1))
          throw new HttpError(422, `${name} has an unsupported compression.`);
        return true;
      },
    });
  } catch (error) {
    if (error instanceof HttpError) throw error;
    throw new HttpError(422, 'This archive cannot be opened: use a .zip made by Grim Spanner.');
  }
}

/** What an archive says, by its schema. @throws HttpError where it is none, or not of one job */
export function archiveIn(files: ArchiveFiles): Archive {
  const text = files['job.json'];
  if (text === undefined) throw new HttpError(422, 'No job.json found: not a job archive.');
  let raw: unknown;
  try {
    raw = readJson(strFromU8(text));
  } catch {
    throw new HttpError(422, 'job.json cannot be read: the file is damaged.');
  }
  const parsed = archiveSchema.safeParse(raw);
  if (!parsed.success)
    throw new HttpError(
      422,
      'job.json does not match its schema; nothing was imported.',
      problemsOf(parsed.error),
    );
  const { entries, job } = parsed.data;
  if (entries[0]?.kind !== 'job.opened' || entries.some((e, i) => e.jobId !== job.id || e.seq !== i + 1))
    throw new HttpError(422, 'Its log entries are not one job that starts with its opening.');
  return parsed.data;
}

/** An archive that was read: its files and its log, whose chain holds where it has one. */
export interface ReadArchive {
  archive: Omit<Archive, 'entries'>;
  files: ArchiveFiles;
  /** Without hashes in an archive of version 1. */
  entries: Entry[];
}

/** Unpacks, reads and verifies an archive. @throws HttpError with what is wrong */
export function archiveRead(bytes: Uint8Array): ReadArchive {
  const files = unpacked(bytes);
  const { entries: archived, ...archive } = archiveIn(files);
  // The schema of each kind has passed every payload.
  const entries = archived.map(({ kind, payload, ...envelope }) => keptEntry(envelope, kind, payload));
  if (archive.version === 1) return { archive, files, entries };
  const walked = walkChain(entries, sha256);
  if ('fault' in walked)
    throw new HttpError(
      422,
      `Its log was changed: entry ${walked.fault.seq}: ${walked.fault.why}. Nothing was imported.`,
    );
  return { archive, files, entries };
}
