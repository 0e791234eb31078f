import { ConnectionError } from 'sequelize';
import type { Entry, NewEntry, Person } from '../../core/logbook';
import { db } from '../database/connection';
import { appendGroup, type Appended, type AppendOptions, type Post } from './append-group';
import { atMost } from './at-most';
import { keepDailyHead } from './daily-heads';
import { remember } from './folded';

/** A post that waits for its turn at a job. */
interface Waiting {
  post: Post;
  done: (appended: Appended | null) => void;
  failed: (error: unknown) => void;
}

/** So many posts of a job are written together. */
const mostTogether = 20;

// One for each process, as the pool of connections is: the door, pages and routes have this module each.
const slot = globalThis as typeof globalThis & {
  grimAppends?: { queues: Map<string, Waiting[]>; oneOfFew: ReturnType<typeof atMost> };
};
/** What verifies or refuses an entry asks the database beside the transaction: some connections of the pool must stay free for it. */
const { queues, oneOfFew } = (slot.grimAppends ??= {
  queues: new Map<string, Waiting[]>(),
  oneOfFew: atMost(5),
});

/** Writes some posts in one transaction; where it fails, each on its own, so that none fails for another. */
async function write(jobId: string, group: readonly Waiting[]): Promise<void> {
  try {
    const posts = group.map(({ post }) => post);
    const appended = await oneOfFew(() => appendGroup(jobId, posts));
    // Only now is it committed.
    if (appended !== null) {
      remember(jobId, appended.state);
      keepDailyHead(appended.now);
    }
    group.forEach(({ done }, i) => done(appended?.answers[i] ?? null));
  } catch (error) {
    // Without a database each of them would wait for it in vain.
    if (group.length === 1 || error instanceof ConnectionError) group.forEach(({ failed }) => failed(error));
    else for (const one of group) await write(jobId, [one]);
  }
}

/** Sees to the posts of a job, one group after the other, until none waits. */
async function serve(jobId: string, queue: Waiting[]): Promise<void> {
  while (queue.length > 0) {
    // What is done in the same transaction as a post is done with it alone.
    const alone = queue.findIndex(({ post }) => post.also !== undefined);
    const together = alone === 0 ? 1 : alone < 0 ? queue.length : alone;
    await write(jobId, queue.splice(0, Math.min(together, mostTogether)));
  }
  queues.delete(jobId);
}

/**
 * Appends entries to a job. Entries that are there already with the same content are left as they are; one whose id was used
 * otherwise is refused, and the rest is kept. Posts that come while another is being written are written together:
 * twenty tablets on a job do not wait for twenty transactions.
 * @returns null when there is no such job
 */
export function appendEntries(
  jobId: string,
  entries: readonly NewEntry[],
  by: Person | ((entry: NewEntry) => Person),
  options: AppendOptions = {},
): Promise<Appended | null> {
  const post = { ...options, entries, by: typeof by === 'function' ? by : () => by };
  return new Promise((done, failed) => {
    const waiting = { post, done, failed };
    const queue = queues.get(jobId);
    if (queue !== undefined) {
      queue.push(waiting);
      return;
    }
    const begun = [waiting];
    queues.set(jobId, begun);
    void serve(jobId, begun);
  });
}

/** The same where every entry must be kept: ids that are made here are used once. @throws Error */
export async function appendAll(
  jobId: string,
  entries: readonly NewEntry[],
  by: Person,
  options?: AppendOptions,
): Promise<Entry[] | null> {
  const appended = await appendEntries(jobId, entries, by, options);
  if (appended === null) return null;
  if (appended.refused.length > 0) throw new Error('an entry of the server itself was refused');
  return appended.kept;
}

/** Opens a job with its first entry; opening it twice is harmless. */
export async function openJob(
  opened: Extract<NewEntry, { kind: 'job.opened' }>,
  by: Person,
  clock?: (entry: NewEntry) => Date,
): Promise<Appended> {
  const { sequelize, models } = db();
  await sequelize.transaction(async (transaction) => {
    const { assetId, site, machine } = opened.payload;
    await models.Asset.findOrCreate({
      where: { id: assetId },
      defaults: { id: assetId, site, name: machine },
      transaction,
    });
    await models.Job.findOrCreate({
      where: { id: opened.jobId },
      defaults: { id: opened.jobId, assetId },
      transaction,
    });
  });
  const appended = await appendEntries(opened.jobId, [opened], by, { clock });
  if (appended === null) throw new Error('a job that was just made is not there');
  return appended;
}
