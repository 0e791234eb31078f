import { readFileSync } from 'node:fs';
import fc from 'fast-check';
import { controlSchema } from '../../equipment/catalogue/schema';
import { limitsOf, type Values } from '../../equipment/drive-words';
import { afterWriting, factorySet, groups, planWrites, type UnitSet } from '.';

const types = ['dunlin-d1', 'knot-k3', 'whimbrel-w4', 'godwit-g4', 'godwit-g6'] as const;
const of = (typeId: (typeof types)[number], region: '50Hz' | '60Hz' = '50Hz'): UnitSet =>
  factorySet(
    {
      typeId,
      control: controlSchema.parse(JSON.parse(readFileSync(`catalogue/${typeId}/control.json`, 'utf8'))),
      rating: { ratedAmps: 15, power_kW: 7.5, supply_V: 400 },
    },
    region,
  );
const numberOf = ({ control }: UnitSet, concept: string) =>
  control.parameters.find((p) => p.concept === concept)?.number ?? '';
/** What a drive that does as the type says has after a plan. */
const carriedOut = (start: UnitSet, target: Values): UnitSet =>
  planWrites(start, target).steps.reduce((set, s) => afterWriting(set, s.number, s.to), start);

it('nothing to do, nothing planned', () => {
  const set = of('whimbrel-w4');
  expect(planWrites(set, set.values)).toEqual({ steps: [], skipped: [], stuck: [] });
});

it('50/60 Hz default set, then application, then motor, sources of run last, each with its reason', () => {
  const now = of('whimbrel-w4', '60Hz');
  const to = of('whimbrel-w4');
  const target = {
    ...to.values,
    [numberOf(to, 'macro')]: 3,
    [numberOf(to, 'motor.current')]: 12.4,
    [numberOf(to, 'place.remote-run')]: 2,
    [numberOf(to, 'ramp.up')]: 9,
  };
  const { steps } = planWrites(now, target);
  const concepts = steps.map((s) => now.control.parameters.find((p) => p.number === s.number)?.concept);
  expect(concepts.slice(0, 2)).toEqual(['region', 'macro']);
  expect(concepts.indexOf('motor.current')).toBeLessThan(concepts.indexOf('ramp.up'));
  expect(concepts.slice(-2)).toEqual(['place.remote-run', 'store.save']);
  expect(steps[0]?.why).toContain('resets all others to factory defaults');
  expect(steps.find((s) => s.number === numberOf(to, 'motor.current'))?.why).toContain('may reset it');
  expect(steps.at(-2)).toMatchObject({ mayStart: true, group: 'sources of run' });
});

it('what a reset brings back is not written again, and what it takes away is', () => {
  const now = of('whimbrel-w4', '60Hz');
  const up = numberOf(now, 'ramp.up');
  const changed = { ...now, values: { ...now.values, [up]: 9 } };
  const target = { ...of('whimbrel-w4').values, [up]: 9 };
  const numbers = planWrites(changed, target).steps.map((s) => s.number);
  // 9 s is what it has now, but the region takes it away.
  expect(numbers).toEqual([numberOf(now, 'region'), up, numberOf(now, 'store.save')]);
});

// Measured on this motor, and the target has them as the unit has them: the reset of the region takes them away.
it.each(types)(
  '%s: what a reset takes away and the target keeps is restored, measured values too',
  (type) => {
    const start = of(type, '60Hz');
    const kept = start.control.parameters.filter(
      (p) => p.concept !== undefined && /stator-resistance|no-load-current/.test(p.concept) && !p.readOnly,
    );
    const own = Object.fromEntries(
      kept.map((p) => [p.number, Number((limitsOf(p, start.rating).min + 3 * p.scale).toFixed(6))]),
    );
    const now = { ...start, values: { ...start.values, ...own } };
    const target = { ...of(type).values, ...own };
    const after = carriedOut(now, target).values;
    expect(kept.map((p) => [p.number, after[p.number]])).toEqual(Object.entries(own));
    // On another unit they are not its own: measured again there.
    const other = planWrites(start, target);
    expect(other.steps.filter((s) => s.number in own)).toEqual([]);
  },
);

it('readings, commands and what the parameter cannot take are skipped with the reason', () => {
  const set = of('whimbrel-w4');
  const { skipped, steps } = planWrites(set, {
    ...set.values,
    [numberOf(set, 'motor.ident-state')]: 1,
    [numberOf(set, 'store.save')]: 1,
    [numberOf(set, 'ramp.up')]: 1e6,
  });
  expect(steps).toEqual([]);
  expect(skipped.map((s) => s.why).join()).toMatch(/read only.*outside 0.1 to 600.*command/);
});

it('a parameter of a board that is not fitted is not planned', () => {
  const set = of('whimbrel-w4');
  const encoder = numberOf(set, 'protect.encoder');
  const { [encoder]: _, ...without } = set.values;
  const plan = planWrites({ ...set, values: without }, { ...set.values, [encoder]: 0 });
  expect(plan.steps).toEqual([]);
  expect(plan.skipped).toMatchObject([{ number: encoder, why: expect.stringContaining('option') as string }]);
});

it('a drive that is locked is opened first, kept at the end, and locked last where the set says so', () => {
  const base = of('whimbrel-w4');
  const [lock, up, save] = [
    numberOf(base, 'lock.parameters'),
    numberOf(base, 'ramp.up'),
    numberOf(base, 'store.save'),
  ];
  const locked = { ...base, values: { ...base.values, [lock]: 1 } };
  const open = planWrites(locked, { ...base.values, [up]: 9 });
  expect(open.steps.map((s) => [s.number, s.to])).toEqual([
    [lock, 0],
    [up, 9],
    [save, 1],
  ]);
  const again = planWrites(base, { ...base.values, [up]: 9, [lock]: 1 });
  expect(again.steps.map((s) => [s.number, s.to])).toEqual([
    [up, 9],
    [lock, 1],
    [save, 1],
  ]);
});

describe('a parameter that another one brings along', () => {
  /** A type whose entries need others, by concept: no shipped type has such a pair. */
  const needing = (pairs: Record<string, string>): UnitSet => {
    const set = of('whimbrel-w4');
    const parameters = set.control.parameters.map((p) => {
      const needs = p.concept === undefined ? undefined : pairs[p.concept];
      return needs === undefined ? p : { ...p, needs: { number: numberOf(set, needs), is: [1] } };
    });
    return { ...set, control: { ...set.control, parameters } };
  };

  it('comes after it, and says so', () => {
    const set = needing({ 'ramp.up': 'ramp.s-curve' });
    const [up, curve] = [numberOf(set, 'ramp.up'), numberOf(set, 'ramp.s-curve')];
    const { steps } = planWrites(set, { ...set.values, [up]: 9, [curve]: 1 });
    expect(steps.map((s) => s.number)).toEqual([curve, up, numberOf(set, 'store.save')]);
    expect(steps[1]?.why).toBe(`available only after ${curve} is written`);
  });

  it('and that one by the first: nothing of both is planned, and both are named', () => {
    const set = needing({ 'ramp.up': 'ramp.s-curve', 'ramp.s-curve': 'ramp.up' });
    const [up, curve] = [numberOf(set, 'ramp.up'), numberOf(set, 'ramp.s-curve')];
    const plan = planWrites(set, { ...set.values, [up]: 9, [curve]: 1, [numberOf(set, 'ramp.down')]: 7 });
    expect(plan.steps.map((s) => s.number)).toEqual(['ramp.down', 'store.save'].map((c) => numberOf(set, c)));
    expect([...plan.stuck].sort()).toEqual([up, curve].sort());
  });
});

describe.each(types)('any target of %s', (type) => {
  it('is reached by its plan, in the order of the groups, never twice', () => {
    const base = of(type);
    const changeable = base.control.parameters.filter((p) => !p.readOnly);
    fc.assert(
      fc.property(
        fc.subarray(changeable, { maxLength: 25 }),
        fc.infiniteStream(fc.double({ min: 0, max: 1, noNaN: true })),
        fc.constantFrom('50Hz' as const, '60Hz' as const),
        (some, shares, region) => {
          const changed = some.map((p): [string, number] => {
            const { value: share = 0 } = shares.next() as IteratorResult<number, undefined>;
            const pick = p.choices?.[Math.floor(share * p.choices.length * 0.999)];
            const { min, max } = limitsOf(p, base.rating);
            const steps = Math.floor(share * Math.floor((max - min) / p.scale));
            return [p.number, pick?.value ?? Number((min + steps * p.scale).toFixed(6))];
          });
          const target = { ...base.values, ...Object.fromEntries(changed) };
          const start = of(type, region);
          const plan = planWrites(start, target);
          const numbers = plan.steps.map((s) => s.number);
          const skipped = new Set(plan.skipped.map((s) => s.number));
          const end = carriedOut(start, target).values;
          const ranks = plan.steps
            .filter((s) => base.control.parameters.find((p) => p.number === s.number)?.resets === undefined)
            .filter((s) => !s.why.startsWith('available only after'))
            .map((s) => groups.indexOf(s.group));
          return (
            new Set(numbers).size === numbers.length &&
            plan.stuck.length === 0 &&
            ranks.every((r, i) => i === 0 || r >= (ranks[i - 1] ?? 0)) &&
            Object.entries(target).every(([n, v]) => skipped.has(n) || end[n] === v)
          );
        },
      ),
      { numRuns: 60 },
    );
  });
});
