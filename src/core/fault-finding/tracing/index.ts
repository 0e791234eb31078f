// From a fault to its cause.
import { conflictsIn, type AnswerConflict } from './conflicts';
import { costOf, isDead, minutesWith, posterior, proof_min, tryingMinutes, type CheckAnswer } from './reason';
import { isDeadly, isEnergised, type TraceCause, type Check, type TraceTable } from './table';

export {
  answerMisfit,
  posterior,
  proof_min,
  skipped,
  tryingMinutes,
  type CheckAnswer,
  type SkippedCheck,
} from './reason';
export {
  deadlyFamilies,
  hazards,
  isDeadly,
  isEnergised,
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
export type { AnswerConflict } from './conflicts';
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
  /** Checks that wait for the bench test and the insulation test. */
  withheld: Check[];
  /** Answers that exclude each other. */
  conflicts: AnswerConflict[];
}

/** What the order of checks depends on beside the answers. */
export interface TraceContext {
  /** A dead proof holds now: another dead check costs next to nothing. */
  proven?: boolean;
  /** The bench test says not shorted and the insulation passed: power may return, limited. */
  released?: boolean;
  /** The family of the fault that the drive shows; it decides what is withheld, whatever table is open. */
  shown?: string | null;
}

/** A check on a drive under control voltage is preferred to a dead one only where it is worth so much more. */
const similar = 1.25;

/** A check that is left, with the minutes that it saves. */
interface Ranked {
  check: Check;
  saves_min: number;
}

/** A question is asked before the drive is isolated for a dead check, where it saves more than this, minutes. */
const worthAsking_min = 1;

/** The one to propose: what saves most, but nothing energised where a dead check or a look will do, and questions before the proof. */
function preferred(left: readonly Ranked[], proven: boolean): Ranked | undefined {
  const [best] = left;
  const harmless = left.find((l) => !isEnergised(l.check.hazard) && l.saves_min > 0);
  // Never live parts where something else will do.
  const factor = best?.check.hazard === 'live' ? Infinity : similar;
  const instead = harmless !== undefined && (best?.saves_min ?? 0) <= factor * harmless.saves_min;
  const chosen = instead ? harmless : best;
  const question = left.find((l) => l.check.hazard === 'none' && l.saves_min > worthAsking_min);
  return chosen !== undefined && isDead(chosen.check) && !proven ? (question ?? chosen) : chosen;
}

/** Must the drive stay without power until bench test and insulation test passed? */
export const staysDead = (table: TraceTable, { released = false, shown }: TraceContext): boolean =>
  !released && (table.deadFirst || isDeadly(table.family) || isDeadly(shown));

/**
 * Where a trace stands and what to check next.
 * @param answers outcomes by check, or why there is none; a check that was skipped is not offered again
 */
export function traceFrom(
  table: TraceTable,
  answers: readonly CheckAnswer[],
  context: TraceContext = {},
): Trace {
  const { proven = false } = context;
  const chances = posterior(table, answers);
  const ranked = table.causes
    .map((cause, i) => ({ ...cause, probability: chances[i] ?? 0 }))
    .sort((a, b) => b.probability - a.probability);
  const without = tryingMinutes(table, chances, proven);
  const unasked = table.checks.filter((c) => !answers.some((a) => a.check === c.id));
  const withheld = staysDead(table, context) ? unasked.filter(({ hazard }) => isEnergised(hazard)) : [];
  const open = unasked.filter((c) => !withheld.includes(c));
  const left = open
    .map((check) => ({
      check,
      saves_min: without - minutesWith(table, chances, check, { left: open, proven }),
    }))
    .sort((a, b) => b.saves_min - a.saves_min);
  const chosen = preferred(left, proven);
  const useful = chosen !== undefined && chosen.saves_min > 0 ? chosen : null;
  const [likeliest] = ranked;
  return {
    causes: ranked,
    next:
      useful === null
        ? null
        : {
            ...useful,
            why: `Takes about ${costOf(useful.check, proven).toFixed(0)} minutes, including isolation time${isDead(useful.check) && !proven ? ` (${proof_min} of them for the dead proof, which also covers the other dead checks)` : ''}, and saves ${useful.saves_min.toFixed(0)} of ${without.toFixed(0)} expected minutes. Most likely so far: ${likeliest?.name ?? 'nothing'} (${((likeliest?.probability ?? 0) * 100).toFixed(0)} %).`,
          },
    others: left.filter((l) => l !== useful),
    withheld,
    conflicts: conflictsIn(table, answers),
  };
}
