import { existsSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { spawnSync } from 'node:child_process';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { unitText } from './install-service';

const text = unitText({ user: 'shop', folder: '/srv/grim', node: '/opt/node/bin' });

it('starts at boot and again whatever ends it', () => {
  expect(text).toMatch(/^ExecStart=\/srv\/grim\/grim start$/m);
  expect(text).toMatch(/^User=shop$/m);
  expect(text).toMatch(/^Restart=always$/m);
  expect(text).toMatch(/^WantedBy=multi-user\.target$/m);
});

// systemd's own checker, where the machine has it.
const checker = '/usr/bin/systemd-analyze';
(existsSync(checker) ? it : it.skip)('is a unit by systemd’s own checker', () => {
  const dir = mkdtempSync(join(tmpdir(), 'grim-unit-'));
  const file = join(dir, 'grim-spanner.service');
  writeFileSync(file, unitText({ user: 'root', folder: process.cwd(), node: '/usr/bin' }));
  const checked = spawnSync(checker, ['verify', '--man=no', file], { encoding: 'utf8' });
  rmSync(dir, { recursive: true });
  expect(checked.stderr).not.toMatch(/grim-spanner\.service/);
});
