import type { Probe, Stage, Value } from '../../../equipment/power-stage';
import { timeOf, type EntryOf, type Person } from '../../entry';
import { sliceOf, voided, type SliceContext } from '../../slice';
import { signatureBlocker, type Registers } from '../registers/slice';
import { isNewUnit, type UnitChange } from '../replacement/new-unit';
import { benchLock } from '../safety/locks';
import { settle, type SafetyState } from '../safety/proof';
import { notVerifiedYet } from '../../signatures';
import type { StaticVerdict } from '../../verified';

/** A reading of the diode test that counts. */
export interface KeptReading extends Probe {
  entryId: string;
  value: Value;
  /** ms */
  at: number;
  by: Person;
}

/** Readings that were taken again as a whole, with the reason. */
export interface SetAside {
  reason: string;
  readings: readonly KeptReading[];
}

interface Bench {
  readings: readonly KeptReading[];
  safety: SafetyState;
  drive: { stage: Stage } | null;
  swap: UnitChange;
}

/** A reading counts only while the dead proof holds for the one who takes it. */
function take(
  slice: readonly KeptReading[],
  entry: EntryOf<'static.reading'>,
  { job, limits, grow }: SliceContext<Bench>,
) {
  const at = timeOf(entry);
  const lock = benchLock(settle(job.safety, entry.by, at), job.drive, limits, entry.by, at);
  if (!lock.open) return voided(slice, lock.text);
  const { red, black, value } = entry.payload;
  return { slice: grow(slice, { red, black, value, entryId: entry.id, at, by: entry.by }) };
}

const shown = (value: Value): string =>
  value === 'OL' ? 'OL' : value === 'climbing' ? 'still climbing' : `${value.toFixed(3)} V`;

/** Readings of the diode test, in their order; those of a unit that came out are set aside. */
export const readingsSlice = sliceOf<readonly KeptReading[], Bench>()({
  key: 'readings',
  init: [],
  kinds: ['static.reading', 'static.retake'],
  follows: ['identify.drive'],
  apply(slice, entry, context) {
    switch (entry.kind) {
      case 'static.reading':
        return take(slice, entry, context);
      case 'static.retake':
        return { slice: [] };
      case 'identify.drive':
        return { slice: isNewUnit(context.before) ? [] : slice };
    }
  },
  words: {
    'static.reading': ({ payload }) => `${payload.red} to ${payload.black} ${shown(payload.value)}`,
    'static.retake': ({ payload }) => `Readings set aside, to be repeated: ${payload.reason}`,
  },
});

/** Readings that no longer count as a whole: taken again, or of a unit that came out. */
export const setAsideSlice = sliceOf<readonly SetAside[], Bench>()({
  key: 'setAside',
  init: [],
  kinds: [],
  follows: ['static.retake', 'identify.drive'],
  apply(slice, entry, { before }) {
    if (before.readings.length === 0) return { slice };
    if (entry.kind === 'static.retake')
      return { slice: [...slice, { reason: entry.payload.reason, readings: before.readings }] };
    return isNewUnit(before)
      ? { slice: [...slice, { reason: 'of the old unit', readings: before.readings }] }
      : { slice };
  },
  words: {},
});

interface SheetJob extends Bench {
  registers: Registers;
}

const verdictWords: Readonly<Record<StaticVerdict, string>> = {
  'not-shorted': 'not shorted',
  faulty: 'faulty',
  doubtful: 'doubtful',
  invalid: 'no conclusion',
};

/** What was to be signed against what the server found in the readings; null: the same. */
function claimFault({ payload, verified }: EntryOf<'sheet.signed'>): string | null {
  const found = verified?.verdict;
  return found === undefined || found === payload.verdict
    ? null
    : `The readings in the log lead to “${verdictWords[found]}”, and “${verdictWords[payload.verdict]}” was to be signed: reload the sheet.`;
}

/** The signature under the static sheet: it falls with whatever it was signed without. */
export const signedSlice = sliceOf<EntryOf<'sheet.signed'> | null, SheetJob>()({
  key: 'signed',
  init: null,
  kinds: ['sheet.signed'],
  lasting: ['sheet.signed'],
  follows: [
    'static.reading',
    'static.retake',
    'identify.drive',
    'identify.stage',
    'jumper.set',
    'drive.write-asked',
    'drive.write-done',
    'drive.write-failed',
  ],
  apply(slice, entry, { job, before }) {
    switch (entry.kind) {
      case 'sheet.signed': {
        if (entry.by.role === 'apprentice') return voided(slice, 'Only a technician or the lead can sign.');
        const blocker = signatureBlocker(job.registers) ?? claimFault(entry) ?? notVerifiedYet(entry);
        return blocker === null ? { slice: entry } : voided(slice, blocker);
      }
      case 'static.reading':
      case 'identify.stage':
        return { slice: null };
      case 'static.retake':
        return { slice: before.readings.length === 0 ? slice : null };
      case 'identify.drive':
        return { slice: isNewUnit(before) ? null : slice };
      // A jumper or a trial that comes after the signature takes it off.
      case 'jumper.set':
      case 'drive.write-asked':
      case 'drive.write-done':
      case 'drive.write-failed':
        return { slice: signatureBlocker(job.registers) === null ? slice : null };
    }
  },
  words: {
    'sheet.signed': ({ payload }) => `Static sheet signed: ${payload.headline}`,
  },
});
