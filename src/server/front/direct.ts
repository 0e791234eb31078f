import type { IncomingMessage, ServerResponse } from 'node:http';
import { promisify } from 'node:util';
import { gzip } from 'node:zlib';
import { contract } from '../../api/contract';
import { worthCompressing } from '../http/border';
import { getEntriesRoute, postEntriesRoute } from '../logbook/entry-routes';

type Handler = (request: Request, context: { params: Promise<Record<string, string>> }) => Promise<Response>;

const packed = promisify(gzip);

const path = /^\/api\/v1\/jobs\/([0-9a-f-]+)\/entries$/;
const byMethod: Readonly<Record<string, Handler | undefined>> = {
  GET: getEntriesRoute,
  POST: postEntriesRoute,
};

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

/** A request as routes take it. */
async function asRequest(message: IncomingMessage): Promise<Request> {
  const { method = 'GET', url = '/', headers } = message;
  const fields = Object.entries(headers).flatMap(([name, value]): [string, string][] =>
    value === undefined ? [] : [[name, Array.isArray(value) ? value.join(', ') : value]],
  );
  const body = method === 'GET' ? {} : { body: new Uint8Array(await bodyOf(message)) };
  return new Request(`http://${headers.host}${url}`, { method, headers: fields, ...body });
}

async function send(answer: Response, { headers }: IncomingMessage, response: ServerResponse): Promise<void> {
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

/**
 * What tablets ask all day, the entries of a job, goes straight to its handlers: what Next does around a request takes longer
 * than the handler. Null: it is for Next.
 */
export function direct(message: IncomingMessage, response: ServerResponse): Promise<void> | null {
  const { method = '', url = '' } = message;
  const [, id] = path.exec(url.split('?')[0] ?? '') ?? [];
  const handler = byMethod[method];
  if (id === undefined || handler === undefined) return null;
  const answered = async () =>
    send(await handler(await asRequest(message), { params: Promise.resolve({ id }) }), message, response);
  return answered();
}
