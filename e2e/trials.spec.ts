/** Trials over the link: asked for in the log, confirmed, read back, put back; and what is refused. */
import type { Page } from '@playwright/test';
import { v7 } from 'uuid';
import { copyOf, entriesOf, savedEntry } from './copies';
import { expect, test } from './test';
import {
  allKept,
  choosePerson,
  entry,
  inesId,
  netDrumSwap,
  pipId,
  reloadJob,
  visit,
  watchConsole,
  winch,
} from './demo';
import { order, winchReady } from './rig';
import { confirmWrite, winchContacts, jobWith, panel, readOut, says } from './trace';

const stopped = { ...winchContacts, DI1: false };
const tracer = (page: Page) => page.getByRole('region', { name: 'Tracer' });

const winchJob = (page: Page, machine: string) => jobWith(page, winch, machine);
const trials = (page: Page) => page.getByRole('region', { name: 'Trials' });

test.beforeEach(async ({ page }) => {
  await choosePerson(page, inesId);
  await winchReady(page.request);
});

test('an encoder that is asked for and not there: found, shown by a trial, restored', async ({ page }) => {
  const errors = watchConsole(page);
  const job = await winchJob(page, 'A winch with feedback');
  await order(page.request, {
    set: { 'control.mode': 'vector-encoder' },
    plant: { contacts: winchContacts },
    wait_s: 2,
  });
  await readOut(page, job);
  await says(page, /No trip: open\..*encoder lost/);
  const own = tracer(page).getByRole('region', { name: 'The drive shows' });
  await expect(own).toContainText('1-07 Control mode: vector, encoder');
  await own.getByRole('button', { name: 'Use this' }).click();
  const fitted = tracer(page).getByRole('button', { name: /^Look at motor and drive/ });
  if ((await fitted.count()) > 0) await fitted.click();
  await tracer(page).getByRole('button', { name: 'none fitted' }).click();
  const suspects = tracer(page).getByRole('list', { name: 'Likely causes' }).getByRole('listitem');
  await expect(suspects.first()).toContainText('feedback selected, but no encoder fitted');

  await panel(page, 'Trials');
  await trials(page).getByRole('button', { name: 'Try 1-07 Control mode: vector' }).click();
  // Run is still given: the server looks at the drive and refuses.
  await confirmWrite(page);
  await expect(trials(page).getByRole('alert')).toContainText('Run command present at X1');
  await order(page.request, { plant: { contacts: { ...stopped, DI4: true } }, wait_s: 1 });
  await confirmWrite(page);
  await expect(trials(page)).toContainText('1-07 Control mode is vector, read back');
  await order(page.request, { plant: { contacts: { ...stopped, DI4: false } }, wait_s: 1 });
  await order(page.request, { plant: { contacts: winchContacts }, wait_s: 8 });
  await page.getByRole('button', { name: 'Watch live' }).click();
  await says(page, /No run inhibit found\./);

  await order(page.request, { plant: { contacts: stopped }, wait_s: 8 });
  await trials(page).getByRole('button', { name: 'Restore vector, encoder' }).click();
  await confirmWrite(page);
  await expect(trials(page)).toContainText('1-07 Control mode is vector, encoder, read back');
  await expect(trials(page).getByRole('list', { name: 'Trial values in the drive' })).toHaveCount(0);
  expect(errors).toEqual([]);
});

test('a locked entry is opened with the code of the catalogue and shut again', async ({ page }) => {
  const job = await winchJob(page, 'A winch with a lock');
  await order(page.request, { plant: { contacts: stopped }, wait_s: 1 });
  await readOut(page, job);
  await panel(page, 'Trials');
  await trials(page).getByRole('button', { name: 'Write another parameter' }).click();
  await trials(page).getByRole('combobox', { name: 'Parameter' }).selectOption('3-05');
  await trials(page).getByRole('combobox', { name: 'New value' }).selectOption({ label: 'motor frequency' });
  await trials(page).getByRole('button', { name: 'Review before writing' }).click();
  await confirmWrite(page);
  await expect(trials(page)).toContainText('3-05 Ramps count to is motor frequency, read back');
  // A value out of range never leaves the page.
  await trials(page).getByRole('combobox', { name: 'Parameter' }).selectOption('3-02');
  await trials(page).getByRole('textbox', { name: 'New value' }).fill('6000');
  await trials(page).getByRole('button', { name: 'Review before writing' }).click();
  await expect(trials(page).getByText('Takes 0.1 to 600 s.')).toBeVisible();
});

test('the link breaks while writing: the log says that it was tried, and that nobody knows', async ({
  page,
}) => {
  const job = await winchJob(page, 'A winch with a bad plug');
  await order(page.request, { plant: { contacts: stopped }, wait_s: 1 });
  await readOut(page, job);
  await panel(page, 'Trials');
  await trials(page).getByRole('button', { name: 'Write another parameter' }).click();
  await trials(page).getByRole('combobox', { name: 'Parameter' }).selectOption('3-02');
  await trials(page).getByRole('textbox', { name: 'New value' }).fill('8');
  await trials(page).getByRole('button', { name: 'Review before writing' }).click();
  await order(page.request, { plant: { bus: { silent: true } } });
  await confirmWrite(page);
  await expect(trials(page).getByRole('alert')).toContainText('does not answer', { timeout: 20_000 });
  await order(page.request, { plant: { bus: { silent: false } } });
  const last = async () => (await entriesOf(page.request, job)).slice(-2);
  await expect
    .poll(async () => (await last()).map((e) => e.kind))
    .toEqual(['drive.write-asked', 'drive.write-failed']);
  // It was never sent: the drive did not answer the look before it.
  expect((await last())[1]?.payload['certain']).toBe(true);
});

test('what the server refuses to write, and that asking twice writes once', async ({ page }) => {
  const { request } = page;
  await order(request, { plant: { contacts: stopped }, wait_s: 1 });
  const { found } = (await (await request.get('/api/v1/drives')).json()) as { found: { target: string }[] };
  const target = found[0]?.target ?? '';
  const right = {
    ...{ jobId: await copyOf(request, winch), target, number: '3-02', from: 5, to: 8 },
    ...{ reason: 'a test', trial: true, confirmed: true },
  };
  const write = (differs: Record<string, unknown>) =>
    request.post('/api/v1/drives/write', { data: { id: v7(), ...right, ...differs } });
  const refusal = async (differs: Record<string, unknown>) => {
    const answer = await write(differs);
    return [answer.status(), ((await answer.json()) as { error: string }).error] as const;
  };
  const kinds = async () => (await entriesOf(request, right.jobId)).map((e) => e.kind).slice(-2);
  const before = await kinds();
  expect(await refusal({ confirmed: false })).toEqual([422, expect.any(String)]);
  expect(await refusal({ number: '99-99' })).toEqual([422, expect.stringContaining('no parameter')]);
  expect(await refusal({ number: '1-10', from: 0, to: 1 })).toEqual([
    422,
    expect.stringContaining('read only'),
  ]);
  expect(await refusal({ number: '4-07', from: 2, to: 9 })).toEqual([
    422,
    expect.stringContaining('no choice'),
  ]);
  // Its word would hold 6553.6 s as nothing at all.
  expect(await refusal({ to: 6553.6 })).toEqual([422, expect.stringContaining('0.1 to 600 s')]);
  expect(await refusal({ to: -1 })).toEqual([422, expect.stringContaining('0.1 to 600 s')]);
  expect(await refusal({ target: 'not an address' })).toEqual([422, expect.any(String)]);
  expect(await refusal({ target: '192.0.2.9:502' })).toEqual([
    502,
    expect.stringContaining('not on the list'),
  ]);
  const knot = await copyOf(request, netDrumSwap);
  expect(await refusal({ jobId: knot, number: 'A-03', from: 20, to: 21 })).toEqual([
    409,
    expect.stringContaining('Another drive answers'),
  ]);
  expect(await refusal({ jobId: v7() })).toEqual([404, expect.any(String)]);
  // Nothing of these but what got as far as the drive is in the log.
  expect(await kinds()).toEqual(['drive.write-asked', 'drive.write-failed']);
  expect(before).not.toContain('drive.write-asked');

  expect(await refusal({ from: 3 })).toEqual([409, expect.stringContaining('read out again')]);
  expect(await refusal({ number: '1-14', from: 0, to: 1 })).toEqual([
    409,
    expect.stringContaining('not available'),
  ]);
  const id = v7();
  const answers = await Promise.all([write({ id }), write({ id }), write({ id })]);
  expect(answers.map((a) => a.status()).sort()).toEqual([200, 409, 409]);
  expect((await write({ id, to: 12 })).status()).toBe(409);
  expect(await kinds()).toEqual(['drive.write-asked', 'drive.write-done']);
  // Other names of the same drive are the same drive, and nobody but the server says that it wrote.
  const [, port = ''] = target.split(':');
  expect((await write({ target: `LOCALHOST:${port}/1`, from: 8, to: 5 })).status()).toBe(200);
  const [asked] = (await entriesOf(request, right.jobId)).slice(-2);
  expect(asked?.payload['target']).toBe(target);
  const forged = entry(right.jobId, 'drive.write-done', { asked: id, found: 99 });
  const said = await request.post(`/api/v1/jobs/${right.jobId}/entries`, { data: { entries: [forged] } });
  expect(await said.text()).toContain('Only the server records this');
  await choosePerson(page, pipId);
  expect((await refusal({}))[0]).toBe(403);
});

test('a loop is walked, a jumper stands in the register and holds the signature', async ({ page }) => {
  const job = await winchJob(page, 'A winch with a loop');
  await visit(page, `/jobs/${job}/fault-finding`);
  await panel(page, '24 V loops');
  await page.getByRole('button', { name: 'Check a loop' }).click();
  const walk = page.getByRole('region', { name: 'Loop check' });
  await page.getByRole('combobox', { name: 'Input', exact: true }).selectOption({ label: 'X3' });
  await walk.getByRole('textbox', { name: 'Contacts in the loop' }).fill('S1, K3');
  await walk.getByRole('textbox', { name: 'after S1' }).fill('24,0');
  await expect(walk.getByRole('status')).toContainText('measure halfway');
  await walk.getByRole('textbox', { name: 'after K3' }).fill('0.2');
  await expect(walk.getByRole('status')).toContainText('Open: K3');
  await walk.getByRole('button', { name: 'Save loop check' }).click();
  await expect(page.getByText('Loop check of X3 saved.')).toBeVisible();

  await page.getByRole('button', { name: 'Temporary jumper' }).click();
  const form = page.getByRole('form', { name: 'Before a jumper' });
  await form.getByRole('radio', { name: 'existing' }).check();
  await form
    .getByRole('group', { name: /wire landed at X3/ })
    .getByRole('radio', { name: 'yes' })
    .check();
  await form.getByRole('textbox', { name: 'Wire number' }).fill('114');
  await expect(form).toContainText('Find out why the voltage is missing');
  await form.getByRole('combobox', { name: 'What does the loop monitor?' }).selectOption('guard');
  await form
    .getByRole('group', { name: 'Is a motor connected?' })
    .getByRole('radio', { name: 'yes' })
    .check();
  await expect(form.getByRole('note')).toContainText('never jumpered');
  await form
    .getByRole('group', { name: 'Is a motor connected?' })
    .getByRole('radio', { name: 'no, its cable is off' })
    .check();
  await expect(form.getByRole('note')).toContainText('with or without motor');
  await expect(form.getByRole('button', { name: 'Record jumper' })).toHaveCount(0);
  await form
    .getByRole('group', { name: 'Is a motor connected?' })
    .getByRole('radio', { name: 'yes' })
    .check();
  await form.getByRole('combobox', { name: 'What does the loop monitor?' }).selectOption('level-or-pressure');
  await form.getByRole('button', { name: 'Record jumper' }).click();
  await expect(form.getByText('Reason, person accepting the risk')).toBeVisible();
  await expect(form.getByText('Say why')).toBeVisible();
  await form.getByRole('textbox', { name: 'Reason' }).fill('level switch ordered');
  await form.getByRole('textbox', { name: 'Who accepts the risk' }).fill('A. Fenn, works manager');
  await form.getByRole('button', { name: 'Record jumper' }).click();

  const register = page.getByRole('region', { name: 'Temporary jumpers' });
  await expect(register).toContainText('The job cannot be signed off before removal.');
  // Whoever signs all the same signs nothing: the log says why.
  const signed = entry(job, 'sheet.signed', { verdict: 'doubtful', headline: 'x', detail: '', seq: 0 });
  await allKept(page);
  await page.request.post(`/api/v1/jobs/${job}/entries`, { data: { entries: [signed] } });
  await expect(page.getByRole('region', { name: 'Log', exact: true })).toContainText(
    'A temporary jumper is still fitted: X3',
  );
  await register.getByRole('button', { name: 'Jumper removed…' }).click();
  await register.getByRole('textbox', { name: 'How removal was proven' }).fill('K3 opened: X3 goes off');
  await register.getByRole('button', { name: 'Mark jumper removed' }).click();
  await expect(register).toContainText('Removed: K3 opened: X3 goes off');
  await reloadJob(page);
  await expect(register).toContainText('Removed: K3 opened: X3 goes off');
});

test('a trend is watched, held still and kept', async ({ page }) => {
  const job = await winchJob(page, 'A winch over time');
  await order(page.request, { plant: { contacts: stopped }, wait_s: 1 });
  await readOut(page, job);
  await panel(page, 'Trend');
  const trend = page.getByRole('region', { name: 'Trend' });
  await expect(trend).toContainText('No values yet');
  await page.getByRole('button', { name: 'Watch live' }).click();
  await order(page.request, { plant: { contacts: winchContacts } });
  const x1 = trend.getByRole('button', { name: 'X1', exact: true });
  await expect(page.getByRole('button', { name: 'X1: on' })).toBeVisible();
  await x1.click();
  await expect(x1).toHaveAttribute('aria-pressed', 'true');
  const chart = trend.getByRole('img', { name: /Output, Current, Bus, X1 over ([2-9]|\d\d) seconds/ });
  await expect(chart).toBeVisible({ timeout: 15_000 });
  await trend.getByRole('button', { name: 'Pause' }).click();
  const still = await chart.getAttribute('aria-label');
  // More came meanwhile: the page says what it is.
  await order(page.request, { plant: { contacts: stopped } });
  await says(page, /Run: open\./);
  expect(await chart.getAttribute('aria-label')).toBe(still);
  await trend.getByText('table', { exact: true }).click();
  await expect(trend.getByRole('columnheader', { name: 'Bus, V' })).toBeVisible();
  await trend.getByRole('button', { name: 'Save trend' }).click();
  await expect(trend.getByRole('status')).toContainText('Trend saved');
  const kept = await savedEntry(page.request, job, 'trend.kept');
  const blob: unknown = await (await page.request.get(`/api/v1/blobs/${kept.payload['sha256']}`)).json();
  expect(blob).toMatchObject({ names: ['Output, Hz', 'Current, A', 'Bus, V', 'X1, bit'] });
  expect((blob as { rows: number[][] }).rows.length).toBeGreaterThan(8);
});
