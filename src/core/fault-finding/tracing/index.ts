// From an alarm to its cause.
import { costOf, minutesWith, posterior, skipped, tryingMinutes, type CheckAnswer } from './reason';
import type { TraceCause, Check, TraceTable } from './table';

export { posterior, skipped, tryingMinutes, type CheckAnswer, type SkippedCheck } from './reason';
export {
  troubles,
  type TraceCause,
  type Check,
  type Hazard,
  type ReadRule,
  type TraceTable,
  type UnreportedProblem,
} from './table';
export { tablesWith, usualTables } from './usual-tables';
export { driveSays, type DriveFacts, type DriveAnswer } from './drive-says';
export { familyWords } from './family-words';
export { newestBurst, type Burst } from './slots';

/** Where a trace stands: causes with their chances, and the check that saves most. */
export interface Trace {
  /** Every cause with its chance, likeliest first. */
  causes: (TraceCause & { probability: number })[];
  /** The check that saves most, or null where trying the likeliest remedy is better. */
  next: { check: Check; saves_min: number; why: string } | null;
  /** Checks left, best first; the person may take any. */
  others: { check: Check; saves_min: number }[];
}

/** A dead check is preferred to a live one that is worth up to this much more. */
const similar = 1.25;
const isDead = ({ hazard }: Check): boolean => hazard === 'none' || hazard === 'dead';

/** Was something measured dead, with an outcome? */
export const measuredDead = (table: TraceTable, answers: readonly CheckAnswer[]): boolean =>
  answers.some(
    ({ check, outcome }) =>
      !skipped.some((s) => s === outcome) && table.checks.find((c) => c.id === check)?.hazard === 'dead',
  );

/**
 * Where a trace stands and what to check next.
 * @param answers outcomes by check, or why there is none; a check that was skipped is not offered again
 */
export function traceFrom(table: TraceTable, answers: readonly CheckAnswer[]): Trace {
  const chances = posterior(table, answers);
  const ranked = table.causes
    .map((cause, i) => ({ ...cause, probability: chances[i] ?? 0 }))
    .sort((a, b) => b.probability - a.probability);
  const without = tryingMinutes(table, chances);
  const powered = measuredDead(table, answers);
  const left = table.checks
    .filter((c) => !answers.some((a) => a.check === c.id))
    .filter((c) => !table.deadFirst || powered || isDead(c))
    .map((check) => ({ check, saves_min: without - minutesWith(table, chances, check) }))
    .sort((a, b) => b.saves_min - a.saves_min);
  const [best] = left;
  const dead = left.find((l) => isDead(l.check) && l.saves_min > 0);
  const chosen =
    best !== undefined &&
    !isDead(best.check) &&
    dead !== undefined &&
    best.saves_min <= similar * dead.saves_min
      ? dead
      : best;
  const useful = chosen !== undefined && chosen.saves_min > 0 ? chosen : null;
  const [likeliest] = ranked;
  return {
    causes: ranked,
    next:
      useful === null
        ? null
        : {
            ...useful,
            why: `It costs about ${costOf(useful.check).toFixed(0)} minutes, hazard counted in, and saves ${useful.saves_min.toFixed(0)} of ${without.toFixed(0)} to be expected. Likeliest so far: ${likeliest?.name ?? 'nothing'} (${((likeliest?.probability ?? 0) * 100).toFixed(0)} %).`,
          },
    others: left.filter((l) => l !== useful),
  };
}
