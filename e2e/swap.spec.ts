/**
 * The net-drum from the decision to the signed report: a Knot that is no longer made out, a Whimbrel in, ninety minutes allowed, a
 * reference that the grading drum shares.
 */
import { execFileSync } from 'node:child_process';
import type { Page } from '@playwright/test';
import { copyOf, entriesOf, logUpTo, savedEntry } from './copies';
import { expect, test } from './test';
import {
  allKept,
  alive,
  choosePerson,
  entry,
  inesId,
  netDrumSwap,
  pdfText,
  picture,
  pipId,
  postEntries,
  visit,
  watchConsole,
} from './demo';
import { proveDead, proveMeter, takeFigures } from './hands';
import { order, winchReady } from './rig';
import { findAndRead, panelOf } from './trace';

test.beforeEach(async ({ page }) => {
  page.setDefaultTimeout(20_000);
  test.setTimeout(240_000);
  await choosePerson(page, inesId);
});

/** The net-drum as it stands after a step of the work; without one, as the demo has it. */
const netDrum = (page: Page, after?: string) =>
  copyOf(page.request, netDrumSwap, after === undefined ? [] : logUpTo('net-drum-swap', after));
const wires = (page: Page) => page.getByRole('list', { name: 'Wires' });
const open = async (page: Page, number: number): Promise<void> => {
  await wires(page)
    .getByRole('button', { name: new RegExp(`^${number} `) })
    .click();
};

test('decided: the table says on what it hangs, and the person says why', async ({ page }) => {
  const errors = watchConsole(page);
  const job = await netDrum(page);
  await visit(page, `/jobs/${job}/repair-or-replace`);
  const table = page.getByRole('status', { name: 'Expected cost' });
  await expect(table.getByText('Not possible: no longer made')).toBeVisible();
  await expect(table).toContainText('Find out first');
  const fill = (name: string, text: string) =>
    page.getByRole('textbox', { name, exact: true }).first().fill(text);
  await fill('Cost of an hour of downtime', 'a lot');
  await expect(
    page.getByRole('alert').filter({ hasText: 'A value, or a range, e.g. 200 - 400' }),
  ).toBeVisible();
  await expect(page.getByText('A value cannot be read: no table yet.')).toBeVisible();
  await fill('Cost of an hour of downtime', '300');
  await fill('Cost of an hour of work', '60');
  await fill('Age of the capacitors', '11');
  const of = (choice: string) => page.getByRole('group', { name: choice, exact: true });
  const figures = async (choice: string, texts: string[]) => {
    const boxes = of(choice).getByRole('textbox');
    for (const [i, text] of texts.entries()) await boxes.nth(i).fill(text);
  };
  await figures('Repair it', ['400 to 700', '6', '72', '2', '80']);
  await figures('Replace with a newer type', ['1100', '8', '24', '1.5', '97']);
  await figures('Change parameters only', ['0', '1', '0', '0,5', '5-15']);
  await expect(table).toContainText('Replace with a newer type');
  await page.getByText('calculation').first().click();
  await page.getByRole('button', { name: 'Save values' }).click();
  await expect(page.getByText('Values saved.')).toBeVisible();
  await page.evaluate(() => window.scrollTo(0, 0));
  await picture(page, 'decide');
  const keep = page.getByRole('button', { name: 'Save decision' });
  await page.getByRole('radio', { name: 'Replace with a newer type' }).check();
  await keep.click();
  await expect(page.getByText('Decided: replace')).toHaveCount(0);
  await page
    .getByRole('textbox', { name: 'Reason' })
    .fill('no longer made, and its capacitor bank is eleven years old');
  await keep.click();
  await expect(page.getByText('Decided: replace with a newer type', { exact: true })).toBeVisible();

  await panelOf(page, 'Repair or replace', 'Does it fit?');
  await page
    .getByRole('combobox', { name: 'New unit', exact: true })
    .selectOption({ label: 'Whimbrel W4-15, 15 A' });
  await page.getByRole('textbox', { name: 'Serial number, new unit' }).fill('W415-0001');
  await page.getByRole('button', { name: 'Save both units' }).click();
  await expect(page.getByText('Not known yet: something must be clarified first.')).toBeVisible();
  const row = (name: string) =>
    page.getByRole('row').filter({ has: page.getByRole('cell', { name, exact: true }) });
  await expect(row('Amps, heavy duty')).toContainText('2.6 A short');
  // What nobody has looked up is asked: cable and winding, short circuit, emissions.
  for (const name of ['Motor cable and winding', 'Short-circuit rating', 'EMC filter'])
    await expect(row(name)).toBeVisible();
  await page.getByRole('textbox', { name: 'Cable to the motor' }).fill('60');
  await page.getByRole('combobox', { name: 'Winding insulation' }).selectOption('standard or old');
  await page.getByRole('textbox', { name: 'Prospective short-circuit current' }).fill('4.5');
  await page.getByRole('combobox', { name: 'Required EMC category' }).selectOption('C3: industry');
  await page.getByRole('combobox', { name: 'Duty' }).selectOption('heavy');
  await page.getByRole('textbox', { name: 'Brake resistor fitted' }).fill('60');
  await page.getByRole('button', { name: 'Save installation requirements' }).click();
  // At heavy duty a size up is asked for; the drum runs at normal duty.
  await expect(page.getByText('It does not fit as entered.')).toBeVisible();
  await expect(page.getByRole('list', { name: 'What to do' })).toContainText('The next size up');
  await page.getByRole('combobox', { name: 'Duty' }).selectOption('normal');
  await page.getByRole('button', { name: 'Save installation requirements' }).click();
  await expect(page.getByText('It fits with the changes listed below.')).toBeVisible();
  await expect(page.getByRole('list', { name: 'What to do' })).toContainText('Fuses 25 A gG');
  await expect(row('Motor cable and winding')).toContainText(
    'up to 1131 V at a winding for line supply, or old',
  );
  await expect(page.getByRole('list', { name: 'What to do' })).toContainText(
    'dV/dt filter for 60 m of cable',
  );
  // With a network the controller is asked about first.
  await page.getByRole('textbox', { name: 'Network' }).fill('CANopen');
  await page.getByRole('button', { name: 'Save installation requirements' }).click();
  await expect(row('Network')).toContainText('CANopen not supported.');
  await page.getByRole('textbox', { name: 'Network' }).fill('');
  await page.getByRole('button', { name: 'Save installation requirements' }).click();
  await expect(row('Network')).toHaveCount(0);
  await allKept(page);
  expect(await pdfText(page.request, `/api/v1/jobs/${job}/drilling?paper=a4`)).toContain(
    'must measure 100 mm',
  );
  expect(errors).toEqual([]);
});

test('prepared: every wire known or taken on, labels that a camera reads, a stop within ninety minutes', async ({
  page,
}) => {
  const errors = watchConsole(page);
  const job = await netDrum(page, 'decided');
  await visit(page, `/jobs/${job}/preparation`);
  const settle = page.getByRole('list', { name: 'To settle' });
  await expect(settle).toContainText('it also feeds Shellfish grading drum');
  await expect(settle).toContainText('unknown wire');
  await expect(settle).toContainText('the drawing shows 4');
  await picture(page, 'wires');

  // The shared reference: what the other machine does meanwhile.
  await open(page, 16);
  await page
    .getByRole('textbox', { name: 'What that machine does meanwhile' })
    .fill('runs by hand at 20 Hz, Jory stands by');
  await page.getByRole('button', { name: 'Save wire' }).click();
  await expect(settle).not.toContainText('it also feeds Shellfish');

  // A quick note: terminal and ferrule, then the next one; a file that is no picture is refused.
  await page.getByRole('button', { name: 'Add wire quickly' }).click();
  await page.getByRole('combobox', { name: 'Old terminal' }).fill('CM');
  await page.getByRole('textbox', { name: 'Ferrule' }).fill('108');
  await page
    .getByLabel('Photograph: Wire 22')
    .setInputFiles({ name: 'note.jpg', mimeType: 'image/jpeg', buffer: Buffer.from('no picture') });
  await expect(page.getByRole('alert').filter({ hasText: 'picture cannot be read' })).toBeVisible();
  await expect(page.getByRole('textbox', { name: 'Ferrule' })).toHaveValue('108');
  await page.getByRole('button', { name: 'Save, next wire' }).click();
  await expect(page.getByText('Wire 22 saved.')).toBeVisible();
  await page.getByRole('button', { name: 'Cancel' }).click();
  await expect(settle).toContainText('Wire 22 “108” on CM: quick entry');
  await open(page, 22);
  await expect(page.getByText('By the parameters, CM is: common of the inputs')).toBeVisible();
  await page.getByRole('checkbox', { name: /^Proven/ }).check();
  await page.getByRole('button', { name: 'Save wire' }).click();

  // The unknown one: an apprentice cannot take it on; she can, and it is capped.
  await open(page, 20);
  await page.getByRole('button', { name: 'Save wire' }).click();
  await open(page, 20);
  await page.getByRole('textbox', { name: 'Reason' }).fill('dead, no partner found in the drawing');
  await page.getByRole('button', { name: 'Accept as unknown' }).click();
  await expect(settle).not.toContainText('unknown wire');
  await expect(settle.getByRole('img', { name: 'blocks removal' })).toHaveCount(0);

  // A label, printed, photographed and read by the camera page.
  await allKept(page);
  const pdf = await page.request.get(`/api/v1/jobs/${job}/wire-labels?sheet=letter-3x10`);
  expect(pdf.headers()['content-type']).toBe('application/pdf');
  // The label at the third place of the first row: wire 2, drive end.
  const corner = ['-x', '1080', '-y', '90', '-W', '560', '-H', '220'];
  const buffer = execFileSync('pdftoppm', ['-r', '200', '-png', '-singlefile', ...corner, '-'], {
    input: await pdf.body(),
  });
  await visit(page, '/scan');
  await page.getByRole('textbox', { name: 'Text of the code' }).fill('something else');
  await page.getByRole('button', { name: 'Open the wire' }).click();
  await expect(page.getByText('This is not a wire label')).toBeVisible();
  await page
    .getByLabel('Photograph of a label')
    .setInputFiles({ name: 'label.png', mimeType: 'image/png', buffer });
  await page.waitForURL(/\/replacement\?wire=2$/);
  await expect(page.getByRole('list', { name: 'Wires to check' }).getByRole('listitem')).toHaveCount(1);

  // The stop: what a swap usually takes is more than allowed; drilled by the template beforehand it fits.
  await visit(page, `/jobs/${job}/preparation`);
  await panelOf(page, 'Preparation', 'Outage');
  await page.getByRole('button', { name: 'Usual replacement tasks' }).click();
  const said = page.getByRole('status').filter({ hasText: 'min outage' });
  await expect(said).toContainText('125 min outage');
  await expect(page.getByRole('list', { name: 'What would shorten the outage' })).toContainText(
    'Covers on, power on',
  );
  const minutes = (n: number, text: string) =>
    page.getByRole('textbox', { name: `Duration, task ${n}`, exact: true }).fill(text);
  for (const [n, text] of [
    [4, '15'],
    [5, '5'],
    [6, '10'],
    [7, '5'],
    [9, '20'],
    [10, '10'],
    [11, '10'],
  ] as const)
    await minutes(n, text);
  await expect(said).toContainText('Within the 90 minutes allowed');
  await page.getByRole('button', { name: 'Save plan' }).click();
  await page.getByLabel('Outage starts').fill('2026-12-01T05:30');
  await savedEntry(page.request, job, 'stop.planned');
  const calendar = await page.getByRole('link', { name: 'Saved plan as calendar file' }).getAttribute('href');
  expect(await (await page.request.get(calendar ?? '')).text()).toContain('BEGIN:VEVENT');
  expect(errors).toEqual([]);
});

test('swapped: nothing comes out before it is proven dead; the clock runs; wires are ticked from both ends', async ({
  page,
}) => {
  const errors = watchConsole(page);
  const job = await netDrum(page, 'prepared');
  await visit(page, `/jobs/${job}/replacement`);
  const out = page.getByRole('button', { name: 'Old unit removed' });
  await expect(out).toBeDisabled();
  await expect(page.getByText('Still open, planned while the machine runs')).toBeVisible();
  const tick = (did: 'Start' | 'Done:', name: string) =>
    page.getByRole('button', { name: `${did} ${name}` }).click();
  await tick('Done:', 'Compare drawing with actual wires, photographs');
  await tick('Done:', 'Print and cut labels');
  await tick('Done:', 'Enter parameters at the bench, save, read back');
  await page.getByRole('button', { name: 'Machine stopped now' }).click();
  await expect(page.getByRole('timer')).toContainText('to spare');
  await tick('Start', 'Stop, isolate, lock, wait the discharge time, prove dead');

  await page.getByRole('button', { name: 'To the dead proof' }).click();
  await proveDead(page, ['Mains supply', 'Brake supply', 'Load, springs, pressure'], 12);

  await visit(page, `/jobs/${job}/replacement`);
  await expect(page.getByRole('note', { name: /No work inside/ })).toContainText('Proven dead');
  await tick('Done:', 'Stop, isolate, lock, wait the discharge time, prove dead');
  await expect(page.getByRole('timer')).toContainText(/Expected to run again at minute \d+: \d+ to spare/);
  await picture(page, 'swap');
  await tick('Done:', 'Label every wire');
  await out.click();
  await expect(page.getByText('Knot K3-18 out at')).toBeVisible();
  await page.getByRole('button', { name: 'The Whimbrel W4-15 is in' }).click();
  await expect(page.getByText('Whimbrel W4-15 is in; prove its capacitor bank dead')).toBeVisible();

  // The drive's end of a wire waits for the new unit's own proof, past the page too.
  await panelOf(page, 'Replacement', 'Wires on');
  const list = page.getByRole('list', { name: 'Wires to check' });
  const boxes = list.getByRole('checkbox');
  await expect(boxes).toHaveCount(40);
  await expect(boxes.first()).toBeDisabled();
  await allKept(page);
  const [noted] = (await entriesOf(page.request, job)).filter((e) => e.kind === 'wire.noted');
  const forged = { wire: noted?.payload['wire'], end: 'drive', on: true, to: 'R' };
  await postEntries(page.request, job, [
    entry(job, 'wire.ticked', forged),
    entry(job, 'stop.task', { task: 'wire', did: 'done' }),
  ]);
  await expect(page.getByText('Does not count: The drive is not proven dead yet.')).toHaveCount(2);
  await expect(page.getByText('0 of 20 wires checked at both ends')).toBeVisible();
  await page.getByRole('button', { name: 'To the dead proof' }).click();
  await proveMeter(page, 'before');
  await takeFigures(page, '2', '0.1', '2');
  await proveMeter(page, 'after');
  await allKept(page);
  await visit(page, `/jobs/${job}/replacement`);
  await panelOf(page, 'Replacement', 'Wires on');
  for (let i = 0; i < 40; i += 1) await boxes.nth(i).check();
  await expect(page.getByText('20 of 20 wires checked at both ends')).toBeVisible();
  await expect(page.getByText('Torque: R S T U V W 1.5 N·m')).toBeVisible();

  await panelOf(page, 'Replacement', 'Outage');
  await page.getByRole('button', { name: /^All \d+ tasks/ }).click();
  for (const name of [
    'Wires off, old unit out',
    'Drill by the template',
    'New unit in',
    'Connect wires, torque, check both ends',
    'Covers on, power on, check 50/60 Hz default set and parameters',
    'Direction, inputs, E-stop, first run',
  ])
    await tick('Done:', name);
  await expect(page.getByRole('timer')).toContainText('All outage tasks done');
  await page.getByRole('button', { name: 'Machine runs again' }).click();
  await expect(page.getByRole('timer')).toContainText('The machine runs again.');
  expect(errors).toEqual([]);
});

test('handed over: read out, followed, the partner looked at, two names, and the report', async ({
  page,
}) => {
  const errors = watchConsole(page);
  await winchReady(page.request);
  const job = await netDrum(page, 'swapped');
  await visit(page, `/jobs/${job}/hand-over`);
  const todo = page.getByRole('list', { name: 'Checklist' });
  const line = (title: string) => todo.getByRole('listitem').filter({ hasText: title });
  await expect(line('Wires')).toContainText('Every wire checked at both ends.');
  await expect(line('Final backup')).toContainText('No parameter set of this drive saved.');
  await expect(
    page.getByText('Cannot be handed over yet: local to automatic, shellfish grading drum.'),
  ).toBeVisible();

  await line('Final backup').getByRole('button', { name: 'Read out' }).click();
  await page.waitForURL(/fault-finding$/);
  await alive(page);
  await findAndRead(page, 'Whimbrel W4');
  await visit(page, `/jobs/${job}/hand-over`);
  await expect(line('Final backup')).toContainText('after the last change');
  // Out of its box three inputs do something else than what is wired to them: it is not handed over like that.
  await expect(line('Terminals')).toContainText('X3 is');
  await expect(line('Terminals')).toContainText('5-03 Input X3 must be “reset”');
  await order(page.request, {
    set: {
      'input.DI3': 'reset',
      'input.DI4': 'preset-1',
      'input.DI5': 'enable',
      'output.RO1': 'tripped',
    },
    wait_s: 1,
  });
  await visit(page, `/jobs/${job}/fault-finding`);
  await findAndRead(page, 'Whimbrel W4');
  await visit(page, `/jobs/${job}/hand-over`);
  await expect(line('Terminals')).toContainText('All functions match the wiring');

  const see = (title: string) =>
    line(title)
      .getByRole('button', { name: /open|again/ })
      .click();
  await see('Local to automatic');
  await page.getByRole('textbox', { name: 'Who was informed' }).fill('control room, Jory Pell');
  await page.getByRole('button', { name: 'Informed, override off' }).click();

  await see('Follows its reference');
  const points = [
    ['10', '10'],
    ['25', '24.9'],
    ['45', '40'],
  ] as const;
  for (const [i, [asked, got]] of points.entries()) {
    await page.getByRole('textbox', { name: `Reference ${i + 1}` }).fill(asked);
    await page.getByRole('textbox', { name: `Output ${i + 1}` }).fill(got);
  }
  await page.getByRole('button', { name: 'Save three references' }).click();
  await expect(line('Follows its reference')).toContainText('Does not follow the reference');
  await see('Follows its reference');
  for (const [i, [asked]] of points.entries()) {
    await page.getByRole('textbox', { name: `Reference ${i + 1}` }).fill(asked);
    await page.getByRole('textbox', { name: `Output ${i + 1}` }).fill(String(Number(asked) - 0.1));
  }
  await page.getByRole('button', { name: 'Save three references' }).click();
  await expect(line('Follows its reference')).toContainText('largest error 0.2 %');

  await see('Shellfish grading drum');
  await page.getByRole('textbox', { name: 'Observation' }).fill('follows 0 to 50 Hz');
  await page.getByRole('button', { name: 'Runs as before' }).click();
  await see('Locks');
  await page.getByText('locked again', { exact: true }).click();
  await see('Next inspection');
  await page.getByLabel('Next inspection on').fill('2027-05-20');
  await page.getByRole('textbox', { name: 'What to inspect' }).fill('lugs, fan, bank');
  await page.getByRole('button', { name: 'Save date' }).click();

  const sign = page.getByRole('button', { name: 'Sign as Ines Tarrow' });
  await expect(sign).toBeDisabled();
  await page.getByRole('textbox', { name: /^Parameters: No start-up sheet/ }).fill('sheet follows on Monday');
  await page.getByRole('textbox', { name: 'Taken over by' }).fill('Ines Tarrow');
  await expect(page.getByText('Must be another person than the signer')).toBeVisible();
  await expect(sign).toBeDisabled();
  await page.getByRole('textbox', { name: 'Taken over by' }).fill('Jory Pell');
  await page.getByRole('textbox', { name: 'Function' }).fill('shift lead');
  await sign.click();
  await expect(page.getByText('Handed over by Ines Tarrow to Jory Pell')).toBeVisible();
  await page.evaluate(() => window.scrollTo(0, 0));
  await picture(page, 'hand-over');

  await page.getByRole('link', { name: 'Open the report' }).click();
  const customer = page.getByRole('region', { name: 'For the customer' });
  await expect(customer).toContainText(
    'The Knot K3-18 (no. K3-0866) was removed and replaced with a Whimbrel W4-15 (no. W415-0001).',
  );
  await expect(customer).toContainText(
    'Shellfish grading drum shares a signal with this machine. It was checked and runs as before.',
  );
  await expect(customer).toContainText('Next inspection on 2027-05-20');
  await picture(page, 'report');
  const text = await pdfText(page.request, `/api/v1/jobs/${job}/report?form=pdf`);
  for (const words of [
    'Job report',
    'For the record',
    'Proven dead',
    'Jory Pell',
    'Parameters, old to new',
    'accepted by Ines Tarrow',
    'sheet follows on Monday',
    'within the 90 allowed',
    'Follows its reference',
  ])
    expect(text.replace(/\s+/g, ' ')).toContain(words);
  const archive = await page.request.get(`/api/v1/jobs/${job}/archive`);
  expect(archive.headers()['content-type']).toBe('application/zip');

  // It is here already, and stays as it is. What is no archive is refused in words.
  await visit(page, '/administration');
  const take = page.getByLabel('Job archive');
  await take.setInputFiles({ name: 'a.zip', mimeType: 'application/zip', buffer: await archive.body() });
  await expect(page.getByText('This job already exists here')).toBeVisible();
  await take.setInputFiles({ name: 'b.zip', mimeType: 'application/zip', buffer: Buffer.from('no zip') });
  await expect(page.getByText('This archive cannot be opened')).toBeVisible();
  expect(errors).toEqual([]);
});

test('an apprentice neither decides nor signs nor takes an unknown wire on', async ({ page }) => {
  const job = await netDrum(page, 'handed over');
  await choosePerson(page, pipId);
  await visit(page, `/jobs/${job}/repair-or-replace`);
  await expect(page.getByRole('button', { name: 'A technician decides' })).toBeDisabled();
  await visit(page, `/jobs/${job}/hand-over`);
  await expect(page.getByText('Handed over by Ines Tarrow to Jory Pell')).toBeVisible();
});
