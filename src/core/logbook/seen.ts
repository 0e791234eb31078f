import type { Live, Slot, Values } from '../equipment/drive-words';
import { timeOf, type EntryOf } from './entry';

/** What is known of the drive's settings and of what it shows. */
export interface SeenDrive {
  values: Values;
  live: Live;
  history: readonly Slot[];
  /** Where it was read over the link last, and when; null: only by a person. */
  target: string | null;
  readAt: number | null;
}

const nothing: SeenDrive = { values: {}, live: {}, history: [], target: null, readAt: null };

/** A read-out stands in the place of all that was known. */
export function seenFromReadOut(entry: EntryOf<'drive.read'>): SeenDrive {
  const { values, live, history, target } = entry.payload;
  return { values, live: live as Live, history, target, readAt: timeOf(entry) };
}

/** What a person saw is put over what was known. */
export function mergeObserved(before: SeenDrive | null, { payload }: EntryOf<'drive.seen'>): SeenDrive {
  const live = payload.live as Live;
  const known = before ?? nothing;
  return {
    ...known,
    values: { ...known.values, ...payload.values },
    live: {
      ...known.live,
      ...live,
      ...(live.inputs === undefined ? {} : { inputs: { ...known.live.inputs, ...live.inputs } }),
      ...(live.serial === undefined ? {} : { serial: { ...known.live.serial, ...live.serial } }),
    },
  };
}

/** What was written and read back is known of the drive. */
export const withWrittenValue = (before: SeenDrive | null, number: string, found: number): SeenDrive => {
  const known = before ?? nothing;
  return { ...known, values: { ...known.values, [number]: found } };
};
