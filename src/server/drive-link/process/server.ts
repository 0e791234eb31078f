/**
 * The link as a service on loopback, for the server alone. Every request names its target.
 * POST /identify {target} · /read {target, registers} · /write {target, register, word};
 * POST /run {id, by, do}: a run of writes, whose journal is in the database, begins, goes on, waits, ends, is verified;
 * GET /health;
 * GET /watch?target=…&registers=1,2,3  → the words again and again, as server-sent events.
 */
import { timingSafeEqual } from 'node:crypto';
import { createServer, type IncomingMessage, type Server, type ServerResponse } from 'node:http';
import * as z from 'zod';
import { isOwnHost, HttpError } from '../../http/guard';
import { sha256 } from '../../logbook/digest';
import type { DriveClient } from '../drive-client';
import type { Runs } from '../../parameter-sets/write-run';
import { openBuses, type Buses } from './buses';
import type { Patience } from './bus';
import type { Locks } from './locks';
import { asTrouble, LinkTrouble } from './trouble';
import { runDeeds } from '../../../core/parameter-sets/write-run';

const register = z.int().min(0).max(65_535);
const target = z.string().max(100);
const orders = {
  '/identify': z.strictObject({ target }),
  '/read': z.strictObject({ target, registers: z.array(register).min(1).max(2000) }),
  '/write': z.strictObject({ target, register, word: register }),
  '/run': z.strictObject({
    id: z.uuid(),
    by: z.uuid(),
    do: z.enum(runDeeds),
  }),
};
/** Compared by their digests: how long that takes tells nothing of either. */
const sameSecret = (one: string, other: string): boolean =>
  timingSafeEqual(Buffer.from(sha256(one)), Buffer.from(sha256(other)));

/**
 * The server asks, nobody else: it knows the secret that was made at the start. Whatever a browser sends bears an origin, a
 * rebound name another host.
 */
function serverOnly({ headers }: IncomingMessage, secret: string): void {
  const knows = sameSecret(headers.authorization ?? '', `Bearer ${secret}`);
  const browser = headers.origin !== undefined || headers['sec-fetch-site'] !== undefined;
  if (!knows || browser || !isOwnHost(headers.host))
    throw new LinkTrouble('not-allowed', 'The link answers to the server of this machine only.');
}

const watched = z.object({
  target,
  registers: z
    .string()
    .transform((text) => text.split(',').map(Number))
    .pipe(z.array(register).min(1).max(250)),
});

/** Live values are asked for this often: five times a second and a little more. */
const watch_ms = 150;
const most_bytes = 64_000;

export interface LinkOptions {
  /** What the server proves itself with. */
  secret: string;
  /** Targets that an administrator listed; looked up with every request. */
  listed: () => Promise<readonly string[]>;
  locks: Locks;
  patience: Patience;
  /** Who runs the journals, given how a drive is reached; absent: nobody. */
  runs?: (talkWith: (target: string) => Promise<DriveClient>) => Runs;
  /** Refuses while a run on a drive is open: nothing else is written there. */
  noRunOn: (target: string, areOne: Buses['areOne']) => Promise<void>;
}

async function bodyOf(request: IncomingMessage): Promise<unknown> {
  let text = '';
  for await (const chunk of request) {
    text += String(chunk);
    if (text.length > most_bytes) throw new HttpError(413, 'The request is too long.');
  }
  try {
    return JSON.parse(text);
  } catch {
    throw new HttpError(400, 'Not JSON.');
  }
}

/** How a refusal is answered. */
function answerTo(error: unknown): [status: number, said: { code: string; message: string }] {
  if (error instanceof z.ZodError) return [422, { code: 'exception', message: z.prettifyError(error) }];
  if (error instanceof HttpError) return [error.status, { code: 'not-now', message: error.message }];
  return [502, asTrouble(error, 'the drive', 'read')];
}

export function linkServer({ secret, listed, locks, patience, runs: runsWith, noRunOn }: LinkOptions): {
  server: Server;
  close: () => Promise<void>;
} {
  const buses = openBuses({ listed, locks, patience });
  const runs = runsWith?.(async (to) => ({ target: to, ...(await buses.of(to)) }));

  async function run({ id, by, do: what }: z.output<(typeof orders)['/run']>): Promise<void> {
    if (runs === undefined) throw new HttpError(409, 'This link does not write sets.');
    if (what === 'pause') return runs.pause(id);
    if (what === 'give-up') return runs.giveUp(id, by);
    if (what === 'verify' || what === 'verify-after-power')
      return runs.verify(id, by, what === 'verify-after-power');
    await runs.goOn(id, by, what === 'leave-out');
  }

  async function obey(path: string, body: unknown): Promise<unknown> {
    if (path === '/identify') {
      const order = orders[path].parse(body);
      return (await buses.of(order.target)).identify();
    }
    if (path === '/read') {
      const order = orders[path].parse(body);
      return { words: await (await buses.of(order.target)).read(order.registers) };
    }
    if (path === '/write') {
      const order = orders[path].parse(body);
      await noRunOn(order.target, buses.areOne);
      return { word: await (await buses.of(order.target)).write(order.register, order.word) };
    }
    if (path === '/run') {
      await run(orders[path].parse(body));
      return {};
    }
    throw new HttpError(404, 'No such command.');
  }

  async function watch(url: URL, response: ServerResponse): Promise<void> {
    const asked = watched.parse(Object.fromEntries(url.searchParams));
    const { bus, release } = await buses.hold(asked.target);
    response.writeHead(200, { 'content-type': 'text/event-stream', 'cache-control': 'no-store' });
    const closed = new AbortController();
    response.on('close', () => {
      closed.abort();
      release();
    });
    while (!closed.signal.aborted) {
      const started = performance.now();
      try {
        response.write(`data: ${JSON.stringify(await bus.read(asked.registers))}\n\n`);
      } catch (error) {
        const { code, message } = asTrouble(error, asked.target, 'read');
        response.write(`event: trouble\ndata: ${JSON.stringify({ code, message })}\n\n`);
        await new Promise((resolve) => setTimeout(resolve, 1000));
      }
      const left = watch_ms - (performance.now() - started);
      if (left > 0) await new Promise((resolve) => setTimeout(resolve, left));
    }
    response.end();
  }

  const server = createServer((request, response) => {
    const act = async () => {
      serverOnly(request, secret);
      const url = URL.parse(request.url ?? '/', 'http://link');
      if (url === null) throw new HttpError(400, 'No address.');
      if (request.method === 'GET' && url.pathname === '/watch') return watch(url, response);
      const alive = request.method === 'GET' && url.pathname === '/health';
      const result = alive ? { ok: true } : await obey(url.pathname, await bodyOf(request));
      response.writeHead(200, { 'content-type': 'application/json' }).end(JSON.stringify(result));
    };
    act().catch((error: unknown) => {
      const [status, { code, message }] = answerTo(error);
      if (!response.headersSent) response.writeHead(status, { 'content-type': 'application/json' });
      response.end(JSON.stringify({ code, message }));
    });
  });
  return {
    server,
    close: async () => {
      server.closeAllConnections();
      await buses.close();
      await new Promise((resolve) => server.close(resolve));
    },
  };
}
