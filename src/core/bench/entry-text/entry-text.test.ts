import fc from 'fast-check';
import { readDiodeTest, readVolts } from '.';

const value = (text: string) => {
  const typed = readDiodeTest(text, 2);
  return typed.kind === 'value' ? typed.value : typed.kind;
};

describe('what is typed for a diode test', () => {
  it.each([
    ['0.451', 0.451],
    ['.451', 0.451],
    ['0,451', 0.451],
    [',451', 0.451],
    ['451 mV', 0.451],
    ['451mv', 0.451],
    ['0.451 V', 0.451],
    [' 0.45 ', 0.45],
    ['0', 0],
    ['0.000', 0],
    ['1.2', 1.2],
    ['OL', 'OL'],
    ['ol', 'OL'],
    ['O.L', 'OL'],
    ['0.L', 'OL'],
    ['0L', 'OL'],
    ['.OL', 'OL'],
    ['1.', 'OL'],
    ['1 .', 'OL'],
    ['overload', 'OL'],
    ['climbing', 'climbing'],
    ['C', 'climbing'],
  ])('%s is %s', (text, expected) => {
    expect(value(text)).toBe(expected);
  });

  it.each([
    ['45.1', [4.51, 0.451]],
    ['451', [0.451]],
    ['4.51', [0.451]],
  ])('%s is questioned: the point slipped', (text, offered) => {
    const typed = readDiodeTest(text, 2);
    expect(typed.kind).toBe('question');
    const numbers =
      typed.kind === 'question' ? typed.choices.map((c) => c.value).filter((v) => v !== 'OL') : [];
    expect(numbers).toEqual(offered.filter((v) => v <= 1.2));
  });

  it.each(['1', '-0.451', '−0.451'])('%s is questioned', (text) => {
    expect(value(text)).toBe('question');
  });

  it.each(['', 'abc', '0.4.5', '0.451 0.447', '<script>', 'NaN', 'Infinity5', '0.45 A'])(
    '“%s” is unreadable, and says what to type',
    (text) => {
      const typed = readDiodeTest(text, 2);
      expect(typed.kind).toBe('unreadable');
      expect(typed.kind === 'unreadable' && typed.why).toMatch(/[Tt]ype/);
    },
  );

  it('never turns any text into a value above the display’s end or into no number', () => {
    fc.assert(
      fc.property(
        fc.oneof(fc.string(), fc.double().map(String), fc.stringMatching(/^[-+0-9.,OLmV ]{0,8}$/)),
        (text) => {
          const typed = readDiodeTest(text, 2);
          if (typed.kind === 'value' && typeof typed.value === 'number') {
            expect(typed.value).toBeGreaterThanOrEqual(0);
            expect(typed.value).toBeLessThanOrEqual(2);
          }
        },
      ),
      { seed: 7, numRuns: 500 },
    );
  });
});

describe('what is typed for the dead proof', () => {
  it.each([
    ['0', 0],
    ['3.1', 3.1],
    ['3,1 V', 3.1],
    ['-12', -12],
    ['40 mV', 0.04],
    ['540', 540],
  ])('%s is %s V', (text, volts) => {
    expect(readVolts(text)).toEqual({ kind: 'volts', volts });
  });
  it.each(['', 'dead', 'OL', '99999', 'ok'])('“%s” is not a number', (text) => {
    expect(readVolts(text).kind).toBe('unreadable');
  });
});
