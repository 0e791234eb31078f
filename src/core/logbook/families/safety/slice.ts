import {
  againAfter_s,
  againId,
  alive_Vac,
  leastKnown_V,
  pointWords,
  quantitiesAt,
  type Quantity,
  sourceKinds,
  sourceWords,
  stepKey,
  unknownWait_min,
  unsafeSources,
} from '../../../bench/make-safe';
import type { Stage } from '../../../equipment/power-stage';
import { timeOf, type EntryOf } from '../../entry';
import type { Payload } from '../../payloads';
import { sliceOf, voided, type SliceContext, type SliceStep } from '../../slice';
import { isNewUnit, type UnitChange } from '../replacement/new-unit';
import { wasEnergised } from '../fault-finding/energised';
import { handsLock } from './locks';
import {
  freshSafety,
  missingSteps,
  poweredUp,
  restart,
  settle,
  waitOver,
  type MeterReading,
  type ProofReading,
  type SafetyState,
  stepsOf,
  withoutBank,
} from './proof';
import { told } from '../../told';

/** An earlier version took a meter for proven from this on, V. */
const formerLeast_V = 5;

/** Of the state as it was settled for the entry; a refused entry leaves what was before that. */
type Step = { state: SafetyState } | { void: string };

const ownKinds = [
  'safety.sources',
  'safety.locked',
  'safety.meter',
  'safety.meter-proof',
  'safety.figure',
  'safety.figures',
  'safety.source-back',
  'safety.no-bank-terminal',
  'safety.discharged',
  'safety.bridge',
] as const;
type SafetyEntry = EntryOf<(typeof ownKinds)[number]>;

/** What the proof needs to know of the drive. */
type ProvenDrive = Pick<Payload<'identify.drive'>, 'stage' | 'labelWait_min' | 'supply_V'>;

/** Applies one safety entry, or says why it does not count. Nothing here can be overridden. */
function applySafety(before: SafetyState, entry: SafetyEntry, drive: ProvenDrive | null): Step {
  const at = timeOf(entry);
  if (entry.kind === 'safety.source-back')
    return {
      state: restart(before, { why: 'source-back', at, detail: 'a source became live' }),
    };
  if (entry.by.role === 'apprentice') return { void: 'Only technicians can record safety steps: ask one.' };
  if (drive === null) return { void: 'Identify the drive first: the points to prove depend on it.' };
  const settled = settle(before, entry.by, at);
  const state: SafetyState = { ...settled, by: entry.by, lastAt: at };
  const figure = (volts: number): ProofReading => ({ volts, at, entryId: entry.id });
  switch (entry.kind) {
    case 'safety.sources':
      if (
        entry.payload.place === 'bare' &&
        !sourceKinds.every((kind) =>
          entry.payload.sources.some((s) => s.kind === kind && s.state === 'absent'),
        )
      )
        return { void: 'With no lead on the unit every source is absent.' };
      return {
        state: {
          ...restart(state, state.lapsed),
          by: entry.by,
          lastAt: at,
          sources: { list: entry.payload.sources, at },
          place: entry.payload.place ?? 'installed',
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
    case 'safety.bridge':
      if (entry.payload.fitted === (state.bridgedAt !== null))
        return { void: entry.payload.fitted ? 'It is already bridged.' : 'No bridge is recorded.' };
      return entry.payload.fitted
        ? { state: { ...state, bridgedAt: at } }
        : {
            state: { ...state, bridgedAt: null, figures: withoutBank(state.figures), meterAfter: null },
          };
    case 'safety.meter': {
      const { when, volts } = entry.payload;
      const shown = { dc_V: volts, ac_V: volts, source: null, at, entryId: entry.id };
      const least = { dc: formerLeast_V, ac: formerLeast_V };
      return applyMeter({ ...state, former: when === 'before' || state.former }, when, shown, least, drive);
    }
    case 'safety.meter-proof': {
      const { when, dc, ac } = entry.payload;
      const shown = {
        ...{ dc_V: dc.volts, ac_V: ac?.volts ?? null, at, entryId: entry.id },
        source: { dc: dc.source, ac: ac?.source ?? null },
      };
      const least = { dc: leastKnown_V('dc', drive.supply_V), ac: leastKnown_V('ac', drive.supply_V) };
      return applyMeter({ ...state, former: when === 'after' && state.former }, when, shown, least, drive);
    }
    case 'safety.figure':
      return applyFigure(
        state,
        entry.payload.point,
        stepKey(entry.payload.point, entry.payload.quantity),
        figure(entry.payload.volts),
        drive.stage,
      );
    case 'safety.figures':
      return applyTogether(
        state,
        entry.payload,
        { ...figure(entry.payload.below_V), below: true },
        drive.stage,
      );
  }
}

function applyMeter(
  state: SafetyState,
  when: 'before' | 'after',
  shown: MeterReading,
  least: Readonly<Record<Quantity, number>>,
  drive: ProvenDrive,
): Step {
  const over = waitOver(state, drive.labelWait_min);
  if (over === null) return { void: 'Lock and tag first.' };
  if (shown.at < over)
    return {
      void:
        drive.labelWait_min === null
          ? `Discharge time not known: ${unknownWait_min} minutes after isolation.`
          : `The nameplate requires ${drive.labelWait_min} minutes after isolation.`,
    };
  for (const quantity of quantitiesAt(state.place)) {
    const volts = shown[`${quantity}_V`];
    const range = quantity.toUpperCase();
    if (volts === null) return { void: `The meter is proven on ${range}, too, where leads are connected.` };
    if (volts < least[quantity])
      return {
        void: `${volts} V ${range} does not prove the meter for this drive: use a proving unit or a known source of ${least[quantity]} V ${range} or more.`,
      };
  }
  if (when === 'before') return { state: { ...state, meterBefore: shown, figures: {}, meterAfter: null } };
  const left = missingSteps(state, drive.stage);
  if (left.length > 0)
    return { void: `${left.length} readings are missing before the meter is proven again.` };
  return { state: { ...state, meterAfter: shown } };
}

function applyFigure(
  state: SafetyState,
  point: string,
  key: string,
  figure: ProofReading,
  stage: Stage,
): Step {
  const step = stepsOf(state, stage).find((s) => s.key === key);
  if (step === undefined) return { void: 'This drive has no such test points.' };
  if (state.meterBefore === null) return { void: 'Prove the meter on a known source first.' };
  if (point === againId) {
    const bank = state.figures[stepKey('bank', 'dc')];
    if (bank === undefined) return { void: 'Measure the capacitor bank first.' };
    if (figure.at - bank.at < againAfter_s * 1000)
      return { void: 'Too early: a capacitor bank recovers within a minute. Wait, then measure again.' };
  }
  const alive = !state.former && step.quantity === 'ac' && Math.abs(figure.volts) > alive_Vac;
  return {
    state: {
      ...state,
      figures: { ...state.figures, [key]: figure },
      meterAfter: null,
      alive: alive ? { at: pointWords(step.point), volts: figure.volts } : state.alive,
    },
  };
}

/** Pairs that were all found below a volt, one after the other, and are recorded together. */
function applyTogether(
  state: SafetyState,
  { quantity, points }: Payload<'safety.figures'>,
  figure: ProofReading,
  stage: Stage,
): Step {
  const steps = stepsOf(state, stage);
  let after: Step = { state };
  for (const point of points) {
    const key = stepKey(point, quantity);
    if (steps.find((s) => s.key === key)?.point.alone === true)
      return { void: 'Enter each reading at the bus and at the control terminals.' };
    after = applyFigure(after.state, point, key, figure, stage);
    if ('void' in after) return after;
  }
  return after;
}

/** What the hands of the person who proved it dead were at: the proof is settled first, and lives on where it holds. */
function afterHands(
  state: SafetyState,
  entry: EntryOf<'wire.ticked' | 'swap.unit-out' | 'trace.answered'>,
  { before, limits, void: reason }: SliceContext<SafetyJob>,
): SafetyState {
  if (state.by?.id !== entry.by.id) return state;
  const at = timeOf(entry);
  const settled = settle(state, entry.by, at);
  if (reason !== null) return settled;
  return handsLock(settled, before.drive, limits, entry.by, at).open ? { ...settled, lastAt: at } : state;
}

/** A check of the tracer: a dead one is work of the hands, and one under power ends the proof. */
function afterCheck(
  state: SafetyState,
  entry: EntryOf<'trace.answered'>,
  context: SliceContext<SafetyJob>,
): SafetyState {
  if (entry.payload.hazard === 'dead') return afterHands(state, entry, context);
  const energised = context.void === null && wasEnergised(entry);
  return energised && state.meterBefore !== null ? poweredUp(state, timeOf(entry)) : state;
}

interface SafetyJob {
  drive: ProvenDrive | null;
  swap: UnitChange;
}

/** A name within a sentence; what follows its first letter stays, units among it. */
const inSentence = (name: string): string => name.charAt(0).toLowerCase() + name.slice(1);

/** The dead proof. It follows what is done at the drive, whether that counts or not. */
export const safetySlice = sliceOf<SafetyState, SafetyJob>()({
  key: 'safety',
  init: freshSafety,
  kinds: ownKinds,
  lasting: ['safety.source-back', 'safety.no-bank-terminal', 'safety.discharged', 'safety.bridge'],
  follows: [
    'static.reading',
    'wire.ticked',
    'swap.unit-out',
    'trace.answered',
    'power.on',
    'identify.drive',
    'loose.attached',
  ],
  followsVoid: true,
  apply(slice, entry, context): SliceStep<SafetyState> {
    const at = timeOf(entry);
    const counts = context.void === null;
    switch (entry.kind) {
      case 'static.reading': {
        const settled = settle(slice, entry.by, at);
        return { slice: counts ? { ...settled, lastAt: at } : settled };
      }
      case 'wire.ticked':
      case 'swap.unit-out':
        return { slice: afterHands(slice, entry, context) };
      case 'trace.answered':
        return { slice: afterCheck(slice, entry, context) };
      case 'power.on':
        return { slice: counts ? poweredUp(slice, at) : slice };
      case 'loose.attached':
        // Proven on a sheet: what was done to this drive meanwhile, its log does not know.
        return {
          slice: counts
            ? restart(slice, { why: 'attached', at, detail: 'a loose sheet was attached' })
            : slice,
        };
      case 'identify.drive':
        // What is isolated stays so; the new unit's bank is proven anew.
        return {
          slice:
            counts && isNewUnit(context.before)
              ? { ...freshSafety, sources: slice.sources, locked: slice.locked }
              : slice,
        };
      default: {
        const step = applySafety(slice, entry, context.job.drive);
        return 'void' in step ? voided(slice, step.void) : { slice: step.state };
      }
    }
  },
  words: {
    'safety.sources': ({ payload }) => {
      if (payload.place === 'bare') return 'On the bench, no lead on any terminal: nothing feeds it';
      const left = unsafeSources(payload.sources).length;
      const isolated = payload.sources
        .filter((s) => s.state === 'isolated')
        .map((s) => inSentence(sourceWords[s.kind].name));
      return told(left === 0 ? 'All sources isolated or absent' : `Sources listed, ${left} not safe`, [
        isolated.length > 0 && `isolated ${isolated.join(', ')}`,
      ]);
    },
    'safety.locked': ({ payload }) =>
      `Locked and tagged: ${payload.tag}, isolated ${payload.isolatedAt.slice(0, 16).replace('T', ' ')} UTC`,
    'safety.meter': ({ payload }) => `Meter proven ${payload.when}: ${payload.volts} V on ${payload.source}`,
    'safety.meter-proof': ({ payload: { when, dc, ac } }) =>
      told(`Meter proven ${when}: ${dc.volts} V DC on ${dc.source}`, [
        ac !== undefined && `${ac.volts} V AC on ${ac.source}`,
      ]),
    'safety.figure': ({ payload }) =>
      `Dead proof ${payload.point} ${payload.quantity.toUpperCase()} ${payload.volts} V`,
    'safety.figures': ({ payload: { points, quantity, below_V } }) =>
      `Dead proof ${quantity.toUpperCase()}, ${points.length} pairs: all below ${below_V} V`,
    'safety.source-back': ({ payload }) => `Source live again: ${sourceWords[payload.kind].name}`,
    'safety.no-bank-terminal': () => 'No bank terminal accessible',
    'safety.bridge': ({ payload }) =>
      payload.fitted ? 'Capacitor bank bridged by a resistor' : 'Bridge of the capacitor bank removed',
    'safety.discharged': ({ payload }) => `Discharged through ${payload.ohm} Ω from ${payload.startVolts} V`,
  },
});
