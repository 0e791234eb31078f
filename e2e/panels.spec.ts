import type { Page } from '@playwright/test';
import { audit, axe } from './audit';
import { boatWinch, choosePerson, entry, inesId, netDrumSwap, visit, winch, postEntries } from './demo';
import { winchReady } from './rig';
import { test } from './test';
import { findAndRead, jobWith, panelOf } from './trace';

/** Opens one panel of a row after the other, and what more can be opened in it. */
async function everyPanel(page: Page, row: string, more: readonly string[], where: string): Promise<void> {
  const panels = page.getByRole('tablist', { name: row, exact: true }).getByRole('tab');
  for (const panel of await panels.all()) {
    await panel.click();
    for (const name of more) {
      const opener = page.getByRole('button', { name });
      if ((await opener.count()) > 0) await opener.click();
    }
    await axe(page, where);
  }
}

for (const [path, group] of [
  ['decide', 'Repair or replace'],
  ['prepare', 'Preparation'],
  ['swap', 'Replacement'],
  ['hand-over', 'Hand-over'],
] as const)
  test(`axe finds nothing in any panel of ${path}`, async ({ page }) => {
    test.setTimeout(120_000);
    await choosePerson(page, inesId);
    await visit(page, `/jobs/${netDrumSwap}/${path}`);
    await everyPanel(page, group, ['Add a wire', 'Usual replacement tasks'], path);
  });

test('axe finds nothing in any panel of the trace page', async ({ page }) => {
  test.setTimeout(120_000);
  await choosePerson(page, inesId);
  await visit(page, `/jobs/${winch}/fault-finding`);
  await everyPanel(page, 'What to do', ['Check a loop', 'Temporary jumper'], 'trace');
});

/** Every panel of a start-up that was begun, with sets and a failed test. */
async function startUpPanels(page: Page, look: (where: string) => Promise<void>): Promise<void> {
  const { request } = page;
  await winchReady(request);
  const job = await jobWith(page, boatWinch, 'A start-up to look at', 'as there');
  const choices = {
    ...{ load: 'winch', region: '60Hz', runFrom: 'terminals', speedFrom: 'AI1', wiring: 'two-wire' },
    ...{ signal: '0-10V', reverse: false, encoder: false, coupled: true, brakeProven: false },
    ...{ brakeResistor: true, singlePhaseFed: false },
  };
  const made = [
    entry(job, 'startup.choices', { choices, supply: { volts: 400, hz: 50 } }),
    entry(job, 'motor.disconnected', { drive: 'off', thermistors: 'none', encoder: 'none' }),
    entry(job, 'motor.insulation', {
      ...{ of: 'cable', between: 'earth', ratedVolts: 400, testVolts: 500, winding_C: 20 },
      readings: [{ at_s: 60, megohm: 1 }],
    }),
  ];
  await postEntries(request, job, made);
  await visit(page, `/jobs/${job}/motor-and-cable`);
  await page.getByText('Winding resistance').waitFor();
  await look('motor');
  await visit(page, `/jobs/${job}/commissioning`);
  await findAndRead(page, 'Whimbrel W4');
  for (const name of [
    'Load and control',
    'Supply and installation',
    'Start-up sheet',
    'Ramps',
    'Commissioning run',
  ]) {
    await panelOf(page, 'Commissioning', name);
    await look(name);
  }
  await panelOf(page, 'Commissioning', 'Parameter sets');
  for (const name of [
    'Audit',
    'Compare',
    'Translate',
    'Write',
    'Keys',
    'Single parameters',
    'Import',
    'Library',
  ]) {
    await panelOf(page, 'Actions for the set', name);
    await look(name);
  }
}

test('every panel of motor, start-up and sets reads well by day and night, wide and narrow', async ({
  page,
}) => {
  test.setTimeout(240_000);
  await choosePerson(page, inesId);
  await startUpPanels(page, (where) => audit(page, where));
});
