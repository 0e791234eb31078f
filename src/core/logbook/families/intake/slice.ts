import type { EntryOf } from '../../entry';
import type { Payload } from '../../payloads';
import { sliceOf, voided } from '../../slice';
import { told, typedAnswer } from '../../told';
import { remark, type TermsProfile } from '../../../terms';

/** The entry that opened the job. */
export const openedSlice = sliceOf<EntryOf<'job.opened'> | null>()({
  key: 'opened',
  init: null,
  kinds: ['job.opened'],
  apply: (slice, entry) =>
    slice === null || entry.corrects !== undefined
      ? { slice: entry }
      : voided(slice, 'The job is already open.'),
  words: {
    'job.opened': ({ payload }) =>
      `${payload.loose === true ? 'Loose sheet begun' : 'Job opened'}${remark(payload.complaint)}${payload.workOrder === undefined ? '' : `; work order ${payload.workOrder}`}`,
  },
});

/** What was said when the call was taken. */
export const callSlice = sliceOf<Payload<'take.call'> | null>()({
  key: 'call',
  init: null,
  kinds: ['take.call'],
  apply(slice, { payload, by }) {
    const dropped = slice?.signs.some((sign) => !payload.signs.includes(sign)) === true;
    return dropped && by.role === 'apprentice'
      ? voided(slice, 'Only a technician or the lead can clear a danger sign.')
      : { slice: payload };
  },
  words: {
    'take.call': ({ payload: { doing, display, changedLately, signs, terms } }) =>
      told('Call taken', [
        typedAnswer('doing', doing),
        typedAnswer('display', display),
        typedAnswer('changed lately', changedLately),
        terms === 'us' && 'documents in US terms and units',
        signs.length > 0 && signs.map((sign) => sign.replaceAll('-', ' ')).join(', '),
      ]),
  },
});

/** Is it no job, but a loose sheet? */
export const isLoose = ({ opened }: { opened: Pick<EntryOf<'job.opened'>, 'payload'> | null }): boolean =>
  opened?.payload.loose === true;

/**
 * The terms and units of a job's documents: those the customer asked for, the usual ones before.
 * @param state.call what was said when the call was taken
 */
export const termsOfDocuments = ({ call }: { call: Payload<'take.call'> | null }): TermsProfile =>
  call?.terms ?? 'international';
