import type { Limits } from '../../../bench/make-safe';
import type { Stage } from '../../../equipment/power-stage';
import { isOpen, lacksSafeReturn, safeReturnWords } from '../../../replacement/wires';
import type { Person } from '../../entry';
import { handsLock } from '../safety/locks';
import { settle, type SafetyState } from '../safety/proof';
import type { SwapState } from './state';

/** What of a job a swap depends on. */
export interface SwapJob {
  safety: SafetyState;
  drive: { stage: Stage } | null;
  swap: SwapState;
}

/** Who is about to do something at the drive, and when (ms). */
export interface Hands {
  job: SwapJob;
  limits: Limits;
  by: Person;
  at: number;
}

type Tasks = NonNullable<SwapState['planned']>['tasks'];

/** Why no hand may go in now, by this person; null: it may. */
function handsHeld({ job: { safety, drive }, limits, by, at }: Hands): string | null {
  // Whoever proved it dead may have been away too long; another person's hand takes nothing over.
  const settled = safety.by?.id === by.id ? settle(safety, by, at) : safety;
  const lock = handsLock(settled, drive, limits, by, at);
  return lock.open ? null : lock.text;
}

/** A wire that nobody knows keeps the old unit in. */
function openWire({ wires }: SwapState): string | null {
  const open = wires.find(isOpen);
  return open === undefined
    ? null
    : `Wire ${String(open.number)} is unknown and not accepted by name: the old unit cannot be removed.`;
}

/** What of the wires keeps the old unit in. */
const wiresHeld = (swap: SwapState): string | null =>
  openWire(swap) ?? (lacksSafeReturn(swap.wires) ? safeReturnWords : null);

/** Why the old unit does not come out; null: it may. @param former by the rules of earlier versions */
export const unitOutHeld = (hands: Hands, former = false): string | null =>
  (former ? openWire : wiresHeld)(hands.job.swap) ?? handsHeld(hands);

/** Why an end at the drive cannot be put on and seen yet; null: it can. The far end is another person's. */
export const tickHeld = (hands: Hands): string | null =>
  hands.job.swap.outAt === null ? 'The old unit is not removed yet.' : unitOutHeld(hands);

/** The task of a plan by which the old unit comes out. */
const outTask = 'out';

/** Is a task only to be begun once another is over, however far on? */
function comesAfter(tasks: Tasks, id: string, earlier: string, seen: ReadonlySet<string>): boolean {
  const after = tasks.find((t) => t.id === id)?.after ?? [];
  const next = new Set([...seen, id]);
  return after.includes(earlier) || after.some((a) => !next.has(a) && comesAfter(tasks, a, earlier, next));
}

/** Why a task cannot be begun or over: it is done with hands in the drive, and none may go in. Null: it can. */
export function taskHeld(hands: Hands, id: string): string | null {
  const { swap } = hands.job;
  const tasks = swap.planned?.tasks ?? [];
  if (tasks.find((t) => t.id === id)?.needs.includes('isolated') !== true) return null;
  if (id === outTask) return unitOutHeld(hands);
  return comesAfter(tasks, id, outTask, new Set()) ? tickHeld(hands) : handsHeld(hands);
}
