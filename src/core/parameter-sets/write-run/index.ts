// A run of writes to a drive: its lines, how a broken one is settled, and the report of its end.
import { isCommand, parameterAt, shownAs, type Values } from '../../equipment/drive-words';
import { afterWriting, type PlanStep, type UnitSet } from '../parameters';

/** What a line of a run can be. */
export const lineStates = ['waiting', 'sent', 'taken', 'refused', 'otherwise', 'left-out'] as const;
/** `otherwise`: the drive made another value of it. */
export type LineState = (typeof lineStates)[number];

/** One value of a run, and what became of it. */
export interface WriteLine extends Pick<
  PlanStep,
  'number' | 'name' | 'from' | 'to' | 'shownTo' | 'group' | 'lock'
> {
  state: LineState;
  /** What the drive had when it was read back. */
  found: number | null;
  why: string | null;
}

/** A line of the journal, from a step of the plan; nothing was sent yet. */
export const writeLineOf = ({ number, name, from, to, shownTo, group, lock }: PlanStep): WriteLine => ({
  number,
  name,
  from,
  to,
  shownTo,
  group,
  lock,
  state: 'waiting',
  found: null,
  why: null,
});

/** Nothing more happens to it. */
export const isLineSettled = ({ state }: Pick<WriteLine, 'state'>): boolean =>
  state === 'taken' || state === 'left-out';

/**
 * What became of a value that was sent and of which nothing was heard, by what is in the drive now.
 * @param command an entry that goes back by itself: what it reads says nothing, and it is sent again
 */
export function settledBy(
  { from, to }: Pick<WriteLine, 'from' | 'to'>,
  found: number,
  command: boolean,
): 'taken' | 'waiting' | 'otherwise' {
  if (command) return 'waiting';
  if (found === to) return 'taken';
  // From a value that was not known nothing can be told: it is written again.
  return from === null || found === from ? 'waiting' : 'otherwise';
}

/** How a run can end. */
export const endings = ['as planned', 'as found', 'in between'] as const;
/** How a run ended. */
export type Ending = (typeof endings)[number];

/** A value that is not as it was planned after a run. */
export interface LeftOver {
  number: string;
  name: string;
  planned: string;
  left: string;
  /** What is known of it; null: nothing explains it. */
  why: string | null;
}

/** How a run ended, and what differs from its plan. */
export interface RunReport {
  ending: Ending;
  leftOver: LeftOver[];
}

/** What is known of a value that is not as planned; null: it was taken, and is not there. */
function explained(line: WriteLine | undefined): string | null {
  if (line === undefined || line.state === 'taken') return null;
  if (line.why !== null) return line.why;
  const words: Readonly<Record<Exclude<LineState, 'taken'>, string>> = {
    waiting: 'not written before the run was ended',
    sent: 'sent, result not known when the run was ended',
    refused: 'refused by the drive',
    otherwise: 'drive changed the value',
    'left-out': 'left out by a person',
  };
  return words[line.state];
}

/** What the drive has once every line that counts was written. */
export const plannedBy = (found: UnitSet, lines: readonly WriteLine[]): UnitSet =>
  lines.reduce((set, line) => afterWriting(set, line.number, line.to), found);

/**
 * What is in a drive against what a run was to bring about.
 * @param found what was in it before; @param left what is in it now
 */
export function runReport(found: UnitSet, lines: readonly WriteLine[], left: Values): RunReport {
  const planned = plannedBy(found, lines);
  const counts = found.control.parameters.filter(
    (p) => !p.readOnly && !isCommand(p) && p.concept !== 'lock.code' && p.concept !== 'clock.set',
  );
  const differing = (a: Values, b: Values) =>
    counts.filter(
      (p) => a[p.number] !== b[p.number] && a[p.number] !== undefined && b[p.number] !== undefined,
    );
  const words = (number: string, value: number | undefined): string => {
    const p = parameterAt(found.control, number);
    return p === undefined || value === undefined ? '' : shownAs(p, value);
  };
  const leftOver = differing(planned.values, left).map(({ number, name }): LeftOver => ({
    number,
    name,
    planned: words(number, planned.values[number]),
    left: words(number, left[number]),
    why: explained(lines.find((l) => l.number === number)),
  }));
  const ending: Ending =
    leftOver.every((l) => l.why !== null) && lines.every(wasTried)
      ? 'as planned'
      : differing(found.values, left).length === 0
        ? 'as found'
        : 'in between';
  return { ending, leftOver };
}

const wasTried = ({ state }: WriteLine): boolean => state !== 'waiting' && state !== 'sent';

/** What a run can be told. */
export const runDeeds = ['go-on', 'leave-out', 'pause', 'give-up', 'verify', 'verify-after-power'] as const;
/** An order to a run. */
export type RunDeed = (typeof runDeeds)[number];

/** What a run is at. */
export const runStates = ['writing', 'held', 'ended'] as const;
/** What a run is at. */
export type WriteRunState = (typeof runStates)[number];
