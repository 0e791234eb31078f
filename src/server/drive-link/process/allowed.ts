import { isIP } from 'node:net';
import type { Target } from './bus';
import { LinkTrouble } from './trouble';

/** `host:port`, or `host:port/unit`; the unit is 1 unless told. */
export function readTarget(text: string): Target | null {
  const match = /^([\w.-]+|\[[0-9a-f:]+\]):(\d{1,5})(?:\/(\d{1,3}))?$/i.exec(text.trim());
  const [, host = '', port = '', unit = '1'] = match ?? [];
  const target = { host: host.replace(/^\[|\]$/g, ''), port: Number(port), unit: Number(unit) };
  return match !== null && target.port >= 1 && target.port <= 65_535 && target.unit <= 247 ? target : null;
}

const isLoopback = (host: string): boolean =>
  host === 'localhost' || host === '::1' || (isIP(host) === 4 && host.startsWith('127.'));

/**
 * A target that may be talked to: on this machine, or on the administrator's list.
 * @throws LinkTrouble
 */
export function allowed(text: string, listed: readonly string[]): Target {
  const target = readTarget(text);
  if (target === null)
    throw new LinkTrouble(
      'not-allowed',
      `“${text.slice(0, 60)}” is no address: write host:port, e.g. 192.168.0.20:502.`,
    );
  if (!isLoopback(target.host) && !listed.includes(text.trim()))
    throw new LinkTrouble(
      'not-allowed',
      `${text} is not on the list of drives: the shop lead adds it in the settings.`,
    );
  return target;
}
