import type { Limits } from '../bench/make-safe';
import { formalCorrections, noCorrections, withoutVoid, type Corrections } from './corrections';
import { inOrder, type Entry } from './entry';
import { slices, type JobState } from './job-state';
import { lift } from './lift';
import type { LogLine } from './log-line';
import { openIssues } from './open-issues';
import { overwrittenUnseen } from './overwritten';
import type { EntryKind } from './payloads';
import type { AnySlice, Grow, SliceStep } from './slice';

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
  followersOfVoid: readonly AnySlice[];
}

/** Who judges a kind of entry, and who follows it. */
const routes: ReadonlyMap<EntryKind, Route> = (() => {
  const all: readonly AnySlice[] = slices;
  return new Map(
    all.flatMap((own) =>
      own.kinds.map((kind): [EntryKind, Route] => {
        const followers = all.filter((other) => other.follows?.includes(kind));
        return [
          kind,
          { own, followers, followersOfVoid: followers.filter((other) => other.followsVoid === true) },
        ];
      }),
    ),
  );
})();

type Slices = JobState & Record<string, unknown>;

/** One run of the fold. A copy of the job for each entry is felt, so it works on two of its own. */
interface Run extends FoldContext {
  grow: Grow;
  /** The job before the entry. */
  before: Slices;
  /** The job with what the entry changes. */
  job: Slices;
}

/** Takes one more entry into a run. @returns why the entry does not count; null: it does */
function take(run: Run, entry: Entry): string | null {
  const { before, job } = run;
  const route = routes.get(entry.kind);
  // Of a newer program, perhaps: it stays in the log.
  if (route === undefined) return 'Unknown kind of log entry.';
  const limits = entry.limits ?? run.limits;
  const apply = (slice: AnySlice, reason: string | null): SliceStep<unknown> =>
    slice.apply(job[slice.key], entry, {
      job,
      before,
      limits,
      void: reason,
      grow: run.grow,
      openIssues: () => openIssues(before),
    });
  const { slice: own, void: reason = null } = apply(route.own, null);
  if (reason === null) job[route.own.key] = own;
  const followers = reason === null ? route.followers : route.followersOfVoid;
  // Each follower sees what those before it made of the job.
  for (const follower of followers) job[follower.key] = apply(follower, reason).slice;
  before[route.own.key] = job[route.own.key];
  for (const { key } of followers) before[key] = job[key];
  return reason;
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

/** A job gone on by entries in the order of the fold. */
function goOn(
  begun: JobState,
  ordered: readonly Entry[],
  { accepted, refused }: Corrections,
  context: FoldContext,
): JobState {
  const run: Run = { ...context, grow: growing(), before: { ...begun }, job: { ...begun } };
  const lines: LogLine[] = [];
  let { seq } = begun;
  for (const entry of ordered) {
    const correctedBy = accepted.get(entry.id) ?? null;
    let reason = refused.get(entry.id) ?? null;
    if (correctedBy === null && reason === null) reason = take(run, entry);
    const unseen =
      reason === null && correctedBy === null ? overwrittenUnseen([begun.log, lines], entry) : null;
    lines.push({ entry, void: reason, correctedBy, unseen });
    seq = Math.max(seq, entry.seq ?? 0);
  }
  return { ...run.job, seq, log: begun.log.concat(lines) };
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
