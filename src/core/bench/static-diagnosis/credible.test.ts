import fc from 'fast-check';
import {
  commonMeter,
  forwardPlan,
  fullPlan,
  networkOf,
  readings,
  stage,
  type Value,
} from '../../equipment/power-stage';
import { conclude, diagnose, tablesFor, type Diagnosis } from '.';

const unit = stage({ frontEnd: 'diode-1ph' });
const tables = tablesFor(unit, commonMeter);
const judge = (values: (i: number) => Value, plan = fullPlan(unit)): Diagnosis =>
  diagnose(
    tables,
    plan.map(({ red, black }, i) => ({ red, black, value: values(i) })),
  );

describe('values that no unit gives', () => {
  it.each([
    ['all below zero', -0.4],
    ['all far above a junction', 1.2],
    ['all nearly nothing', 0.03],
    ['all beyond the display', 45.1],
  ])('%s: no verdict, and why', (_, volts) => {
    for (const plan of [forwardPlan(unit), fullPlan(unit)]) {
      const diagnosis = judge(() => volts, plan);
      expect(diagnosis).toMatchObject({ verdict: 'invalid', candidates: [] });
      expect(diagnosis.caseNotes[0]?.text).toMatch(/measure again/);
    }
  });

  it('never a verdict from values out of the air', () => {
    const value: fc.Arbitrary<Value> = fc.oneof(
      fc.constant<Value>('OL'),
      fc.integer({ min: -2000, max: 2000 }).map((mV) => mV / 1000),
    );
    const list = fc.array(value, { minLength: fullPlan(unit).length, maxLength: fullPlan(unit).length });
    fc.assert(
      fc.property(list, (values) => {
        const { verdict } = judge((i) => values[i] ?? 'OL');
        expect(['invalid', 'doubtful']).toContain(verdict);
      }),
      { numRuns: 12, seed: 3 },
    );
  });

  it('says which readings it cannot explain, and keeps them judged', () => {
    const diagnosis = judge((i) => (i % 2 === 0 ? -1.5 : 1.9));
    expect(diagnosis.repeat.length).toBeGreaterThan(5);
    expect(diagnosis.readings).toHaveLength(fullPlan(unit).length);
    expect(conclude(diagnosis, unit).tone).not.toBe('sound');
  });
});

it('two slips in a good test are forgiven, and asked for again', () => {
  const taken = readings(networkOf({ stage: unit, temperature_C: 25 }), fullPlan(unit), commonMeter);
  const slipped = taken.map((r, i) => (i === 3 || i === 5 ? { ...r, value: 1.4 } : r));
  const { verdict, repeat } = diagnose(tables, slipped);
  expect(verdict).toBe('doubtful');
  expect(repeat.map((r) => `${r.red} ${r.black}`)).toEqual(
    expect.arrayContaining([3, 5].map((i) => `${taken[i]?.red} ${taken[i]?.black}`)),
  );
});
