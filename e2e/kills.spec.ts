/** Power cuts while somebody types: nothing that was shown as recorded is missing, and nothing is there twice. */
import { ensureDatabase, removeCluster, startCluster, type Cluster } from '../launcher/cluster';
import { prepareDatabase } from '../launcher/database';
import { expect, test } from './test';
import { visit, winch } from './demo';
import { own } from './here';
import { kill, spare, startServer } from './spare-server';

const kills = process.env['GRIM_LONG'] === '1' ? 1000 : 10;
const name = `kills-${own.sparePort}`;
// A power cut must not find the data in some cache: this cluster writes as the one of the shop does.
const port = own.sparePort + 52_000;

let cluster: Cluster;
test.beforeAll(async () => {
  removeCluster(name);
  cluster = await startCluster(name, { port });
  ensureDatabase(cluster, 'grim');
  await prepareDatabase(cluster.url('grim'), { demo: true });
});
test.afterAll(() => {
  cluster.stop();
  removeCluster(name);
});

test(`server and database are killed ${kills} times while questions are asked: each is there once, in order`, async ({
  page,
}) => {
  test.setTimeout(60_000 + kills * 30_000);
  let server = await startServer(cluster.url('grim'));
  const asked: string[] = [];
  const field = page.getByLabel('Ask something for later');
  const ask = async (text: string) => {
    await field.fill(text);
    await field.press('Enter');
    await expect(field).toHaveValue('');
    asked.push(text);
  };
  const recorded = async (): Promise<string[]> => {
    const texts: string[] = [];
    for (let after = 0; ;) {
      const answer = await fetch(`${spare}/api/v1/jobs/${winch}/entries?after=${after}`);
      const { entries, more } = (await answer.json()) as {
        entries: { seq: number; kind: string; payload: { text?: string } }[];
        more: boolean;
      };
      texts.push(...entries.flatMap((e) => (e.kind === 'question.opened' ? [e.payload.text ?? ''] : [])));
      after = entries.at(-1)?.seq ?? after;
      if (!more) return texts;
    }
  };
  try {
    await visit(page, `${spare}/jobs/${winch}/decide`);
    const before = (await recorded()).length;
    for (let i = 0; i < kills; i += 1) {
      await ask(`question ${i}, before`);
      const database = i % 2 === 1;
      if (database) cluster.kill();
      else kill(server);
      await ask(`question ${i}, while it is dead`);
      if (database) cluster = await startCluster(name, { port });
      else server = await startServer(cluster.url('grim'));
    }
    // A page that was never reloaded sends all of it by itself.
    await expect.poll(async () => (await recorded()).slice(before), { timeout: 90_000 }).toEqual(asked);
    await expect(page.getByText('(not kept yet, sending)')).toHaveCount(0);
    await expect(page.getByText('Server not reachable')).toBeHidden();
    const { checkChains, close } = await import('../src/server/database/maintenance');
    process.env['DATABASE_URL'] = cluster.url('grim');
    expect((await checkChains()).broken).toEqual([]);
    await close();
  } finally {
    kill(server);
  }
});
