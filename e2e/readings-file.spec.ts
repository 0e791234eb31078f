/** Readings written down elsewhere come in by paste and by file, and the test goes out again. */
import { readFile } from 'node:fs/promises';
import { expect, test } from './test';
import { choosePerson, entry, gradingDrum, inesId, visit, postEntries } from './demo';

interface Reading {
  red: string;
  black: string;
  value: number | 'OL';
}

test('a pasted table is taken line by line, asked about, not taken twice, and goes out as a case', async ({
  page,
}) => {
  test.setTimeout(90_000);
  await choosePerson(page, inesId);
  const aside = entry(gradingDrum, 'static.retake', { reason: 'another unit' });
  await postEntries(page.request, gradingDrum, [aside]);
  const hidden = { stage: { frontEnd: 'diode-1ph' }, faults: [{ component: 'inv.W.lo', mode: 'short' }] };
  const walked = ['L1', 'L2', 'U', 'V', 'W'];
  const probes = walked.flatMap((t) => [
    { red: t, black: 'DC+' },
    { red: 'DC-', black: t },
  ]);
  const answer = await page.request.post('/api/v1/calc/static-readings', { data: { ...hidden, probes } });
  const solved = (await answer.json()) as { readings: Reading[] };
  const readings = solved.readings.map(({ red, black, value }) => ({ red, black, value }));
  const slip = readings.findIndex((r) => r.red === 'U' && r.black === 'DC+');
  const rows = readings.map((r, i) => {
    const volts = r.value === 'OL' ? 'OL' : i === slip ? String(r.value * 1000) : String(r.value);
    return `${r.red};${r.black};${volts.replace('.', ',')}`;
  });

  await visit(page, `/jobs/${gradingDrum}/bench-test`);
  await page.getByRole('button', { name: 'Readings as a file' }).click();
  const file = page.getByRole('region', { name: 'Readings as a file' });
  const paste = file.getByRole('textbox', { name: 'Paste readings' });
  await paste.fill(`red;black;value\n${rows.join('\n')}\nBR;DC+;0,4\nthe winch is dead`);
  await expect(file.getByText('“BR”: no such terminal')).toBeVisible();
  await expect(file.getByText('3 lines will be left out.')).toBeVisible();
  await file.getByRole('button', { name: /^0\.\d+ V$/ }).click();
  await expect(file.getByText('2 lines will be left out.')).toBeVisible();
  await file.getByRole('button', { name: 'Save 10 readings' }).click();
  await expect(file.getByText('saved already')).toHaveCount(10);
  await expect(file.getByRole('button', { name: 'Save', exact: true })).toBeDisabled();

  // The same readings once more, as a file this time: no confirmation, so nothing to keep.
  await file.getByLabel('File of readings').setInputFiles({
    name: 'again.jsonl',
    mimeType: 'application/x-ndjson',
    buffer: Buffer.from(readings.map((r) => JSON.stringify(r)).join('\n')),
  });
  await expect(file.getByText('saved already')).toHaveCount(10);
  await paste.fill(Array.from({ length: 401 }, () => 'L1 DC+ 0.4').join('\n'));
  await expect(file.getByRole('alert')).toContainText('at most 400 at a time');

  const download = async (name: string): Promise<string> => {
    const [got] = await Promise.all([
      page.waitForEvent('download'),
      file.getByRole(name.startsWith('Complete') ? 'link' : 'button', { name }).click(),
    ]);
    return readFile(await got.path(), 'utf8');
  };
  const asked = JSON.parse(await download('Case for calc')) as { readings: Reading[] };
  expect(asked.readings).toEqual(readings);
  const judged = await page.request.post('/api/v1/calc/static-diagnose', { data: asked });
  const verdict = (await judged.json()) as { verdict: string; candidates: { faults: unknown[] }[] };
  expect(verdict.verdict).toBe('faulty');
  expect(verdict.candidates[0]?.faults).toEqual([{ component: 'inv.W.lo', mode: 'short' }]);
  expect((await download('Readings, CSV')).split('\n')).toHaveLength(11);
  expect((await download('Readings, JSON lines')).trim().split('\n')).toHaveLength(10);
  expect(JSON.parse(await download('Complete test, JSON'))).toMatchObject({ title: 'Static-test sheet' });

  await file.getByRole('button', { name: 'Back to the bench test' }).click();
  await expect(page.getByRole('complementary', { name: 'Evidence' })).toContainText(/W lower IGBT/);
});
