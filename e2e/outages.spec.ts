/** A database that is away, and a disk that is full, while somebody types. */
import { spawnSync } from 'node:child_process';
import { randomBytes } from 'node:crypto';
import { expect, test } from './test';
import { entry, winch } from './demo';
import { ownCluster, typist } from './outage';
import { kill, spare, startServer } from './spare-server';

const away_s = process.env['GRIM_LONG'] === '1' ? 60 : 4;
const megabyte = 1024 * 1024;
// With write-ahead segments as long as the limit, only what makes a table longer meets the full disk.
const own = ownCluster('outages', 53_000, { walSegment_MB: 1 });
test.beforeAll(own.make);
test.afterAll(own.remove);

/** Lets no file of the database grow past this; null: as long as they want. */
function limitFiles(bytes: number | null): void {
  const sql = "select pg_read_file('postmaster.pid') union all select pid::text from pg_stat_activity";
  const pids = own
    .running()
    .run('psql', ['-Atc', sql, 'grim'])
    .split('\n')
    .filter((line, i) => /^\d+$/.test(line) && (i === 0 || i > 6));
  // Only who runs a process may limit it: as root, the database runs as Debian's user postgres.
  const [program = 'prlimit', ...before] =
    process.getuid?.() === 0 ? ['/sbin/runuser', '-u', 'postgres', '--', 'prlimit'] : ['prlimit'];
  const limited = pids.map(
    (pid) =>
      spawnSync(program, [...before, '--pid', pid, `--fsize=${bytes ?? 'unlimited'}:`], { cwd: '/' }).status,
  );
  // The connection that asked for them is gone by now; the postmaster comes first.
  expect(limited[0]).toBe(0);
}

test(`the database is stopped for ${away_s} s: what is asked meanwhile is there once, in order`, async ({
  page,
}) => {
  test.setTimeout(120_000 + away_s * 1000);
  const server = await startServer(own.url());
  try {
    const { ask, allRecorded } = await typist(page);
    await ask('before it stops');
    own.running().stop();
    const until = Date.now() + away_s * 1000;
    for (let i = 0; Date.now() < until; i += 1) await ask(`while it is away, ${i}`);
    await expect(page.getByText('(not saved yet, sending)').first()).toBeVisible();
    await own.start();
    await ask('after it came back');
    await allRecorded(own.url());
  } finally {
    kill(server);
  }
});

test('the disk is full: it is said, nothing is lost, and all is kept when there is room again', async ({
  page,
  request,
}) => {
  test.setTimeout(120_000);
  const server = await startServer(own.url());
  const send = (count: number, bytes: number) => async () => {
    const notes = Array.from({ length: count }, () =>
      entry(winch, 'note.added', {
        stage: 'decide',
        text: randomBytes(bytes).toString('base64'),
        photos: [],
      }),
    );
    const answer = await request.post(`${spare}/api/v1/jobs/${winch}/entries`, { data: { entries: notes } });
    return answer.status();
  };
  try {
    const { ask, allRecorded } = await typist(page);
    await ask('while there is room');
    limitFiles(megabyte);
    // Much at once until no more pages come, then little until the last page is full.
    await expect.poll(send(50, 900), { timeout: 60_000, intervals: [1] }).toBe(503);
    await expect.poll(send(1, 1), { timeout: 60_000, intervals: [1] }).toBe(503);
    await ask(`with the disk full: ${'whose is this unit? '.repeat(8)}`.trim());
    await expect(page.getByText('(not saved yet, sending)')).toHaveCount(1);
    await expect(page.getByText('Not recorded yet. Internal server error.')).toBeVisible();
    limitFiles(null);
    await ask('with room again');
    await allRecorded(own.url());
  } finally {
    limitFiles(null);
    kill(server);
  }
});
