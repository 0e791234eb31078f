import type { Transaction } from 'sequelize';
import { v5 } from 'uuid';
import type { Archive } from '../../../core/job/archive/schema';
import { chainHash, startHash } from '../../../core/job/chain';
import { emptyJob, fold, type Entry } from '../../../core/logbook';
import { siteLimits } from '../../administration/settings';
import { databaseNow } from '../../clock';
import { HttpError } from '../../http/guard';
import { db } from '../../database/connection';
import { rewritten } from '../../pictures';
import { sha256 as digest } from '../../logbook/digest';
import { toEntry, toRow, type StoredEntry } from '../../logbook/entries';
import { boardRow, rememberSources } from '../../logbook/summaries';
import { writeRows } from '../../logbook/write-rows';
import type { ThreadOrder } from '../../thread/order';
import { sharedPool, threadBundle } from '../../work';
import type { TakenIn } from '../../../api/contract';
import type { ArchiveFiles, ReadArchive } from './read';

const reader = sharedPool<ThreadOrder, ReadArchive>({
  what: 'reading of an archive',
  bundle: threadBundle,
  heap_MB: 2048,
  timeOut_ms: 120_000,
  longest: 4,
  longestOfOne: 2,
});

/** Entries of an archive of version 1 get limits and hashes here. */
async function chained(bare: readonly Entry[]): Promise<Entry[]> {
  const limits = await siteLimits();
  let hash = startHash;
  return bare.map((one) => {
    const entry = { ...one, limits };
    hash = chainHash(hash, entry, digest);
    return { ...entry, hash };
  });
}

/** A file of an archive is what its name says; a picture is written anew. @throws HttpError */
async function proven(
  { sha256, content = sha256, mediaType }: Archive['files'][number],
  files: ArchiveFiles,
) {
  const bytes = files[`files/${sha256}`];
  if (bytes === undefined) throw new HttpError(422, `File ${sha256.slice(0, 8)}… is missing in the archive.`);
  const buffer = Buffer.from(bytes);
  const bad = new HttpError(422, `File ${sha256.slice(0, 8)}… does not match its hash.`);
  if (digest(buffer) !== content) throw bad;
  if (mediaType === 'application/json') {
    try {
      JSON.parse(buffer.toString('utf8'));
    } catch {
      throw bad;
    }
    return { address: sha256, sha256: content, mediaType, bytes: buffer };
  }
  const jpeg = await rewritten(buffer).catch(() => null);
  if (jpeg === null) throw bad;
  return { address: sha256, sha256: digest(jpeg), mediaType, bytes: jpeg };
}

/** Entries that are written in one statement. */
const mostAtOnce = 1000;

type ProvenFile = Awaited<ReturnType<typeof proven>>;

async function keepFiles(blobs: readonly ProvenFile[], transaction: Transaction): Promise<void> {
  const { Blob, BlobAlias } = db().models;
  await Blob.bulkCreate(
    blobs.map(({ sha256, mediaType, bytes }) => ({ sha256, mediaType, bytes })),
    { ignoreDuplicates: true, transaction },
  );
  await BlobAlias.bulkCreate(
    blobs.flatMap(({ address, sha256 }) =>
      address === sha256 ? [] : [{ sha256: address, storedAs: sha256 }],
    ),
    { ignoreDuplicates: true, transaction },
  );
}

/**
 * Takes a job in from an archive: one that is not known here, whole or not at all. It is marked as imported, and its people
 * and its machine are strangers here, whatever ids they have. The same archive again is harmless.
 * @param who brings it
 * @throws HttpError with what is wrong; nothing of the job is kept then
 */
export async function takeIn(bytes: Uint8Array, who: string): Promise<TakenIn> {
  const { archive, files, entries: bare } = await reader.ask({ task: 'archive', bytes }, who);
  const entries = archive.version === 1 ? await chained(bare) : bare;
  const [opening] = entries;
  const { seq: headSeq, hash: headHash } = entries[entries.length - 1] ?? {};
  if (opening?.kind !== 'job.opened' || headSeq === undefined || headHash === undefined)
    throw new Error('an archive begins with its opening, and its entries are chained');
  const { id: jobId } = archive.job;
  // One after the other: a thousand pictures of an archive must not stand in the way of one that a person takes.
  const blobs: ProvenFile[] = [];
  for (const file of archive.files) blobs.push(await proven(file, files));
  const { sequelize, models } = db();
  const { machine, site } = opening.payload;
  const assetId = v5(opening.payload.assetId, archive.installation ?? jobId);
  const now = await databaseNow();
  const imported = { from: archive.installation ?? null, seq: headSeq, at: now.toISOString() };
  const limits = await siteLimits();
  const fresh = await sequelize.transaction(async (transaction) => {
    const here = await models.Job.findByPk(jobId, { transaction });
    if (here !== null) {
      if (here.imported !== null && here.headHash === headHash) return 0;
      throw new HttpError(409, 'This job already exists here: only unknown jobs can be imported.');
    }
    if ((await models.Entry.count({ where: { id: entries.map((e) => e.id) }, transaction })) > 0)
      throw new HttpError(
        409,
        'A log entry of this job already exists in another job: nothing was imported.',
      );
    await models.Asset.findOrCreate({
      where: { id: assetId },
      defaults: { id: assetId, site, name: machine },
      transaction,
    });
    await models.Job.create({ id: jobId, assetId, imported }, { transaction });
    await keepFiles(blobs, transaction);
    const rows = entries.map((entry): StoredEntry => {
      const { seq = 0, receivedAt = entry.at, hash = '', limits: then = limits, verified = null, by } = entry;
      const kept = {
        ...{ seq, limits: then, verified, receivedAt: new Date(receivedAt) },
        firstReceivedAt: entry.firstReceivedAt === undefined ? null : new Date(entry.firstReceivedAt),
      };
      return { ...toRow(entry, by, kept), hash };
    });
    const state = fold(
      rows.map((row) => toEntry(row, imported)),
      { limits },
    );
    for (let from = 0; from < rows.length; from += mostAtOnce) {
      const some = rows.slice(from, from + mostAtOnce);
      await writeRows(jobId, some, boardRow(jobId, state, limits), transaction);
    }
    await rememberSources(assetId, emptyJob, state, transaction);
    return rows.length;
  });
  return { jobId, machine, entries: entries.length, fresh };
}
