import { fedDrive, judgeGates, judgeLamps, judgeSweep } from '../../../power-up/first-power';
import { probeVolts, type Stage } from '../../../equipment/power-stage';
import { moduleVerdict } from '../../../bench/module-test';
import { countOf } from '../../count';
import { timeOf, type EntryOf } from '../../entry';
import type { Payload } from '../../payloads';
import { changedBy, sliceOf, type Change } from '../../slice';
import { begunModules, moduleQuestion, type TestedModule } from '../module-test/slice';
import { isNewUnit, type UnitChange } from '../replacement/new-unit';
import { told } from '../../told';
import { quoted, remark } from '../../../terms';

/** First power and what was measured under power, as the log tells it. */
export interface PowerState {
  gates: EntryOf<'power.gates'> | null;
  probes: EntryOf<'power.probes'> | null;
  planned: EntryOf<'power.planned'> | null;
  /** Since when it is on, ms; null: off. */
  onAt: number | null;
  /** Through what it was switched on last. */
  through: Payload<'power.on'>['through'] | null;
  /** On lamps or a limit, the bus was read within the band of the plan: the full supply may follow. */
  cameUp: boolean;
  /** The bus while it came up, of the last time it was switched on. */
  bus: readonly { at_s: number; volts: number }[];
  /** Was it ever on? */
  wasOn: boolean;
  measured: readonly EntryOf<'power.measured'>[];
  captures: readonly EntryOf<'power.capture'>[];
  lamps: readonly EntryOf<'power.lamps'>[];
  swept: EntryOf<'power.swept'> | null;
}

const noPower: PowerState = {
  gates: null,
  probes: null,
  planned: null,
  onAt: null,
  through: null,
  cameUp: false,
  bus: [],
  wasOn: false,
  measured: [],
  captures: [],
  lamps: [],
  swept: null,
};

/** What of a job first power depends on. */
export interface PowerJob {
  drive: { supply_V: number | null; ratedAmps: number | null; stage: Stage } | null;
  signed: EntryOf<'sheet.signed'> | null;
  modules: readonly TestedModule[];
  power: PowerState;
}

const ownKinds = [
  'power.gates',
  'power.probes',
  'power.planned',
  'power.on',
  'power.off',
  'power.bus',
  'power.measured',
  'power.capture',
  'power.lamps',
  'power.swept',
] as const;

/** Why first power has to wait; null: nothing stands in its way. */
export function powerLock(state: PowerJob): string | null {
  const verdict = state.signed?.payload.verdict;
  if (verdict === undefined) return 'The static test must be signed as not shorted first.';
  if (verdict !== 'not-shorted')
    return 'The static test is not “not shorted”: never power a failed or doubtful power stage.';
  const modules = begunModules(state.modules);
  if (modules.some((m) => moduleVerdict(moduleQuestion(m)).verdict === 'replace'))
    return 'A tested module must be replaced: do not apply power.';
  const { gates } = state.power;
  if (gates !== null && judgeGates(gates.payload).verdict === 'unlike')
    return 'The gate drives differ: a module on them would fail at once.';
  if (modules.length > 0 && (gates === null || judgeGates(gates.payload).verdict !== 'alike'))
    return 'A module was removed: compare the six gate drives with the bus dead before applying bus voltage.';
  return null;
}

/** Why probes must not touch this drive; null: they may. */
function probesFault(
  { ratedVolts, category }: Payload<'power.probes'>,
  supply_V: number | null,
): string | null {
  // Records of before name no category, and were judged by the bus alone.
  if (category === undefined) return null;
  const needed_V = probeVolts(supply_V ?? 0);
  if (ratedVolts < needed_V)
    return `Probes, leads and meter rated for at least ${needed_V} V, also common mode: by the trip level of the voltage class, not the supply.`;
  return category === 'II' ? 'At least CAT III: CAT II is not sufficient at the supply of a drive.' : null;
}

/** Has the bus come up as planned, on lamps or a limit, after one more reading? */
function cameUpAfter(power: PowerState, { at_s, volts }: Payload<'power.bus'>): boolean {
  const plan = power.planned?.payload;
  if (plan === undefined || power.through === 'supply') return power.cameUp;
  if (volts >= plan.stopBelow_V && volts <= (plan.stopAbove_V ?? Infinity)) return true;
  return at_s >= plan.stopAfter_s || volts > plan.stopBelow_V ? false : power.cameUp;
}

/** What one of its entries changes. */
function applyPower(state: PowerJob, entry: EntryOf<(typeof ownKinds)[number]>): Change<PowerState> {
  const { power } = state;
  const live = power.onAt === null ? 'Power is off: nothing can be measured.' : null;
  switch (entry.kind) {
    case 'power.gates':
      return power.onAt === null
        ? { gates: entry }
        : { void: 'Power is on: compare gate drives with the bus dead.' };
    case 'power.probes': {
      const fault = probesFault(entry.payload, state.drive?.supply_V ?? null);
      return fault === null ? { probes: entry } : { void: fault };
    }
    case 'power.planned':
      return state.drive !== null && fedDrive(state.drive) === null
        ? { void: 'Supply or capacitor bank not known: enter both under Nameplates, then plan.' }
        : { planned: entry, cameUp: false };
    case 'power.on': {
      if (entry.by.role === 'apprentice') return { void: 'Only a technician or the lead may switch on.' };
      const lock = powerLock(state);
      if (lock !== null) return { void: lock };
      if (power.planned === null)
        return { void: 'Make the first power-up plan first: expected bus voltage and stop limits.' };
      // Plans of before had no upper end of the band, and were followed without one.
      const { stopBelow_V, stopAbove_V } = power.planned.payload;
      const { through } = entry.payload;
      if (through === 'supply' && stopAbove_V !== undefined && !power.cameUp)
        return {
          void: `Full supply only after a bus reading of ${stopBelow_V}–${stopAbove_V} V on lamps or a limited supply.`,
        };
      return { onAt: timeOf(entry), through, bus: [], wasOn: true };
    }
    case 'power.off':
      return entry.by.role === 'apprentice'
        ? { void: 'Only a technician or the lead may confirm power off.' }
        : { onAt: null };
    case 'power.bus':
      return live === null
        ? { bus: [...power.bus, entry.payload], cameUp: cameUpAfter(power, entry.payload) }
        : { void: live };
    case 'power.measured':
      return { measured: [...power.measured, entry] };
    case 'power.capture':
      return { captures: [...power.captures, entry] };
    case 'power.lamps':
      return power.wasOn
        ? { lamps: [...power.lamps, entry] }
        : { void: 'Power was never switched on in this job.' };
    case 'power.swept':
      return power.wasOn ? { swept: entry } : { void: 'Power was never switched on in this job.' };
  }
}

type Shown = 'yes' | 'no' | 'doubt' | 'not tested';

/** A motor must take this share of its rated current at least, to load the unit (common practice, no source). */
export const leastLoadShare = 0.5;

const lampVerdicts = ({ lamps }: PowerState) => [
  ...new Map(lamps.map((l) => [l.payload.hz, judgeLamps(l.payload).verdict])).values(),
];

const follows = ({ swept }: PowerState): boolean => swept !== null && judgeSweep(swept.payload).passes;

/** What was measured under power and says something, oldest first. */
const telling = ({ measured, captures }: PowerState) =>
  [...measured, ...captures]
    .filter((t) => t.payload.conclusion.verdict !== 'nothing-measured')
    .sort((a, b) => timeOf(a) - timeOf(b));

/** Is it balanced on lamps? Alike at every frequency tried, two at least, and the output follows. Lamps show balance, not load. */
export function balancedOnLamps({ power }: Pick<PowerJob, 'power'>): Shown {
  const verdicts = lampVerdicts(power);
  if (verdicts.includes('unequal')) return 'no';
  if (verdicts.length === 0) return 'not tested';
  return verdicts.length >= 2 && verdicts.every((v) => v === 'equal') && follows(power) ? 'yes' : 'doubt';
}

/** Does it run under load? A motor took its share of the rated current, the output followed, and nothing measured since says otherwise. */
export function runsUnderLoad({ power }: Pick<PowerJob, 'power'>): Shown {
  const tests = telling(power);
  const last = tests[tests.length - 1]?.payload.conclusion.verdict;
  if (lampVerdicts(power).includes('unequal') || last === 'fault') return 'no';
  const onMotor = tests.flatMap(({ payload: { running, conclusion } }) =>
    running.load === 'motor' ? [{ share: running.share, sound: conclusion.verdict === 'sound' }] : [],
  );
  if (onMotor.length === 0) return 'not tested';
  const loaded = onMotor.some(({ share, sound }) => sound && share >= leastLoadShare);
  return loaded && follows(power) && last === 'sound' ? 'yes' : 'doubt';
}

/** First power and what was measured under power; a new unit begins anew. */
export const powerSlice = sliceOf<PowerState, PowerJob & { swap: UnitChange }>()({
  key: 'power',
  init: noPower,
  kinds: ownKinds,
  lasting: ['power.on', 'power.off'],
  follows: ['identify.drive'],
  apply(slice, entry, { job, before }) {
    if (entry.kind === 'identify.drive') return { slice: isNewUnit(before) ? noPower : slice };
    return changedBy(slice, applyPower(job, entry));
  },
  words: {
    'power.gates': ({ payload: { ohms, supplies, minus, pulses } }) =>
      told('Gate drives compared', [
        `Ω ${ohms.map((o) => o ?? '—').join(' / ')}`,
        `supplies ${supplies.map((v) => v ?? '—').join(' / ')} V`,
        minus !== null && minus !== undefined && `negative rail ${minus.map((v) => v ?? '—').join(' / ')} V`,
        `pulses ${pulses.map((p) => p.replace('-', ' ')).join(' / ')}`,
      ]),
    'power.probes': ({ payload }) =>
      `Used on live terminals: ${payload.by.replaceAll('-', ' ')}, rated ${payload.ratedVolts} V`,
    'power.planned': ({ payload }) =>
      `First power-up planned: ${payload.way.by === 'lamps' ? `lamps of ${payload.way.watts} W` : `limited to ${payload.way.amps} A`}, off below ${payload.stopBelow_V} V after ${payload.stopAfter_s} s`,
    'power.on': ({ payload }) => `SWITCHED ON, through ${payload.through}`,
    'power.off': ({ payload }) => `Switched off${remark(payload.note)}`,
    'power.bus': ({ payload }) => `Bus ${payload.volts} V after ${payload.at_s} s`,
    'power.measured': ({ payload }) =>
      told(`Measured under power: ${payload.conclusion.headline}`, [
        countOf(Object.keys(payload.figures).length, 'figure'),
      ]),
    'power.capture': ({ payload }) =>
      told(`Capture ${quoted(payload.name)}: ${payload.conclusion.headline}`, [payload.roles.join(', ')]),
    'power.lamps': ({ payload }) =>
      `Lamp load at ${payload.hz} Hz: ${payload.volts.join(' / ')} V${payload.amps === null ? '' : `, ${payload.amps.join(' / ')} A`}`,
    'power.swept': ({ payload }) =>
      told(
        `Reference swept, ${countOf(payload.points.length, 'point')}`,
        payload.points.map((p) => `${p.percent} % ${p.hz} Hz`),
      ),
  },
});
