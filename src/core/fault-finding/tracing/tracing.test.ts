import fc from 'fast-check';
import { costOf, isDead, minutesWith } from './reason';
import {
  posterior,
  proof_min,
  traceFrom,
  tryingMinutes,
  usualTables,
  type CheckAnswer,
  type Check,
  type Trace,
  type TraceContext,
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

/** Expected minutes of a policy that may check or try remedies at every point; a dead proof lasts until power is on again. */
function expected(table: TraceTable, choose: 'best' | 'tracer'): number {
  const known = new Map<string, number>();
  const from = (answers: readonly CheckAnswer[], proven: boolean): number => {
    const key = `${proven} ${[...answers.map((a) => `${a.check}=${a.outcome}`)].sort().join()}`;
    const before = known.get(key);
    if (before !== undefined) return before;
    const chances = posterior(table, answers);
    const trying = tryingMinutes(table, chances, proven);
    const after = (check: Check): number => {
      const still = isDead(check) || (proven && check.hazard === 'none');
      return check.outcomes.reduce(
        (sum, o) => {
          const share = table.causes.reduce(
            (s, { id }, i) => s + (chances[i] ?? 0) * (o.given[id] ?? o.otherwise),
            0,
          );
          return share <= 0
            ? sum
            : sum + share * from([...answers, { check: check.id, outcome: o.id }], still);
        },
        costOf(check, proven),
      );
    };
    const left = table.checks.filter((c) => !answers.some((a) => a.check === c.id));
    const { next } = traceFrom(table, answers, { proven, released: true });
    const minutes =
      choose === 'best' ? Math.min(trying, ...left.map(after)) : next === null ? trying : after(next.check);
    known.set(key, minutes);
    return minutes;
  };
  return from([], false);
}

it('comes within a few per cent of the best plan by exhaustive search', () => {
  const ratios: number[] = [];
  fc.assert(
    fc.property(
      weights.chain((causes) => checksFor(causes.length).map((checks) => tableOf(causes, checks))),
      (table) => {
        const ratio = expected(table, 'tracer') / expected(table, 'best');
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

  const untried = (table: TraceTable) => tryingMinutes(table, posterior(table, []));

  it('the checks are worth their minutes: never worse than trying, and far better in nearly every table', () => {
    const shares = usualTables.map(
      (table) => [table.family, expected(table, 'tracer') / untried(table)] as const,
    );
    expect(shares.filter(([, share]) => share > 1)).toEqual([]);
    expect(shares.filter(([, share]) => share > 0.95).length).toBeLessThan(shares.length / 10);
  });

  // The best plan is searched through all answers: where there are more checks than these that takes minutes.
  const searchable = usualTables.filter(({ checks }) => checks.length <= 6);
  it.each(searchable.map((t) => [t.family, t] as const))('%s: close to the best of all plans', (_, table) => {
    expect(expected(table, 'tracer')).toBeLessThan(1.1 * expected(table, 'best'));
  });

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
  it('asks for the dead fuse check before the live volts, and what only costs a question before both', () => {
    const table = tableFor('input-phase-loss');
    const asked = [{ check: 'three', outcome: 'yes' }];
    expect(traceFrom(table, asked).next?.check.hazard).toBe('none');
    const { next } = traceFrom(table, [...asked, { check: 'ripple', outcome: 'no' }]);
    expect(next?.check.id).toBe('fuses');
  });

  const offered = (table: TraceTable, answers: CheckAnswer[], context: TraceContext) => {
    const { next, others } = traceFrom(table, answers, context);
    return [next?.check, ...others.map((o) => o.check)].map((c) => c?.id);
  };

  it('offers nothing with power on after an earth fault before bench and insulation passed', () => {
    const table = tableFor('ground');
    expect(offered(table, [], {})).not.toContain('unloaded');
    // An answer alone releases nothing: the job decides.
    expect(offered(table, [{ check: 'whole', outcome: 'no' }], {})).not.toContain('unloaded');
    expect(traceFrom(table, []).withheld.map((c) => c.id)).toEqual(['unloaded']);
    expect(offered(table, [], { released: true })).toContain('unloaded');
  });

  it('the fault that is shown decides, whatever table is open', () => {
    const table = tableFor('undervoltage');
    expect(offered(table, [], {})).toContain('load');
    expect(offered(table, [], { shown: 'desaturation' })).not.toContain('load');
    expect(offered(table, [], { shown: 'desaturation', released: true })).toContain('load');
  });

  it('counts the dead proof once: under it, the next dead check costs little', () => {
    const table = tableFor('output-phase-loss');
    const cold = traceFrom(table, [{ check: 'switch', outcome: 'no' }]);
    const warm = traceFrom(table, [{ check: 'switch', outcome: 'no' }], { proven: true });
    const savesOf = (trace: Trace, id: string) =>
      [trace.next, ...trace.others].find((one) => one?.check.id === id)?.saves_min ?? NaN;
    expect(savesOf(warm, 'lugs') - savesOf(cold, 'lugs')).toBeLessThanOrEqual(proof_min);
    expect(warm.next?.check.hazard).toBe('dead');
    const ohms = table.checks.find((c) => c.id === 'ohms');
    if (ohms === undefined) throw new Error('No such check');
    expect(costOf(ohms, false) - costOf(ohms, true)).toBe(25);
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
    expect(next?.why).toMatch(/minutes, including isolation time.* and saves \d+ of \d+/);
    if (next === null) throw new Error('no next');
    expect(next.saves_min).toBeCloseTo(
      tryingMinutes(table, posterior(table, [])) -
        minutesWith(table, posterior(table, []), next.check, { left: table.checks, proven: false }),
      9,
    );
  });
});
