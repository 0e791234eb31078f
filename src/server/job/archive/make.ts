import { strToU8, zip as zipAside, type AsyncZippable } from 'fflate';
import { archiveFormat, publishedArchiveSchema, type Archive } from '../../../core/job/archive/schema';
import type { Entry } from '../../../core/logbook';
import { csvOf, csvOfRecords } from '../../../core/text';
import { blob } from '../../logbook/blobs';
import { recordedEntry, rowsAfter } from '../../logbook/entries';
import { loadJob } from '../../logbook/folded';
import { installationId } from '../../administration/settings';
import { printed, usualForm } from '../../documents/print';
import { illustrated, loadReport } from '../../documents/report';
import { wireHeads, wireList } from '../../documents/replacement';

const filesOf = (entry: Entry): string[] => {
  const { payload } = entry;
  return [
    ...('photos' in payload ? payload.photos : []),
    ...(entry.kind === 'trend.kept' || entry.kind === 'power.capture' ? [entry.payload.sha256] : []),
  ];
};

const about = `A complete Grim Spanner job.

job.json      every entry of its logbook, in the order it was recorded
schema.json   what every kind of entry carries (JSON Schema)
files/        photographs (JPEG) and trends (JSON), each under its SHA-256
              The hash of each entry chains it to the one before it: ./grim verify FILE
*.csv         readings, wires and settings as tables
report.pdf    the report at that time

Import it in another installation under Administration, or by POST of this file to /api/v1/archives.
`;

/** A job as one archive; null when there is no such job. */
export async function archiveOfJob(jobId: string, now = new Date()): Promise<Uint8Array | null> {
  const job = await loadJob(jobId);
  if (job === null) return null;
  // As they were recorded, so that the chain can be verified elsewhere.
  const entries = (await rowsAfter(jobId, 0)).map(recordedEntry);
  const report = await loadReport(job);
  const zip: AsyncZippable = {};
  const files: Archive['files'] = [];
  for (const sha256 of new Set(entries.flatMap(filesOf))) {
    const kept = await blob(sha256);
    if (kept === null) continue;
    const mediaType = kept.mediaType === 'image/jpeg' ? 'image/jpeg' : 'application/json';
    files.push({ sha256, mediaType, ...(kept.sha256 === sha256 ? {} : { content: kept.sha256 }) });
    const bytes = new Uint8Array(kept.bytes);
    // A photograph is packed already.
    zip[`files/${sha256}`] = mediaType === 'image/jpeg' ? [bytes, { level: 0 }] : bytes;
  }
  const archive = {
    format: archiveFormat,
    version: 2,
    madeAt: now.toISOString(),
    installation: await installationId(),
    job: { id: jobId },
    entries,
    files,
  };
  /** A table of the report as CSV; of one that is not in it, a head that says so. */
  const tableOf = (id: string): Uint8Array => {
    const found = report.record.find((p) => p.id === id)?.table;
    const heads = found?.heads.map((h, i) => (h === '' ? `column ${i + 1}` : `${i + 1} ${h}`)) ?? [
      'nothing recorded',
    ];
    return strToU8(csvOf(heads, found?.rows ?? []));
  };
  // Without a drive there are no wires.
  const wires = job.state.drive === null ? [] : (await wireList(job)).rows;
  zip['README.txt'] = strToU8(about);
  zip['job.json'] = strToU8(JSON.stringify(archive, null, 1));
  zip['schema.json'] = strToU8(JSON.stringify(publishedArchiveSchema()));
  zip['readings.csv'] = tableOf('readings');
  zip['settings.csv'] = tableOf('settings');
  zip['wires.csv'] = strToU8(csvOfRecords(wireHeads, wires));
  zip['report.pdf'] = [await printed('report', await illustrated(report), usualForm(job), ''), { level: 0 }];
  // Packed in threads of its own.
  return new Promise((resolve, reject) => {
    zipAside(zip, { level: 6 }, (error, packed) => (error === null ? resolve(packed) : reject(error)));
  });
}
