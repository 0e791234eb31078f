/** A drive that will not run: the rig hides why, the screens find it over the link. */
import type { Page } from '@playwright/test';
import { entriesOf, slipwayWinch } from './copies';
import { expect, test } from './test';
import {
  choosePerson,
  entry,
  inesId,
  odoId,
  newJob,
  picture,
  visit,
  watchConsole,
  winch,
  postEntries,
  reloadJob,
} from './demo';
import { proveDead } from './hands';
import { order, winchReady } from './rig';
import { winchContacts, readOut, says } from './trace';
import { own } from './here';

test.beforeEach(async ({ page }) => {
  await choosePerson(page, inesId);
  await winchReady(page.request);
});

test('interlock open, on an input other than the usual one', async ({ page }) => {
  const errors = watchConsole(page);
  await order(page.request, {
    set: { 'input.DI3': 'none', 'input.DI5': 'interlock' },
    plant: { contacts: winchContacts },
    wait_s: 1,
  });
  await readOut(page, await slipwayWinch(page.request));
  await says(page, /Interlocks: open\..*X5 carries “interlock” and is off/);
  const reasons = page.getByRole('region', { name: 'Interlocks' });
  await expect(reasons).toContainText('X5, interlock (5-05): off');
  await picture(page, 'run-chain');
  // Watched live, the answer moves on as soon as the contact closes.
  await page.getByRole('button', { name: 'Watch live' }).click();
  await order(page.request, { plant: { contacts: { ...winchContacts, DI1: false, DI5: true } } });
  await says(page, /Run: open\..*X1, X2 off/);
  await order(page.request, { plant: { contacts: { ...winchContacts, DI5: true } } });
  await says(page, /No run inhibit found\./);
  expect(errors).toEqual([]);
});

test('the STO return is missing', async ({ page }) => {
  await order(page.request, {
    plant: { contacts: winchContacts, safeStop: { returnTied: false } },
    wait_s: 1,
  });
  await readOut(page, await slipwayWinch(page.request));
  await says(page, /STO: open\..*return SC not connected/);
});

test('coast from the serial side, with no wire on any input', async ({ page }) => {
  await order(page.request, {
    plant: { contacts: winchContacts, serial: { coastRelease: false } },
    wait_s: 1,
  });
  await readOut(page, await slipwayWinch(page.request));
  await says(page, /No coast: open\..*over the serial link/);
});

test('run LED on, shaft stopped: the reference is zero', async ({ page }) => {
  await order(page.request, { plant: { AI1: 0, contacts: { ...winchContacts, DI1: false } }, wait_s: 1 });
  await order(page.request, { plant: { contacts: winchContacts }, wait_s: 1 });
  await readOut(page, await slipwayWinch(page.request));
  await says(page, /Reference: open\..*run LED on, shaft stopped.*A1 is at zero/);
});

test('off the display, without any link', async ({ page }) => {
  const { request } = page;
  const entries = await entriesOf(request, winch);
  const job = await newJob(request, 'A winch without a link');
  const drive = entry(job, 'identify.drive', entries.find((e) => e.kind === 'identify.drive')?.payload);
  await postEntries(request, job, [drive]);
  await visit(page, `/jobs/${job}/fault-finding`);
  await says(page, /No open condition so far\./);
  await page.getByRole('combobox', { name: 'Parameter' }).selectOption('5-03');
  await page.getByRole('combobox', { name: 'Set to' }).selectOption({ label: 'interlock' });
  await page.getByRole('button', { name: 'Save parameter value' }).click();
  await page.getByRole('button', { name: 'X3: not read' }).click();
  await page.getByRole('button', { name: 'X3: on' }).click();
  await says(page, /Interlocks: open\..*X3 carries/);
  // The row of bits: X3 turned and read again tells that this display counts from the right.
  const row = page.getByRole('region', { name: 'Row of bits' });
  await row.getByRole('textbox', { name: 'Bits of the input monitor' }).fill('0001O1');
  await expect(row.getByText('Zeros and ones')).toBeVisible();
  await row.getByRole('textbox', { name: 'Bits of the input monitor' }).fill('000101');
  await expect(row.getByRole('row')).toHaveCount(3);
  await row.getByRole('combobox', { name: 'Switched input' }).selectOption({ label: 'X3' });
  await row.getByRole('textbox', { name: 'Bits after switching' }).fill('000001');
  await row.getByRole('button', { name: 'Save these bits, first bit right' }).click();
  await expect(page.getByRole('button', { name: 'X1: on' })).toBeVisible();
  await expect(page.getByRole('button', { name: 'X3: off' })).toBeVisible();
  await page.getByRole('textbox', { name: 'Bus voltage' }).fill('none');
  await page.getByRole('textbox', { name: 'Reference' }).focus();
  await expect(page.getByText('A value as displayed')).toBeVisible();
  // What no display of this drive shows is asked about, and not kept meanwhile.
  await page.getByRole('textbox', { name: 'Bus voltage' }).fill('99999');
  await page.getByRole('textbox', { name: 'Bus voltage' }).press('Enter');
  await expect(page.getByText('99999 V? A 400 V unit shows 0 to 1131 V.')).toBeVisible();
  await expect(page.getByRole('button', { name: 'The display shows exactly this' })).toBeVisible();
  await expect(page.getByText(/bus volts 99999/)).toHaveCount(0);
  await page.getByRole('textbox', { name: 'Bus voltage' }).fill('541');
  await page.getByRole('textbox', { name: 'Bus voltage' }).press('Enter');
  await expect(page.getByText(/bus volts 541/)).toBeVisible();
  await page.getByRole('combobox', { name: 'Active fault' }).selectOption('EARTH');
  await says(page, /No trip: open\..*current to earth/);
});

test('a silent drive, a wrong drive and no drive are told apart, and nothing is kept of them', async ({
  page,
}) => {
  await order(page.request, { plant: { bus: { silent: true } } });
  const asked = { target: '', typeId: 'whimbrel-w4' };
  const { found } = (await (await page.request.get('/api/v1/drives')).json()) as {
    found: { target: string; trouble: string | null }[];
  };
  expect(found[0]?.trouble).toContain('does not answer');
  asked.target = found[0]?.target ?? '';
  await order(page.request, { plant: { bus: { silent: false } } });
  const post = (data: unknown) => page.request.post('/api/v1/drives/read', { data });
  const wrong = await post({ ...asked, typeId: 'knot-k3' });
  expect(wrong.status()).toBe(409);
  expect(((await wrong.json()) as { error: string }).error).toContain('Another drive answers');
  expect((await post({ ...asked, target: '127.0.0.1:9' })).status()).toBe(502);
  const foreign = await post({ ...asked, target: '192.0.2.1:502' });
  expect(((await foreign.json()) as { error: string }).error).toContain('not on the list');
  expect((await post({ ...asked, extra: 1 })).status()).toBe(422);
});

const tracer = (page: Page) => page.getByRole('region', { name: 'Tracer' });
const firstSuspect = (page: Page) =>
  tracer(page).getByRole('list', { name: 'Likely causes' }).getByRole('listitem').first();

test('a lost input phase: the dead check comes before the live one, and the cause is kept', async ({
  page,
}) => {
  await order(page.request, { plant: { mains: { lost: 'L2' }, contacts: winchContacts }, wait_s: 12 });
  const job = await slipwayWinch(page.request);
  await readOut(page, job);
  await says(page, /Supply: open\..*input phase lost/);
  await expect(tracer(page)).toContainText('Fault finding: P-LOSS');
  const asked = tracer(page).getByRole('region', { name: 'Check' });
  for (let i = 0; i < 4; i += 1) {
    const what = (await asked.textContent()) ?? '';
    if (/remove each line fuse/.test(what)) break;
    expect(what).not.toContain('Live parts');
    await asked.getByRole('button', { name: 'not sure' }).click();
    await expect(asked).not.toHaveText(what);
  }
  await tracer(page).evaluate((el) => el.scrollIntoView());
  await picture(page, 'tracer');
  await expect(asked).toContainText('Isolated, proven dead');
  // Nothing was proven dead yet: the answer waits, here and in the fold.
  await expect(asked.getByRole('button', { name: 'one is open' })).toBeDisabled();
  await asked.getByRole('button', { name: 'Make safe' }).click();
  await proveDead(page, ['Mains supply', 'Brake supply', 'Load, springs, pressure'], 12);
  await visit(page, `/jobs/${job}/fault-finding`);
  await expect(asked).toBeVisible();
  const fuses = tracer(page).getByRole('button', { name: /remove each line fuse/ });
  if ((await fuses.count()) > 0) await fuses.click();
  await asked.getByRole('button', { name: 'one is open' }).click();
  await expect(firstSuspect(page)).toContainText('line fuse blown');
  await tracer(page).getByRole('combobox', { name: 'Cause' }).selectOption('line fuse blown');
  await tracer(page)
    .getByRole('textbox', { name: /^What was done/ })
    .fill('F2 out: trips. New F2 in: runs.');
  await tracer(page).getByRole('button', { name: 'Save cause' }).click();
  await expect(tracer(page)).toContainText('F2 out: trips. New F2 in: runs.');
  await reloadJob(page);
  await expect(tracer(page)).toContainText('F2 out: trips. New F2 in: runs.');
});

test('overvoltage on stopping the slipway winch', async ({ page }) => {
  const set = { 'protect.overvoltage-control': 'off', 'ramp.up': 12, 'ramp.down': 1.5 };
  await order(page.request, {
    set,
    plant: { AI1: 10, load: { torque: 0.2, inertia_s: 4 }, contacts: winchContacts },
    wait_s: 16,
  });
  await order(page.request, { plant: { contacts: { ...winchContacts, DI1: false } }, wait_s: 3 });
  await readOut(page, await slipwayWinch(page.request));
  await expect(tracer(page)).toContainText('Fault finding: O-VOLT D');
  await expect(firstSuspect(page)).toContainText('ramp down too short');
  // The chopper entry was read out: the drive answers that check itself.
  const own = tracer(page).getByRole('region', { name: 'The drive shows' });
  await expect(own).toContainText('chopper off');
  await own
    .getByRole('listitem')
    .filter({ hasText: 'chopper' })
    .getByRole('button', { name: 'Use this' })
    .click();
  await expect(firstSuspect(page)).toContainText('brake chopper switched off');
});

test('an earth fault: no power and no reset before bench and insulation passed, in the fold too', async ({
  page,
}) => {
  await order(page.request, { plant: { hidden: { groundFault: true }, contacts: winchContacts }, wait_s: 2 });
  const job = await slipwayWinch(page.request);
  await readOut(page, job);
  await says(page, /No trip: open\..*current to earth/);
  await expect(tracer(page).getByRole('note').filter({ hasText: 'No power and no reset' })).toBeVisible();
  await expect(tracer(page)).not.toContainText('does it trip on run');
  // Another list changes nothing: the fault that is shown decides.
  await page.getByRole('combobox', { name: 'What the drive shows or does' }).selectOption('undervoltage');
  await expect(tracer(page)).toContainText('Fault finding: undervoltage');
  await expect(tracer(page).getByRole('note').filter({ hasText: 'No power and no reset' })).toBeVisible();
  await expect(tracer(page)).not.toContainText('Watch the bus voltage under load');
  await expect(page.getByRole('region', { name: 'Resetting the fault' })).toContainText('Not yet');
  // Round the page: what was measured under power does not count, and one that does not say how it was measured is refused.
  const live = { family: 'ground', check: 'unloaded', outcome: 'no', words: 'runs unloaded' };
  await postEntries(page.request, job, [entry(job, 'trace.answered', { ...live, hazard: 'live' })]);
  await expect(page.getByText(/stays without power until the bench test/).first()).toBeVisible();
  const refused = await page.request.post(`/api/v1/jobs/${job}/entries`, {
    data: { entries: [entry(job, 'trace.answered', live)] },
  });
  expect(JSON.stringify(await refused.json())).toContain('reload it');
  // Nor is a live check a question because the page says so, nor one that no table has.
  for (const [change, why] of [
    [{ hazard: 'none' }, 'another hazard: '],
    [{ hazard: 'none', check: 'made-up' }, 'No such check'],
    [{ hazard: 'none', family: 'made-up' }, 'No such check'],
    [{ hazard: 'live', outcome: 'made-up' }, 'no such outcome'],
  ] as const) {
    const forged = await page.request.post(`/api/v1/jobs/${job}/entries`, {
      data: { entries: [entry(job, 'trace.answered', { ...live, ...change })] },
    });
    expect(JSON.stringify(await forged.json())).toContain(why);
  }
});

test('the shop lead lists a drive; a line that is not an address says so; nobody else may', async ({
  page,
}) => {
  expect((await page.request.put('/api/v1/drives', { data: ['10.0.0.1:502'] })).status()).toBe(403);
  await choosePerson(page, odoId);
  await visit(page, '/administration');
  const list = page.getByRole('region', { name: 'Drives on the network' });
  const addresses = list.getByRole('textbox', { name: 'Addresses, one per line' });
  await addresses.fill('127.0.0.1:9\nthe winch');
  await list.getByRole('button', { name: 'Save list' }).click();
  await expect(list.getByRole('alert')).toContainText('the winch: use host:port');
  await expect(addresses).toHaveValue('127.0.0.1:9\nthe winch');
  await addresses.fill('127.0.0.1:9');
  await list.getByRole('button', { name: 'Save list' }).click();
  await expect(list.getByText('List saved.')).toBeVisible();
  const { found } = (await (await page.request.get('/api/v1/drives')).json()) as {
    found: { target: string; trouble: string | null }[];
  };
  expect(found.find((f) => f.target === '127.0.0.1:9')?.trouble).toContain('No connection');
  await addresses.fill('');
  await list.getByRole('button', { name: 'Save list' }).click();
  await expect(list.getByText('List saved.')).toBeVisible();
});

test('no page of a browser reaches the link or the rig', async ({ request }) => {
  const link = own.link;
  const from = { origin: 'http://elsewhere.example' };
  const asked = await request.post(`http://${link}/nameplates`, {
    data: { target: '127.0.0.1:4403' },
    headers: from,
  });
  expect(((await asked.json()) as { code: string }).code).toBe('not-allowed');
  const rig = await request.post(`http://${own.rig}`, {
    data: {},
    headers: from,
  });
  expect(rig.status()).toBe(422);
});
