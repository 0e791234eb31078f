/** The board of a shop after years, and what Back and a second tab do to a form. */
import pg from 'pg';
import { fillBoard } from '../launcher/bench-scale-data';
import { prepareDatabase } from '../launcher/database';
import { expect, test } from './test';
import { entry, newJob, postEntries, visit } from './demo';
import { own } from './here';
import { kill, spare, startServer } from './spare-server';

const jobs = 20_000;

/** A database of this test's own beside the worker's. */
async function ownDatabase(): Promise<string> {
  const name = `board_${own.sparePort}`;
  const client = new pg.Client({ connectionString: own.databaseUrl });
  await client.connect();
  await client.query(`drop database if exists ${name} with (force)`);
  await client.query(`create database ${name}`);
  await client.end();
  const url = own.databaseUrl.replace(/\/[^/]+$/, `/${name}`);
  await prepareDatabase(url, { demo: true });
  await fillBoard(url, jobs);
  return url;
}

test('twenty thousand jobs: searched as one types, filtered, leafed through, and Back comes back', async ({
  page,
}) => {
  test.setTimeout(120_000);
  const server = await startServer(await ownDatabase());
  try {
    await visit(page, `${spare}/?state=all`);
    const count = page.getByRole('navigation', { name: 'Pages of jobs' }).getByRole('status');
    await expect(count).toHaveText(/^200\d\d jobs, page 1 of 801$/);
    const lines = page.getByRole('main').getByRole('link', { name: /Pellow Quay/ });
    await expect(lines).toHaveCount(25);

    await page.getByLabel('Search').fill('winch 1234');
    await expect(page).toHaveURL(/search=winch\+1234/);
    await expect(count).toHaveText(/^\d+ jobs?$/);
    for (const name of await lines.allInnerTexts()) expect(name.toLowerCase()).toMatch(/winch.*1234/s);

    await page.getByLabel('Search').fill('');
    await expect(count).toHaveText(/page 1 of 801$/);
    await page.getByRole('link', { name: 'Next page' }).click();
    await expect(count).toHaveText(/page 2 of 801$/);
    await page.goBack();
    await expect(count).toHaveText(/page 1 of 801$/);

    await page.getByLabel('Show').selectOption('open jobs');
    await expect(count).toHaveText(/^\d{3} jobs, page 1 of \d\d$/);
    await page.getByLabel('Search').fill('no such thing, 100 % certain_');
    await expect(page.getByText('No job matches.')).toBeVisible();
  } finally {
    kill(server);
  }
});

test('Back, a second tab and a reload: a form shows what is recorded, and keeps what was typed', async ({
  page,
  context,
}) => {
  const job = await newJob(page.request, 'Ice hoist');
  const call = `/jobs/${job}/call`;
  const doing = (on: typeof page) => on.getByLabel(/What was the machine doing/);
  const record = (text: string) =>
    postEntries(page.request, job, [entry(job, 'take.call', { doing: text, signs: [] })]);
  await visit(page, call);
  await record('starting');
  await expect(doing(page)).toHaveValue('starting');

  // Away to the board and back by the browser: what was recorded meanwhile is there.
  await page.getByRole('link', { name: 'Grim Spanner' }).click();
  await expect(page.getByRole('heading', { name: 'Jobs' })).toBeVisible();
  await record('running at half speed');
  await page.goBack();
  await expect(doing(page)).toHaveValue('running at half speed');

  // Typed and not saved: over another stage, Back and a reload.
  await doing(page).fill('stopping');
  await page.getByRole('link', { name: /^Inspection/ }).click();
  await expect(page.getByRole('heading', { name: 'Inspection' })).toBeVisible();
  await page.goBack();
  await expect(doing(page)).toHaveValue('stopping');
  await page.reload();
  await expect(doing(page)).toHaveValue('stopping');

  // Somebody else records something: both are shown, and nothing is saved before a choice.
  await record('standing');
  const clash = page.getByRole('alert').filter({ hasText: 'while you typed' });
  await expect(clash).toContainText('recorded “standing”, typed “stopping”');
  const other = await context.newPage();
  await visit(other, call);
  await expect(doing(other)).toHaveValue('stopping');
  await clash.getByRole('button', { name: 'Use what is recorded' }).click();
  await expect(doing(page)).toHaveValue('standing');
  await expect(clash).toBeHidden();
});
