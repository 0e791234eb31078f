import { figureFrom } from './number-from';

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
