/** The server: `main <port> [dev]`, with DATABASE_URL and GRIM_PAGES_BUNDLE; our door before Next. */
import { randomBytes, randomUUID } from 'node:crypto';
import { createServer, type IncomingMessage, type ServerResponse } from 'node:http';
import { startBehind } from './behind';
import { direct } from './direct';
import { turnedAway } from './gate';
import { contentPolicy, standingHeaders } from './headers';

const port = Number(process.argv[2]);
const dev = process.argv[3] === 'dev';
const hostname = '127.0.0.1';
const bundle = process.env['GRIM_PAGES_BUNDLE'];
if (bundle === undefined) throw new Error('GRIM_PAGES_BUNDLE is not set: start the app with ./grim start');
const behind = await startBehind(bundle, dev ? ['dev'] : []);

function answer(request: IncomingMessage, response: ServerResponse): void {
  const { method, url, headers } = request;
  const id = randomUUID();
  // It goes along with whatever is logged of this request.
  headers['x-request-id'] = id;
  response.setHeader('x-request-id', id);
  for (const [name, value] of Object.entries(standingHeaders)) response.setHeader(name, value);
  const turned = turnedAway({ method, url, host: headers.host });
  if (turned !== null) {
    const text = JSON.stringify({ error: turned.error, problems: [] });
    response.writeHead(turned.status, {
      'content-type': 'application/json',
      'content-length': Buffer.byteLength(text),
      connection: 'close',
    });
    response.end(text);
    return;
  }
  if (!dev) {
    const policy = contentPolicy(randomBytes(16).toString('base64'), url ?? '');
    // Next takes the word of this answer from here and puts it on its scripts.
    headers['content-security-policy'] = policy;
    response.setHeader('content-security-policy', policy);
    // Not while developing: what was saved last is known to Next, not to the bundle of this door.
    const answered = direct(request, response);
    if (answered !== null) return void answered.catch(() => response.destroy());
  }
  behind.pass(request, response);
}

const server = createServer(answer);
// A client that comes back after some quiet seconds must not meet a connection that is just closing.
server.keepAliveTimeout = 65_000;
server.headersTimeout = 70_000;
server.on('clientError', (_, socket) => {
  if (socket.writable)
    socket.end('HTTP/1.1 400 Bad Request\r\nconnection: close\r\ncontent-length: 0\r\n\r\n');
});
if (dev) server.on('upgrade', behind.passUpgrade);
server.listen(port, hostname);
