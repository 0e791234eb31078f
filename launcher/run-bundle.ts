import { spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readFileSync, renameSync, rmSync } from 'node:fs';
import { basename } from 'node:path';
import { bin, inRoot, root } from './paths';
import { LauncherError } from './terminal';

/**
 * Bundles a script of ours. The file is named after what is in it: one that runs is never changed.
 * @param source from the project's folder
 * @param packagesOutside npm packages are not bundled but found when it runs
 * @returns the bundle's path
 */
export function bundled(source: string, { packagesOutside = false } = {}): string {
  mkdirSync(inRoot('.cache'), { recursive: true });
  const made = inRoot('.cache', `${basename(source, '.ts')}-${process.pid}.part.mjs`);
  const how = ['--bundle', '--platform=node', '--format=esm', '--log-level=error', `--outfile=${made}`];
  const { status } = spawnSync(
    bin('esbuild'),
    [source, ...how, ...(packagesOutside ? ['--packages=external'] : [])],
    { cwd: root, stdio: 'inherit' },
  );
  if (status !== 0) throw new LauncherError(`${source} could not be bundled`);
  const hash = createHash('sha256').update(readFileSync(made)).digest('hex').slice(0, 16);
  const bundle = inRoot('.cache', `${basename(source, '.ts')}-${hash}.mjs`);
  if (existsSync(bundle)) rmSync(made);
  else renameSync(made, bundle);
  return bundle;
}

/**
 * Bundles a script and runs it in a process of its own: our commands' own loader keeps every name, which makes hot code
 * twice as slow as what ships.
 * @param input what the script reads
 * @returns what it writes
 */
export function runBundle(source: string, input = ''): string {
  const ran = spawnSync(process.execPath, [bundled(source)], {
    cwd: root,
    encoding: 'utf8',
    input,
    maxBuffer: 1 << 28,
  });
  if (ran.status !== 0) throw new LauncherError(`${source}: ${ran.stderr.trim()}`);
  return ran.stdout;
}
