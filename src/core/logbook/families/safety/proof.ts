import {
  absence_s,
  againId,
  isFormerStep,
  proofSteps,
  stepKey,
  unknownWait_min,
  type EnergySource,
  type Limits,
  type ProofPlace,
  type ProofStep,
} from '../../../bench/make-safe';
import type { Stage } from '../../../equipment/power-stage';
import { onceFor } from '../../../numerics/memo';
import type { Person } from '../../entry';

/** A reading of the dead proof, V, with its time, ms. */
export interface ProofReading {
  volts: number;
  at: number;
  entryId: string;
  /** Recorded together with others: it is less than `volts`. */
  below?: true;
}

/** What the meter showed on known sources, V, with its time, ms. */
export interface MeterReading {
  dc_V: number;
  /** Null: the proof uses DC only. */
  ac_V: number | null;
  /** The known sources, in words; null where earlier versions did not keep them apart. */
  source: { dc: string; ac: string | null } | null;
  at: number;
  entryId: string;
}

/** One run of the dead proof, by one person. */
export interface SafetyState {
  by: Person | null;
  /** Last thing the person at the drive entered, ms. */
  lastAt: number;
  sources: { list: readonly EnergySource[]; at: number } | null;
  /** Where the unit is: with its leads off there is less to prove. */
  place: ProofPlace;
  locked: { isolatedAt: number; tag: string; at: number } | null;
  meterBefore: MeterReading | null;
  /** It was begun by an earlier version, and is judged by its rules: fewer points, one range of the meter. */
  former: boolean;
  figures: Readonly<Record<string, ProofReading>>;
  meterAfter: MeterReading | null;
  /** No lead reaches the bank: the unit comes out with its covers on, and is not tested. */
  noBankTerminal: boolean;
  /** Since when a resistor bridges the capacitor bank, ms: it falsifies every diode reading. Null: none does. */
  bridgedAt: number | null;
  /** AC was found at a point of the proof: a source is not isolated. It stays until the sources are gone through again. */
  alive: { at: string; volts: number } | null;
  /** Why an earlier proof no longer holds. */
  lapsed: { why: 'absence' | 'other-person' | 'source-back' | 'attached'; at: number; detail: string } | null;
}

/** Before anything was isolated. */
export const freshSafety: SafetyState = {
  by: null,
  lastAt: 0,
  sources: null,
  place: 'installed',
  locked: null,
  meterBefore: null,
  former: false,
  figures: {},
  meterAfter: null,
  noBankTerminal: false,
  bridgedAt: null,
  alive: null,
  lapsed: null,
};

/**
 * The proof begins anew.
 * @param lapsed why, where something had been measured;
 * @param keep what stays of before
 */
export const restart = (
  state: SafetyState,
  lapsed: SafetyState['lapsed'],
  keep: Partial<SafetyState> = {},
): SafetyState => ({
  ...freshSafety,
  // It stays where it is, whatever lapses.
  bridgedAt: state.bridgedAt,
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
      {
        ...{ by: state.by, sources: state.sources, place: state.place, locked: state.locked },
        ...{ alive: state.alive, lastAt: state.lastAt },
      },
    );
  return state;
}

/** Power was put on: every figure of the proof is of before. */
export const poweredUp = (state: SafetyState, at: number): SafetyState =>
  restart(state, { why: 'source-back', at, detail: 'power was switched on' });

/** When the wait of the rating label is over, ms; null before isolation. */
export const waitOver = (state: SafetyState, labelWait_min: number | null): number | null =>
  state.locked === null ? null : state.locked.isolatedAt + (labelWait_min ?? unknownWait_min) * 60_000;

type StepsOfPlace = Readonly<Record<ProofPlace, (stage: Stage) => readonly ProofStep[]>>;
const forPlaces = (steps: (place: ProofPlace) => (stage: Stage) => readonly ProofStep[]): StepsOfPlace => ({
  installed: onceFor(steps('installed')),
  unplugged: onceFor(steps('unplugged')),
  bare: onceFor(steps('bare')),
});
const stepsAt = forPlaces((place) => (stage) => proofSteps(stage, place));
const ofBus = ({ point }: ProofStep): boolean => /^DC|^BR/.test(point.a);
const outside = forPlaces((place) => (stage) => stepsAt[place](stage).filter((step) => !ofBus(step)));

const former = onceFor((stage: Stage) => stepsAt.installed(stage).filter(isFormerStep));

/** The steps of the proof of a stage, as things are: without those at the bus where no lead reaches it. */
export const stepsOf = (state: SafetyState, stage: Stage): readonly ProofStep[] =>
  state.former ? former(stage) : (state.noBankTerminal ? outside : stepsAt)[state.place](stage);

// Each reading on the bench asks whether the proof holds: what follows from its figures is computed once.
const missingOf = onceFor((figures: SafetyState['figures']) =>
  onceFor((steps: readonly ProofStep[]) => steps.filter((s) => figures[s.key] === undefined)),
);
const highestOf = onceFor((figures: SafetyState['figures']) =>
  Object.entries(figures).reduce<[string | null, number]>(
    (most, [key, f]) => (Math.abs(f.volts) > most[1] ? [key, Math.abs(f.volts)] : most),
    [null, 0],
  ),
);

/** The bank: the larger of its two figures, V; null before there is one. */
const bankOf = onceFor((figures: SafetyState['figures']) => {
  const taken = [stepKey('bank', 'dc'), stepKey(againId, 'dc')].flatMap((key) => {
    const figure = figures[key];
    return figure === undefined ? [] : [Math.abs(figure.volts)];
  });
  return { volts: taken.length === 0 ? null : Math.max(...taken) };
});

/** Without the readings of the capacitor bank: what was measured with a bridge across it says nothing without it. */
export const withoutBank = (figures: SafetyState['figures']): SafetyState['figures'] =>
  Object.fromEntries(
    Object.entries(figures).filter(
      ([key]) => key !== stepKey('bank', 'dc') && key !== stepKey(againId, 'dc'),
    ),
  );

/** Figures that are still to be taken. */
export const missingSteps = (state: SafetyState, stage: Stage): readonly ProofStep[] =>
  missingOf(state.figures)(stepsOf(state, stage));

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
  const [highestAt, highest] = highestOf(state.figures);
  const complete =
    state.meterBefore !== null && state.meterAfter !== null && missingSteps(state, stage).length === 0;
  return {
    complete,
    highest_V: highest,
    highestAt,
    bank_V: bankOf(state.figures).volts,
    handsAllowed: complete && state.alive === null && highest <= limits.hands_V,
    testAllowed: complete && state.alive === null && !state.noBankTerminal && highest <= limits.test_V,
    by: state.by,
    provenAt: state.meterAfter?.at ?? null,
  };
}

/** Until when the proof holds if nothing more is entered, ms. */
export const holdsUntil = (state: SafetyState): number => state.lastAt + absence_s * 1000;
