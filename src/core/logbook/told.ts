import { quoted } from '../terms';

/** What was said, with what each answer belongs to; what was not said is left out. */
export const told = (head: string, answers: readonly (string | null | undefined | false)[]): string => {
  const said = answers.filter((a): a is string => typeof a === 'string' && a !== '');
  return said.length === 0 ? head : `${head}: ${said.join('; ')}`;
};

/** An answer with its question in front; left out where there is none. */
export const answer = (question: string, said: string | number | null | undefined): string | null =>
  said === null || said === undefined || said === '' ? null : `${question} ${said}`;

/** An answer that somebody typed. */
export const typedAnswer = (question: string, typed: string | undefined): string | null =>
  typed === undefined || typed === '' ? null : `${question} ${quoted(typed)}`;
