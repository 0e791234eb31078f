import fc from 'fast-check';
import { costOf, minutesWith } from './reason';
import {
  posterior,
  traceFrom,
  tryingMinutes,
  usualTables,
  type CheckAnswer,
  type Check,
  type TraceTable,
} from '.';

const tableFor = (family: TraceTable['family']): TraceTable => {
  const table = usualTables.find((t) => t.family === family);
  if (table === undefined) throw new Error(family);
  return table;
};

const weights = fc.array(
  fc.record({
    weight: fc.double({ min: 0.05, max: 1, noNaN: true }),
    cure_min: fc.integer({ min: 1, max: 120 }),
  }),
  {
    minLength: 2,
    maxLength: 5,
  },
);
const tableOf = (causes: { weight: number; cure_min: number }[], checks: Check[] = []): TraceTable => ({
  family: 'other',
  provenance: 'random',
  deadFirst: false,
  causes: causes.map((c, i) => ({ id: `c${i}`, name: `c${i}`, remedy: '', ...c })),
  checks,
});
const permutations = <T>(list: readonly T[]): T[][] =>
  list.length <= 1
    ? [[...list]]
    : list.flatMap((x, i) =>
        permutations([...list.slice(0, i), ...list.slice(i + 1)]).map((rest) => [x, ...rest]),
      );

it('trying by likelihood over minutes is the best of all orders', () => {
  fc.assert(
    fc.property(weights, (causes) => {
      const table = tableOf(causes);
      const chances = posterior(table, []);
      const costs = permutations(causes.map((_, i) => i)).map((order) => {
        let spent = 0;
        return order.reduce((sum, i) => {
          spent += causes[i]?.cure_min ?? 0;
          return sum + (chances[i] ?? 0) * spent;
        }, 0);
      });
      expect(tryingMinutes(table, chances)).toBeCloseTo(Math.min(...costs), 6);
    }),
    { numRuns: 60 },
  );
});

const checksFor = (count: number): fc.Arbitrary<Check[]> =>
  fc
    .array(
      fc.record({
        minutes: fc.integer({ min: 1, max: 20 }),
        chances: fc.array(fc.double({ min: 0.02, max: 0.98, noNaN: true }), {
          minLength: count,
          maxLength: count,
        }),
      }),
      { minLength: 1, maxLength: 4 },
    )
    .map((list) =>
      list.map(({ minutes, chances }, k): Check => {
        const given = Object.fromEntries(chances.map((p, i) => [`c${i}`, p]));
        const rest = Object.fromEntries(chances.map((p, i) => [`c${i}`, 1 - p]));
        return {
          id: `k${k}`,
          what: '',
          minutes,
          hazard: 'none',
          outcomes: [
            { id: 'yes', words: '', given, otherwise: 0 },
            { id: 'no', words: '', given: rest, otherwise: 0 },
          ],
        };
      }),
    );

/** Expected minutes of a policy that may check or try remedies at every point. */
function expected(table: TraceTable, answers: readonly CheckAnswer[], choose: 'best' | 'tracer'): number {
  const chances = posterior(table, answers);
  const trying = tryingMinutes(table, chances);
  const left = table.checks.filter((c) => !answers.some((a) => a.check === c.id));
  const after = (check: Check): number =>
    check.outcomes.reduce((sum, o) => {
      const share = table.causes.reduce(
        (s, { id }, i) => s + (chances[i] ?? 0) * (o.given[id] ?? o.otherwise),
        0,
      );
      return share <= 0
        ? sum
        : sum + share * expected(table, [...answers, { check: check.id, outcome: o.id }], choose);
    }, costOf(check));
  if (choose === 'best') return Math.min(trying, ...left.map(after));
  const { next } = traceFrom(table, answers);
  return next === null ? trying : after(next.check);
}

it('comes within a few per cent of the best plan by exhaustive search', () => {
  const ratios: number[] = [];
  fc.assert(
    fc.property(
      weights.chain((causes) => checksFor(causes.length).map((checks) => tableOf(causes, checks))),
      (table) => {
        const ratio = expected(table, [], 'tracer') / expected(table, [], 'best');
        ratios.push(ratio);
        expect(ratio).toBeLessThan(1.35);
      },
    ),
    { numRuns: 60, seed: 5 },
  );
  expect(ratios.reduce((a, b) => a + b, 0) / ratios.length).toBeLessThan(1.03);
});

describe('the tables that ship', () => {
  it.each(usualTables.map((t) => [t.family, t] as const))(
    '%s: every chance is one, every name is known',
    (_, table) => {
      const ids = table.causes.map((c) => c.id);
      expect(new Set(ids).size).toBe(ids.length);
      for (const check of table.checks) {
        for (const id of ids)
          expect(check.outcomes.reduce((sum, o) => sum + (o.given[id] ?? o.otherwise), 0)).toBeCloseTo(1, 9);
        for (const o of check.outcomes) for (const id of Object.keys(o.given)) expect(ids).toContain(id);
      }
    },
  );

  it.each(usualTables.map((t) => [t.family, t] as const))(
    '%s: the checks are worth their minutes',
    (_, table) => {
      const guided = expected(table, [], 'tracer');
      expect(guided).toBeLessThan(0.95 * tryingMinutes(table, posterior(table, [])));
      expect(guided).toBeLessThan(1.1 * expected(table, [], 'best'));
    },
  );

  it.each([
    ['input-phase-loss', 'fuses', 'yes', 'fuse'],
    ['input-phase-loss', 'three', 'no', 'single'],
    ['input-phase-loss', 'static', 'yes', 'diode'],
    ['overvoltage-decelerating', 'parameter', 'yes', 'chopper-off'],
    ['overvoltage-decelerating', 'ohms', 'yes', 'resistor'],
    ['ground', 'motor', 'yes', 'motor'],
    ['ground', 'static', 'yes', 'inverter'],
  ] as const)('%s, %s: %s points to %s', (family, check, outcome, cause) => {
    expect(traceFrom(tableFor(family), [{ check, outcome }]).causes[0]?.id).toBe(cause);
  });
});

describe('safety of the order', () => {
  it('asks for the dead fuse check before the live volts', () => {
    const table = tableFor('input-phase-loss');
    const { next } = traceFrom(table, [{ check: 'three', outcome: 'yes' }]);
    expect(next?.check.hazard).toBe('dead');
  });

  it('offers nothing with power on after a ground trip before something was measured dead', () => {
    const table = tableFor('ground');
    const all = (answers: CheckAnswer[]) => {
      const { next, others } = traceFrom(table, answers);
      return [next?.check, ...others.map((o) => o.check)].map((c) => c?.id);
    };
    expect(all([])).not.toContain('unloaded');
    expect(all([{ check: 'whole', outcome: 'no-tool' }])).not.toContain('unloaded');
    expect(all([{ check: 'whole', outcome: 'no' }])).toContain('unloaded');
  });

  it('takes "no tool" for an answer, and asks something else', () => {
    const table = tableFor('ground');
    const before = traceFrom(table, []);
    const after = traceFrom(table, [{ check: before.next?.check.id ?? '', outcome: 'no-tool' }]);
    expect(after.next?.check.id).not.toBe(before.next?.check.id);
    expect(after.causes.map((c) => c.probability)).toEqual(before.causes.map((c) => c.probability));
  });

  it('says why this one', () => {
    const table = tableFor('input-phase-loss');
    const { next } = traceFrom(table, []);
    expect(next?.why).toMatch(/minutes, hazard counted in, and saves \d+ of \d+/);
    if (next === null) throw new Error('no next');
    expect(next.saves_min).toBeCloseTo(
      tryingMinutes(table, posterior(table, [])) - minutesWith(table, posterior(table, []), next.check),
      9,
    );
  });
});
