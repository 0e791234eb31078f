/**
 * The link as a service on loopback, for the server alone. Every request names its target.
 * POST /identify {target} · /read {target, registers} · /write {target, register, word};
 * POST /run {id, by, do}: a run of writes, whose journal is in the database, begins, goes on, waits, ends, is verified;
 * GET /watch?target=…&registers=1,2,3  → the words again and again, as server-sent events.
 */
import { createServer, type IncomingMessage, type Server, type ServerResponse } from 'node:http';
import * as z from 'zod';
import { isOwnHost, HttpError } from '../../http/border';
import type { DriveClient } from '../drive-client';
import type { Runs } from '../../parameter-sets/write-run';
import { allowed } from './allowed';
import { openBus, type Bus, type Patience } from './bus';
import { renew_ms, type Locks } from './locks';
import { asTrouble, LinkTrouble } from './trouble';
import type { Target } from '../../../api/target';
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
/** The server asks, nobody else: whatever a browser sends bears an origin, a rebound name another host. */
function serverOnly({ headers }: IncomingMessage): void {
  if (headers.origin !== undefined || headers['sec-fetch-site'] !== undefined || !isOwnHost(headers.host))
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
  /** Targets that an administrator listed; looked up with every request. */
  listed: () => Promise<readonly string[]>;
  locks: Locks;
  patience: Patience;
  /** Who runs the journals, given how a drive is reached; absent: nobody. */
  runs?: (talkWith: (target: string) => Promise<DriveClient>) => Runs;
}

async function bodyOf(request: IncomingMessage): Promise<unknown> {
  let text = '';
  for await (const chunk of request) {
    text += String(chunk);
    if (text.length > most_bytes) throw new LinkTrouble('exception', 'The request is too long.');
  }
  return JSON.parse(text);
}

/** How a refusal is answered. */
function answerTo(error: unknown): [status: number, said: { code: string; message: string }] {
  if (error instanceof z.ZodError) return [422, { code: 'exception', message: z.prettifyError(error) }];
  if (error instanceof HttpError) return [error.status, { code: 'not-now', message: error.message }];
  return [502, asTrouble(error, 'the drive')];
}

export function linkServer({ listed, locks, patience, runs: runsWith }: LinkOptions): {
  server: Server;
  close: () => Promise<void>;
} {
  const buses = new Map<string, Bus>();
  const keyOf = ({ host, port }: Target): string => `${host}:${port}`;

  async function busFor(text: string): Promise<Bus> {
    const to = allowed(text, await listed());
    if (!(await locks.take(keyOf(to))))
      throw new LinkTrouble(
        'taken',
        `Another program of ours talks to ${text} just now. Two writers are never let at one drive.`,
      );
    const key = `${keyOf(to)}/${to.unit}`;
    const known = buses.get(key) ?? openBus(to, patience);
    buses.set(key, known);
    return known;
  }
  const renewal = setInterval(() => {
    for (const key of buses.keys()) void locks.take(key.replace(/\/\d+$/, '')).catch(() => undefined);
  }, renew_ms);

  const runs = runsWith?.(async (to) => ({ target: to, ...(await busFor(to)) }));

  async function run({ id, by, do: what }: z.output<(typeof orders)['/run']>): Promise<void> {
    if (runs === undefined) throw new HttpError(409, 'This link writes no sets.');
    if (what === 'pause') return runs.pause(id);
    if (what === 'give-up') return runs.giveUp(id, by);
    if (what === 'verify' || what === 'verify-after-power')
      return runs.verify(id, by, what === 'verify-after-power');
    await runs.goOn(id, by, what === 'leave-out');
  }

  async function obey(path: string, body: unknown): Promise<unknown> {
    if (path === '/identify') {
      const order = orders[path].parse(body);
      return (await busFor(order.target)).identify();
    }
    if (path === '/read') {
      const order = orders[path].parse(body);
      return { words: await (await busFor(order.target)).read(order.registers) };
    }
    if (path === '/write') {
      const order = orders[path].parse(body);
      return { word: await (await busFor(order.target)).write(order.register, order.word) };
    }
    if (path === '/run') {
      await run(orders[path].parse(body));
      return {};
    }
    throw new LinkTrouble('exception', 'There is no such order.');
  }

  async function watch(url: URL, response: ServerResponse): Promise<void> {
    const asked = watched.parse(Object.fromEntries(url.searchParams));
    const bus = await busFor(asked.target);
    response.writeHead(200, { 'content-type': 'text/event-stream', 'cache-control': 'no-store' });
    const closed = new AbortController();
    response.on('close', () => closed.abort());
    while (!closed.signal.aborted) {
      const started = performance.now();
      try {
        response.write(`data: ${JSON.stringify(await bus.read(asked.registers))}\n\n`);
      } catch (error) {
        const { code, message } = asTrouble(error, asked.target);
        response.write(`event: trouble\ndata: ${JSON.stringify({ code, message })}\n\n`);
        await new Promise((resolve) => setTimeout(resolve, 1000));
      }
      const left = watch_ms - (performance.now() - started);
      if (left > 0) await new Promise((resolve) => setTimeout(resolve, left));
    }
    response.end();
  }

  const server = createServer((request, response) => {
    const url = new URL(request.url ?? '/', 'http://link');
    const act = async () => {
      serverOnly(request);
      if (request.method === 'GET' && url.pathname === '/watch') return watch(url, response);
      const result = await obey(url.pathname, await bodyOf(request));
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
      clearInterval(renewal);
      server.closeAllConnections();
      await Promise.all([...buses.values()].map((b) => b.close()));
      await locks.release();
      await new Promise((resolve) => server.close(resolve));
    },
  };
}
