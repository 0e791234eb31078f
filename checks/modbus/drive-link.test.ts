/** The link against the simulated drive, well behaved and not; and the drive against an independent client (mbpoll). */
import { execFile } from 'node:child_process';
import { promisify } from 'node:util';
import { openBus, type Bus } from '@/server/drive-link/process/bus';
import { registerBlocksOf } from '@/server/drive-link/process/blocks';
import { simulateDrive, type DriveStandIn } from '../../stand-ins/drive/drive';
import { orderTo } from '../rig';
import { seeded } from '../random';

const long = process.env['GRIM_LONG'] === '1';
const run = promisify(execFile);
/** Acceleration and deceleration of the type, and an entry that is locked. */
const [rampUp, rampDown, restarts] = [1301, 1302, 1712];

let drive: DriveStandIn;
let bus: Bus;
const order = (body: unknown): Promise<void> => orderTo(drive, body);
const manners = (changes: Record<string, unknown>): Promise<void> => order({ plant: { bus: changes } });
const polite = { delay_ms: 0, drop: 0, garble: 0, busy: 0, silent: false };

beforeAll(async () => {
  drive = await simulateDrive({ random: seeded(long ? Date.now() % 1e9 : 4) });
  bus = openBus(
    { host: '127.0.0.1', port: drive.busPort, unit: 1 },
    { timeout_ms: 250, retries: 2, readOut_ms: 30_000 },
  );
  await order({ wait_s: 3 });
});
afterEach(() => manners(polite));
afterAll(async () => {
  await bus.close();
  await drive.stop();
});

const poll = async (...args: string[]): Promise<string> => {
  const { stdout } = await run('mbpoll', [
    '-m',
    'tcp',
    '-a',
    '1',
    '-p',
    String(drive.busPort),
    '-0',
    '-1',
    ...args,
  ]);
  return stdout;
};

describe('an independent client', () => {
  it('reads live values, inputs and entries, and writes one', async () => {
    expect(await poll('-t', '4', '-r', '5', '-c', '1', '127.0.0.1')).toMatch(/\[5\]:\s+56[0-9]/);
    expect(await poll('-t', '1', '-r', '8', '-c', '2', '127.0.0.1')).toMatch(/\[8\]:\s+1\s+\[9\]:\s+1/);
    expect(await poll('-t', '3', '-r', '11', '-c', '1', '127.0.0.1')).toMatch(/\[11\]:\s+1/);
    await poll('-t', '4', '-r', String(rampUp), '127.0.0.1', '123');
    expect(await poll('-t', '4', '-r', String(rampUp), '-c', '1', '127.0.0.1')).toContain('123');
    await expect(poll('-t', '4', '-r', String(rampUp), '127.0.0.1', '65000')).rejects.toThrow();
  });

  it('and the link see the same', async () => {
    expect(await bus.read([rampUp])).toEqual([[rampUp, 123]]);
    await bus.write(rampUp, 50);
    expect(await poll('-t', '4', '-r', String(rampUp), '-c', '1', '127.0.0.1')).toMatch(/\[1301\]:\s+50/);
  });
});

describe('the link', () => {
  it('asks who is there', async () => {
    expect(await bus.identify()).toEqual({ vendor: 'Whimbrel', product: 'W4', revision: '3.2' });
  });

  it('reads in blocks, around what is not there', async () => {
    expect(registerBlocksOf([7, 5, 6, 6, 20])).toEqual([
      { start: 5, count: 3 },
      { start: 20, count: 1 },
    ]);
    expect(registerBlocksOf(Array.from({ length: 130 }, (_, i) => i)).map((b) => b.count)).toEqual([125, 5]);
    const words = await bus.read([rampUp, rampDown, 1113, 1114, 1115, 1116, 9999]);
    expect(words.map(([register]) => register)).toEqual([1113, 1116, 1301, 1302]);
  });

  it.each<[string, number, number, string]>([
    ['a value out of range', rampUp, 0, 'out-of-range'],
    ['an entry that is locked', restarts, 1, 'locked'],
    ['an entry that is not there', 9999, 1, 'not-there'],
  ])('says why it may not write %s', async (_, register, word, code) => {
    await expect(bus.write(register, word)).rejects.toMatchObject({ code });
  });

  it('says that nothing listens, and that nobody answers', async () => {
    const nobody = openBus(
      { host: '127.0.0.1', port: 9, unit: 1 },
      { timeout_ms: 200, retries: 1, readOut_ms: 30_000 },
    );
    await expect(nobody.read([rampUp])).rejects.toMatchObject({ code: 'refused' });
    await manners({ silent: true });
    await expect(bus.read([rampUp])).rejects.toMatchObject({ code: 'silent' });
    await manners(polite);
    expect(await bus.read([rampUp])).toHaveLength(1);
  });

  it('waits for a slow drive and tries a busy one again', async () => {
    await manners({ delay_ms: 120, busy: 0.3 });
    for (let i = 0; i < 5; i += 1) expect(await bus.read([rampUp])).toHaveLength(1);
  });
});

it('no wrong value and no stuck connection, whatever breaks on the way', async () => {
  const times = long ? 1000 : 120;
  await manners({ drop: 0.25, garble: 0.15 });
  let value = 50;
  const counts = { read: 0, failed: 0, written: 0, unsure: 0 };
  await bus.write(rampUp, value).catch(() => undefined);
  await manners(polite);
  value = (await bus.read([rampUp]))[0]?.[1] ?? 0;
  await manners({ drop: 0.25, garble: 0.15 });
  for (let i = 0; i < times; i += 1) {
    if (i % 3 === 0) {
      const wanted = 10 + (i % 200);
      const outcome = await bus.write(rampUp, wanted).then(
        (is) => ({ is }),
        (error: { code: string }) => error,
      );
      if ('is' in outcome) {
        expect(outcome.is).toBe(wanted);
        value = wanted;
        counts.written += 1;
      } else {
        counts.unsure += 1;
        await manners(polite);
        const is = (await bus.read([rampUp]))[0]?.[1];
        // What it says is true: unchanged is unchanged, and unknown is one of the two.
        expect(outcome.code === 'uncertain' ? [value, wanted] : [value]).toContain(is);
        value = is ?? 0;
        await manners({ drop: 0.25, garble: 0.15 });
      }
    } else {
      const words = await bus.read([rampUp, rampDown]).catch(() => null);
      if (words === null) counts.failed += 1;
      else {
        counts.read += 1;
        expect(words).toEqual([
          [rampUp, value],
          [rampDown, 50],
        ]);
      }
    }
  }
  expect(counts.read).toBeGreaterThan(times / 4);
  expect(counts.written).toBeGreaterThan(times / 10);
  await manners(polite);
  expect(await bus.read([rampUp])).toEqual([[rampUp, value]]);
}, 240_000);
