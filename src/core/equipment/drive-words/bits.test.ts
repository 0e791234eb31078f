import { bitsFrom, bitsOfTerminals, wayRound } from '.';

const bits = (text: string): boolean[] => bitsFrom(text) ?? [];

it.each([
  ['001000', [false, false, true, false, false, false]],
  ['0010 00', [false, false, true, false, false, false]],
  ['', null],
  ['0120', null],
  ['00000000000000000', null],
])('reads %p off a display', (text, read) => {
  expect(bitsFrom(text)).toEqual(read);
});

it('is shown over the terminals both ways round', () => {
  expect(bitsOfTerminals(bits('100010'), 6, 'left-first')).toEqual(bits('100010'));
  expect(bitsOfTerminals(bits('100010'), 6, 'right-first')).toEqual(bits('010001'));
  expect(bitsOfTerminals(bits('00100000'), 4, 'right-first')).toEqual(bits('0000'));
});

it('one terminal that is turned tells which way round it is', () => {
  expect(wayRound(bits('001000'), bits('001100'), 3, 6)).toBe('left-first');
  expect(wayRound(bits('001000'), bits('001100'), 2, 6)).toBe('right-first');
  // Neither end: another terminal was turned, or something else moved.
  expect(wayRound(bits('001000'), bits('001100'), 0, 6)).toBeNull();
  expect(wayRound(bits('001000'), bits('101100'), 3, 6)).toBeNull();
  expect(wayRound(bits('001000'), bits('001000'), 3, 6)).toBeNull();
  // The middle of an odd row is the same from both ends.
  expect(wayRound(bits('00000'), bits('00100'), 2, 5)).toBeNull();
});
