import { readFileSync } from 'node:fs';
import * as z from 'zod';
import { inRoot } from './paths';
import { bundled } from './run-bundle';

const packageSchema = z.object({ version: z.string() });

/** What the server runs besides Next's own build. */
export interface ServerBundles {
  /** Our door, which listens: run with a port. */
  front: string;
  /** Pages and routes behind it. */
  pages: string;
  /** What runs in the server's worker threads. */
  thread: string;
}

export const threadBundle = (): string =>
  bundled('src/server/thread/main.ts', { packagesOutside: true, name: 'thread' });

/** Bundles the server's own scripts; the same sources give the same files. */
export const serverBundles = (): ServerBundles => ({
  front: bundled('src/server/front/main.ts', { packagesOutside: true, name: 'front' }),
  pages: bundled('src/server/front/pages.ts', { packagesOutside: true, name: 'pages' }),
  thread: threadBundle(),
});

/** What the server must know of them. */
export const envOf = ({ thread, pages }: ServerBundles): Record<string, string> => ({
  GRIM_THREAD_BUNDLE: thread,
  GRIM_PAGES_BUNDLE: pages,
  GRIM_VERSION: packageSchema.parse(JSON.parse(readFileSync(inRoot('package.json'), 'utf8'))).version,
});
