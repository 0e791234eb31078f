import { strFromU8, unzipSync } from 'fflate';
import { archiveSchema, type Archive } from '../../../core/job/archive/schema';
import { HttpError, problemsOf, readJson } from '../../http/border';

/** An archive may weigh this much, packed, and each of its files this much, unpacked. */
export const heaviestArchive = 200 * 1024 * 1024;
const heaviestFile = 30 * 1024 * 1024;
const heaviestJob = 60 * 1024 * 1024;

/** Files of an archive by their name. */
export type ArchiveFiles = Record<string, Uint8Array>;

/** Only what is asked for is unpacked, and nothing that says of itself that it is too big. @throws HttpError */
export function unpacked(bytes: Uint8Array): ArchiveFiles {
  let all = 0;
  try {
    return unzipSync(bytes, {
      filter: ({ name, originalSize }) => {
        const wanted = name === 'job.json' || /^files\/[0-9a-f]{64}$/.test(name);
        if (!wanted) return false;
        all += originalSize;
        if (originalSize > (name === 'job.json' ? heaviestJob : heaviestFile) || all > 4 * heaviestArchive)
          throw new HttpError(413, `${name} is too big.`);
        return true;
      },
    });
  } catch (error) {
    if (error instanceof HttpError) throw error;
    throw new HttpError(422, 'This is no archive that can be opened: a .zip made by Grim Spanner is wanted.');
  }
}

/** What an archive says, by its schema. @throws HttpError where it is none, or not of one job */
export function archiveIn(files: ArchiveFiles): Archive {
  const text = files['job.json'];
  if (text === undefined)
    throw new HttpError(422, 'There is no job.json in it: this is no archive of a job.');
  let raw: unknown;
  try {
    raw = readJson(strFromU8(text));
  } catch {
    throw new HttpError(422, 'Its job.json cannot be read: the file is broken.');
  }
  const parsed = archiveSchema.safeParse(raw);
  if (!parsed.success)
    throw new HttpError(
      422,
      'Its job.json is not as its schema says; nothing was taken in.',
      problemsOf(parsed.error),
    );
  const { entries, job } = parsed.data;
  if (entries[0]?.kind !== 'job.opened' || entries.some((e, i) => e.jobId !== job.id || e.seq !== i + 1))
    throw new HttpError(422, 'Its entries are not those of one job that begins with its opening.');
  return parsed.data;
}
