/** What the store of a job promises: nothing that was recorded is lost, nothing is doubled, everybody ends with the server's log. */
import { mostEntries, nextBatch, backOff_ms } from './send-plan';
import { nextId } from './browser-ports';
import {
  chance,
  jobId,
  modelDevice,
  modelServer,
  modelTime,
  openTab,
  person,
  settle,
  strangersNote,
  type Luck,
  type ModelTab,
  type Mood,
} from './__tests__/model';
import type { Entry } from '@/core/logbook';

const note = (text: string) => ({ stage: 'take', text, photos: [] });
const texts = (entries: readonly Entry[]) =>
  entries.map((e) => (e.kind === 'note.added' ? e.payload.text : e.kind));

/** One device with one tab, unless told otherwise; everything works. */
function shop(mood: Mood = () => null, luck: () => Luck = () => 'fine') {
  const time = modelTime();
  const server = modelServer(time);
  const device = modelDevice();
  const now = { mood, luck };
  const open = (by = person(1), on = device) =>
    openTab(on, server, time, by, { luck: () => now.luck(), mood: (e, p) => now.mood(e, p) });
  return { time, server, device, open, now };
}
const down: Mood = () => ({ status: 503, why: 'no', retryAfter_s: null });
const shown = (tab: ModelTab) => texts(tab.entries.snapshot().state.log.map((l) => l.entry));

describe('an entry', () => {
  it('is on the device before it counts as stored, and leaves it when the server has it', async () => {
    const { server, device, open, time } = shop();
    const tab = open();
    await settle();
    const id = tab.entries.record('note.added', note('a'));
    expect(tab.entries.snapshot().unstored.has(id)).toBe(true);
    expect(shown(tab)).toEqual(['a']);
    await settle();
    await time.pass(0);
    expect(texts(server.log)).toEqual(['a']);
    expect(device.records).toEqual([]);
    expect(tab.entries.snapshot()).toMatchObject({ unsent: new Set(), unstored: new Set() });
  });

  it('survives a reload, an hour of errors and two hundred others, in order', async () => {
    const { server, open, time, now } = shop(down);
    const first = open();
    for (let i = 0; i < 230; i += 1) first.entries.record('note.added', note(`n${i}`));
    await settle();
    first.end();
    const second = open();
    await settle();
    expect(second.entries.snapshot().unsent.size).toBe(230);
    await time.pass(3_600_000);
    expect(second.entries.snapshot().sending.state).toBe('no-server');
    now.mood = () => null;
    await time.pass(61_000);
    expect(texts(server.log)).toEqual(Array.from({ length: 230 }, (_, i) => `n${i}`));
    expect(second.entries.snapshot().sending).toEqual({ state: 'ok', why: null, nextTry: null });
  });

  it('that is bad costs only itself: it stands with its reason until somebody sees to it, over reloads', async () => {
    const { server, open, time, now } = shop(down);
    const first = open();
    const ids = Array.from({ length: 21 }, (_, i) => first.entries.record('note.added', note(`n${i}`)));
    server.refusedFor.set(ids[7] ?? '', 'no good');
    now.mood = () => null;
    await time.pass(61_000);
    expect(server.log).toHaveLength(20);
    first.end();
    const second = open();
    await settle();
    const { refused } = second.entries.snapshot();
    expect(refused.map((r) => [r.entry.id, r.refused?.why])).toEqual([[ids[7], 'no good']]);
    second.entries.repeat(ids[7] ?? '', note('n7, better'));
    await time.pass(1000);
    expect(texts(server.log).at(-1)).toBe('n7, better');
    expect(second.entries.snapshot().refused).toEqual([]);
  });

  it('that is discarded is gone in every tab', async () => {
    const { server, device, open, time } = shop(down);
    const [one, two] = [open(), open()];
    const id = one.entries.record('note.added', note('x'));
    server.refusedFor.set(id, 'no');
    const { now } = { now: time };
    await now.pass(0);
    expect(two.entries.snapshot().unsent.has(id)).toBe(true);
    one.end();
    device.records[0] = { entry: device.records[0]!.entry, refused: { why: 'no', problems: [] } };
    const three = open();
    await settle();
    three.entries.discard(id);
    await settle();
    expect(device.records).toEqual([]);
    expect(two.entries.snapshot().unsent.size).toBe(0);
  });

  it.each([401, 403])(
    'of a person whom the server does not take (%d) waits; those of others go',
    async (status) => {
      const { server, open, time, now } = shop(down);
      const one = open(person(1));
      one.entries.record('note.added', note('mine'));
      await settle();
      one.end();
      const two = open(person(2));
      two.entries.record('note.added', note('yours'));
      now.mood = (_, by) =>
        by === person(1).id ? { status, why: 'sign in again', retryAfter_s: null } : null;
      await time.pass(61_000);
      expect(texts(server.log)).toEqual(['yours']);
      expect(two.entries.snapshot().sending).toMatchObject({ state: 'held', why: 'sign in again' });
      expect(two.entries.snapshot().unsent.size).toBe(1);
      now.mood = () => null;
      await time.pass(61_000);
      expect(server.log.map((e) => e.by.id)).toEqual([person(2).id, person(1).id]);
    },
  );

  it.each([404, 409])('of a job that the server does not have (%d) waits', async (status) => {
    const { server, open, time, now } = shop(() => ({ status, why: 'no such job', retryAfter_s: null }));
    const tab = open();
    tab.entries.record('note.added', note('a'));
    await time.pass(120_000);
    expect(tab.entries.snapshot()).toMatchObject({ refused: [], sending: { state: 'held' } });
    now.mood = () => null;
    await time.pass(61_000);
    expect(server.log).toHaveLength(1);
  });

  it('that is too heavy is found out and refused; the others of its post go', async () => {
    const heavy: Mood = (entries) =>
      entries.some((e) => texts([e])[0] === 'heavy')
        ? { status: 413, why: 'too much', retryAfter_s: null }
        : null;
    const { server, open, time } = shop(heavy);
    const tab = open();
    for (const text of ['a', 'b', 'heavy', 'c', 'd']) tab.entries.record('note.added', note(text));
    await time.pass(1000);
    expect(texts(server.log)).toEqual(['a', 'b', 'c', 'd']);
    expect(tab.entries.snapshot().refused.map((r) => r.refused?.why)).toEqual(['too much']);
  });

  it('waits as long as the server asks', async () => {
    const { server, open, time, now } = shop(() => ({ status: 429, why: 'slow down', retryAfter_s: 300 }));
    const tab = open();
    tab.entries.record('note.added', note('a'));
    await time.pass(10);
    now.mood = () => null;
    await time.pass(299_000);
    expect(server.log).toHaveLength(0);
    await time.pass(2000);
    expect(server.log).toHaveLength(1);
  });

  it('goes to the server even where the device cannot store it, and the page says so meanwhile', async () => {
    const { server, device, open, time, now } = shop(down);
    device.trouble.full = true;
    const tab = open();
    tab.entries.record('note.added', note('a'));
    await time.pass(100);
    expect(tab.entries.snapshot().unstored.size).toBe(1);
    device.trouble.missing = true;
    now.mood = () => null;
    await time.pass(61_000);
    expect(texts(server.log)).toEqual(['a']);
    expect(tab.entries.snapshot().unstored.size).toBe(0);
  });

  it('whose answer makes no sense is sent again, and is there once', async () => {
    let once = 0;
    const { server, open, time } = shop(() => ((once += 1) < 3 ? 'garbage' : null));
    const tab = open();
    tab.entries.record('note.added', note('a'));
    await time.pass(61_000);
    expect(texts(server.log)).toEqual(['a']);
  });
});

describe('entries of others', () => {
  it('between one’s own are never missed', async () => {
    const { server, open, time } = shop();
    const tab = open();
    await settle();
    server.stream(false);
    server.append([strangersNote('source is back')], person(9));
    tab.entries.record('note.added', note('mine'));
    await time.pass(100);
    expect(shown(tab)).toEqual(['source is back', 'mine']);
  });

  it('come by the stream at once, and by asking where there is none', async () => {
    const { server, open, time } = shop();
    const tab = open();
    await settle();
    server.append([strangersNote('a')], person(9));
    await settle();
    expect(shown(tab)).toEqual(['a']);
    server.stream(false);
    server.append([strangersNote('b')], person(9));
    await time.pass(9000);
    expect(shown(tab)).toEqual(['a']);
    await time.pass(2000);
    expect(shown(tab)).toEqual(['a', 'b']);
    server.append([strangersNote('c')], person(9));
    server.stream(true);
    await settle();
    expect(shown(tab)).toEqual(['a', 'b', 'c']);
  });
});

describe('what goes in one post', () => {
  const entry = (text: string, by = 1) => ({ ...strangersNote(text), by: person(by) });
  it('is at most 100 entries of one person and 256 kB', () => {
    const many = Array.from({ length: 150 }, (_, i) => entry(String(i)));
    expect(nextBatch(many, new Set(), mostEntries)).toHaveLength(100);
    expect(nextBatch([entry('a'), entry('b', 2)], new Set(), mostEntries)).toHaveLength(1);
    expect(
      nextBatch(
        Array.from({ length: 8 }, () => entry('x'.repeat(60_000))),
        new Set(),
        100,
      ),
    ).toHaveLength(4);
    expect(nextBatch([entry('x'.repeat(300_000))], new Set(), 100)).toHaveLength(1);
    expect(texts(nextBatch([entry('a'), entry('b', 2)], new Set([person(1).id]), 100))).toEqual(['b']);
  });
  it('is tried again after a time that doubles up to a minute, never at the same moment on all tablets', () => {
    expect([1, 2, 3, 20].map((n) => backOff_ms(n, 1, null))).toEqual([1000, 2000, 4000, 60_000]);
    expect(backOff_ms(20, 0, null)).toBe(30_000);
    expect(backOff_ms(1, 0.5, 90)).toBe(90_000);
  });
  it('keeps its order when the clock of the device is put back', () => {
    const ahead = 'ffffffff-0000-7000-8000-000000000000';
    expect(nextId(ahead) > ahead).toBe(true);
  });
});

const runs = process.env['GRIM_LONG'] ? 50_000 : 2000;

/** One run: two devices, up to four tabs, people who change, and everything that can go wrong. */
async function live(seed: number): Promise<void> {
  const dice = chance(seed);
  const time = modelTime();
  const server = modelServer(time);
  const devices = [modelDevice(), modelDevice()];
  const recorded = new Set<string>();
  const discarded = new Set<string>();
  const trouble = { share: 0.35, on: true };
  const luck = (): Luck =>
    !trouble.on || !dice.is(trouble.share) ? 'fine' : dice.is(0.5) ? 'lost' : 'answer-lost';
  const mood: Mood = () => {
    if (!trouble.on || !dice.is(0.3)) return null;
    const status = [400, 401, 403, 404, 409, 413, 429, 500, 503][dice.below(9)] ?? 500;
    return dice.is(0.1)
      ? 'garbage'
      : { status, why: `status ${status}`, retryAfter_s: status === 429 ? 5 : null };
  };
  let clock = 0;
  const tabs: (ModelTab & { device: number })[] = [];
  const open = (device: number) => {
    const on = devices[device];
    if (on === undefined) return;
    const tab = openTab(on, server, time, person(1 + dice.below(3)), { luck, mood, clockError: () => clock });
    tabs.push({ ...tab, device });
  };
  open(0);
  open(1);
  for (let step = 0; step < 30; step += 1) {
    const tab = tabs[dice.below(tabs.length)];
    const what = dice.below(12);
    if (tab === undefined) open(dice.below(2));
    else if (what < 5) {
      const id = tab.entries.record('note.added', note(`${seed} ${step}`));
      recorded.add(id);
      if (dice.is(0.1)) server.refusedFor.set(id, 'never');
      // Shown as stored only once it is on the device: a tab that dies before may lose it, and said so.
      await settle();
    } else if (what === 5) {
      tab.end();
      tabs.splice(tabs.indexOf(tab), 1);
      open(tab.device);
    } else if (what === 6 && tabs.length < 4) open(dice.below(2));
    else if (what === 7) clock = (dice.below(3) - 1) * 10 * 365 * 86_400_000;
    else if (what === 8) server.append([strangersNote(`other ${step}`)], person(9));
    else if (what === 9) server.stream(dice.is(0.5));
    else if (what === 10) {
      const one = tab.entries.snapshot().refused[0];
      if (one !== undefined && dice.is(0.5)) {
        discarded.add(one.entry.id);
        tab.entries.discard(one.entry.id);
        await settle();
      }
    } else await time.pass(dice.below(20_000));
  }
  trouble.on = false;
  server.stream(true);
  await time.pass(400_000);
  await settle();

  const there = server.log.map((e) => e.id);
  expect(new Set(there).size).toBe(there.length);
  const refused = new Set(
    devices.flatMap((d) => d.records.filter((r) => r.refused !== null).map((r) => r.entry.id)),
  );
  for (const id of recorded) {
    const places = [there.includes(id), refused.has(id), discarded.has(id)].filter(Boolean).length;
    if (places !== 1) throw new Error(`run ${seed}: ${id} is in ${places} places`);
  }
  expect(devices.flatMap((d) => d.records.filter((r) => r.refused === null))).toEqual([]);
  const state = server.state();
  for (const tab of tabs) {
    const { state: own, unsent } = tab.entries.snapshot();
    expect(unsent.size).toBe(0);
    expect(own.log.map((l) => l.entry.id)).toEqual(there);
    expect(own).toEqual(state);
  }
  tabs.forEach((tab) => tab.end());
}

it(`in ${runs} random lives each recorded entry ends on the server once or among the refused, and all devices agree`, async () => {
  for (let seed = 1; seed <= runs; seed += 1) await live(seed);
  expect(jobId).toBeTruthy();
}, 3_600_000);

describe('a server that was restored from a backup', () => {
  it('is followed from the beginning: what it lost is not shown, what waits is sent, and it is said', async () => {
    const { server, open, time } = shop();
    const [mine, other] = [open(person(1)), open(person(2))];
    for (const text of ['a', 'b', 'c', 'd']) mine.entries.record('note.added', note(text));
    await time.pass(1000);
    expect(other.entries.snapshot().state.log).toHaveLength(4);
    server.restore(2);
    mine.entries.record('note.added', note('e'));
    await time.pass(61_000);
    expect(texts(server.log)).toEqual(['a', 'b', 'e']);
    for (const { entries } of [mine, other]) {
      const { state, unsent, startedOver } = entries.snapshot();
      expect(texts(state.log.map((line) => line.entry))).toEqual(['a', 'b', 'e']);
      expect([unsent.size, startedOver]).toEqual([0, true]);
    }
  });

  it('is noticed also where it has got longer again meanwhile', async () => {
    const { server, open, time } = shop();
    const away = open(person(1));
    for (const text of ['a', 'b', 'c']) away.entries.record('note.added', note(text));
    await time.pass(1000);
    server.stream(false);
    server.restore(1);
    const other = open(person(2));
    for (const text of ['x', 'y', 'z', 'w']) other.entries.record('note.added', note(text));
    await time.pass(61_000);
    server.stream(true);
    await time.pass(1000);
    expect(texts(away.entries.snapshot().state.log.map((line) => line.entry))).toEqual([
      'a',
      'x',
      'y',
      'z',
      'w',
    ]);
  });
});
