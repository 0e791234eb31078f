/** Power cuts while somebody types: nothing that was shown as recorded is missing, and nothing is there twice. */
import { test } from './test';
import { ownCluster, typist } from './outage';
import { kill, startServer } from './spare-server';

const kills = process.env['GRIM_LONG'] === '1' ? 1000 : 10;
const own = ownCluster('kills', 52_000);
test.beforeAll(own.make);
test.afterAll(own.remove);

test(`server and database are killed ${kills} times while questions are asked: each is there once, in order`, async ({
  page,
}) => {
  test.setTimeout(60_000 + kills * 30_000);
  let server = await startServer(own.url());
  try {
    const { ask, allRecorded } = await typist(page);
    for (let i = 0; i < kills; i += 1) {
      await ask(`question ${i}, before`);
      const database = i % 2 === 1;
      if (database) own.running().kill();
      else kill(server);
      await ask(`question ${i}, while it is dead`);
      if (database) await own.start();
      else server = await startServer(own.url());
    }
    await allRecorded(own.url());
  } finally {
    kill(server);
  }
});
