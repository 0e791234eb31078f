import { extend, fold, type Entry, type FoldContext, type JobState } from '@/core/logbook';
import type { Clock, JobServer, NoAnswer } from './ports';
import { backOff_ms } from './send-plan';

/** The log of the server, as far as it has come here. */
export interface ServerLog {
  state: () => JobState;
  isRecorded: (id: string) => boolean;
  /** The database was restored from a backup since the page was opened: its log was read anew. */
  startedOver: () => boolean;
  /** Which life of the database an answer is of; in another one nothing counts that is known here. */
  hearGeneration: (generation: string) => void;
  /** Takes entries from wherever they come; they count as far as they follow without a gap. */
  take: (entries: readonly Entry[]) => void;
  /** Some have come before the ones between them and the rest. */
  hasGap: () => boolean;
  /** Asks once for all that the server has more. @returns why it could not */
  read: () => Promise<NoAnswer | null>;
  /** Asks until it has come. */
  catchUp: () => Promise<void>;
  start: () => void;
  stop: () => void;
}

/** An answer of the server, or why there is none? */
export const isAnswer = <A extends object>(said: A | NoAnswer): said is A => !('status' in said);

/**
 * The log of the server.
 * @param initial entries that came with the page, in order and without a gap
 * @param generation the life of the database that they are from
 * @param arrived hears of the ids that were added
 */
export function createServerLog(
  {
    jobId,
    initial,
    generation: life,
    context,
  }: { jobId: string; initial: readonly Entry[]; generation: string; context: FoldContext },
  { server, clock }: { server: JobServer; clock: Clock },
  { arrived, heardTime }: { arrived: (ids: ReadonlySet<string>) => void; heardTime: (now: string) => void },
): ServerLog {
  let state = fold(initial, context);
  let generation = life;
  let startedOver = false;
  const ahead = new Map<number, Entry>();
  let running = false;
  let catching = false;
  let again = false;
  let failures = 0;
  let cancel: (() => void) | null = null;

  function take(entries: readonly Entry[]): void {
    for (const entry of entries)
      if (entry.seq !== undefined && entry.seq > state.seq) ahead.set(entry.seq, entry);
    const next: Entry[] = [];
    for (let seq = state.seq + 1; ; seq += 1) {
      const entry = ahead.get(seq);
      if (entry === undefined) break;
      next.push(entry);
      ahead.delete(seq);
    }
    if (next.length === 0) return;
    state = extend(state, next, context);
    arrived(new Set(next.map((e) => e.id)));
  }

  function hearGeneration(now: string): void {
    if (now === generation) return;
    generation = now;
    startedOver = true;
    state = fold([], context);
    ahead.clear();
    arrived(new Set());
  }

  async function read(): Promise<NoAnswer | null> {
    for (;;) {
      const said = await server.after(jobId, state.seq);
      if (!isAnswer(said)) return said;
      heardTime(said.now);
      if (said.generation !== generation) {
        hearGeneration(said.generation);
        continue;
      }
      const before = state.seq;
      take(said.entries);
      // Only what brought something goes on: an answer that does not follow must not be asked for for ever.
      if (!said.more || state.seq === before) return null;
    }
  }

  /** Each piece of news comes once: it is asked again until the entries are here. */
  async function catchUp(): Promise<void> {
    again = true;
    if (catching) return;
    catching = true;
    cancel?.();
    for (; again && running; failures = 0) {
      again = false;
      const trouble = await read();
      if (trouble === null) continue;
      failures += 1;
      const wait = backOff_ms(failures, clock.random(), trouble.retryAfter_s);
      cancel = clock.later(wait, () => {
        if (running) void catchUp();
      });
      break;
    }
    catching = false;
  }

  return {
    state: () => state,
    startedOver: () => startedOver,
    hearGeneration,
    isRecorded: (id) => state.log.some((line) => line.entry.id === id),
    take,
    hasGap: () => ahead.size > 0,
    read,
    catchUp,
    start: () => {
      running = true;
    },
    stop: () => {
      running = false;
      cancel?.();
    },
  };
}
