import { figureFrom, minutesFrom } from './number-from';

it.each([
  ['25,0', 25],
  ['0', 0],
  ['-3.5', -3.5],
  ['−3', -3],
  ['none', null],
  ['', null],
  ['1e3', null],
])('“%s” off a display is %s', (text, value) => {
  expect(figureFrom(text)).toBe(value);
});

it.each([
  ['4', 240],
  ['1,5', 90],
  ['90 min', 90],
  ['2 h', 120],
  ['1 h 30', 90],
  ['1:30', 90],
  ['1:75', null],
  ['soon', null],
  ['-1', null],
  ['', null],
])('a stretch of time: %s', (text, minutes) => {
  expect(minutesFrom(text)).toBe(minutes);
});
