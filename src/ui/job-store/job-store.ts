import {
  extend,
  makeEntry,
  newestVersion,
  type Entry,
  type EntryKind,
  type JobState,
  type Payload,
  type Person,
} from '@/core/logbook';
import type { Limits } from '@/core/bench/make-safe';
import type { DeviceRecord, Ports } from './ports';
import { createSender, type Sending } from './sender';
import { createServerLog } from './server-log';
import { createShelf } from './shelf';

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
  /** The server was restored from a backup since the page was opened. */
  startedOver: boolean;
  /** Server time minus this device's time, ms. */
  clockOffset_ms: number;
}

/** A job as a page brings it. */
export interface OpenedJob {
  jobId: string;
  /** In order and without a gap. */
  initial: readonly Entry[];
  /** The life of the database that they are from. */
  generation: string;
  person: Person;
  limits: Limits;
}

/** The entries of one job on this device, live. */
export interface JobEntries {
  jobId: string;
  subscribe: (listener: () => void) => () => void;
  snapshot: () => JobSnapshot;
  /** Makes an entry: it is on this device before it is sent. @returns its id */
  record: <K extends EntryKind>(kind: K, payload: Payload<K>, corrects?: string) => string;
  /** A refused entry once more, as a new one. @param payload changed by a person */
  repeat: (id: string, payload?: unknown) => void;
  /** A refused entry is not wanted any more. */
  discard: (id: string) => void;
  /** Takes what the server has beyond this page; it comes by itself otherwise, a moment later. */
  catchUp: () => Promise<void>;
  /** Begins to send and to listen. @returns ends it; what waits stays on the device */
  start: () => () => void;
}

/** Without a stream entries of others are asked for so often, ms. */
export const poll_ms = 10_000;

/**
 * The entries of a job: folded from what the server has and what waits here. An entry leaves the device only when the
 * server has recorded it, or when a person discards it after it was refused.
 */
export function createJobEntries(
  { jobId, initial, generation, person, limits }: OpenedJob,
  ports: Ports,
): JobEntries {
  const { device, server, tabs, clock, nextId } = ports;
  const context = { limits };
  const listeners = new Set<() => void>();
  let clockOffset_ms = 0;
  let cached: JobSnapshot | null = null;

  const changed = () => {
    cached = null;
    listeners.forEach((listener) => listener());
  };
  const heardTime = (now: string) => {
    const offset = Date.parse(now) - clock.now();
    // A second of noise redraws nothing.
    if (!Number.isFinite(offset) || Math.abs(offset - clockOffset_ms) <= 1000) return;
    clockOffset_ms = offset;
    changed();
  };
  const log = createServerLog({ jobId, initial, generation, context }, ports, {
    arrived: (ids) => {
      shelf.arrived(ids);
      changed();
    },
    heardTime,
  });
  const shelf = createShelf(jobId, device, { isRecorded: log.isRecorded, changed });
  const sender = createSender(jobId, { shelf, log }, ports, { changed, heardTime });

  const envelope = () => ({
    v: newestVersion,
    id: nextId(shelf.waiting().at(-1)?.id ?? null),
    jobId,
    at: new Date(clock.now() + clockOffset_ms).toISOString(),
    seen: log.state().seq,
  });

  function add(entry: Entry, inPlaceOf: readonly string[] = []): string {
    void shelf.add(entry, inPlaceOf).then(() => {
      tabs.tell(jobId, { changed: true });
      return sender.send();
    });
    return entry.id;
  }

  async function readShelf(): Promise<void> {
    // What another tab has sent comes from the server.
    if (await shelf.read()) void log.catchUp();
  }

  /** Asks now and then while there is no stream. @returns ends it */
  function poll(isListening: () => boolean): () => void {
    let cancel: () => void = () => undefined;
    const next = () => {
      cancel = clock.later(poll_ms, () => {
        if (!isListening()) void log.catchUp();
        next();
      });
    };
    next();
    return () => cancel();
  }

  function start(): () => void {
    log.start();
    sender.start();
    let listening = false;
    /** What waits for a server does not wait for its turn. */
    const thereAgain = () => {
      void log.catchUp();
      if (sender.sending().state === 'no-server') void sender.send();
    };
    const endNews = server.listen({
      news: (of, seq) => {
        if (of === jobId && seq > log.state().seq) void log.catchUp();
      },
      up: () => {
        listening = true;
        thereAgain();
      },
      woke: thereAgain,
      down: () => {
        listening = false;
      },
    });
    const endTold = tabs.onTold(jobId, (message) => {
      if ('discarded' in message) shelf.droppedElsewhere(message.discarded);
      void readShelf();
    });
    const endPoll = poll(() => listening);
    void log.catchUp();
    void readShelf().then(sender.send);
    return () => {
      log.stop();
      sender.stop();
      endNews();
      endTold();
      endPoll();
    };
  }

  return {
    jobId,
    subscribe: (listener) => {
      listeners.add(listener);
      return () => listeners.delete(listener);
    },
    snapshot: () => {
      const waiting = shelf.waiting();
      cached ??= {
        state: waiting.length === 0 ? log.state() : extend(log.state(), waiting, context),
        unsent: new Set(waiting.map((e) => e.id)),
        unstored: shelf.unstored(),
        refused: shelf.refused(),
        sending: sender.sending(),
        startedOver: log.startedOver(),
        clockOffset_ms,
      };
      return cached;
    },
    record: (kind, payload, corrects) =>
      add(
        makeEntry(
          { ...envelope(), by: person, ...(corrects === undefined ? {} : { corrects }) },
          kind,
          payload,
        ),
      ),
    repeat: (id, payload) => {
      const record = shelf.refused().find((r) => r.entry.id === id);
      if (record === undefined) return;
      const { entry } = record;
      add({ ...entry, ...envelope(), payload: payload ?? entry.payload } as Entry, [id]);
    },
    discard: (id) => {
      void shelf.drop(id).then(() => tabs.tell(jobId, { discarded: id }));
    },
    catchUp: async () => {
      await log.read();
    },
    start,
  };
}
