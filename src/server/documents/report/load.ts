import sharp from 'sharp';
import { reportOf, type Beside, type Report } from '../../../core/job/report';
import { blob } from '../../logbook/blobs';
import type { LoadedJob } from '../../logbook/folded';
import { HttpError } from '../../http/guard';
import { loadStaticSheet } from '../static-sheet';
import { loadStartUpSheet, releaseOfState } from '../start-up-sheet';
import { swapOfState } from '../replacement';

/** The start-up sheet, or why there is none; null where none was begun. Trouble of our own stops the report. */
async function startUpBeside(job: LoadedJob): Promise<Beside['startUp']> {
  if (job.state.startUp.chosen === null) return null;
  try {
    const { rows, run, motorTests } = await loadStartUpSheet(job);
    return { rows, run, motorTests };
  } catch (error) {
    if (error instanceof HttpError) return { missing: error.message };
    throw error;
  }
}

/** The report as the job stands. */
export async function loadReport(job: LoadedJob): Promise<Report> {
  const { state } = job;
  const measured = state.readings.length > 0 || state.traced.length > 0 || state.asFound !== null;
  const [sheet, startUp, swap, release] = await Promise.all([
    measured ? loadStaticSheet(job) : null,
    startUpBeside(job),
    swapOfState(state),
    releaseOfState(state),
  ]);
  return reportOf(state, swap, { sheet, startUp, release });
}

/** A photograph as it is printed: small; whole it lies in the archive. */
const photoEdge_px = 700;

/** A photograph of a report; `jpeg` null: it is missing on the server, and the paper says so. */
export interface Picture {
  caption: string;
  jpeg: Uint8Array | null;
}

/** A report with its photographs, ready to be printed. */
export interface IllustratedReport {
  report: Report;
  pictures: Picture[];
}

async function jpegOf(sha256: string): Promise<Uint8Array | null> {
  const kept = await blob(sha256);
  if (kept === null) return null;
  return sharp(kept.bytes)
    .resize({ width: photoEdge_px, height: photoEdge_px, fit: 'inside', withoutEnlargement: true })
    .jpeg({ quality: 74 })
    .toBuffer();
}

/** Puts the photographs to a report. */
export async function illustrated(report: Report): Promise<IllustratedReport> {
  const pictures: Picture[] = [];
  for (const { sha256, caption } of report.photos) pictures.push({ caption, jpeg: await jpegOf(sha256) });
  return { report, pictures };
}
