import {
  extend,
  fold,
  makeEntry,
  withoutServerParts,
  type Entry,
  type EntryKind,
  type JobState,
  type Payload,
  type Person,
} from '@/core/logbook';
import type { Limits } from '@/core/bench/make-safe';
import type { EntryVerdict } from '@/api/entries';
import type { DeviceRecord, NoAnswer, Ports, Refusal } from './ports';
import { backOff_ms, mostEntries, nextBatch, setbackOf } from './send-plan';

/** Where the entries of the job stand between this device and the server. */
export interface Sending {
  /** Nothing is wrong; no server for now; or the server has something against them. */
  state: 'ok' | 'no-server' | 'held';
  /** What the server has against them. */
  why: string | null;
  /** When it is tried again, ms of this device's clock; null: nothing is wrong. */
  nextTry: number | null;
}

/** A job as this device sees it. */
export interface JobSnapshot {
  /** What the server has, and what waits here on top of it. */
  state: JobState;
  /** Ids of entries that are shown but not recorded by the server yet. */
  unsent: ReadonlySet<string>;
  /** Of these, the ones that this device could not store: they are in this page only. */
  unstored: ReadonlySet<string>;
  /** Entries that the server refused, with the reason, until a person sees to them. */
  refused: readonly DeviceRecord[];
  sending: Sending;
  /** Server time minus this device's time, ms. */
  clockOffset_ms: number;
}

/** The entries of one job on this device, live. */
export interface JobEntries {
  subscribe: (listener: () => void) => () => void;
  snapshot: () => JobSnapshot;
  /** Makes an entry: it is on this device before it is sent. @returns its id */
  record: <K extends EntryKind>(kind: K, payload: Payload<K>, corrects?: string) => string;
  /** A refused entry once more, as a new one. @param payload changed by a person */
  repeat: (id: string, payload?: unknown) => void;
  /** A refused entry is not wanted any more. */
  discard: (id: string) => void;
  /** Begins to send and to listen. @returns ends it; what waits stays on the device */
  start: () => () => void;
}

/** Without a stream entries of others are asked for so often, ms. */
export const poll_ms = 10_000;

const isAnswer = <A extends object>(said: A | NoAnswer): said is A => !('status' in said);

/**
 * The entries of a job: folded from what the server has and what waits here. An entry leaves the device only when the
 * server has recorded it, or when a person discards it after it was refused.
 * @param initial entries that came with the page, in order and without a gap
 */
export function createJobEntries(
  {
    jobId,
    initial,
    person,
    limits,
  }: { jobId: string; initial: readonly Entry[]; person: Person; limits: Limits },
  { device, server, tabs, clock, nextId }: Ports,
): JobEntries {
  const context = { limits };
  const listeners = new Set<() => void>();
  /** Entries of the server that came before the ones between them and the rest. */
  const ahead = new Map<number, Entry>();
  let kept = fold(initial, context);
  let waiting: readonly Entry[] = [];
  /** Ids that the server has recorded, also where the device could not be told so. */
  const settled = new Set<string>();
  let unstored: ReadonlySet<string> = new Set();
  let refused: readonly DeviceRecord[] = [];
  let sending: Sending = { state: 'ok', why: null, nextTry: null };
  let clockOffset_ms = 0;
  let running = false;
  let cached: JobSnapshot | null = null;

  const changed = () => {
    cached = null;
    listeners.forEach((listener) => listener());
  };
  const isKept = (id: string): boolean => kept.log.some((line) => line.entry.id === id);

  /** Entries of the server, from wherever: counted as far as they follow without a gap. */
  function take(entries: readonly Entry[]): void {
    for (const entry of entries)
      if (entry.seq !== undefined && entry.seq > kept.seq) ahead.set(entry.seq, entry);
    const next: Entry[] = [];
    for (let seq = kept.seq + 1; ; seq += 1) {
      const entry = ahead.get(seq);
      if (entry === undefined) break;
      next.push(entry);
      ahead.delete(seq);
    }
    if (next.length === 0) return;
    kept = extend(kept, next, context);
    const ids = new Set(next.map((e) => e.id));
    waiting = waiting.filter((e) => !ids.has(e.id));
    // A post may be refused whose entries had arrived before, with the answer lost: the log is right.
    const recorded = refused.filter((r) => ids.has(r.entry.id)).map((r) => r.entry.id);
    refused = refused.filter((r) => !ids.has(r.entry.id));
    if (recorded.length > 0) void device.remove(recorded).catch(() => undefined);
    changed();
  }

  const setClock = (now: string) => {
    const offset = Date.parse(now) - clock.now();
    // A second of noise redraws nothing.
    if (Number.isFinite(offset) && Math.abs(offset - clockOffset_ms) > 1000) {
      clockOffset_ms = offset;
      changed();
    }
  };

  // Reading from the server.

  /** Takes all that the server has more. @returns why it could not */
  async function readLog(): Promise<NoAnswer | null> {
    for (;;) {
      const said = await server.after(jobId, kept.seq);
      if (!isAnswer(said)) return said;
      const before = kept.seq;
      setClock(said.now);
      take(said.entries);
      // Only what brought something goes on: an answer that does not follow must not be asked for for ever.
      if (!said.more || kept.seq === before) return null;
    }
  }

  let catching = false;
  let catchAgain = false;
  let readFailures = 0;
  let cancelCatch: (() => void) | null = null;
  async function catchUp(): Promise<void> {
    catchAgain = true;
    if (catching) return;
    catching = true;
    cancelCatch?.();
    while (catchAgain && running) {
      catchAgain = false;
      const trouble = await readLog();
      if (trouble !== null) {
        // News is told once: what it told of is asked for until it comes.
        readFailures += 1;
        const wait = backOff_ms(readFailures, clock.random(), trouble.retryAfter_s);
        if (running) cancelCatch = clock.later(wait, () => void catchUp());
        break;
      }
      readFailures = 0;
    }
    catching = false;
  }

  // Writing to the server.

  let failures = 0;
  let cancelRetry: (() => void) | null = null;
  let most = mostEntries;
  let sendingNow = false;
  let sendAgain = false;
  /** The server asked to be left alone. */
  let leftAlone = false;

  const setSending = (next: Sending) => {
    const same = next.state === sending.state && next.why === sending.why && next.nextTry === sending.nextTry;
    sending = next;
    if (!same) changed();
  };

  /** What waits, as the device has it now: other tabs write there too. */
  async function queue(): Promise<Entry[]> {
    const records = await device.ofJob(jobId).catch(() => null);
    const open = (e: Entry) => !settled.has(e.id) && !refused.some((r) => r.entry.id === e.id);
    if (records === null) return waiting.filter(open);
    const stored = records.flatMap((r) => (r.refused === null ? [r.entry] : []));
    const own = waiting.filter((e) => unstored.has(e.id) && !stored.some((s) => s.id === e.id));
    return [...stored, ...own].filter(open);
  }

  async function refuse(entry: Entry, refusal: Refusal): Promise<void> {
    const record = { entry, refused: refusal };
    waiting = waiting.filter((e) => e.id !== entry.id);
    refused = [...refused.filter((r) => r.entry.id !== entry.id), record];
    changed();
    // Where it cannot be written, it stays in this page, and the device still has it as waiting.
    await device.put([record]).catch(() => undefined);
  }

  async function judge(batch: readonly Entry[], verdicts: readonly EntryVerdict[]): Promise<void> {
    const byId = new Map(verdicts.map((v) => [v.id, v]));
    const taken: Entry[] = [];
    for (const entry of batch) {
      const verdict = byId.get(entry.id);
      if (verdict === undefined) continue;
      if ('kept' in verdict) taken.push(verdict.kept);
      else await refuse(entry, { why: verdict.refused, problems: verdict.problems });
    }
    // Shown as recorded first, then off the device: a crash between the two sends it again, which is harmless.
    take(taken);
    await forget(taken.map((e) => e.id));
    if (ahead.size > 0) void catchUp();
  }

  /** What the server has does not stay on the device. */
  async function forget(ids: readonly string[]): Promise<void> {
    ids.forEach((id) => settled.add(id));
    unstored = new Set([...unstored].filter((id) => !ids.includes(id)));
    await device.remove(ids).catch(() => undefined);
    waiting = waiting.filter((e) => !isKept(e.id));
    changed();
  }

  /** Sends all that waits. @returns what stands in the way; null: nothing waits any more */
  async function sendAll(): Promise<(NoAnswer & { held: boolean }) | null> {
    const parked = new Map<string, NoAnswer>();
    for (;;) {
      const batch = nextBatch(await queue(), new Set(parked.keys()), most);
      const [first] = batch;
      if (first === undefined) {
        const [trouble] = parked.values();
        return trouble === undefined ? null : { ...trouble, held: true };
      }
      const said = await server.post(jobId, first.by.id, batch.map(withoutServerParts));
      if (isAnswer(said)) {
        setClock(said.now);
        const answered = new Set(said.verdicts.map((v) => v.id));
        await judge(batch, said.verdicts);
        tabs.tell(jobId, { changed: true });
        most = Math.min(mostEntries, most * 2);
        if (!batch.some((e) => answered.has(e.id)))
          return { status: 0, why: 'The server’s answer cannot be read.', retryAfter_s: null, held: false };
        continue;
      }
      const setback = setbackOf(said);
      if (setback === 'wait') return { ...said, held: false };
      if (setback === 'park-job') return { ...said, held: true };
      if (setback === 'park-person') parked.set(first.by.id, said);
      else if (batch.length > 1) most = Math.ceil(batch.length / 2);
      else {
        // An earlier post of it may have arrived, and its answer not: then the log has it.
        const trouble = await readLog();
        if (trouble !== null) return { ...trouble, held: false };
        if (isKept(first.id)) await forget([first.id]);
        else await refuse(first, { why: said.why, problems: [] });
        tabs.tell(jobId, { changed: true });
      }
    }
  }

  /** Entries that could not be stored once more: there may be room now. */
  async function storeAgain(): Promise<void> {
    const left = waiting.filter((e) => unstored.has(e.id));
    if (left.length > 0) await store(left);
  }

  async function store(entries: readonly Entry[], without: readonly string[] = []): Promise<void> {
    const ids = entries.map((e) => e.id);
    try {
      await device.put(
        entries.map((entry) => ({ entry, refused: null })),
        without,
      );
      unstored = new Set([...unstored].filter((id) => !ids.includes(id)));
    } catch {
      unstored = new Set([...unstored, ...ids]);
    }
    changed();
  }

  async function send(): Promise<void> {
    sendAgain = true;
    if (sendingNow || !running || leftAlone) return;
    sendingNow = true;
    cancelRetry?.();
    cancelRetry = null;
    while (sendAgain && running) {
      sendAgain = false;
      await storeAgain();
      let trouble: Awaited<ReturnType<typeof sendAll>> = null;
      await tabs
        .exclusively(`send ${jobId}`, async () => {
          trouble = await sendAll();
        })
        .catch(() => undefined);
      settle(trouble);
      if (trouble !== null) break;
    }
    sendingNow = false;
  }

  /** After a round: when it is tried again, and what is said meanwhile. */
  function settle(trouble: Awaited<ReturnType<typeof sendAll>>): void {
    if (trouble === null) {
      failures = 0;
      setSending({ state: 'ok', why: null, nextTry: null });
      return;
    }
    failures += 1;
    const wait = backOff_ms(failures, clock.random(), trouble.retryAfter_s);
    setSending({
      state: trouble.held ? 'held' : 'no-server',
      why: trouble.held ? trouble.why : null,
      nextTry: clock.now() + wait,
    });
    leftAlone = trouble.retryAfter_s !== null;
    if (running)
      cancelRetry = clock.later(wait, () => {
        leftAlone = false;
        void send();
      });
  }

  // This device and its other tabs.

  /** What the device has of this job: of this tab from before a reload, and of other tabs. */
  async function readDevice(): Promise<void> {
    const records = await device.ofJob(jobId).catch(() => null);
    if (records === null) return;
    const fresh = records.filter((r) => !isKept(r.entry.id) && !settled.has(r.entry.id));
    // Recorded, but the device could not be told so then.
    const over = records.filter((r) => isKept(r.entry.id)).map((r) => r.entry.id);
    if (over.length > 0) await device.remove(over).catch(() => undefined);
    refused = fresh.filter((r) => r.refused !== null);
    const refusedIds = new Set(refused.map((r) => r.entry.id));
    const known = new Set(waiting.map((e) => e.id));
    const others = fresh.flatMap(({ entry, refused: no }) =>
      no === null && !known.has(entry.id) ? [entry] : [],
    );
    waiting = [...waiting.filter((e) => !refusedIds.has(e.id)), ...others];
    changed();
    // Another tab has sent it: it comes from the server.
    const there = new Set(records.map((r) => r.entry.id));
    if (waiting.some((e) => !there.has(e.id) && !unstored.has(e.id))) void catchUp();
  }

  function add(entry: Entry, without: readonly string[] = []): string {
    waiting = [...waiting, entry];
    unstored = new Set([...unstored, entry.id]);
    changed();
    void store([entry], without).then(() => {
      tabs.tell(jobId, { changed: true });
      return send();
    });
    return entry.id;
  }

  const lastId = (): string | null => waiting[waiting.length - 1]?.id ?? null;
  const envelope = () => ({
    v: 1,
    id: nextId(lastId()),
    jobId,
    at: new Date(clock.now() + clockOffset_ms).toISOString(),
  });

  async function drop(id: string): Promise<void> {
    refused = refused.filter((r) => r.entry.id !== id);
    changed();
    await device.remove([id]).catch(() => undefined);
    tabs.tell(jobId, { discarded: id });
  }

  return {
    subscribe: (listener) => {
      listeners.add(listener);
      return () => listeners.delete(listener);
    },
    snapshot: () =>
      (cached ??= {
        state: waiting.length === 0 ? kept : extend(kept, waiting, context),
        unsent: new Set(waiting.map((e) => e.id)),
        unstored,
        refused,
        sending,
        clockOffset_ms,
      }),
    record: (kind, payload, corrects) =>
      add(
        makeEntry(
          { ...envelope(), by: person, ...(corrects === undefined ? {} : { corrects }) },
          kind,
          payload,
        ),
      ),
    repeat: (id, payload) => {
      const record = refused.find((r) => r.entry.id === id);
      if (record === undefined) return;
      const { entry } = record;
      const again = { ...entry, ...envelope(), payload: payload ?? entry.payload } as Entry;
      refused = refused.filter((r) => r.entry.id !== id);
      add(again, [id]);
    },
    discard: (id) => void drop(id),
    start: () => {
      running = true;
      let listening = false;
      let cancelPoll: (() => void) | null = null;
      const poll = () => {
        cancelPoll = clock.later(poll_ms, () => {
          if (!running) return;
          if (!listening) void catchUp();
          poll();
        });
      };
      const endNews = server.listen({
        news: (of, seq) => {
          if (of === jobId && seq > kept.seq) void catchUp();
        },
        up: () => {
          listening = true;
          void catchUp();
          // The server is there again: what waits does not wait for its turn.
          if (sending.state === 'no-server') void send();
        },
        down: () => {
          listening = false;
        },
      });
      const endTold = tabs.onTold(jobId, (message) => {
        if ('discarded' in message) waiting = waiting.filter((e) => e.id !== message.discarded);
        void readDevice();
      });
      poll();
      void catchUp();
      void readDevice().then(send);
      return () => {
        running = false;
        endNews();
        endTold();
        cancelPoll?.();
        cancelCatch?.();
        cancelRetry?.();
      };
    },
  };
}
