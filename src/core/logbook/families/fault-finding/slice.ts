import type { EntryOf } from '../../entry';
import { sliceOf } from '../../slice';

/** Answers of the tracer, in their order; the newest of a check counts. */
export const tracedSlice = sliceOf<readonly EntryOf<'trace.answered'>[]>()({
  key: 'traced',
  init: [],
  kinds: ['trace.answered'],
  apply(slice, entry) {
    const { family, check } = entry.payload;
    const others = slice.filter(({ payload }) => payload.family !== family || payload.check !== check);
    return { slice: [...others, entry] };
  },
  words: {
    'trace.answered': ({ payload }) => `Checked: ${payload.words}`,
  },
});

/** Causes that were confirmed. */
export const causesSlice = sliceOf<readonly EntryOf<'trace.confirmed'>[]>()({
  key: 'causes',
  init: [],
  kinds: ['trace.confirmed'],
  apply: (slice, entry) => ({ slice: [...slice, entry] }),
  words: {
    'trace.confirmed': ({ payload }) => `Cause: ${payload.name}`,
  },
});
