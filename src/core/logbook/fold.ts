import type { Limits } from '../bench/make-safe';
import { inOrder, type Entry } from './entry';
import { slices, type JobState } from './job-state';
import { lift } from './lift';
import type { LogLine } from './log-line';
import { openIssues } from './open-issues';
import type { EntryKind } from './payloads';
import type { AnySlice, SliceContext } from './slice';

/** What the fold needs beside the entries: the site's limits. */
export interface FoldContext {
  limits: Limits;
}

// What the slices begin with, and an empty log, are a job: its type is made of the same list.
/** A job before its first entry. */
export const emptyJob = Object.fromEntries([
  ...slices.map((slice): [string, unknown] => [slice.key, slice.init]),
  ['log', []],
  ['seq', 0],
]) as unknown as JobState;

interface Route {
  own: AnySlice;
  followers: readonly AnySlice[];
}

/** Who judges a kind of entry, and who follows it. */
const routes: ReadonlyMap<EntryKind, Route> = (() => {
  const all: readonly AnySlice[] = slices;
  return new Map(
    all.flatMap((own) =>
      own.kinds.map((kind): [EntryKind, Route] => [
        kind,
        { own, followers: all.filter((other) => other.follows?.includes(kind)) },
      ]),
    ),
  );
})();

const sliceIn = (job: JobState, { key }: AnySlice): unknown => job[key as keyof JobState];

/** The job after one more entry, and why the entry does not count; null: it does. */
function applied(before: JobState, entry: Entry, { limits }: FoldContext): [JobState, string | null] {
  const route = routes.get(entry.kind);
  // Of a newer program, perhaps: it stays in the log.
  if (route === undefined) return [before, 'This program does not know this kind of entry.'];
  const context = (job: JobState, reason: string | null): SliceContext<JobState> => ({
    job,
    before,
    limits,
    void: reason,
    openIssues: () => openIssues(before),
  });
  const judged = route.own.apply(sliceIn(before, route.own), entry, context(before, null));
  const reason = judged.void ?? null;
  const first = reason === null ? { ...before, [route.own.key]: judged.slice } : before;
  const job = route.followers.reduce((so_far, follower) => {
    if (reason !== null && follower.followsVoid !== true) return so_far;
    const slice = sliceIn(so_far, follower);
    const next = follower.apply(slice, entry, context(so_far, reason)).slice;
    return next === slice ? so_far : { ...so_far, [follower.key]: next };
  }, first);
  return [job, reason];
}

function append(
  state: JobState,
  entry: Entry,
  corrected: ReadonlyMap<string, string>,
  context: FoldContext,
): JobState {
  const correctedBy = corrected.get(entry.id) ?? null;
  const [job, reason] = correctedBy === null ? applied(state, entry, context) : [state, null];
  const line: LogLine = { entry, void: reason, correctedBy };
  return { ...job, seq: Math.max(state.seq, entry.seq ?? 0), log: [...state.log, line] };
}

/** Which entries were put right by which; a correction counts only on an entry of its own kind and job. */
function corrections(entries: readonly Entry[]): Map<string, string> {
  const byId = new Map(entries.map((e) => [e.id, e]));
  return new Map(
    entries.flatMap((e) => {
      const target = e.corrects === undefined ? undefined : byId.get(e.corrects);
      return target !== undefined && target.kind === e.kind && target.id !== e.id ? [[target.id, e.id]] : [];
    }),
  );
}

/** The state of a job from its entries, in whatever order and however often they arrived. */
export function fold(entries: readonly Entry[], context: FoldContext): JobState {
  const ordered = inOrder(entries).map(lift);
  const corrected = corrections(ordered);
  return ordered.reduce((state, entry) => append(state, entry, corrected, context), emptyJob);
}

/**
 * The same, going on from a state: only the new entries are looked at, unless one of them corrects
 * an earlier one or comes out of order.
 */
export function extend(state: JobState, more: readonly Entry[], context: FoldContext): JobState {
  const known = new Set(state.log.map((l) => l.entry.id));
  const fresh = inOrder(more).filter((e) => !known.has(e.id));
  if (fresh.length === 0) return state;
  const inSequence = fresh.every((e) => e.corrects === undefined && e.seq !== undefined && e.seq > state.seq);
  const settledLog = state.log.every((l) => l.entry.seq !== undefined);
  if (!inSequence || !settledLog) return fold([...state.log.map((l) => l.entry), ...more], context);
  const none = new Map<string, string>();
  return fresh.map(lift).reduce((s, entry) => append(s, entry, none, context), state);
}
