import type { ApiProblem } from '@/api/contract';
import type { EntriesAnswer, VerdictsAnswer } from '@/api/entries';
import type { Entry, NewEntry } from '@/core/logbook';

/** Why the server refused an entry for good. */
export interface Refusal {
  why: string;
  problems: readonly ApiProblem[];
}

/** An entry on this device that the server does not have: it waits, or it was refused. */
export interface DeviceRecord {
  entry: Entry;
  refused: Refusal | null;
}

/** The storage of this device, shared by its tabs. Each promise settles when it is done, and rejects when it is not. */
export interface DeviceStore {
  /** Writes records, each in the place of an earlier one of the same entry, and removes others: both or neither. */
  put: (records: readonly DeviceRecord[], without?: readonly string[]) => Promise<void>;
  /** Records of a job, in the order they were put first. */
  ofJob: (jobId: string) => Promise<DeviceRecord[]>;
  remove: (ids: readonly string[]) => Promise<void>;
}

/** Why there is no answer that can be used. `status` 0: the server was not reached, or what it said cannot be read. */
export interface NoAnswer {
  status: number;
  why: string;
  /** The server asked to be left alone for so long, s. */
  retryAfter_s: number | null;
}

/** The server. Nothing here rejects. */
export interface JobServer {
  post: (jobId: string, personId: string, entries: readonly NewEntry[]) => Promise<VerdictsAnswer | NoAnswer>;
  /** Entries after a seq. */
  after: (jobId: string, seq: number) => Promise<EntriesAnswer | NoAnswer>;
  /** Listens for new entries of any job. @returns ends it */
  listen: (listener: NewsListener) => () => void;
}

/** Who hears of new entries. */
export interface NewsListener {
  news: (jobId: string, seq: number) => void;
  /** The stream works: from here on nothing is missed. Again after each break. */
  up: () => void;
  /** The stream is broken: entries may be missed until it is up. */
  down: () => void;
  /** The device was asleep or without a network, and is there again: what it knows may be old. */
  woke: () => void;
}

/** What tabs tell each other of a job. */
export type TabMessage = { changed: true } | { discarded: string };

/** The other tabs of this browser. */
export interface Tabs {
  /** Does work that one tab at a time may do. */
  exclusively: (name: string, work: () => Promise<void>) => Promise<void>;
  tell: (jobId: string, message: TabMessage) => void;
  /** @returns ends it */
  onTold: (jobId: string, hear: (message: TabMessage) => void) => () => void;
}

/** This device's clock, timers and chance. */
export interface Clock {
  /** ms */
  now: () => number;
  /** 0 to 1 */
  random: () => number;
  /** @returns cancels it */
  later: (ms: number, work: () => void) => () => void;
}

/** Makes ids: UUIDv7, each greater than the one given. */
export type NextId = (after: string | null) => string;

/** Everything that the store needs from outside. */
export interface Ports {
  device: DeviceStore;
  server: JobServer;
  tabs: Tabs;
  clock: Clock;
  nextId: NextId;
}
