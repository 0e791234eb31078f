import type { Entry } from './entry';
import type { OpenIssue } from './open-issue';
import type { EntryKind } from './payloads';

/** Conclusions of a diode test that may be signed. */
export const staticVerdicts = ['not-shorted', 'faulty', 'doubtful', 'invalid'] as const;
/** What the readings of a diode test lead to. */
export type StaticVerdict = (typeof staticVerdicts)[number];

/** What the server computed from the log when it recorded a signature. A page's claim is compared with it, never taken. */
export interface Verified {
  /** Of a static sheet: what the readings that counted lead to. */
  verdict?: StaticVerdict | undefined;
  /** Of a start-up sheet and a hand-over: what stood against it, with what the drive's type tells. */
  openIssues?: readonly OpenIssue[] | undefined;
}

/** Kinds that count only as the server verified them. */
export const signatureKinds = [
  'sheet.signed',
  'startup.signed',
  'job.signed-off',
] as const satisfies readonly EntryKind[];
/** A kind of signature. */
export type SignatureKind = (typeof signatureKinds)[number];

const kinds: readonly EntryKind[] = signatureKinds;

/** Is it a signature, which is recorded together with what the server verified? */
export const isSignature = ({ kind }: Pick<Entry, 'kind'>): boolean => kinds.includes(kind);

/** Why a signature does not count yet; null: the server has recorded it. */
export const notVerifiedYet = ({ seq }: Pick<Entry, 'seq'>): string | null =>
  seq === undefined ? 'It counts as soon as the server has verified it.' : null;

/** What stands against a signature: as the server verified it, or, before there was that, by the log alone. */
export const issuesAgainst = (
  { verified }: Pick<Entry, 'verified'>,
  byLog: () => readonly OpenIssue[],
): readonly OpenIssue[] => verified?.openIssues ?? byLog();
