import { BadCapture, type Capture } from './capture';
import { readComtrade, writeComtrade } from './comtrade';
import { decoded } from './text';

/**
 * The single file of COMTRADE's 2013 edition: the files of a record one after the other, each under a line that names it.
 * Layout from memory; no independent reader was to be had.
 */
interface Part {
  kind: string;
  bytes: Uint8Array;
}

const headLine = /^--- file type: ([A-Z]{3})(?: [A-Z0-9]+)?(?: ?: ?(\d+))? ?---$/i;
const newline = 10;
/** No line that names a part is longer; samples in binary may have none for long. */
const longestHead = 100;

/** The parts of the file, in their order. */
function partsOf(bytes: Uint8Array): Part[] {
  const parts: Part[] = [];
  let open: { kind: string; from: number; size: number | null } | null = null;
  const close = (to: number): void => {
    if (open !== null) parts.push({ kind: open.kind, bytes: bytes.subarray(open.from, to) });
    open = null;
  };
  let at = 0;
  while (at < bytes.length) {
    const found = bytes.indexOf(newline, at);
    const end: number = found === -1 ? bytes.length : found + 1;
    const line = end - at > longestHead ? '' : new TextDecoder('latin1').decode(bytes.subarray(at, end));
    const head = headLine.exec(line.replace(/^ï»¿/, '').replace(/\s+/g, ' ').trim());
    if (head === null) {
      at = end;
      continue;
    }
    close(at);
    const size = head[2] === undefined ? null : Number(head[2]);
    open = { kind: (head[1] ?? '').toUpperCase(), from: end, size };
    at = end;
    if (size === null) continue;
    // Binary samples are counted: a line that looks like a head may stand in them.
    if (end + size > bytes.length)
      throw new BadCapture(
        `The .cff file announces ${size} bytes of samples and has ${bytes.length - end}: it is cut off.`,
      );
    at = end + size;
    close(at);
  }
  close(bytes.length);
  return parts;
}

/** A record of one file (.cff). Roles are guessed by the channels' names. @throws BadCapture */
export function readCff(file: Uint8Array): Capture {
  const parts = partsOf(file);
  const part = (kind: string): Uint8Array => {
    const found = parts.find((p) => p.kind === kind);
    if (found === undefined)
      throw new BadCapture(`The .cff file has no part “${kind}”: is it a COMTRADE record in one file?`);
    return found.bytes;
  };
  return readComtrade(decoded(part('CFG')), part('DAT'));
}

/** A capture as one file of the 2013 edition, samples as text. @param at when its first sample was taken */
export function writeCff(capture: Capture, at: Date, line_Hz: number): string {
  const { cfg, dat } = writeComtrade(capture, at, line_Hz, 2013);
  return [
    '--- file type: CFG ---',
    `${cfg}--- file type: INF ---`,
    '--- file type: HDR ---',
    '--- file type: DAT ASCII ---',
    dat,
  ].join('\r\n');
}
