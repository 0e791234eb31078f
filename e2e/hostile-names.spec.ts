/** A job full of words that JavaScript's own objects answer to: every page of it opens, every paper is printed. */
import { samplesOf } from '../src/core/logbook/__tests__/samples';
import { stageIds } from '../src/core/logbook';
import { payloads } from '../src/core/logbook/schema';
import { keysOf } from '../src/core/numerics/arrays';
import { expect, test } from './test';
import { choosePerson, entry, inesId, newJob, visit, watchConsole } from './demo';

const papers = [
  ...['sheet', 'start-up', 'report', 'first-power', 'set-sheet', 'wires', 'key-sheet'].flatMap((paper) =>
    ['pdf', 'json', 'csv'].map((form) => `${paper}?form=${form}`),
  ),
  ...['drilling', 'wire-labels', 'stop-calendar', 'archive', 'motor-tests', 'other-motors', 'set-library'],
];

for (const word of ['constructor', '__proto__'])
  test(`a job with "${word}" in every place to write`, async ({ page }) => {
    test.setTimeout(120_000);
    const errors = watchConsole(page);
    await choosePerson(page, inesId);
    const job = await newJob(page.request, word);
    const entries = keysOf(payloads)
      .filter((kind) => kind !== 'job.opened')
      .flatMap((kind) => samplesOf(kind, word).map((payload) => entry(job, kind, payload)));
    for (let i = 0; i < entries.length; i += 50) {
      const answer = await page.request.post(`/api/v1/jobs/${job}/entries`, {
        data: { entries: entries.slice(i, i + 50) },
      });
      expect(answer.status(), await answer.text()).toBe(200);
    }
    for (const stage of stageIds) {
      await visit(page, `/jobs/${job}/${stage}`);
      await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
      await expect(page.locator('body')).toContainText(word);
      await expect(page.locator('body')).not.toContainText('native code');
    }
    for (const paper of papers) {
      const answer = await page.request.get(`/api/v1/jobs/${job}/${paper}`);
      expect([200, 404, 405, 422], `${paper}: ${answer.status()}`).toContain(answer.status());
    }
    await visit(page, '/');
    await expect(page.locator(`a[href="/jobs/${job}"]`)).toContainText(word);
    // What the words name is nowhere to be found; that it is said so is right.
    expect(errors.filter((said) => !said.includes('status of 404'))).toEqual([]);
  });
