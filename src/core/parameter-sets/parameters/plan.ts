import type { Parameter } from '../../equipment/catalogue';
import type { ConceptId } from '../../equipment/concepts';
import {
  isCommand,
  limitsOf,
  boundsText,
  meaningOf,
  parameterAt,
  parameterFor,
  shownAs,
  valuesAfter,
  type Values,
} from '../../equipment/drive-words';
import { factorySet, regionOf, type UnitSet } from './set';
import { isAutotuneFind, notCarried } from './shares';

/** In this order values are entered (common practice, no source). */
export const groups = [
  'region',
  'application',
  'control mode',
  'units',
  'motor data',
  'limits',
  'inputs and outputs',
  'communication',
  'sources of run',
  'lock',
  'memory',
] as const;
/** Why a value is written where it is in the order. */
export type WriteGroup = (typeof groups)[number];

/** One value to write, with its reason. */
export interface PlanStep {
  number: string;
  name: string;
  from: number | null;
  to: number;
  shownFrom: string;
  shownTo: string;
  group: WriteGroup;
  /** What must be unlocked for it; 0: nothing. */
  lock: number;
  standstill: boolean;
  /** The machine may start as soon as it is taken. */
  mayStart: boolean;
  /** Why it stands where it stands. */
  why: string;
}

/** The order in which values are written, and what is not written. */
export interface WritePlan {
  steps: PlanStep[];
  /** Values of the target that are not written, and why. */
  skipped: { number: string; name: string; why: string }[];
  /** Steps that wait for each other: nothing is written before somebody has looked. */
  stuck: string[];
}

const byPrefix: readonly [start: string, group: WriteGroup][] = [
  ['region', 'region'],
  ['macro', 'application'],
  ['control.', 'control mode'],
  ['power.unit', 'units'],
  ['display.', 'units'],
  ['language', 'units'],
  ['motor.', 'motor data'],
  ['input.', 'inputs and outputs'],
  ['output.', 'inputs and outputs'],
  ['preset.', 'inputs and outputs'],
  ['jog.', 'inputs and outputs'],
  ['serial.', 'communication'],
  ['protect.serial', 'communication'],
  ['place.', 'sources of run'],
  ['run.', 'sources of run'],
  ['coast.', 'sources of run'],
  ['restart.', 'sources of run'],
  ['store.', 'memory'],
  ['lock.', 'lock'],
];

const groupOf = (concept: ConceptId | undefined): WriteGroup =>
  byPrefix.find(([start]) => concept?.startsWith(start) === true)?.[1] ?? 'limits';

/**
 * What a unit has after one entry was written: what it resets is back at its factory value; of a command, nothing else.
 * @param set what it had before
 */
export function afterWriting(set: UnitSet, number: string, value: number): UnitSet {
  const p = parameterAt(set.control, number);
  if (p !== undefined && isCommand(p)) return set;
  const now = { ...set, values: { ...set.values, [number]: value } };
  return p === undefined
    ? now
    : { ...now, values: valuesAfter(p, now.values, factorySet(set, regionOf(now)).values) };
}

const whole = (p: Parameter): number =>
  p.resets === 'all' ? Infinity : Array.isArray(p.resets) ? p.resets.length : 0;

/**
 * Why a value of the target is not written; undefined: it is. What belongs to a unit and its motor (a measured stator
 * resistance) is not carried to another, but what this unit has already is its own: a reset must not take it away.
 */
function leftOut(p: Parameter, { rating, values }: UnitSet, value: number): string | undefined {
  if (p.readOnly) return 'read only';
  if (p.needs !== undefined && 'option' in p.needs && values[p.number] === undefined)
    return 'not available: needs an option that is not fitted';
  const { min, max } = limitsOf(p, rating);
  if (value < min - 1e-9 || value > max + 1e-9) return `${value} is outside ${boundsText(p, rating)}`;
  if (p.choices !== undefined && !p.choices.some((c) => c.value === value)) return `no choice ${value}`;
  if (p.concept === undefined || p.concept === 'lock.parameters') return undefined;
  const itsOwn = isAutotuneFind(p.concept) && values[p.number] === value;
  return itsOwn ? undefined : notCarried(p.concept);
}

function stepOf(p: Parameter, from: number | undefined, to: number, why: string): PlanStep {
  const group = groupOf(p.concept);
  return {
    number: p.number,
    name: p.name,
    from: from ?? null,
    to,
    shownFrom: from === undefined ? '' : shownAs(p, from),
    shownTo: shownAs(p, to),
    group,
    lock: p.lock,
    standstill: p.stop,
    mayStart: group === 'sources of run' || p.resets !== undefined,
    why,
  };
}

const groupWords: Readonly<Record<WriteGroup, string>> = {
  region: '50/60 Hz default set: sets the defaults of other parameters',
  application: 'the application reassigns inputs and ramps',
  'control mode': 'the control mode decides which parameters exist',
  units: 'units before the values in them',
  'motor data': 'motor data after default set, application and control mode, which may reset it',
  limits: 'limits after motor data',
  'inputs and outputs': 'terminals after limits, before anything listens to them',
  communication: 'communication after the other parameters',
  'sources of run': 'control sources last, with the run inputs off',
  memory: 'saved at the end: otherwise all values are lost at power-off',
  lock: 'lock after everything else',
};

/** In the order of the groups and of the type, each after what it waits for. */
function sorted(wanted: readonly { p: Parameter; after: readonly string[] }[]): {
  order: Parameter[];
  stuck: Parameter[];
} {
  const rank = new Map(wanted.map(({ p }, i) => [p.number, groups.indexOf(groupOf(p.concept)) * 1000 + i]));
  const order: Parameter[] = [];
  const done = new Set<string>();
  let left = [...wanted];
  while (left.length > 0) {
    const free = left.filter(({ after }) => after.every((n) => done.has(n) || !rank.has(n)));
    const [next] = free.sort((a, b) => (rank.get(a.p.number) ?? 0) - (rank.get(b.p.number) ?? 0));
    if (next === undefined) return { order, stuck: left.map((l) => l.p) };
    order.push(next.p);
    done.add(next.p.number);
    left = left.filter((l) => l !== next);
  }
  return { order, stuck: [] };
}

const afterOf = (p: Parameter): readonly string[] =>
  p.needs !== undefined && 'number' in p.needs ? [p.needs.number] : [];

const resetWords = (p: Parameter): string =>
  `resets ${p.resets === 'all' ? 'all others' : `${p.resets?.length ?? 0} others`} to factory defaults, so it comes first`;

/** Parameters in the order in which they are entered, each with the reason for its place. */
export function writeOrder(parameters: readonly Parameter[]): { number: string; why: string }[] {
  const resetting = parameters.filter((p) => whole(p) > 0).sort((a, b) => whole(b) - whole(a));
  const rest = parameters.filter((p) => whole(p) === 0);
  const { order, stuck } = sorted(rest.map((p) => ({ p, after: afterOf(p) })));
  return [
    ...resetting.map((p) => ({ number: p.number, why: resetWords(p) })),
    ...[...order, ...stuck].map((p) => ({ number: p.number, why: groupWords[groupOf(p.concept)] })),
  ];
}

/** Opened before anything is written, and kept after it, where the type asks for that. */
function framed(now: UnitSet, steps: readonly PlanStep[]): PlanStep[] {
  if (steps.length === 0) return [];
  const { control, values } = now;
  const told = (p: Parameter | undefined, means: string) => p?.choices?.find((c) => c.means === means)?.value;
  const lock = parameterFor(control, 'lock.parameters');
  const open = told(lock, 'open');
  const shut =
    lock !== undefined && open !== undefined && meaningOf(control, values, 'lock.parameters') === 'locked';
  const opening = shut
    ? [stepOf(lock, values[lock.number], open, 'parameters are locked: unlock before writing')]
    : [];
  const save = parameterFor(control, 'store.save');
  const keepsIt = told(save, 'now');
  const saving =
    save === undefined || keepsIt === undefined
      ? []
      : [stepOf(save, values[save.number] ?? 0, keepsIt, groupWords.memory)];
  const locking = steps.filter((s) => s.group === 'lock' && !(shut && s.to === open));
  return [...opening, ...steps.filter((s) => s.group !== 'lock'), ...locking, ...saving];
}

/**
 * Steps that bring a unit from what it has to a target, each in its place and saying why.
 * What resets others comes first; what follows is planned against what is there after the reset.
 */
export function planWrites(now: UnitSet, target: Values): WritePlan {
  const { parameters } = now.control;
  const skipped: WritePlan['skipped'] = [];
  const writable = parameters.flatMap((p) => {
    const to = target[p.number];
    if (to === undefined) return [];
    const why = leftOut(p, now, to);
    if (why === undefined) return [{ p, to }];
    if (now.values[p.number] !== to) skipped.push({ number: p.number, name: p.name, why });
    return [];
  });
  const steps: PlanStep[] = [];
  let state = now;
  const resetting = writable.filter(({ p }) => whole(p) > 0).sort((a, b) => whole(b.p) - whole(a.p));
  for (const { p, to } of resetting) {
    const from = state.values[p.number];
    if (from === to) continue;
    steps.push(stepOf(p, from, to, resetWords(p)));
    state = afterWriting(state, p.number, to);
  }
  const rest = writable.filter(({ p, to }) => whole(p) === 0 && state.values[p.number] !== to);
  const { order, stuck } = sorted(
    rest.map(({ p }) => ({
      p,
      after: afterOf(p),
    })),
  );
  for (const p of order) {
    const needs = p.needs !== undefined && 'number' in p.needs ? p.needs.number : undefined;
    const waited = needs !== undefined && order.some((o) => o.number === needs);
    steps.push(
      stepOf(
        p,
        state.values[p.number],
        target[p.number] ?? 0,
        waited ? `available only after ${needs} is written` : groupWords[groupOf(p.concept)],
      ),
    );
  }
  return { steps: framed(now, steps), skipped, stuck: stuck.map((p) => p.number) };
}
