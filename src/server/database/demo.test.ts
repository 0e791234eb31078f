/** The demo and what depends on it, against the test cluster (DATABASE_URL). */
import sharp from 'sharp';
import { benchLock } from '../../core/logbook';
import { greatestLimits } from '../../core/bench/make-safe';
import { blob, keepPhoto } from '../logbook/blobs';
import { guardedRoute, jsonBody, HttpError } from '../http/guard';
import { catalogue } from '../equipment/catalogue';
import { boardQuerySchema } from '../../api/board';
import { board } from '../logbook/board';
import { jobOrRefusal, loadJob } from '../logbook/folded';
import { knownSources, machines } from '../logbook/machines';
import { isNew, loadDemo } from './maintenance';
import { earlierTests } from '../motor/motor-history';
import { people, personById } from '../people/people';
import { siteLimits } from '../administration/settings';
import * as z from 'zod';
import { limitsSchema } from '../../core/bench/make-safe/schema';
import { ownDatabase } from './__tests__/own-database';

ownDatabase();

/** Jobs of the demo: other tests open theirs in the same cluster, before or after. */
const ofDemo = async () =>
  (await board(boardQuerySchema.parse({}))).jobs.filter(
    (l) => l.jobId.startsWith('0190a200-') && l.drive !== null,
  );
const iceCrusher = '0190a200-0000-7000-8000-000000000003';

beforeAll(async () => {
  await loadDemo();
  await loadDemo();
});

describe('the demo', () => {
  it('is loaded once, however often it is asked for', async () => {
    expect(await isNew()).toBe(false);
    expect((await ofDemo()).map((l) => l.machine).sort()).toEqual([
      'Brine circulation pump',
      'Brine feed pump',
      'Brine feed pump',
      'Ice crusher',
      'Net-drum',
      'Net-drum',
      'North slipway winch',
      'Quay crane slew',
      'Shellfish grading drum',
      'Slipway winch',
      'South slipway winch',
      'Trawl winch',
    ]);
    expect((await machines()).map((m) => m.name)).toContain('Quay crane slew');
    expect((await people()).map((p) => p.role)).toContain('apprentice');
    expect(await personById('0190a000-0000-7000-8000-0000000000ff')).toBeNull();
  });

  it('has no entry that does not count', async () => {
    for (const { jobId } of await ofDemo()) {
      const state = (await jobOrRefusal(jobId)).state;
      expect(state.log.filter((l) => l.void !== null).map((l) => `${l.entry.kind}: ${l.void}`)).toEqual([]);
    }
  });

  it('has a unit whose bank is not empty and whose bench stays locked', async () => {
    const state = (await jobOrRefusal(iceCrusher)).state;
    const ines = state.safety.by;
    if (ines === null) throw new Error('nobody proved it');
    expect(benchLock(state.safety, state.drive, greatestLimits, ines, Date.now())).toMatchObject({
      open: false,
      why: 'above-limit',
    });
    expect(await knownSources(await jobOrRefusal(iceCrusher))).toEqual(
      expect.arrayContaining(['mains', 'load']),
    );
  });

  it('finds the tests of a motor in earlier jobs, by its serial number', async () => {
    const tests = await earlierTests(await jobOrRefusal('0190a200-0000-7000-8000-000000000007'));
    expect(tests).toHaveLength(1);
    expect(tests[0]).toMatchObject({ of: 'motor-and-cable', between: 'earth', test: { winding_C: 18 } });
    expect(await earlierTests(await jobOrRefusal('0190a200-0000-7000-8000-000000000008'))).toEqual([]);
    expect(await loadJob('0190a200-0000-7000-8000-0000000000ff')).toBeNull();
  });

  it('reads the catalogue and the limits', async () => {
    expect(new Set((await catalogue()).map((t) => t.maker))).toEqual(
      new Set(['Dunlin', 'Godwit', 'Knot', 'Whimbrel']),
    );
    expect(await siteLimits()).toEqual(greatestLimits);
    expect(limitsSchema.safeParse({ hands_V: 51, test_V: 5 }).success).toBe(false);
  });
});

describe('photographs', () => {
  it('are turned upright, scaled, and lose all metadata; the same picture is kept once', async () => {
    const raw = await sharp({ create: { width: 2600, height: 1300, channels: 3, background: '#345' } })
      .withExif({ IFD0: { Make: 'phone' }, IFD3: { GPSLatitudeRef: 'N' } })
      .withMetadata({ orientation: 6 })
      .jpeg()
      .toBuffer();
    const address = await keepPhoto(raw);
    expect(await keepPhoto(raw)).toBe(address);
    const kept = await sharp((await blob(address))?.bytes).metadata();
    expect([kept.width, kept.height, kept.exif]).toEqual([1000, 2000, undefined]);
    expect(await blob('0'.repeat(64))).toBeNull();
  });

  it('may weigh twenty megabytes, and are kept small', async () => {
    const [width, height] = [2800, 2500];
    const noise = Buffer.alloc(width * height * 3);
    for (let i = 0, x = 1; i < noise.length; i += 1) {
      x = (x * 1103515245 + 12345) & 0x7fffffff;
      noise[i] = x >> 16;
    }
    const raw = await sharp(noise, { raw: { width, height, channels: 3 } })
      .png({ compressionLevel: 0 })
      .toBuffer();
    expect(raw.length).toBeGreaterThan(20 * 1024 * 1024);
    const kept = await blob(await keepPhoto(raw));
    expect(kept?.bytes.length).toBeLessThan(raw.length / 4);
    expect((await sharp(kept?.bytes).metadata()).width).toBe(2000);
  }, 30_000);

  it('must be pictures', async () => {
    await expect(keepPhoto(Buffer.from('%PDF-1.4'))).rejects.toThrow();
  });
});

describe('the border', () => {
  const call = (headers: Record<string, string>, handler = async () => Response.json({ ok: true })) =>
    guardedRoute(handler)(
      new Request('http://127.0.0.1:3000/x', { headers: { host: '127.0.0.1:3000', ...headers } }),
    );

  it('answers to its own machine and its own pages only', async () => {
    expect((await call({})).status).toBe(200);
    expect((await call({ host: 'localhost:3000', origin: 'http://localhost:3000' })).status).toBe(200);
    expect((await call({ host: 'evil.example' })).status).toBe(403);
    expect((await call({ origin: 'http://evil.example' })).status).toBe(403);
    expect((await call({ origin: 'null' })).status).toBe(403);
  });

  it('says what can be put right, and hides what cannot', async () => {
    const refused = await call({}, async () => {
      throw new HttpError(409, 'kept before');
    });
    expect([refused.status, await refused.json()]).toEqual([409, { error: 'kept before', problems: [] }]);
    const broken = await call({}, async () => {
      throw new Error('password=hunter2');
    });
    expect(broken.status).toBe(503);
    expect(await broken.text()).not.toContain('hunter2');
  });

  it('validates a body once', async () => {
    const body = (text: string) => new Request('http://127.0.0.1/x', { method: 'POST', body: text });
    const schema = z.strictObject({ n: z.number() });
    expect(await jsonBody(body('{"n":1}'), schema, 100)).toEqual({ n: 1 });
    await expect(jsonBody(body('{'), schema, 100)).rejects.toMatchObject({ status: 400 });
    await expect(jsonBody(body('{"n":"x"}'), schema, 100)).rejects.toMatchObject({ status: 422 });
    await expect(jsonBody(body(' '.repeat(101)), schema, 100)).rejects.toMatchObject({ status: 413 });
  });
});
