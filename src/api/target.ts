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

/** Addresses that the link may talk to beside this machine. */
export const drivesSchema = z
  .array(
    z
      .string()
      .trim()
      .max(100)
      .refine((text) => readTarget(text) !== null, 'write host:port, e.g. 192.168.0.20:502'),
  )
  .max(200);
