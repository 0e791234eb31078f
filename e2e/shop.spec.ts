/** What a shop makes its own: drive types, trace tables; and the rig. */
import { readFileSync } from 'node:fs';
import { expect, test } from './test';
import { choosePerson, inesId, odoId, visit, watchConsole } from './demo';
import { winchReady } from './rig';

const file = (name: string, text: string) => ({
  name,
  mimeType: 'application/json',
  buffer: Buffer.from(text),
});
const guide = readFileSync('docs/catalogue.md', 'utf8');
const [type = '', control = ''] = [...guide.matchAll(/```json\n([\s\S]*?)```/g)].map((m) => m[1]);

test('a type of the shop’s own: told line by line what is wrong, then kept', async ({ page }) => {
  const errors = watchConsole(page);
  await choosePerson(page, odoId);
  await visit(page, '/drive-types');
  const upload = page.getByRole('region', { name: 'Add a drive type' });
  const files = upload.getByLabel('Files of the type');
  const broken = control.replace('"family": "ground"', '"family": "moths"');
  const line = broken.split('\n').findIndex((l) => l.includes('moths')) + 1;
  await files.setInputFiles([file('type.json', type), file('control.json', broken)]);
  await expect(upload.getByRole('alert')).toContainText('1 line must be corrected');
  const row = upload.getByRole('row').nth(1);
  await expect(row).toContainText('control.json');
  await expect(row).toContainText(String(line));
  await expect(row).toContainText('alarms.0.family');
  await expect(upload.getByRole('button', { name: 'Save this type' })).toHaveCount(0);
  await files.setInputFiles([file('control.json', control)]);
  await expect(upload.getByRole('alert')).toContainText('type.json is missing');
  await files.setInputFiles([file('type.json', type), file('control.json', control)]);
  await upload.getByRole('button', { name: 'Save this type' }).click();
  await expect(upload.getByText('redshank-r2 was added to the catalogue.')).toBeVisible();
  await expect(page.getByRole('combobox', { name: 'Type' })).toContainText('Redshank R2');
  await expect(page.getByText('1 of 1 parameters')).toBeVisible();
  // One that ships is not written over.
  const shipped = type.replace('redshank-r2', 'knot-k3');
  await files.setInputFiles([file('type.json', shipped)]);
  await expect(upload.getByRole('alert')).toContainText('the id of a supplied type');
  expect(errors).toEqual([]);
});

test('every type can be looked up; a technician checks a type but does not keep it', async ({ page }) => {
  await choosePerson(page, inesId);
  await visit(page, '/drive-types');
  await page.getByRole('combobox', { name: 'Type' }).selectOption({ label: 'Knot K3' });
  await page.getByRole('textbox', { name: 'Find' }).fill('overload');
  const entries = page.getByRole('region', { name: 'Entries' });
  await expect(entries.getByRole('row').filter({ hasText: 'B-05' })).toContainText('30 to 100 %');
  const upload = page.getByRole('region', { name: 'Add a drive type' });
  await upload.getByLabel('Files of the type').setInputFiles([file('type.json', type)]);
  await expect(upload.getByRole('status').first()).toContainText('Only the shop lead can add it');
  const answer = await page.request.post('/api/v1/catalogue', { data: { type, control: null, keep: true } });
  expect(answer.status()).toBe(403);
});

test('the shop lead writes down what the shop has seen, and the tracer follows it', async ({ page }) => {
  await choosePerson(page, odoId);
  await visit(page, '/administration/trace-tables');
  await page.getByRole('combobox', { name: 'Fault or symptom' }).selectOption({ label: 'fan fault' });
  await page.getByRole('textbox', { name: 'Source' }).fill('our shop, 2026');
  const often = page.getByRole('textbox', { name: 'Weight' }).first();
  await often.fill('90');
  await often.blur();
  const chance = page.getByRole('textbox', { name: 'fan blocked' }).first();
  await chance.fill('80');
  await chance.blur();
  await page.getByRole('button', { name: 'Save tables' }).click();
  await expect(page.getByText('Tables saved.')).toBeVisible();
  const { own } = (await (await page.request.get('/api/v1/trace-tables')).json()) as {
    own: { family: string; provenance: string; causes: { weight: number }[] }[];
  };
  expect(own).toHaveLength(1);
  expect(own[0]).toMatchObject({ family: 'fan', provenance: 'our shop, 2026' });
  expect(own[0]?.causes[0]?.weight).toBe(90);
  await page.getByRole('button', { name: 'Add cause' }).click();
  await page.getByRole('button', { name: 'Save tables' }).click();
  await expect(page.getByText(/^Not saved: causes \d+ name: must not be empty\.$/)).toBeVisible();
  await page.getByRole('button', { name: 'Restore the default table' }).click();
  await page.getByRole('button', { name: 'Save tables' }).click();
  await expect(page.getByText('Tables saved.')).toBeVisible();
  expect(((await (await page.request.get('/api/v1/trace-tables')).json()) as { own: unknown[] }).own).toEqual(
    [],
  );
  await choosePerson(page, inesId);
  expect((await page.request.put('/api/v1/trace-tables', { data: [] })).status()).toBe(403);
});

test('the rig: a contact closes, a fault is hidden, another drive comes out of its box', async ({ page }) => {
  const errors = watchConsole(page);
  await choosePerson(page, inesId);
  await winchReady(page.request);
  await visit(page, '/simulator');
  const shows = page.getByRole('region', { name: 'Drive shows' });
  await expect(shows).toContainText('Whimbrel W4: ready');
  await page.getByRole('switch', { name: 'X1, run forward' }).click();
  await expect(shows).toContainText('running');
  await page.getByRole('combobox', { name: 'Fault to hide' }).selectOption({ label: 'ground fault' });
  await page.getByRole('button', { name: 'Hide this fault' }).click();
  await expect(shows).toContainText('trip EARTH', { timeout: 15_000 });
  await page.getByRole('combobox', { name: 'Drive' }).selectOption({ label: 'Knot K3-10' });
  await expect(shows).toContainText('Knot K3: ready', { timeout: 15_000 });
  await page.getByRole('textbox', { name: 'Mains' }).fill('5000');
  await page.getByRole('textbox', { name: 'Mains' }).blur();
  await expect(page.locator('main').getByRole('alert')).toContainText('1000');
  expect(errors).toEqual([]);
});
