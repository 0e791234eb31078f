import fc from 'fast-check';
import { traceFrom, usualTables, type TraceTable } from '@/core/fault-finding/tracing';
import { traceTableSchema } from '@/core/fault-finding/tracing/schema';
import { chanceOf, changeAt, withCause, withChance, withCheck, withoutCause } from './edit';

const fan = (): TraceTable => {
  const found = usualTables.find((t) => t.family === 'fan');
  if (found === undefined) throw new Error('no table for the fan');
  return found;
};
const named = (table: TraceTable): TraceTable => ({
  ...table,
  causes: table.causes.map((c) => (c.name === '' ? { ...c, name: 'new', remedy: 'mend it' } : c)),
  checks: table.checks.map((c) => (c.what === '' ? { ...c, what: 'look' } : c)),
});

it('a chance that is edited leaves the chances of a check at one, whatever is typed', () => {
  const [check] = fan().checks;
  if (check === undefined) throw new Error('no check');
  fc.assert(
    fc.property(fc.double({ min: 0, max: 1, noNaN: true }), (chance) => {
      const next = withChance(check, 'dirt', chance);
      const sum = next.outcomes.reduce((s, o) => s + chanceOf(o, 'dirt'), 0);
      expect(sum).toBeCloseTo(1, 9);
      expect(chanceOf(next.outcomes[0] as (typeof next.outcomes)[number], 'dirt')).toBeCloseTo(chance, 9);
      // What is said of the other causes stays.
      expect(next.outcomes.map((o) => chanceOf(o, 'worn'))).toEqual(
        check.outcomes.map((o) => chanceOf(o, 'worn')),
      );
    }),
  );
});

it('causes and checks come and go, and what is left passes the border and can be traced', () => {
  const more = named(withCheck(withCause(withCause(fan()))));
  expect(traceTableSchema.safeParse(more).error?.issues ?? []).toEqual([]);
  expect(more.causes).toHaveLength(fan().causes.length + 2);
  expect(new Set(more.causes.map((c) => c.id)).size).toBe(more.causes.length);
  const less = withoutCause(more, 'worn');
  expect(traceTableSchema.safeParse(less).success).toBe(true);
  expect(JSON.stringify(less.checks)).not.toContain('worn');
  expect(traceFrom(less, []).causes.reduce((s, c) => s + c.probability, 0)).toBeCloseTo(1, 9);
});

it('an id that was freed is not given twice', () => {
  const twice = withCause(withoutCause(withCause(withCause(fan())), 'cause-5'));
  expect(new Set(twice.causes.map((c) => c.id)).size).toBe(twice.causes.length);
});

it('only the one that was meant is changed', () => {
  const [first, second] = fan().causes;
  if (first === undefined || second === undefined) throw new Error('no causes');
  const list = changeAt(fan().causes, { ...second, weight: 99 });
  expect(list[0]).toBe(first);
  expect(list[1]?.weight).toBe(99);
});
