import { spawnSync } from 'node:child_process';
import { root } from './paths';

/** `./grim sbom`: a CycloneDX bill of materials on standard output; npm makes it from the lock file, what only develops is marked so. */
export function printSbom(): Promise<number> {
  const { status } = spawnSync(
    'npm',
    ['sbom', '--sbom-format=cyclonedx', '--sbom-type=application', '--package-lock-only'],
    { cwd: root, stdio: ['ignore', 'inherit', 'inherit'] },
  );
  return Promise.resolve(status ?? 1);
}
