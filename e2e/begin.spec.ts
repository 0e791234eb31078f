/** What is in front of you? The right tool at once, on a drive that nobody has described. */
import { audit } from './audit';
import { choosePerson, inesId, picture, visit, watchConsole } from './demo';
import { expect, test } from './test';

test('from the board to the first answer of the fault finder in four inputs', async ({ page }) => {
  const errors = watchConsole(page);
  await choosePerson(page, inesId);
  await visit(page, '/');
  await page.getByRole('link', { name: 'What is in front of you?' }).click();
  await expect(page.getByRole('heading', { name: 'What is in front of you?' })).toBeVisible();
  await picture(page, 'first-screen');
  await audit(page, 'first screen');
  await page.getByRole('button', { name: /^Fault code/ }).click();
  await page
    .getByRole('combobox', { name: 'What the drive shows or does' })
    .selectOption({ label: 'overvoltage while decelerating' });
  const tracer = page.getByRole('region', { name: 'Tracer' });
  await expect(
    tracer.getByRole('list', { name: 'Likely causes' }).getByRole('listitem').first(),
  ).toBeVisible();
  expect(errors).toEqual([]);
});

test('a second answer where one is not enough; pressed twice, one job; Back leads to the question', async ({
  page,
}) => {
  await choosePerson(page, inesId);
  await visit(page, '/begin');
  await page.getByRole('textbox', { name: 'Machine or unit' }).fill('Bench unit 7');
  await page.getByRole('button', { name: /^Dead or damaged/ }).click();
  await page.getByRole('button', { name: 'Fuse blown, burnt or a bang: measure' }).dblclick();
  await expect(page.getByRole('heading', { name: 'Nameplates' })).toBeVisible();
  await page.goBack();
  await expect(page.getByRole('heading', { name: 'What is in front of you?' })).toBeVisible();
  await expect(page.getByRole('button', { name: /^Dead or damaged/ })).toBeEnabled();
  await visit(page, '/?search=Bench+unit+7');
  await expect(page.getByText('1 job', { exact: true })).toBeVisible();
});

test('without the server the question stays, and is answered later', async ({ page, context }) => {
  await choosePerson(page, inesId);
  await visit(page, '/begin');
  await context.setOffline(true);
  await page.getByRole('button', { name: /^Won’t run/ }).click();
  await expect(page.getByRole('main').getByRole('alert')).toContainText('Server not reachable');
  await context.setOffline(false);
  await page.getByRole('button', { name: /^Won’t run/ }).click();
  await expect(page.getByRole('heading', { name: 'Fault finding', exact: true })).toBeVisible();
});
