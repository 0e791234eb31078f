/** A whole shop in one process: a server with its log, devices with tabs, a network, and time that only moves when asked to. */
import { greatestLimits } from '@/core/bench/make-safe';
import { fold, makeEntry, type Entry, type JobState, type Person } from '@/core/logbook';
import { createJobEntries, type JobEntries } from '../job-store';
import type {
  DeviceRecord,
  DeviceStore,
  JobServer,
  NewsListener,
  NoAnswer,
  Ports,
  TabMessage,
} from '../ports';

export const jobId = '01a00000-0000-7000-8000-000000000000';
export const person = (n: number): Person => ({
  id: `0190a000-0000-7000-8000-00000000000${n}`,
  name: `Person ${n}`,
  role: 'technician',
});

/** A seeded chance: the same run again is the same. */
export function chance(seed: number) {
  let state = seed >>> 0;
  const next = (): number => {
    state = (state + 0x6d2b79f5) >>> 0;
    let t = state;
    t = Math.imul(t ^ (t >>> 15), t | 1);
    t ^= t + Math.imul(t ^ (t >>> 7), t | 61);
    return ((t ^ (t >>> 14)) >>> 0) / 2 ** 32;
  };
  return { next, below: (n: number) => Math.floor(next() * n), is: (share: number) => next() < share };
}
export type Chance = ReturnType<typeof chance>;

/** Time of the model: timers run when it is moved on. */
export function modelTime() {
  let now = Date.parse('2026-11-30T08:00:00Z');
  let timers: { at: number; work: () => void }[] = [];
  return {
    now: () => now,
    later: (ms: number, work: () => void) => {
      const timer = { at: now + ms, work };
      timers.push(timer);
      return () => {
        timers = timers.filter((t) => t !== timer);
      };
    },
    /** Runs what is due, in order, and lets everything that follows at once settle. */
    pass: async (ms: number) => {
      const until = now + ms;
      await settle();
      for (;;) {
        const due = timers.filter((t) => t.at <= until).sort((a, b) => a.at - b.at)[0];
        if (due === undefined) break;
        timers = timers.filter((t) => t !== due);
        now = Math.max(now, due.at);
        due.work();
        await settle();
      }
      now = until;
    },
  };
}

/** Everything that is under way without a timer comes to its end. */
export const settle = async (): Promise<void> => {
  for (let i = 0; i < 2; i += 1) await new Promise(setImmediate);
};

/** A moment in which others may do something. */
const moment = async (): Promise<void> => {
  for (let i = 0; i < 3; i += 1) await Promise.resolve();
};

/** How the network treats a request: it arrives, is lost on its way, or its answer is. */
export type Luck = 'fine' | 'lost' | 'answer-lost';

/** What the server does instead of its work. */
export type Mood = (entries: readonly Entry[], personId: string) => NoAnswer | 'garbage' | null;

/** The server: one log, numbered; the same id twice is one entry; entries that it never takes. */
export function modelServer(time: { now: () => number }) {
  const log: Entry[] = [];
  const refusedFor = new Map<string, string>();
  const listeners = new Set<NewsListener>();
  const known = new Map<string, Entry>();
  let streams = true;
  let life = 1;

  function append(sent: readonly Entry[], by: Person) {
    return sent.map((entry) => {
      const why = refusedFor.get(entry.id);
      if (why !== undefined) return { id: entry.id, refused: why, problems: [] };
      const before = known.get(entry.id);
      if (before !== undefined) return { id: entry.id, kept: before };
      const kept = {
        ...entry,
        by,
        seq: log.length + 1,
        receivedAt: new Date(time.now()).toISOString(),
      } as Entry;
      log.push(kept);
      known.set(kept.id, kept);
      if (streams) listeners.forEach((l) => l.news(jobId, kept.seq ?? 0));
      return { id: entry.id, kept };
    });
  }
  return {
    log,
    refusedFor,
    append,
    listeners,
    stream: (on: boolean) => {
      if (on === streams) return;
      streams = on;
      listeners.forEach((l) => (on ? l.up() : l.down()));
    },
    isStreaming: () => streams,
    generation: () => `life ${life}`,
    /** A backup of when it had so many entries comes in its place. */
    restore: (length: number) => {
      for (const lost of log.splice(length)) known.delete(lost.id);
      life += 1;
      listeners.forEach((l) => (l.down(), l.up()));
    },
    state: (): JobState => fold(log, { limits: greatestLimits }),
  };
}
export type ModelServer = ReturnType<typeof modelServer>;

/** A device: storage that outlives its tabs, and may be full or missing. */
export function modelDevice() {
  const records: DeviceRecord[] = [];
  const trouble = { full: false, missing: false };
  const told = new Set<{ tab: object; hear: (message: TabMessage) => void }>();
  let lock: Promise<void> = Promise.resolve();
  const at = (id: string) => records.findIndex((r) => r.entry.id === id);
  const storage: DeviceStore = {
    put: async (put, without = []) => {
      await Promise.resolve();
      if (trouble.missing || trouble.full) throw new Error('quota');
      for (const record of put) {
        const place = at(record.entry.id);
        if (place < 0) records.push(record);
        else records[place] = record;
      }
      for (const id of without) if (at(id) >= 0) records.splice(at(id), 1);
    },
    ofJob: async () => {
      await Promise.resolve();
      if (trouble.missing) throw new Error('no storage');
      return [...records];
    },
    remove: async (ids) => {
      await Promise.resolve();
      if (trouble.missing) throw new Error('no storage');
      for (const id of ids) if (at(id) >= 0) records.splice(at(id), 1);
    },
  };
  return {
    records,
    trouble,
    storage,
    exclusively: (work: () => Promise<void>) => {
      const run = lock.then(work);
      lock = run.catch(() => undefined);
      return run;
    },
    told,
  };
}
export type ModelDevice = ReturnType<typeof modelDevice>;

/** A tab of a device, with the job open, by a person. */
export interface ModelTab {
  entries: JobEntries;
  by: Person;
  /** Closed, or crashed: nothing of it runs any more. */
  end: () => void;
}

let ids = 0;
/** Ids in order, as UUIDv7 are. */
const idAfter = (after: string | null): string => {
  ids += 1;
  const id = `01a00000-0000-7000-8000-${ids.toString(16).padStart(12, '0')}`;
  if (after !== null && id <= after) throw new Error('ids go back');
  return id;
};

export function openTab(
  device: ModelDevice,
  server: ModelServer,
  time: ReturnType<typeof modelTime>,
  by: Person,
  { luck, mood, clockError = () => 0 }: { luck: () => Luck; mood: Mood; clockError?: () => number },
): ModelTab {
  const lost: NoAnswer = { status: 0, why: 'lost', retryAfter_s: null };
  const garbage: NoAnswer = { status: 0, why: 'cannot be read', retryAfter_s: null };
  const me = {};
  let alive = true;
  // What a dead page would do next never happens.
  const living = <T>(value: T): Promise<T> =>
    alive ? Promise.resolve(value) : new Promise<T>(() => undefined);
  const jobServer: JobServer = {
    post: async (_, personId, sent) => {
      const whole = sent.map((e) => ({ ...e, by }) as Entry);
      const fate = luck();
      await moment();
      if (fate === 'lost') return living(lost);
      const no = mood(whole, personId);
      if (no === 'garbage') return living(garbage);
      if (no !== null) return living(no);
      const verdicts = server.append(whole, { ...by, id: personId });
      await moment();
      return living(
        fate === 'fine'
          ? { verdicts, now: new Date(time.now()).toISOString(), generation: server.generation() }
          : lost,
      );
    },
    after: async (_, seq) => {
      await moment();
      if (luck() !== 'fine') return living(lost);
      const all = server.log.slice(seq);
      return living({
        entries: all.slice(0, 7),
        more: all.length > 7,
        generation: server.generation(),
        now: new Date(time.now()).toISOString(),
      });
    },
    listen: (listener) => {
      server.listeners.add(listener);
      if (server.isStreaming()) listener.up();
      return () => server.listeners.delete(listener);
    },
  };
  const ports: Ports = {
    device: {
      put: (records, without) => device.storage.put(records, without).then(living),
      ofJob: (id) => device.storage.ofJob(id).then(living),
      remove: (gone) => device.storage.remove(gone).then(living),
    },
    server: jobServer,
    tabs: {
      // A page that dies lets its locks go.
      exclusively: (_, work) =>
        device.exclusively(() =>
          alive ? Promise.race([work(), new Promise<void>((done) => (release = done))]) : Promise.resolve(),
        ),
      tell: (_, message) =>
        device.told.forEach((other) => {
          if (other.tab !== me) other.hear(message);
        }),
      onTold: (_, hear) => {
        const one = { tab: me, hear };
        device.told.add(one);
        return () => device.told.delete(one);
      },
    },
    clock: {
      now: () => time.now() + clockError(),
      random: () => 0.5,
      later: (ms, work) => time.later(ms, () => alive && work()),
    },
    nextId: idAfter,
  };
  let release: () => void = () => undefined;
  const entries = createJobEntries(
    {
      jobId,
      initial: server.log.slice(),
      generation: server.generation(),
      person: by,
      limits: greatestLimits,
    },
    ports,
  );
  const stop = entries.start();
  return {
    entries,
    by,
    end: () => {
      alive = false;
      stop();
      release();
    },
  };
}

/** An entry as another client, not on any of the devices, would send it. */
export const strangersNote = (text: string): Entry =>
  makeEntry({ v: 1, id: idAfter(null), jobId, at: '2026-11-30T08:00:00.000Z', by: person(9) }, 'note.added', {
    stage: 'take',
    text,
    photos: [],
  });
