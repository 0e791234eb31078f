import { spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, readFileSync, readdirSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { inRoot, nextCli, root } from './paths';
import { LauncherError, say } from './terminal';

const sources = ['src', 'public', 'package-lock.json', 'next.config.ts', 'tsconfig.json'];
const mark = inRoot('.next', 'grim-source');

function filesUnder(path: string): string[] {
  if (!existsSync(path)) return [];
  try {
    return readdirSync(path, { withFileTypes: true })
      .flatMap((entry) => filesUnder(join(path, entry.name)))
      .sort();
  } catch {
    return [path];
  }
}

const isTest = (path: string): boolean => /\.test\.tsx?$|__tests__/.test(path);

/** A hash of all that the production build is made from. */
export function sourceHash(): string {
  const hash = createHash('sha256');
  for (const path of sources.flatMap((name) => filesUnder(inRoot(name))))
    if (!isTest(path)) hash.update(path).update(readFileSync(path));
  return hash.digest('hex');
}

/** Builds for production if the source changed since the last build. */
export function ensureBuilt(): void {
  const wanted = sourceHash();
  if (existsSync(mark) && readFileSync(mark, 'utf8') === wanted) return;
  say('building (the source changed since the last build)');
  const built = spawnSync(process.execPath, [nextCli, 'build'], {
    cwd: root,
    encoding: 'utf8',
    env: { ...process.env, NEXT_TELEMETRY_DISABLED: '1', NODE_ENV: 'production' },
  });
  if (built.status !== 0) throw new LauncherError(`the build failed:\n${built.stdout}\n${built.stderr}`);
  writeFileSync(mark, wanted);
}
