/** The link and the simulated drive against pymodbus: as a client, as a good server, and as an ill-mannered one. */
import { openBus, type Bus } from '@/server/drive-link/process/bus';
import { LinkTrouble } from '@/server/drive-link/process/trouble';
import { simulateDrive } from '../../stand-ins/drive/drive';
import { seeded } from '../random';
import { withClient, withServer } from './peers';

const rampUp = 1301;
/** An answer is waited for as long as a loaded machine may take; where none comes, a moment is enough. */
const usual = { timeout_ms: 10_000, retries: 1, readOut_ms: 60_000 };
const brief = { ...usual, timeout_ms: 300 };

const withBus = async <T>(port: number, work: (bus: Bus) => Promise<T>, patience = usual): Promise<T> => {
  const bus = openBus({ host: '127.0.0.1', port, unit: 1 }, patience);
  try {
    return await work(bus);
  } finally {
    await bus.close();
  }
};

it('its client reads, writes and identifies the simulated drive, and gets its exceptions', async () => {
  const drive = await simulateDrive({ random: seeded(4) });
  try {
    await withClient(drive.busPort, async (ask) => {
      expect(await ask('identify')).toEqual({ identity: ['Whimbrel', 'W4', '3.2'] });
      expect(await ask(`write ${rampUp} 123`)).toEqual({ word: 123 });
      expect(await ask(`read ${rampUp} 2`)).toEqual({ words: [123, 50] });
      expect(await ask(`write ${rampUp} 65000`)).toEqual({ exception: 3 });
      expect(await ask('read 9999 1')).toEqual({ exception: 2 });
      await withBus(drive.busPort, async (bus) => {
        expect(await bus.read([rampUp])).toEqual([[rampUp, 123]]);
      });
    });
  } finally {
    await drive.stop();
  }
});

it('the link reads, writes and identifies its server', async () => {
  await withServer('polite', (port) =>
    withBus(port, async (bus) => {
      expect(await bus.identify()).toEqual({ vendor: 'Nobody', product: 'None', revision: '0.1' });
      expect(await bus.read([0, 1, 2, 7, 299])).toEqual([0, 1, 2, 7, 299].map((r) => [r, r]));
      expect(await bus.read(Array.from({ length: 300 }, (_, i) => i))).toHaveLength(300);
      // Around what it does not have.
      expect(await bus.read([298, 299, 300, 301])).toEqual([298, 299].map((r) => [r, r]));
      expect(await bus.write(5, 65_531)).toBe(65_531);
    }),
  );
});

const someRegisters = Array.from({ length: 40 }, (_, i) => i);

it('a block that is too long for it is read in shorter ones', async () => {
  await withServer('few 16', (port) =>
    withBus(port, async (bus) =>
      expect(await bus.read(someRegisters)).toEqual(someRegisters.map((r) => [r, r])),
    ),
  );
});

// Each says what became of a read; none speaks of a parameter that could not be written.
it.each<[manner: string, code: string, words: RegExp]>([
  ['exception 1', 'exception', /cannot be read over the link \(function 3 is missing\)/],
  ['exception 4', 'exception', /failed while reading/],
  ['exception 5', 'busy', /still working on the request/],
  ['exception 6', 'busy', /is busy/],
  ['exception 8', 'exception', /answers with exception 8/],
  ['exception 10', 'silent', /gateway does not reach the drive/],
  ['exception 11', 'silent', /gateway does not reach the drive/],
  ['silent', 'silent', /does not answer/],
  ['stray 40', 'silent', /does not answer/],
  ['short', 'broken', /cut off or unreadable/],
  ['long', 'broken', /cut off or unreadable/],
  ['cut', 'silent', /does not answer/],
  ['other-transaction', 'silent', /does not answer/],
])('%s: a read ends with “%s”', async (manner, code, words) => {
  await withServer(manner, (port) =>
    withBus(
      port,
      async (bus) => {
        const trouble: unknown = await bus.read([3, 4, 5]).catch((error: unknown) => error);
        expect(trouble).toMatchObject({ code, message: expect.stringMatching(words) as string });
        expect(String(trouble)).not.toMatch(/locked|out of range|read only|changed only/);
      },
      /exception|short|long/.test(manner) ? usual : brief,
    ),
  );
});

it.each(['other-unit', 'other-function', 'wrong-count'])(
  '%s: no word of such an answer is taken',
  async (manner) => {
    await withServer(manner, (port) =>
      withBus(
        port,
        async (bus) => {
          const trouble: unknown = await bus.read([3, 4, 5]).catch((error: unknown) => error);
          expect(trouble).toBeInstanceOf(LinkTrouble);
          expect(String(trouble)).toMatch(/does not answer|cut off or unreadable|unexpected length/);
        },
        brief,
      ),
    );
  },
);

it('a read-out that drags on is given up as a whole', async () => {
  const holes = Array.from({ length: 100 }, (_, i) => 2 * i);
  await withServer('late 0.05', (port) =>
    withBus(
      port,
      async (bus) => {
        await expect(bus.read(holes)).rejects.toMatchObject({
          code: 'silent',
          message: expect.stringMatching(/took longer than 1 s and was stopped/) as string,
        });
        // Shorter ones still work: nothing stands in their way.
        expect(await bus.read([4])).toEqual([[4, 4]]);
      },
      { ...usual, readOut_ms: 1000 },
    ),
  );
});

it.each([
  ['exception 3', 'out-of-range', /out of range/],
  ['exception 4', 'locked', /is locked/],
  ['exception 6', 'running', /only when stopped/],
  ['exception 2', 'not-there', /read only/],
])('%s: a write says why it was refused', async (manner, code, words) => {
  await withServer(manner, (port) =>
    withBus(port, (bus) =>
      expect(bus.write(3, 9)).rejects.toMatchObject({
        code,
        message: expect.stringMatching(words) as string,
      }),
    ),
  );
});
