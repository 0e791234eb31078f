/** What is in front of you? The right tool at once, on a drive that nobody has described. */
import type { Page } from '@playwright/test';
import { stageAddress, stageIds } from '../src/core/logbook';
import { audit } from './audit';
import { allKept, choosePerson, entry, inesId, picture, postEntries, visit, watchConsole } from './demo';

import { letPass, serverTime } from './here';
import { expect, test } from './test';

/** Time passes on the clock of the server, which the page follows with each answer. */
async function passTime(page: Page, seconds: number): Promise<void> {
  await allKept(page);
  letPass(seconds);
  await page.evaluate(() => window.dispatchEvent(new Event('online')));
}

test('from the board to the first answer of the fault finder in four inputs', async ({ page }) => {
  const errors = watchConsole(page);
  await choosePerson(page, inesId);
  await visit(page, '/');
  await page.getByRole('link', { name: 'What is in front of you?' }).click();
  await expect(page.getByRole('heading', { name: 'What is in front of you?' })).toBeVisible();
  await picture(page, 'first-screen');
  await audit(page, 'first screen');
  await page.getByRole('button', { name: /^Fault code/ }).click();
  await page
    .getByRole('combobox', { name: 'What the drive shows or does' })
    .selectOption({ label: 'overvoltage while decelerating' });
  const tracer = page.getByRole('region', { name: 'Tracer' });
  await expect(
    tracer.getByRole('list', { name: 'Likely causes' }).getByRole('listitem').first(),
  ).toBeVisible();
  expect(errors).toEqual([]);
});

test('a second answer where one is not enough; pressed twice, one job; Back leads to the question', async ({
  page,
}) => {
  await choosePerson(page, inesId);
  await visit(page, '/begin');
  await page.getByRole('textbox', { name: 'Machine or unit' }).fill('Bench unit 7');
  await page.getByRole('button', { name: /^Dead or damaged/ }).click();
  await page.getByRole('button', { name: 'Fuse blown, burnt or a bang: measure' }).dblclick();
  await expect(page.getByRole('heading', { name: 'Nameplates' })).toBeVisible();
  await page.goBack();
  await expect(page.getByRole('heading', { name: 'What is in front of you?' })).toBeVisible();
  await expect(page.getByRole('button', { name: /^Dead or damaged/ })).toBeEnabled();
  await visit(page, '/?search=Bench+unit+7');
  await expect(page.getByText('1 job', { exact: true })).toBeVisible();
});

test('without the server the question stays, and is answered later', async ({ page, context }) => {
  await choosePerson(page, inesId);
  await visit(page, '/begin');
  await context.setOffline(true);
  await page.getByRole('button', { name: /^Won’t run/ }).click();
  await expect(page.getByRole('main').getByRole('alert')).toContainText('Server not reachable');
  await context.setOffline(false);
  await page.getByRole('button', { name: /^Won’t run/ }).click();
  await expect(page.getByRole('heading', { name: 'Fault finding', exact: true })).toBeVisible();
});

test('an unknown unit on the bench: the first diode reading in twelve inputs, and every stage opens', async ({
  page,
}) => {
  test.setTimeout(120_000);
  const errors = watchConsole(page);
  await choosePerson(page, inesId);
  await visit(page, '/begin');
  let inputs = 0;
  const input = async (act: Promise<void>) => {
    inputs += 1;
    await act;
  };
  const press = (name: string | RegExp) => input(page.getByRole('button', { name }).click());
  /** A figure and Enter. */
  const type = async (name: string | RegExp, text: string) => {
    const field = page.getByRole('textbox', { name });
    await input(field.fill(text));
    await field.press('Enter');
  };
  await press(/^Just measure/);
  await audit(page, 'pictures of front ends');
  await press(/^Three lines in L1 L2 L3/);
  await press('On the bench: no lead on any terminal');
  await expect(page.getByText('no lead connected').first()).toBeVisible();
  // A quarter of an hour goes by: as if the leads had been off before. The clock of this worker is others' clock, too.
  const job = /jobs\/([0-9a-f-]+)/.exec(page.url())?.[1] ?? '';
  await allKept(page);
  await postEntries(page.request, job, [
    entry(job, 'safety.locked', {
      isolatedAt: new Date(serverTime() - 16 * 60_000).toISOString(),
      tag: 'no lead connected',
    }),
  ]);
  await input(page.getByRole('textbox', { name: 'Known source DC, before' }).fill('proving unit'));
  await type('Meter reading DC, before', '690');
  await type(/^DC\+ to DC-, DC, at the capacitor bank/, '0.4');
  await press(/pairs on DC: each measured, all below 1 V/);
  await passTime(page, 61);
  await type(/capacitor bank again/, '0.5');
  await type('Meter reading DC, after', '690');
  await press('Go to Bench test');
  await type('What the meter shows, volts', '0.45');
  await expect(page.getByText(/Saved L1 to DC\+|Saved DC/).first()).toBeAttached();
  expect(inputs).toBeLessThanOrEqual(12);

  for (const stage of stageIds) {
    await visit(page, `/jobs/${job}/${stageAddress(stage)}`);
    await expect(page.getByRole('main').getByRole('heading').first()).toBeVisible();
  }
  await visit(page, `/jobs/${job}/sheet`);
  await expect(page.getByText('supply not known, three phases, rated current not known')).toBeVisible();
  expect(errors).toEqual([]);
});

test('a loose sheet becomes part of a job: what was measured goes there, the dead proof does not', async ({
  page,
}) => {
  const errors = watchConsole(page);
  await choosePerson(page, inesId);
  await visit(page, '/begin');
  await page.getByRole('button', { name: /^Fault code/ }).click();
  await page.waitForURL(/\/jobs\/.+\/fault-finding/);
  await expect(page.getByText('Loose sheet. On no job.')).toBeVisible();
  const sheet = /jobs\/([0-9a-f-]+)/.exec(page.url())?.[1] ?? '';
  await postEntries(page.request, sheet, [
    entry(sheet, 'note.added', { stage: 'trace', text: 'Smells of burnt varnish', photos: [] }),
  ]);
  await expect(page.getByRole('complementary').getByText('Smells of burnt varnish').first()).toBeVisible();
  // It is on the board of loose sheets, not among the jobs, and power and signatures have no place on it.
  await expect(page.getByRole('navigation', { name: 'Stages of this job' }).getByRole('link')).toHaveCount(7);
  await visit(page, `/jobs/${sheet}/hand-over`);
  await expect(page.getByRole('heading', { name: 'Hand-over' })).toHaveCount(0);

  await visit(page, `/jobs/new?sheet=${sheet}`);
  await expect(page.getByText('The loose sheet becomes this job')).toBeVisible();
  await visit(page, `/jobs/${sheet}/fault-finding`);
  await page.getByRole('button', { name: 'Attach to a job' }).click();
  await audit(page, 'attach a loose sheet');
  await page.getByRole('searchbox', { name: 'Search jobs' }).fill('no such machine anywhere');
  await expect(page.getByText('No open job matches.')).toBeVisible();
  await page.getByRole('link', { name: 'New job from this sheet' }).click();
  await page.getByRole('combobox', { name: 'Machine' }).selectOption({ label: 'another machine' });
  await page.getByRole('textbox', { name: 'Name of the machine' }).fill('Sluice gate 4');
  await page.getByRole('textbox', { name: 'Location' }).fill('Pellow Quay');
  await page.getByRole('textbox', { name: 'What is wrong?' }).fill('Fault at the gate');
  for (const question of ['Is anyone in danger?', 'Is a load suspended?'])
    await page.getByRole('group', { name: question }).getByText('no', { exact: true }).click();
  await page.getByRole('button', { name: 'Open job' }).click();
  await expect(page.getByRole('navigation', { name: 'Stages of this job' }).getByRole('link')).toHaveCount(
    stageIds.length,
  );
  const log = page.getByRole('complementary');
  await expect(log.getByText('Smells of burnt varnish').first()).toBeVisible();
  await expect(log.getByText(/Loose sheet attached, Unit without a machine: 1 log entry/)).toBeVisible();

  // The sheet says where it went, takes nothing more, and is off the board.
  await visit(page, `/jobs/${sheet}/fault-finding`);
  await expect(page.getByText(/Attached to the job of Sluice gate 4/).first()).toBeVisible();
  await page.getByRole('link', { name: 'Go on there' }).click();
  await expect(page.getByText('Loose sheet. On no job.')).toHaveCount(0);
  expect(errors).toEqual([]);
});
