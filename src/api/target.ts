import * as z from 'zod';

/** An address on a bus: host, port and unit. */
export interface Target {
  host: string;
  port: number;
  unit: number;
}

/** `host:port`, or `host:port/unit`; the unit is 1 unless told. */
export function readTarget(text: string): Target | null {
  const match = /^([\w.-]+|\[[0-9a-f:]+\]):(\d{1,5})(?:\/(\d{1,3}))?$/i.exec(text.trim());
  const [, host = '', port = '', unit = '1'] = match ?? [];
  const target = { host: host.replace(/^\[|\]$/g, ''), port: Number(port), unit: Number(unit) };
  return match !== null && target.port >= 1 && target.port <= 65_535 && target.unit <= 247 ? target : null;
}

/** A host as a browser would write it: one machine has many spellings, `127.1` and `LOCALHOST` among them. */
function canonicalHost(host: string): string {
  const url = `http://${host.includes(':') ? `[${host}]` : host}`;
  const { hostname } = URL.canParse(url) ? new URL(url) : { hostname: host.toLowerCase() };
  const plain = hostname.replace(/\.$/, '');
  return plain === 'localhost' || plain === '[::1]' ? '127.0.0.1' : plain;
}

/** A target in the one way to write it, so that two names of a drive are one; null: it is no target. */
export function canonicalTarget(text: string): string | null {
  const target = readTarget(text);
  if (target === null) return null;
  return `${canonicalHost(target.host)}:${target.port}${target.unit === 1 ? '' : `/${target.unit}`}`;
}

const how = 'use host:port, e.g. 192.168.0.20:502';

/** An address of a drive, in the one way to write it. */
export const targetSchema = z
  .string()
  .trim()
  .max(100)
  .transform((text, context) => {
    const target = canonicalTarget(text);
    if (target !== null) return target;
    context.addIssue({ code: 'custom', message: how });
    return z.NEVER;
  });

/** Addresses that the link may talk to beside this machine. */
export const drivesSchema = z
  .array(targetSchema)
  .max(200)
  .transform((targets) => [...new Set(targets)]);
