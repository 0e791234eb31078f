import { spawnSync } from 'node:child_process';
import { existsSync, writeFileSync } from 'node:fs';
import { userInfo } from 'node:os';
import { root } from './paths';
import { LauncherError, say } from './terminal';

const unitFile = '/etc/systemd/system/grim-spanner.service';

/**
 * The systemd unit that starts Grim Spanner at boot under a user, and again whatever ends it.
 * @param node folder of the Node that runs now
 */
export const unitText = ({ user, folder, node }: { user: string; folder: string; node: string }): string =>
  `[Unit]
Description=Grim Spanner, drive diagnosis for the workshop
Documentation=file:${folder}/docs/operations.md
After=network.target local-fs.target

[Service]
Type=simple
User=${user}
WorkingDirectory=${folder}
Environment=PATH=${node}:/usr/local/bin:/usr/bin:/bin
Environment=GRIM_LOG=json
Environment=GRIM_SIMULATOR=lead
ExecStart=${folder}/grim start
Restart=always
RestartSec=5
# The database writes out what it holds before it ends.
TimeoutStopSec=90
KillMode=mixed
NoNewPrivileges=${user === 'root' ? 'no' : 'yes'}
PrivateTmp=no
ProtectSystem=${user === 'root' ? 'no' : 'full'}

[Install]
WantedBy=multi-user.target
`;

/** `./grim install-service [--print]`: writes the unit and switches it on, or only shows it. */
export function installService(args: string[]): Promise<number> {
  const user = process.env['SUDO_USER'] ?? userInfo().username;
  const text = unitText({ user, folder: root, node: process.execPath.replace(/\/[^/]+$/, '') });
  if (args.includes('--print')) {
    process.stdout.write(text);
    return Promise.resolve(0);
  }
  if (process.getuid?.() !== 0)
    throw new LauncherError(
      'writing the unit needs root: sudo ./grim install-service (--print only shows it)',
    );
  if (!existsSync('/run/systemd/system'))
    throw new LauncherError(
      'this machine is not run by systemd. ./grim install-service --print shows the unit; start ./grim start by what this machine has.',
    );
  writeFileSync(unitFile, text);
  for (const command of [['daemon-reload'], ['enable', '--now', 'grim-spanner.service']]) {
    const { status, stderr } = spawnSync('systemctl', command, { encoding: 'utf8' });
    if (status !== 0) throw new LauncherError(`systemctl ${command.join(' ')}: ${stderr.trim()}`);
  }
  say(`${unitFile} is written and started; journalctl -u grim-spanner shows its log`);
  return Promise.resolve(0);
}
