import { spawnSync } from 'node:child_process';
import { existsSync, mkdirSync, writeFileSync } from 'node:fs';
import { LauncherError, say } from './terminal';

interface Need {
  /** Is it there already? */
  present: () => boolean;
  /** Debian's package that brings it. */
  package: string;
}

export const onPath = (program: string): boolean =>
  (process.env['PATH'] ?? '/usr/bin').split(':').some((dir) => existsSync(`${dir}/${program}`));

/** Installs what is missing with Debian's apt, by sudo where we are not root. */
export function ensureDebian(needs: readonly Need[]): void {
  const missing = needs.filter((need) => !need.present()).map((need) => need.package);
  if (missing.length === 0) return;
  const root = process.getuid?.() === 0;
  const install = `apt-get install -y --no-install-recommends ${missing.join(' ')}`;
  if (!onPath('apt-get'))
    throw new LauncherError(
      `${missing.join(', ')} missing, and this is not a Debian machine: install them by hand.`,
    );
  if (!root && !onPath('sudo'))
    throw new LauncherError(`${missing.join(', ')} missing. As root, run: ${install}`);
  say(`installing ${missing.join(', ')} from Debian`);
  if (root && missing.some((name) => name.startsWith('postgresql'))) keepDebianFromMakingACluster();
  const prefix = root ? [] : ['sudo'];
  const apt = (...args: string[]) => {
    const [command = 'apt-get', ...rest] = [...prefix, 'apt-get', ...args];
    return spawnSync(command, rest, {
      stdio: ['inherit', 'ignore', 'pipe'],
      encoding: 'utf8',
      env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' },
    });
  };
  apt('update', '-qq');
  const done = apt('install', '-y', '-qq', '--no-install-recommends', ...missing);
  if (needs.some((need) => !need.present()))
    throw new LauncherError(
      `could not install ${missing.join(', ')}: ${done.stderr.trim()}. By hand: ${install}`,
    );
}

/** We run a cluster of our own; the package's default one on 5432 would only be in the way. */
function keepDebianFromMakingACluster(): void {
  const dir = '/etc/postgresql-common/createcluster.d';
  mkdirSync(dir, { recursive: true });
  writeFileSync(`${dir}/no-main.conf`, 'create_main_cluster = false\n');
}
