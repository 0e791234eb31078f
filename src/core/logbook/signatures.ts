import type { Entry } from './entry';
import type { OpenIssue } from './open-issue';
import type { EntryKind } from './payloads';

/** Kinds that count only as the server verified them. */
const signatureKinds = [
  'sheet.signed',
  'startup.signed',
  'job.signed-off',
] as const satisfies readonly EntryKind[];

const kinds: readonly EntryKind[] = signatureKinds;

/** Is it a signature, which is recorded together with what the server verified? */
export const isSignature = ({ kind }: Pick<Entry, 'kind'>): boolean => kinds.includes(kind);

/** Why a signature does not count yet; null: the server has recorded it. */
export const notVerifiedYet = ({ seq }: Pick<Entry, 'seq'>): string | null =>
  seq === undefined ? 'Valid as soon as the server has verified it.' : null;

/** What stands against a signature: as the server verified it, or, before there was that, by the log alone. */
export const issuesAgainst = (
  { verified }: Pick<Entry, 'verified'>,
  byLog: () => readonly OpenIssue[],
): readonly OpenIssue[] => verified?.openIssues ?? byLog();
