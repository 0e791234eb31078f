import type { IncomingMessage, ServerResponse } from 'node:http';
import { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { promisify } from 'node:util';
import { gzip } from 'node:zlib';
import { contract } from '../../api/contract';
import { worthCompressing } from '../http/guard';
import { getEntriesRoute, postEntriesRoute } from '../logbook/entry-routes';
import { newsRoute } from '../logbook/news-route';

const packed = promisify(gzip);

const path = /^\/api\/v1\/jobs\/([0-9a-f-]+)\/entries$/;

/** Of a body more than this is not kept: the route refuses it by its length. */
const heaviest = contract['POST /api/v1/jobs/:id/entries'].heaviest;

/** A body to its end, kept up to what is just too much: whoever still sends would not read an answer before. */
async function bodyOf(message: IncomingMessage): Promise<Buffer> {
  const parts: Buffer[] = [];
  let bytes = 0;
  for await (const part of message as AsyncIterable<Buffer>) {
    if (bytes <= heaviest) parts.push(part);
    bytes += part.length;
  }
  return Buffer.concat(parts);
}

/** A request as routes take it. @param signal that whoever asks has gone */
async function asRequest(message: IncomingMessage, signal: AbortSignal): Promise<Request> {
  const { method = 'GET', url = '/', headers } = message;
  const fields = Object.entries(headers).flatMap(([name, value]): [string, string][] =>
    value === undefined ? [] : [[name, Array.isArray(value) ? value.join(', ') : value]],
  );
  const body = method === 'GET' ? {} : { body: new Uint8Array(await bodyOf(message)) };
  return new Request(`http://${headers.host}${url}`, { method, headers: fields, signal, ...body });
}

async function sendWhole(
  answer: Response,
  { headers }: IncomingMessage,
  response: ServerResponse,
): Promise<void> {
  const body = Buffer.from(await answer.arrayBuffer());
  const asGzip = body.length >= worthCompressing && /\bgzip\b/.test(String(headers['accept-encoding'] ?? ''));
  const sent = asGzip ? await packed(body) : body;
  response.writeHead(answer.status, {
    ...Object.fromEntries(answer.headers),
    ...(asGzip ? { 'content-encoding': 'gzip', vary: 'accept-encoding' } : {}),
    'content-length': sent.length,
  });
  response.end(sent);
}

async function sendStream(answer: Response, response: ServerResponse): Promise<void> {
  response.writeHead(answer.status, Object.fromEntries(answer.headers));
  response.flushHeaders();
  if (answer.body === null) response.end();
  else await pipeline(Readable.from(answer.body), response);
}

/** The handler of what is answered here; undefined: it is for Next. */
function handlerOf(method: string, url: string): ((request: Request) => Promise<Response>) | undefined {
  const [address = ''] = url.split('?');
  if (method === 'GET' && address === '/api/v1/news') return newsRoute;
  const [, id] = path.exec(address) ?? [];
  if (id === undefined) return undefined;
  const context = { params: Promise.resolve({ id }) };
  if (method === 'GET') return (request) => getEntriesRoute(request, context);
  return method === 'POST' ? (request) => postEntriesRoute(request, context) : undefined;
}

/**
 * What tablets ask all day, the entries of a job and the news of others, goes straight to its handlers: what Next does around a
 * request takes longer than the handler, and a page that is being made would hold it up. Null: it is for Next.
 */
export function direct(message: IncomingMessage, response: ServerResponse): Promise<void> | null {
  const { method = '', url = '' } = message;
  const handler = handlerOf(method, url);
  if (handler === undefined) return null;
  const gone = new AbortController();
  response.once('close', () => gone.abort());
  const answered = async () => {
    const answer = await handler(await asRequest(message, gone.signal));
    const isStream = answer.headers.get('content-type')?.startsWith('text/event-stream') === true;
    return isStream ? sendStream(answer, response) : sendWhole(answer, message, response);
  };
  return answered();
}
