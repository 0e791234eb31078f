/** A database cluster of a test's own, to be cut off, and somebody who types meanwhile. */
import { ensureDatabase, removeCluster, startCluster, type Cluster } from '../launcher/cluster';
import { prepareDatabase } from '../launcher/database';
import type { Page } from '@playwright/test';
import { expect } from './test';
import { visit, winch } from './demo';
import { own } from './here';
import { spare } from './spare-server';

/** A cluster that writes as the one of the shop does: a power cut must not find the data in some cache. */
export function ownCluster(kind: string, port: number, { walSegment_MB = 16 } = {}) {
  const name = `${kind}-${own.sparePort}`;
  let cluster: Cluster | undefined;
  const running = (): Cluster => {
    if (cluster === undefined) throw new Error('the test’s own cluster does not run');
    return cluster;
  };
  const start = async (): Promise<void> => {
    cluster = await startCluster(name, { port: own.sparePort + port, walSegment_MB });
  };
  return {
    running,
    start,
    url: () => running().appUrl('grim'),
    make: async (): Promise<void> => {
      removeCluster(name);
      await start();
      ensureDatabase(running(), 'grim');
      await prepareDatabase(running().ownerUrl('grim'), { demo: true });
    },
    remove: (): void => {
      cluster?.stop();
      removeCluster(name);
    },
  };
}

/** Somebody who asks questions on the spare server's page of a job, and what the server has of them. */
export async function typist(page: Page, jobId = winch) {
  const field = page.getByLabel('Note a question for later');
  const asked: string[] = [];
  const recorded = async (): Promise<string[]> => {
    const texts: string[] = [];
    for (let after = 0; ;) {
      const answer = await fetch(`${spare}/api/v1/jobs/${jobId}/entries?after=${after}`);
      const { entries, more } = (await answer.json()) as {
        entries: { seq: number; kind: string; payload: { text?: string } }[];
        more: boolean;
      };
      texts.push(...entries.flatMap((e) => (e.kind === 'question.opened' ? [e.payload.text ?? ''] : [])));
      after = entries.at(-1)?.seq ?? after;
      if (!more) return texts;
    }
  };
  await visit(page, `${spare}/jobs/${jobId}/repair-or-replace`);
  const before = (await recorded()).length;
  return {
    ask: async (text: string): Promise<void> => {
      await field.fill(text);
      await field.press('Enter');
      await expect(field).toHaveValue('');
      asked.push(text);
    },
    /** A page that was never reloaded sends all of it by itself: each is there once, in order. */
    allRecorded: async (databaseUrl: string): Promise<void> => {
      await expect.poll(async () => (await recorded()).slice(before), { timeout: 90_000 }).toEqual(asked);
      await expect(page.getByText('(not saved yet, sending)')).toHaveCount(0);
      await expect(page.getByText('Server not reachable')).toBeHidden();
      const { checkChains, close } = await import('../src/server/database/maintenance');
      process.env['DATABASE_URL'] = databaseUrl;
      expect((await checkChains()).broken).toEqual([]);
      await close();
    },
  };
}
