/** The link as a service: whom it answers, and what it makes of requests that nobody of ours sends. */
import { request as httpRequest } from 'node:http';
import type { AddressInfo } from 'node:net';
import { HttpError } from '../../http/guard';
import { canonicalTarget } from '../../../api/target';
import { linkServer } from './server';

const secret = 'known to the server alone';
const link = linkServer({
  secret,
  listed: () => Promise.resolve([]),
  locks: { take: () => Promise.resolve(true), release: () => Promise.resolve() },
  patience: { timeout_ms: 200, retries: 0, readOut_ms: 30_000 },
  noRunOn: async (target, areOne) => {
    if (await areOne('localhost:9', target))
      throw new HttpError(409, 'A parameter set is already being written to this drive.');
  },
});
let port = 0;
beforeAll(async () => {
  await new Promise<void>((resolve) => link.server.listen(0, '127.0.0.1', resolve));
  port = (link.server.address() as AddressInfo).port;
});
afterAll(() => link.close());

function ask(path: string, body: string, headers: Record<string, string> = {}) {
  return new Promise<{ status: number; text: string }>((resolve, reject) => {
    const known = { authorization: `Bearer ${secret}`, ...headers };
    const asked = httpRequest({ host: '127.0.0.1', port, method: 'POST', path, headers: known }, (answer) => {
      let text = '';
      answer.on('data', (part) => (text += String(part)));
      answer.on('end', () => resolve({ status: answer.statusCode ?? 0, text }));
    });
    asked.on('error', reject);
    asked.end(body);
  });
}

it('answers nobody who does not know the secret, and no browser', async () => {
  const body = JSON.stringify({ target: '127.0.0.1:9' });
  for (const headers of [
    { authorization: '' },
    { authorization: 'Bearer guessed' },
    { origin: 'http://x' },
    { 'sec-fetch-site': 'none' },
    { host: 'evil.example' },
  ] as Record<string, string>[])
    expect((await ask('/identify', body, headers)).text).toContain('not-allowed');
});

it('lives through addresses and bodies that are none', async () => {
  expect((await ask('//[', '{}')).status).toBe(400);
  expect((await ask('/identify', '{')).status).toBe(400);
  expect((await ask('/identify', 'x'.repeat(70_000))).status).toBe(413);
  expect((await ask('/identify', '{"target":7}')).status).toBe(422);
  expect((await ask('/nowhere', '{}')).status).toBe(404);
  expect((await ask('/identify', '{"target":"192.0.2.1:502"}')).text).toContain('not on the list');
});

it('writes nothing to a drive that a set is being written to, whatever name it goes by', async () => {
  for (const target of ['127.0.0.1:9', 'LOCALHOST:9/1', '127.1:9']) {
    const { status, text } = await ask('/write', JSON.stringify({ target, register: 1, word: 1 }));
    expect([status, text]).toEqual([
      409,
      expect.stringContaining('A parameter set is already being written'),
    ]);
  }
});

it.each([
  ['127.0.0.1:4423', '127.0.0.1:4423'],
  [' localhost:4423/1 ', '127.0.0.1:4423'],
  ['[::1]:4423', '127.0.0.1:4423'],
  ['0x7f.1:4423', '127.0.0.1:4423'],
  ['Drive7.Shop.:502/3', 'drive7.shop:502/3'],
  ['[FE80::0:1]:502', '[fe80::1]:502'],
  ['not an address', null],
  ['a:0', null],
  ['a:1/999', null],
])('%j is the drive %j', (text, canonical) => {
  expect(canonicalTarget(text)).toBe(canonical);
});
