import { parameterAt, parameterFor, type Values } from '../../equipment/drive-words';
import type { Control, Parameter } from '../../equipment/catalogue';
import { afterWriting, planWrites, type PlanStep, type UnitSet, type WritePlan } from '../parameters';
import { cheapestEdit } from './edit';
import { effortOf } from './effort';
import { keypadDisplay, placesOf } from './machine';
import { ordered } from './order';
import { padOf, same, thereWith, tick_s, trackOf, type Pad, type Press } from './pad';
import { walksOf, type Spot } from './walk';

/** The keys of one parameter, and what the display must show. */
export interface KeyStep {
  number: string;
  name: string;
  /** Null: a code, which nobody may read. */
  from: number | null;
  to: number;
  shownTo: string;
  does: 'unlock' | 'set' | 'save' | 'lock';
  /** From where one is to the entry, open; then the value; then it is kept. */
  walk: Press[];
  edit: Press[];
  keep: Press;
  /** What stands in the display at the entry, in the value before and after editing. */
  shows: { entry: string; before: string; after: string };
  effort: number;
  standstill: boolean;
  mayStart: boolean;
  why: string;
}

/** The keys that bring a unit to a target, and a bound on their effort. */
export interface KeyPlan {
  steps: KeyStep[];
  /** Back to what the keypad shows in service. */
  leave: Press[];
  presses: number;
  effort: number;
  /** No order of the same entries costs less effort than this. */
  bound: number;
  /** The order is proven to be the best. */
  exact: boolean;
  skipped: WritePlan['skipped'];
  stuck: string[];
}

/** One stop of the tour, before it is known from where. */
interface Stop {
  step: Pick<PlanStep, 'number' | 'name' | 'to' | 'shownTo' | 'standstill' | 'mayStart' | 'why'>;
  from: number | null;
  does: KeyStep['does'];
  p: Parameter;
}

const unknown = 'current value not known: read it on the display and set it by hand';

/** The code that opens what the steps need, and its being shut again. */
function codeStops(
  control: Pick<Control, 'parameters' | 'locks'>,
  steps: readonly PlanStep[],
): [Stop, Stop] | null {
  const level = Math.max(0, ...steps.map((s) => s.lock));
  const p = parameterFor(control, 'lock.code');
  const lock = control.locks.filter((l) => l.level >= level).sort((a, b) => a.level - b.level)[0];
  if (level === 0 || p === undefined || lock === undefined) return null;
  const stop = (to: number, does: 'unlock' | 'lock', why: string): Stop => ({
    step: {
      number: p.number,
      name: p.name,
      to,
      shownTo: String(to),
      standstill: false,
      mayStart: false,
      why,
    },
    from: null,
    does,
    p,
  });
  return [
    stop(lock.code, 'unlock', `unlocks ${lock.opens}`),
    stop(0, 'lock', 'the code is removed again: the parameters are locked'),
  ];
}

function stopsOf(now: UnitSet, plan: WritePlan): { stops: Stop[]; unkeyed: WritePlan['skipped'] } {
  const made = plan.steps.flatMap((step): Stop[] => {
    const p = parameterAt(now.control, step.number);
    if (p === undefined) return [];
    const does = p.concept === 'store.save' ? 'save' : p.concept === 'lock.parameters' ? 'lock' : 'set';
    return [{ step, from: step.from, does, p }];
  });
  const codes = codeStops(now.control, plan.steps);
  const keyed = made.filter((s) => s.from !== null);
  return {
    stops: codes === null ? keyed : [codes[0], ...keyed, codes[1]],
    unkeyed: made.flatMap(({ from, step: { number, name } }) =>
      from === null ? [{ number, name, why: unknown }] : [],
    ),
  };
}

/** Stops of a phase come after all of the phases before; within one they are free. A code has no phase. */
function phases(stops: readonly Stop[], { steps }: WritePlan): (number | null)[] {
  const ordinary = steps.length;
  return stops.map(({ does, p, step }, i) => {
    if (p.concept === 'lock.code') return null;
    // What resets others stands first in the plan, each in its place; so does a lock that is opened.
    if (does === 'lock') return stops.slice(0, i).some((s) => s.does === 'set') ? ordinary + 2 : -1;
    if (p.resets !== undefined) return i;
    if (does === 'save') return ordinary + 3;
    return step.mayStart ? ordinary + 1 : ordinary;
  });
}

/** Which stops each one waits for: the phases before, what it is there by, the code that opens it. */
function waits(stops: readonly Stop[], plan: WritePlan): Set<number>[] {
  const phase = phases(stops, plan);
  const group = new Map(plan.steps.map((s) => [s.number, s.group]));
  const comesFirst = (a: number, b: number): boolean => {
    const [before, then] = [stops[a], stops[b]];
    const [early, late] = [phase[a] ?? null, phase[b] ?? null];
    if (before === undefined || then === undefined) return false;
    if (early !== null && late !== null && early < late) return true;
    const { needs } = then.p;
    return (
      (needs !== undefined && 'number' in needs && needs.number === before.step.number) ||
      (group.get(before.step.number) === 'control mode' && group.get(then.step.number) === 'motor data') ||
      (before.does === 'unlock' && (then.p.lock > 0 || then.p.concept === 'lock.code')) ||
      (then.does === 'lock' && then.p.concept === 'lock.code' && before.p.lock > 0)
    );
  };
  const all = [...stops.keys()];
  return all.map((b) => new Set(all.filter((a) => a !== b && comesFirst(a, b))));
}

const spotsOf = (pad: Pad, number: string): Spot[] =>
  placesOf(pad, number).map((at) => ({ at: 'entry', ...at }));

function stepAt(pad: Pad, stop: Stop, spot: Spot, walk: Press[]): KeyStep {
  const { step, from, does, p } = stop;
  const { operation } = pad;
  const track = trackOf(pad, p);
  const before = track.placeOf(from ?? 0);
  const after = track.placeOf(step.to);
  const edit = cheapestEdit(operation, track, before, after);
  const open = [...walk, operation.list.open];
  const keep = operation.value.keep;
  const value = (edited: number): string =>
    spot.at === 'entry' ? keypadDisplay(pad, { ...spot, at: 'value', edited, cursor: 0 }) : '';
  return {
    number: step.number,
    name: step.name,
    from,
    to: step.to,
    shownTo: step.shownTo,
    does,
    walk: open,
    edit,
    keep,
    shows: { entry: keypadDisplay(pad, spot), before: value(before), after: value(after) },
    effort: effortOf([...open, ...edit, keep]),
    standstill: step.standstill,
    mayStart: step.mayStart,
    why: step.why,
  };
}

/**
 * The keys that bring a unit from what it has to a target, with the least effort the rules of order allow.
 * @param now what is in the unit; an entry without a value cannot be keyed
 * @param control with the formal keypad of the type
 * @returns null where the catalogue does not say how the keys work
 */
export function keyPlan(now: UnitSet & { control: Pick<Control, 'keypad'> }, target: Values): KeyPlan | null {
  const pad = padOf(now.control, now.rating, thereWith(now.values));
  if (pad === null) return null;
  const plan = planWrites(now, target);
  const { stops, unkeyed } = stopsOf(now, plan);
  const walks = walksOf(pad);
  const reachable = stops.filter((s) => spotsOf(pad, s.step.number).length > 0);
  const hidden = stops.filter((s) => !reachable.includes(s));
  const {
    order,
    spots,
    effort: walked,
    bound,
    exact,
  } = ordered({
    stops: reachable.map((s) => spotsOf(pad, s.step.number).map(walks.indexOf)),
    between: (from, to) => walks.from(from).effort[to] ?? Infinity,
    start: 0,
    end: 0,
    after: waits(reachable, plan),
  });
  let at = 0;
  const steps = order.flatMap((stop, i): KeyStep[] => {
    const to = spots[i] ?? 0;
    const walk = walks.from(at).presses(to);
    at = to;
    const [made, spot] = [reachable[stop], walks.spots[to]];
    return made === undefined || spot === undefined ? [] : [stepAt(pad, made, spot, walk)];
  });
  const leave = walks.from(at).presses(0);
  const inEntries = steps.reduce((sum, s) => sum + s.effort, 0) + effortOf(leave) - walked;
  return {
    steps,
    leave,
    presses: steps.reduce((sum, s) => sum + s.walk.length + s.edit.length + 1, leave.length),
    effort: walked + inEntries,
    bound: bound + inEntries,
    exact,
    skipped: [
      ...plan.skipped,
      ...unkeyed,
      ...hidden.map(({ step: { number, name } }) => ({
        number,
        name,
        why: 'not in any keypad list',
      })),
    ],
    stuck: plan.stuck,
  };
}

/** What a unit has after the steps, each kept as it is keyed. */
export const afterKeys = (now: UnitSet, steps: readonly KeyStep[]): UnitSet =>
  steps
    .filter((s) => s.does === 'set' || s.does === 'lock')
    .reduce((set, s) => afterWriting(set, s.number, s.to), now);

/** The same press counted; a ramp stands alone. */
export function pressRuns(presses: readonly Press[]): { press: Press; times: number }[] {
  return presses.reduce<{ press: Press; times: number }[]>((list, press) => {
    const last = list[list.length - 1];
    const again =
      last !== undefined &&
      same(last.press, press) &&
      last.press.ticks === undefined &&
      press.ticks === undefined;
    return again ? [...list.slice(0, -1), { press, times: last.times + 1 }] : [...list, { press, times: 1 }];
  }, []);
}

/** How long a ramp is held, in seconds as people read them. */
export const heldFor = (ticks: number): string => `${(ticks * tick_s).toFixed(1)} s`;

/** Presses in words: "Menu ×2, hold Up 1.2 s". */
export const pressWords = (presses: readonly Press[]): string =>
  pressRuns(presses)
    .map(({ press: { cap, held, ticks }, times }) =>
      ticks !== undefined
        ? `hold ${cap} ${heldFor(ticks)}`
        : `${held ? `hold ${cap}` : cap}${times > 1 ? ` ×${times}` : ''}`,
    )
    .join(', ');

/** Words of a plan back to its presses; null where a word is no press. */
export function pressesFrom(text: string): Press[] | null {
  const parts = text
    .split(/[,\n]/)
    .map((t) => t.trim())
    .filter((t) => t !== '');
  const made = parts.map((part): Press[] | null => {
    const match = /^(hold )?(\S+?)(?: (\d+(?:\.\d+)?) s)?(?: ?[×x](\d+))?$/.exec(part);
    if (match === null) return null;
    const [, hold, cap = '', seconds, times = '1'] = match;
    const held = hold !== undefined;
    const press: Press =
      seconds === undefined ? { cap, held } : { cap, held, ticks: Math.round(Number(seconds) / tick_s) };
    return Array.from({ length: Number(times) }, () => press);
  });
  return made.some((m) => m === null) ? null : made.flatMap((m) => m ?? []);
}
