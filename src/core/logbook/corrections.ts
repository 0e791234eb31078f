import type { Entry, Person } from './entry';
import { slices } from './job-state';
import type { EntryKind } from './payloads';

/** Kinds that record what happened: they are answered by a new entry and never replaced. */
const lastingKinds: ReadonlySet<EntryKind> = new Set(
  slices.flatMap((slice): readonly EntryKind[] => slice.lasting ?? []),
);

/** May this person correct an entry? Its author may, and the lead. */
export const mayCorrect = (entry: Entry, person: Person): boolean =>
  entry.by.id === person.id || person.role === 'lead';

/** Which entries correct others by the rules of form, and why the rest of them do not. */
export interface Corrections {
  /** By the entry that is corrected: the one that stands in its place. */
  readonly accepted: ReadonlyMap<string, string>;
  /** By the entry that corrects: why it does not count. */
  readonly refused: ReadonlyMap<string, string>;
}

/** No entry corrects another. */
export const noCorrections: Corrections = { accepted: new Map(), refused: new Map() };

/** Why an entry may not correct another that came before it; null: it may, as far as its form goes. */
function correctionFault(entry: Entry, target: Entry | undefined, taken: boolean): string | null {
  if (target === undefined) return 'The corrected log entry is not an earlier entry of this job.';
  if (target.kind !== entry.kind) return 'A log entry can only be corrected by an entry of the same kind.';
  if (lastingKinds.has(entry.kind)) return 'This event cannot be corrected: make a new log entry instead.';
  if (!mayCorrect(target, entry.by)) return `Only ${target.by.name} or the lead can correct this.`;
  return taken ? 'This log entry was corrected before: correct the newer one.' : null;
}

/**
 * The corrections in a log that are right by their form.
 * @param ordered entries in the order of the fold
 */
export function formalCorrections(ordered: readonly Entry[]): Corrections {
  if (!ordered.some((e) => e.corrects !== undefined)) return noCorrections;
  const earlier = new Map<string, Entry>();
  const accepted = new Map<string, string>();
  const refused = new Map<string, string>();
  for (const entry of ordered) {
    const { corrects } = entry;
    if (corrects !== undefined) {
      const fault = correctionFault(entry, earlier.get(corrects), accepted.has(corrects));
      if (fault === null) accepted.set(corrects, entry.id);
      else refused.set(entry.id, fault);
    }
    earlier.set(entry.id, entry);
  }
  return { accepted, refused };
}

/** The same without those whose own entry does not count. */
export const withoutVoid = (
  { accepted, refused }: Corrections,
  isVoid: ReadonlySet<string>,
): Corrections => ({
  accepted: new Map([...accepted].filter(([, by]) => !isVoid.has(by))),
  refused,
});
