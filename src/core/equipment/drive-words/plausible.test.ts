import { displayDoubt } from '.';

it.each([
  ['bus', 541, null],
  ['bus', 0, null],
  ['bus', 99_999, '99999 V? A 400 V unit shows 0 to 1131 V. Check again.'],
  ['bus', -20, '-20 V? A 400 V unit shows 0 to 1131 V. Check again.'],
  ['reference', -50, null],
  ['reference', 5000, '5000 Hz? A 400 V unit shows -1000 to 1000 Hz. Check again.'],
] as const)('%s %d', (of, value, doubt) => {
  expect(displayDoubt(of, value, 400)).toBe(doubt);
});
