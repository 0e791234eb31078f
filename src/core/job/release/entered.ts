import { parameterAt } from '../../equipment/drive-words';
import type { Control, Parameter } from '../../equipment/catalogue';
import { wantedOf, type SheetRow, type TypedValues } from '../../commissioning/settings';
import type { JobState } from '../../logbook';
import { writeOrder } from '../../parameter-sets/parameters';

/** What is known of a value that is to be entered: a paper says no more than happened. */
export const enteredStates = [
  'written and read back',
  'found',
  'requested',
  'requested, found different',
] as const;
/** What is known of a value that is to be entered. */
export type EnteredState = (typeof enteredStates)[number];

type Written = Pick<JobState, 'registers' | 'setRuns' | 'sets'>;

/** Was this value written in this job and read back as it was written, by itself or with a set? */
function wasWritten({ registers, setRuns, sets }: Written, number: string, value: number): boolean {
  const single = registers.writes.some(
    (w) => w.number === number && w.outcome === 'done' && w.found === value,
  );
  const together = setRuns.some(
    ({ set, end }) =>
      end !== null &&
      !end.leftOver.some((l) => l.number === number) &&
      sets.find((s) => s.id === set)?.values[number] === value,
  );
  return single || together;
}

/**
 * What became of a value that was to be entered.
 * @param now what is in the drive; null: nobody read it, or it was reset since
 */
export function enteredState(job: Written, number: string, wanted: number, now: number | null): EnteredState {
  if (now === null) return 'requested';
  if (Math.abs(now - wanted) > 1e-6) return 'requested, found different';
  return wasWritten(job, number, now) ? 'written and read back' : 'found';
}

/** A value of the sheet: where it comes in the order of entering, and what became of it. */
export interface SheetEntry {
  /** Why it is entered where it is. */
  why: string;
  /** Null where nothing is to be entered. */
  state: EnteredState | null;
}

/** The rows of a sheet in the order in which they are entered: what resets others before these. */
export function inWriteOrder(
  rows: readonly SheetRow[],
  control: Pick<Control, 'parameters'>,
): { rows: SheetRow[]; why: Readonly<Record<string, string>> } {
  const parameters = rows.flatMap((row): Parameter[] => {
    const p = parameterAt(control, row.number);
    return p === undefined ? [] : [p];
  });
  const order = writeOrder(parameters);
  const place = new Map(order.map(({ number }, i) => [number, i]));
  return {
    rows: [...rows].sort((a, b) => (place.get(a.number) ?? Infinity) - (place.get(b.number) ?? Infinity)),
    why: Object.fromEntries(order.map(({ number, why }) => [number, why])),
  };
}

/** Each value of the sheet, by its number. */
export const sheetEntries = (
  rows: readonly SheetRow[],
  why: Readonly<Record<string, string>>,
  typed: TypedValues,
  job: Written,
): Readonly<Record<string, SheetEntry>> =>
  Object.fromEntries(
    rows.map((row) => {
      const wanted = wantedOf(row, typed);
      // The drive takes an identification back to none when it has run: what it has now says nothing.
      const now =
        row.concept === 'motor.ident' && wanted !== null && wasWritten(job, row.number, wanted)
          ? wanted
          : row.now;
      const state = wanted === null ? null : enteredState(job, row.number, wanted, now);
      return [row.number, { why: why[row.number] ?? '', state }];
    }),
  );
