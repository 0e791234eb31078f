import type { Payload } from '../../payloads';
import { sliceOf } from '../../slice';
import { lookWords, type LookItem } from './vocabulary';

/** What was seen with the power off, by what was looked at; the newest finding of an item counts. */
export const lookSlice = sliceOf<Partial<Record<LookItem, Payload<'look.finding'>>>>()({
  key: 'look',
  init: {},
  kinds: ['look.finding'],
  apply: (slice, { payload }) => ({ slice: { ...slice, [payload.item]: payload } }),
  words: {
    'look.finding': ({ payload }) =>
      `${lookWords[payload.item].name}: ${payload.state === 'clear' ? 'clear' : payload.state === 'found' ? (payload.note ?? 'found') : 'not checked'}`,
  },
});
