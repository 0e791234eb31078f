import { existsSync, readFileSync } from 'node:fs';
import { walkChain, type ChainFault } from '../src/core/job/chain';
import type { Archive } from '../src/core/job/archive/schema';
import { keptEntry } from '../src/core/logbook';
import { HttpError } from '../src/server/http/guard';
import { archiveIn, unpacked, type ArchiveFiles } from '../src/server/job/archive/read';
import { sha256 } from '../src/server/logbook/digest';
import { say } from './terminal';

/** Files that are missing or are not what their entries speak of. */
const wrongFiles = ({ files }: Archive, inside: ArchiveFiles): string[] =>
  files.flatMap(({ sha256: address, content = address }) => {
    const bytes = inside[`files/${address}`];
    if (bytes === undefined) return [`files/${address} is missing`];
    return sha256(bytes) === content ? [] : [`files/${address} was changed`];
  });

/** Walks the chain of an archive. @returns where it ends, or the first entry that is not as it was recorded */
function walked({ entries }: Archive): { seq: number; hash: string } | ChainFault {
  const kept = entries.map(({ kind, payload, ...envelope }) => keptEntry(envelope, kind, payload));
  const end = walkChain(kept, sha256);
  return 'fault' in end ? end.fault : end.end;
}

/** `./grim verify ARCHIVE`: is the log in it as it was recorded? No server and no database are needed. */
export function verify([path]: readonly string[]): Promise<number> {
  if (path === undefined || !existsSync(path)) {
    say(path === undefined ? 'usage: ./grim verify ARCHIVE.zip' : `no such file: ${path}`);
    return Promise.resolve(2);
  }
  try {
    const inside = unpacked(new Uint8Array(readFileSync(path)));
    const archive = archiveIn(inside);
    if (archive.version === 1) {
      say('this archive has no hash chain: nothing can be verified');
      return Promise.resolve(2);
    }
    const end = walked(archive);
    const files = wrongFiles(archive, inside);
    if ('why' in end) say(`entry ${end.seq}: ${end.why}`);
    files.forEach((line) => say(line));
    if ('why' in end || files.length > 0) return Promise.resolve(1);
    say(`${end.seq} entries and ${archive.files.length} files match what was recorded; head ${end.hash}`);
    return Promise.resolve(0);
  } catch (error) {
    if (!(error instanceof HttpError)) throw error;
    say([error.message, ...error.problems.slice(0, 3).map((p) => `${p.path}: ${p.allowed}`)].join(' '));
    return Promise.resolve(2);
  }
}
