import {
  absence_s,
  againAfter_s,
  againId,
  proofSteps,
  stepKey,
  unsafeSources,
  type Limits,
  type ProofStep,
  type EnergySource,
} from '../bench/make-safe';
import type { Stage } from '../equipment/power-stage';
import { timeOf, type Entry, type Person } from './entry';

export interface ProofReading {
  volts: number;
  at: number;
  entryId: string;
}

/** One run of the dead proof, by one person. */
export interface SafetyState {
  by: Person | null;
  /** Last thing the person at the drive entered, ms. */
  lastAt: number;
  sources: { list: readonly EnergySource[]; at: number } | null;
  locked: { isolatedAt: number; tag: string; at: number } | null;
  meterBefore: ProofReading | null;
  figures: Readonly<Record<string, ProofReading>>;
  meterAfter: ProofReading | null;
  noBankTerminal: boolean;
  /** Why an earlier proof no longer holds. */
  lapsed: { why: 'absence' | 'other-person' | 'source-back'; at: number; detail: string } | null;
}

export const freshSafety: SafetyState = {
  by: null,
  lastAt: 0,
  sources: null,
  locked: null,
  meterBefore: null,
  figures: {},
  meterAfter: null,
  noBankTerminal: false,
  lapsed: null,
};

/** A meter that shows less than this on a known source is not proven, V. */
const leastProving_V = 5;

type Step = { state: SafetyState } | { void: string };

const restart = (
  state: SafetyState,
  lapsed: SafetyState['lapsed'],
  keep: Partial<SafetyState> = {},
): SafetyState => ({
  ...freshSafety,
  ...keep,
  lapsed: state.meterBefore === null && Object.keys(state.figures).length === 0 ? state.lapsed : lapsed,
});

/** What a change of person or a long absence does before the next entry counts. */
export function settle(state: SafetyState, by: Person, at: number): SafetyState {
  if (state.by !== null && state.by.id !== by.id)
    return restart(state, { why: 'other-person', at, detail: `${by.name} took over from ${state.by.name}` });
  if (state.by !== null && at - state.lastAt > absence_s * 1000)
    return restart(
      state,
      { why: 'absence', at: state.lastAt + absence_s * 1000, detail: 'half an hour without an entry' },
      { by: state.by, sources: state.sources, locked: state.locked, lastAt: state.lastAt },
    );
  return state;
}

/** Power was put on: every figure of the proof is of before. */
export const poweredUp = (state: SafetyState, at: number): SafetyState =>
  restart(state, { why: 'source-back', at, detail: 'it was switched on' });

const safetyKinds = [
  'safety.sources',
  'safety.locked',
  'safety.meter',
  'safety.figure',
  'safety.source-back',
  'safety.no-bank-terminal',
  'safety.discharged',
] as const;
export type SafetyEntry = Extract<Entry, { kind: (typeof safetyKinds)[number] }>;
export const isSafety = (entry: Entry): entry is SafetyEntry =>
  (safetyKinds as readonly string[]).includes(entry.kind);

/** Applies one safety entry, or says why it does not count. Nothing here can be overridden. */
export function applySafety(
  before: SafetyState,
  entry: SafetyEntry,
  drive: { stage: Stage; labelWait_min: number } | null,
): Step {
  const at = timeOf(entry);
  if (entry.kind === 'safety.source-back')
    return {
      state: restart(before, { why: 'source-back', at, detail: 'a source was recorded as back' }),
    };
  if (entry.by.role === 'apprentice')
    return { void: 'Safety steps are for technicians: ask one to do this.' };
  if (drive === null) return { void: 'Identify the drive first: the points to prove depend on it.' };
  const settled = settle(before, entry.by, at);
  const state: SafetyState = { ...settled, by: entry.by, lastAt: at };
  const figure = (volts: number): ProofReading => ({ volts, at, entryId: entry.id });
  switch (entry.kind) {
    case 'safety.sources':
      return {
        state: {
          ...restart(state, state.lapsed),
          by: entry.by,
          lastAt: at,
          sources: { list: entry.payload.sources, at },
        },
      };
    case 'safety.locked':
      if (state.sources === null || unsafeSources(state.sources.list).length > 0)
        return { void: 'Every source must be isolated or absent first.' };
      return {
        state: {
          ...state,
          locked: {
            isolatedAt: Math.min(Date.parse(entry.payload.isolatedAt), at),
            tag: entry.payload.tag,
            at,
          },
        },
      };
    case 'safety.no-bank-terminal':
      return { state: { ...state, noBankTerminal: true, meterAfter: null } };
    case 'safety.discharged':
      // The bank was pulled down by hand: what was measured before says nothing any more.
      return { state: { ...state, figures: {}, meterAfter: null } };
    case 'safety.meter':
      return applyMeter(state, entry.payload, figure(entry.payload.volts), drive);
    case 'safety.figure':
      return applyFigure(
        state,
        entry.payload.point,
        stepKey(entry.payload.point, entry.payload.quantity),
        figure(entry.payload.volts),
        drive.stage,
      );
  }
}

/** When the wait of the rating label is over, ms; null before isolation. */
export const waitOver = (state: SafetyState, labelWait_min: number): number | null =>
  state.locked === null ? null : state.locked.isolatedAt + labelWait_min * 60_000;

function applyMeter(
  state: SafetyState,
  payload: { when: 'before' | 'after'; volts: number },
  figure: ProofReading,
  drive: { stage: Stage; labelWait_min: number },
): Step {
  const over = waitOver(state, drive.labelWait_min);
  if (over === null) return { void: 'Lock and tag first.' };
  if (figure.at < over)
    return { void: `The rating label asks for ${drive.labelWait_min} minutes after isolation.` };
  if (payload.volts < leastProving_V)
    return {
      void: 'The meter shows nothing on the known source: it is not proven. Check battery, leads, range.',
    };
  if (payload.when === 'before')
    return { state: { ...state, meterBefore: figure, figures: {}, meterAfter: null } };
  const left = missingSteps(state, drive.stage);
  if (left.length > 0)
    return { void: `${left.length} figures are still to be taken before the meter is proven after.` };
  return { state: { ...state, meterAfter: figure } };
}

function applyFigure(
  state: SafetyState,
  point: string,
  key: string,
  figure: ProofReading,
  stage: Stage,
): Step {
  if (!proofSteps(stage).some((s) => s.key === key))
    return { void: 'This drive has no such pair of points.' };
  if (state.meterBefore === null) return { void: 'Prove the meter on a known source first.' };
  if (point === againId) {
    const bank = state.figures[stepKey('bank', 'dc')];
    if (bank === undefined) return { void: 'Measure the bank first.' };
    if (figure.at - bank.at < againAfter_s * 1000)
      return { void: 'Too early: a bank recovers within a minute. Wait, then measure again.' };
  }
  return { state: { ...state, figures: { ...state.figures, [key]: figure }, meterAfter: null } };
}

/** Figures that are still to be taken. */
export const missingSteps = (state: SafetyState, stage: Stage): ProofStep[] =>
  proofSteps(stage).filter((s) => state.figures[s.key] === undefined);

/** What the figures say, as long as they hold. */
export interface Proof {
  complete: boolean;
  /** Largest of all figures, V. */
  highest_V: number;
  highestAt: string | null;
  /** The bank: the larger of its two figures, V. */
  bank_V: number | null;
  handsAllowed: boolean;
  testAllowed: boolean;
  by: Person | null;
  provenAt: number | null;
}

/** The proof as it stands, without the question whether it has lapsed since. */
export function proofOf(state: SafetyState, stage: Stage, limits: Limits): Proof {
  const entries = Object.entries(state.figures);
  const [highestAt, highest] = entries.reduce<[string | null, number]>(
    (most, [key, f]) => (Math.abs(f.volts) > most[1] ? [key, Math.abs(f.volts)] : most),
    [null, 0],
  );
  const bankFigures = [stepKey('bank', 'dc'), stepKey(againId, 'dc')].flatMap((key) => {
    const figure = state.figures[key];
    return figure === undefined ? [] : [Math.abs(figure.volts)];
  });
  const complete =
    state.meterBefore !== null &&
    state.meterAfter !== null &&
    !state.noBankTerminal &&
    missingSteps(state, stage).length === 0;
  return {
    complete,
    highest_V: highest,
    highestAt,
    bank_V: bankFigures.length === 0 ? null : Math.max(...bankFigures),
    handsAllowed: complete && highest <= limits.hands_V,
    testAllowed: complete && highest <= limits.test_V,
    by: state.by,
    provenAt: state.meterAfter?.at ?? null,
  };
}

/** Until when the proof holds if nothing more is entered, ms. */
export const holdsUntil = (state: SafetyState): number => state.lastAt + absence_s * 1000;

export type BenchLock =
  | { open: true; until: number }
  | {
      open: false;
      why: 'not-identified' | 'not-proven' | 'above-limit' | 'lapsed' | 'other-person' | 'no-bank-terminal';
      text: string;
    };

/** Why the proof does not hold for this person now, whatever it found; null: it holds. */
function notHeld(
  state: SafetyState,
  drive: { stage: Stage } | null,
  proof: Proof | null,
  { person, now, covered }: { person: Person; now: number; covered: string },
): Extract<BenchLock, { open: false }> | null {
  const shut = (why: Extract<BenchLock, { open: false }>['why'], text: string) => ({
    open: false as const,
    why,
    text,
  });
  if (drive === null || proof === null) return shut('not-identified', 'Identify the drive first.');
  if (state.noBankTerminal)
    return shut('no-bank-terminal', `No bank terminal within reach: treat as charged. ${covered}`);
  if (!proof.complete)
    return state.lapsed === null
      ? shut('not-proven', 'The drive is not proven dead yet.')
      : shut('lapsed', `Proof lapsed: ${state.lapsed.detail}. Prove dead again.`);
  if (proof.by !== null && proof.by.id !== person.id)
    return shut('other-person', `Proven dead by ${proof.by.name}. Whoever takes over proves it again.`);
  return now > holdsUntil(state)
    ? shut('lapsed', 'Proof lapsed: half an hour without an entry. Prove dead again.')
    : null;
}

/** May a diode-test lead touch the drive now, by this person? The one gate of the bench. */
export function benchLock(
  state: SafetyState,
  drive: { stage: Stage } | null,
  limits: Limits,
  person: Person,
  now: number,
): BenchLock {
  const proof = drive === null ? null : proofOf(state, drive.stage, limits);
  const held = notHeld(state, drive, proof, {
    person,
    now,
    covered: 'Only removal with covers on, after the label’s wait. No bench test.',
  });
  if (proof !== null && proof.complete && !state.noBankTerminal && !proof.testAllowed)
    return {
      open: false,
      why: 'above-limit',
      text: `${proof.highest_V} V measured; a diode test needs ${limits.test_V} V or less everywhere. Nobody can override this: discharge, wait, measure again.`,
    };
  return held ?? { open: true, until: holdsUntil(state) };
}

/** May a hand go in now, by this person? The gate of everything that is done in the isolation. */
export function handsLock(
  state: SafetyState,
  drive: { stage: Stage } | null,
  limits: Limits,
  person: Person,
  now: number,
): BenchLock {
  // With covers on after the label's wait a unit may come out although its bank cannot be reached.
  if (drive !== null && state.noBankTerminal && state.locked !== null)
    return { open: true, until: holdsUntil(state) };
  const proof = drive === null ? null : proofOf(state, drive.stage, limits);
  const held = notHeld(state, drive, proof, {
    person,
    now,
    covered: 'Isolate, lock and wait the label’s time first.',
  });
  if (proof !== null && proof.complete && !proof.handsAllowed)
    return {
      open: false,
      why: 'above-limit',
      text: `${proof.highest_V} V measured; hands need ${limits.hands_V} V or less everywhere. Discharge, wait, measure again.`,
    };
  return held ?? { open: true, until: holdsUntil(state) };
}
