import * as z from 'zod';
import { short, long, photos } from '../../fragments';

/** Kinds of entries about notes and open questions. */
export const noteKinds = {
  'note.added': z.strictObject({ stage: z.string().max(20), text: long.min(1), photos }),
  'question.opened': z.strictObject({ text: short.min(1) }),
  'question.closed': z.strictObject({ question: z.uuid(), answer: short.min(1) }),
} as const;
