import { readFileSync } from 'node:fs';

/**
 * The server's time. Every time that a gate depends on comes from here, so that tests can let minutes
 * pass: they name a file with the milliseconds to add in GRIM_CLOCK_FILE, which no ordinary start sets.
 */
export function serverNow(): Date {
  const file = process.env['GRIM_CLOCK_FILE'];
  return new Date(Date.now() + (file === undefined ? 0 : Number(readFileSync(file, 'utf8'))));
}
