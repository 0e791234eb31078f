import { readFile } from 'node:fs/promises';
import { join } from 'node:path';

/** What the readers of letters and of scanned pages load in the browser, and where it is among the packages. */
const files: Readonly<Record<string, readonly string[]>> = {
  'worker.min.js': ['tesseract.js', 'dist', 'worker.min.js'],
  'tesseract-core-lstm.wasm.js': ['tesseract.js-core', 'tesseract-core-lstm.wasm.js'],
  'tesseract-core-simd-lstm.wasm.js': ['tesseract.js-core', 'tesseract-core-simd-lstm.wasm.js'],
  'tesseract-core-relaxedsimd-lstm.wasm.js': ['tesseract.js-core', 'tesseract-core-relaxedsimd-lstm.wasm.js'],
  'jbig2.wasm': ['pdfjs-dist', 'wasm', 'jbig2.wasm'],
  'openjpeg.wasm': ['pdfjs-dist', 'wasm', 'openjpeg.wasm'],
  'zxing_reader.wasm': ['zxing-wasm', 'dist', 'reader', 'zxing_reader.wasm'],
  'eng.traineddata.gz': ['@tesseract.js-data', 'eng', '4.0.0_best_int', 'eng.traineddata.gz'],
};

/** A file of those readers; null for anything else. */
export async function letterFile(name: string): Promise<Uint8Array<ArrayBuffer> | null> {
  const path = Object.hasOwn(files, name) ? files[name] : undefined;
  return path === undefined
    ? null
    : new Uint8Array(await readFile(join(process.cwd(), 'node_modules', ...path)));
}
