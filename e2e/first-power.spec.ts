/** The repaired slipway winch from its plan to "runs under load", and four captures named rightly. */
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import type { Page } from '@playwright/test';
import { audit } from './audit';
import { copyOf } from './copies';
import { expect, test } from './test';
import {
  choosePerson,
  entry,
  inesId,
  pdfText,
  picture,
  pipId,
  southWinch,
  visit,
  watchConsole,
  postEntries,
} from './demo';

test.beforeEach(async ({ page }) => {
  page.setDefaultTimeout(30_000);
  test.setTimeout(240_000);
  await choosePerson(page, inesId);
});

const stageOf = (job: string) => `/jobs/${job}/first-power-up`;
const part = (page: Page, name: string) =>
  page
    .getByRole('tablist', { name: 'Parts of first power-up' })
    .getByRole('tab', { name, exact: true })
    .click();
const capture = (page: Page, files: string[]) =>
  page
    .getByLabel('Capture: CSV, .cff, or .cfg and .dat together')
    .setInputFiles(files.map((f) => join(process.cwd(), 'demo/captures', f)));
const kept = (kind: string, payload: object) => entry(southWinch, kind, payload);
const probes = kept('power.probes', { by: 'battery-scope', ratedVolts: 1000, category: 'III' });
const lamps = (hz: number, volts: number[], amps: number[]) =>
  kept('power.lamps', { lamp: { volts: 230, watts: 100 }, perLeg: 2, hz, volts, amps });
/** Everything that may stand in its log between the plan and the end of the trial. */
const tried = [
  kept('power.planned', {
    way: { by: 'lamps', watts: 100 },
    expected_V: 560,
    stopBelow_V: 300,
    stopAbove_V: 594,
    stopAfter_s: 5,
  }),
  kept('power.on', { through: 'lamps' }),
  kept('power.bus', { at_s: 5, volts: 503 }),
  lamps(30, [241, 240, 242], [0.4, 0.31, 0.4]),
  lamps(50, [385, 388, 386], [0.46, 0.46, 0.46]),
  kept('power.swept', {
    min_Hz: 0,
    max_Hz: 50,
    points: [0, 25, 50, 75, 100].map((percent) => ({ percent, hz: percent / 2 })),
  }),
  kept('power.off', {}),
  probes,
];
const conclusion = (page: Page) => page.getByRole('status', { name: 'Conclusion' });

test('planned, printed, and not switched on by an apprentice', async ({ page }) => {
  const errors = watchConsole(page);
  await visit(page, stageOf(southWinch));
  await picture(page, 'first-power');
  const job = await copyOf(page.request, southWinch);
  await visit(page, stageOf(job));
  await expect(
    page.getByText(
      /In each of the three lines 2 lamps of 230 V in series, 100 W each, filament or halogen: LED/,
    ),
  ).toBeVisible();
  await expect(page.getByText(/The bus is below \d+ V after \d+ s\./)).toBeVisible();
  await page.getByLabel('Lamps', { exact: true }).selectOption('60 W');
  await expect(page.getByText(/60 W each/)).toBeVisible();
  await page.getByLabel('Lamps', { exact: true }).selectOption('smallest sufficient');
  await page.getByRole('button', { name: 'Save plan' }).click();
  const link = page.getByRole('link', { name: 'Plan as PDF' });
  await expect(link).toBeVisible();
  // The link is there at once; the plan lies on the server a moment later.
  await expect
    .poll(async () => (await page.request.get(`/api/v1/jobs/${job}/first-power?form=pdf`)).status())
    .toBe(200);
  const pdf = await pdfText(page.request, `/api/v1/jobs/${job}/first-power?form=pdf`);
  expect(pdf).toMatch(/First power-up plan/);
  expect(pdf).toMatch(/South slipway winch/);
  expect(pdf).toMatch(/2 lamps of 230 V in series/);
  expect(pdf).toMatch(/Switch off at once when/);
  expect(pdf).toMatch(/earthed\s+clip\s+on\s+a\s+power\s+terminal\s+shorts/);
  await page.evaluate(() => window.scrollTo(0, 0));
  await choosePerson(page, pipId);
  await postEntries(page.request, job, [entry(job, 'power.on', { through: 'lamps' })]);
  await visit(page, stageOf(job));
  await expect(page.getByText('Only a technician or the lead may switch on.').first()).toBeVisible();
  await expect(page.getByText('Power is on.')).toHaveCount(0);
  expect(errors).toEqual([]);
});

test('four captures are named rightly, laid on the computed picture and kept', async ({ page }) => {
  const errors = watchConsole(page);
  const job = await copyOf(page.request, southWinch);
  await visit(page, stageOf(job));
  await part(page, 'Measured');
  await expect(page.getByRole('note', { name: /earthed clip on a power terminal/ })).toBeVisible();
  const go = page.getByRole('button', { name: 'Confirm: only these' });
  await page.getByRole('radio', { name: 'a battery scope, inputs isolated' }).check();
  await page.getByLabel('Rated for').fill('300');
  await expect(page.getByText(/Not enough: 1000 V required by the trip level/)).toBeVisible();
  await page.getByLabel('Rated for').fill('1000');
  await page.getByRole('radio', { name: 'CAT II', exact: true }).check();
  await expect(page.getByText('CAT III at least')).toBeVisible();
  await go.click();
  await expect(go).toBeVisible();
  await page.getByRole('radio', { name: 'CAT III' }).check();
  await go.click();

  await test.step('CSV with decimal commas: a lost phase', async () => {
    await capture(page, ['winch-lines.csv']);
    await page.getByRole('button', { name: 'Use these columns' }).click();
    await expect(conclusion(page)).toContainText('Input phase L2 missing', { timeout: 60_000 });
    await expect(conclusion(page)).toContainText('100 Hz instead of 300 Hz');
    await expect(page.getByRole('group', { name: 'Capture on the calculated waveform' })).toBeVisible();
    await conclusion(page).evaluate((box) => box.scrollIntoView({ block: 'start' }));
  });
  await test.step('COMTRADE: a diode open; one file alone is refused', async () => {
    await capture(page, ['winch-diode.cfg']);
    await expect(
      page.getByRole('alert').filter({ hasText: 'choose the .cfg and the .dat together' }),
    ).toBeVisible();
    await capture(page, ['winch-diode.cfg', 'winch-diode.dat']);
    await expect(conclusion(page)).toContainText('L1 upper rectifier diode open', { timeout: 60_000 });
    await page.getByRole('button', { name: 'Save capture and conclusion' }).click();
    await expect(page.getByText('Capture and conclusion saved.')).toBeVisible();
  });
  await test.step('COMTRADE in one file: written, and read again', async () => {
    const saved = page.waitForEvent('download');
    await page.getByRole('button', { name: 'Save as COMTRADE (.cff)' }).click();
    const file = await saved;
    expect(file.suggestedFilename()).toBe('winch-diode.cff');
    await capture(page, ['winch-sound.csv']);
    await expect(page.getByLabel('“CH1” is')).toBeVisible();
    await page.getByLabel('Capture: CSV, .cff, or .cfg and .dat together').setInputFiles({
      name: 'winch-diode.cff',
      mimeType: 'application/octet-stream',
      buffer: readFileSync(await file.path()),
    });
    await expect(page.getByLabel('“CH1” is')).toHaveCount(0);
    await expect(conclusion(page)).toContainText('L1 upper rectifier diode open', { timeout: 60_000 });
  });
  await test.step('COMTRADE: an IGBT or its gate, not told apart', async () => {
    await capture(page, ['winch-output.dat', 'winch-output.cfg']);
    await expect(conclusion(page)).toContainText(
      'V lower IGBT does not switch, or its gate drive is missing',
      {
        timeout: 60_000,
      },
    );
  });
  await test.step('CSV of numbered channels through clamps: no fault', async () => {
    await capture(page, ['winch-sound.csv']);
    for (const [name, role] of [
      ['CH1', 'bus voltage'],
      ['CH2', 'output current U'],
      ['CH3', 'output current V'],
      ['CH4', 'output current W'],
    ] as const)
      await page.getByLabel(`“${name}” is`).selectOption(role);
    const scales = page.getByLabel('One unit is');
    for (let k = 0; k < 4; k += 1) await scales.nth(k).fill('100');
    await page.getByRole('button', { name: 'Use these columns' }).click();
    await expect(conclusion(page)).toContainText('No fault', { timeout: 60_000 });
    await page.getByRole('button', { name: 'Save capture and conclusion' }).click();
    await expect(page.getByText('Capture and conclusion saved.')).toBeVisible();
  });
  await test.step('two columns swapped are doubted', async () => {
    await capture(page, ['winch-lines.csv']);
    await page.getByLabel('“DC bus (V)” is').selectOption('line current L1');
    await page.getByLabel('“I L1 (A)” is').selectOption('bus voltage');
    await page.getByRole('button', { name: 'Use these columns' }).click();
    await expect(page.getByText(/not a DC bus. Are two columns swapped/)).toBeVisible();
  });
  await test.step('files that are none', async () => {
    await page.getByLabel('Capture: CSV, .cff, or .cfg and .dat together').setInputFiles({
      name: 'letter.csv',
      mimeType: 'text/csv',
      buffer: Buffer.from('dear sir\nno numbers here\n'),
    });
    await expect(page.getByRole('alert').filter({ hasText: 'No numeric columns' })).toBeVisible();
  });
  expect(errors).toEqual([]);
});

test('a computing part that cannot be loaded is reported, and tried again', async ({ page }) => {
  await visit(page, stageOf(await copyOf(page.request, southWinch, [probes])));
  await page.route(/worker/i, (route) => route.abort());
  await part(page, 'Measured');
  await capture(page, ['winch-diode.cfg', 'winch-diode.dat']);
  await expect(
    page.getByRole('alert').filter({ hasText: 'calculation module could not be loaded' }),
  ).toBeVisible();
  await page.unroute(/worker/i);
  await capture(page, ['winch-diode.cfg', 'winch-diode.dat']);
  await expect(conclusion(page)).toContainText('L1 upper rectifier diode open', { timeout: 60_000 });
});

test('pictures of this unit with faults in it, and values of a meter', async ({ page }) => {
  await visit(page, stageOf(await copyOf(page.request, southWinch, [probes])));
  await part(page, 'Pictures');
  const chart = page.getByRole('group', { name: /Calculated waveforms of the lines and bus/ });
  await expect(chart).toBeVisible();
  await page.getByLabel('With this in it').selectOption('bank-weak');
  await page.getByRole('slider', { name: 'Severity' }).press('End');
  await expect(page.getByText('100 %', { exact: true })).toBeVisible();
  const ripple = page.getByRole('row', { name: /bus ripple, peak to peak/ });
  await expect
    .poll(async () => {
      const [, sound, now] = await ripple.getByRole('cell').allTextContents();
      return Number.parseFloat(now ?? '') / Number.parseFloat(sound ?? '');
    })
    .toBeGreaterThan(2);
  await expect(page.getByText(/Without a brake resistor the drive trips on overvoltage/)).toBeVisible();
  await page.getByRole('slider', { name: 'Full speed to standstill in' }).press('End');
  await expect(page.getByText('Stops without a brake resistor.')).toBeVisible();
  await part(page, 'Measured');
  for (const [label, figure] of [
    ['Line current L1', '9,8'],
    ['Line current L2', '9.7'],
    ['Line current L3', '9.9'],
    ['Output current U', '11.2'],
    ['Output current V', 'none'],
    ['Output current W', '11.3'],
  ] as const)
    await page.getByLabel(label, { exact: true }).fill(figure);
  await expect(page.getByText('A value of zero or more')).toBeVisible();
  await page.getByRole('button', { name: 'Diagnose these values' }).click();
  await expect(page.getByLabel('Output current V', { exact: true })).toBeFocused();
  await page.getByLabel('Output current V', { exact: true }).fill('0');
  await page.getByLabel('Output frequency').fill('31');
  await expect(page.getByText(/the output does not follow/)).toBeVisible();
  await page.getByRole('button', { name: 'Diagnose these values' }).click();
  await expect(conclusion(page)).toContainText('Output V open', { timeout: 60_000 });
});

test('switched on, lamps judged, the reference swept: it is balanced on lamps; then dead again', async ({
  page,
}) => {
  const errors = watchConsole(page);
  const level = page.getByRole('listitem').filter({ hasText: 'Balanced on lamps' });
  const job = await copyOf(page.request, southWinch);
  await visit(page, stageOf(job));
  await page.getByRole('button', { name: 'Save plan' }).click();
  // What is tried out above is no plan until it is kept.
  await page.getByRole('radio', { name: 'a limited supply' }).check();
  await page.getByLabel('Limit in each line').fill('some');
  await expect(page.getByText('A value above zero; drawn at 1')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Save plan' })).toBeDisabled();
  await page.getByRole('button', { name: /Switch on through the lamps of 100 W/ }).click();
  await expect(page.getByText('Power is on.')).toBeVisible();
  await page.getByLabel('After').fill('5');
  await page.getByLabel('Bus', { exact: true }).fill('210');
  await page.getByRole('button', { name: 'Save bus reading' }).click();
  await expect(page.getByRole('note', { name: /Switch off/ })).toContainText(
    'there is a load or short on the bus',
  );
  // The full supply waits, here and in the fold.
  await page.getByRole('button', { name: 'Power off' }).first().click();
  await expect(page.getByRole('button', { name: 'Switch on full supply' })).toBeDisabled();
  await postEntries(page.request, job, [entry(job, 'power.on', { through: 'supply' })]);
  await expect(page.getByText(/Full supply only after a bus reading of/).first()).toBeVisible();
  await expect(page.getByText('Power is on.')).toHaveCount(0);
  await page.getByRole('button', { name: /Switch on through the lamps of 100 W/ }).click();
  await page.getByLabel('After').fill('5');
  await page.getByLabel('Bus', { exact: true }).fill('503');
  await page.getByRole('button', { name: 'Save bus reading' }).click();
  await expect(page.getByRole('note', { name: /Switch off/ })).toHaveCount(0);

  await part(page, 'Lamps');
  await expect(page.getByText('The star point of the lamps is live.')).toBeVisible();
  await expect(page.getByRole('row', { name: /^50 / })).toContainText('bright', { timeout: 60_000 });
  const readLamps = async (hz: string, figures: string[]) => {
    await page.getByLabel('At', { exact: true }).fill(hz);
    for (const [i, label] of ['U to V', 'V to W', 'W to U', 'Current U', 'Current V', 'Current W'].entries())
      await page.getByLabel(label, { exact: true }).fill(figures[i] ?? '');
    await page.getByRole('button', { name: 'Save these readings' }).click();
  };
  await readLamps('30', ['241', '240', '242', '0.40', '0.31', '0.40']);
  await expect(page.getByText(/At 30 Hz: Phase V differs from the others: U–V/)).toBeVisible();
  await expect(level).toContainText('no');
  // The lamp of leg V was the odd one: changed, all three are alike.
  await readLamps('30', ['241', '240', '242', '0.40', '0.41', '0.40']);
  await readLamps('50', ['385', '388', '386', '0.46', '0.46', '0.46']);
  await expect(page.getByText('At 50 Hz: All three phases equal.')).toBeVisible();

  await part(page, 'Reference');
  for (const [percent, hz] of [
    [0, '0'],
    [25, '12.4'],
    [50, '25.1'],
    [75, '39'],
    [100, '50'],
  ] as const)
    await page.getByLabel(`Output at ${percent} %`).fill(hz);
  await expect(page.getByText(/At 75 % it is 1.5 Hz off/)).toBeVisible();
  await page.getByLabel('Output at 75 %').fill('37.4');
  await expect(page.getByText(/Follows from zero to maximum/)).toBeVisible();
  await page.getByRole('button', { name: 'Save sweep' }).click();
  await expect(level).toContainText('yes');
  await expect(page.getByRole('listitem').filter({ hasText: 'Runs under load' })).toContainText('not tested');
  await page.getByRole('button', { name: 'Power off' }).first().click();
  await expect(page.getByRole('button', { name: 'Switch on full supply' })).toHaveCount(0);
  await part(page, 'Switch on');
  await expect(page.getByRole('button', { name: 'Switch on full supply' })).toBeEnabled();
  await expect(page.getByText('Dead proof void after power on; prove dead again.')).toBeVisible();
  await visit(page, `/jobs/${job}/bench-test`);
  await expect(page.getByText(/was switched on/).first()).toBeVisible();
  expect(errors).toEqual([]);
});

for (const name of ['Switch on', 'Pictures', 'Measured', 'Lamps', 'Reference', 'Gates'])
  test(`${name} fails no rule of axe, by day and by night, wide and narrow`, async ({ page }) => {
    await visit(page, stageOf(await copyOf(page.request, southWinch, tried)));
    await part(page, name);
    await audit(page, name, 'every');
  });
