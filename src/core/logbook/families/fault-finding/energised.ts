import { isEnergised, skipped } from '../../../fault-finding/tracing';
import type { EntryOf } from '../../entry';

/** Was the check not made? */
export const isSkipped = ({ payload }: EntryOf<'trace.answered'>): boolean =>
  skipped.some((s) => s === payload.outcome);

/** Was the drive under power for this check? */
export const wasEnergised = (entry: EntryOf<'trace.answered'>): boolean =>
  !isSkipped(entry) && isEnergised(entry.payload.hazard);
