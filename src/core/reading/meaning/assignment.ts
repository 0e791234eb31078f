/** What could be meant by one parameter, and how much speaks for it. */
export interface Claim<Id> {
  id: Id;
  /** Against "nothing of the dictionary". */
  nats: number;
  spoke: string[];
}

interface Row<Id> {
  group: string;
  /** How much speaks for something that the dictionary does not have; minus infinity for nothing known. */
  other_nats: number;
  claims: readonly Claim<Id>[];
}

/** What a parameter was given, and what else it could have been. */
export interface Assigned<Id> {
  best: { id: Id; confidence: number } | null;
  others: { id: Id; confidence: number }[];
  spoke: string[];
}

const rounds = 30;
/** Shares of claims below this are not worth telling. */
const leastShare = 0.02;

/**
 * Shares of each claim: rows (parameters) sum to one with "nothing"; columns (meanings) to one at most, since a drive
 * has one parameter for each. Found by scaling rows and columns in turn (Sinkhorn, with slack).
 */
function sharesOf<Id extends string>(
  rows: readonly (readonly { id: Id; nats: number }[])[],
  nothing: readonly number[],
): number[][] {
  // All claims behind one another, with the number of their meaning: this is walked thirty times.
  const numbers = new Map<Id, number>();
  const claims = rows.flat();
  const meaning = Int32Array.from(claims, ({ id }) => {
    const known = numbers.get(id) ?? numbers.size;
    numbers.set(id, known);
    return known;
  });
  const raw = Float64Array.from(claims, ({ nats }) => Math.exp(Math.min(nats, 30)));
  const shares = raw.slice();
  const strength = new Float64Array(numbers.size).fill(1);
  const claimed = new Float64Array(numbers.size);
  for (let round = 0; round < rounds; round += 1) {
    claimed.fill(0);
    let from = 0;
    for (const [row, { length }] of rows.entries()) {
      let total = nothing[row] ?? 1;
      for (let k = from; k < from + length; k += 1) {
        const scaled = (raw[k] ?? 0) * (strength[meaning[k] ?? 0] ?? 1);
        shares[k] = scaled;
        total += scaled;
      }
      for (let k = from; k < from + length; k += 1) {
        const share = (shares[k] ?? 0) / total;
        shares[k] = share;
        claimed[meaning[k] ?? 0] = (claimed[meaning[k] ?? 0] ?? 0) + share;
      }
      from += length;
    }
    let settled = true;
    for (const [id, sum] of claimed.entries()) {
      if (sum <= 1.001) continue;
      settled = false;
      strength[id] = (strength[id] ?? 1) / sum;
    }
    if (settled) break;
  }
  let from = 0;
  return rows.map(({ length }) => {
    const own = [...shares.subarray(from, from + length)];
    from += length;
    return own;
  });
}

/** How much a group that is about one thing speaks for that thing, in nats. */
const company_nats = 1.6;
/** How far neighbours reach, in parameters. */
const reach = 8;
const subjectOf = (id: string): string => id.split('.')[0] ?? id;

/** What neighbours of the same group are about, as a bonus for claims on the same subject. */
function withCompany<Id extends string>(
  rows: readonly Row<Id>[],
  shares: readonly number[][],
): Claim<Id>[][] {
  const subjects = rows.map(({ claims }, i) => {
    const about = new Map<string, number>();
    claims.forEach(({ id }, c) =>
      about.set(subjectOf(id), (about.get(subjectOf(id)) ?? 0) + (shares[i]?.[c] ?? 0)),
    );
    return about;
  });
  return rows.map(({ group, claims }, i) => {
    const company = new Map<string, number>();
    let heard = 0;
    for (let j = Math.max(0, i - reach); j <= Math.min(rows.length - 1, i + reach); j += 1) {
      if (j === i || rows[j]?.group !== group) continue;
      for (const [subject, share] of subjects[j] ?? []) {
        company.set(subject, (company.get(subject) ?? 0) + share);
        heard += share;
      }
    }
    return claims.map((claim) => ({
      ...claim,
      nats:
        heard < 0.5
          ? claim.nats
          : claim.nats + (company_nats * (company.get(subjectOf(claim.id)) ?? 0)) / (heard + 1),
    }));
  });
}

/** A share as a confidence; digits beyond the fourth have no meaning. */
export const asConfidence = (share: number): number => Number(share.toFixed(4));

/** Gives each parameter what it most likely means, each meaning once. */
export function assigned<Id extends string>(rows: readonly Row<Id>[]): Assigned<Id>[] {
  const nothing = rows.map(({ other_nats }) => 1 + Math.exp(Math.min(other_nats, 30)));
  const alone = sharesOf(
    rows.map((row) => row.claims),
    nothing,
  );
  const together = withCompany(rows, alone);
  const shares = sharesOf(together, nothing);
  const order = together
    .flatMap((claims, i) => claims.map((claim, c) => ({ i, claim, share: shares[i]?.[c] ?? 0 })))
    .sort((a, b) => b.share - a.share);
  const taken = new Set<Id>();
  const given = new Map<number, { claim: Claim<Id>; share: number }>();
  for (const { i, claim, share } of order) {
    const rest = 1 - (shares[i] ?? []).reduce((a, b) => a + b, 0);
    if (share <= rest || given.has(i) || taken.has(claim.id)) continue;
    taken.add(claim.id);
    given.set(i, { claim, share });
  }
  return together.map((claims, i) => {
    const mine = given.get(i);
    return {
      best: mine === undefined ? null : { id: mine.claim.id, confidence: asConfidence(mine.share) },
      others: claims
        .map(({ id }, c) => ({ id, confidence: asConfidence(shares[i]?.[c] ?? 0) }))
        .filter(({ id, confidence }) => id !== mine?.claim.id && confidence >= leastShare)
        .sort((a, b) => b.confidence - a.confidence)
        .slice(0, 4),
      spoke: mine?.claim.spoke ?? [],
    };
  });
}
