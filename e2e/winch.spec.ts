import { expect, test } from './test';
import {
  alive,
  choosePerson,
  choosePlan,
  inesId,
  pdfText,
  picture,
  reloadJob,
  visit,
  watchConsole,
  winch,
} from './demo';
import { slipwayWinch } from './copies';
import { answerSources, lockAndTag, proveMeter, read, takeFigures } from './hands';

// One unit: its upper diode on L2 blown in a supply surge, one lower diode off its peers at first.
const forward = [
  '0.648',
  '0.449',
  'OL',
  '0,452',
  '370 mV',
  '.372',
  '0.371',
  '0.552',
  '0.386',
  '0.447',
  '0.451',
  '0.370',
  '0.371',
  '0.373',
  '0.551',
];

test('the slipway winch, from the board to a signed sheet', async ({ page }) => {
  test.setTimeout(240_000);
  const said = watchConsole(page);
  await visit(page, '/');
  await choosePerson(page, inesId);
  await page.reload();
  await alive(page);
  await picture(page, 'board');
  await page.locator(`a[href="/jobs/${winch}"]`).click();
  await expect(page.getByRole('heading', { name: 'Make safe', level: 1 })).toBeVisible();
  await expect(page.getByText('Do not restore mains to read the display.').first()).toBeVisible();

  await answerSources(page, ['Mains supply', 'Brake supply', 'Load, springs, pressure']);
  await lockAndTag(page, 12);
  await proveMeter(page, 'before');
  await takeFigures(page, '3.1', '0.1', '3.0', async () => {
    await page.evaluate(() => window.scrollTo(0, 0));
    await picture(page, 'make-safe');
  });
  await proveMeter(page, 'after');
  await expect(page.getByText(/Proven dead: 3.1 V at most/)).toBeVisible();
  await page.getByRole('button', { name: 'Go to Bench test' }).click();

  await expect(page.getByRole('heading', { name: 'Bus junctions' })).toBeVisible();
  const margin = page.getByRole('complementary', { name: 'Evidence' });

  // What nobody can have meant is asked about in place, and nothing is dropped.
  const field = page.getByRole('textbox', { name: 'What the meter shows, volts' });
  await field.fill('64.8');
  await field.press('Enter');
  await expect(page.getByText(/A diode test cannot show 64.8 V/)).toBeVisible();
  await expect(field).toHaveValue('64.8');
  await field.fill('nonsense');
  await field.press('Enter');
  await expect(page.getByText(/is not a reading/)).toBeVisible();
  await expect(field).toHaveValue('nonsense');
  await field.fill('');

  for (const figure of forward.slice(0, 3)) await read(page, figure);
  await expect(page.getByRole('heading', { name: 'Upper rectifier, L3' })).toBeVisible();
  for (const figure of forward.slice(3, 10)) await read(page, figure);
  await picture(page, 'static-test');
  for (const figure of forward.slice(10)) await read(page, figure);
  await expect(margin.getByText('L2 upper diode is open, very likely.')).toBeVisible({
    timeout: 15_000,
  });
  await expect(margin.getByText('DC- to L1: measure again.')).toBeVisible();

  // Both doubtful readings once more: one was a bad contact, one stays.
  await page.getByRole('button', { name: /^DC- to L1:/ }).click();
  await read(page, '0.448');
  await page.getByRole('button', { name: /^L2 to DC\+:/ }).click();
  await read(page, 'OL');
  await expect(page.getByText('was 0.386')).toBeVisible();
  await expect(margin.getByText('DC- to L1: measure again.')).toBeHidden();

  await reloadJob(page);
  await expect(margin.getByText('L2 upper diode is open. Nothing else fits.')).toBeVisible({
    timeout: 15_000,
  });
  await page.getByRole('button', { name: 'To the test sheet' }).click();
  await page.getByRole('button', { name: 'Sign as Ines Tarrow' }).click();
  await expect(page.getByText(/Signed by Ines Tarrow/)).toBeVisible();
  await expect(page.getByRole('link', { name: /First power-up, locked/ })).toBeVisible();

  for (const paper of ['a4', 'letter']) {
    const text = await pdfText(page.request, `/api/v1/jobs/${winch}/sheet?form=pdf&paper=${paper}`);
    expect(text).toContain('L2 upper diode is open. Nothing else fits.');
    expect(text).toContain('Verdict level: faulty');
    expect(text).toContain('Proven dead: 3.1 V at most.');
    expect(text).toContain('Ines Tarrow');
    expect(text).toMatch(/What this test cannot see/);
  }
  const json = (await (await page.request.get(`/api/v1/jobs/${winch}/sheet?form=json`)).json()) as {
    readings: { red: string; black: string; values: unknown[] }[];
  };
  expect(json.readings.find((r) => r.red === 'DC-' && r.black === 'L1')?.values).toEqual([0.386, 0.448]);
  const csv = await (await page.request.get(`/api/v1/jobs/${winch}/sheet?form=csv`)).text();
  expect(csv.split('\n')[0]).toContain('red,black,value_V');
  expect(csv).toMatch(/L2,DC\+,OL,OL,0\.\d+,failed/);

  await visit(page, `/jobs/${winch}/sheet`);
  await expect(page.getByText('L2 upper diode is open. Nothing else fits.')).toBeVisible();
  await visit(page, `/jobs/${winch}/nameplates`);
  await picture(page, 'job-card');
  expect(said).toEqual([]);
});

test('later on that bench: a slip put right, the capacitor bank filled, and a source that comes back', async ({
  page,
}) => {
  await choosePerson(page, inesId);
  const job = await slipwayWinch(page.request, 'measured and signed');
  await visit(page, `/jobs/${job}/bench-test`);
  const margin = page.getByRole('complementary', { name: 'Evidence' });
  await expect(
    margin.getByRole('heading', { name: 'L2 upper diode is open. Nothing else fits.' }),
  ).toBeVisible({
    timeout: 15_000,
  });

  // Back to the last one: the correction counts, the slip stays in the log.
  const field = page.getByRole('textbox', { name: 'What the meter shows, volts' });
  await page.getByRole('button', { name: /^↑ back/ }).click();
  await expect(page.getByText(/Correcting a mistyped reading/)).toBeVisible();
  await field.fill('0.553');
  await field.press('Enter');
  await expect(page.getByRole('button', { name: 'DC- to BR: 0.553, normal' })).toBeVisible();
  await expect(margin.getByText('corrected').first()).toBeVisible();

  // The other polarity: the bank climbs through the meter until it is full.
  await choosePlan(page, 'full');
  await expect(page.getByRole('heading', { name: 'Fill the capacitor bank' })).toBeVisible();
  await field.press('c');
  await page.getByRole('button', { name: /^DC\+ to DC-: ↑/ }).click();
  await field.press('o');
  await expect(page.getByRole('heading', { name: 'Upper rectifier, L1, reverse' })).toBeVisible();
  await field.press('o');
  await expect(
    margin.getByRole('heading', { name: 'L2 upper diode is open. Nothing else fits.' }),
  ).toBeVisible();
  await visit(page, `/jobs/${job}/hand-over`);
  await expect(page.getByRole('button', { name: 'Sign as Ines Tarrow' })).toBeVisible();

  await visit(page, `/jobs/${job}/make-safe`);
  await page.getByLabel('A source is live again').selectOption('foreign-24v');
  await page.getByRole('button', { name: 'Record it: dead proof becomes void' }).click();
  await expect(page.getByText('An earlier proof is void:')).toBeVisible();
  await visit(page, `/jobs/${job}/bench-test`);
  await expect(page.getByText(/a source became live. Prove dead again/)).toBeVisible();
  await expect(field).toBeDisabled();
});
