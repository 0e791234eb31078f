import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { jest } from '@jest/globals';
import { workerPool } from '.';

/** A worker that obeys: answer, die, fill its memory, run for ever, fail. */
const worker = `
import { parentPort } from 'node:worker_threads';
parentPort.on('message', ({ job, order }) => {
  if (order === 'die') process.exit(1);
  if (order === 'for ever') for (;;) ;
  if (order === 'memory') { const held = []; for (;;) held.push(new Array(1e6).fill(1.5)); }
  if (order === 'fail') return parentPort.postMessage({ job, fault: 'no' });
  parentPort.postMessage({ job, answer: order });
});
`;
const dir = mkdtempSync(join(tmpdir(), 'grim-pool-'));
const script = join(dir, 'worker.mjs');
writeFileSync(script, worker);
afterAll(() => rmSync(dir, { recursive: true }));

const usual = {
  what: 'test',
  bundle: () => script,
  heap_MB: 64,
  timeOut_ms: 20_000,
  longest: 8,
  longestOfOne: 4,
};
const pool = (differs: Partial<typeof usual> = {}) => workerPool<string, string>({ ...usual, ...differs });

it('answers one after the other', async () => {
  const p = pool();
  const all = await Promise.all(['a', 'b', 'c'].map((x) => p.ask(x, 'Ines')));
  expect(all).toEqual(['a', 'b', 'c']);
  expect(p.load()).toEqual({ running: 0, waiting: 0 });
  p.end();
});

it.each([
  ['die', 503],
  ['memory', 503],
])('what makes the worker end (%s) costs itself only', async (order, status) => {
  const p = pool();
  const [lost, next] = await Promise.allSettled([p.ask(order, 'Ines'), p.ask('after', 'Ines')]);
  expect(lost).toMatchObject({ status: 'rejected', reason: { status } });
  expect(next).toEqual({ status: 'fulfilled', value: 'after' });
  p.end();
});

/** What the thread itself needs to begin and to be heard. */
const clocksOfTheMachine = [
  'Date',
  'hrtime',
  'nextTick',
  'performance',
  'queueMicrotask',
  'setImmediate',
] as const;

it('what runs for ever is stopped, and the next goes on', async () => {
  // Only the clock of the limit is ours: how long a thread takes to begin depends on the machine.
  jest.useFakeTimers({ doNotFake: [...clocksOfTheMachine] });
  const p = pool();
  const both = Promise.allSettled([p.ask('for ever', 'Ines'), p.ask('after', 'Ines')]);
  jest.advanceTimersByTime(usual.timeOut_ms);
  const [stuck, next] = await both;
  jest.useRealTimers();
  expect(stuck).toMatchObject({ reason: { status: 503 } });
  expect(next).toMatchObject({ value: 'after' });
  p.end();
});

it('a fault of its own is reported as one', async () => {
  const p = pool();
  await expect(p.ask('fail', 'Ines')).rejects.toThrow('no');
  p.end();
});

it('goes on after a start that failed', async () => {
  let broken = true;
  const p = pool({
    bundle: () => {
      if (broken) throw new Error('not there');
      return script;
    },
  });
  await expect(p.ask('a', 'Ines')).rejects.toThrow('not there');
  broken = false;
  await expect(p.ask('b', 'Ines')).resolves.toBe('b');
  p.end();
});

it('what cannot be handed to the worker costs itself only', async () => {
  const p = workerPool<unknown, unknown>(usual);
  const [bad, next] = await Promise.allSettled([p.ask({ toString }, 'Ines'), p.ask('after', 'Ines')]);
  expect(bad).toMatchObject({ reason: { name: 'DataCloneError' } });
  expect(next).toMatchObject({ value: 'after' });
  p.end();
});

it('serves people in turn, whoever asked for more', async () => {
  const p = pool();
  const order: string[] = [];
  const ask = (x: string, who: string) => p.ask(x, who).then((y) => order.push(y));
  await Promise.all([
    ask('i1', 'Ines'),
    ask('i2', 'Ines'),
    ask('i3', 'Ines'),
    ask('p1', 'Pip'),
    ask('p2', 'Pip'),
  ]);
  expect(order).toEqual(['i1', 'p1', 'i2', 'p2', 'i3']);
  p.end();
});

it('drops what nobody waits for any more', async () => {
  const p = pool();
  const gone = new AbortController();
  const [first, dropped] = [p.ask('a', 'Ines'), p.ask('b', 'Ines', gone.signal)];
  gone.abort();
  await expect(dropped).rejects.toMatchObject({ status: 503 });
  await expect(first).resolves.toBe('a');
  p.end();
});

it('refuses one who asks for too much, and nobody else', async () => {
  const p = pool();
  const mine = Array.from({ length: 7 }, (_, i) => p.ask(String(i), 'Ines'));
  const other = p.ask('x', 'Pip');
  const settled = await Promise.allSettled(mine);
  expect(settled.filter((s) => s.status === 'fulfilled')).toHaveLength(5);
  await expect(other).resolves.toBe('x');
  p.end();
});
