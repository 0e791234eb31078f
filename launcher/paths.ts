import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';

export const root = dirname(dirname(fileURLToPath(import.meta.url)));
export const inRoot = (...parts: string[]): string => join(root, ...parts);
export const bin = (name: string): string => inRoot('node_modules', '.bin', name);
export const nextCli = inRoot('node_modules', 'next', 'dist', 'bin', 'next');
