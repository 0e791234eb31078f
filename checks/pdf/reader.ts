/** A PDF as qpdf reads it: objects as JSON, content streams as operators. */
import { execFileSync } from 'node:child_process';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import * as z from 'zod';

export type Value = null | boolean | number | string | Value[] | { [key: string]: Value };

const value: z.ZodType<Value> = z.lazy(() =>
  z.union([z.null(), z.boolean(), z.number(), z.string(), z.array(value), z.record(z.string(), value)]),
);
const object = z.union([
  z.object({ value }),
  z.object({ stream: z.object({ data: z.string().optional(), dict: z.record(z.string(), value) }) }),
]);
const output = z.object({
  qpdf: z.tuple([z.unknown(), z.record(z.string(), object)]),
});

export interface PdfFile {
  /** What a value is, or what it refers to; a stream by its dictionary. */
  at: (v: Value | undefined) => Value;
  /** The same where a dictionary must be. @throws otherwise */
  dictionary: (v: Value | undefined) => Record<string, Value>;
  /** The items of a list; of one thing without a list, itself. */
  list: (v: Value | undefined) => Value[];
  /** A text string. */
  text: (v: Value | undefined) => string | null;
  /** The bytes of a stream, decoded. */
  stream: (v: Value | undefined) => string;
  catalogue: Record<string, Value>;
  /** References to the pages, in their order. */
  pages: string[];
  /** Every dictionary of the file. */
  all: Record<string, Value>[];
}

const isDictionary = (v: Value): v is Record<string, Value> =>
  typeof v === 'object' && v !== null && !Array.isArray(v);

/** Reads a PDF. @throws where qpdf finds it damaged, or has a warning of it */
export function readPdf(pdf: Uint8Array): PdfFile {
  const folder = mkdtempSync(join(tmpdir(), 'grim-qpdf-'));
  const file = join(folder, 'a.pdf');
  let text: string;
  try {
    writeFileSync(file, pdf);
    const options = ['--json=2', '--json-stream-data=inline', '--decode-level=generalized'];
    text = execFileSync('qpdf', [...options, file], { encoding: 'utf8', maxBuffer: 1 << 28 });
  } finally {
    rmSync(folder, { recursive: true });
  }
  const [, objects] = output.parse(JSON.parse(text)).qpdf;
  const isReference = (v: Value | undefined): v is string => typeof v === 'string' && /^\d+ \d+ R$/.test(v);
  const objectOf = (v: Value | undefined) => (isReference(v) ? objects[`obj:${v}`] : undefined);
  const at = (v: Value | undefined): Value => {
    const found = objectOf(v);
    if (found === undefined) return v ?? null;
    return 'stream' in found ? found.stream.dict : found.value;
  };
  const dictionary = (v: Value | undefined): Record<string, Value> => {
    const found = at(v);
    if (!isDictionary(found)) throw new Error(`no dictionary: ${JSON.stringify(v)}`);
    return found;
  };
  const list = (v: Value | undefined): Value[] => {
    const found = at(v);
    // One thing may stand without a list; a stream keeps its reference.
    return Array.isArray(found) ? found : found === null ? [] : [v ?? null];
  };
  const stringOf = (v: Value | undefined) => {
    const found = at(v);
    return typeof found === 'string' ? found.replace(/^[ub]:/, '') : null;
  };
  const stream = (v: Value | undefined): string => {
    const found = objectOf(v);
    if (found === undefined || !('stream' in found)) throw new Error(`no stream: ${JSON.stringify(v)}`);
    return Buffer.from(found.stream.data ?? '', 'base64').toString('latin1');
  };
  const trailer = objects['trailer'];
  if (trailer === undefined || !('value' in trailer)) throw new Error('no trailer');
  const catalogue = dictionary(dictionary(trailer.value)['/Root']);
  const pagesBelow = (node: Value | undefined): string[] => {
    const { '/Type': type, '/Kids': kids } = dictionary(node);
    if (type === '/Pages') return list(kids).flatMap(pagesBelow);
    return isReference(node) ? [node] : [];
  };
  const all = Object.values(objects).map((o) => ('stream' in o ? o.stream.dict : o.value));
  return {
    at,
    dictionary,
    list,
    text: stringOf,
    stream,
    catalogue,
    pages: pagesBelow(catalogue['/Pages']),
    all: all.filter(isDictionary),
  };
}

/** An operator of a content stream with what stands before it. */
export interface Operator {
  name: string;
  operands: string;
}

/** Cuts a content stream into its operators (ISO 32000-1, 7.8.2); text strings are dropped. */
export function operatorsOf(content: string): Operator[] {
  const bare = content.replace(/\((?:\\[\s\S]|[^\\()])*\)/g, '()');
  const tokens =
    bare.match(/<<[\s\S]*?>>|<[0-9A-Fa-f\s]*>|\[[^\]]*\]|\/[^\s/<>[\]()]+|[^\s/<>[\]()]+|\(\)/g) ?? [];
  const operators: Operator[] = [];
  let operands: string[] = [];
  for (const token of tokens) {
    if (/^[A-Za-z'"]/.test(token)) {
      operators.push({ name: token, operands: operands.join(' ') });
      operands = [];
    } else operands.push(token);
  }
  return operators;
}
