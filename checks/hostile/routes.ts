/** The routes that there are, from the files that make them: a new one is found by itself. */
import { readFileSync, readdirSync } from 'node:fs';
import { join } from 'node:path';
import { contract, type Route } from '@/api/contract';

const root = join(import.meta.dirname, '../..');
const methods = ['GET', 'POST', 'PUT', 'PATCH', 'DELETE'] as const;

export interface FoundRoute {
  method: (typeof methods)[number];
  /** With `[name]` where a part varies. */
  path: string;
  /** What the contract says of it; undefined: it takes no JSON. */
  says: Route | undefined;
}

/** Bodies that are no JSON of the contract. */
export const filesTaken = ['POST /api/v1/blobs', 'POST /api/v1/archives', 'POST /api/v1/calc/[verb]'];

const asKey = (method: string, path: string): string => `${method} ${path.replaceAll(/\[(\w+)\]/g, ':$1')}`;

/** Every route handler on disk. */
export function routes(): FoundRoute[] {
  const said: Readonly<Record<string, Route>> = contract;
  return readdirSync(join(root, 'src/app/api'), { recursive: true, encoding: 'utf8' })
    .filter((file) => file.endsWith('route.ts'))
    .sort()
    .flatMap((file) => {
      const path = `/api/${file.replace(/\/route\.ts$/, '')}`;
      const text = readFileSync(join(root, 'src/app/api', file), 'utf8');
      return methods
        .filter((method) => text.includes(`export const ${method} `))
        .map((method) => ({ method, path, says: said[asKey(method, path)] }));
    });
}
