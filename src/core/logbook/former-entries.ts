import type { NewEntry } from './entry';
import { isOfToday } from './version';

/** Fields that entries of a kind have had since a rule came with them. */
const later = {
  'power.planned': 'stopAbove_V',
  'power.probes': 'category',
  'power.gates': 'minus',
  'trace.answered': 'hazard',
} as const;

const fieldOf = (kind: string): string | undefined => Object.entries(later).find(([k]) => k === kind)?.[1];

/** Is something left open at a hand-over without a reason? */
const withoutReason = (payload: object): boolean =>
  'open' in payload &&
  Array.isArray(payload.open) &&
  payload.open.some((one: unknown) => typeof one === 'object' && one !== null && !('reason' in one));

/**
 * An entry as only earlier versions made it: what is in the log is read by the rules of then, and nothing is added that would
 * get round the rules of now.
 */
export function isFormerEntry({ v, kind, payload }: Pick<NewEntry, 'v' | 'kind' | 'payload'>): boolean {
  if (!isOfToday({ v, kind })) return true;
  if (kind === 'safety.meter') return true;
  if (kind === 'job.signed-off') return withoutReason(payload);
  const field = fieldOf(kind);
  return field !== undefined && !Object.hasOwn(payload, field);
}
