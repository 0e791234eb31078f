import { insulation } from '../../../motor/insulation';
import { winding } from '../../../motor/winding';
import type { Values } from '../../../equipment/drive-words';
import { againstAgreement } from '../../agreement';
import { countOf } from '../../count';
import { timeOf, type EntryOf } from '../../entry';
import type { Payload } from '../../payloads';
import type { OpenIssue } from '../../open-issue';
import { issuesAgainst, notVerifiedYet } from '../../signatures';
import { changedBy, sliceOf, type Change, type SliceContext } from '../../slice';
import { answer, told } from '../../told';
import { quoted } from '../../../terms';

/** Motor and cable tests, the start-up sheet and the run, as the log tells them. */
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
  /** The potentiometer that gives the speed, Ω; null: none, or nobody said. */
  potentiometer_ohm: number | null;
  /** Steps of the commissioning run, as they were settled. */
  run: readonly EntryOf<'commission.step'>[];
  /** What was in the drive when its power went, and what was read first after it; null: its power did not go yet. */
  cycle: { before: Values; after: Values | null } | null;
  signed: EntryOf<'startup.signed'> | null;
}

const noStartUp: StartUpState = {
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
  potentiometer_ohm: null,
  run: [],
  cycle: null,
  signed: null,
};

const ownKinds = [
  'motor.disconnected',
  'motor.winding',
  'motor.insulation',
  'motor.earthed',
  'motor.unbalance',
  'startup.choices',
  'startup.shortest',
  'startup.jumper',
  'startup.potentiometer',
  'startup.place',
  'startup.value',
  'commission.step',
  'commission.power-off',
  'startup.signed',
] as const;

/** A tester must not meet electronics: nothing counts before it was said what is disconnected. */
const connected = {
  void: 'First disconnect drive, thermistors and encoder: the tester destroys whatever is left connected.',
};

interface StartUpJob {
  seen: { values: Values } | null;
  registers: { writes: readonly { id: string; outdates?: 'identification' | undefined }[] };
}

/** The start-up after one more entry; a reason where the entry does not count. */
function applyStartUp(
  state: StartUpState,
  entry: EntryOf<(typeof ownKinds)[number]>,
  { job, openIssues }: SliceContext<StartUpJob>,
): Change<StartUpState> {
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
        : { void: 'The referenced log entry is not in this job.' };
    case 'motor.unbalance':
      return { unbalances: [...state.unbalances, entry] };
    case 'startup.choices':
      return { chosen: entry.payload, signed: null };
    case 'startup.shortest':
      return { shortest: entry.payload };
    case 'startup.jumper':
      return { jumpers: { ...state.jumpers, [entry.payload.input]: entry.payload.position }, signed: null };
    case 'startup.potentiometer':
      return { potentiometer_ohm: entry.payload.ohm, signed: null };
    case 'startup.place':
      return { place: entry.payload, signed: null };
    case 'startup.value': {
      const { number, value, reason } = entry.payload;
      const { [number]: _, ...others } = state.typed;
      if (value === null) return { typed: others, signed: null };
      return reason === null
        ? { void: 'A value without a rule needs a reason.' }
        : { typed: { ...others, [number]: { value, reason } }, signed: null };
    }
    case 'commission.step':
      return { run: [...state.run, entry], signed: null };
    case 'commission.power-off':
      return { cycle: { before: job.seen?.values ?? {}, after: null }, signed: null };
    case 'startup.signed': {
      const against = signatureAgainst(entry, issuesAgainst(entry, openIssues));
      return against.length > 0 ? { void: against.join(' ') } : { signed: entry };
    }
  }
}

/** Why a signature does not count; none: it does. */
function signatureAgainst(entry: EntryOf<'startup.signed'>, openIssues: readonly OpenIssue[]): string[] {
  if (entry.by.role === 'apprentice') return ['Only a technician or the lead can sign.'];
  const { against, mayRun } = entry.payload;
  const named = new Set(mayRun?.open.map((o) => o.id));
  const over = mayRun !== undefined && Date.parse(`${mayRun.until}T23:59:59Z`) < timeOf(entry);
  return [
    ...against,
    ...openIssues.filter((m) => !m.mayWait || !named.has(m.id)).map((m) => m.text),
    ...(over ? ['The release date is in the past.'] : []),
    ...[
      mayRun === undefined ? null : againstAgreement(entry.by, mayRun.approver),
      notVerifiedYet(entry),
    ].filter((why) => why !== null),
  ];
}

/** A read-out: the first one after the power was away tells what was kept. */
const cycleRead = (state: StartUpState, values: Values): StartUpState =>
  state.cycle === null || state.cycle.after !== null
    ? state
    : { ...state, cycle: { ...state.cycle, after: values } };

/** These steps of the run are to be made again, and what was signed was signed without them. */
const without = (state: StartUpState, steps: readonly string[]): StartUpState => ({
  ...state,
  run: state.run.filter((r) => !steps.includes(r.payload.step)),
  signed: null,
});

/**
 * A value was written: nobody knows whether it was kept, and what was signed was signed without it.
 * @param outdated the identification was made with other motor data or another control mode
 */
const afterWrite = (state: StartUpState, outdated: boolean): StartUpState => ({
  ...without(state, outdated ? ['saved', 'identification'] : ['saved']),
  cycle: null,
});

/** The newest test of each thing: what was put right and measured again counts. */
const newestOf = (tests: StartUpState['insulations']): StartUpState['insulations'] =>
  tests.filter(
    (t, i) =>
      !tests
        .slice(i + 1)
        .some((u) => u.payload.of === t.payload.of && u.payload.between === t.payload.between),
  );

/** Did motor and cable pass to earth, together or each, with no newer test that failed? */
export function insulationPassed({ insulations }: Pick<StartUpState, 'insulations'>): boolean {
  const newest = newestOf(insulations);
  const passed = new Set(
    newest
      .filter(({ payload }) => payload.between === 'earth' && insulation(payload).verdict === 'pass')
      .map(({ payload }) => payload.of),
  );
  const failed = newest.some(({ payload }) => insulation(payload).verdict === 'fail');
  return !failed && (passed.has('motor-and-cable') || (passed.has('motor') && passed.has('cable')));
}

/** Seconds a winding must be earthed after a test: four times as long as it took (IEEE 43, from memory). */
export const earthFor_s = ({ payload }: EntryOf<'motor.insulation'>): number =>
  4 * Math.max(...payload.readings.map((r) => r.at_s));

/** What is measured on motor or cable that keeps a drive from being connected to them. */
export interface MotorBlocker {
  id: string;
  text: string;
}

/** What motor and cable hold against a drive being connected to them. */
export function motorBlockers({ windings, insulations, earthed }: StartUpState): MotorBlocker[] {
  const last = windings[windings.length - 1];
  return [
    ...(last !== undefined && winding(last.payload).verdict === 'fail'
      ? [
          {
            id: 'motor:windings',
            text: 'Motor windings unbalanced: do not connect a drive.',
          },
        ]
      : []),
    ...newestOf(insulations).flatMap((test) => {
      const { of, between } = test.payload;
      const what = `${of === 'motor-and-cable' ? 'Motor and cable' : of === 'motor' ? 'The motor' : 'The cable'} ${between === 'earth' ? 'to earth' : 'between cores'}`;
      const tested = `${of}:${between}`;
      return [
        ...(insulation(test.payload).verdict === 'fail'
          ? [
              {
                id: `motor:insulation:${tested}`,
                text: `${what} failed the insulation test: do not connect a drive.`,
              },
            ]
          : []),
        ...((earthed[test.id] ?? 0) < earthFor_s(test)
          ? [
              {
                id: `motor:earthing:${tested}`,
                text: `${what}: earth it for ${earthFor_s(test)} s after the test.`,
              },
            ]
          : []),
      ];
    }),
  ];
}

/** Motor and cable tests, the start-up sheet and the run up to the real station. */
export const startUpSlice = sliceOf<StartUpState, StartUpJob>()({
  key: 'startUp',
  init: noStartUp,
  kinds: ownKinds,
  lasting: ['motor.disconnected', 'commission.power-off', 'startup.signed'],
  follows: [
    'drive.read',
    'drive.write-done',
    'identify.motor',
    'jumper.set',
    'set.write-begun',
    'set.write-held',
    'set.write-resumed',
    'set.write-ended',
  ],
  apply(slice, entry, context) {
    switch (entry.kind) {
      case 'drive.read':
        return { slice: cycleRead(slice, entry.payload.values) };
      case 'jumper.set':
        return { slice: { ...slice, signed: null } };
      case 'identify.motor':
        return { slice: without(slice, ['identification']) };
      case 'drive.write-done': {
        const write = context.job.registers.writes.find((w) => w.id === entry.payload.asked);
        return { slice: afterWrite(slice, write?.outdates === 'identification') };
      }
      case 'set.write-begun':
      case 'set.write-held':
      case 'set.write-resumed':
      case 'set.write-ended':
        return { slice: afterWrite(slice, true) };
      default:
        return changedBy(slice, applyStartUp(slice, entry, context));
    }
  },
  words: {
    'motor.disconnected': () => 'Drive, thermistors and encoder disconnected for the tester',
    'motor.winding': ({ payload }) =>
      `Winding ${payload.ohms.uv} / ${payload.ohms.vw} / ${payload.ohms.wu} Ω at ${payload.temperature_C} °C`,
    'motor.insulation': ({ payload }) =>
      `Insulation of ${payload.of.replaceAll('-', ' ')} ${payload.between === 'earth' ? 'to earth' : 'between cores'}: ${payload.readings[0]?.megohm} MΩ at ${payload.testVolts} V, ${payload.winding_C} °C`,
    'motor.earthed': ({ payload }) => `Winding earthed for ${payload.seconds} s`,
    'motor.unbalance': ({ payload }) => `Unbalance of ${payload.of}: ${payload.values.join(' / ')}`,
    'startup.choices': ({ payload: { choices, supply } }) =>
      told(
        `Start-up: ${choices.load.replaceAll('-', ' ')} load, ${choices.region.replace('Hz', ' Hz')} defaults`,
        [
          `supply ${supply.volts} V`,
          `run from ${choices.runFrom}, reference from ${choices.speedFrom}`,
          answer('acceleration, s', choices.up_s),
          answer('deceleration, s', choices.down_s),
          choices.coupled ? 'coupled' : 'uncoupled',
        ],
      ),
    'startup.shortest': ({ payload }) =>
      `Shortest safe ramps: ${payload.up_s ?? '—'} s up, ${payload.down_s ?? '—'} s down${payload.inertia_kgm2 === undefined ? '' : `, with ${payload.inertia_kgm2} kg·m²`}`,
    'startup.jumper': ({ payload }) => `Selector of ${payload.input}: ${payload.position}`,
    'startup.potentiometer': ({ payload: { ohm } }) =>
      ohm === null ? 'No potentiometer' : `Potentiometer: ${ohm / 1000} kΩ`,
    'startup.place': ({ payload }) =>
      `Installation: ${payload.ambient_C} °C, ${payload.altitude_m} m, ${payload.carrier_kHz} kHz, ${payload.phases === 3 ? 'three phases' : 'one phase'}, ${payload.earthing.replaceAll('-', ' ')}, ${countOf(payload.motors, 'motor')}`,
    'startup.value': ({ payload }) =>
      payload.value === null
        ? `${payload.number}: value by the rule`
        : `${payload.number}: ${payload.value} typed${payload.reason === null ? '' : `, ${payload.reason}`}`,
    'commission.step': ({ payload }) =>
      told(
        `Run, ${payload.step.replaceAll('-', ' ')}: ${payload.outcome === 'ok' ? 'passed' : payload.outcome === 'not-ok' ? 'failed' : 'not there'}`,
        [
          payload.qualified,
          ...(payload.figures ?? []).map((f) => `${f.id.replaceAll('-', ' ')} ${f.value} ${f.unit}`),
          ...payload.speeds.map((s) => `${s.hz} Hz ${s.amps} A`),
          payload.seen.join(', '),
          payload.note !== undefined && quoted(payload.note),
        ],
      ),
    'commission.power-off': () => 'Power cycle: current parameters saved for comparison',
    'startup.signed': ({ payload }) => `Start-up sheet signed, ${payload.entries} parameters`,
  },
});
