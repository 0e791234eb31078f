import { choiceNames } from '../../../replacement/replacement';
import { wireRoleWords } from '../../../replacement/wires';
import { countOf } from '../../count';
import { timeOf, type EntryOf } from '../../entry';
import { issuesAgainst, notVerifiedYet } from '../../signatures';
import { isOfToday } from '../../version';
import { changedBy, sliceOf, type Change, type SliceContext } from '../../slice';
import { taskHeld, tickHeld, unitOutHeld, type Hands, type SwapJob } from './gates';
import { isNewUnit } from './new-unit';
import { noSwap, type SwapState, type TaskProgress } from './state';
import { applyWire, wireKinds } from './wires';
import { answer, told } from '../../told';
import { quoted, remark } from '../../../terms';

const ownKinds = [
  'decide.figures',
  'decide.made',
  'swap.units',
  'swap.asked',
  'swap.selector',
  'swap.terminal',
  ...wireKinds,
  'stop.planned',
  'stop.begun',
  'stop.task',
  'stop.over',
  'swap.unit-out',
  'handover.told',
  'handover.followed',
  'handover.partner',
  'handover.locks',
  'handover.inspection',
  'job.signed-off',
] as const;
type SwapEntry = EntryOf<(typeof ownKinds)[number]>;

/** Is an end seen on at the new unit, under the rules of today? */
const isDriveEnd = (entry: SwapEntry): boolean =>
  entry.kind === 'wire.ticked' && entry.payload.on && entry.payload.end === 'drive' && isOfToday(entry);

/** What one of its entries changes; a reason where it does not count. */
function applySwap(state: SwapState, entry: SwapEntry, context: SliceContext<SwapJob>): Change<SwapState> {
  const at = timeOf(entry);
  const hands: Hands = { job: context.before, limits: context.limits, by: entry.by, at };
  // What was signed was signed without it.
  const unsigned = { signedOff: null };
  switch (entry.kind) {
    case 'decide.figures':
      return { figures: entry.payload };
    case 'decide.made':
      return entry.by.role === 'apprentice'
        ? { void: 'Only a technician or the lead can decide.' }
        : { decision: entry };
    case 'swap.units':
      return { units: entry.payload };
    case 'swap.asked':
      return { asked: entry.payload };
    case 'swap.selector':
      return { selectors: { ...state.selectors, [entry.payload.input]: entry.payload.position } };
    case 'swap.terminal':
      return { terminals: [...state.terminals, entry] };
    case 'wire.noted':
    case 'wire.removed':
    case 'wire.accepted':
    case 'wire.chosen':
    case 'wire.ticked': {
      const why = isDriveEnd(entry) ? tickHeld(hands) : null;
      const wires = why === null ? applyWire(state.wires, entry) : { void: why };
      return 'void' in wires ? wires : { wires, ...unsigned };
    }
    case 'stop.planned':
      return { planned: entry.payload };
    case 'stop.begun':
      return state.stop.begunAt === null
        ? { stop: { ...state.stop, begunAt: at }, ...unsigned }
        : { void: 'The machine is already stopped.' };
    case 'stop.task': {
      const { task, did } = entry.payload;
      const before = state.stop.tasks[task] ?? { begunAt: null, doneAt: null };
      const now: TaskProgress =
        did === 'open'
          ? { begunAt: null, doneAt: null }
          : did === 'begun'
            ? { begunAt: at, doneAt: null }
            : { begunAt: before.begunAt ?? at, doneAt: at };
      if (state.planned?.tasks.some((t) => t.id === task) !== true)
        return { void: 'No such task in the plan.' };
      const held = did === 'open' || !isOfToday(entry) ? null : taskHeld(hands, task);
      return held === null
        ? { stop: { ...state.stop, tasks: { ...state.stop.tasks, [task]: now } } }
        : { void: held };
    }
    case 'stop.over':
      return state.stop.begunAt === null
        ? { void: 'The machine was not stopped.' }
        : { stop: { ...state.stop, overAt: at } };
    case 'swap.unit-out': {
      const held = unitOutHeld(hands, !isOfToday(entry));
      return held === null ? { outAt: at, inAt: null, ...unsigned } : { void: held };
    }
    case 'handover.told':
      return { handOver: { ...state.handOver, told: entry } };
    case 'handover.followed':
      return { handOver: { ...state.handOver, followed: entry }, ...unsigned };
    case 'handover.partner':
      return {
        handOver: {
          ...state.handOver,
          partners: { ...state.handOver.partners, [entry.payload.machine]: entry },
        },
        ...unsigned,
      };
    case 'handover.locks':
      return { handOver: { ...state.handOver, locks: entry }, ...unsigned };
    case 'handover.inspection':
      return { handOver: { ...state.handOver, inspection: entry } };
    case 'job.signed-off': {
      if (entry.by.role === 'apprentice') return { void: 'Only a technician or the lead can sign.' };
      if (entry.payload.second.toLowerCase() === entry.by.name.toLowerCase())
        return { void: 'Two persons sign: the second must be another person.' };
      const named = new Set(entry.payload.open.map((o) => o.id));
      const blocking = issuesAgainst(entry, context.openIssues).find(
        (issue) => !issue.mayWait || (entry.verified !== undefined && !named.has(issue.id)),
      );
      const held = blocking?.text ?? notVerifiedYet(entry);
      return held === null ? { signedOff: entry } : { void: held };
    }
  }
}

/** Decision, units, wires, outage and hand-over. */
export const swapSlice = sliceOf<SwapState, SwapJob>()({
  key: 'swap',
  init: noSwap,
  kinds: ownKinds,
  lasting: [
    'decide.made',
    'stop.begun',
    'stop.task',
    'stop.over',
    'swap.unit-out',
    'handover.told',
    'handover.locks',
    'job.signed-off',
  ],
  follows: ['identify.drive'],
  apply(slice, entry, context) {
    if (entry.kind !== 'identify.drive') return changedBy(slice, applySwap(slice, entry, context));
    return { slice: isNewUnit({ swap: slice }) ? { ...slice, inAt: timeOf(entry) } : slice };
  },
  words: {
    'decide.figures': ({ payload: { common, out } }) =>
      told('Values for the decision', [
        common.stopPerHour !== null && `downtime costs ${common.stopPerHour.join(' to ')} per hour`,
        ...Object.entries(out).map(([choice, why]) => `without ${choice}: ${why}`),
      ]),
    'decide.made': ({ payload }) =>
      `Decided: ${choiceNames[payload.choice].toLowerCase()}, because ${quoted(payload.reason)}`,
    'swap.units': ({ payload }) =>
      `Out: ${payload.old.maker} ${payload.old.type}; in: ${payload.next === null ? 'not chosen' : `${payload.next.maker} ${payload.next.type}`}`,
    'swap.asked': ({ payload: { supply, motorAmps, duty, ambient_C } }) =>
      told('Installation requirements', [
        `${supply.volts === null ? 'supply not known' : `${supply.volts} V`}, ${supply.phases === 3 ? 'three phases' : 'one phase'}, ${supply.earthing.replaceAll('-', ' ')}`,
        answer('amps', motorAmps),
        answer('duty', duty),
        ambient_C !== null && `ambient ${ambient_C} °C`,
      ]),
    'swap.selector': ({ payload }) => `Selector of ${payload.input} on the old unit: ${payload.position}`,
    'swap.terminal': ({ payload }) => `Terminal ${payload.mark}${remark(payload.note)}`,
    'wire.noted': ({ payload }) =>
      told(`Wire ${payload.number}`, [
        payload.from === null ? 'loose' : `on ${payload.from}`,
        payload.role === 'unknown' ? 'not known' : wireRoleWords(payload.role),
        answer('ferrule', payload.ferrule),
        answer('volts', payload.volts),
        payload.shared !== null && `shared with ${payload.shared.machine}`,
      ]),
    'wire.removed': ({ payload }) => `Wire deleted${remark(payload.reason)}`,
    'wire.accepted': ({ payload }) => `Unknown wire accepted${remark(payload.reason)}`,
    'wire.chosen': ({ payload }) =>
      payload.back
        ? 'Wire terminal as proposed'
        : `Wire to ${payload.to ?? 'no terminal'}${remark(payload.reason)}`,
    'wire.ticked': ({ payload }) =>
      `Wire ${payload.on ? 'checked' : 'not checked'} at the ${payload.end} end`,
    'stop.planned': ({ payload }) =>
      `Outage planned: ${countOf(payload.tasks.length, 'task')}, ${countOf(payload.people, 'person')}`,
    'stop.begun': () => 'Machine stopped',
    'stop.task': ({ payload }) =>
      `Task ${payload.task}: ${payload.did === 'open' ? 'open again' : payload.did}`,
    'stop.over': () => 'The machine runs again',
    'swap.unit-out': () => 'Old unit removed',
    'handover.told': ({ payload }) =>
      told(`Informed that the override ends: ${payload.who}`, [payload.how !== '' && quoted(payload.how)]),
    'handover.followed': ({ payload }) =>
      `Follows its reference: ${payload.points.map((p) => `${p.asked} to ${p.got}`).join(', ')} ${payload.unit}`,
    'handover.partner': ({ payload }) =>
      told(`${payload.machine}: ${payload.right ? 'runs as before' : 'failed'}`, [
        payload.note !== '' && quoted(payload.note),
      ]),
    'handover.locks': ({ payload }) =>
      told(`Locks ${payload.locks === 'none' ? 'not on this type' : payload.locks}`, [
        payload.note !== '' && quoted(payload.note),
      ]),
    'handover.inspection': ({ payload }) =>
      told(`Next inspection on ${payload.date}`, [payload.what !== '' && quoted(payload.what)]),
    'job.signed-off': ({ payload }) => `Handed over to ${payload.second}`,
  },
});
