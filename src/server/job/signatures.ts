import { ratingOf } from '../../core/equipment/catalogue';
import { againstHandOver, handOverItems } from '../../core/job/hand-over';
import { releaseOf } from '../../core/job/release';
import type { JobState, NewEntry, OpenIssue, Verified } from '../../core/logbook';
import { swapOfState } from '../documents/replacement';
import { diagnosed } from '../documents/static-sheet';
import { catalogue, controlOf } from '../equipment/catalogue';

/** What stands against a start-up sheet, with what the type of the drive tells. */
async function startUpIssues(state: JobState): Promise<readonly OpenIssue[]> {
  const { drive } = state;
  const control = drive === null || drive.typeId === null ? null : await controlOf(drive.typeId);
  const release =
    drive === null || control === null ? null : releaseOf(state, control, ratingOf(drive, await catalogue()));
  return (
    release?.matters ?? [
      {
        id: 'sheet',
        text: 'There is no sheet: plates, a known type and the load are needed first.',
        mayWait: false,
      },
    ]
  );
}

async function handOverIssues(state: JobState): Promise<readonly OpenIssue[]> {
  const { never, byName } = againstHandOver(handOverItems(state, await swapOfState(state)));
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
