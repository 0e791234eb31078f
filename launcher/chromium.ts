import { onPath } from './debian';

const shell = 'chromium-headless-shell';

/** Debian's Chromium without a window: its headless shell, or the whole browser where that is what there is. */
export const chromiumPath = (): string =>
  process.env['CHROMIUM'] ?? `/usr/bin/${onPath(shell) ? shell : 'chromium'}`;

/** What `ensureDebian` looks for. */
export const chromiumNeed = { present: () => onPath(shell) || onPath('chromium'), package: shell };
