import type { Limits } from '../bench/make-safe';
import { formalCorrections, noCorrections, withoutVoid, type Corrections } from './corrections';
import { inOrder, type Entry } from './entry';
import { slices, type JobState } from './job-state';
import { lift } from './lift';
import type { LogLine } from './log-line';
import { openIssues } from './open-issues';
import { overwrittenUnseen } from './overwritten';
import type { EntryKind } from './payloads';
import type { AnySlice, Grow, SliceContext } from './slice';

/** What the fold needs beside the entries. */
export interface FoldContext {
  /** The site's limits now, for entries that the server has not kept yet; a kept one carries its own. */
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
function applied(
  before: JobState,
  entry: Entry,
  run: FoldContext & { grow: Grow },
): [JobState, string | null] {
  const route = routes.get(entry.kind);
  // Of a newer program, perhaps: it stays in the log.
  if (route === undefined) return [before, 'This program does not know this kind of entry.'];
  const limits = entry.limits ?? run.limits;
  const context = (job: JobState, reason: string | null): SliceContext<JobState> => ({
    job,
    before,
    limits,
    void: reason,
    grow: run.grow,
    openIssues: () => openIssues(before),
  });
  const judged = route.own.apply(sliceIn(before, route.own), entry, context(before, null));
  const reason = judged.void ?? null;
  // One copy for all slices that change: whoever looks at the job sees what those before it made of it.
  const job: JobState & Record<string, unknown> = { ...before };
  if (reason === null) job[route.own.key] = judged.slice;
  for (const follower of route.followers) {
    if (reason !== null && follower.followsVoid !== true) continue;
    job[follower.key] = follower.apply(sliceIn(job, follower), entry, context(job, reason)).slice;
  }
  return [job, reason];
}

/** Grows lists that it has made itself in place, and copies all others: one for each run. */
function growing(): Grow {
  const own = new WeakSet<object>();
  return (list, item) => {
    if (own.has(list)) {
      // It was made here, as an array, and nobody outside has it yet.
      (list as (typeof item)[]).push(item);
      return list;
    }
    const longer = [...list, item];
    own.add(longer);
    return longer;
  };
}

/** A job gone on by entries in the order of the fold. The log grows in one array: copying it for each entry is felt. */
function goOn(
  begun: JobState,
  ordered: readonly Entry[],
  { accepted, refused }: Corrections,
  context: FoldContext,
): JobState {
  const run = { ...context, grow: growing() };
  const log: LogLine[] = [...begun.log];
  let { seq } = begun;
  let job = begun;
  for (const entry of ordered) {
    const correctedBy = accepted.get(entry.id) ?? null;
    let reason = refused.get(entry.id) ?? null;
    if (correctedBy === null && reason === null) [job, reason] = applied(job, entry, run);
    const unseen = reason === null && correctedBy === null ? overwrittenUnseen(log, entry) : null;
    log.push({ entry, void: reason, correctedBy, unseen });
    seq = Math.max(seq, entry.seq ?? 0);
  }
  return { ...job, seq, log };
}

/** The state of a job from its entries, in whatever order and however often they arrived. */
export function fold(entries: readonly Entry[], context: FoldContext): JobState {
  const ordered = inOrder(entries).map(lift);
  let corrections = formalCorrections(ordered);
  for (;;) {
    const job = goOn(emptyJob, ordered, corrections, context);
    const { accepted } = corrections;
    if (accepted.size === 0) return job;
    // A correction that does not count leaves what it was to correct: the set only shrinks, so this ends.
    const correcting = new Set(accepted.values());
    const failed = new Set(
      job.log.flatMap((line) => (line.void !== null && correcting.has(line.entry.id) ? [line.entry.id] : [])),
    );
    if (failed.size === 0) return job;
    corrections = withoutVoid(corrections, failed);
  }
}

/**
 * The same, going on from a state: only the new entries are looked at, unless one of them corrects
 * an earlier one or comes out of order.
 * @param state of a log without gaps: it has every entry up to its seq
 * @param more entries that the server has, old and new, or ones that wait and are not in the log yet
 */
export function extend(state: JobState, more: readonly Entry[], context: FoldContext): JobState {
  const fresh = inOrder(more).filter((e) => e.seq === undefined || e.seq > state.seq);
  const [first] = fresh;
  if (first === undefined) return state;
  const last = state.log[state.log.length - 1]?.entry;
  // The log is in order, so its last line tells whether all of it has been numbered.
  const follows =
    last === undefined ||
    (last.seq === undefined
      ? first.seq === undefined && first.id > last.id
      : (first.seq ?? Infinity) > state.seq);
  if (!follows || fresh.some((e) => e.corrects !== undefined))
    return fold([...state.log.map((l) => l.entry), ...more], context);
  return goOn(state, fresh.map(lift), noCorrections, context);
}
