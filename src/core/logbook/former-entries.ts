import type { NewEntry } from './entry';

/** Fields that entries of a kind have had since a rule came with them. */
const later = {
  'power.planned': 'stopAbove_V',
  'power.probes': 'category',
  'power.gates': 'minus',
  'trace.answered': 'hazard',
} as const;

const fieldOf = (kind: string): string | undefined => Object.entries(later).find(([k]) => k === kind)?.[1];

/**
 * An entry as only earlier versions made it: what is in the log is read by the rules of then, and nothing is added that would
 * get round the rules of now.
 */
export function isFormerEntry({ kind, payload }: Pick<NewEntry, 'kind' | 'payload'>): boolean {
  if (kind === 'safety.meter') return true;
  const field = fieldOf(kind);
  return field !== undefined && !Object.hasOwn(payload, field);
}
