import fc from 'fast-check';
import { interpreted, readGrid, readText, withMendedSigns } from '.';
import { choicesIn } from './choices';
import { halfRangeOf, numberOf, rangeOf, unitAlone, valueOf } from './figures';
import { rolesOfHeads } from './heads';
import { joinLines } from './lines';
import { isFaultCode, isParameterNumber, shapeOf, tidyNumber } from './numbers';

describe('values as they are printed', () => {
  it.each([
    ['0.00', 0],
    ['−64.5', -64.5],
    ['12 000', 12_000],
    ['1,5', 1.5],
    ['1,200,000', 1_200_000],
    ['2a', null],
    ['', null],
  ])('%s is %s', (text, value) => expect(numberOf(text)).toBe(value));

  it.each([
    ['0.0 … 400.0 Hz', { min: 0, max: 400, unit: 'Hz' }],
    ['0.1 to 3600 s', { min: 0.1, max: 3600, unit: 's' }],
    ['-100.0 % ~ +100.0 %', { min: -100, max: 100, unit: '%' }],
    ['0 - 65535', { min: 0, max: 65_535, unit: null }],
    ['[0.00–50.00] Hz', { min: 0, max: 50, unit: null }],
    ['1...30000 r/min', { min: 1, max: 30_000, unit: 'rpm' }],
  ])('%s is a range', (text, range) => expect(rangeOf(text)).toEqual(range));

  it('a range that ends in words has no number there', () => {
    expect(rangeOf('0.1 A to rated current')).toBeNull();
    expect(halfRangeOf('0.1 A to rated current')).toEqual({ min: 0.1, max: null, unit: 'A' });
    expect(halfRangeOf('see page 12')).toBeNull();
  });

  it('reads values with their units, and units alone', () => {
    expect(valueOf('50.0 Hz')).toEqual({ value: 50, unit: 'Hz' });
    expect(valueOf('0 (terminals)')).toEqual({ value: 0, unit: null });
    expect(valueOf('rated')).toBeNull();
    expect([unitAlone('[rpm]'), unitAlone('Ohm'), unitAlone('–'), unitAlone('menu')]).toEqual([
      'rpm',
      'Ω',
      null,
      null,
    ]);
  });
});

describe('choices', () => {
  it.each([
    [['0: off', '1: on']],
    [['0 = off; 1 = on']],
    [['[0] off', '[1] on']],
    [['0 – off', '1 – on']],
    [['(0) off (1) on']],
    [['0 off', '1 on']],
  ])('%j lists two', (lines) =>
    expect(choicesIn(lines)).toEqual([
      { value: 0, name: 'off' },
      { value: 1, name: 'on' },
    ]),
  );

  it('puts wrapped names together, and takes signals for names', () => {
    expect(choicesIn(['0: Only active in', 'panel mode', '1: Always'])).toEqual([
      { value: 0, name: 'Only active in panel mode' },
      { value: 1, name: 'Always' },
    ]);
    expect(choicesIn(['1 – Keypad', '2 – 0-10V Input', '3 – 4-20mA Input']).map((c) => c.name)).toEqual([
      'Keypad',
      '0-10V Input',
      '4-20mA Input',
    ]);
  });

  it('a range is no list', () => {
    expect(choicesIn(['0.0 … 400.0 Hz'])).toEqual([]);
    expect(choicesIn(['0 to 10'])).toEqual([]);
  });
});

describe('numbers of parameters', () => {
  it.each(['P1-03', 'F0.01', '0x2010:04', '12', '2010:0A', 'b001', 'Pr.7', '01-20', 'C 5.2'])(
    '%s is one',
    (text) => expect(isParameterNumber(text)).toBe(true),
  );
  it.each(['Hz', '50 Hz', 'Name', 'P1 motor', '…', '12345678901234'])('%s is none', (text) =>
    expect(isParameterNumber(text)).toBe(false),
  );
  it('knows how they are written', () => {
    expect(tidyNumber('P1-03*')).toBe('P1-03');
    expect(shapeOf('P1-03')).toBe('A0-0');
    expect(shapeOf('2010:0A')).toBe(shapeOf('2010:10'));
  });
  it('knows codes of faults from words', () => {
    expect(['E.OC1', 'F005', 'OC', 'E.uv', '14'].every(isFaultCode)).toBe(true);
    expect(['Overcurrent', 'the drive', ''].some(isFaultCode)).toBe(false);
  });
});

it('heads mean what the table is about', () => {
  expect(rolesOfHeads(['Code', 'Function', 'Setting range', 'Factory setting'])).toEqual([
    'number',
    'name',
    'range',
    'default',
  ]);
  expect(rolesOfHeads(['Code', 'Function', 'Cause', 'Remedy'])).toEqual([
    'code',
    'fault-name',
    'cause',
    'remedy',
  ]);
  expect(rolesOfHeads(['Message', 'Description', 'Causes', 'What to do'])).toEqual([
    'code',
    'fault-name',
    'cause',
    'remedy',
  ]);
});

it('a word parted at the end of a line is one again, a hyphen of its own stays', () => {
  expect(joinLines(['Output fre-', 'quency'])).toBe('Output frequency');
  expect(joinLines(['0: 2-', 'wire'])).toBe('0: 2-wire');
  expect(joinLines(['multi-', 'step speed'])).toBe('multi-step speed');
});

describe('files of text', () => {
  const expected = { number: 'P01', name: 'Max. speed', unit: 'Hz', min: 5, max: 300, default: 50 };
  it.each([
    [
      'semicolons',
      'No;Name;Range;Default\nP01;Max. speed;5.0 - 300.0 Hz;50.0\nP02;Run-up time;0.1 - 999 s;4\n',
    ],
    [
      'tabs',
      'No\tName\tRange\tDefault\nP01\tMax. speed\t5.0 - 300.0 Hz\t50.0\nP02\tRun-up time\t0.1 - 999 s\t4\n',
    ],
    [
      'bars',
      '| No | Name | Range | Default |\n|---|---|---|---|\n| P01 | Max. speed | 5.0 - 300.0 Hz | 50.0 |\n',
    ],
    [
      'columns of one width',
      'No     Name           Range             Default\nP01    Max. speed     5.0 - 300.0 Hz    50.0\nP02    Run-up time    0.1 - 999 s       4\n',
    ],
  ])('parted by %s', (_, text) => expect(readText(text).entries[0]).toMatchObject(expected));

  it('data sheets (CiA 306): objects of the maker, without counters', () => {
    const sheet =
      '[FileInfo]\nFileName=a.eds\n[2010]\nParameterName=Motor data\nObjectType=0x9\nSubNumber=2\n' +
      '[2010sub0]\nParameterName=Number of entries\nObjectType=0x7\nDataType=0x0005\nDefaultValue=1\n' +
      '[2010sub1]\nParameterName=Rated current\nObjectType=0x7\nDataType=0x0006\nLowLimit=1\nHighLimit=0x0258\nDefaultValue=50\n' +
      '[1000]\nParameterName=Device type\nObjectType=0x7\nDataType=0x0007\nDefaultValue=0\n';
    expect(readText(sheet).entries).toMatchObject([
      { number: '2010:01', name: 'Rated current', min: 1, max: 600, default: 50, group: 'Motor data' },
    ]);
  });

  it('what cannot be read is listed, and nothing is made of it', () => {
    const { entries, unread } = readGrid([
      ['No', 'Name', 'Range', 'Default'],
      ['P01', 'Max. speed', '5 - 300 Hz', '50'],
      ['see', 'also the next page', 'and', 'more'],
      ['P02', 'Run-up time', 'x to y', 'much'],
    ]);
    expect(entries).toMatchObject([
      { number: 'P01' },
      { number: 'P02', min: null, max: null, default: null, rangeText: 'x to y', defaultText: 'much' },
    ]);
    expect(unread).toEqual([{ page: 1, text: 'see | also the next page | and | more' }]);
  });

  it('tells of a manual in another language, and of one without tables', () => {
    const rows = Array.from({ length: 10 }, (_, i) => [
      `P${i}`,
      `Höchstdrehzahl Bremswiderstand ${i}`,
      '0 - 10',
      '1',
    ]);
    const german = interpreted(readGrid([['No', 'Name', 'Range', 'Default'], ...rows]));
    expect(german.findings.map((f) => f.code)).toEqual(['other-language']);
    expect(interpreted(readText('A letter.\nIt has no table.\n')).findings.map((f) => f.code)).toEqual([
      'nothing-found',
    ]);
  });

  it('whatever the text is: every entry has a number and a name that stand in it', () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.array(
            fc.constantFrom('No', 'Name', 'Range', 'P01', 'P1-2', '0 - 5', '0: a 1: b', 'x', '', '=', 'Hz'),
            { maxLength: 6 },
          ),
          {
            maxLength: 12,
          },
        ),
        (rows) => {
          const text = rows.map((row) => row.join(';')).join('\n');
          for (const { number, name } of readText(text).entries) {
            expect(text.replace(/ /g, '')).toContain(number);
            expect(text).toContain(name);
          }
        },
      ),
      { numRuns: 200, seed: 7, endOnFailure: true },
    );
  });
});

describe('signs that a reader of letters mistakes', () => {
  const scanned = (text: string) => withMendedSigns(readText(text)).entries;
  const list = (odd: string) =>
    `No;Name;Unit;Range;Default\nA0-01;Speed;Hz;1 - 60;50\nA0-02;Current;A;1 - 9;4\nA0-03;Time;s;1 - 9;4\n${odd}\n`;

  it('are put right where all other numbers are written otherwise', () => {
    expect(scanned(list('AO-10;Resistance;Q;0 - 9;4')).at(-1)).toMatchObject({ number: 'A0-10', unit: 'Ω' });
  });

  it('stay where the number that is meant has another parameter, or none can be meant', () => {
    expect(scanned(list('AO-01;Ramp;s;0 - 9;4')).map((e) => e.number)).toContain('AO-01');
    expect(scanned(list('AX-01;Ramp;s;0 - 9;4')).map((e) => e.number)).toContain('AX-01');
  });
});
