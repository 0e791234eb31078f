/** Demo units with hidden faults, judged through the screen: the unit answers each probe the bench asks for. */
import { connect } from 'node:net';
import { createInterface } from 'node:readline';
import type { Page } from '@playwright/test';
import { expect, test } from './test';
import {
  choosePerson,
  choosePlan,
  craneSlew,
  entry,
  gradingDrum,
  inesId,
  trawlWinch,
  odoId,
  visit,
  watchConsole,
  postEntries,
} from './demo';
import { own } from './here';

interface Hidden {
  stage: Record<string, unknown>;
  faults?: { component: string; mode: string; ohm?: number }[];
  conditions?: { motorConnected?: boolean };
}

const field = (page: Page) => page.getByRole('textbox', { name: 'What the meter shows, volts' });
const conclusion = (page: Page) => page.getByRole('complementary', { name: 'Evidence' });

/** Where the bench wants the leads, by the neutral names of the terminals. */
async function wanted(page: Page): Promise<{ red: string; black: string } | null> {
  const strip = await page.getByRole('group', { name: /^Power strip/ }).getAttribute('data-leads');
  if (strip === null || strip === '') return null;
  const [r = '', b = ''] = strip.split(' ');
  return { red: r, black: b };
}

/** Answers probes like the unit on the bench would, until no more is asked. */
async function measure(page: Page, hidden: Hidden, most: number): Promise<number> {
  for (let taken = 0; taken < most; taken += 1) {
    await expect(page.getByText('Choosing next test…')).toHaveCount(0, { timeout: 20_000 });
    const probe = await wanted(page);
    if (probe === null) return taken;
    const answer = await page.request.post('/api/v1/calc/static-readings', {
      data: { ...hidden, probes: [probe] },
    });
    const { readings } = (await answer.json()) as { readings: { value: number | 'OL' }[] };
    const value = readings[0]?.value ?? 'OL';
    await expect(field(page)).toBeFocused();
    if (value === 'OL') await page.keyboard.press('o');
    else {
      await page.keyboard.type(value.toFixed(3));
      await page.keyboard.press('Enter');
    }
    await expect(page.getByRole('status').filter({ hasText: /^Saved/ })).toContainText(
      `Saved ${probe.red} to ${probe.black}`,
    );
  }
  return most;
}

test.beforeEach(async ({ page }) => {
  await choosePerson(page, inesId);
});

test('two dead parts of the trawl winch by the quick plan, with the story behind them', async ({ page }) => {
  test.setTimeout(120_000);
  const errors = watchConsole(page);
  await visit(page, `/jobs/${trawlWinch}/bench-test`);
  await measure(
    page,
    {
      stage: { brake: true, link: 'link', dcrAccessible: true },
      faults: [
        { component: 'rect.L1.hi', mode: 'open' },
        { component: 'inv.V.lo', mode: 'short' },
      ],
    },
    15,
  );
  await expect(conclusion(page)).toContainText(/L1 upper diode is open/);
  await expect(conclusion(page)).toContainText(/V lower IGBT \(or its diode\) is shorted/);
  await expect(conclusion(page).getByRole('region', { name: 'Before fitting parts' })).toContainText(
    'motor and cable insulation',
  );
  expect(errors).toEqual([]);
});

test('the motor still on the grading drum is seen, taken off, and everything is taken again', async ({
  page,
}) => {
  test.setTimeout(120_000);
  const stage = { frontEnd: 'diode-1ph' };
  await visit(page, `/jobs/${gradingDrum}/bench-test`);
  await choosePlan(page, 'full');
  await measure(page, { stage, conditions: { motorConnected: true } }, 60);
  const trap = page.getByRole('alert', { name: 'Trap: The motor is still connected.' });
  await expect(trap).toContainText('Disconnect the motor');
  await trap.getByRole('button', { name: 'Set readings aside, measure again' }).click();
  await expect(conclusion(page)).toContainText('Readings set aside');
  await choosePlan(page, 'quick');
  await measure(page, { stage }, 60);
  await expect(trap).toHaveCount(0);
  await expect(conclusion(page).getByRole('heading', { level: 3 }).first()).toContainText('Not shorted');
});

test('the half-controlled crane slew, guided: thyristors are not condemned, and it says when to stop', async ({
  page,
}) => {
  test.setTimeout(180_000);
  await visit(page, `/jobs/${craneSlew}/bench-test`);
  await choosePlan(page, 'guided');
  const hidden = {
    stage: { frontEnd: 'scr-half-3ph', brake: true, capacitance_uF: 3300, bleederOhm: 82_000 },
    faults: [{ component: 'rect.L3.lo', mode: 'open' }],
  };
  await measure(page, hidden, 8);
  await expect(page.getByText(/^Distinguishes/)).toBeVisible();
  const taken = 8 + (await measure(page, hidden, 50));
  await expect(page.getByRole('status').filter({ hasText: 'No more readings needed.' })).toBeVisible();
  await expect(conclusion(page)).toContainText('L3 lower diode is open');
  expect(taken).toBeLessThan(30);
});

/** The hand on the simulated meter's leads: one command, one answer. */
function handOnLeads() {
  const socket = connect(own.meterControl, '127.0.0.1');
  const waiting: ((answer: string) => void)[] = [];
  createInterface({ input: socket }).on('line', (line) => waiting.shift()?.(line));
  return {
    say: (command: string) =>
      new Promise<string>((resolve) => {
        waiting.push(resolve);
        socket.write(`${command}\n`);
      }),
    leave: () => socket.destroy(),
  };
}

test('a unit through the simulated meter, hands on the leads only; a pulled cable is said', async ({
  page,
}) => {
  test.setTimeout(180_000);
  // A new unit on the same bench: what was read on the last one is set aside.
  const aside = entry(craneSlew, 'static.retake', { reason: 'another unit' });
  await postEntries(page.request, craneSlew, [aside]);
  await visit(page, `/jobs/${craneSlew}/bench-test`);
  const hand = handOnLeads();
  try {
    const stage = { frontEnd: 'scr-half-3ph', brake: true, capacitance_uF: 3300 };
    const faults = [{ component: 'inv.W.hi', mode: 'short' }];
    expect(await hand.say(`unit ${JSON.stringify({ stage, faults })}`)).toBe('ok');
    await hand.say('lift');
    await page.getByRole('button', { name: 'Meter by cable' }).click();
    const meter = page.getByRole('group', { name: 'Meter', exact: true });
    await expect(meter).toContainText('OL');
    for (let taken = 0; taken < 6; taken += 1) {
      const probe = await wanted(page);
      if (probe === null) break;
      await hand.say(`touch ${probe.red} ${probe.black}`);
      const kept = page.getByRole('status').filter({ hasText: `${probe.red} to ${probe.black}` });
      await expect(kept).toContainText('Saved', { timeout: 10_000 });
      await hand.say('lift');
      await expect(meter).toContainText('open: touch both terminals');
    }
    await expect(conclusion(page)).toContainText(/W upper IGBT/);
    // Garbled until the cable is pulled: the page has all the time it needs.
    await hand.say('garbage 200');
    await expect(meter.getByRole('alert')).toContainText('Unreadable data', { timeout: 15_000 });
    await hand.say('pull');
    await expect(meter.getByRole('alert')).toContainText('No meter on the data port');
    await expect(meter).toContainText('open: touch both terminals', { timeout: 15_000 });
  } finally {
    hand.leave();
  }
});

test('the stage is put together in the editor, and free probes are taken by two screws', async ({ page }) => {
  await visit(page, `/jobs/${craneSlew}/bench-test`);
  await page.getByRole('button', { name: 'Stage', exact: true }).click();
  await page.getByRole('radio', { name: 'link or choke' }).click();
  await page
    .getByRole('group', { name: 'Fuse before the inverter' })
    .getByRole('radio', { name: 'yes' })
    .click();
  await expect(page.getByText('Power stage: half-controlled, link, inverter fuse, brake')).toBeVisible();
  await page.getByRole('textbox', { name: 'Precharge resistor' }).fill('none');
  await page.getByRole('button', { name: 'Save power stage' }).click();
  await expect(page.getByText('A value above zero; an estimate is enough.')).toBeVisible();
  await page.getByRole('textbox', { name: 'Precharge resistor' }).fill('33');
  await page.getByRole('button', { name: 'Save power stage' }).click();
  await expect(page.getByRole('button', { name: 'Red lead on +R, DC+R' })).toBeVisible();

  await page.getByRole('button', { name: 'Red lead on U' }).click();
  await expect(page.getByText('Red on U: now tap the terminal for black.')).toBeVisible();
  await page.getByRole('button', { name: 'Black lead on V' }).focus();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { name: 'U to V' })).toBeVisible();
});

test('a dual module by lamp and battery, keys only, on the sheet beside the other levels', async ({
  page,
}) => {
  await visit(page, `/jobs/${trawlWinch}/bench-test`);
  await page.getByRole('button', { name: 'Module test' }).click();
  await page.getByRole('textbox', { name: 'Which one' }).fill('V leg');
  await page.getByRole('button', { name: 'Begin' }).click();
  const asked = (name: RegExp) => page.getByRole('group', { name });
  await asked(/^Lamp directly/)
    .getByRole('radio', { name: 'no' })
    .click();
  await expect(page.getByRole('alert').filter({ hasText: 'Replace the lamp' })).toBeVisible();
  await asked(/^Lamp directly/)
    .getByRole('radio', { name: 'yes' })
    .click();
  await asked(/^Battery polarity/)
    .getByRole('radio', { name: 'yes' })
    .click();
  await page.getByRole('button', { name: 'Lamp and battery proven' }).click();

  await expect(asked(/^Touch G1 with plus/)).toBeFocused();
  await page.keyboard.press('1');
  await expect(asked(/^Touch G1 with minus/)).toBeFocused();
  await page.keyboard.press('1');
  await expect(asked(/^Touch G2 with plus/)).toBeFocused();
  await page.keyboard.press('1');
  await expect(asked(/^Touch G2 with minus/)).toBeFocused();
  await page.keyboard.press('4');
  const devices = page.getByRole('region', { name: 'Devices' });
  await expect(devices).toContainText('1 Upper: switches');
  await expect(devices).toContainText('2 Lower: shorted');
  await expect(devices).toContainText('Replace the module.');
  await expect(page.getByRole('region', { name: 'Verdict levels' })).toContainText(/Gates switch.*no/);
  await visit(page, `/jobs/${trawlWinch}/sheet`);
  await expect(page.getByText('Module by lamp and battery: V leg')).toBeVisible();
  await expect(page.getByText(/Runs under load \(motor at 50 % or more\): not tested/)).toBeVisible();
});

test('the shop lead writes down what a dead part means, and the bench says it', async ({ page }) => {
  await choosePerson(page, odoId);
  await visit(page, '/administration');
  const editor = page.getByRole('region', { name: 'Consequences' });
  const chain = editor.getByRole('textbox', { name: 'Cause and consequence' }).first();
  await chain.fill('');
  await editor.getByRole('button', { name: 'Save table' }).click();
  await expect(editor.getByRole('alert')).toContainText('every row needs a cause');
  await chain.fill('Two phases at once: ask the harbour about the supply.');
  await editor.getByRole('button', { name: 'Save table' }).click();
  await expect(editor.getByText(/^Table saved/)).toBeVisible();
  const answer = await page.request.get('/api/v1/consequences');
  expect(JSON.stringify(await answer.json())).toContain('ask the harbour');
  await choosePerson(page, inesId);
  expect((await page.request.put('/api/v1/consequences', { data: [] })).status()).toBe(403);
});
