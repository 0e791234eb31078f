import { rangeFrom, rangeText } from './ranges';

it.each<[string, ReturnType<typeof rangeFrom>]>([
  ['', null],
  ['?', null],
  ['300', [300, 300]],
  ['0,5', [0.5, 0.5]],
  ['200 to 400', [200, 400]],
  ['400-200', [200, 400]],
  ['5 – 15', [5, 15]],
  ['a lot', undefined],
  ['-3', undefined],
  ['1 to 2 to 3', undefined],
])('“%s”', (text, range) => {
  expect(rangeFrom(text)).toEqual(range);
});

it('is shown as one would type it', () => {
  expect([null, [3, 3], [2, 5]].map((r) => rangeText(r as never))).toEqual(['', '3', '2 to 5']);
  for (const r of [
    [0, 0],
    [1.5, 2],
  ] as const)
    expect(rangeFrom(rangeText(r))).toEqual(r);
});
