import type { Limits } from '../bench/make-safe';
import { timeOf } from './entry';
import type { JobState } from './job-state';
import { isLoose } from './families/intake/slice';
import { isSettledByLog, openIssues } from './open-issues';
import { currentStage, stageLines, type StageId } from './stages';

/** What the board shows of a job; the one derived state that is stored, in the entry's transaction. */
export interface JobSummary {
  site: string;
  machine: string;
  complaint: string;
  drive: string | null;
  serial: string | null;
  stage: StageId;
  next: string;
  stoppedAt: string | null;
  downtimeAllowed_min: number | null;
  downstream: string | null;
  stayDead: boolean;
  openQuestions: number;
  /** It runs with something open, until a day; not there: it does not. */
  mayRun?: { until: string; open: number } | undefined;
  /** No set of the drive's own type is kept in the job; not there: one is, or nothing is known of the type. */
  noBackup?: true | undefined;
  /** It is no job. */
  loose?: true | undefined;
  conclusion: { verdict: string; headline: string } | null;
  lastAt: string | null;
}

/** What a machine runs with, of what was named at the signature and is not settled since. */
function mayRunOf(state: JobState): Pick<JobSummary, 'mayRun'> {
  const mayRun = state.startUp.signed?.payload.mayRun;
  if (mayRun === undefined) return {};
  const now = new Set(openIssues(state).map((m) => m.id));
  const open = mayRun.open.filter((o) => !isSettledByLog(o.id) || now.has(o.id)).length;
  return open === 0 ? {} : { mayRun: { until: mayRun.until, open } };
}

/** Is there a set to go back to? Of a drive that no catalogue knows none can be kept. */
const hasBackup = ({ drive, sets }: JobState): boolean =>
  drive === null || drive.typeId === null || sets.some((s) => s.typeId === drive.typeId);

/** What was signed last; a machine that was handed over is out of the open list, whatever else was signed. */
function conclusionOf({ moved, signed, startUp, swap }: JobState): JobSummary['conclusion'] {
  if (moved !== null)
    return { verdict: 'attached', headline: `Attached to the job of ${moved.payload.machine}` };
  if (swap.signedOff !== null)
    return { verdict: 'handed-over', headline: `Handed over to ${swap.signedOff.payload.second}` };
  if (startUp.signed !== null && (signed === null || timeOf(startUp.signed) > timeOf(signed)))
    return { verdict: 'started', headline: 'Start-up sheet signed' };
  return signed === null ? null : { verdict: signed.payload.verdict, headline: signed.payload.headline };
}

/**
 * The board's line of a job; null before the job was opened.
 * @param stayDead mains must not come back just to read the display
 */
export function summarise(state: JobState, limits: Limits, stayDead: boolean): JobSummary | null {
  if (state.opened === null) return null;
  const lines = stageLines(state, limits);
  const stage = currentStage(lines);
  const opened = state.opened.payload;
  const last = state.log[state.log.length - 1];
  return {
    site: opened.site,
    machine: opened.machine,
    complaint: opened.complaint,
    drive: state.drive === null ? null : `${state.drive.maker} ${state.drive.type}`,
    serial: state.drive?.serial ?? null,
    stage,
    next: lines.find((l) => l.id === stage)?.note ?? '',
    stoppedAt: opened.stoppedAt,
    downtimeAllowed_min: opened.downtimeAllowed_min,
    downstream: opened.downstream ?? null,
    stayDead,
    openQuestions: state.questions.filter((q) => q.answer === null).length,
    ...mayRunOf(state),
    ...(hasBackup(state) ? {} : { noBackup: true }),
    ...(isLoose(state) ? { loose: true } : {}),
    conclusion: conclusionOf(state),
    lastAt: last?.entry.receivedAt ?? last?.entry.at ?? null,
  };
}
