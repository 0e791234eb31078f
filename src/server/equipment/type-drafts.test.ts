/** Drafts of drive types that two edit at once, against the test cluster (DATABASE_URL). */
import { v7 } from 'uuid';
import { readText, interpreted } from '../../core/reading/manual';
import { draftFrom, genericDraft, withMeaning, type UnitFacts } from '../../core/reading/type-draft';
import { ownDatabase } from '../database/__tests__/own-database';
import { db } from '../database/connection';
import { catalogue, controlOf } from './catalogue';
import { finishType, keepDraft, typeDrafts } from './type-drafts';

ownDatabase();

beforeAll(async () => {
  await db().models.Person.create({ id: ines, name: 'Ines Tarrow', role: 'technician' });
});

const ines = '0190a000-0000-7000-8000-000000000001';
const list = 'No;Name;Range;Default\nP01;Max. speed;5 - 300 Hz;50\nP02;Run-up time;0.1 - 99 s;4\n';
const fresh = () =>
  draftFrom(interpreted(readText(list)), { id: v7(), maker: 'Nobody', range: 'N1', source: 'list.csv' });

it('stores a draft, its changes, and the same again without a new version', async () => {
  const draft = fresh();
  expect(await keepDraft(draft, 0, ines)).toBe(1);
  expect(await keepDraft(draft, 0, ines)).toBe(1);
  const changed = withMeaning(draft, 'P01', null);
  expect(await keepDraft(changed, 1, ines)).toBe(2);
  const stored = (await typeDrafts()).find((d) => d.draft.id === draft.id);
  expect(stored).toEqual({ draft: changed, version: 2 });
});

it('refuses a change of something older, and changes nothing', async () => {
  const draft = fresh();
  await keepDraft(draft, 0, ines);
  await keepDraft(withMeaning(draft, 'P01', 'jog.frequency'), 1, ines);
  await expect(keepDraft(withMeaning(draft, 'P02', null), 1, ines)).rejects.toMatchObject({ status: 409 });
  const stored = (await typeDrafts()).find((d) => d.draft.id === draft.id);
  expect(stored?.version).toBe(2);
});

it('lets one of two at once win', async () => {
  const draft = fresh();
  await keepDraft(draft, 0, ines);
  const all = await Promise.allSettled([
    keepDraft(withMeaning(draft, 'P01', null), 1, ines),
    keepDraft(withMeaning(draft, 'P02', null), 1, ines),
  ]);
  expect(all.map((one) => one.status).sort()).toEqual(['fulfilled', 'rejected']);
});

it('a draft that cannot be read hurts no other', async () => {
  const draft = fresh();
  await keepDraft(draft, 0, ines);
  await db().models.TypeDraft.create({ id: v7(), draft: { nonsense: true }, version: 1, byId: ines });
  expect((await typeDrafts()).some((d) => d.draft.id === draft.id)).toBe(true);
});

describe('a draft becomes a type', () => {
  const unit: UnitFacts = {
    ...{ phases: '3', supply_V: 400, labelWait_min: 5, frontEnd: 'diode-3ph', brake: 'unknown' },
    models: [{ type: 'N1-12', ratedAmps: 12, power_kW: 5.5 }],
  };

  it('that the catalogue has; another size of the range joins it, the same again changes nothing', async () => {
    const made = genericDraft({ id: v7(), maker: 'Nobody', range: 'N7' });
    await keepDraft(made, 0, ines);
    const { id, leftOut } = await finishType(made.id, unit, ines);
    expect(leftOut).toEqual([]);
    await finishType(made.id, { ...unit, models: [{ type: 'N1-20', ratedAmps: 20, power_kW: 9.2 }] }, ines);
    await finishType(made.id, unit, ines);
    const type = (await catalogue()).find((t) => t.id === id);
    expect(type?.models.map((m) => m.type).sort()).toEqual(['N1-12', 'N1-20']);
    const control = await controlOf(id);
    expect(control?.parameters).toHaveLength(26);
    expect(control?.modbus).toBeNull();
  });

  it('a draft that is not there is refused with what to do', async () => {
    await expect(finishType(v7(), unit, ines)).rejects.toThrow('save it again');
  });
});
