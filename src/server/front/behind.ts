import { fork } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { Agent, type IncomingMessage, type ServerResponse } from 'node:http';
import type { Duplex } from 'node:stream';
import { Socket } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { createProxyServer } from 'httpxy';

/** The process behind the door. */
export interface Behind {
  pass: (request: IncomingMessage, response: ServerResponse) => void;
  passUpgrade: (request: IncomingMessage, socket: Duplex, head: Buffer) => void;
}

/**
 * Starts the process that makes pages, and passes requests on to it; the door ends when it ends, and both are started again.
 * They meet at a socket in a folder of their own: on a port, others on this machine could go round the door.
 * @param bundle what runs there
 * @returns when it listens
 */
export async function startBehind(bundle: string, mode: readonly string[]): Promise<Behind> {
  const folder = mkdtempSync(join(tmpdir(), 'grim-door-'));
  process.once('exit', () => rmSync(folder, { recursive: true, force: true }));
  for (const signal of ['SIGTERM', 'SIGINT'] as const) process.once(signal, () => process.exit(0));
  const socketPath = join(folder, 'pages');
  const child = fork(bundle, [socketPath, ...mode]);
  child.once('exit', () => process.exit(1));
  await new Promise<void>((resolve) => child.once('message', () => resolve()));

  const agent = new Agent({ keepAlive: true });
  // A paper may wait in line longer than any proxy waits by itself.
  const proxy = createProxyServer({ target: { socketPath }, agent, proxyTimeout: 300_000 });
  proxy.on('error', (_, __, to) => {
    if (to === undefined || to instanceof Socket) return void to?.destroy();
    if (to.headersSent) return void to.destroy();
    const text = JSON.stringify({
      error: 'The server is restarting: try again in a moment.',
      problems: [],
    });
    to.writeHead(503, { 'content-type': 'application/json', 'content-length': Buffer.byteLength(text) });
    to.end(text);
  });
  return {
    pass: (request, response) => void proxy.web(request, response),
    passUpgrade: (request, socket, head) => {
      if (socket instanceof Socket) void proxy.ws(request, socket, {}, head);
    },
  };
}
