import type { EntryOf } from '../../entry';
import { sliceOf } from '../../slice';
import { remark } from '../../../terms';

/** A question somebody left for later. */
export interface JobQuestion {
  /** The entry that opened it. */
  id: string;
  text: string;
  /** Null while it is open. */
  answer: string | null;
}

/** Notes, in their order. */
export const notesSlice = sliceOf<readonly EntryOf<'note.added'>[]>()({
  key: 'notes',
  init: [],
  kinds: ['note.added'],
  apply: (slice, entry, { grow }) => ({ slice: grow(slice, entry) }),
  words: {
    'note.added': ({ payload }) => `Note${remark(payload.text)}`,
  },
});

/** Questions, open and answered. */
export const questionsSlice = sliceOf<readonly JobQuestion[]>()({
  key: 'questions',
  init: [],
  kinds: ['question.opened', 'question.closed'],
  apply(slice, entry) {
    if (entry.kind === 'question.opened')
      return { slice: [...slice, { id: entry.id, text: entry.payload.text, answer: null }] };
    const { question, answer } = entry.payload;
    return { slice: slice.map((q) => (q.id === question ? { ...q, answer } : q)) };
  },
  words: {
    'question.opened': ({ payload }) => `Question${remark(payload.text)}`,
    'question.closed': ({ payload }) => `Answered${remark(payload.answer)}`,
  },
});
