import { NotPositiveDefinite, solveInPlace } from '.';

const dense = (rows: readonly (readonly number[])[]): Float64Array => Float64Array.from(rows.flat());

it('solves a system whose answer is known', () => {
  const matrix = dense([
    [4, 2, 0],
    [2, 5, 3],
    [0, 3, 6],
  ]);
  const rhs = Float64Array.from([8, 21, 24]);
  const halfLog = solveInPlace(matrix, 3, rhs);
  expect([...rhs].map((x) => Number(x.toFixed(12)))).toEqual([1, 2, 3]);
  // Its determinant, by hand: 4 (30 − 9) − 2 (12 − 0) = 60.
  expect(halfLog).toBeCloseTo(Math.log(60) / 2, 12);
});

it('solves nothing of nothing', () => {
  expect(solveInPlace(new Float64Array(0), 0, new Float64Array(0))).toBe(0);
});

it.each([
  [
    'indefinite',
    [
      [1, 2],
      [2, 1],
    ],
  ],
  [
    'singular',
    [
      [1, 1],
      [1, 1],
    ],
  ],
  ['zero', [[0]]],
  ['no numbers', [[NaN]]],
])('refuses a matrix that is %s, and names the pivot', (_, rows) => {
  const n = rows.length;
  expect(() => solveInPlace(dense(rows), n, new Float64Array(n))).toThrow(NotPositiveDefinite);
});

it('a matrix that is large beside its rounding passes, a hair below zero does not', () => {
  expect(() => solveInPlace(Float64Array.of(1e-280), 1, Float64Array.of(1))).not.toThrow();
  expect(() => solveInPlace(Float64Array.of(-1e-280), 1, Float64Array.of(1))).toThrow(/row 0 is -1e-280/);
});
