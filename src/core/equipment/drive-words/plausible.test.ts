import { displayDoubt } from '.';

it.each([
  ['bus', 541, null],
  ['bus', 0, null],
  ['bus', 99_999, '99999 V? A unit for 400 V shows 0 to 1131 V. Look once more.'],
  ['bus', -20, '-20 V? A unit for 400 V shows 0 to 1131 V. Look once more.'],
  ['reference', -50, null],
  ['reference', 5000, '5000 Hz? A unit for 400 V shows -1000 to 1000 Hz. Look once more.'],
] as const)('%s %d', (of, value, doubt) => {
  expect(displayDoubt(of, value, 400)).toBe(doubt);
});
