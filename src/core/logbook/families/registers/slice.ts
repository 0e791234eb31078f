import { timeOf, type EntryOf, type Person } from '../../entry';
import type { EntryKind, Payload } from '../../payloads';
import { changedBy, sliceOf, type Change } from '../../slice';
import { answer, told } from '../../told';
import { quoted, remark } from '../../../terms';

/** A bridge in a loop that must come out again. */
export interface TemporaryJumper extends Payload<'jumper.set'> {
  /** The entry that set it. */
  id: string;
  by: Person;
  removed: string | null;
}

/** A value that was asked of the drive. */
export interface DriveWrite extends Payload<'drive.write-asked'> {
  id: string;
  by: Person;
  /** Asked: sent, and no word yet of what became of it. */
  outcome: 'asked' | 'done' | 'failed' | 'uncertain';
  askedAt: number;
  /** When it was taken; null: not. */
  doneAt: number | null;
  /** What the drive had when it was read back. */
  found: number | null;
  /** Of a trial: the write that put it back, or why it stays. */
  settled: { restoredBy: string } | { kept: string } | null;
}

/** What must come out again or be put back, and what was walked and recorded. */
export interface Registers {
  jumpers: readonly TemporaryJumper[];
  writes: readonly DriveWrite[];
  loops: readonly EntryOf<'loop.checked'>[];
  trends: readonly EntryOf<'trend.kept'>[];
}

const noRegisters: Registers = { jumpers: [], writes: [], loops: [], trends: [] };

const changedAt = <T extends { id: string }>(list: readonly T[], id: string, change: Partial<T>): T[] =>
  list.map((x) => (x.id === id ? { ...x, ...change } : x));

const ownKinds = [
  'jumper.set',
  'jumper.removed',
  'drive.write-asked',
  'drive.write-done',
  'drive.write-failed',
  'trial.kept',
  'loop.checked',
  'trend.kept',
] as const;

/** They take something off a register, or say what a drive has: no apprentice enters them. */
const takingOff = [
  'jumper.removed',
  'drive.write-asked',
  'drive.write-done',
  'drive.write-failed',
  'trial.kept',
] as const;
const notByApprentices: ReadonlySet<EntryKind> = new Set(takingOff);

/** What one of its entries changes; a reason where it does not count. */
function applyRegister(
  { jumpers, writes, loops, trends }: Registers,
  entry: EntryOf<(typeof ownKinds)[number]>,
): Change<Registers> {
  const unknown = { void: 'The referenced log entry is not in this job.' };
  if (entry.by.role === 'apprentice' && notByApprentices.has(entry.kind))
    return { void: 'Only a technician or the lead can record this.' };
  switch (entry.kind) {
    case 'loop.checked':
      return { loops: [...loops, entry] };
    case 'trend.kept':
      return { trends: [...trends, entry] };
    case 'jumper.set':
      // Also one over a safety function, which is never offered: whoever set it, the register is where it is seen.
      return { jumpers: [...jumpers, { ...entry.payload, id: entry.id, by: entry.by, removed: null }] };
    case 'jumper.removed': {
      const { jumper, how } = entry.payload;
      return jumpers.some((j) => j.id === jumper)
        ? { jumpers: changedAt(jumpers, jumper, { removed: how }) }
        : unknown;
    }
    case 'drive.write-asked': {
      const write: DriveWrite = {
        ...entry.payload,
        id: entry.id,
        by: entry.by,
        outcome: 'asked',
        askedAt: timeOf(entry),
        doneAt: null,
        found: null,
        settled: null,
      };
      return { writes: [...writes, write] };
    }
    case 'drive.write-done': {
      const { asked, found } = entry.payload;
      const write = writes.find((w) => w.id === asked);
      if (write === undefined) return unknown;
      const done = changedAt(writes, asked, { outcome: 'done', found, doneAt: timeOf(entry) });
      return {
        writes:
          write.restores === undefined
            ? done
            : changedAt(done, write.restores, { settled: { restoredBy: asked } }),
      };
    }
    case 'drive.write-failed': {
      const { asked, certain } = entry.payload;
      return writes.some((w) => w.id === asked)
        ? { writes: changedAt(writes, asked, { outcome: certain ? 'failed' : 'uncertain' }) }
        : unknown;
    }
    case 'trial.kept': {
      const { asked, reason } = entry.payload;
      return writes.some((w) => w.id === asked && w.trial)
        ? { writes: changedAt(writes, asked, { settled: { kept: reason } }) }
        : unknown;
    }
  }
}

/** Jumpers that are still in. */
export const openJumpers = ({ jumpers }: Registers): TemporaryJumper[] =>
  jumpers.filter((j) => j.removed === null);

/** Trial values that are still in the drive, or may be. */
export const openTrials = ({ writes }: Registers): DriveWrite[] =>
  writes.filter((w) => w.trial && w.settled === null && w.outcome !== 'failed');

/** Why a job cannot be signed off yet; null: nothing stands against it. */
export function signatureBlocker(registers: Registers): string | null {
  const jumpers = openJumpers(registers).map((j) => j.where);
  const trials = openTrials(registers).map((w) => `${w.number} ${w.name}`);
  return jumpers.length > 0
    ? `A temporary jumper is still fitted: ${jumpers.join(', ')}. Remove it before signing.`
    : trials.length > 0
      ? `A trial value is still in the drive: ${trials.join(', ')}. Restore it, or record why it stays, before signing.`
      : null;
}

/** Jumpers, writes, walked loops, kept trends. */
export const registersSlice = sliceOf<Registers>()({
  key: 'registers',
  init: noRegisters,
  kinds: ownKinds,
  lasting: ['jumper.set', ...takingOff],
  apply: (slice, entry) => changedBy(slice, applyRegister(slice, entry)),
  words: {
    'loop.checked': ({ payload: { input, why, measured, bit } }) =>
      told(`Loop of ${input}: ${why}`, [
        ...measured.map((m) => `after ${m.after} ${m.volts} V`),
        answer('bit', bit),
      ]),
    'jumper.set': ({ payload }) =>
      payload.found === true
        ? `Found jumpered: ${quoted(payload.where)}. Must be removed`
        : `${payload.form === 'jumper' ? 'Temporary jumper' : 'Set to no function'}: ${quoted(payload.where)}, until ${payload.removeBy}, accepted by ${payload.approver}`,
    'jumper.removed': ({ payload }) => `Jumper removed${remark(payload.how)}`,
    'drive.write-asked': ({ payload }) =>
      `To be written: ${payload.number} ${payload.name}, ${payload.shownFrom} to ${payload.shownTo}${payload.trial ? ', a trial' : ''}`,
    'drive.write-done': ({ payload }) => `Written and read back: ${payload.found}`,
    'drive.write-failed': ({ payload }) => `Not written: ${payload.why}`,
    'trial.kept': ({ payload }) => `Trial value stays${remark(payload.reason)}`,
    'trend.kept': ({ payload }) =>
      `Trend saved: ${payload.names.join(', ')}, ${payload.seconds.toFixed(0)} s`,
  },
});
