import { lookup } from 'node:dns/promises';
import { isIP } from 'node:net';
import { canonicalTarget, readTarget, type Target } from '../../../api/target';
import { LinkTrouble } from './trouble';

const isLoopback = (host: string): boolean => isIP(host) === 4 && host.startsWith('127.');

/**
 * A target that may be talked to: on this machine, or on the administrator's list.
 * @throws LinkTrouble
 */
export function allowed(text: string, listed: readonly string[]): Target {
  const canonical = canonicalTarget(text);
  const target = canonical === null ? null : readTarget(canonical);
  if (canonical === null || target === null)
    throw new LinkTrouble(
      'not-allowed',
      `“${text.slice(0, 60)}” is not an address: use host:port, e.g. 192.168.0.20:502.`,
    );
  if (!isLoopback(target.host) && !listed.includes(canonical))
    throw new LinkTrouble(
      'not-allowed',
      `${text} is not on the list of drives: the shop lead adds it in Administration.`,
    );
  return target;
}

/** Which unit a target is, whatever name it goes by: its address, port and unit. */
export async function unitKey({ host, port, unit }: Target): Promise<string> {
  const address = await lookup(host).then(
    (found) => found.address,
    () => host,
  );
  return `${address}:${port}/${unit}`;
}

/** The connection that a unit is on: one program at a time talks there. */
export const connectionOf = (unit: string): string => unit.replace(/\/\d+$/, '');
