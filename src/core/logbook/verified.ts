import type { OpenIssue } from './open-issue';

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
