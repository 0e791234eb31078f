import * as z from 'zod';
import type { ApiError, ApiProblem } from '../../api/contract';

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

/** Does a Host header name this machine? */
export const isOwnHost = (host: string | null | undefined): boolean =>
  /^(127\.0\.0\.1|localhost|\[::1\])(:\d+)?$/.test(host ?? '');

/**
 * Until sign-in comes the server answers to its own machine only: a foreign Host (DNS rebinding) or
 * a page from elsewhere (Origin) is turned away.
 */
function ownMachineOnly(request: Request): void {
  const host = request.headers.get('host');
  if (!isOwnHost(host)) throw new HttpError(403, 'This server answers to its own machine only.');
  const origin = request.headers.get('origin');
  if (origin !== null && origin !== `http://${host}`)
    throw new HttpError(403, 'Requests from other pages are refused.');
}

const bodyOf = ({ message, problems, certain }: HttpError): ApiError => ({
  error: message,
  problems,
  ...(certain === undefined ? {} : { certain }),
});

/** PostgreSQL's class of errors for what a machine has run out of. */
const outOf: Readonly<Record<string, string>> = {
  '53100': 'The server’s disk is full: somebody must make room on it.',
  '53200': 'The server is out of memory.',
  '53300': 'The database takes no more connections just now.',
};

/** What is said of something that broke on our side: what has run out where that is it, and nothing of our insides. */
function brokenWords(error: unknown): string {
  const cause: unknown = error instanceof Error ? Reflect.get(error, 'parent') : null;
  const code = typeof cause === 'object' && cause !== null ? String(Reflect.get(cause, 'code')) : '';
  return outOf[code] ?? 'The server could not do this just now: try again in a moment.';
}

/** JSON as an answer. Its length is told beforehand: so it goes out whole, and little is not compressed for nothing. */
export function jsonAnswer(
  body: unknown,
  { status = 200, headers = {} }: { status?: number; headers?: Record<string, string> } = {},
): Response {
  const text = JSON.stringify(body);
  return new Response(text, {
    status,
    headers: {
      'content-type': 'application/json',
      'content-length': String(Buffer.byteLength(text)),
      ...headers,
    },
  });
}

/** Wraps a route handler: checks where the request comes from and turns refusals into answers. */
export const guardedRoute =
  <A extends unknown[]>(handler: (request: Request, ...args: A) => Promise<Response>) =>
  async (request: Request, ...args: A): Promise<Response> => {
    try {
      ownMachineOnly(request);
      return await handler(request, ...args);
    } catch (error) {
      if (error instanceof HttpError) return jsonAnswer(bodyOf(error), { status: error.status });
      const reason = error instanceof Error ? error.message : String(error);
      process.stderr.write(`grim: ${request.method} ${new URL(request.url).pathname}: ${reason}\n`);
      return jsonAnswer({ error: brokenWords(error), problems: [] } satisfies ApiError, { status: 503 });
    }
  };

/** Reads and validates a JSON body. @throws Refused 413, 400, 422 */
export async function jsonBody<S extends z.ZodType>(
  request: Request,
  schema: S,
  heaviest: number,
): Promise<z.output<S>> {
  const text = await request.text();
  if (text.length > heaviest)
    throw new HttpError(413, `More than ${Math.round(heaviest / 1024)} kB at once.`);
  let raw: unknown;
  try {
    raw = JSON.parse(text);
  } catch {
    throw new HttpError(400, 'Not JSON.');
  }
  const parsed = schema.safeParse(raw);
  if (parsed.success) return parsed.data;
  throw new HttpError(
    422,
    'Some of this cannot be taken as it is.',
    parsed.error.issues.map((issue) => ({ path: issue.path.join('.'), allowed: issue.message })),
  );
}

export const uuidSchema = z.uuid();

/** An id in an address. @throws Refused 404 where it is none */
export function idOf(text: string, what: string): string {
  const id = uuidSchema.safeParse(text);
  if (!id.success) throw new HttpError(404, `There is no such ${what}.`);
  return id.data;
}
