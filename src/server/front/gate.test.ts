import { contentPolicy } from './headers';
import { turnedAway } from './gate';

const asked = (url: string, method = 'GET', host = '127.0.0.1:3000') => turnedAway({ method, url, host });

it('lets our own pages and routes through', () => {
  for (const url of ['/', '/jobs/new', '/api/v1/jobs?search=%C3%A9&x=%E0%A4', '/_next/static/a%20b.js'])
    expect(asked(url)).toBeNull();
  for (const host of ['localhost', '[::1]:3000', '127.0.0.1']) expect(asked('/', 'GET', host)).toBeNull();
});

it.each([
  ['a foreign name of this machine', '/', 'GET', 'evil.example', 403],
  ['a name that only begins like ours', '/', 'GET', '127.0.0.1.evil.example', 403],
  ['no name', '/', 'GET', '', 403],
  ['a way that nobody has', '/', 'TRACE', 'localhost', 405],
  ['taking away', '/api/v1/jobs', 'DELETE', 'localhost', 405],
  ['a broken escape', '/jobs/%E0%A4%A', 'GET', 'localhost', 400],
  ['half an escape', '/jobs/%', 'GET', 'localhost', 400],
  ['NUL', '/jobs/%00', 'GET', 'localhost', 400],
  ['a whole address', 'http://elsewhere/', 'GET', 'localhost', 400],
  ['miles of it', `/${'x'.repeat(5000)}`, 'GET', 'localhost', 414],
])('turns away %s', (_, url, method, host, status) => {
  expect(asked(url, method, host)?.status).toBe(status);
});

it('lets scripts run only with the word of the answer, and nobody frame a page', () => {
  const policy = contentPolicy('word', '/jobs');
  expect(policy).toContain("script-src 'self' 'nonce-word';");
  expect(policy).not.toMatch(/script-src[^;]*unsafe/);
  expect(policy).toContain("frame-ancestors 'none'");
  expect(contentPolicy('word', '/_next/static/chunks/a.js')).toContain("'wasm-unsafe-eval'");
});
