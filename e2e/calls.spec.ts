/** Two whole calls: a dark display on a drive that nobody lists, and an earth fault on one that is listed. */
import type { Page } from '@playwright/test';
import { audit } from './audit';
import { copyOf } from './copies';
import {
  alive,
  choosePerson,
  entry,
  inesId,
  newJob,
  pdfText,
  postEntries,
  southWinch,
  visit,
  watchConsole,
} from './demo';
import { proveDead } from './hands';
import { expect, test } from './test';

test.beforeEach(async ({ page }) => {
  page.setDefaultTimeout(20_000);
  test.setTimeout(180_000);
  await choosePerson(page, inesId);
});

const tracer = (page: Page) => page.getByRole('region', { name: 'Tracer' });
const asked = (page: Page) => tracer(page).getByRole('region', { name: 'Check' });
const likeliest = (page: Page) =>
  tracer(page).getByRole('list', { name: 'Likely causes' }).getByRole('listitem').first();
const family = (page: Page, name: string) =>
  page.getByRole('combobox', { name: 'What the drive shows or does' }).selectOption({ label: name });

/** Every draft that this browser keeps, as text. */
const draftsOf = (page: Page): Promise<string> =>
  page.evaluate(
    () =>
      new Promise<string>((resolve, reject) => {
        const open = indexedDB.open('grim-spanner');
        open.onerror = () => reject(new Error('no database'));
        open.onsuccess = () => {
          const all = open.result.transaction('drafts').objectStore('drafts').getAll();
          all.onsuccess = () => {
            resolve(JSON.stringify(all.result));
            open.result.close();
          };
        };
      }),
  );

/** Takes a check by its words, whether it is the one asked or one of the others, and answers it. */
async function answer(page: Page, check: RegExp, outcome: string): Promise<void> {
  const other = tracer(page).getByRole('button', { name: check });
  if ((await other.count()) > 0) await other.click();
  await expect(asked(page)).toContainText(check);
  await asked(page).getByRole('button', { name: outcome, exact: true }).click();
  await expect(tracer(page).getByRole('list', { name: 'Path' })).toContainText(check);
}

test('a dark display on a drive of no catalogue type: from the call to the cause, and onto the report', async ({
  page,
}) => {
  const errors = watchConsole(page);
  const job = await newJob(page.request, 'Ice screw');
  await visit(page, `/jobs/${job}/nameplates`);
  for (const [label, text] of [
    ['Maker', 'Curlew'],
    ['Type code', 'C2-7'],
    ['Supply', '400'],
    ['Rated output current', '7.2'],
  ] as const)
    await page.getByRole('form', { name: 'Drive label' }).getByLabel(label, { exact: true }).fill(text);
  await page.getByRole('button', { name: 'Save drive nameplate' }).click();
  await expect(page.getByText('Drive nameplate saved.')).toBeVisible();

  await visit(page, `/jobs/${job}/fault-finding`);
  await expect(page.getByText('Fault finding by fault family works for any drive.')).toBeVisible();
  await family(page, 'the display is dark');
  await expect(likeliest(page)).toContainText('internal power supply failed');
  await answer(page, /is the charge LED on/, 'it is dark');
  await answer(page, /does the power supply tick/, 'it ticks');
  // Mistyped: taken back, and asked again.
  await tracer(page)
    .getByRole('button', { name: /^Undo: Covers on, listen/ })
    .click();
  await answer(page, /does the power supply tick/, 'silent');
  await audit(page, 'trace of an unlisted drive');

  // The fuses are looked at under a proof only; one proof serves them all.
  await tracer(page)
    .getByRole('button', { name: /remove each line fuse/ })
    .or(asked(page).getByText(/remove each line fuse/))
    .first()
    .click();
  await expect(asked(page).getByRole('button', { name: 'one is open' })).toBeDisabled();
  await asked(page).getByRole('button', { name: 'Make safe' }).click();
  await proveDead(page, ['Mains supply'], 20);
  await visit(page, `/jobs/${job}/fault-finding`);
  await family(page, 'the display is dark');
  await answer(page, /remove each line fuse/, 'one is open');
  await expect(likeliest(page)).toContainText('line or line fuse missing');

  const form = tracer(page).getByRole('form', { name: 'Confirm a cause' });
  await form.getByRole('button', { name: 'Save cause' }).click();
  await expect(form.getByText('Enter what was done, and since when the machine works.')).toBeVisible();
  await form.getByLabel(/^What was done/).fill('F1 replaced after the rectifier read good: on since 14:20.');
  // What was typed lasts over a reload, once the device has it.
  await expect.poll(() => draftsOf(page)).toContain('F1 replaced');
  await page.reload();
  await alive(page);
  await expect(form.getByLabel(/^What was done/)).toHaveValue(/F1 replaced/);
  await form.getByRole('button', { name: 'Save cause' }).click();
  await expect(tracer(page).getByText(/F1 replaced after the rectifier read good/)).toBeVisible();
  await expect
    .poll(async () => pdfText(page.request, `/api/v1/jobs/${job}/report?form=pdf`))
    .toMatch(/line\s+fuse\s+missing/);
  expect(errors).toEqual([]);
});

test('an earth fault on a listed drive: dead until bench and insulation passed, then limited', async ({
  page,
}) => {
  const errors = watchConsole(page);
  const job = await copyOf(page.request, southWinch);
  await visit(page, `/jobs/${job}/make-safe`);
  await page.getByRole('button', { name: 'Record it: dead proof becomes void' }).click();
  await proveDead(page, ['Mains supply', 'Brake supply', 'Load, springs, pressure'], 20);
  await visit(page, `/jobs/${job}/fault-finding`);
  await page.getByRole('tab', { name: 'Fault to cause' }).click();
  await family(page, 'ground fault');
  await expect(tracer(page).getByRole('note', { name: /No power and no reset/ })).toBeVisible();
  await expect(tracer(page)).not.toContainText('does it trip on run');
  await answer(page, /at power-up, or only on run/, 'only on run');
  await answer(page, /insulation of cable and motor together/, 'low');
  await answer(page, /cable off at the motor/, 'good');
  await expect(likeliest(page)).toContainText('motor cable insulation low');
  const form = tracer(page).getByRole('form', { name: 'Confirm a cause' });
  await expect(form.getByLabel(/^Fault re-created/)).toHaveCount(0);
  await form.getByLabel(/^What was done/).fill('Cable replaced.');
  await form.getByRole('button', { name: 'Save cause' }).click();
  await expect(tracer(page).getByText('Cable replaced.')).toBeVisible();

  await test.step('the bench passed and the new cable does: power may return, limited', async () => {
    const reading = {
      ...{ of: 'motor-and-cable', between: 'earth', ratedVolts: 400, testVolts: 500 },
      ...{ winding_C: 20, construction: 'random', material: 'thermosetting', kind: 'modern' },
    };
    const insulated = (megohm: number) =>
      entry(job, 'motor.insulation', { ...reading, readings: [{ at_s: 60, megohm }] });
    await postEntries(page.request, job, [
      entry(job, 'motor.disconnected', { drive: 'off', thermistors: 'none', encoder: 'none' }),
      insulated(0.4),
    ]);
    await visit(page, `/jobs/${job}/fault-finding`);
    await page.getByRole('tab', { name: 'Fault to cause' }).click();
    await family(page, 'ground fault');
    await expect(tracer(page).getByRole('note', { name: /No power and no reset/ })).toBeVisible();
    await postEntries(page.request, job, [insulated(900)]);
    await expect(tracer(page).getByRole('note', { name: /No power and no reset/ })).toHaveCount(0);
    await tracer(page)
      .getByRole('button', { name: /does it trip on run/ })
      .click();
    await expect(asked(page).getByRole('note', { name: /Limited supply only/ })).toBeVisible();
    await asked(page).getByRole('button', { name: 'runs' }).click();
    await expect(tracer(page).getByRole('list', { name: 'Path' })).toContainText('does it trip on run');
  });

  await test.step('it was under power: the proof is gone', async () => {
    await visit(page, `/jobs/${job}/bench-test`);
    await expect(page.getByText(/power was switched on/).first()).toBeVisible();
  });
  expect(errors).toEqual([]);
});

test('answers that exclude each other are said before a fix is tried', async ({ page }) => {
  const errors = watchConsole(page);
  await visit(page, `/jobs/${await copyOf(page.request, southWinch)}/fault-finding`);
  await page.getByRole('tab', { name: 'Fault to cause' }).click();
  await family(page, 'external trip');
  const excluded = tracer(page).getByText(/No single cause gives both “device open”/);
  await answer(page, /Find the input with this function/, 'device open');
  await expect(excluded).toHaveCount(0);
  await answer(page, /factory reset or macro recently/, 'yes');
  await expect(excluded).toBeVisible();
  await tracer(page)
    .getByRole('button', { name: /^Undo: .*factory reset/ })
    .click();
  await expect(excluded).toHaveCount(0);
  expect(errors).toEqual([]);
});
