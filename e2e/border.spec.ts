/** A page of somebody else, open in the same browser: it can neither act, nor frame, nor scan, nor read. */
import { createServer, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { entriesOf } from './copies';
import { expect, test } from './test';
import { entry, newJob, visit, watchConsole, winch } from './demo';
import { home } from './here';

let foreign: Server;
let elsewhere = '';
test.beforeAll(async () => {
  foreign = createServer((_, response) => {
    response
      .writeHead(200, { 'content-type': 'text/html' })
      .end('<!doctype html><title>elsewhere</title><p>hello');
  });
  await new Promise<void>((resolve) => foreign.listen(0, '127.0.0.1', resolve));
  elsewhere = `http://localhost:${(foreign.address() as AddressInfo).port}`;
});
test.afterAll(() => foreign.close());

test('a foreign page acts on nothing: neither by script nor by form', async ({ page }) => {
  const job = await newJob(page.request, 'Capstan');
  const before = (await entriesOf(page.request, job)).length;
  await page.goto(elsewhere);
  const note = entry(job, 'note.added', { stage: 'take', text: 'not from here', photos: [] });
  await page.evaluate(
    async ([url, body]) => {
      for (const type of ['text/plain', 'application/x-www-form-urlencoded'])
        await fetch(url ?? '', {
          method: 'POST',
          mode: 'no-cors',
          headers: { 'content-type': type },
          body: body ?? '',
        }).catch(() => undefined);
      await fetch(url ?? '', { method: 'POST', body: body ?? '', credentials: 'include' }).catch(
        () => undefined,
      );
    },
    [`${home}/api/v1/jobs/${job}/entries`, JSON.stringify({ entries: [note] })],
  );
  const answered = page.waitForResponse((r) => r.url().includes('/api/v1/person'));
  await page.evaluate((url) => {
    document.body.innerHTML = `<form method="post" enctype="text/plain" action="${url}"><input name='{"id":"' value='x"}'></form>`;
    document.querySelector('form')?.submit();
  }, `${home}/api/v1/person`);
  expect((await answered).status()).toBe(403);
  expect((await entriesOf(page.request, job)).length).toBe(before);
});

test('a foreign page frames nothing, reads nothing, and finds out nothing', async ({ page }) => {
  await page.goto(elsewhere);
  const read = await page.evaluate(
    (urls) =>
      Promise.all(
        urls.map((url) =>
          fetch(url).then(
            () => 'read',
            () => 'refused',
          ),
        ),
      ),
    [`${home}/api/v1/jobs`, `${home}/api/v1/drives`, `${home}/api/v1/settings`],
  );
  expect(read).toEqual(['refused', 'refused', 'refused']);
  // An image or a script of ours would tell whether we are there, and a scan of drives would begin.
  const loaded = await page.evaluate(
    (urls) =>
      Promise.all(
        urls.map(
          (url) =>
            new Promise((resolve) => {
              const image = new Image();
              image.onload = () => resolve('loaded');
              image.onerror = () => resolve('refused');
              image.src = url;
            }),
        ),
      ),
    [`${home}/icon.svg`, `${home}/api/v1/drives`],
  );
  expect(loaded).toEqual(['refused', 'refused']);
  await page.evaluate((url) => {
    const frame = document.createElement('iframe');
    frame.src = url;
    document.body.append(frame);
  }, `${home}/jobs/${winch}/call`);
  await expect
    .poll(() =>
      Promise.all(
        page
          .frames()
          .slice(1)
          .map((f) =>
            f
              .locator('body')
              .innerText()
              .catch(() => ''),
          ),
      ),
    )
    .not.toContainEqual(expect.stringContaining('Call'));
});

test('a foreign name of this machine is shown no page', async ({ page }) => {
  const port = new URL(home).port;
  const answer = await page.request.get(`${home}/commissioning`, {
    headers: { host: `evil.example:${port}` },
  });
  expect(answer.status()).toBe(403);
  expect(await answer.text()).not.toContain('Limits');
});

test('our own pages run under their policy, and a script without its word does not', async ({ page }) => {
  const errors = watchConsole(page);
  const answer = await page.goto(`/jobs/${winch}/call`);
  const headers = answer?.headers() ?? {};
  expect(headers['content-security-policy']).toMatch(/script-src 'self' 'nonce-[\w+/=]+'/);
  expect(headers['content-security-policy']).toContain("frame-ancestors 'none'");
  expect(headers['x-content-type-options']).toBe('nosniff');
  expect(headers['referrer-policy']).toBe('no-referrer');
  expect(headers['x-request-id']).toMatch(/^[0-9a-f-]{36}$/);
  await visit(page, `/jobs/${winch}/repair-or-replace`);
  expect(errors).toEqual([]);
  const ran = await page.evaluate(() => {
    const script = document.createElement('script');
    script.textContent = 'window.strange = true';
    document.body.append(script);
    return 'strange' in window;
  });
  expect(ran).toBe(false);
});
