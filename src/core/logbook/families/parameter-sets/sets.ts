import type { Rating, Values } from '../../../equipment/drive-words';
import { countOf } from '../../count';
import { timeOf, type EntryOf, type Person } from '../../entry';
import { sliceOf, voided } from '../../slice';
import { quoted, remark } from '../../../terms';

/** A set of values as it was at some moment; it never changes. */
export interface KeptSet {
  /** The entry that brought it. */
  id: string;
  name: string;
  typeId: string;
  /** What the unit is rated for; null: as the drive of the job. */
  rating: Rating | null;
  values: Values;
  strangers: readonly { number: string; text: string }[];
  source: 'read-out' | 'file' | 'typed' | 'translated';
  /** Of the unit it came from, where it says. */
  serial: string | null;
  firmware: string | null;
  /** The set it was made from. */
  from: string | null;
  /** Why it is the one to go back to; null: nobody said so. */
  good: string | null;
  by: Person;
  at: number;
}

/** A read-out is a set. */
const setOfReadOut = (entry: EntryOf<'drive.read'>): KeptSet => ({
  id: entry.id,
  name: `Read-out of ${entry.payload.identity.vendor} ${entry.payload.identity.product}`,
  typeId: entry.payload.typeId,
  rating: null,
  values: entry.payload.values,
  strangers: [],
  source: 'read-out',
  serial: entry.payload.serial ?? null,
  firmware: entry.payload.identity.revision || null,
  from: null,
  good: null,
  by: entry.by,
  at: timeOf(entry),
});

const keptSet = ({ id, payload, by, ...entry }: EntryOf<'set.kept'>): KeptSet => ({
  id,
  name: payload.name,
  typeId: payload.typeId,
  rating: payload.rating,
  values: payload.values,
  strangers: payload.strangers,
  source: payload.source,
  serial: payload.serial ?? null,
  firmware: payload.firmware ?? null,
  from: payload.from ?? null,
  good: null,
  by,
  at: timeOf({ id, payload, by, ...entry }),
});

/** Sets of values: every read-out, and what came otherwise. */
export const sets = sliceOf<readonly KeptSet[]>()({
  key: 'sets',
  init: [],
  kinds: ['set.kept', 'set.good'],
  follows: ['drive.read'],
  apply(slice, entry) {
    switch (entry.kind) {
      case 'drive.read':
        return { slice: [...slice, setOfReadOut(entry)] };
      case 'set.kept':
        return { slice: [...slice, keptSet(entry)] };
      case 'set.good': {
        const { set, why } = entry.payload;
        return slice.some((s) => s.id === set)
          ? { slice: slice.map((s) => (s.id === set ? { ...s, good: why } : s)) }
          : voided(slice, 'This parameter set is not in this job.');
      }
    }
  },
  words: {
    'set.kept': ({ payload }) =>
      `Set saved: ${quoted(payload.name)}, ${countOf(Object.keys(payload.values).length, 'value')}`,
    'set.good': ({ payload }) => `Marked as good${remark(payload.why)}`,
  },
});
