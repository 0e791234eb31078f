/** A cluster of this test's own: made, killed hard, recovered, and left as found. */
import { execFileSync } from 'node:child_process';
import { setTimeout as sleep } from 'node:timers/promises';
import { ensureDatabase, removeCluster, startCluster } from './cluster';
import { keepRunning } from './supervise';

const name = 'crash-test';

afterAll(() => removeCluster(name));

it('recovers a cluster that a crash left behind, with what was kept', async () => {
  removeCluster(name);
  const first = await startCluster(name);
  expect(first.startedHere).toBe(true);
  ensureDatabase(first, 'kept');
  first.run('psql', ['-qc', 'create table t (n int); insert into t values (7)', 'kept']);

  const second = await startCluster(name);
  expect(second.startedHere).toBe(false);
  expect(second.appUrl('kept')).toBe(first.appUrl('kept'));

  const postmaster = execFileSync('pgrep', ['-f', `${name}/pg`], { encoding: 'utf8' }).split('\n')[0] ?? '';
  process.kill(Number(postmaster), 'SIGKILL');
  await sleep(300);
  const third = await startCluster(name);
  expect(third.startedHere).toBe(true);
  expect(third.run('psql', ['-Atc', 'select n from t', 'kept']).trim()).toBe('7');
  third.stop();
}, 60_000);

it('is kept running: killed, it comes back by itself where it was, with what was recorded', async () => {
  removeCluster(name);
  const first = await startCluster(name);
  ensureDatabase(first, 'kept');
  first.run('psql', ['-qc', 'create table t (n int); insert into t values (8)', 'kept']);
  const again = async () => (await startCluster(name, { port: first.port })).watch();
  let changes: (() => void)[] = [];
  const changed = () => changes.splice(0).forEach((go) => go());
  const supervised = keepRunning('database', first.watch(), again, { changed });
  const became = async (state: 'running' | 'restarting') => {
    while (supervised.state().state !== state) await new Promise<void>((go) => (changes = [...changes, go]));
  };
  first.kill();
  await became('restarting');
  await became('running');
  expect(first.run('psql', ['-Atc', 'select n from t', 'kept']).trim()).toBe('8');
  expect(supervised.state()).toMatchObject({ deaths: 1, why: null });
  await supervised.stop();
  first.stop();
}, 60_000);
