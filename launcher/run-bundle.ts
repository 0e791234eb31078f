import { spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readFileSync, renameSync, rmSync, utimesSync } from 'node:fs';
import { basename } from 'node:path';
import { bin, inRoot, root } from './paths';
import { LauncherError } from './terminal';

/**
 * Bundles a script of ours. The file is named after what is in it: one that runs is never changed.
 * @param source from the project's folder
 * @param packagesOutside npm packages are not bundled but found when it runs
 * @param name of the bundle, where the file's own says too little
 * @returns the bundle's path
 */
export function bundled(
  source: string,
  { packagesOutside = false, name = basename(source, '.ts') } = {},
): string {
  mkdirSync(inRoot('.cache'), { recursive: true });
  const made = inRoot('.cache', `${name}-${process.pid}.part.mjs`);
  const how = ['--bundle', '--platform=node', '--format=esm', '--log-level=error', `--outfile=${made}`];
  const { status } = spawnSync(
    bin('esbuild'),
    [source, ...how, ...(packagesOutside ? ['--packages=external'] : [])],
    { cwd: root, stdio: 'inherit' },
  );
  if (status !== 0) throw new LauncherError(`${source} could not be bundled`);
  const hash = createHash('sha256').update(readFileSync(made)).digest('hex').slice(0, 16);
  const bundle = inRoot('.cache', `${name}-${hash}.mjs`);
  if (existsSync(bundle)) rmSync(made);
  else renameSync(made, bundle);
  return bundle;
}

const hour_ms = 3_600_000;

/** Marks bundles as in use while a server runs: what nobody used for a week is cleaned away. @returns ends it */
export function keepInUse(bundles: readonly string[]): () => void {
  const touch = () => {
    const now = new Date();
    for (const bundle of bundles) if (existsSync(bundle)) utimesSync(bundle, now, now);
  };
  touch();
  const timer = setInterval(touch, hour_ms);
  timer.unref();
  return () => clearInterval(timer);
}

/**
 * Bundles a script and runs it in a process of its own: our commands' own loader keeps every name, which makes hot code
 * twice as slow as what ships.
 * @param input what the script reads; `packagesOutside` for what cannot be bundled
 * @returns what it writes
 */
export function runBundle(source: string, { input = '', packagesOutside = false } = {}): string {
  const ran = spawnSync(process.execPath, [bundled(source, { packagesOutside })], {
    cwd: root,
    encoding: 'utf8',
    input,
    maxBuffer: 1 << 28,
  });
  if (ran.status !== 0) throw new LauncherError(`${source}: ${ran.stderr.trim()}`);
  return ran.stdout;
}
