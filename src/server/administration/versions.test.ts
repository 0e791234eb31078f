/** Settings that two edit at once, and shop data that is broken, against the test cluster (DATABASE_URL). */
import { usualConsequences } from '../../core/bench/story';
import { usualTables } from '../../core/fault-finding/tracing';
import { ownDatabase } from '../database/__tests__/own-database';
import { db } from '../database/connection';
import { catalogue, controlOf, readCatalogue } from '../equipment/catalogue';
import {
  consequences,
  readTraceTables,
  setConsequences,
  setLimits,
  settingVersion,
  siteLimits,
} from './settings';

ownDatabase();

it('keeps what was edited from what is there, and says the new version', async () => {
  const seen = await settingVersion('limits');
  await setLimits({ hands_V: 40, test_V: 4 }, seen);
  expect(await siteLimits()).toEqual({ hands_V: 40, test_V: 4 });
  const next = await setLimits({ hands_V: 35, test_V: 4 }, await settingVersion('limits'));
  expect(next).toBe(await settingVersion('limits'));
  await setLimits({ hands_V: 30, test_V: 4 }, next);
  expect((await siteLimits()).hands_V).toBe(30);
});

it('refuses what was edited from something older, and changes nothing', async () => {
  const seen = await settingVersion('consequences');
  await setConsequences(usualConsequences.slice(1), seen);
  await expect(setConsequences([], seen)).rejects.toMatchObject({ status: 409 });
  expect(await consequences()).toHaveLength(usualConsequences.length - 1);
});

it('lets one of many at once win', async () => {
  const seen = await settingVersion('limits');
  const all = await Promise.allSettled(
    [45, 44, 43, 42].map((hands_V) => setLimits({ hands_V, test_V: 5 }, seen)),
  );
  expect(all.filter((one) => one.status === 'fulfilled')).toHaveLength(1);
});

it('shows a broken trace table, and reads the others', async () => {
  const [first, second] = usualTables;
  const own = [
    { ...first, provenance: 'ours' },
    { ...second, causes: 'nonsense' },
  ];
  await db().models.Setting.upsert({ key: 'trace-tables', value: own });
  const { tables, broken } = await readTraceTables();
  expect(tables.map((t) => t.provenance)).toEqual(['ours']);
  expect(broken).toEqual([expect.stringContaining(second!.family)]);
});

it('shows a broken drive type, and knows all others', async () => {
  const before = await catalogue();
  const row = { control: { entries: 5 }, byId: null, receivedAt: new Date() };
  await db().sequelize.query(
    `insert into people (id, name, role) values ('0190a000-0000-7000-8000-0000000000aa', 'Somebody', 'lead')`,
  );
  await db().models.DriveType.create({
    ...row,
    id: 'ours-x1',
    type: { id: 'ours-x1', maker: 7 },
    byId: '0190a000-0000-7000-8000-0000000000aa',
  });
  expect(await catalogue()).toEqual(before);
  expect((await readCatalogue()).broken).toEqual([expect.stringContaining('ours-x1')]);
  expect(await controlOf('ours-x1')).toBeNull();
});
