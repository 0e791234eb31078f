import type * as z from 'zod';
import type { ApiError, ApiProblem } from '../../api/contract';
import { plainFault } from './plain-fault';

/** A refusal that goes to the caller as it is. */
export class HttpError extends Error {
  constructor(
    readonly status: number,
    message: string,
    readonly problems: readonly ApiProblem[] = [],
    /** Of a write to a drive: is it certain that nothing was written? */
    readonly certain?: boolean,
  ) {
    super(message);
  }
}

/** Of thousands of problems the first say what is wrong. */
const mostProblems = 20;

/** What a schema finds wrong, each with its field. */
export const problemsOf = ({ issues }: z.ZodError): ApiProblem[] =>
  issues
    .slice(0, mostProblems)
    .map(({ path, message }) => ({ path: path.join('.').slice(0, 200), allowed: message.slice(0, 500) }));

/** Something by its schema. @throws HttpError 422 naming the fields */
export function readBy<S extends z.ZodType>(schema: S, raw: unknown): z.output<S> {
  const parsed = schema.safeParse(raw, { error: plainFault });
  if (parsed.success) return parsed.data;
  throw new HttpError(422, 'Some values are not valid.', problemsOf(parsed.error));
}

const bodyOf = ({ message, problems, certain }: HttpError): ApiError => ({
  error: message,
  problems,
  ...(certain === undefined ? {} : { certain }),
});

/** PostgreSQL's words for what its machine has run out of, and for values that it cannot hold. */
const databaseRefusals: readonly [code: RegExp, status: number, said: string][] = [
  [/^53100$/, 503, 'The disk of the server is full: free some space.'],
  [/^53200$/, 503, 'The server is out of memory.'],
  [/^53300$/, 503, 'The database accepts no more connections at the moment.'],
  [/^22/, 422, 'One of these values cannot be stored: invalid character, time or number.'],
  [/^23/, 409, 'This conflicts with existing data: check, then try again.'],
];

function databaseCode(error: unknown): string {
  const cause: unknown = error instanceof Error ? Reflect.get(error, 'parent') : null;
  return typeof cause === 'object' && cause !== null ? String(Reflect.get(cause, 'code')) : '';
}

/** What is answered to something that went wrong, and nothing of our insides. */
export function answerTo(error: unknown): { status: number; body: ApiError } {
  if (error instanceof HttpError) return { status: error.status, body: bodyOf(error) };
  const code = databaseCode(error);
  const [, status, said] = databaseRefusals.find(([is]) => is.test(code)) ?? [
    null,
    503,
    'Internal server error.',
  ];
  return { status, body: { error: said, problems: [] } };
}
