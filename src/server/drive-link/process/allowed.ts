import { isIP } from 'node:net';
import { readTarget, type Target } from '../../../api/target';
import { LinkTrouble } from './trouble';

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
