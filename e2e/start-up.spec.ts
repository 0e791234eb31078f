/** From the plate to a signed start-up sheet: a winch on a Whimbrel, a pump on a Dunlin. */
import { expect, test, type Page } from '@playwright/test';
import { choosePerson, gradingDrum, ines, picture, visit, watchConsole, winch } from './demo';
import { order, winchReady } from './rig';
import { contacts, findAndRead, jobWith, readAgain, writeTaken } from './trace';

const stopped = { ...contacts, DI1: false };

/** The winch's motor, and a conveyor's like it. */
const winchPlate = {
  power: { value: 7.5, unit: 'kW' },
  volts: 400,
  amps: 14.8,
  hz: 50,
  rpm: 1455,
  cosPhi: 0.84,
};

const rows = (page: Page) => page.getByRole('list', { name: 'Start-up sheet' });
const row = (page: Page, number: string) =>
  rows(page)
    .getByRole('listitem')
    .filter({ has: page.getByText(number, { exact: true }) });
const panel = (page: Page, name: string) =>
  page.getByRole('group', { name: 'Settings' }).getByRole('button', { name }).click();

/** Walks the commissioning run: each step as it asks for it. */
async function walkRun(page: Page): Promise<void> {
  await panel(page, 'Commissioning run');
  const said = page.getByRole('status').filter({ hasText: /step/ });
  for (let i = 0; i < 40; i += 1) {
    const words = (await said.textContent()) ?? '';
    if (words.includes('Every step is settled')) return;
    const speeds = page.getByRole('button', { name: 'Keep these currents' });
    const whole = page.getByRole('button', { name: 'Keep the whole sequence' });
    if ((await speeds.count()) > 0) {
      for (const [n, hz, amps] of [
        ['1', '12', '3,1'],
        ['2', '25', '3.4'],
      ] as const) {
        await page.getByRole('textbox', { name: `Speed ${n}` }).fill(hz);
        await page.getByRole('textbox', { name: `Current ${n}` }).fill(amps);
      }
      await speeds.click();
    } else if ((await whole.count()) > 0) {
      await expect(whole).toBeDisabled();
      for (const part of ['reset', 'start', 'stopped', 'start refused', 'reset again', 'start again'])
        await page.getByRole('checkbox', { name: part, exact: true }).check();
      await expect(whole).toBeDisabled();
      await page.getByRole('textbox', { name: 'Qualified person who answers for it' }).fill('A. Fenn');
      await whole.click();
    } else await page.getByRole('button', { name: 'Seen and right' }).click();
    await expect(said).not.toHaveText(words);
  }
}
const signing = (page: Page) => page.getByRole('button', { name: /^Sign as/ });

test.beforeEach(async ({ page }) => {
  await choosePerson(page, ines);
  await winchReady(page.request);
});

test('a winch: a wrong region and a stale identification hold the signature until they are put right', async ({
  page,
}) => {
  test.setTimeout(240_000);
  const errors = watchConsole(page);
  const job = await jobWith(page, winch, 'A winch to start', winchPlate);
  await order(page.request, { set: { region: '60Hz' }, plant: { contacts: stopped }, wait_s: 1 });
  await visit(page, `/jobs/${job}/settings`);
  await page.getByRole('combobox', { name: 'Load' }).selectOption({ label: 'winch' });
  await page.getByRole('checkbox', { name: 'A mechanical brake is proven to close' }).check();
  await page.getByRole('checkbox', { name: 'A brake resistor is fitted' }).check();
  await page.getByRole('textbox', { name: 'Deceleration' }).fill('0');
  await page.getByRole('button', { name: 'Make the sheet' }).click();
  await expect(page.getByText('A ramp takes some time')).toBeVisible();
  await page.getByRole('textbox', { name: 'Deceleration' }).fill('4');
  await page.getByRole('button', { name: 'Make the sheet' }).click();
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
  await expect(page.getByText('The identification was not run yet.')).toBeVisible();
  await expect(signing(page)).toBeDisabled();
  await order(page.request, { plant: { contacts }, wait_s: 6 });
  await order(page.request, { plant: { contacts: stopped }, wait_s: 1 });
  await readAgain(page);
  await expect(page.getByText(/steps of the commissioning run are open/)).toBeVisible();
  await panel(page, 'Commissioning run');
  // It turns the wrong way: two output leads, never the input.
  await page
    .getByRole('list', { name: 'Steps of the run' })
    .getByRole('button', { name: /Direction/ })
    .click();
  await page.getByRole('button', { name: 'Not right' }).click();
  await page
    .getByRole('group', { name: 'On the bypass' })
    .getByRole('radio', { name: 'turns right' })
    .check();
  await expect(page.getByRole('region', { name: 'Direction' })).toContainText('between drive and tee');
  await page.getByRole('radio', { name: 'there is none' }).check();
  await expect(page.getByRole('region', { name: 'Direction' })).toContainText('Swap two of U, V, W');
  await expect(page.getByRole('region', { name: 'Direction' })).toContainText('Never at the input');
  await picture(page, 'commissioning');
  await walkRun(page);
  await panel(page, 'Start-up sheet');
  await expect(signing(page)).toBeEnabled();
  await page.evaluate(() => window.scrollTo(0, 0));
  await picture(page, 'start-up');

  // A plate value changed afterwards makes it stale.
  await row(page, '1-05').getByRole('button', { name: 'Another value for 1-05' }).click();
  await row(page, '1-05').getByRole('textbox', { name: 'Value' }).fill('1450');
  await row(page, '1-05').getByRole('radio', { name: 'maker’s sheet' }).check();
  await row(page, '1-05').getByRole('button', { name: 'Keep this value' }).click();
  await expect(page.getByText('One entry is otherwise in the drive: 1-05 Motor speed.')).toBeVisible();
  await row(page, '1-05').getByRole('button', { name: 'Write' }).click();
  await writeTaken(page);
  await readAgain(page);
  await expect(page.getByText('The identification is stale')).toBeVisible();
  await expect(signing(page)).toBeDisabled();
  await row(page, '1-09').getByRole('button', { name: 'Write' }).click();
  await writeTaken(page);
  await order(page.request, { plant: { contacts }, wait_s: 6 });
  await order(page.request, { plant: { contacts: stopped }, wait_s: 1 });
  await readAgain(page);
  await signing(page).click();
  await expect(page.getByText('Signed by Ines Tarrow')).toBeVisible();

  const sheet = await page.request.get(`/api/v1/jobs/${job}/start-up?form=csv`);
  const csv = await sheet.text();
  expect(csv).toContain('1-05,Motor speed,1450 rpm,1450 rpm');
  expect(csv).toContain('maker’s sheet');
  const pdf = await page.request.get(`/api/v1/jobs/${job}/start-up?form=pdf&paper=letter`);
  expect((await pdf.body()).subarray(0, 5).toString()).toBe('%PDF-');
  expect(errors).toEqual([]);
});

test('a pump on a Dunlin: entries behind the code, and a motor that failed holds the job', async ({
  page,
}) => {
  test.setTimeout(180_000);
  const plate = { power: { value: 1.1, unit: 'kW' }, volts: 230, amps: 4.6, hz: 50, rpm: 1420, cosPhi: 0.8 };
  const job = await jobWith(page, gradingDrum, 'A pump to start', plate);
  await order(page.request, { drive: { type: 'dunlin-d1', model: 'D1-7' }, wait_s: 3 });
  await visit(page, `/jobs/${job}/settings`);
  await page.getByRole('combobox', { name: 'Load' }).selectOption({ label: 'fan or centrifugal pump' });
  await page.getByRole('button', { name: 'Make the sheet' }).click();
  await findAndRead(page, 'Dunlin D1');
  await expect(row(page, '06')).toContainText('4.6 A');
  await expect(row(page, '38')).toContainText('Opens with code 27');
  await page.getByRole('button', { name: /^Write all \d+ that differ/ }).click();
  await writeTaken(page);
  await readAgain(page);
  await walkRun(page);
  await panel(page, 'Start-up sheet');
  await expect(signing(page)).toBeEnabled();

  await visit(page, `/jobs/${job}/motor`);
  await page.getByRole('checkbox', { name: /The drive is off/ }).check();
  for (const what of ['Thermistors', 'Encoder'])
    await page.getByRole('group', { name: what }).getByRole('radio', { name: 'none fitted' }).check();
  await page.getByRole('button', { name: 'All of it is off' }).click();
  await page.getByRole('textbox', { name: 'After 1 minute' }).fill('0,8');
  await page.getByRole('button', { name: 'Keep this test' }).click();
  await expect(page.getByRole('note').filter({ hasText: 'failed the insulation test' })).toBeVisible();
  await picture(page, 'motor-and-cable');
  await visit(page, `/jobs/${job}/settings`);
  await expect(page.getByText(/failed the insulation test/)).toBeVisible();
  await expect(signing(page)).toBeDisabled();

  await visit(page, `/jobs/${job}/motor`);
  await page.getByRole('textbox', { name: 'After 1 minute' }).fill('240');
  await page.getByRole('button', { name: 'Keep this test' }).click();
  await page.getByRole('button', { name: 'It was earthed for 240 s' }).last().click();
  await expect(page.getByRole('note').filter({ hasText: 'Held' })).toHaveCount(0);
  await visit(page, `/jobs/${job}/settings`);
  await signing(page).click();
  await expect(page.getByText('Signed by Ines Tarrow')).toBeVisible();
});

test('a hot place on one phase gives less than the motor asks', async ({ page }) => {
  const plate = { power: { value: 5.5, unit: 'kW' }, volts: 400, amps: 11, hz: 50, rpm: 1450, cosPhi: 0.84 };
  const job = await jobWith(page, winch, 'A drum in the sun', plate);
  await visit(page, `/jobs/${job}/settings`);
  await page.getByRole('button', { name: 'Make the sheet' }).click();
  await panel(page, 'Supply and place');
  await page.getByRole('textbox', { name: 'Air into the unit' }).fill('hot');
  await page.getByRole('button', { name: 'Keep this place' }).click();
  await expect(page.getByText('Figures in every field')).toBeVisible();
  await page.getByRole('textbox', { name: 'Air into the unit' }).fill('45');
  await page.getByRole('button', { name: 'Keep this place' }).click();
  const said = page.getByRole('status').filter({ hasText: 'may give here' });
  await expect(said).toContainText('13.5 A');
  await page.getByRole('radio', { name: 'one phase' }).check();
  await page.getByRole('textbox', { name: 'Stored unpowered' }).fill('4');
  await page.getByRole('button', { name: 'Keep this place' }).click();
  await expect(said).toContainText('6.8 A');
  await expect(said).toContainText('asks for more than the unit gives here');
  await expect(said).toContainText('two hours each');
  await panel(page, 'Start-up sheet');
  await expect(page.getByText('The motor asks for more than the unit gives here.')).toBeVisible();
  await expect(signing(page)).toBeDisabled();
});

test('ramps are drawn and follow the handle; a short one trips', async ({ page }) => {
  const job = await jobWith(page, winch, 'A conveyor to stop', winchPlate);
  await visit(page, `/jobs/${job}/settings`);
  await page.getByRole('combobox', { name: 'Load' }).selectOption({ label: 'conveyor, mixer, drum' });
  await page.getByRole('button', { name: 'Make the sheet' }).click();
  await panel(page, 'Ramps');
  const said = page.getByRole('status').filter({ hasText: 'Shortest safe acceleration' });
  await expect(said).toContainText('without a trip');
  await page.getByRole('radio', { name: 'known' }).check();
  await page.getByRole('textbox', { name: 'Of all, at the motor shaft' }).fill('1.2');
  const handle = page.getByRole('slider', { name: 'Deceleration' });
  await handle.fill('1');
  await expect(said).toContainText('trips on over');
  await page.getByRole('slider', { name: 'Acceleration' }).evaluate((el) => el.scrollIntoView());
  await picture(page, 'ramps');
  await handle.focus();
  for (let i = 0; i < 3; i += 1) await handle.press('PageUp');
  await expect(page.getByRole('img', { name: /Shaft, Motor torque/ })).toBeVisible();
});
