import { withoutServerParts, type Entry } from '@/core/logbook';
import type { EntryVerdict } from '@/api/entries';
import type { NoAnswer, Ports } from './ports';
import { backOff_ms, mostEntries, nextBatch, setbackOf } from './send-plan';
import { isAnswer, type ServerLog } from './server-log';
import type { Shelf } from './shelf';

/** Where the entries of the job stand between this device and the server. */
export interface Sending {
  /** Nothing is wrong; no server for now; or the server has something against them. */
  state: 'ok' | 'no-server' | 'held';
  /** What the server has against them, or what is wrong with it; null: it does not answer, or nothing is wrong. */
  why: string | null;
  /** When it is tried again, ms of this device's clock; null: nothing is wrong. */
  nextTry: number | null;
}

/** Sends what waits. */
export interface Sender {
  sending: () => Sending;
  /** Sends all that waits, now, unless the server asked to be left alone. */
  send: () => Promise<void>;
  start: () => void;
  stop: () => void;
}

/** Why not everything was sent; `held`: the server is there, and has something against it. */
type Trouble = NoAnswer & { held: boolean };

const fine: Sending = { state: 'ok', why: null, nextTry: null };

/** Sends entries of a job in order, a post at a time, one tab at a time; nothing is lost for any answer. */
export function createSender(
  jobId: string,
  { shelf, log }: { shelf: Shelf; log: ServerLog },
  { server, tabs, clock }: Ports,
  { changed, heardTime }: { changed: () => void; heardTime: (now: string) => void },
): Sender {
  let sending = fine;
  let failures = 0;
  let most = mostEntries;
  let running = false;
  let busy = false;
  let again = false;
  /** The server asked to be left alone. */
  let leftAlone = false;
  let cancelRetry: (() => void) | null = null;

  async function judge(batch: readonly Entry[], verdicts: readonly EntryVerdict[]): Promise<void> {
    const byId = new Map(verdicts.map((v) => [v.id, v]));
    const taken: Entry[] = [];
    for (const entry of batch) {
      const verdict = byId.get(entry.id);
      if (verdict === undefined) continue;
      if ('kept' in verdict) taken.push(verdict.kept);
      else await shelf.refuse(entry, { why: verdict.refused, problems: verdict.problems });
    }
    // Shown as recorded first, then off the device: a crash between the two sends it again, which is harmless.
    log.take(taken);
    await shelf.forget(taken.map((e) => e.id));
    if (log.hasGap()) void log.catchUp();
  }

  /** A post of one entry that was refused as a whole. @returns what stands in the way of deciding */
  async function judgeAlone(entry: Entry, said: NoAnswer): Promise<NoAnswer | null> {
    // An earlier post of it may have arrived, and its answer not: then the log has it.
    const trouble = await log.read();
    if (trouble !== null) return trouble;
    if (log.isRecorded(entry.id)) await shelf.forget([entry.id]);
    else await shelf.refuse(entry, { why: said.why, problems: [] });
    tabs.tell(jobId, { changed: true });
    return null;
  }

  /** Sends all that waits. @returns what stands in the way; null: nothing waits any more */
  async function sendAll(): Promise<Trouble | null> {
    const parked = new Map<string, NoAnswer>();
    for (;;) {
      const batch = nextBatch(await shelf.queue(), new Set(parked.keys()), most);
      const [first] = batch;
      if (first === undefined) {
        const [trouble] = parked.values();
        return trouble === undefined ? null : { ...trouble, held: true };
      }
      const said = await server.post(jobId, first.by.id, batch.map(withoutServerParts));
      if (isAnswer(said)) {
        heardTime(said.now);
        log.hearGeneration(said.generation);
        await judge(batch, said.verdicts);
        tabs.tell(jobId, { changed: true });
        most = Math.min(mostEntries, most * 2);
        if (batch.some((e) => said.verdicts.some((v) => v.id === e.id))) continue;
        return { status: 0, why: 'The server’s answer cannot be read.', retryAfter_s: null, held: false };
      }
      const setback = setbackOf(said);
      if (setback === 'wait') return { ...said, held: false };
      if (setback === 'park-job') return { ...said, held: true };
      if (setback === 'park-person') parked.set(first.by.id, said);
      else if (batch.length > 1) most = Math.ceil(batch.length / 2);
      else {
        const trouble = await judgeAlone(first, said);
        if (trouble !== null) return { ...trouble, held: false };
      }
    }
  }

  const setSending = (next: Sending) => {
    const same = next.state === sending.state && next.why === sending.why && next.nextTry === sending.nextTry;
    sending = next;
    if (!same) changed();
  };

  /** After a round: when it is tried again, and what is said meanwhile. */
  function settle(trouble: Trouble | null): void {
    if (trouble === null) {
      failures = 0;
      setSending(fine);
      return;
    }
    failures += 1;
    const wait = backOff_ms(failures, clock.random(), trouble.retryAfter_s);
    setSending({
      state: trouble.held ? 'held' : 'no-server',
      why: trouble.held || trouble.status >= 500 ? trouble.why : null,
      nextTry: clock.now() + wait,
    });
    leftAlone = trouble.retryAfter_s !== null;
    cancelRetry = clock.later(wait, () => {
      leftAlone = false;
      void send();
    });
  }

  /** One round, while no other tab sends. */
  async function round(): Promise<Trouble | null> {
    const result: { trouble: Trouble | null } = { trouble: null };
    await tabs
      .exclusively(`send ${jobId}`, async () => {
        result.trouble = await sendAll();
      })
      .catch(() => undefined);
    return result.trouble;
  }

  async function send(): Promise<void> {
    again = true;
    if (busy || !running || leftAlone) return;
    busy = true;
    cancelRetry?.();
    for (let trouble: Trouble | null = null; again && trouble === null;) {
      again = false;
      await shelf.storeAgain();
      trouble = await round();
      settle(trouble);
    }
    busy = false;
  }

  return {
    sending: () => sending,
    send,
    start: () => {
      running = true;
    },
    stop: () => {
      running = false;
      cancelRetry?.();
    },
  };
}
