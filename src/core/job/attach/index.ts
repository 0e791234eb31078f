// A loose sheet attached to a job: its entries once more, in the log of the job.
import { terminalsOf } from '../../equipment/power-stage';
import {
  isLoose,
  isLooseKind,
  withoutServerParts,
  type Entry,
  type JobState,
  type NewEntry,
} from '../../logbook';

/** An entry as it goes into the job, with the one that it is of. */
export interface CarriedEntry {
  entry: NewEntry;
  of: Entry;
}

/** Do both have the same terminals? These decide what the dead proof asks for, and what a reading means. */
function sameTerminals(sheet: JobState, job: JobState): boolean {
  if (sheet.drive === null || job.drive === null) return true;
  const [a, b] = [sheet.drive.stage, job.drive.stage];
  return a.frontEnd === b.frontEnd && terminalsOf(a).join() === terminalsOf(b).join();
}

/**
 * Why a sheet cannot be attached to a job; null: it can.
 * @param sheet its state
 * @param job the state of the job
 */
export function againstAttaching(sheet: JobState, job: JobState): string | null {
  if (!isLoose(sheet)) return 'This is a job, not a loose sheet.';
  if (sheet.moved !== null)
    return `This loose sheet is attached to the job of ${sheet.moved.payload.machine}.`;
  if (job.opened === null || isLoose(job)) return 'Choose a job to attach it to.';
  if (job.swap.signedOff !== null)
    return 'This job is handed over: open a new one for what was measured since.';
  if (!sameTerminals(sheet, job))
    return 'The drive of this job has other terminals than the loose sheet says: its readings would say nothing here. Correct the nameplate of one of them first.';
  return null;
}

/** A value with ids of entries in it replaced. */
function withIds(value: unknown, ids: ReadonlyMap<string, string>): unknown {
  if (typeof value === 'string') return ids.get(value) ?? value;
  if (Array.isArray(value)) return value.map((inner) => withIds(inner, ids));
  if (typeof value !== 'object' || value === null) return value;
  return Object.fromEntries(Object.entries(value).map(([key, inner]) => [key, withIds(inner, ids)]));
}

/**
 * The entries of a sheet as they go into a job: those that count, in their order, under new ids. Nameplates that the job has
 * stay as they are, and so does how its drive was found.
 * @param nextId makes an id for an entry of the job
 */
export function carriedOver(
  sheet: JobState,
  job: { id: string; state: JobState },
  nextId: () => string,
): CarriedEntry[] {
  const isKnown = ({ kind }: Entry): boolean =>
    ((kind === 'identify.drive' || kind === 'identify.stage') && job.state.drive !== null) ||
    (kind === 'identify.motor' && job.state.motor !== null) ||
    (kind.startsWith('as-found.') && job.state.asFound !== null);
  const carried = sheet.log
    .filter((line) => line.void === null && isLooseKind(line.entry.kind) && !isKnown(line.entry))
    .map((line) => line.entry);
  const ids = new Map(carried.map((entry) => [entry.id, nextId()]));
  return carried.map((of) => {
    const { corrects, seen: _seen, ...entry } = withoutServerParts(of);
    const corrected = corrects === undefined ? undefined : ids.get(corrects);
    return {
      of,
      // Kind and payload stay together: only ids in it change.
      entry: {
        ...entry,
        id: ids.get(of.id) ?? entry.id,
        jobId: job.id,
        payload: withIds(entry.payload, ids),
        ...(corrected === undefined ? {} : { corrects: corrected }),
      } as NewEntry,
    };
  });
}
