/** How the server is, and files that it takes a while to make. */
import { choosePerson, inesId, visit, winch } from './demo';
import { expect, test } from './test';

test('the page of the system says how each part is, and leads there from the settings', async ({ page }) => {
  await choosePerson(page, inesId);
  await visit(page, '/administration');
  await page.getByRole('link', { name: 'System status' }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'System status' })).toBeVisible();
  for (const part of ['Database', 'Link to drives', 'Disk', 'Calculation and printing'])
    await expect(page.getByRole('region', { name: part })).toContainText('OK');
  await expect(page.getByText(/^PostgreSQL \d+/)).toBeVisible();
});

test('a paper that takes a while says so, can be cancelled, and says why there is none', async ({ page }) => {
  await choosePerson(page, inesId);
  let letGo: () => void = () => undefined;
  const held = new Promise<void>((resolve) => (letGo = resolve));
  await page.route('**/sheet?form=pdf&paper=a4', async (route) => {
    await held;
    await route.continue().catch(() => undefined);
  });
  await page.route('**/sheet?form=pdf&paper=letter', (route) =>
    route.fulfill({ status: 503, json: { error: 'Too many are waiting for a paper.', problems: [] } }),
  );
  await page.route('**/api/v1/work', (route) => route.fulfill({ json: { waiting: 3 } }));
  await visit(page, `/jobs/${winch}/sheet`);
  await page.getByRole('link', { name: 'PDF, A4' }).click();
  await expect(page.getByText('Creating file… 3 more wait.')).toBeVisible();
  await page.getByRole('button', { name: 'Cancel' }).click();
  await expect(page.getByText('Creating file…')).toBeHidden();
  letGo();
  await page.unroute('**/sheet?form=pdf&paper=a4');
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('link', { name: 'PDF, A4' }).click(),
  ]);
  expect(download.suggestedFilename()).toBe('static-test.pdf');
  await page.getByRole('link', { name: 'PDF, letter' }).click();
  await expect(page.getByRole('alert').filter({ hasText: 'Not created' })).toContainText(
    'Too many are waiting',
  );
});
