import { neverJumpered } from './families/registers/vocabulary';
import { openJumpers, openTrials, type Registers } from './families/registers/slice';
import { motorBlockers, type StartUpState } from './families/start-up/slice';
import { testOnly } from './families/start-up/vocabulary';
import type { OpenIssue } from './open-issue';

/** A direction that was found wrong and not yet seen right: never signed for, whoever takes it on. */
function wrongDirection({ run }: StartUpState): OpenIssue[] {
  const last = run.findLast((r) => r.payload.step === 'direction');
  return last?.payload.outcome === 'not-ok'
    ? [{ id: 'direction', text: 'Direction of rotation is wrong.', mayWait: false }]
    : [];
}

/** What stands against a start-up by the logbook alone; what the type of the drive tells, comes on top. */
export function openIssues({
  registers,
  questions,
  startUp,
}: {
  registers: Registers;
  questions: readonly { id: string; text: string; answer: string | null }[];
  startUp: StartUpState;
}): OpenIssue[] {
  return [
    ...motorBlockers(startUp).map((blocker): OpenIssue => ({ ...blocker, mayWait: false })),
    ...wrongDirection(startUp),
    ...openJumpers(registers).map((j): OpenIssue => {
      const safety = neverJumpered.includes(j.guards);
      return {
        id: `jumper:${j.id}`,
        text: `A temporary jumper is fitted: ${j.where}, for ${j.reason}, remove by ${j.removeBy}.${safety ? ' It bypasses a safety function.' : ''}`,
        mayWait: !safety,
      };
    }),
    ...openTrials(registers).map((w): OpenIssue => ({
      id: `trial:${w.id}`,
      text: `A trial value is in the drive: ${w.number} ${w.name} ${w.shownTo}, was ${w.shownFrom}.`,
      mayWait: true,
    })),
    ...Object.entries(startUp.typed)
      .filter(([, { reason }]) => reason === testOnly)
      .map(([number]): OpenIssue => ({
        id: `test:${number}`,
        text: `A test-only value: ${number}.`,
        mayWait: true,
      })),
    ...questions
      .filter((q) => q.answer === null)
      .map((q): OpenIssue => ({
        id: `question:${q.id}`,
        text: `An open question: ${q.text}`,
        mayWait: true,
      })),
  ];
}

const settledByLog = ['jumper', 'trial', 'question', 'test', 'direction'];

/** Does the logbook alone tell when an issue of this id is settled? The others are looked at again with the drive's type. */
export const isSettledByLog = (id: string): boolean => settledByLog.includes(id.split(':')[0] ?? '');
