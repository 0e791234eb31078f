import { fivePoints, scaled } from '.';

it('0 to 10 V over 0 to 50 Hz', () => {
  expect(fivePoints({ signal: '0-10V', atLow: 0, atHigh: 50 }).map((p) => [p.signal, p.stands])).toEqual([
    [0, 0],
    [2.5, 12.5],
    [5, 25],
    [7.5, 37.5],
    [10, 50],
  ]);
});

it('4 to 20 mA over 10 to 60 Hz: 12 mA is the middle', () => {
  const line = { signal: '4-20mA', atLow: 10, atHigh: 60 } as const;
  expect(scaled(line, 12)).toBe(35);
  expect(fivePoints(line)[1]).toEqual({
    signal: 8,
    unit: 'mA',
    stands: 22.5,
    sum: '10 + (8 − 4) ÷ 16 × 50 = 22.5',
  });
  expect(scaled(line, 2)).toBeLessThan(10);
});

it('an inverted line falls', () => {
  expect(fivePoints({ signal: '±10V', atLow: 50, atHigh: 0 }).map((p) => p.stands)).toEqual([
    50, 37.5, 25, 12.5, 0,
  ]);
});
