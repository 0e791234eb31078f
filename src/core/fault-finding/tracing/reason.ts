import type { Check, Hazard, TraceTable } from './table';

/** Answers that settle nothing. */
export type SkippedCheck = 'not-now' | 'not-sure' | 'no-tool';
/** Answers that say that a check was not made. */
export const skipped: readonly SkippedCheck[] = ['not-now', 'not-sure', 'no-tool'];

/** The outcome of one check, or why there is none. */
export interface CheckAnswer {
  check: string;
  outcome: string;
}

/** What a hazard weighs, in minutes: isolating and proving dead takes its time too (common practice, no source). */
const hazard_min: Readonly<Record<Hazard, number>> = { none: 0, dead: 6, control: 4, live: 20 };

/** What a check costs, minutes, with those that its hazard adds. */
export const costOf = ({ minutes, hazard }: Check): number => minutes + hazard_min[hazard];

/** Chances of the causes, in the order of the table. */
export function posterior({ causes, checks }: TraceTable, answers: readonly CheckAnswer[]): number[] {
  const raw = causes.map(({ id, weight }) =>
    answers.reduce((p, { check, outcome }) => {
      const said = checks.find((c) => c.id === check)?.outcomes.find((o) => o.id === outcome);
      return said === undefined ? p : p * (said.given[id] ?? said.otherwise);
    }, weight),
  );
  const total = raw.reduce((a, b) => a + b, 0);
  return total > 0 ? raw.map((p) => p / total) : causes.map(() => 1 / causes.length);
}

/**
 * Expected minutes of trying one remedy after the other, likeliest per minute first. With one fault and
 * remedies that show whether they were it, this order is the best there is (Heckerman, Breese, Rommelse:
 * "Decision-theoretic troubleshooting", Communications of the ACM 38 (1995), from memory).
 */
export function tryingMinutes({ causes }: TraceTable, chances: readonly number[]): number {
  const order = causes
    .map(({ cure_min }, i) => ({ p: chances[i] ?? 0, cure_min }))
    .sort((a, b) => b.p / b.cure_min - a.p / a.cure_min);
  let spent = 0;
  let expected = 0;
  for (const { p, cure_min } of order) {
    spent += cure_min;
    expected += p * spent;
  }
  return expected;
}

/** Minutes to be expected from here on if this check is made and remedies are tried after it. */
export function minutesWith(table: TraceTable, chances: readonly number[], check: Check): number {
  return check.outcomes.reduce((sum, { given, otherwise }) => {
    const joint = table.causes.map(({ id }, i) => (chances[i] ?? 0) * (given[id] ?? otherwise));
    const share = joint.reduce((a, b) => a + b, 0);
    return share <= 0
      ? sum
      : sum +
          share *
            tryingMinutes(
              table,
              joint.map((p) => p / share),
            );
  }, costOf(check));
}
