import { openDB, type DBSchema, type IDBPDatabase } from 'idb';
import { v7 } from 'uuid';
import type { Entry } from '@/core/logbook';
import { call } from '../api/call';
import type { Draft } from '../kit/drafts';
import { ownJson } from '../kit/own-json';
import { newsOfTabs } from './news';
import type {
  DeviceRecord,
  DeviceStore,
  JobServer,
  NextId,
  NoAnswer,
  Ports,
  TabMessage,
  Tabs,
} from './ports';

interface GrimDatabase extends DBSchema {
  entries: {
    key: number;
    value: DeviceRecord & { place?: number; id: string; jobId: string };
    indexes: { id: string; jobId: string };
  };
  drafts: { key: string; value: Draft };
}

const databaseName = 'grim-spanner';

const open = (): Promise<IDBPDatabase<GrimDatabase>> =>
  openDB<GrimDatabase>(databaseName, 1, {
    upgrade(database) {
      // Numbered as they are put: the order in which they were made, whatever the clock says.
      const entries = database.createObjectStore('entries', { keyPath: 'place', autoIncrement: true });
      entries.createIndex('id', 'id', { unique: true });
      entries.createIndex('jobId', 'jobId');
      database.createObjectStore('drafts');
    },
    // A newer page wants another shape of it: this one gives way, and reads anew.
    blocking: (_current, _blocked, event) => (event.target as IDBDatabase | null)?.close(),
  });

const oldKey = /^grim\.outbox\./;

/** What versions before this one left waiting, taken over; off their storage only once it is on this one. */
async function takeOver(database: IDBPDatabase<GrimDatabase>): Promise<void> {
  if (!('localStorage' in globalThis)) return;
  const keys = Object.keys(globalThis.localStorage).filter((key) => oldKey.test(key));
  for (const key of keys) {
    const waiting = ownJson<readonly Entry[]>(globalThis.localStorage.getItem(key) ?? '[]');
    const transaction = database.transaction('entries', 'readwrite', { durability: 'strict' });
    for (const entry of waiting) {
      const { id, jobId } = entry;
      if ((await transaction.store.index('id').getKey(id)) === undefined)
        await transaction.store.put({ entry, refused: null, id, jobId });
    }
    await transaction.done;
    globalThis.localStorage.removeItem(key);
  }
}

const openAndTakeOver = async (): Promise<IDBPDatabase<GrimDatabase>> => {
  const database = await open();
  // What cannot be read stays where it is, and stands in the way of nothing.
  await takeOver(database).catch(() => undefined);
  return database;
};

let opened: Promise<IDBPDatabase<GrimDatabase>> | null = null;

/** Works on the database of this browser, opened once and again after a failure. */
async function using<T>(work: (database: IDBPDatabase<GrimDatabase>) => Promise<T>): Promise<T> {
  try {
    return await work(await (opened ??= openAndTakeOver()));
  } catch (error) {
    opened = null;
    throw error;
  }
}

/** A draft is of no use to anybody after this long, ms. */
const draftLives_ms = 60 * 86_400_000;

/** What was typed and not saved, on this device. */
export const draftStore = () => ({
  load: (key: string): Promise<Draft | null> =>
    using(async (database) => {
      const draft = await database.get('drafts', key);
      return draft === undefined || Date.now() - draft.at > draftLives_ms ? null : draft;
    }),
  save: (key: string, draft: Draft): Promise<void> =>
    using(async (database) => void (await database.put('drafts', draft, key))),
  clear: (key: string): Promise<void> => using((database) => database.delete('drafts', key)),
});

/** IndexedDB of this browser. */
export function browserDevice(): DeviceStore {
  return {
    put: (records, without = []) =>
      using(async (database) => {
        // Strict: the promise settles when it is on the disk, not in some cache.
        const transaction = database.transaction('entries', 'readwrite', { durability: 'strict' });
        const byId = transaction.store.index('id');
        for (const { entry, refused } of records) {
          const place = await byId.getKey(entry.id);
          const row = { entry, refused, id: entry.id, jobId: entry.jobId };
          await transaction.store.put(place === undefined ? row : { ...row, place });
        }
        for (const id of without) {
          const place = await byId.getKey(id);
          if (place !== undefined) await transaction.store.delete(place);
        }
        await transaction.done;
      }),
    ofJob: (jobId) =>
      using(async (database) => {
        const rows = await database.getAllFromIndex('entries', 'jobId', jobId);
        return rows.map(({ entry, refused }) => ({ entry, refused }));
      }),
    remove: (ids) =>
      using(async (database) => {
        if (ids.length === 0) return;
        const transaction = database.transaction('entries', 'readwrite');
        const byId = transaction.store.index('id');
        for (const id of ids) {
          const place = await byId.getKey(id);
          if (place !== undefined) await transaction.store.delete(place);
        }
        await transaction.done;
      }),
  };
}

const unreadable: NoAnswer = { status: 0, why: 'The server’s answer cannot be read.', retryAfter_s: null };

const hasId = (one: unknown): boolean =>
  typeof one === 'object' && one !== null && 'id' in one && typeof one.id === 'string';
const hasSeq = (one: unknown): boolean => hasId(one) && typeof (one as Partial<Entry>).seq === 'number';

/** The routes of the server; what is no answer by its shape counts as none: a proxy may say anything. */
const browserServer: JobServer = {
  post: async (jobId, personId, entries) => {
    const answer = await call('POST /api/v1/jobs/:id/entries', {
      params: { id: jobId },
      body: { person: personId, entries: [...entries] },
    });
    if (!answer.ok) return { status: answer.status, why: answer.error, retryAfter_s: answer.retryAfter_s };
    const said: { verdicts?: unknown } = answer.value;
    return Array.isArray(said.verdicts) &&
      'generation' in said &&
      said.verdicts.every((v: object) => hasId(v) && (!('kept' in v) || hasSeq(v.kept)))
      ? answer.value
      : unreadable;
  },
  after: async (jobId, seq) => {
    const answer = await call('GET /api/v1/jobs/:id/entries', {
      params: { id: jobId },
      query: { after: seq },
    });
    if (!answer.ok) return { status: answer.status, why: answer.error, retryAfter_s: answer.retryAfter_s };
    const said: { entries?: unknown } = answer.value;
    return Array.isArray(said.entries) && said.entries.every(hasSeq) && 'generation' in said
      ? answer.value
      : unreadable;
  },
  listen: newsOfTabs,
};

/** Web Locks and a channel between the tabs; where a browser lacks them, each tab is alone, and sending twice is harmless. */
const browserTabs: Tabs = {
  exclusively: (name, work) =>
    'locks' in navigator ? navigator.locks.request(`grim ${name}`, work) : work(),
  tell: (jobId, message) => {
    if (!('BroadcastChannel' in globalThis)) return;
    const channel = new BroadcastChannel(`grim job ${jobId}`);
    channel.postMessage(message);
    channel.close();
  },
  onTold: (jobId, hear) => {
    if (!('BroadcastChannel' in globalThis)) return () => undefined;
    const channel = new BroadcastChannel(`grim job ${jobId}`);
    channel.onmessage = ({ data }: MessageEvent<TabMessage>) => hear(data);
    return () => channel.close();
  },
};

/** When a UUIDv7 says that it was made, ms. */
const msecsOf = (id: string): number => parseInt(id.replace('-', '').slice(0, 12), 16);

/** Greater than the one before it, also when the device's clock was put back in between. */
export const nextId: NextId = (after) => {
  const id = v7();
  return after === null || id > after ? id : v7({ msecs: msecsOf(after) + 1 });
};

/** Everything the store needs, from this browser. */
export const browserPorts = (): Ports => ({
  device: browserDevice(),
  server: browserServer,
  tabs: browserTabs,
  clock: {
    now: () => Date.now(),
    random: () => Math.random(),
    later: (ms, work) => {
      const timer = setTimeout(work, ms);
      return () => clearTimeout(timer);
    },
  },
  nextId,
});
