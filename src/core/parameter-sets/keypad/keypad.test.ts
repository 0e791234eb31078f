import { readFileSync } from 'node:fs';
import fc from 'fast-check';
import type { Control, Operation } from '../../equipment/catalogue';
import { controlSchema } from '../../equipment/catalogue/schema';
import { parameterAt, type Values } from '../../equipment/drive-words';
import { factorySet, type UnitSet } from '../parameters';
import { changedSet } from '../parameters/__tests__/changed-set';
import { cheapestEdit } from './edit';
import { effortOf, rampEffort } from './effort';
import { arborescence, ordered, type Tour } from './order';
import { heldSteps, trackOf } from './pad';
import {
  afterKeys,
  keypadDisplay,
  keyPlan,
  padOf,
  pressed,
  pressWords,
  thereWith,
  type Pad,
  type PadState,
  type Press,
} from '.';

const types = ['dunlin-d1', 'knot-k3', 'whimbrel-w4', 'godwit-g4', 'godwit-g6'] as const;
const rating = { ratedAmps: 15, power_kW: 7.5, supply_V: 400 };
const controlOf = (typeId: string): Control =>
  controlSchema.parse(JSON.parse(readFileSync(`catalogue/${typeId}/control.json`, 'utf8')));
const of = (typeId: string, region: '50Hz' | '60Hz' = '50Hz'): UnitSet & { control: Control } => {
  const control = controlOf(typeId);
  return { ...factorySet({ typeId, control, rating }, region), control };
};
const numberOf = ({ control }: UnitSet, concept: string) =>
  control.parameters.find((p) => p.concept === concept)?.number ?? '';

/** Some entries set to something else. */
const changed = (base: UnitSet, count: number, seed: number): Values => {
  let state = seed;
  const random = () => (state = (state * 16807) % 2147483647) / 2147483647;
  return changedSet(base, base.values, count, random);
};

/** Keys pressed one after the other, on a drive that keeps what it is handed. */
function played(unit: UnitSet & { control: Control }, presses: readonly Press[]) {
  const pad = padOf(unit.control, unit.rating, thereWith(unit.values)) as Pad;
  let state: PadState = { at: 'home' };
  let opened = 0;
  let values: Values = unit.values;
  const seen: string[] = [];
  for (const press of presses) {
    const after = pressed(pad, state, press, { values, opened, allLocked: false });
    state = after.state;
    seen.push(keypadDisplay(pad, state));
    if (after.writes === undefined) continue;
    const { number, value } = after.writes;
    const p = parameterAt(unit.control, number);
    if (p?.concept === 'lock.code') opened = unit.control.locks.find((l) => l.code === value)?.level ?? 0;
    else values = afterKeys({ ...unit, values }, [{ number, to: value, does: 'set' } as never]).values;
  }
  return { state, values, seen };
}

const pressesOf = (plan: NonNullable<ReturnType<typeof keyPlan>>): Press[] => [
  ...plan.steps.flatMap((s) => [...s.walk, ...s.edit, s.keep]),
  ...plan.leave,
];

describe.each(types)('the keys of %s', (type) => {
  it('bring the unit to any target, show what the plan says, and end where they began', () => {
    const now = of(type, '60Hz');
    for (const seed of [1, 2, 3]) {
      const target = changed(of(type), 30, seed);
      const plan = keyPlan(now, target)!;
      const { state, values, seen } = played(now, pressesOf(plan));
      expect(state).toEqual({ at: 'home' });
      const skipped = new Set(plan.skipped.map((s) => s.number));
      expect(plan.stuck).toEqual([]);
      for (const [number, value] of Object.entries(target))
        if (!skipped.has(number)) expect([number, values[number]]).toEqual([number, value]);
      let at = -1;
      for (const step of plan.steps) {
        at += step.walk.length;
        expect(seen[at - 1]).toBe(step.shows.entry);
        expect(seen[at]).toBe(step.shows.before);
        at += step.edit.length;
        expect(seen[at]).toBe(step.shows.after);
        at += 1;
      }
      expect(plan.effort).toBeGreaterThanOrEqual(plan.bound - 1e-9);
      expect(plan.effort).toBeCloseTo(effortOf(pressesOf(plan)), 6);
    }
  });

  it('what resets comes first, sources of run last, the code around what is locked', () => {
    const now = of(type, '60Hz');
    const base = of(type);
    const run = numberOf(base, 'place.remote-run');
    const target = { ...changed(base, 25, 7), [run]: (base.values[run] ?? 0) === 0 ? 1 : 0 };
    const plan = keyPlan(now, target)!;
    const rank = (number: string) => plan.steps.findIndex((s) => s.number === number && s.does === 'set');
    const ordinary = plan.steps.filter((s) => s.does === 'set' && !s.mayStart).map((s) => s.number);
    for (const n of ordinary) expect(rank(run)).toBeGreaterThan(rank(n));
    const locked = plan.steps
      .filter((s) => (parameterAt(now.control, s.number)?.lock ?? 0) > 0)
      .map((s) => plan.steps.indexOf(s));
    const unlock = plan.steps.findIndex((s) => s.does === 'unlock');
    const relock = plan.steps.findIndex((s) => s.does === 'lock');
    if (locked.length > 0) {
      expect(Math.min(...locked)).toBeGreaterThan(unlock);
      expect(Math.max(...locked)).toBeLessThan(relock);
    } else expect(unlock).toBe(-1);
  });
});

it('nothing to do, no key; no formal keypad, no plan; a value nobody knows is not keyed blindly', () => {
  const now = of('knot-k3');
  expect(keyPlan(now, now.values)).toMatchObject({ steps: [], leave: [], presses: 0, effort: 0 });
  const { operation: _, ...without } = now.control.keypad;
  expect(keyPlan({ ...now, control: { ...now.control, keypad: without } }, now.values)).toBeNull();
  const up = numberOf(now, 'ramp.up');
  const { [up]: __, ...rest } = now.values;
  const plan = keyPlan({ ...now, values: rest }, { ...now.values, [up]: 9 })!;
  expect(plan.steps).toEqual([]);
  expect(plan.skipped).toMatchObject([{ number: up, why: expect.stringContaining('not known') as string }]);
});

it('a locked parameter is not opened, a code opens it, and nobody reads the code', () => {
  const dunlin = of('dunlin-d1');
  const pad = padOf(dunlin.control, rating, () => true)!;
  const open = { cap: 'P', held: false };
  const drive = { values: { ...dunlin.values, '14': 27 }, opened: 0, allLocked: false };
  const at = (number: string): PadState => ({
    at: 'entry',
    group: 0,
    place: pad.groups[0]!.numbers.indexOf(number),
  });
  const refused = pressed(pad, at('15'), open, drive).state;
  expect(refused).toMatchObject({ at: 'entry', refused: true });
  expect(keypadDisplay(pad, refused)).toBe('Loc');
  expect(pressed(pad, at('15'), open, { ...drive, opened: 1 }).state.at).toBe('value');
  expect(keypadDisplay(pad, pressed(pad, at('14'), open, drive).state)).toBe('0');
});

it('a value stops at its ends; what is not kept is lost; a read-only parameter is shown and not edited', () => {
  const unit = of('whimbrel-w4');
  const pad = padOf(unit.control, rating, () => true)!;
  const drive = { values: unit.values, opened: 2, allLocked: false };
  const press = (state: PadState, cap: string) => pressed(pad, state, { cap, held: false }, drive);
  const [spot] = pad.groups.flatMap(({ numbers }, group) =>
    numbers.flatMap((n, place) =>
      n === numberOf(unit, 'motor.cosphi') ? [{ at: 'entry' as const, group, place }] : [],
    ),
  );
  let state: PadState = press(spot!, 'Enter').state;
  for (let i = 0; i < 30; i += 1) state = press(state, 'Up').state;
  expect(keypadDisplay(pad, state)).toBe('1.00');
  expect(press(state, 'Menu')).toEqual({ state: spot });
  expect(press(state, 'Enter').writes).toEqual({ number: numberOf(unit, 'motor.cosphi'), value: 1 });
  const [read] = pad.groups.flatMap(({ numbers }, group) =>
    numbers.flatMap((n, place) =>
      n === numberOf(unit, 'motor.ident-state') ? [{ at: 'entry' as const, group, place }] : [],
    ),
  );
  const shown = press(read!, 'Enter').state;
  expect(keypadDisplay(pad, press(shown, 'Up').state)).toBe('not done');
  expect(press(shown, 'Enter').writes).toBeUndefined();
});

describe('editing a value takes the fewest presses', () => {
  const value = of('knot-k3').control.keypad.operation!.value;
  const hold = of('dunlin-d1').control.keypad.operation!.hold!;
  const plain: Operation['value'] = {
    up: { cap: '▲', held: false },
    down: { cap: '▼', held: false },
    keep: { cap: 'P', held: false },
    leave: { cap: 'P', held: true },
  };
  const track = (lowest: number, highest: number, digits: number) => ({
    lowest,
    highest,
    digits,
    placeOf: (v: number) => v,
    valueAt: (v: number) => v,
  });

  /** Every place that can be reached, by growing effort: no heuristic, no formula. */
  function exhaustive(
    { lowest, highest, digits }: ReturnType<typeof track>,
    ramps: boolean,
    from: number,
    to: number,
  ): number {
    const within = (v: number) => Math.max(lowest, Math.min(highest, v));
    const efforts = new Map([[`${from}/0`, 0]]);
    let queue: { place: number; cursor: number; effort: number }[] = [{ place: from, cursor: 0, effort: 0 }];
    while (queue.length > 0) {
      queue.sort((a, b) => a.effort - b.effort);
      const [{ place, cursor, effort }, ...rest] = queue as [(typeof queue)[0], ...typeof queue];
      if (place === to) return effort;
      queue = rest;
      const next = [
        { place: within(place + 10 ** cursor), cursor, effort: effort + 1 },
        { place: within(place - 10 ** cursor), cursor, effort: effort + 1 },
        ...(digits > 1 ? [{ place, cursor: (cursor + 1) % digits, effort: effort + 1 }] : []),
        ...(ramps
          ? Array.from({ length: 40 }, (_, i) => i + 1).flatMap((ticks) =>
              [1, -1].map((sign) => ({
                place: within(place + sign * heldSteps(hold, ticks)),
                cursor,
                effort: effort + rampEffort(ticks),
              })),
            )
          : []),
      ];
      for (const n of next) {
        const key = `${n.place}/${n.cursor}`;
        if (n.effort >= (efforts.get(key) ?? Infinity)) continue;
        efforts.set(key, n.effort);
        queue.push(n);
      }
    }
    return Infinity;
  }

  it('by cursor, over signs and ends, as exhaustive search finds it', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: -40, max: 0 }),
        fc.integer({ min: 5, max: 400 }),
        fc.double({ min: 0, max: 1, noNaN: true }),
        fc.double({ min: 0, max: 1, noNaN: true }),
        (lowest, highest, a, b) => {
          const at = track(lowest, highest, String(Math.max(highest, -lowest)).length);
          const [from, to] = [a, b].map((s) => Math.round(lowest + s * (highest - lowest))) as [
            number,
            number,
          ];
          if (at.digits === 1) return true;
          return effortOf(cheapestEdit({ value }, at, from, to)) === exhaustive(at, false, from, to);
        },
      ),
      { numRuns: 150 },
    );
  });

  it('by holding and tapping, as exhaustive search finds it', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 20, max: 500 }),
        fc.double({ min: 0, max: 1, noNaN: true }),
        fc.double({ min: 0, max: 1, noNaN: true }),
        (highest, a, b) => {
          const at = track(0, highest, 1);
          const [from, to] = [Math.round(a * highest), Math.round(b * highest)];
          return (
            Math.abs(
              effortOf(cheapestEdit({ value: plain, hold }, at, from, to)) - exhaustive(at, true, from, to),
            ) < 1e-9
          );
        },
      ),
      { numRuns: 40 },
    );
  });

  it('of a long ramp of six thousand steps in hundredths of a second', () => {
    const edit = cheapestEdit({ value: plain, hold }, track(1, 6000, 1), 50, 4385);
    expect(effortOf(edit)).toBeLessThan(40);
    expect(pressWords(edit)).toMatch(/^hold ▲ \d\.\d s/);
  });

  it('the track of a choice is its places, of a value its steps', () => {
    const unit = of('whimbrel-w4');
    const pad = padOf(unit.control, rating, () => true)!;
    const ramp = parameterAt(unit.control, '3-01')!;
    expect(trackOf(pad, ramp)).toMatchObject({ lowest: 1, highest: 6000, digits: 4 });
    expect(trackOf(pad, ramp).valueAt(124)).toBe(12.4);
    const stop = parameterAt(unit.control, '3-07')!;
    expect(trackOf(pad, stop)).toMatchObject({ lowest: 0, highest: 3, digits: 1 });
  });
});

describe('the order of stops', () => {
  const random = fc.integer({ min: 1, max: 30 });
  const tourOf = (n: number, weights: readonly number[], after: readonly ReadonlySet<number>[]): Tour => ({
    stops: Array.from({ length: n }, (_, i) => [i + 1]),
    between: (a, b) => (a === b ? 0 : (weights[(a * 7 + b * 13) % weights.length] ?? 1)),
    start: 0,
    end: 0,
    after,
  });
  const every = (n: number): number[][] =>
    n === 0
      ? [[]]
      : every(n - 1).flatMap((o) =>
          Array.from({ length: n }, (_, i) => [...o.slice(0, i), n - 1, ...o.slice(i)]),
        );

  it('of few is the best of all orders, with what must come before', () => {
    fc.assert(
      fc.property(
        fc.array(random, { minLength: 97, maxLength: 97 }),
        fc.integer({ min: 1, max: 6 }),
        (weights, n) => {
          const after = Array.from({ length: n }, (_, i) => new Set(i === n - 1 && n > 2 ? [0] : []));
          const tour = tourOf(n, weights, after);
          const cost = (o: number[]) =>
            [...o.map((i) => i + 1), 0].reduce(
              (s, to, k) => s + tour.between(k === 0 ? 0 : o[k - 1]! + 1, to),
              0,
            );
          const best = Math.min(
            ...every(n)
              .filter((o) => n <= 2 || o.indexOf(0) < o.indexOf(n - 1))
              .map(cost),
          );
          const { effort, bound, exact } = ordered(tour);
          return effort === best && bound === best && exact;
        },
      ),
      { numRuns: 60 },
    );
  });

  it('of many lies between its bound and the plain order of the list', () => {
    for (const type of types) {
      const now = of(type);
      const plan = keyPlan(now, changed(now, 60, 11))!;
      expect(plan.bound).toBeLessThanOrEqual(plan.effort + 1e-9);
      expect(plan.bound).toBeGreaterThan(0.8 * plan.effort);
    }
  });

  it('the cheapest arborescence of a graph with a cycle, worked by hand', () => {
    // 1 and 2 feed each other for 1 each; the way in from 0 costs 5 or 7, so 5 + 1; 3 follows 2 for 2.
    const arcs = [
      { from: 0, to: 1, effort: 5 },
      { from: 0, to: 2, effort: 7 },
      { from: 1, to: 2, effort: 1 },
      { from: 2, to: 1, effort: 1 },
      { from: 2, to: 3, effort: 2 },
      { from: 0, to: 3, effort: 9 },
    ];
    expect(arborescence(4, 0, arcs)).toBe(8);
  });
});

it('a jump goes to a parameter by its number where that is quicker', () => {
  const godwit = of('godwit-g4');
  const save = numberOf(godwit, 'store.save');
  const far = godwit.control.parameters.filter((p) => p.number.startsWith('2022')).at(-2)!;
  const plan = keyPlan(godwit, { ...godwit.values, [far.number]: far.choices?.[1]?.value ?? 1 })!;
  expect(plan.steps.map((s) => s.number)).toContain(save);
  const { values } = played(godwit, pressesOf(plan));
  expect(values[far.number]).toBe(plan.steps[0]?.to);
});
