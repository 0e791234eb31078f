import { createHash } from 'node:crypto';
import { strFromU8, unzipSync } from 'fflate';
import sharp from 'sharp';
import { archiveSchema, type Archive } from '../../../core/job/archive/schema';
import { keptEntry, withoutServerParts, type Person, type NewEntry } from '../../../core/logbook';
import { HttpError } from '../../http/border';
import { db } from '../../database/connection';
import { appendEntries, entriesAfter, openJob } from '../../logbook/jobs';
import type { TakenIn } from '../../../api/contract';

/** An archive may weigh this much, packed, and each of its files this much, unpacked. */
export const heaviestArchive = 200 * 1024 * 1024;
const heaviestFile = 30 * 1024 * 1024;
const heaviestJob = 60 * 1024 * 1024;

type Files = Record<string, Uint8Array>;

/** Only what is asked for is unpacked, and nothing that says of itself that it is too big. */
function unpacked(bytes: Uint8Array): Files {
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

function archiveIn(files: Files): Archive {
  const text = files['job.json'];
  if (text === undefined)
    throw new HttpError(422, 'There is no job.json in it: this is no archive of a job.');
  let raw: unknown;
  try {
    raw = JSON.parse(strFromU8(text));
  } catch {
    throw new HttpError(422, 'Its job.json cannot be read: the file is broken.');
  }
  const parsed = archiveSchema.safeParse(raw);
  if (!parsed.success)
    throw new HttpError(
      422,
      'Its job.json is not as its schema says; nothing was taken in.',
      parsed.error.issues.slice(0, 20).map((i) => ({ path: i.path.join('.'), allowed: i.message })),
    );
  const { entries, job } = parsed.data;
  if (entries[0]?.kind !== 'job.opened' || entries.some((e) => e.jobId !== job.id))
    throw new HttpError(422, 'Its entries are not those of one job that begins with its opening.');
  return parsed.data;
}

/** A file of an archive is what its name says, and a picture where it says so. @throws Refused */
async function proven({ sha256, mediaType }: Archive['files'][number], files: Files): Promise<Buffer> {
  const bytes = files[`files/${sha256}`];
  if (bytes === undefined) throw new HttpError(422, `The file ${sha256.slice(0, 8)}… is missing from it.`);
  const buffer = Buffer.from(bytes);
  const bad = new HttpError(422, `The file ${sha256.slice(0, 8)}… is not what it says it is.`);
  if (createHash('sha256').update(buffer).digest('hex') !== sha256) throw bad;
  if (mediaType === 'application/json') {
    try {
      JSON.parse(buffer.toString('utf8'));
    } catch {
      throw bad;
    }
    return buffer;
  }
  const { format } = await sharp(buffer, { limitInputPixels: 100_000_000 })
    .metadata()
    .catch(() => ({ format: undefined }));
  if (format !== 'jpeg') throw bad;
  return buffer;
}

/**
 * Takes a job in from an archive. Taking the same one in twice is harmless; one whose job went on here is refused. People that
 * are not known come in as names only: nobody can sign in as them.
 * @throws Refused with what is wrong; nothing of the job is kept then
 */
export async function takeIn(bytes: Uint8Array): Promise<TakenIn> {
  const files = unpacked(bytes);
  const archive = archiveIn(files);
  const { job } = archive;
  const here = await entriesAfter(job.id, 0);
  const theirs = new Map(archive.entries.map((e) => [e.id, e]));
  if (here !== null && here.some((e) => !theirs.has(e.id)))
    throw new HttpError(409, 'This job is here already and went on since: nothing was taken in.');
  const blobs = [];
  for (const file of archive.files) blobs.push({ ...file, bytes: await proven(file, files) });
  const people = new Map<string, Person>(archive.entries.map((e) => [e.by.id, e.by]));
  const { Person: People, Blob } = db().models;
  await People.bulkCreate(
    [...people.values()].map((p) => ({ ...p, active: false })),
    { ignoreDuplicates: true },
  );
  await Blob.bulkCreate(blobs, { ignoreDuplicates: true });
  // The schema of each kind has passed every payload.
  const bare = [...archive.entries]
    .sort((a, b) => a.seq - b.seq)
    .map(({ kind, payload, ...envelope }) => withoutServerParts(keptEntry(envelope, kind, payload)));
  const clock = (entry: NewEntry): Date => new Date(theirs.get(entry.id)?.receivedAt ?? entry.at);
  const by = (entry: NewEntry): Person => {
    const person = theirs.get(entry.id)?.by;
    if (person === undefined) throw new Error('an entry that is not of this archive');
    return person;
  };
  const [opening] = bare;
  if (opening === undefined || opening.kind !== 'job.opened')
    throw new Error('an archive begins with its opening');
  const opened = await openJob(opening, by(opening), clock);
  const kept = 'refused' in opened ? opened : await appendEntries(job.id, bare, by, clock);
  if ('refused' in kept)
    throw new HttpError(
      409,
      'An entry of this job is here already with another content: nothing was taken in.',
    );
  return {
    jobId: job.id,
    machine: opening.payload.machine,
    entries: bare.length,
    fresh: bare.length - (here?.length ?? 0),
  };
}
