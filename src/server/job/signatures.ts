import { againstHandOver, handOverItems } from '../../core/job/hand-over';
import type { JobState, NewEntry, OpenIssue, Verified } from '../../core/logbook';
import { swapOfState } from '../documents/replacement';
import { releaseOfState } from '../documents/start-up-sheet';
import { diagnosed } from '../documents/static-sheet';

/** What stands against a start-up sheet, with what the type of the drive tells. */
async function startUpIssues(state: JobState): Promise<readonly OpenIssue[]> {
  const release = await releaseOfState(state);
  return (
    release?.issues ?? [
      {
        id: 'sheet',
        text: 'No start-up sheet: nameplates, a catalogue type and the load are required first.',
        mayWait: false,
      },
    ]
  );
}

async function handOverIssues(state: JobState): Promise<readonly OpenIssue[]> {
  const [swap, release] = await Promise.all([swapOfState(state), releaseOfState(state)]);
  const { never, byName } = againstHandOver(handOverItems(state, swap, release));
  return [...never, ...byName].map(({ id, title, text, mayWait }) => ({
    id,
    text: `${title}: ${text}`,
    mayWait,
  }));
}

/** Computes from the log what a signature is recorded with: verdict of the readings, or what stands against it. */
export async function verifySignature({ kind }: NewEntry, before: JobState): Promise<Verified> {
  switch (kind) {
    case 'sheet.signed':
      return { verdict: (await diagnosed(before)).verdict };
    case 'startup.signed':
      return { openIssues: await startUpIssues(before) };
    case 'job.signed-off':
      return { openIssues: await handOverIssues(before) };
    default:
      throw new Error(`${kind} is no signature`);
  }
}
