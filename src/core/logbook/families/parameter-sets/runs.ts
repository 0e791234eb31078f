import type { Ending, LeftOver } from '../../../parameter-sets/write-run';
import type { KeptSet } from './sets';
import { countOf } from '../../count';
import { timeOf, type EntryOf, type Person } from '../../entry';
import { sliceOf, voided } from '../../slice';
import { quoted } from '../../../terms';

/** A run of writes, as the log tells it. */
export interface SetRun {
  id: string;
  set: string;
  name: string;
  target: string;
  serial: string | null;
  values: number;
  by: Person;
  begunAt: number;
  /** Why it waits; null: it does not. */
  held: string | null;
  end: { at: number; ending: Ending; taken: number; leftOver: readonly LeftOver[] } | null;
  verified: readonly { at: number; afterPower: boolean; ending: Ending; leftOver: readonly LeftOver[] }[];
}

const begun = (entry: EntryOf<'set.write-begun'>): SetRun => {
  const { run: id, set, name, target, serial, values } = entry.payload;
  const begunAt = timeOf(entry);
  return {
    id,
    set,
    name,
    target,
    serial,
    values,
    by: entry.by,
    begunAt,
    held: null,
    end: null,
    verified: [],
  };
};

type LaterEntry = EntryOf<'set.write-held' | 'set.write-resumed' | 'set.write-ended' | 'set.verified'>;

/** What an entry after its beginning changes of a run. */
function changeOf(run: SetRun, entry: LaterEntry): Partial<SetRun> {
  const at = timeOf(entry);
  switch (entry.kind) {
    case 'set.write-held':
      return { held: entry.payload.why };
    case 'set.write-resumed':
      return { held: null };
    case 'set.write-ended': {
      const { ending, taken, leftOver } = entry.payload;
      return { held: null, end: { at, ending, taken, leftOver } };
    }
    case 'set.verified': {
      const { afterPower, ending, leftOver } = entry.payload;
      return { verified: [...run.verified, { at, afterPower, ending, leftOver }] };
    }
  }
}

/** Runs of writes to the drive, the newest last. */
export const setRuns = sliceOf<readonly SetRun[]>()({
  key: 'setRuns',
  init: [],
  kinds: ['set.write-begun', 'set.write-held', 'set.write-resumed', 'set.write-ended', 'set.verified'],
  lasting: ['set.write-begun', 'set.write-held', 'set.write-resumed', 'set.write-ended', 'set.verified'],
  apply(slice, entry) {
    const { run: id } = entry.payload;
    if (entry.kind === 'set.write-begun')
      return { slice: [...slice.filter((r) => r.id !== id), begun(entry)] };
    return slice.some((r) => r.id === id)
      ? { slice: slice.map((r) => (r.id === id ? { ...r, ...changeOf(r, entry) } : r)) }
      : voided(slice, 'This write run is not in this job.');
  },
  words: {
    'set.write-begun': ({ payload }) =>
      `Write started: ${quoted(payload.name)}, ${countOf(payload.values, 'value')}`,
    'set.write-held': ({ payload }) => `Write paused: ${payload.why}`,
    'set.write-resumed': ({ payload }) =>
      `Write continued${payload.leftOut === null ? '' : ` without ${payload.leftOut}`}`,
    'set.write-ended': ({ payload }) =>
      `Write ended: ${payload.ending}, ${countOf(payload.taken, 'value')} accepted, ${countOf(payload.leftOver.length, 'difference')}`,
    'set.verified': ({ payload }) =>
      `Compared again${payload.afterPower ? ' after the power was away' : ''}: ${payload.ending}, ${countOf(payload.leftOver.length, 'difference')}`,
  },
});

/** What was in the drive before a run: the read-out that was newest when it began. */
export const foundBefore = (
  sets: readonly KeptSet[],
  { begunAt }: Pick<SetRun, 'begunAt'>,
): KeptSet | undefined => sets.filter((s) => s.source === 'read-out' && s.at <= begunAt).at(-1);
