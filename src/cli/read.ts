import { readFile } from 'node:fs/promises';
import { resolve } from 'node:path';
import { createInterface } from 'node:readline';
import { readManualFile, UnreadableManual } from '@/readers/manual-file';
import { UnreadablePdf, type PdfLibrary } from '@/readers/pdf-text';
import { startLetters } from './letters';
import { plateFiles, UnreadablePhoto, type PlateFiles } from './plate-file';

/** pdf.js as Node can run it. */
const pdfLibrary = async (): Promise<PdfLibrary> => await import('pdfjs-dist/legacy/build/pdf.mjs');

const print = (value: unknown): void => {
  process.stdout.write(`${JSON.stringify(value)}\n`);
};

class BadArgument extends Error {}

/** "3-9,12" as a question whether a page is among them. @throws BadArgument for anything else */
function pagesWanted(text: string): (page: number) => boolean {
  const ranges = text.split(',').map((part) => {
    const [, from = '', to = from] = /^(\d{1,5})(?:-(\d{1,5}))?$/.exec(part.trim()) ?? [];
    if (from === '') throw new BadArgument(`--pages takes numbers and ranges such as 3-9,12; ${text} given`);
    return [Number(from), Number(to)] as const;
  });
  return (page) => ranges.some(([from, to]) => page >= from && page <= to);
}

const kinds = ['manual', 'plate'] as const;
type Kind = (typeof kinds)[number];

interface Arguments {
  what: Kind;
  files: string[];
  lines: boolean;
  wanted: ((page: number) => boolean) | undefined;
}

function argumentsOf([what = '', ...rest]: readonly string[]): Arguments {
  const at = rest.indexOf('--pages');
  const wanted = at < 0 ? undefined : pagesWanted(rest[at + 1] ?? '');
  const files = rest.filter((arg, i) => !arg.startsWith('--') && (at < 0 || i !== at + 1));
  const unknown = rest.find((arg) => arg.startsWith('--') && arg !== '--pages' && arg !== '--lines');
  if (unknown !== undefined) throw new BadArgument(`${unknown} is not known; --pages and --lines are`);
  const kind = kinds.find((k) => k === what);
  if (kind === undefined) throw new BadArgument(`read manual FILE or read plate FILE; "${what}" given`);
  if (kind === 'plate' && wanted !== undefined) throw new BadArgument('--pages is for manuals');
  return { what: kind, files, lines: rest.includes('--lines'), wanted };
}

const fileTroubles: Readonly<Record<string, string>> = {
  ENOENT: 'there is no such file',
  EISDIR: 'that is a folder, not a file',
  EACCES: 'the file may not be read by this user',
};
const troubleWith = (error: unknown): string | undefined =>
  error instanceof Error && 'code' in error ? fileTroubles[String(error.code)] : undefined;

const isRefusal = (error: unknown): error is Error =>
  error instanceof UnreadablePdf ||
  error instanceof UnreadableManual ||
  error instanceof UnreadablePhoto ||
  error instanceof BadArgument;

/** Reads the bytes of a file. */
type Reader = (bytes: Uint8Array) => Promise<object>;

const fromCaller = (file: string): string => resolve(process.env['GRIM_FROM'] ?? '.', file);

/** What a file gave, or why nothing: in the same manners as the verbs. */
async function answerFor(file: string, read: Reader): Promise<{ body: object; status: number }> {
  try {
    return { body: await read(new Uint8Array(await readFile(fromCaller(file)))), status: 0 };
  } catch (error) {
    const refused = troubleWith(error) ?? (isRefusal(error) ? error.message : undefined);
    const said = refused ?? 'the file could not be read';
    process.stderr.write(`read: ${file}: ${said}\n`);
    const code = refused === undefined ? 'our-fault' : 'bad-input';
    return {
      body: { error: { code, problems: [{ path: 'file', given: file, allowed: said }] } },
      status: code === 'bad-input' ? 2 : 1,
    };
  }
}

async function answerAll({ files, lines }: Arguments, read: Reader): Promise<number> {
  const [only] = files;
  if (!lines) {
    if (only === undefined || files.length > 1) throw new BadArgument('one FILE, or several with --lines');
    const { body, status } = await answerFor(only, read);
    print(body);
    return status;
  }
  let worst = 0;
  const one = async (file: string): Promise<void> => {
    const { body, status } = await answerFor(file, read);
    print({ file, ...body });
    worst = Math.max(worst, status);
  };
  for (const file of files) await one(file);
  if (files.length === 0)
    for await (const line of createInterface({ input: process.stdin }))
      if (line.trim() !== '') await one(line.trim());
  return worst;
}

/** `read manual|plate FILE… [--pages 3-9] [--lines]`; with --lines a file's name a line from stdin, too. */
async function main(args: readonly string[]): Promise<number> {
  const asked = argumentsOf(args);
  const { wanted } = asked;
  if (asked.what === 'manual') {
    let started: ReturnType<typeof startLetters> | undefined;
    try {
      return await answerAll(asked, (bytes) =>
        readManualFile(bytes, {
          pdfLibrary,
          wasmUrl: 'node_modules/pdfjs-dist/wasm/',
          letters: async () => (await (started ??= startLetters('.'))).letters,
          ...(wanted === undefined ? {} : { wanted }),
        }),
      );
    } finally {
      await (await started)?.close();
    }
  }
  let plates: PlateFiles | undefined;
  try {
    return await answerAll(asked, async (bytes) => (plates ??= await plateFiles('.')).read(bytes));
  } finally {
    await plates?.close();
  }
}

try {
  process.exitCode = await main(process.argv.slice(2));
} catch (error) {
  if (!(error instanceof BadArgument)) throw error;
  process.stderr.write(`read: ${error.message}\n`);
  print({
    error: {
      code: 'bad-input',
      problems: [{ path: '', given: process.argv.slice(2), allowed: error.message }],
    },
  });
  process.exitCode = 2;
}
