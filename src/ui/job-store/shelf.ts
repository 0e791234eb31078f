import type { Entry } from '@/core/logbook';
import type { DeviceRecord, DeviceStore, Refusal } from './ports';

/** Entries of a job on this device that the server does not have. */
export interface Shelf {
  waiting: () => readonly Entry[];
  /** Ids of the waiting ones that the device could not store: they are in this page only. */
  unstored: () => ReadonlySet<string>;
  refused: () => readonly DeviceRecord[];
  /** Stores an entry. @param without records that it takes the place of */
  add: (entry: Entry, without?: readonly string[]) => Promise<void>;
  /** Stores once more what could not be stored: there may be room now. */
  storeAgain: () => Promise<void>;
  /** What is to be sent, in order, as the device has it now: other tabs put there too. */
  queue: () => Promise<Entry[]>;
  refuse: (entry: Entry, refusal: Refusal) => Promise<void>;
  /** The server has recorded these: they leave the device. */
  forget: (ids: readonly string[]) => Promise<void>;
  /** The log of the server has come to have these. */
  arrived: (ids: ReadonlySet<string>) => void;
  /** A person does not want a refused entry any more. */
  drop: (id: string) => Promise<void>;
  /** The same, done in another tab. */
  droppedElsewhere: (id: string) => void;
  /**
   * Reads what the device has: of this page from before a reload, and of other tabs.
   * @returns true where another tab has sent something that is still shown as waiting
   */
  read: () => Promise<boolean>;
}

/**
 * The entries of a job on this device. Each is in this page first, and counts as stored once the device has it.
 * @param isRecorded is an entry in the server's log, as far as it is known here?
 */
export function createShelf(
  jobId: string,
  device: DeviceStore,
  { isRecorded, changed }: { isRecorded: (id: string) => boolean; changed: () => void },
): Shelf {
  let waiting: readonly Entry[] = [];
  let unstored: ReadonlySet<string> = new Set();
  let refused: readonly DeviceRecord[] = [];
  /** Ids that the server has recorded, also where the device could not be told so. */
  const settled = new Set<string>();
  const isRefused = (id: string): boolean => refused.some((r) => r.entry.id === id);
  const without = (ids: readonly string[]): ReadonlySet<string> =>
    new Set([...unstored].filter((id) => !ids.includes(id)));

  async function store(entries: readonly Entry[], inPlaceOf: readonly string[] = []): Promise<void> {
    const ids = entries.map((e) => e.id);
    try {
      await device.put(
        entries.map((entry) => ({ entry, refused: null })),
        inPlaceOf,
      );
      unstored = without(ids);
    } catch {
      unstored = new Set([...unstored, ...ids]);
    }
    changed();
  }

  return {
    waiting: () => waiting,
    unstored: () => unstored,
    refused: () => refused,
    add: (entry, inPlaceOf = []) => {
      refused = refused.filter((r) => !inPlaceOf.includes(r.entry.id));
      waiting = [...waiting, entry];
      unstored = new Set([...unstored, entry.id]);
      changed();
      return store([entry], inPlaceOf);
    },
    storeAgain: async () => {
      const left = waiting.filter((e) => unstored.has(e.id));
      if (left.length > 0) await store(left);
    },
    queue: async () => {
      const records = await device.ofJob(jobId).catch(() => null);
      const isOpen = ({ id }: Entry) => !settled.has(id) && !isRefused(id);
      if (records === null) return waiting.filter(isOpen);
      const stored = records.flatMap((r) => (r.refused === null ? [r.entry] : []));
      const own = waiting.filter((e) => unstored.has(e.id) && !stored.some((s) => s.id === e.id));
      return [...stored, ...own].filter(isOpen);
    },
    refuse: async (entry, refusal) => {
      const record = { entry, refused: refusal };
      waiting = waiting.filter((e) => e.id !== entry.id);
      refused = [...refused.filter((r) => r.entry.id !== entry.id), record];
      changed();
      // Where it cannot be written, it stays in this page, and the device still has it as waiting.
      await device.put([record]).catch(() => undefined);
    },
    forget: async (ids) => {
      ids.forEach((id) => settled.add(id));
      unstored = without(ids);
      await device.remove(ids).catch(() => undefined);
      waiting = waiting.filter((e) => !isRecorded(e.id));
      changed();
    },
    arrived: (ids) => {
      waiting = waiting.filter((e) => !ids.has(e.id));
      // A post may be refused whose entries had arrived before, with the answer lost: the log is right.
      const recorded = refused.filter((r) => ids.has(r.entry.id)).map((r) => r.entry.id);
      refused = refused.filter((r) => !ids.has(r.entry.id));
      if (recorded.length > 0) void device.remove(recorded).catch(() => undefined);
    },
    drop: async (id) => {
      refused = refused.filter((r) => r.entry.id !== id);
      changed();
      await device.remove([id]).catch(() => undefined);
    },
    droppedElsewhere: (id) => {
      waiting = waiting.filter((e) => e.id !== id);
    },
    read: async () => {
      const records = await device.ofJob(jobId).catch(() => null);
      if (records === null) return false;
      // Recorded, but the device could not be told so then.
      const over = records.filter((r) => isRecorded(r.entry.id)).map((r) => r.entry.id);
      if (over.length > 0) await device.remove(over).catch(() => undefined);
      const fresh = records.filter((r) => !isRecorded(r.entry.id) && !settled.has(r.entry.id));
      refused = fresh.filter((r) => r.refused !== null);
      const known = new Set(waiting.map((e) => e.id));
      const others = fresh.flatMap((r) => (r.refused === null && !known.has(r.entry.id) ? [r.entry] : []));
      waiting = [...waiting.filter((e) => !isRefused(e.id)), ...others];
      changed();
      const there = new Set(records.map((r) => r.entry.id));
      return waiting.some((e) => !there.has(e.id) && !unstored.has(e.id));
    },
  };
}
