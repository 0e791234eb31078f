import { expect, test } from './test';
import { choosePerson, inesId, newJob, visit } from './demo';
import { panelOf } from './trace';
import { kill, spare, startServer } from './spare-server';

test('two tabs on one job show each other’s entries within two seconds', async ({ page, context }) => {
  await choosePerson(page, inesId);
  const jobId = await newJob(page.request, 'Quay crane slew');
  const other = await context.newPage();
  await visit(page, `/jobs/${jobId}/repair-or-replace`);
  await visit(other, `/jobs/${jobId}/call`);
  await expect(other.getByRole('heading', { name: 'Call' })).toBeVisible();
  await panelOf(page, 'Repair or replace', 'Notes');
  await page.getByLabel('Note for Repair or replace').fill('a spare is on the shelf');
  await page.getByRole('button', { name: 'Save note' }).click();
  await expect(other.getByRole('complementary').getByText('a spare is on the shelf')).toBeVisible({
    timeout: 2_500,
  });
  await page.getByLabel('Note a question for later').fill('Whose spare is it?');
  await page.getByRole('button', { name: 'Save question' }).click();
  await expect(other.getByText('Whose spare is it?').first()).toBeVisible({ timeout: 2_500 });
});

test('a server killed between two entries loses none that was shown as kept, and gets the rest later', async ({
  page,
}) => {
  let server = await startServer();
  try {
    const jobId = await newJob(page.request, 'Capstan');
    await visit(page, `${spare}/jobs/${jobId}/repair-or-replace`);
    const margin = page.getByRole('complementary');
    const note = async (text: string) => {
      await panelOf(page, 'Repair or replace', 'Notes');
      await page.getByLabel('Note for Repair or replace').fill(text);
      await page.getByRole('button', { name: 'Save note' }).click();
    };
    await note('first, kept');
    await expect(margin.getByText('first, kept')).toBeVisible();
    await expect(margin.getByText('(not saved yet, sending)')).toBeHidden();

    kill(server);
    await note('second, while the server is dead');
    await expect(margin.getByText('second, while the server is dead')).toBeVisible();
    await expect(margin.getByText('(not saved yet, sending)')).toBeVisible();
    await expect(page.getByText('Server not reachable.')).toBeVisible();

    server = await startServer();
    await page.reload();
    await expect(margin.getByText('second, while the server is dead')).toBeVisible();
    await expect(margin.getByText('(not saved yet, sending)')).toBeHidden();
    const kept = (await (await fetch(`${spare}/api/v1/jobs/${jobId}/entries?after=0`)).json()) as {
      entries: { kind: string; payload: { text?: string } }[];
    };
    expect(kept.entries.filter((e) => e.kind === 'note.added').map((e) => e.payload.text)).toEqual([
      'first, kept',
      'second, while the server is dead',
    ]);
  } finally {
    kill(server);
  }
});
