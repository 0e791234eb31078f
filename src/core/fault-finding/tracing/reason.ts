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

/** What the first dead check costs before it begins: isolate, lock, wait, prove (common practice, no source), minutes. */
export const proof_min = 25;

/** A remedy that takes this long is made on an isolated drive, and the proof is in its minutes (common practice, no source). */
const handsIn_min = proof_min + 5;

/** What a hazard weighs, in minutes (common practice, no source). A dead check under a proof: hands in, hands out. */
const hazard_min: Readonly<Record<Hazard, number>> = { none: 0, dead: 1, control: 4, moves: 8, live: 20 };

/** Is it made on an isolated drive? */
export const isDead = ({ hazard }: Pick<Check, 'hazard'>): boolean => hazard === 'dead';

/**
 * What a check costs, minutes, with those that its hazard adds.
 * @param proven a dead proof holds: the next dead check costs next to nothing
 */
export const costOf = (check: Check, proven: boolean): number =>
  check.minutes + hazard_min[check.hazard] + (isDead(check) && !proven ? proof_min : 0);

/**
 * Why an answer does not fit the tables in force: no such check, another hazard, an outcome that it does not have.
 * @returns null where it fits
 */
export function answerMisfit(
  tables: readonly TraceTable[],
  { family, check, outcome, hazard }: CheckAnswer & { family: string; hazard?: Hazard | undefined },
): string | null {
  const found = tables.find((t) => t.family === family)?.checks.find((c) => c.id === check);
  const again = 'Reload the page and answer again: the trace table may have been changed.';
  if (found === undefined) return `No such check for this fault. ${again}`;
  if (found.hazard !== hazard) return `This check has another hazard: ${found.hazard}. ${again}`;
  return [...skipped, ...found.outcomes.map((o) => o.id)].includes(outcome)
    ? null
    : `This check has no such outcome. ${again}`;
}

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
 * @param proven a dead proof holds: the first remedy that needs one is spared it
 */
export function tryingMinutes({ causes }: TraceTable, chances: readonly number[], proven = false): number {
  const order = causes
    .map(({ cure_min }, i) => ({ p: chances[i] ?? 0, cure_min }))
    .sort((a, b) => b.p / b.cure_min - a.p / a.cure_min);
  let spent = 0;
  let expected = 0;
  let spared = proven ? proof_min : 0;
  for (const { p, cure_min } of order) {
    spent += cure_min;
    if (cure_min >= handsIn_min) {
      spent -= spared;
      spared = 0;
    }
    expected += p * spent;
  }
  return expected;
}

/** Each outcome that can come: its chance, and the chances of the causes after it. */
function outcomesOf(
  { causes }: TraceTable,
  chances: readonly number[],
  { outcomes }: Check,
): { share: number; after: number[] }[] {
  return outcomes.flatMap(({ given, otherwise }) => {
    const joint = causes.map(({ id }, i) => (chances[i] ?? 0) * (given[id] ?? otherwise));
    const share = joint.reduce((a, b) => a + b, 0);
    return share <= 0 ? [] : [{ share, after: joint.map((p) => p / share) }];
  });
}

/** So many dead checks are looked ahead under one proof. */
const batch = 3;

/** Minutes to be expected where remedies are tried, or more dead checks are made first under the proof that holds. */
function minutesUnderProof(
  table: TraceTable,
  chances: readonly number[],
  dead: readonly Check[],
  depth: number,
): number {
  const trying = tryingMinutes(table, chances, true);
  if (depth === 0) return trying;
  return dead.reduce((best, check) => {
    const others = dead.filter((c) => c !== check);
    const minutes = outcomesOf(table, chances, check).reduce(
      (sum, { share, after }) => sum + share * minutesUnderProof(table, after, others, depth - 1),
      costOf(check, true),
    );
    return Math.min(best, minutes);
  }, trying);
}

/**
 * Minutes to be expected from here on if this check is made and remedies are tried after it. A dead check that has to be preceded
 * by the proof is worth what others under the same proof are worth, too.
 * @param left checks that are still to be had
 * @param proven a dead proof holds
 */
export function minutesWith(
  table: TraceTable,
  chances: readonly number[],
  check: Check,
  { left, proven }: { left: readonly Check[]; proven: boolean },
): number {
  const others = left.filter((c) => isDead(c) && c !== check);
  const stillDead = isDead(check) || (proven && check.hazard === 'none');
  const goneOn = (after: readonly number[]): number =>
    !stillDead
      ? tryingMinutes(table, after)
      : minutesUnderProof(table, after, isDead(check) && !proven ? others : [], batch - 1);
  return outcomesOf(table, chances, check).reduce(
    (sum, { share, after }) => sum + share * goneOn(after),
    costOf(check, proven),
  );
}
