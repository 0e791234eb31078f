/** Prepare: the shortest stop for a swap, edited, refused where it goes round in a ring, and kept. */
import { expect, test } from './test';
import { choosePerson, inesId, netDrum, visit, watchConsole } from './demo';
import { panelOf } from './trace';

test('the stop of the net-drum is planned, and a ring is named', async ({ page }) => {
  page.setDefaultTimeout(20_000);
  const errors = watchConsole(page);
  await choosePerson(page, inesId);
  await visit(page, `/jobs/${netDrum}/preparation`);
  await panelOf(page, 'Preparation', 'Outage');
  await expect(page.getByText('No tasks yet.')).toBeVisible();
  await page.getByRole('button', { name: 'Usual replacement tasks' }).click();
  const said = page.getByRole('status').filter({ hasText: 'min outage' });
  await expect(said).toContainText('125 min outage');
  await expect(said).toContainText('35 minutes more than allowed');
  await said.getByText('why?').click();
  await expect(said).toContainText('No plan with these tasks and people has a shorter outage');

  // By the template the holes are drilled beside the old unit before the stop; the wires are labelled by two.
  await page.getByRole('combobox', { name: 'Machine, task 7' }).selectOption('as it is');
  await page.getByText('what task 7 depends on').click();
  const seventh = page.getByRole('list', { name: 'Tasks' }).getByRole('listitem').nth(6);
  await seventh.getByRole('checkbox', { name: 'Wires off, old unit out' }).uncheck();
  await page.getByText('what task 8 depends on').click();
  const eighth = page.getByRole('list', { name: 'Tasks' }).getByRole('listitem').nth(7);
  await eighth.getByRole('checkbox', { name: 'Wires off, old unit out' }).check();
  await expect(said).toContainText('110 min outage');
  await expect(page.getByRole('group', { name: 'Outage timetable' })).toBeVisible();
  await page.getByText('as a table').click();
  await expect(page.getByRole('row').filter({ hasText: 'Drill by the template' })).toContainText('as it is');

  // In a ring: named, not planned, nothing lost.
  await seventh.getByRole('checkbox', { name: 'New unit in' }).check();
  await expect(page.getByRole('alert').filter({ hasText: 'Circular dependency' })).toContainText(
    'Drill by the template',
  );
  await expect(page.getByRole('button', { name: 'Save plan' })).toBeDisabled();
  await seventh.getByRole('checkbox', { name: 'New unit in' }).uncheck();
  await page.getByRole('textbox', { name: 'Duration, task 1', exact: true }).fill('soon');
  await expect(page.getByText('A value in the list cannot be read')).toBeVisible();
  await page.getByRole('textbox', { name: 'Duration, task 1', exact: true }).fill('12,5');

  await page.getByRole('button', { name: 'Save plan' }).click();
  await expect(page.getByText('Plan saved.')).toBeVisible();
  await visit(page, `/jobs/${netDrum}/preparation`);
  await panelOf(page, 'Preparation', 'Outage');
  await expect(said).toContainText('110 min outage');
  await expect(page.getByRole('textbox', { name: 'Duration, task 1', exact: true })).toHaveValue('12.5');
  expect(errors).toEqual([]);
});
