import { spawnSync } from 'node:child_process';
import { basename, join } from 'node:path';
import { bin, root } from './paths';
import { LauncherError } from './terminal';

/**
 * Bundles a script and runs it in a process of its own: our commands' own loader keeps every name, which makes hot code
 * twice as slow as what ships.
 * @param source from the project's folder
 * @param input what the script reads
 * @returns what it writes
 */
export function runBundle(source: string, input = ''): string {
  const bundle = join(root, '.cache', basename(source).replace(/\.ts$/, '.mjs'));
  const how = ['--bundle', '--platform=node', '--format=esm', '--log-level=error', `--outfile=${bundle}`];
  const made = spawnSync(bin('esbuild'), [source, ...how], { cwd: root, stdio: 'inherit' });
  if (made.status !== 0) throw new LauncherError(`${source} could not be bundled`);
  const ran = spawnSync(process.execPath, [bundle], {
    cwd: root,
    encoding: 'utf8',
    input,
    maxBuffer: 1 << 28,
  });
  if (ran.status !== 0) throw new LauncherError(`${source}: ${ran.stderr.trim()}`);
  return ran.stdout;
}
