/** From the plate to a signed start-up sheet: a winch on a Whimbrel, a pump on a Dunlin. */
import type { Page } from '@playwright/test';
import { expect, test } from './test';
import {
  boatWinch,
  brineFeed,
  choosePerson,
  entry,
  inesId,
  pdfText,
  picture,
  visit,
  watchConsole,
  winch,
  postEntries,
  reloadJob,
} from './demo';
import { order, winchReady } from './rig';
import { winchContacts, findAndRead, jobWith, panelOf, readAgain, writeTaken } from './trace';

const stopped = { ...winchContacts, DI1: false };

const rows = (page: Page) => page.getByRole('list', { name: 'Start-up sheet' });
const row = (page: Page, number: string) =>
  rows(page)
    .getByRole('listitem')
    .filter({ has: page.getByText(number, { exact: true }) });
const panel = (page: Page, name: string) => panelOf(page, 'Commissioning', name);

/** The step that is asked. */
const taken = (page: Page) =>
  page
    .locator('section[aria-label]')
    .filter({ has: page.getByRole('button', { name: 'Failed', exact: true }) });
const press = (page: Page, name: string | RegExp) => page.getByRole('button', { name }).click();

/** What the asked step wants, by hand. */
async function byHand(page: Page): Promise<void> {
  const step = taken(page);
  const boxes = step.getByRole('checkbox');
  if ((await step.getByRole('textbox', { name: 'Speed 1' }).count()) > 0) {
    for (const [n, hz, amps] of [
      ['1', '12', '3,1'],
      ['2', '25', '3.4'],
    ] as const) {
      await page.getByRole('textbox', { name: `Speed ${n}` }).fill(hz);
      await page.getByRole('textbox', { name: `Current ${n}` }).fill(amps);
    }
    return press(page, 'Save currents');
  }
  if ((await boxes.count()) > 0) {
    const keep = step.getByRole('button', { name: /^Save( sequence)?$/ });
    await expect(keep).toBeDisabled();
    for (const box of await boxes.all()) await box.check();
    const who = step.getByRole('textbox', { name: 'Responsible qualified person' });
    if ((await who.count()) > 0) {
      await expect(keep).toBeDisabled();
      await who.fill('A. Fenn');
    }
    return keep.click();
  }
  const seen = step.getByRole('button', { name: 'Passed' });
  const fields = await step.getByRole('textbox').all();
  if (fields.length > 0) {
    await expect(seen).toBeDisabled();
    // What cannot be is said, and settles nothing.
    for (const field of fields) await field.fill('5000');
    await expect(step.getByRole('alert').first()).toContainText('not ');
    await expect(seen).toBeDisabled();
    for (const field of fields) {
      const rule = step.locator(`[id="${await field.getAttribute('aria-describedby')}"]`);
      await field.fill(/[\d.]+/.exec((await rule.textContent()) ?? '')?.[0] ?? '');
    }
  }
  await seen.click();
}

/** Walks the commissioning run to its end, or until a step, and tells what was walked; steps in `otherwise` are walked as given there. */
async function walkRun(
  page: Page,
  otherwise: Record<string, () => Promise<void>> = {},
  until?: string,
): Promise<string[]> {
  await panel(page, 'Commissioning run');
  const walked: string[] = [];
  const said = page.getByRole('status').filter({ hasText: /steps? (are open|done)/ });
  for (let i = 0; i < 40; i += 1) {
    const words = (await said.textContent()) ?? '';
    if (words.includes('All steps done')) return walked;
    const step = (await taken(page).getAttribute('aria-label')) ?? '';
    if (step === until) return walked;
    walked.push(step);
    await (otherwise[step] ?? (() => byHand(page)))();
    await expect(said).not.toHaveText(words);
  }
  throw new Error(`the run does not end: ${walked.join(', ')}`);
}

/** The power goes long enough, and is there again. */
async function powerCycle(page: Page): Promise<void> {
  await order(page.request, { plant: { mains: { on: false } }, wait_s: 400 });
  await order(page.request, { plant: { mains: { on: true } }, wait_s: 5 });
  await expect(page.getByText('The drive link is down.')).toHaveCount(0);
}

/** Over the link: saved, dark, and everything as it was. */
async function savedAndDark(page: Page, saves: boolean): Promise<void> {
  if (saves) {
    await press(page, 'Save in the drive');
    await writeTaken(page);
  }
  await press(page, 'Switch power off now');
  await powerCycle(page);
  await press(page, /Power is back: read out/);
  await press(page, 'Save link result');
}
const openBeforeSignOff = (page: Page) => page.getByRole('region', { name: 'Open before sign-off' });
const signing = (page: Page) => page.getByRole('button', { name: /^Sign as/ });

test.beforeEach(async ({ page }) => {
  page.setDefaultTimeout(20_000);
  await choosePerson(page, inesId);
  await winchReady(page.request);
});

test('a winch: a wrong 50/60 Hz default set and a stale autotune hold the signature until they are put right', async ({
  page,
}) => {
  test.setTimeout(240_000);
  const errors = watchConsole(page);
  const job = await jobWith(page, boatWinch, 'A winch to start', 'as there');
  await order(page.request, { set: { region: '60Hz' }, plant: { contacts: stopped }, wait_s: 1 });
  await visit(page, `/jobs/${job}/commissioning`);
  await page.getByRole('combobox', { name: 'Load' }).selectOption({ label: 'winch' });
  await page.getByRole('checkbox', { name: 'Mechanical brake proven to close' }).check();
  await page.getByRole('checkbox', { name: 'Brake resistor fitted' }).check();
  await page.getByRole('textbox', { name: 'Ramp down' }).fill('0');
  await page.getByRole('button', { name: 'Make start-up sheet' }).click();
  await expect(page.getByText('A ramp needs a time above zero')).toBeVisible();
  await page.getByRole('textbox', { name: 'Ramp down' }).fill('4');
  await page.getByRole('button', { name: 'Make start-up sheet' }).click();
  await findAndRead(page, 'Whimbrel W4');
  await expect(page.getByRole('note').filter({ hasText: '17 % under-fluxed' })).toBeVisible();
  // 0 to 10 V over 0 to 50 Hz, and what is sold between 3 and 5 kΩ.
  await expect(page.getByRole('row').filter({ hasText: '7.5 V' })).toContainText('37.5 Hz');
  await expect(page.getByText(/4\.7 kΩ or 5 kΩ/)).toBeVisible();
  await expect(signing(page)).toBeDisabled();

  // What resets the rest goes first, alone; then the drive is read again.
  for (const number of ['0-01', '0-02']) {
    await row(page, number).getByRole('button', { name: 'Write' }).click();
    await writeTaken(page);
    await readAgain(page);
  }
  await expect(page.getByRole('note').filter({ hasText: 'under-fluxed' })).toHaveCount(0);
  await page.getByRole('button', { name: /^Write all \d+ that differ/ }).click();
  await writeTaken(page);
  await row(page, '1-09').getByRole('button', { name: 'Write' }).click();
  await writeTaken(page);
  await readAgain(page);
  await expect(page.getByText('Autotune not done yet.')).toBeVisible();
  await expect(signing(page)).toBeDisabled();
  await order(page.request, { plant: { contacts: winchContacts }, wait_s: 6 });
  await order(page.request, { plant: { contacts: stopped }, wait_s: 1 });
  await readAgain(page);
  await expect(page.getByText(/steps of the commissioning run are open/)).toBeVisible();
  const linked = {
    Display: () => press(page, 'Save link result'),
    'Saved to memory': async () => {
      // Nothing was saved yet: what was written is gone with the power.
      await press(page, 'Switch power off now');
      await powerCycle(page);
      await press(page, /Power is back: read out/);
      await expect(taken(page)).toContainText(/was .*, is /);
      await panel(page, 'Start-up sheet');
      for (const number of ['0-01', '0-02']) {
        await row(page, number).getByRole('button', { name: 'Write' }).click();
        await writeTaken(page);
        await readAgain(page);
      }
      await press(page, /^Write all \d+ that differ/);
      await writeTaken(page);
      await row(page, '1-09').getByRole('button', { name: 'Write' }).click();
      await writeTaken(page);
      await order(page.request, { plant: { contacts: winchContacts }, wait_s: 6 });
      await order(page.request, { plant: { contacts: stopped }, wait_s: 1 });
      await readAgain(page);
      await panel(page, 'Commissioning run');
      await savedAndDark(page, true);
    },
    // Its bit, both ways, over the link.
    'X4: reset': async () => {
      const keep = page.getByRole('button', { name: 'Save link result' });
      await expect(taken(page)).toContainText('seen at 0');
      await expect(keep).toBeDisabled();
      await order(page.request, { plant: { contacts: { ...stopped, DI4: true } }, wait_s: 1 });
      await expect(taken(page)).not.toContainText('not yet seen at 1');
      await keep.click();
      await order(page.request, { plant: { contacts: stopped }, wait_s: 1 });
    },
    'A1 at four points': async () => {
      for (const volts of [0, 5, 10]) {
        await order(page.request, { plant: { AI1: volts }, wait_s: 1 });
        await expect(taken(page)).toContainText(`${volts} V → ${volts * 5} Hz`);
        await press(page, 'Take this point');
      }
      await press(page, 'Save these points');
    },
  };
  await panel(page, 'Commissioning run');
  await page
    .getByRole('list', { name: 'Steps of the run' })
    .getByRole('button', { name: /Direction/ })
    .click();
  const first = page.getByRole('group', { name: 'First' });
  await expect(first.getByRole('button')).toHaveText(['Run inputs off', 'Covers', 'Reversal allowed?']);
  await first.getByRole('button', { name: 'Covers' }).click();
  await first.getByRole('button', { name: 'Wires' }).click();
  const before = await walkRun(page, linked, 'Direction');
  // It turns the wrong way: two output leads, never the input.
  await page.getByRole('button', { name: 'Failed' }).click();
  await page
    .getByRole('group', { name: 'On the bypass' })
    .getByRole('radio', { name: 'turns right' })
    .check();
  await expect(page.getByRole('region', { name: 'Direction' })).toContainText('between drive and junction');
  await page.getByRole('radio', { name: 'no bypass' }).check();
  await expect(page.getByRole('region', { name: 'Direction' })).toContainText('Swap two of U, V, W');
  await expect(page.getByRole('region', { name: 'Direction' })).toContainText(
    'Never swap at the drive input',
  );
  await press(page, 'Passed');
  const after = await walkRun(page, linked);
  expect([...before, ...after]).toEqual(expect.arrayContaining(Object.keys(linked)));
  await panel(page, 'Start-up sheet');
  await expect(signing(page)).toBeEnabled();
  await page.evaluate(() => window.scrollTo(0, 0));
  await picture(page, 'start-up');

  // A plate value changed afterwards makes it stale.
  await row(page, '1-05').getByRole('button', { name: 'Another value for 1-05' }).click();
  await row(page, '1-05').getByRole('textbox', { name: 'Value' }).fill('1450');
  await row(page, '1-05').getByRole('radio', { name: 'maker’s sheet' }).check();
  await row(page, '1-05').getByRole('button', { name: 'Save value' }).click();
  await expect(page.getByText('One parameter differs in the drive: 1-05 Motor speed.')).toBeVisible();
  await row(page, '1-05').getByRole('button', { name: 'Write' }).click();
  await writeTaken(page);
  await readAgain(page);
  await expect(page.getByText('Autotune invalid')).toBeVisible();
  await expect(signing(page)).toBeDisabled();
  await row(page, '1-09').getByRole('button', { name: 'Write' }).click();
  await writeTaken(page);
  await order(page.request, { plant: { contacts: winchContacts }, wait_s: 6 });
  await order(page.request, { plant: { contacts: stopped }, wait_s: 1 });
  await readAgain(page);
  // Written after the power was away, and after the identification: both are shown once more.
  await expect(
    page.getByText(/2 steps of the commissioning run are open: Saved to memory, Autotune/),
  ).toBeVisible();
  await walkRun(page, { 'Saved to memory': () => savedAndDark(page, true) });
  await panel(page, 'Start-up sheet');
  await readAgain(page);
  await signing(page).click();
  await expect(page.getByText('Signed by Ines Tarrow')).toBeVisible();

  const sheet = await page.request.get(`/api/v1/jobs/${job}/start-up?form=csv`);
  const csv = await sheet.text();
  expect(csv).toContain('1-05,Motor speed,1450 rpm,written and read back,1450 rpm');
  expect(csv).toContain('maker’s sheet');
  const paper = await pdfText(page.request, `/api/v1/jobs/${job}/start-up?form=pdf&paper=letter`);
  expect(paper).toContain('Signed');
  expect(paper).toMatch(/Ines Tarrow, .* Read back from the drive\./);
  expect(paper).toContain('Saved to memory: passed, over the link');
  expect(paper).toMatch(/Two or three speeds: passed; 12 Hz 3\.1 A; 25 Hz 3\.4 A/);
  expect(paper).not.toContain('Open issues');
  expect(errors).toEqual([]);
});

test('a pump on a Dunlin: entries behind the code, and a motor that failed holds the job', async ({
  page,
}) => {
  test.setTimeout(180_000);
  const job = await jobWith(page, brineFeed, 'A pump to start', 'as there');
  await order(page.request, { drive: { type: 'dunlin-d1', model: 'D1-7' }, wait_s: 3 });
  await visit(page, `/jobs/${job}/commissioning`);
  await page.getByRole('combobox', { name: 'Load' }).selectOption({ label: 'fan or centrifugal pump' });
  await page.getByRole('button', { name: 'Make start-up sheet' }).click();
  await findAndRead(page, 'Dunlin D1');
  await expect(row(page, '06')).toContainText('4.6 A');
  await expect(row(page, '38')).toContainText('access code 27');
  await page.getByRole('button', { name: /^Write all \d+ that differ/ }).click();
  await writeTaken(page);
  await readAgain(page);
  await walkRun(page);
  await panel(page, 'Start-up sheet');
  await expect(signing(page)).toBeEnabled();

  await visit(page, `/jobs/${job}/motor-and-cable`);
  await page.getByRole('checkbox', { name: /Drive disconnected/ }).check();
  for (const what of ['Thermistors', 'Encoder'])
    await page.getByRole('group', { name: what }).getByRole('radio', { name: 'none fitted' }).check();
  await page.getByRole('button', { name: 'All disconnected' }).click();
  await page.getByRole('textbox', { name: 'After 1 minute' }).fill('0,8');
  await page.getByRole('button', { name: 'Save test' }).click();
  // Two years ago the same motor was tested in another job.
  await expect(page.getByRole('img', { name: /motor and cable to earth: \d+ tests/ })).toBeVisible();
  await expect(page.getByText('Insulation fell to half or less since the last test')).toBeVisible();
  await expect(page.getByRole('note').filter({ hasText: 'failed the insulation test' })).toBeVisible();
  await picture(page, 'motor-and-cable');
  await visit(page, `/jobs/${job}/commissioning`);
  for (const place of [page.getByRole('tabpanel', { name: 'Start-up sheet' }), openBeforeSignOff(page)])
    await expect(place.getByText(/failed the insulation test/)).toBeVisible();
  await expect(signing(page)).toBeDisabled();

  await visit(page, `/jobs/${job}/motor-and-cable`);
  await page.getByRole('textbox', { name: 'After 1 minute' }).fill('240');
  await page.getByRole('button', { name: 'Save test' }).click();
  await page.getByRole('button', { name: 'Earthed for 240 s' }).click();
  await expect(page.getByRole('note').filter({ hasText: 'Stop' })).toHaveCount(0);
  await visit(page, `/jobs/${job}/commissioning`);
  await signing(page).click();
  await expect(page.getByText('Signed by Ines Tarrow')).toBeVisible();
  const sheet = `/api/v1/jobs/${job}/start-up`;
  expect(await (await page.request.get(`${sheet}?form=csv`)).text()).toContain(
    '06,Overload,4.6 A,written and read back,4.6 A',
  );
  const paper = await pdfText(page.request, `${sheet}?form=pdf&paper=a4`);
  expect(paper).toContain('Insulation of motor and cable to earth: 240 MΩ after 60 s');
  expect(paper).toMatch(/Ines Tarrow, .* Read back from the drive\./);
});

test('a pump may run until a day with what is open and named, never with a guard that is bridged', async ({
  page,
}) => {
  test.setTimeout(180_000);
  const job = await jobWith(page, brineFeed, 'A pump to run', 'as there');
  await visit(page, `/jobs/${job}/commissioning`);
  await page.getByRole('combobox', { name: 'Load' }).selectOption({ label: 'fan or centrifugal pump' });
  await press(page, 'Make start-up sheet');
  // By hand: nothing is read, every step is looked at, and one stays open.
  await walkRun(page, {}, 'Connected machines');
  await panel(page, 'Start-up sheet');
  const form = page.getByRole('region', { name: 'May run until' });
  await expect(form.getByRole('checkbox')).toHaveCount(1);
  await expect(signing(page)).toBeDisabled();
  await form.getByRole('checkbox', { name: /Connected machines/ }).check();
  await form.getByRole('textbox', { name: 'Agreed with' }).fill('O. Wrack');
  await form.getByRole('textbox', { name: 'Function' }).fill('harbour master');
  await form.getByLabel('May run until', { exact: true }).fill('2020-01-01');
  await expect(form.getByText('Today or later')).toBeVisible();
  await expect(signing(page)).toBeDisabled();
  const until = new Date(Date.now() + 7 * 86_400_000).toISOString().slice(0, 10);
  await form.getByLabel('May run until', { exact: true }).fill(until);
  await signing(page).click();
  await expect(page.getByText(/agreed with O\. Wrack, harbour master, as Ines Tarrow states/)).toBeVisible();
  const paper = await pdfText(page.request, `/api/v1/jobs/${job}/start-up?form=pdf`);
  expect(paper).toContain(`May run until ${until}, with`);
  expect(paper).toContain('A step of the run is open: Connected machines.');
  expect(paper).toContain('Agreed with O. Wrack, harbour master, as the signer states.');
  // Whatever jobs others made: this one is found by its words.
  await visit(page, '/?search=a+pump+to+run');
  await expect(page.locator(`a[href="/jobs/${job}"]`)).toContainText('released with 1 open issue until');

  const bridged = entry(job, 'jumper.set', {
    form: 'jumper',
    where: 'S1 to S4',
    guards: 'guard',
    plant: 'existing',
    landed: 'yes',
    motorConnected: false,
    reason: 'gate switch broken',
    approver: 'O. Wrack',
    removeBy: until,
  });
  await postEntries(page.request, job, [bridged]);
  await visit(page, `/jobs/${job}/commissioning`);
  for (const place of [page.getByRole('tabpanel', { name: 'Start-up sheet' }), openBeforeSignOff(page)])
    await expect(place.getByText(/It bypasses a safety function/)).toBeVisible();
  await expect(form).toHaveCount(0);
  await expect(signing(page)).toBeDisabled();
});

test('a hot place on one phase gives less than the motor asks', async ({ page }) => {
  const plate = { power: { value: 5.5, unit: 'kW' }, volts: 400, amps: 11, hz: 50, rpm: 1450, cosPhi: 0.84 };
  const job = await jobWith(page, winch, 'A drum in the sun', plate);
  await visit(page, `/jobs/${job}/commissioning`);
  await page.getByRole('button', { name: 'Make start-up sheet' }).click();
  await panel(page, 'Supply and installation');
  await page.getByRole('textbox', { name: 'Ambient at the unit' }).fill('hot');
  await page.getByRole('button', { name: 'Save installation' }).click();
  await expect(page.getByText('A temperature, e.g. 40 or 104 °F')).toBeVisible();
  await page.getByRole('textbox', { name: 'Ambient at the unit' }).fill('45');
  await page.getByRole('button', { name: 'Save installation' }).click();
  const said = page.getByRole('status').filter({ hasText: 'is the available current here' });
  await expect(said).toContainText('13.5 A');
  await page.getByRole('radio', { name: 'one phase' }).check();
  await page.getByRole('textbox', { name: 'Stored unpowered' }).fill('4');
  await page.getByRole('button', { name: 'Save installation' }).click();
  await expect(said).toContainText('0.0 A');
  await expect(said).toContainText('see its manual');
  await page.getByRole('textbox', { name: 'Output on a single-phase supply' }).fill('50');
  await page.getByRole('button', { name: 'Save installation' }).click();
  await expect(page.getByText('Enter manual and page')).toBeVisible();
  await page.getByRole('textbox', { name: 'Manual and page' }).fill('W4 manual, page 31');
  await page.getByRole('button', { name: 'Save installation' }).click();
  await expect(said).toContainText('6.8 A');
  await expect(said).toContainText('exceeds the derated output current');
  await expect(said).toContainText('two hours each');
  await panel(page, 'Start-up sheet');
  await expect(page.getByText('Motor current exceeds the derated output current.')).toBeVisible();
  await expect(signing(page)).toBeDisabled();
});

test('ramps are drawn and follow the handle; a short one trips', async ({ page }) => {
  const job = await jobWith(page, boatWinch, 'A conveyor to stop', 'as there');
  await visit(page, `/jobs/${job}/commissioning`);
  await page.getByRole('combobox', { name: 'Load' }).selectOption({ label: 'conveyor, mixer, drum' });
  await page.getByRole('button', { name: 'Make start-up sheet' }).click();
  await panel(page, 'Ramps');
  const said = page.getByRole('status').filter({ hasText: 'Shortest safe ramp up' });
  await expect(said).toContainText('without a trip');
  await page.getByRole('radio', { name: 'known' }).check();
  await page.getByRole('textbox', { name: 'Total, at the motor shaft' }).fill('-2');
  await expect(page.getByText('A value above zero; drawn with the default')).toBeVisible();
  await page.getByRole('textbox', { name: 'Total, at the motor shaft' }).fill('1.2');
  const handle = page.getByRole('slider', { name: 'Ramp down' });
  await handle.fill('1');
  await expect(said).toContainText('Trips on over');
  // The grip in the chart is the same ramp.
  const grip = page.getByRole('slider', { name: 'stopped' });
  await grip.focus();
  for (let i = 0; i < 3; i += 1) await grip.press('PageUp');
  await expect(handle).toHaveValue('4');
  const from = await grip.boundingBox();
  if (from === null) throw new Error('no grip');
  await page.mouse.move(from.x + from.width / 2, from.y + from.height - 8);
  await page.mouse.down();
  await page.mouse.move(from.x + from.width / 2 - 60, from.y + from.height - 8, { steps: 4 });
  await page.mouse.up();
  expect(Number(await handle.inputValue())).toBeLessThan(3.5);
  await handle.fill('1');
  await page.getByRole('slider', { name: 'Ramp up' }).evaluate((el) => el.scrollIntoView());
  await handle.focus();
  for (let i = 0; i < 3; i += 1) await handle.press('PageUp');
  await expect(page.getByRole('group', { name: /Shaft, Motor torque/ })).toBeVisible();

  // One tap carries the shortest to the sheet; the inertia that was judged is there again after a reload.
  await page.getByRole('button', { name: /^To the sheet: / }).click();
  await expect(page.getByText(/^Saved and on the start-up sheet/)).toBeVisible();
  const carried = /To the sheet: ([\d.]+) s up, ([\d.]+) s down/.exec(
    (await page.getByRole('button', { name: /^To the sheet: / }).textContent()) ?? '',
  );
  await reloadJob(page);
  await expect(row(page, '3-01')).toContainText(`${carried?.[1]} s`);
  await expect(row(page, '3-02')).toContainText(`${carried?.[2]} s`);
  await panel(page, 'Ramps');
  await expect(page.getByRole('textbox', { name: 'Total, at the motor shaft' })).toHaveValue('1.2');
});

test('suspended load is drawn both ways; a resistor below the chopper’s least is refused', async ({
  page,
}) => {
  const job = await jobWith(page, boatWinch, 'A hoist to lower', 'as there');
  await visit(page, `/jobs/${job}/commissioning`);
  await page.getByRole('combobox', { name: 'Load' }).selectOption({ label: 'hoist' });
  await page.getByRole('checkbox', { name: 'Brake resistor fitted' }).check();
  await page.getByRole('button', { name: 'Make start-up sheet' }).click();
  await panel(page, 'Ramps');
  const said = page.getByRole('status').filter({ hasText: 'Shortest safe ramp up' });
  await expect(said).toContainText('without a trip');
  await page.getByRole('radio', { name: 'lowered' }).check();
  await page.getByRole('textbox', { name: 'Brake resistor' }).fill('400');
  await expect(said).toContainText('Trips on overvoltage');
  await page.getByRole('textbox', { name: 'Brake resistor' }).fill('12');
  await expect(said).toContainText('below the minimum of the brake chopper, 20');
  await page.getByRole('textbox', { name: 'Brake resistor' }).fill('40');
  await expect(said).toContainText('without a trip');
  await expect(said).toContainText('one stop every 60 s');
});
