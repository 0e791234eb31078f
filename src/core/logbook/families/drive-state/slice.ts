import type { Live, Slot, Values } from '../../../equipment/drive-words';
import { countOf } from '../../count';
import { timeOf, type EntryOf } from '../../entry';
import { sliceOf } from '../../slice';
import type { DriveWrite, Registers } from '../registers/slice';
import { isNewUnit, type UnitChange } from '../replacement/new-unit';
import { told } from '../../told';

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
function seenFromReadOut(entry: EntryOf<'drive.read'>): SeenDrive {
  const { values, live, history, target } = entry.payload;
  return { values, live, history, target, readAt: timeOf(entry) };
}

/** What a person saw is put over what was known. */
function mergeObserved(before: SeenDrive | null, { payload }: EntryOf<'drive.seen'>): SeenDrive {
  const live = payload.live;
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

/** The values that a write leaves alone: what it resets is not known before it is read again. */
const untouched = (values: Values, resets: DriveWrite['resets']): Values =>
  resets === 'all'
    ? {}
    : Object.fromEntries(Object.entries(values).filter(([n]) => resets?.includes(n) !== true));

/** Nobody knows whether it was written: neither its value nor what it resets is known. */
const afterUncertainWrite = (before: SeenDrive | null, { number, resets }: DriveWrite): SeenDrive | null => {
  if (before === null) return null;
  const { [number]: _, ...others } = before.values;
  return { ...before, values: untouched(others, resets) };
};

/** What was written and read back is known of the drive; what it reset is not, before it is read again. */
const withWrittenValue = (
  before: SeenDrive | null,
  { number, resets }: Pick<DriveWrite, 'number' | 'resets'>,
  found: number,
): SeenDrive => {
  const known = before ?? nothing;
  return { ...known, values: { ...untouched(known.values, resets), [number]: found } };
};

/** A live value as it was read: "bus volts 540", "DI1 on". */
function shownLive(what: string, value: unknown): string {
  if (typeof value === 'object' && value !== null)
    return Object.entries(value)
      .map(([id, on]) => `${id} ${on === true ? 'on' : 'off'}`)
      .join(', ');
  const name = what
    .replace(/_[A-Za-z]+$/, '')
    .replace(/[A-Z][a-z]/g, (capital) => ` ${capital.toLowerCase()}`);
  return `${name} ${value === null ? 'none' : String(value)}`;
}

/** What is known of the drive; null before anybody looked, and of a unit that was just put in. */
export const seenSlice = sliceOf<SeenDrive | null, { registers: Registers; swap: UnitChange }>()({
  key: 'seen',
  init: null,
  kinds: ['drive.read', 'drive.seen'],
  follows: ['drive.write-done', 'drive.write-failed', 'identify.drive'],
  apply(slice, entry, { job, before }) {
    switch (entry.kind) {
      case 'drive.read':
        return { slice: seenFromReadOut(entry) };
      case 'drive.seen':
        return { slice: mergeObserved(slice, entry) };
      case 'drive.write-done': {
        const { asked, found } = entry.payload;
        const write = job.registers.writes.find((w) => w.id === asked);
        return { slice: write === undefined ? slice : withWrittenValue(slice, write, found) };
      }
      case 'drive.write-failed': {
        const { asked, certain } = entry.payload;
        const write = certain ? undefined : job.registers.writes.find((w) => w.id === asked);
        return { slice: write === undefined ? slice : afterUncertainWrite(slice, write) };
      }
      case 'identify.drive':
        return { slice: isNewUnit(before) ? null : slice };
    }
  },
  words: {
    'drive.read': ({ payload }) =>
      `Read out of ${payload.identity.vendor} ${payload.identity.product} at ${payload.target}: ${countOf(Object.keys(payload.values).length, 'value')}`,
    'drive.seen': ({ payload: { values, live } }) =>
      told('Read off the display', [
        ...Object.entries(values).map(([number, value]) => `${number} = ${value}`),
        ...Object.entries(live).map(([what, value]) => shownLive(what, value)),
      ]),
  },
});
