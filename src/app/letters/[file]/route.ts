import { extname } from 'node:path';
import { letterFile } from '@/server/equipment/letter-files';

const types: Readonly<Record<string, string>> = {
  '.js': 'text/javascript; charset=utf-8',
  '.wasm': 'application/wasm',
};

export const dynamic = 'force-dynamic';

/** Parts of the reader of letters, which only its worker loads; that worker alone may compile WebAssembly. */
export async function GET(_request: Request, { params }: { params: Promise<{ file: string }> }) {
  const { file } = await params;
  const bytes = await letterFile(file);
  if (bytes === null) return new Response('Not here.', { status: 404 });
  return new Response(bytes, {
    headers: {
      'content-type': types[extname(file)] ?? 'application/gzip',
      'cache-control': 'private, max-age=86400',
      'content-security-policy':
        "default-src 'none'; script-src 'self' 'wasm-unsafe-eval'; connect-src 'self' data:",
    },
  });
}
