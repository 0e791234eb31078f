/** The link as a process: `main.ts <port>`, with DATABASE_URL; ends with its parent's pipe. */
import { closeDb, db } from '../../database/connection';
import { noRunOn, runsWith } from '../../parameter-sets/write-run';
import { listedDrives } from '../../administration/settings';
import { locksIn } from './locks';
import { linkServer } from './server';

const port = Number(process.argv[2] ?? 0);
const secret = process.env['GRIM_LINK_SECRET'] ?? '';
if (secret === '') throw new Error('GRIM_LINK_SECRET is not set: start the app with ./grim start');
const link = linkServer({
  secret,
  listed: listedDrives,
  locks: locksIn(db().sequelize),
  patience: { timeout_ms: 800, retries: 2, readOut_ms: 30_000 },
  runs: runsWith,
  noRunOn,
});
link.server.once('error', (error) => {
  process.stdout.write(`taken ${error.message}\n`);
  process.exit(1);
});
link.server.listen(port, '127.0.0.1', () => process.stdout.write(`listening ${port}\n`));
const end = async () => {
  // With the database gone the lock goes by itself after some seconds.
  await link.close().catch(() => undefined);
  await closeDb().catch(() => undefined);
  process.exit(0);
};
process.stdin.on('end', () => void end()).resume();
