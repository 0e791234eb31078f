import { insulation } from '../motor/insulation';
import { winding } from '../motor/winding';
import type { Values } from '../equipment/drive-words';
import { timeOf, type Entry, type EntryOf } from './entry';
import type { Payload } from './kinds';
import type { OpenIssue } from './matter';

export interface StartUpState {
  disconnected: Payload<'motor.disconnected'> | null;
  windings: readonly EntryOf<'motor.winding'>[];
  insulations: readonly EntryOf<'motor.insulation'>[];
  /** Seconds a winding was earthed after a test, by the test's entry. */
  earthed: Readonly<Record<string, number>>;
  unbalances: readonly EntryOf<'motor.unbalance'>[];
  chosen: Payload<'startup.choices'> | null;
  place: Payload<'startup.place'> | null;
  /** Values that stand in the place of a rule's, by entry number. */
  typed: Readonly<Record<string, { value: number; reason: string }>>;
  /** Shortest safe ramps as they were computed for the machine. */
  shortest: Payload<'startup.shortest'> | null;
  /** Positions of the jumpers of analog inputs. */
  jumpers: Partial<Record<'AI1' | 'AI2', 'V' | 'mA'>>;
  /** Steps of the commissioning run, as they were settled. */
  run: readonly EntryOf<'commission.step'>[];
  /** What was in the drive when its power went, and what was read first after it; null: its power did not go yet. */
  cycle: { before: Values; after: Values | null } | null;
  signed: EntryOf<'startup.signed'> | null;
}

export const noStartUp: StartUpState = {
  disconnected: null,
  windings: [],
  insulations: [],
  earthed: {},
  unbalances: [],
  chosen: null,
  place: null,
  typed: {},
  shortest: null,
  jumpers: {},
  run: [],
  cycle: null,
  signed: null,
};

export type StartUpEntry = Extract<
  Entry,
  { kind: `motor.${string}` | `startup.${string}` | `commission.${string}` }
>;
export const isStartUpEntry = (entry: Entry): entry is StartUpEntry =>
  /^(motor|startup|commission)\./.test(entry.kind);

/** A tester must not meet electronics: nothing counts before it was said what is disconnected. */
const connected = {
  void: 'First disconnect drive, thermistors and encoder: the tester kills what is left connected.',
};

/** What the rest of the job tells about a start-up. */
export interface AroundStartUp {
  /** What is known to be in the drive. */
  values: Values;
  /** What stands against a signature. */
  standing: readonly OpenIssue[];
}

/** The start-up after one more entry; a reason where the entry does not count. */
export function applyStartUp(
  state: StartUpState,
  entry: StartUpEntry,
  around: AroundStartUp,
): Partial<StartUpState> | { void: string } {
  switch (entry.kind) {
    case 'motor.disconnected':
      return { disconnected: entry.payload };
    case 'motor.winding':
      return state.disconnected === null ? connected : { windings: [...state.windings, entry], signed: null };
    case 'motor.insulation':
      return state.disconnected === null
        ? connected
        : { insulations: [...state.insulations, entry], signed: null };
    case 'motor.earthed':
      return state.insulations.some((i) => i.id === entry.payload.test)
        ? { earthed: { ...state.earthed, [entry.payload.test]: entry.payload.seconds } }
        : { void: 'What it speaks of is not in this job.' };
    case 'motor.unbalance':
      return { unbalances: [...state.unbalances, entry] };
    case 'startup.choices':
      return { chosen: entry.payload, signed: null };
    case 'startup.shortest':
      return { shortest: entry.payload };
    case 'startup.jumper':
      return { jumpers: { ...state.jumpers, [entry.payload.input]: entry.payload.position } };
    case 'startup.place':
      return { place: entry.payload, signed: null };
    case 'startup.value': {
      const { number, value, reason } = entry.payload;
      const { [number]: _, ...others } = state.typed;
      if (value === null) return { typed: others, signed: null };
      return reason === null
        ? { void: 'A value that no rule gives needs a reason.' }
        : { typed: { ...others, [number]: { value, reason } }, signed: null };
    }
    case 'commission.step':
      return { run: [...state.run, entry], signed: null };
    case 'commission.power-off':
      return { cycle: { before: around.values, after: null }, signed: null };
    case 'startup.signed': {
      const against = signatureAgainst(entry, around.standing);
      return against.length > 0 ? { void: against.join(' ') } : { signed: entry };
    }
  }
}

/** Why a signature does not count; none: it does. */
function signatureAgainst(entry: EntryOf<'startup.signed'>, standing: readonly OpenIssue[]): string[] {
  if (entry.by.role === 'apprentice') return ['A technician or the lead signs.'];
  const { against, mayRun } = entry.payload;
  const named = new Set(mayRun?.open.map((o) => o.id));
  const over = mayRun !== undefined && Date.parse(`${mayRun.until}T23:59:59Z`) < timeOf(entry);
  return [
    ...against,
    ...standing.filter((m) => !m.mayWait || !named.has(m.id)).map((m) => m.text),
    ...(over ? ['The day until which it may run is over.'] : []),
  ];
}

/** A read-out: the first one after the power was away tells what was kept. */
export const cycleRead = (state: StartUpState, values: Values): StartUpState =>
  state.cycle === null || state.cycle.after !== null
    ? state
    : { ...state, cycle: { ...state.cycle, after: values } };

/** A value was written: nobody knows whether it was kept, and what was signed was signed without it. */
export const afterWrite = (state: StartUpState): StartUpState => ({
  ...state,
  run: state.run.filter((r) => r.payload.step !== 'saved'),
  cycle: null,
  signed: null,
});

/** The newest test of each thing: what was put right and measured again counts. */
const newestOf = (tests: StartUpState['insulations']): StartUpState['insulations'] =>
  tests.filter(
    (t, i) =>
      !tests
        .slice(i + 1)
        .some((u) => u.payload.of === t.payload.of && u.payload.between === t.payload.between),
  );

/** Seconds a winding must be earthed after a test: four times as long as it took (IEEE 43, from memory). */
export const earthFor_s = ({ payload }: EntryOf<'motor.insulation'>): number =>
  4 * Math.max(...payload.readings.map((r) => r.at_s));

/** What motor and cable hold against a drive being connected to them. */
export function motorAgainst({ windings, insulations, earthed }: StartUpState): string[] {
  const last = windings[windings.length - 1];
  return [
    ...(last !== undefined && winding(last.payload).verdict === 'fail'
      ? ['The motor’s windings are not alike: no drive is connected to it.']
      : []),
    ...newestOf(insulations).flatMap((test) => {
      const { of, between } = test.payload;
      const what = `${of === 'motor-and-cable' ? 'Motor and cable' : of === 'motor' ? 'The motor' : 'The cable'} ${between === 'earth' ? 'to earth' : 'between cores'}`;
      return [
        ...(insulation(test.payload).verdict === 'fail'
          ? [`${what} failed the insulation test: no drive is connected to it.`]
          : []),
        ...((earthed[test.id] ?? 0) < earthFor_s(test)
          ? [`${what}: earth it for ${earthFor_s(test)} s after the test.`]
          : []),
      ];
    }),
  ];
}
