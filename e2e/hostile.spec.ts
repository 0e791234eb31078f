/**
 * A stranger who means harm, or a device gone mad: thousands of requests to every route there is. None may hang the server,
 * make it fail, show its insides, or be taken although its schema refuses it; and somebody else's request is answered meanwhile.
 */
import { request as httpRequest } from 'node:http';
import { hostileRequests, uncovered, type HostileRequest } from '../checks/hostile/requests';
import { filesTaken } from '../checks/hostile/routes';
import { portsOfWorker, runAlongside } from '../launcher/alongside';
import { prepareDatabase } from '../launcher/database';
import { ensureDatabase, startCluster } from '../launcher/cluster';
import { expect, test } from './test';
import { own } from './here';
import { kill, startServer, sparePort } from './spare-server';

interface Answer {
  status: number;
  text: string;
  ms: number;
}

/** A server that has not answered by then hangs, ms: longer than the limits it sets itself (documents: one minute). */
const patience_ms = 120_000;

function ask({ method, path, headers, body }: Omit<HostileRequest, 'what' | 'mustRefuse'>): Promise<Answer> {
  const begun = performance.now();
  return new Promise((resolve) => {
    const over = (status: number, text: string) => resolve({ status, text, ms: performance.now() - begun });
    const to = { host: '127.0.0.1', port: sparePort, method, path, headers, timeout: patience_ms };
    const asked = httpRequest(to, (answer) => {
      const parts: Buffer[] = [];
      const status = answer.statusCode ?? 0;
      // A stream has no end: that it began is the answer.
      if (answer.headers['content-type']?.startsWith('text/event-stream') === true) {
        over(status, '');
        answer.destroy();
        return;
      }
      answer.on('data', (part: Buffer) => parts.push(part));
      answer.on('end', () => over(status, Buffer.concat(parts).toString('latin1')));
      answer.on('error', () => over(status, Buffer.concat(parts).toString('latin1')));
    });
    asked.on('timeout', () => {
      over(-1, 'it hangs');
      asked.destroy();
    });
    // What is too heavy is cut off by the server while it is still being sent.
    asked.on('error', (error: NodeJS.ErrnoException) => over(0, String(error.code)));
    asked.end(body);
  });
}

const insides =
  /\/work\/|\/tmp\/|\/root\/|node_modules|\.tsx?:\d|\n\s+at [\w.<]+ |SELECT .* FROM|INSERT INTO|sequelize|postgres:\/\/|root:x:0|ECONNREFUSED/i;
/** The link to a drive, the meter and the rig are elsewhere: that they say no is no fault of the server. */
const elsewhere = /\/(drives|rig|meter|set-writes)/;

/** What is wrong with an answer; null: nothing. */
function faultOf(asked: HostileRequest, { status, text }: Answer): string | null {
  const isFile = text.startsWith('%PDF') || text.startsWith('PK');
  if (status === -1) return 'it hangs';
  if (status >= 500 && !(elsewhere.test(asked.path) && status === 502)) return `answers ${status}`;
  if (!isFile && status >= 400 && insides.test(text)) return `shows ${insides.exec(text)?.[0] ?? ''}`;
  if (/root:x:0/.test(text)) return 'shows a file of the machine';
  const taken = status >= 200 && status < 300;
  if (!asked.mustRefuse || !taken) return null;
  // Entries are refused one by one.
  return asked.path.endsWith('/entries') && !text.includes('"kept"') ? null : 'takes it';
}

test('every route is covered', () => {
  expect(uncovered().sort()).toEqual([...filesTaken].sort());
});

test('thousands of hostile requests, and a canary among them', async () => {
  test.setTimeout(600_000);
  const cluster = await startCluster('test');
  const name = `hostile${own.sparePort}`;
  cluster.run('dropdb', ['--if-exists', '--force', name]);
  ensureDatabase(cluster, name);
  const url = cluster.appUrl(name);
  await prepareDatabase(cluster.ownerUrl(name), { demo: true });
  const alongside = await runAlongside(portsOfWorker(6 + (own.sparePort % 3)), url);
  const server = await startServer(url, alongside.env);
  const faults: string[] = [];
  const canaries: number[] = [];
  try {
    const all = hostileRequests();
    expect(all.length).toBeGreaterThanOrEqual(3000);
    let next = 0;
    const stranger = async () => {
      for (let asked = all[next]; asked !== undefined; asked = all[next]) {
        next += 1;
        const fault = faultOf(asked, await ask(asked));
        if (fault !== null)
          faults.push(`${asked.method} ${asked.path.slice(0, 90)} (${asked.what}): ${fault}`);
      }
    };
    const canary = async () => {
      while (next < all.length) {
        const { status, ms } = await ask({ method: 'GET', path: '/api/v1/health', headers: {} });
        canaries.push(ms);
        if (status !== 200) faults.push(`the canary is answered ${status}`);
        await new Promise((resolve) => setTimeout(resolve, 50));
      }
    };
    await Promise.all([stranger(), stranger(), canary()]);
  } finally {
    kill(server);
    await alongside.stop();
    cluster.run('dropdb', ['--if-exists', '--force', name]);
  }
  const slowest = canaries.sort((a, b) => a - b)[Math.floor(canaries.length * 0.99)] ?? NaN;
  test.info().annotations.push({ type: 'canary, p99', description: `${slowest.toFixed(0)} ms` });
  process.stdout.write(`hostile: ${canaries.length} canaries, p99 ${slowest.toFixed(0)} ms\n`);
  expect(faults).toEqual([]);
});
