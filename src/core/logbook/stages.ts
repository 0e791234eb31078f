import { choiceNames } from '../replacement/replacement';
import { isOpen } from '../replacement/wires';
import { unsafeSources, type Limits } from '../bench/make-safe';
import { forwardPlan, probeKey } from '../equipment/power-stage';
import { countOf } from './count';
import type { JobState } from './job-state';
import { isLoose } from './families/intake/slice';
import { lookItems } from './families/inspection/vocabulary';
import { balancedOnLamps, powerLock, runsUnderLoad } from './families/power/slice';
import { missingSteps, proofOf } from './families/safety/proof';
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
  take: 'Call',
  identify: 'Nameplates',
  'as-found': 'As found',
  look: 'Inspection',
  trace: 'Fault finding',
  'make-safe': 'Make safe',
  bench: 'Bench test',
  motor: 'Motor and cable',
  decide: 'Repair or replace',
  prepare: 'Preparation',
  swap: 'Replacement',
  'first-power': 'First power-up',
  settings: 'Commissioning',
  'hand-over': 'Hand-over',
};

/** A stage as it stands in addresses: its name, not its id, which only logs know. */
export const stageAddress = (id: StageId): string => stageNames[id].toLowerCase().replaceAll(' ', '-');

/** The stage of an address, also of one from before stages were called as they are now; undefined: there is none. */
export const stageOfAddress = (address: string): StageId | undefined =>
  stageIds.find((id) => stageAddress(id) === address) ?? stageIds.find((id) => id === address);

/** How far one stage of a job is. */
export interface StageLine {
  id: StageId;
  name: string;
  /** Punched open, still to do, or shut by what came before. */
  state: 'done' | 'todo' | 'locked';
  /** What is there or what comes next, in a few words. */
  note: string;
}

/** What one stage says of itself. */
type Stage = Pick<StageLine, 'state' | 'note'>;

const stage = (done: boolean, note: string): Stage => ({ state: done ? 'done' : 'todo', note });
const locked = (note: string): Stage => ({ state: 'locked', note });

/** How far each stage is, by what the log holds. */
const stagesOf: Readonly<Record<StageId, (state: JobState, limits: Limits) => Stage>> = {
  take: ({ call }) => stage(call !== null, call === null ? 'call details missing' : 'call recorded'),
  identify: ({ drive, motor }) => {
    if (drive === null) return stage(false, 'read the nameplate');
    return stage(true, motor === null ? 'motor missing' : 'both read');
  },
  'as-found': (state) => stage(state.asFound !== null, asFoundNote(state)),
  look: lookStage,
  trace: traceStage,
  'make-safe': makeSafeStage,
  bench: benchStage,
  motor: motorStage,
  decide: (state) => stage(state.swap.decision !== null, decideNote(state)),
  prepare: (state) => stage(readyToSwap(state), prepareNote(state)),
  swap: (state) => stage(state.swap.stop.overAt !== null, swapNote(state)),
  'first-power': powerStage,
  settings: settingsStage,
  'hand-over': handOverStage,
};

/** What a loose sheet has of them: the tools that work without a job. */
const looseStages: readonly StageId[] = [
  'identify',
  'look',
  'trace',
  'make-safe',
  'bench',
  'motor',
  'settings',
];

/** How far each stage is, of those that there are. */
export const stageLines = (state: JobState, limits: Limits): StageLine[] =>
  (isLoose(state) ? looseStages : stageIds).map((id) => ({
    id,
    name: stageNames[id],
    ...stagesOf[id](state, limits),
  }));

function lookStage({ look }: JobState): Stage {
  const looked = lookItems.filter((item) => look[item] !== undefined).length;
  const found = Object.values(look).filter((f) => f.state === 'found').length;
  const done = looked === lookItems.length;
  if (looked === 0) return stage(done, 'power off, visual inspection');
  return stage(done, found > 0 ? `${found} found` : `${looked} of ${lookItems.length}`);
}

function traceStage({ causes, seen, traced }: JobState): Stage {
  const last = causes[causes.length - 1];
  if (last !== undefined) return stage(true, last.payload.name);
  if (traced.length > 0) return stage(false, `${countOf(traced.length, 'check')} made`);
  return stage(false, seen === null ? '' : seen.readAt === null ? 'display read' : 'read out');
}

function makeSafeStage({ drive, safety }: JobState, limits: Limits): Stage {
  if (drive === null) return locked('nameplate first');
  if (safety.alive !== null) return stage(false, 'AC found: not isolated');
  const proof = proofOf(safety, drive.stage, limits);
  if (proof.testAllowed) return stage(true, `${proof.highest_V} V proven`);
  if (proof.complete && proof.handsAllowed && safety.noBankTerminal)
    return stage(false, 'removal with covers on');
  if (proof.complete) return stage(false, `${proof.highest_V} V: too high`);
  if (safety.lapsed !== null) return stage(false, 'void: prove again');
  if (safety.sources === null) return stage(false, 'list the sources');
  if (unsafeSources(safety.sources.list).length > 0) return stage(false, 'a source is not isolated');
  if (safety.locked === null) return stage(false, 'lock and tag');
  if (safety.meterBefore === null) return stage(false, 'prove the meter');
  const left = missingSteps(safety, drive.stage).length;
  return stage(false, left > 0 ? `${countOf(left, 'reading')} left` : 'prove the meter after');
}

function benchStage({ drive, safety, readings }: JobState, limits: Limits): Stage {
  const proven = drive !== null && proofOf(safety, drive.stage, limits).testAllowed;
  const plan = drive === null ? [] : forwardPlan(drive.stage);
  const taken = new Set(readings.map(probeKey));
  const done = plan.filter((p) => taken.has(probeKey(p))).length;
  if (plan.length > 0 && done === plan.length) return stage(true, countOf(done, 'reading'));
  if (done > 0) return stage(false, `reading ${done} of ${plan.length}`);
  return proven ? stage(false, 'ready to measure') : locked('locked: not proven dead');
}

function motorStage({ startUp }: JobState): Stage {
  if (motorBlockers(startUp).length > 0) return stage(false, 'blocked: test failed');
  const tests = startUp.insulations.length + startUp.windings.length;
  return stage(startUp.insulations.length > 0, tests === 0 ? '' : countOf(tests, 'test'));
}

function powerStage(state: JobState): Stage {
  const lock = powerLock(state);
  const level = runsUnderLoad(state);
  const { power, signed } = state;
  const balanced = balancedOnLamps(state);
  if (power.onAt !== null) return stage(level === 'yes' || balanced === 'yes', 'SWITCHED ON');
  if (level === 'yes') return stage(true, 'runs under load');
  if (level === 'no' || balanced === 'no') return stage(false, 'failed under power');
  if (balanced === 'yes') return stage(true, 'balanced on lamps');
  if (lock !== null)
    return locked(
      signed?.payload.verdict === 'not-shorted' ? 'locked: gate drives' : 'locked: bench not passed',
    );
  return stage(false, power.wasOn ? 'switched off' : power.planned === null ? '' : 'planned');
}

function settingsStage({ startUp: { signed, chosen } }: JobState): Stage {
  if (signed !== null) return stage(true, startUpSigned(signed.payload.mayRun?.until));
  return stage(false, chosen === null ? '' : 'start-up sheet started');
}

function handOverStage({ signed, swap }: JobState): Stage {
  if (swap.signedOff !== null) return stage(true, 'handed over');
  return stage(signed !== null, signed === null ? 'sheet not signed' : 'static sheet signed');
}

const decideNote = ({ swap }: JobState): string =>
  swap.decision !== null
    ? choiceNames[swap.decision.payload.choice].toLowerCase()
    : swap.figures === null
      ? ''
      : 'values saved';

/** Every wire is known or taken on, and the stop is planned. */
const readyToSwap = ({ swap: { wires, planned } }: JobState): boolean =>
  planned !== null && wires.length > 0 && !wires.some((w) => isOpen(w) || w.later);

function prepareNote({ swap: { wires, planned } }: JobState): string {
  const open = wires.filter(isOpen).length;
  if (wires.length > 0) return `${countOf(wires.length, 'wire')}${open > 0 ? `, ${open} unknown` : ''}`;
  return planned === null ? '' : countOf(planned.tasks.length, 'task');
}

function swapNote({ swap: { stop, outAt } }: JobState): string {
  if (stop.overAt !== null) return `stopped ${Math.round((stop.overAt - (stop.begunAt ?? 0)) / 60_000)} min`;
  if (outAt !== null) return 'old unit out';
  return stop.begunAt === null ? '' : 'machine stopped';
}

const startUpSigned = (until: string | undefined): string =>
  until === undefined ? 'start-up sheet signed' : `signed, may run until ${until}`;

function asFoundNote(state: JobState): string {
  if (state.asFound === null) return 'fault and fault log';
  if ('impossible' in state.asFound) return 'not captured';
  const { active, slots } = state.asFound.captured;
  return `${active === undefined || active === '' ? 'no fault' : `fault ${active}`}, ${countOf(slots.length, 'log entry')}`;
}

/** The one stage that waits for the technician. */
export const currentStage = (lines: readonly StageLine[]): StageId =>
  // A dead drive is never traced with power on: that stage is there when it is wanted, not next.
  lines.find((l) => l.state === 'todo' && l.id !== 'trace')?.id ?? lines[lines.length - 1]?.id ?? 'hand-over';
