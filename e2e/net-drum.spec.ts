/**
 * The net-drum: a discontinued Knot replaced by a Whimbrel. Its paper is carried over with a choice, written to the simulated
 * drive while the cable comes out twice, looked at after a power cycle; and the same by keys alone.
 */
import type { Page } from '@playwright/test';
import { expect, test } from './test';
import { allKept, alive, choosePerson, inesId, netDrum, picture, visit, watchConsole } from './demo';
import { order, winchReady } from './rig';
import { findAndRead, panelOf } from './trace';

const off = { DI1: false, DI2: false, DI3: true, DI4: false, DI5: false, DI6: false };
const view = (page: Page, name: string) => panelOf(page, 'Actions for the set', name);
const form = (page: Page) => page.getByRole('region', { name: 'Before writing to the drive' });
const chooser = (page: Page) => page.getByRole('combobox', { name: 'Set', exact: true });

const openSets = async (page: Page): Promise<void> => {
  await visit(page, `/jobs/${netDrum}/commissioning`);
  await panelOf(page, 'Commissioning', 'Parameter sets');
};
const takeSet = async (page: Page, name: string): Promise<void> => {
  const id = await chooser(page).locator('option', { hasText: name }).first().getAttribute('value');
  await chooser(page).selectOption(id ?? '');
};
const sayYes = async (page: Page, button: RegExp): Promise<void> => {
  await expect(form(page).getByRole('button', { name: button })).toBeDisabled();
  for (const tick of await form(page).getByRole('checkbox').all()) await tick.check();
  await form(page).getByRole('button', { name: button }).click();
};

/** The paper of the old unit, carried to the new one; what cannot be carried is chosen. Done once, whichever test comes first. */
const carry = async (page: Page): Promise<void> => {
  await openSets(page);
  if ((await chooser(page).textContent())?.includes('translated to') === true) return;
  await view(page, 'Translate');
  const said = page.getByRole('status').filter({ hasText: /^66 values: / });
  await expect(said).toContainText('1 to choose');
  await expect(page.getByRole('button', { name: '1 to choose first' })).toBeDisabled();
  const list = page.getByRole('list', { name: 'Translation' });
  await expect(list.getByRole('listitem').filter({ hasText: 'B-05' })).toContainText('80 % × 18 A = 14.4 A');
  await list.getByRole('combobox').selectOption({ label: 'current' });
  await page.getByRole('button', { name: 'Save translated set' }).click();
  await expect(chooser(page)).toContainText('translated to whimbrel-w4');
};

test.beforeEach(async ({ page }) => {
  page.setDefaultTimeout(20_000);
  test.setTimeout(180_000);
  await choosePerson(page, inesId);
  await winchReady(page.request);
  await order(page.request, { plant: { contacts: off }, wait_s: 1 });
});

test('run given, another unit on the cable, a drive that is as it was: nothing is written, and the end says so', async ({
  page,
}) => {
  const errors = watchConsole(page);
  await carry(page);
  await findAndRead(page, 'Whimbrel W4');
  await view(page, 'Write');
  await takeSet(page, 'translated to whimbrel-w4');
  await expect(page.getByText(/^\d+ to write, compared with the read-out/)).toBeVisible();
  await page.getByRole('button', { name: /^Write all \d+/ }).click();

  // Run is given: the drive is asked before anything is written, and nothing is.
  await order(page.request, { plant: { contacts: { ...off, DI1: true, DI3: false } }, wait_s: 1 });
  await sayYes(page, /^Write \d+ values/);
  await expect(page.getByRole('alert').filter({ hasText: 'Remove the run command' }).first()).toBeVisible();
  await order(page.request, { plant: { contacts: off }, wait_s: 1 });

  // The cable comes out at the twelfth write, which arrives.
  await order(page.request, { plant: { bus: { cutAtWrite: { writes: 12, arrives: true } } } });
  await sayYes(page, /Continue/);
  const run = page.getByRole('region', { name: 'Run of writes' });
  await expect(run.getByRole('alert')).toContainText('may or may not', { timeout: 30_000 });
  await expect(run.getByRole('row').filter({ hasText: 'sent, result not known' })).toHaveCount(1);
  await order(page.request, { plant: { bus: { cableOut: false } } });

  // Another unit is plugged in meanwhile: it is not written to.
  await order(page.request, {
    drive: { type: 'whimbrel-w4', model: 'W4-15', serial: 'W415-0999' },
    wait_s: 3,
  });
  await order(page.request, { plant: { contacts: off }, wait_s: 1 });
  await sayYes(page, /Continue/);
  await expect(page.getByText(/Another unit answers: serial number W415-0999/).first()).toBeVisible();
  // The first one again, as the factory sent it: what it has is read, and what it lacks is said at the end.
  await order(page.request, {
    drive: { type: 'whimbrel-w4', model: 'W4-15', serial: 'W415-0001' },
    wait_s: 3,
  });
  await order(page.request, { plant: { contacts: off }, wait_s: 1 });
  await page.getByRole('button', { name: 'End and compare' }).click();
  const ended = page.getByRole('region', { name: 'Outcome' });
  await expect(ended).toContainText('The drive is as found', { timeout: 30_000 });
  expect(errors).toEqual([]);
});

test('over the link: two breaks, a power cycle, and nothing left over', async ({ page }) => {
  const errors = watchConsole(page);
  await carry(page);
  await findAndRead(page, 'Whimbrel W4');
  await view(page, 'Write');
  await takeSet(page, 'translated to whimbrel-w4');
  await page.getByRole('button', { name: /^Write all \d+/ }).click();
  await order(page.request, { plant: { bus: { cutAtWrite: { writes: 12, arrives: true } } } });
  await sayYes(page, /^Write \d+ values/);
  const run = page.getByRole('region', { name: 'Run of writes' });
  const written = run.getByRole('progressbar', { name: 'Values written' });
  // One that opens an entry's lock is among them: at the twelfth write eleven values are in, or ten.
  for (const [least, next] of [
    [9, { writes: 15, arrives: false }],
    [22, null],
  ] as const) {
    await expect(async () => {
      expect(Number(await written.getAttribute('aria-valuenow'))).toBeGreaterThan(least);
    }).toPass({ timeout: 30_000 });
    await expect(run.getByRole('alert')).toContainText(/link failed|cut off|not known/, {
      timeout: 30_000,
    });
    await order(page.request, { plant: { bus: { cableOut: false, cutAtWrite: next } } });
    // The page may be gone meanwhile: the journal is the server's.
    await page.reload();
    await alive(page);
    await panelOf(page, 'Commissioning', 'Parameter sets');
    await view(page, 'Write');
    await takeSet(page, 'translated to whimbrel-w4');
    await sayYes(page, /Continue/);
  }
  const ended = page.getByRole('region', { name: 'Outcome' });
  await expect(ended).toContainText('The drive is as planned. No differences.', { timeout: 60_000 });
  await expect(page.getByText('The drive already has this set.')).toBeVisible();

  // The power must be away before anybody says so.
  await page.getByRole('button', { name: 'The power is off now' }).click();
  await expect(page.getByText('still answers over the link')).toBeVisible();
  await order(page.request, { plant: { mains: { on: false } }, wait_s: 300 });
  await page.getByRole('button', { name: 'The power is off now' }).click();
  await expect(page.getByRole('button', { name: /Power is back/ })).toBeVisible({ timeout: 30_000 });
  await order(page.request, { plant: { mains: { on: true } }, wait_s: 3 });
  await page.getByRole('button', { name: /Power is back/ }).click();
  await expect(ended).toContainText('Compared again after a power cycle', { timeout: 30_000 });
  await expect(ended.getByText('The drive is as planned. No differences.')).toHaveCount(2);
  await view(page, 'Compare');
  await page.getByRole('combobox', { name: 'With' }).selectOption('three');
  await expect(page.getByRole('row').filter({ hasText: 'as planned' }).first()).toBeVisible();
  await expect(page.getByRole('row').filter({ hasText: 'not done' })).toHaveCount(0);
  expect(errors).toEqual([]);
});

test('by keys alone: the sheet, pressed on the keypad, makes the same set', async ({ page, context }) => {
  await carry(page);
  await view(page, 'Keys');
  await takeSet(page, 'translated to whimbrel-w4');
  const keys = page.getByRole('list', { name: 'Keys' });
  await expect(keys.getByRole('listitem').first()).toBeVisible();
  await page
    .getByRole('combobox', { name: 'Current values of the unit' })
    .evaluate((e) => e.scrollIntoView());
  await page.getByText('All keys in one line').click();
  const list = (await page.locator('[data-keys]').textContent()) ?? '';
  expect(list).toMatch(/^Menu/);
  await keys.getByRole('checkbox').first().check();
  await expect(page.getByText(/, 1 done\./)).toBeVisible();
  await allKept(page);
  const paper = await page.request.get(
    (await page.getByRole('link', { name: 'Sheet to print' }).last().getAttribute('href')) ?? '',
  );
  expect(paper.headers()['content-type']).toBe('application/pdf');

  // The first keys by hand, one after the other, and what the display says.
  const rig = await context.newPage();
  await visit(rig, '/simulator');
  const shows = rig.getByRole('status', { name: 'Display' });
  await expect(shows).toContainText('rdy');
  const first = keys.getByRole('listitem').first();
  const caps = await first.locator('kbd').allTextContents();
  await rig.getByRole('button', { name: caps[0] ?? '', exact: true }).click();
  await expect(shows).not.toContainText('rdy');
  await rig.getByRole('button', { name: 'Menu', exact: true }).click({ delay: 700 });
  await expect(shows).toContainText('rdy');
  await rig.getByRole('textbox', { name: 'Key sequence' }).fill('Menu, nonsense and more');
  await rig.getByRole('button', { name: 'Press all' }).click();
  await expect(rig.getByText('This is not a valid key sequence.')).toBeVisible();
  await rig.getByRole('textbox', { name: 'Key sequence' }).fill(list);
  await rig.getByRole('button', { name: 'Press all' }).click();
  await expect(shows).toContainText('rdy');
  await rig.evaluate(() => window.scrollTo(0, 0));
  await picture(rig, 'rig');

  await findAndRead(page, 'Whimbrel W4');
  await view(page, 'Write');
  await takeSet(page, 'translated to whimbrel-w4');
  await expect(page.getByText('The drive already has this set.')).toBeVisible();
});
