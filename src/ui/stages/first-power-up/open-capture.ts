import type { Capture } from '@/core/power-up/capture';
import type { ColumnsSeen, WaveformWorker } from '@/workers/waveform.worker';
import { textOfFile } from '../../kit/read-text';
import type { WorkerLink } from '../../kit/use-worker';

/** A record that was read whole. */
export interface OpenCapture {
  name: string;
  from: 'csv' | 'comtrade';
  capture: Capture;
}
/** A table whose columns a person must name first. */
export interface UnnamedColumns {
  name: string;
  seen: ColumnsSeen;
}

const largest_MB = 400;
const ending = (file: File): string => file.name.slice(file.name.lastIndexOf('.') + 1).toLowerCase();

/**
 * Reads chosen files off the page: a COMTRADE record in one or two, or one table.
 * @throws Error what the person must choose instead
 */
export async function openCaptureFiles(
  files: readonly File[],
  ask: WorkerLink<WaveformWorker>['ask'],
): Promise<OpenCapture | UnnamedColumns | null> {
  if (files.some((f) => f.size > largest_MB * 1e6))
    throw new Error(`it is larger than ${largest_MB} MB: save a shorter section.`);
  const cff = files.find((f) => ending(f) === 'cff');
  if (cff !== undefined)
    return { name: cff.name, from: 'comtrade', capture: await ask((worker) => worker.openCff(cff)) };
  const cfg = files.find((f) => ending(f) === 'cfg');
  const dat = files.find((f) => ending(f) === 'dat');
  if (cfg !== undefined || dat !== undefined) {
    if (cfg === undefined || dat === undefined)
      throw new Error('a COMTRADE record is one .cff file or two: choose the .cfg and the .dat together.');
    const text = await textOfFile(cfg);
    const bytes = new Uint8Array(await dat.arrayBuffer());
    const capture = await ask((worker) => worker.openComtrade(text, bytes));
    return { name: cfg.name, from: 'comtrade', capture };
  }
  const [file] = files;
  return file === undefined ? null : { name: file.name, seen: await ask((worker) => worker.openCsv(file)) };
}
