/** Versions of types that two edit at once, against the test cluster (DATABASE_URL). */
import { readFileSync } from 'node:fs';
import { ownDatabase } from '../database/__tests__/own-database';
import { db } from '../database/connection';
import { editedType, keepType } from './catalogue';
import { versionOf } from './type-versions';

ownDatabase();

const ines = '0190a000-0000-7000-8000-000000000001';
beforeAll(async () => {
  await db().models.Person.create({ id: ines, name: 'Ines Tarrow', role: 'lead' });
});

const whimbrel = JSON.parse(readFileSync('catalogue/whimbrel-w4/type.json', 'utf8')) as Record<
  string,
  unknown
>;
const files = (id: string, about = 'ours') => ({
  type: JSON.stringify({ ...whimbrel, id, about }),
  control: readFileSync('catalogue/whimbrel-w4/control.json', 'utf8'),
});
const keep = (id: string, about: string, seen: number | null, note = '') =>
  keepType(files(id, about), { keep: true, byId: ines, seen, note });

it('keeps each version, the same again as none, and gives every one back', async () => {
  expect(await keep('own-a', 'first', 0, 'firmware 1.2')).toMatchObject({ version: 1 });
  expect(await keep('own-a', 'first', 0)).toMatchObject({ version: 1 });
  expect(await keep('own-a', 'second', 1)).toMatchObject({ version: 2 });
  const edited = await editedType('own-a');
  expect(edited).toMatchObject({ version: 2, supplied: false, type: { about: 'second' } });
  expect(edited.versions.map(({ version, note, by }) => [version, note, by])).toEqual([
    [2, '', 'Ines Tarrow'],
    [1, 'firmware 1.2', 'Ines Tarrow'],
  ]);
  expect((await versionOf('own-a', 1)).type).toMatchObject({ about: 'first' });
  await expect(versionOf('own-a', 9)).rejects.toMatchObject({ status: 404 });
});

it('refuses a change of something older; of many at once one wins', async () => {
  await keep('own-b', 'first', 0);
  await keep('own-b', 'second', 1);
  await expect(keep('own-b', 'other', 1)).rejects.toMatchObject({ status: 409 });
  const all = await Promise.allSettled(['x', 'y', 'z'].map((about) => keep('own-b', about, 2)));
  expect(all.filter((one) => one.status === 'fulfilled')).toHaveLength(1);
  const fresh = await Promise.allSettled(['x', 'y', 'z'].map((about) => keep('own-c', about, 0)));
  expect(fresh.filter((one) => one.status === 'fulfilled')).toHaveLength(1);
});

it('shows a supplied type, which cannot be saved under its id', async () => {
  expect(await editedType('whimbrel-w4')).toMatchObject({ supplied: true, version: 0, versions: [] });
  await expect(keep('whimbrel-w4', 'mine', 0)).rejects.toMatchObject({ status: 409 });
  await expect(editedType('nothing-there')).rejects.toMatchObject({ status: 404 });
});
