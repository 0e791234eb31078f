import { choiceNames } from '../replacement/replacement';
import { isOpen } from '../replacement/wires';
import { unsafeSources, type Limits } from '../bench/make-safe';
import { forwardPlan, probeKey } from '../equipment/power-stage';
import { countOf } from './count';
import { timeOf } from './entry';
import type { JobState } from './job-state';
import { lookItems } from './families/inspection/vocabulary';
import { powerLock, runsUnderLoad } from './families/power/slice';
import { missingSteps, proofOf } from './families/safety/proof';
import { isSettledByLog, openIssues } from './open-issues';
import { motorBlockers } from './families/start-up/slice';

/** The stages of a job in the order in which they usually come. */
export const stageIds = [
  'take',
  'identify',
  'as-found',
  'look',
  'trace',
  'make-safe',
  'bench',
  'motor',
  'decide',
  'prepare',
  'swap',
  'first-power',
  'settings',
  'hand-over',
] as const;
/** A stage of a job, as it stands in addresses. */
export type StageId = (typeof stageIds)[number];

/** Names of the stages on screens and papers. */
export const stageNames: Readonly<Record<StageId, string>> = {
  take: 'Take',
  identify: 'Identify',
  'as-found': 'As found',
  look: 'Look',
  trace: 'Trace',
  'make-safe': 'Make safe',
  bench: 'Bench',
  motor: 'Motor and cable',
  decide: 'Decide',
  prepare: 'Prepare',
  swap: 'Swap and wire',
  'first-power': 'First power',
  settings: 'Settings',
  'hand-over': 'Hand over',
};

/** How far one stage of a job is. */
export interface StageLine {
  id: StageId;
  name: string;
  /** Punched open, still to do, or shut by what came before. */
  state: 'done' | 'todo' | 'locked';
  /** What is there or what comes next, in a few words. */
  note: string;
}

/** How far each stage is. */
export function stageLines(state: JobState, limits: Limits): StageLine[] {
  const line = (id: StageId, done: boolean, note: string, locked = false): StageLine => ({
    id,
    name: stageNames[id],
    state: locked ? 'locked' : done ? 'done' : 'todo',
    note,
  });
  const { drive, safety } = state;
  const looked = lookItems.filter((item) => state.look[item] !== undefined).length;
  const found = Object.values(state.look).filter((f) => f.state === 'found').length;
  return [
    line('take', state.call !== null, state.call === null ? 'what was it doing?' : 'call taken'),
    line(
      'identify',
      drive !== null,
      drive === null
        ? 'read the rating label'
        : state.motor === null
          ? 'drive read, motor not yet'
          : 'plates read',
    ),
    line('as-found', state.asFound !== null, asFoundNote(state)),
    line(
      'look',
      looked === lookItems.length,
      looked === 0
        ? 'power off, look and smell'
        : found > 0
          ? `${found} found`
          : `${looked} of ${lookItems.length}`,
    ),
    traceLine(state),
    makeSafeLine(state, limits),
    benchLine(state),
    motorLine(state),
    line('decide', state.swap.decision !== null, decideNote(state)),
    line('prepare', readyToSwap(state), prepareNote(state)),
    line('swap', state.swap.stop.overAt !== null, swapNote(state)),
    powerLine(state),
    line(
      'settings',
      state.startUp.signed !== null,
      state.startUp.signed !== null
        ? startUpSigned(state.startUp.signed.payload.mayRun?.until)
        : state.startUp.chosen === null
          ? ''
          : 'start-up sheet begun',
    ),
    line(
      'hand-over',
      state.signed !== null || state.swap.signedOff !== null,
      state.swap.signedOff !== null
        ? 'handed over'
        : state.signed === null
          ? 'sheet not signed'
          : 'static sheet signed',
    ),
  ];

  function powerLine(job: JobState): StageLine {
    const lock = powerLock(job);
    const level = runsUnderLoad(job);
    const { power } = job;
    if (power.onAt !== null) return line('first-power', level === 'yes', 'SWITCHED ON');
    if (level === 'yes') return line('first-power', true, 'runs under load');
    if (level === 'no') return line('first-power', false, 'failed under power');
    if (lock !== null && job.signed?.payload.verdict !== 'not-shorted')
      return line('first-power', false, 'locked: bench not passed', true);
    if (lock !== null) return line('first-power', false, 'locked: gate drives', true);
    return line('first-power', false, power.wasOn ? 'was on' : power.planned === null ? '' : 'planned');
  }

  function motorLine({ startUp }: JobState): StageLine {
    const against = motorBlockers(startUp);
    if (against.length > 0) return line('motor', false, 'held: see what failed');
    const tests = startUp.insulations.length + startUp.windings.length;
    return line('motor', startUp.insulations.length > 0, tests === 0 ? '' : countOf(tests, 'test'));
  }

  function traceLine({ causes, seen, traced }: JobState): StageLine {
    const last = causes[causes.length - 1];
    if (last !== undefined) return line('trace', true, last.payload.name);
    if (traced.length > 0) return line('trace', false, `${countOf(traced.length, 'check')} made`);
    return line('trace', false, seen === null ? '' : seen.readAt === null ? 'looked at' : 'read out');
  }

  function makeSafeLine(job: JobState, within: Limits): StageLine {
    if (drive === null) return line('make-safe', false, 'identify first', true);
    if (job.safety.noBankTerminal) return line('make-safe', false, 'no bank terminal: covers on');
    const proof = proofOf(safety, drive.stage, within);
    if (proof.testAllowed) return line('make-safe', true, `${proof.highest_V} V proven`);
    if (proof.complete) return line('make-safe', false, `${proof.highest_V} V: too high`);
    if (safety.lapsed !== null) return line('make-safe', false, 'lapsed: prove again');
    if (safety.sources === null) return line('make-safe', false, 'list the sources');
    if (unsafeSources(safety.sources.list).length > 0)
      return line('make-safe', false, 'a source is not isolated');
    if (safety.locked === null) return line('make-safe', false, 'lock and tag');
    const left = missingSteps(safety, drive.stage).length;
    return line(
      'make-safe',
      false,
      safety.meterBefore === null
        ? 'prove the meter'
        : left > 0
          ? `${countOf(left, 'figure')} left`
          : 'prove the meter after',
    );
  }

  function benchLine(job: JobState): StageLine {
    const proven = drive !== null && proofOf(safety, drive.stage, limits).testAllowed;
    const plan = drive === null ? [] : forwardPlan(drive.stage);
    const taken = new Set(job.readings.map(probeKey));
    const done = plan.filter((p) => taken.has(probeKey(p))).length;
    const all = plan.length > 0 && done === plan.length;
    if (all) return line('bench', true, countOf(done, 'reading'));
    const note =
      done > 0
        ? `reading ${done} of ${plan.length}`
        : proven
          ? 'ready to measure'
          : 'locked: not proven dead';
    return line('bench', false, note, !proven && done === 0);
  }
}

const decideNote = ({ swap }: JobState): string =>
  swap.decision !== null
    ? choiceNames[swap.decision.payload.choice].toLowerCase()
    : swap.figures === null
      ? ''
      : 'figures kept';

/** Every wire is known or taken on, and the stop is planned. */
const readyToSwap = ({ swap: { wires, planned } }: JobState): boolean =>
  planned !== null && wires.length > 0 && !wires.some((w) => isOpen(w) || w.later);

function prepareNote({ swap: { wires, planned } }: JobState): string {
  const open = wires.filter(isOpen).length;
  if (wires.length > 0) return `${countOf(wires.length, 'wire')}${open > 0 ? `, ${open} unknown` : ''}`;
  return planned === null ? '' : countOf(planned.tasks.length, 'task');
}

function swapNote({ swap: { stop, outAt } }: JobState): string {
  if (stop.overAt !== null) return `stood ${Math.round((stop.overAt - (stop.begunAt ?? 0)) / 60_000)} min`;
  if (outAt !== null) return 'old unit out';
  return stop.begunAt === null ? '' : 'the machine stands';
}

const startUpSigned = (until: string | undefined): string =>
  until === undefined ? 'start-up sheet signed' : `signed, may run until ${until}`;

function asFoundNote(state: JobState): string {
  if (state.asFound === null) return 'alarm and fault slots';
  if ('impossible' in state.asFound) return 'not captured';
  const { active, slots } = state.asFound.captured;
  return `${active === undefined || active === '' ? 'no alarm' : `alarm ${active}`}, ${countOf(slots.length, 'slot')}`;
}

/** The one stage that waits for the technician. */
export const currentStage = (lines: readonly StageLine[]): StageId =>
  // A dead drive is never traced with power on: that stage is there when it is wanted, not next.
  lines.find((l) => l.state === 'todo' && l.id !== 'trace')?.id ?? 'hand-over';

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

/** What was signed last. */
function conclusionOf({ signed, startUp }: JobState): JobSummary['conclusion'] {
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
    conclusion: conclusionOf(state),
    lastAt: last?.entry.receivedAt ?? last?.entry.at ?? null,
  };
}
