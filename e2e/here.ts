import { readFileSync, writeFileSync } from 'node:fs';
import * as z from 'zod';

/** Where a worker's own server and simulated devices are; the launcher tells. */
const here = z
  .array(
    z.object({
      port: z.number(),
      /** For a server that a test starts itself, to be killed. */
      sparePort: z.number(),
      meterControl: z.number(),
      rig: z.string(),
      link: z.string(),
      databaseUrl: z.string(),
      clockFile: z.string(),
    }),
  )
  .min(1);

const all = here.parse(JSON.parse(process.env['E2E_SERVERS'] ?? '[]'));

/** This worker's: tests of two workers never meet, neither in a logbook nor at a drive. */
export const own = all[Number(process.env['TEST_PARALLEL_INDEX'] ?? 0) % all.length] ?? all[0]!;
export const home = `http://127.0.0.1:${own.port}`;

const ahead_ms = (): number => Number(readFileSync(own.clockFile, 'utf8'));

/** The time of this worker's server, ms. */
export const serverTime = (): number => Date.now() + ahead_ms();

/** Lets time pass for this worker's server: what must wait a minute waits for its answer only. */
export function letPass(seconds: number): void {
  writeFileSync(own.clockFile, String(ahead_ms() + seconds * 1000));
}
