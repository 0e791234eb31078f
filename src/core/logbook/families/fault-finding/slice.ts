import type { Limits } from '../../../bench/make-safe';
import type { Stage } from '../../../equipment/power-stage';
import { isDeadly } from '../../../fault-finding/tracing';
import { timeOf, type EntryOf } from '../../entry';
import { sliceOf, voided } from '../../slice';
import { isSkipped, wasEnergised } from './energised';
import { handsLock } from '../safety/locks';
import type { SafetyState } from '../safety/proof';
import { insulationPassed, type StartUpState } from '../start-up/slice';
import { answer, told } from '../../told';
import { quoted } from '../../../terms';

type Answered = EntryOf<'trace.answered'>;

/** What of a job a trace depends on. */
export interface TracedJob {
  drive: { stage: Stage } | null;
  safety: SafetyState;
  signed: EntryOf<'sheet.signed'> | null;
  startUp: StartUpState;
  traced: readonly Answered[];
}

/** May power return after a fault that kept the drive dead: the bench test says not shorted, and the insulation passed. */
export const isReleased = ({ signed, startUp }: Pick<TracedJob, 'signed' | 'startUp'>): boolean =>
  signed?.payload.verdict === 'not-shorted' && insulationPassed(startUp);

/** The fault of this job that keeps the drive dead, as far as the trace names one. */
export const deadlyTraced = (traced: readonly Answered[]): string | null =>
  traced
    .map(({ payload: { family, shown } }) => [shown, family].find(isDeadly))
    .find((f) => f !== undefined) ?? null;

/** Why an answer does not count; null: it does. */
function answerFault(entry: Answered, job: TracedJob, limits: Limits): string | null {
  if (isSkipped(entry)) return null;
  if (entry.payload.hazard === 'dead') {
    const lock = handsLock(job.safety, job.drive, limits, entry.by, timeOf(entry));
    if (!lock.open) return `A dead check needs a valid dead proof. ${lock.text}`;
  }
  return wasEnergised(entry) && deadlyTraced([...job.traced, entry]) !== null && !isReleased(job)
    ? 'After this fault the drive stays without power until the bench test is not shorted and the insulation test passed.'
    : null;
}

const without = (
  traced: readonly Answered[],
  { family, check }: { family: string; check: string },
): Answered[] => traced.filter(({ payload }) => payload.family !== family || payload.check !== check);

/** Answers of the tracer, in their order; the newest of a check counts. */
export const tracedSlice = sliceOf<readonly Answered[], TracedJob>()({
  key: 'traced',
  init: [],
  kinds: ['trace.answered', 'trace.withdrawn'],
  apply(slice, entry, { job, limits }) {
    if (entry.kind === 'trace.withdrawn') {
      const left = without(slice, entry.payload);
      return left.length === slice.length ? voided(slice, 'No such answer.') : { slice: left };
    }
    const fault = answerFault(entry, job, limits);
    return fault === null ? { slice: [...without(slice, entry.payload), entry] } : voided(slice, fault);
  },
  words: {
    'trace.answered': ({ payload }) => `Checked: ${payload.words}`,
    'trace.withdrawn': () => 'Answer of a check withdrawn',
  },
});

/** Causes that were confirmed. */
export const causesSlice = sliceOf<readonly EntryOf<'trace.confirmed'>[]>()({
  key: 'causes',
  init: [],
  kinds: ['trace.confirmed'],
  apply: (slice, entry) =>
    entry.payload.recreated !== undefined && isDeadly(entry.payload.family)
      ? voided(slice, 'After this fault, never re-create the cause.')
      : { slice: [...slice, entry] },
  words: {
    'trace.confirmed': ({ payload: { name, how, recreated } }) =>
      told(`Cause: ${name}`, [
        quoted(how),
        recreated !== undefined && answer('re-created once:', quoted(recreated)),
      ]),
  },
});
