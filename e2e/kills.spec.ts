/** Power cuts while somebody types: nothing that was shown as recorded is missing, and nothing is there twice. */
import { newJob } from './demo';
import { test } from './test';
import { ownCluster, typist } from './outage';
import { kill, spare, startServer } from './spare-server';

const rounds = process.env['GRIM_LONG'] === '1' ? 25 : 1;
/** A job gets so many: a page of a thousand open questions is slow to type on. */
const killsOfJob = process.env['GRIM_LONG'] === '1' ? 40 : 10;
const own = ownCluster('kills', 52_000);
test.beforeAll(own.make);
test.afterAll(own.remove);

test(`server and database are killed ${rounds * killsOfJob} times while questions are asked: each is there once, in order`, async ({
  page,
  request,
}) => {
  test.setTimeout(60_000 + rounds * killsOfJob * 30_000);
  let server = await startServer(own.url());
  try {
    for (let round = 0; round < rounds; round += 1) {
      const { ask, allRecorded } = await typist(page, await newJob(request, `Winch ${round}`, spare));
      for (let i = 0; i < killsOfJob; i += 1) {
        await ask(`question ${i}, before`);
        const database = i % 2 === 1;
        if (database) own.running().kill();
        else kill(server);
        await ask(`question ${i}, while it is dead`);
        if (database) await own.start();
        else server = await startServer(own.url());
      }
      await allRecorded(own.url());
      if (rounds > 1)
        process.stdout.write(`kills: ${(round + 1) * killsOfJob}, nothing missing or doubled\n`);
    }
  } finally {
    kill(server);
  }
});
