import type { Entry } from './entry';

/**
 * Brings a stored entry to the newest shape of its kind. Stored entries are never re-parsed by the
 * newest schema alone: a step from the old shape stands here.
 */
export const lift = (entry: Entry): Entry =>
  entry.kind === 'commission.step' && entry.payload.step === 'safety-safe stop'
    ? { ...entry, payload: { ...entry.payload, step: 'safety-STO' } }
    : entry;
