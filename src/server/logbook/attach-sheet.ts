import type { Transaction } from 'sequelize';
import { v7 } from 'uuid';
import { againstAttaching, carriedOver, type CarriedEntry } from '../../core/job/attach';
import { makeNewEntry, newestVersion, type JobState, type NewEntry, type Person } from '../../core/logbook';
import { db } from '../database/connection';
import { HttpError } from '../http/guard';
import { appendWithin, type GroupAppended, type Post } from './append-group';
import { remember } from './folded';

/** Appends within the transaction, or undoes all of it. With no entries it locks the job and tells its state. */
async function mustAppend(transaction: Transaction, jobId: string, posts: Post[]): Promise<GroupAppended> {
  const appended = await appendWithin(transaction, jobId, posts);
  if (appended === null) throw new HttpError(404, 'No such job.');
  const refused = appended.answers.flatMap((answer) => answer.refused);
  if (refused[0] !== undefined) throw new HttpError(409, refused[0].why);
  return appended;
}

/** What was moved, as it was made: its maker, and when the server had it first. */
function movedPost(carried: readonly CarriedEntry[], by: Person): Post {
  const originals = new Map(carried.map(({ entry, of }) => [entry.id, of]));
  return {
    entries: carried.map(({ entry }) => entry),
    by: (entry) => originals.get(entry.id)?.by ?? by,
    firstReceivedAt: (entry) => {
      const { firstReceivedAt, receivedAt, at } = originals.get(entry.id) ?? entryTimes(entry);
      return new Date(firstReceivedAt ?? receivedAt ?? at);
    },
  };
}
const entryTimes = ({ at }: NewEntry) => ({ at, receivedAt: at, firstReceivedAt: at });

/** Who is on a job, as far as its log tells. */
const machineOf = ({ opened }: JobState): string => opened?.payload.machine ?? '';

/**
 * Moves the entries of a loose sheet to a job, in one transaction: they keep their makers and times, and the dead proof lapses.
 * The sheet stays as it is and takes nothing more. Asked twice for the same job it is done once.
 * @throws HttpError 404 without such a sheet or job, 409 with what stands against it
 */
export async function attachSheet(sheetId: string, jobId: string, by: Person): Promise<{ jobId: string }> {
  if (sheetId === jobId) throw new HttpError(409, 'Choose a job to attach it to.');
  const done = await db().sequelize.transaction(async (transaction) => {
    // Sheets are locked before jobs: no two of these wait for each other.
    const sheet = (await mustAppend(transaction, sheetId, [])).state;
    if (sheet.moved?.payload.toJobId === jobId) return null;
    const job = (await mustAppend(transaction, jobId, [])).state;
    const against = againstAttaching(sheet, job);
    if (against !== null) throw new HttpError(409, against);
    const carried = carriedOver(sheet, { id: jobId, state: job }, v7);
    const at = new Date().toISOString();
    const envelope = (log: string) => ({ v: newestVersion, id: v7(), jobId: log, at });
    const attached = makeNewEntry(envelope(jobId), 'loose.attached', {
      ...{ fromJobId: sheetId, unit: machineOf(sheet), entries: carried.length },
    });
    const moved = makeNewEntry(envelope(sheetId), 'loose.moved', { toJobId: jobId, machine: machineOf(job) });
    const own = (entry: NewEntry): Post => ({ entries: [entry], by: () => by });
    return {
      job: await mustAppend(transaction, jobId, [movedPost(carried, by), own(attached)]),
      sheet: await mustAppend(transaction, sheetId, [own(moved)]),
    };
  });
  // Only now is it committed.
  if (done !== null) {
    remember(jobId, done.job.state);
    remember(sheetId, done.sheet.state);
  }
  return { jobId };
}
