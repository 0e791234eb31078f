import type { Limits } from '../bench/make-safe';
import type { Entry, EntryOf } from './entry';
import type { OpenIssue } from './open-issue';
import type { EntryKind } from './payloads';

/** A list with one more item at its end. */
export type Grow = <Item>(list: readonly Item[], item: Item) => readonly Item[];

/** What a slice may look at beside itself. */
export interface SliceContext<Job> {
  /** The job with what the entry's own slice, and the slices before this one, made of it. */
  job: Job;
  /** The job as it was before the entry. */
  before: Job;
  /** The site's limits. */
  limits: Limits;
  /** Why the entry does not count; null: it does, or its own slice has not judged it yet. */
  void: string | null;
  /**
   * A list with one more at its end, for long lists of a slice: within one run of the fold it grows in place, because copying
   * thousands for each entry is felt. So `before` may show the longer list; states that the fold has given out never change.
   */
  grow: Grow;
  /** What stands against a signature, before the entry. */
  openIssues: () => readonly OpenIssue[];
}

/** A slice after one more entry; `void` says why the entry does not count. */
export interface SliceStep<State> {
  slice: State;
  void?: string;
}

/**
 * One part of a job's state, with the kinds of entries that are its own: their reducer and their
 * words for the log. Its own slice judges an entry first; only where the entry counts do the slices
 * that follow its kind see it.
 */
export interface Slice<
  Key extends string,
  State,
  Own extends EntryKind,
  Followed extends EntryKind,
  Job = unknown,
> {
  /** Where it is in the state of a job. */
  key: Key;
  init: State;
  /** Kinds that it judges. */
  kinds: readonly Own[];
  /** Kinds of these that record what happened: they are answered by a new entry, never corrected. */
  lasting?: readonly Own[];
  /** Kinds of other slices that change it too. */
  follows?: readonly Followed[];
  /** It follows entries that do not count, too: a takeover lapses the dead proof whatever it was for. */
  followsVoid?: true;
  apply(slice: State, entry: EntryOf<Own | Followed>, context: SliceContext<Job>): SliceStep<State>;
  /** Its entries in a few words, for the log. */
  words: { [K in Own]: (entry: EntryOf<K>) => string };
}

/** Gives a slice the types of its state and of what it looks at; the rest follows from the object. */
export const sliceOf =
  <State, Job = unknown>() =>
  <const Key extends string, const Own extends EntryKind, const Followed extends EntryKind = never>(
    slice: Slice<Key, State, Own, Followed, Job>,
  ): Slice<Key, State, Own, Followed, Job> =>
    slice;

/** Any slice, for the fold: which entries it gets is settled by its kinds. */
export interface AnySlice {
  key: string;
  init: unknown;
  kinds: readonly EntryKind[];
  follows?: readonly EntryKind[];
  followsVoid?: true;
  apply(slice: unknown, entry: Entry, context: SliceContext<unknown>): SliceStep<unknown>;
}

/** A step that changes nothing and says why the entry does not count. */
export const voided = <State>(slice: State, reason: string): SliceStep<State> => ({ slice, void: reason });

/** What an entry changes of a slice with several parts, or why it does not count. */
export type Change<State> = Partial<State> | { void: string };

/** A slice with some of its parts changed. */
export const changedBy = <State extends object>(slice: State, change: Change<State>): SliceStep<State> =>
  'void' in change && typeof change.void === 'string'
    ? voided(slice, change.void)
    : { slice: { ...slice, ...change } };
