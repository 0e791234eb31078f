import * as z from 'zod';
import { log } from '../log';
import { bodyText, readJson } from './body';
import { isOwnHost } from './own-host';
import { answerTo, HttpError, readBy } from './refusal';

export { isOwnHost } from './own-host';
export { HttpError, problemsOf, readBy } from './refusal';
export { bodyBytes, bodyText, readJson } from './body';

/**
 * Until sign-in comes the server answers to its own machine only: a foreign Host (DNS rebinding) or
 * a page from elsewhere (Origin, or what the browser says of where it comes from) is turned away.
 */
function ownMachineOnly({ headers }: Request): void {
  const host = headers.get('host');
  if (!isOwnHost(host)) throw new HttpError(403, 'This server accepts requests from its own machine only.');
  const origin = headers.get('origin');
  const site = headers.get('sec-fetch-site');
  const foreign = origin !== null && origin !== `http://${host}`;
  if (foreign || site === 'cross-site' || site === 'same-site')
    throw new HttpError(403, 'Requests from other sites are refused.');
}

/** Below this an answer goes out sooner than it is compressed, bytes: it is a packet or two. */
export const worthCompressing = 8_000;

/** JSON as an answer; it is of this moment, and nobody keeps it. A short one tells Next to leave it as it is. */
export function jsonAnswer(
  body: unknown,
  { status = 200, headers = {} }: { status?: number; headers?: Record<string, string> } = {},
): Response {
  const text = JSON.stringify(body);
  const asItIs = text.length < worthCompressing ? ', no-transform' : '';
  return new Response(text, {
    status,
    headers: { 'content-type': 'application/json', 'cache-control': `no-store${asItIs}`, ...headers },
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
      const { status, body } = answerTo(error);
      if (!(error instanceof HttpError))
        log.error(
          {
            requestId: request.headers.get('x-request-id') ?? '-',
            method: request.method,
            path: new URL(request.url).pathname,
            status,
            err: error,
          },
          'request failed',
        );
      return jsonAnswer(body, { status });
    }
  };

/** Reads and validates a JSON body. @throws HttpError 413, 400, 422 */
export const jsonBody = async <S extends z.ZodType>(
  request: Request,
  schema: S,
  heaviest: number,
): Promise<z.output<S>> => readBy(schema, readJson(await bodyText(request, heaviest)));

export const uuidSchema = z.uuid();

/** An id in an address. @throws HttpError 404 where it is none */
export function idOf(text: string, what: string): string {
  const id = uuidSchema.safeParse(text);
  if (!id.success) throw new HttpError(404, `No such ${what}.`);
  return id.data;
}
