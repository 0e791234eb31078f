/** The peers by pymodbus, as processes of Debian's Python. */
import { spawn, type ChildProcess } from 'node:child_process';
import { createInterface, type Interface } from 'node:readline';

const folder = new URL('.', import.meta.url).pathname;

interface Peer {
  child: ChildProcess;
  lines: AsyncIterator<string>;
}

const lineOf = async ({ lines }: Peer): Promise<string> => {
  const line = await lines.next();
  if (line.done === true) throw new Error('the peer ended');
  return line.value;
};

function peer(script: string, ...args: readonly string[]): Peer {
  const child = spawn('/usr/bin/python3', [`${folder}${script}`, ...args], {
    stdio: ['pipe', 'pipe', 'inherit'],
  });
  const reader: Interface = createInterface({ input: child.stdout });
  return { child, lines: reader[Symbol.asyncIterator]() };
}

const ended = ({ child }: Peer): Promise<void> =>
  new Promise((done) => {
    child.once('exit', () => done());
    child.stdin?.end();
  });

/** A server with one manner, while `work` is done. */
export async function withServer<T>(manner: string, work: (port: number) => Promise<T>): Promise<T> {
  const server = peer('ill_mannered.py', ...manner.split(' '));
  try {
    return await work(Number(await lineOf(server)));
  } finally {
    await ended(server);
  }
}

/** A client of a port, while `work` is done with it. */
export async function withClient<T>(
  port: number,
  work: (ask: (order: string) => Promise<unknown>) => Promise<T>,
): Promise<T> {
  const client = peer('client.py', String(port));
  try {
    return await work(async (order) => {
      client.child.stdin?.write(`${order}\n`);
      return JSON.parse(await lineOf(client)) as unknown;
    });
  } finally {
    await ended(client);
  }
}
