import { skipped, type CheckAnswer } from './reason';
import type { Check, TraceTable } from './table';

/** Two answers that hardly one cause gives. */
export interface AnswerConflict {
  checks: readonly [string, string];
  text: string;
}

/** A cause must make both answers at least so likely, as a share of what each is likely at best (common practice, no source). */
const hardly = 0.1;

interface Said {
  check: Check;
  words: string;
  /** How likely each cause makes this answer, in the order of the table. */
  likely: number[];
}

function saidBy({ causes, checks }: TraceTable, { check: id, outcome }: CheckAnswer): Said[] {
  const check = checks.find((c) => c.id === id);
  const said = check?.outcomes.find((o) => o.id === outcome);
  if (check === undefined || said === undefined) return [];
  return [{ check, words: said.words, likely: causes.map((c) => said.given[c.id] ?? said.otherwise) }];
}

const most = (list: readonly number[]): number => Math.max(0, ...list);

/**
 * Answers that exclude each other: no single cause of the table gives both. One of them is wrong, there are two faults, or
 * the cause is none of the table's.
 */
export function conflictsIn(table: TraceTable, answers: readonly CheckAnswer[]): AnswerConflict[] {
  const made = answers.filter(({ outcome }) => !skipped.some((s) => s === outcome));
  const said = made.flatMap((answer) => saidBy(table, answer));
  return said.flatMap((one, i) =>
    said.slice(i + 1).flatMap((other): AnswerConflict[] => {
      const checks = [one.check.id, other.check.id] as const;
      if (one.check === other.check)
        return one.words === other.words
          ? []
          : [{ checks, text: `${one.check.what} has two answers: “${one.words}” and “${other.words}”.` }];
      const both = most(one.likely.map((p, k) => p * (other.likely[k] ?? 0)));
      if (both >= hardly * most(one.likely) * most(other.likely)) return [];
      return [
        {
          checks,
          text: `No single cause gives both “${one.words}” (${one.check.what}) and “${other.words}” (${other.check.what}). Repeat one of the two checks; if both are right there are two faults, or a cause that is not in this table.`,
        },
      ];
    }),
  );
}
