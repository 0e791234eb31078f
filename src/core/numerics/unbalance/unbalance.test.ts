import fc from 'fast-check';
import { unbalance, unbalanceOf } from '.';

// NEMA MG 1, from memory: 220, 215 and 210 V are 2.3 % unbalance by their mean of 215.
it('is the largest deviation from the mean over the mean', () => {
  expect(unbalanceOf([220, 215, 210])).toEqual({ mean: 215, unbalance_percent: 2.33 });
  expect(unbalanceOf([0, 0, 0]).unbalance_percent).toBe(0);
});

it('derates a line-fed motor from 1 % on and lets none run above 5 %', () => {
  const fed = (a: number) => unbalance({ values: [400 + a, 400, 400 - a], of: 'voltage', fedFrom: 'line' });
  expect(fed(0)).toMatchObject({ deratingFactor: 1, verdict: 'pass' });
  expect(fed(4)).toMatchObject({ unbalance_percent: 1, deratingFactor: 1 });
  expect(fed(8)).toMatchObject({ unbalance_percent: 2, deratingFactor: 0.95, verdict: 'doubtful' });
  expect(fed(20)).toMatchObject({ unbalance_percent: 5, deratingFactor: 0.75 });
  expect(fed(24)).toMatchObject({ deratingFactor: 0, verdict: 'fail' });
  fc.assert(
    fc.property(fc.double({ min: 0, max: 19, noNaN: true }), (a) => {
      expect(fed(a + 1).deratingFactor ?? 1).toBeLessThanOrEqual(fed(a).deratingFactor ?? 0);
    }),
  );
});

it('has no derating for what a drive feeds, nor for currents', () => {
  const values = [400, 400, 391] as const;
  expect(unbalance({ values, of: 'voltage', fedFrom: 'drive' })).toMatchObject({
    deratingFactor: null,
    verdict: 'pass',
  });
  expect(unbalance({ values, of: 'current', fedFrom: 'line' }).deratingFactor).toBeNull();
});

// NEMA MG 1 divides by the mean: of nothing there is no unbalance, and no pass.
it.each(['voltage', 'current'] as const)('nothing in all three is no pass: %s', (of) => {
  expect(unbalance({ values: [0, 0, 0], of, fedFrom: 'line' })).toMatchObject({
    verdict: 'fail',
    deratingFactor: null,
  });
});
