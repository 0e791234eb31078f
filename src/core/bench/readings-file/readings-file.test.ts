import Papa from 'papaparse';
import * as fc from 'fast-check';
import { stage, terminals, type Value } from '../../equipment/power-stage';
import { asCase, asCsv, asJsonLines, readReadings, type ReadingLine } from '.';

const strip = [
  { mark: 'R', terminal: 'L1' },
  { mark: 'S', terminal: 'L2' },
  { mark: 'T', terminal: 'L3' },
  { mark: 'U', terminal: 'U' },
  { mark: 'V', terminal: 'V' },
  { mark: 'W', terminal: 'W' },
  { mark: 'P', terminal: 'DC+' },
  { mark: 'N', terminal: 'DC-' },
  { mark: 'E', terminal: 'PE' },
];
const read = (text: string, kept: Parameters<typeof readReadings>[2] = []): ReadingLine[] =>
  readReadings(text, strip, kept, 2);
const values = (lines: readonly ReadingLine[]): unknown[] =>
  lines.map((l) => (l.kind === 'reading' ? [l.reading.red, l.reading.black, l.reading.value] : l.kind));

describe('tables', () => {
  const same = [
    ['L1', 'DC+', 0.449],
    ['DC-', 'L2', 'OL'],
  ];
  it.each([
    ['comma and head', 'red,black,value\nL1,DC+,0.449\nDC-,L2,OL\n'],
    ['no head', 'L1,DC+,0.449\nDC-,L2,OL'],
    ['semicolon, decimal comma, marks of the nameplate', 'Black;Red;Reading\nP;R;0,449\nS;N;O.L'],
    ['tabs, true minus, mixed case, byte order mark', '\uFEFFl1\tdc+\t449 mV\nDC−\tl2\tol'],
    ['spaces', 'L1 DC+ 0.449\n\nDC- L2 OL\n'],
    ['more columns than needed', 'no,red,black,value_V,by\n1,L1,DC+,.449,"Nobody, at all"\n2,DC-,L2,OL,x'],
  ])('%s', (_, text) => {
    expect(values(read(text))).toEqual(same);
  });

  it('takes repeats from the column of earlier values, oldest first', () => {
    expect(values(read('red,black,value_V,earlier_V\nL1,DC+,0.45,0.38 OL'))).toEqual([
      ['L1', 'DC+', 0.38],
      ['L1', 'DC+', 'OL'],
      ['L1', 'DC+', 0.45],
    ]);
  });
});

describe('JSON', () => {
  const reading = { red: 'L1', black: 'DC+', value: 0.449, note: 'kept' };
  it.each([
    ['lines', `${JSON.stringify(reading)}\n${JSON.stringify({ ...reading, value: 'OL' })}\n`],
    ['an array', JSON.stringify([reading, { ...reading, value: 'OL' }])],
    ['a case', JSON.stringify({ stage: {}, readings: [reading, { ...reading, value: 'OL' }] }, null, 2)],
  ])('%s', (_, text) => {
    expect(values(read(text))).toEqual([
      ['L1', 'DC+', 0.449],
      ['L1', 'DC+', 'OL'],
    ]);
  });

  it('goes on after a broken line', () => {
    const lines = read(`{"red":"L1"}\n{nonsense\n\n${JSON.stringify(reading)}`);
    expect(lines.map((l) => [l.line, l.kind])).toEqual([
      [1, 'unreadable'],
      [2, 'unreadable'],
      [4, 'reading'],
    ]);
    expect(lines[1]?.given).toBe('{nonsense');
  });
});

describe('what cannot be assumed as it stands', () => {
  it.each([
    ['BR,DC+,0.4', 'no such terminal. This drive has R, S, T'],
    ['E,DC+,0.4', 'no such terminal'],
    ['P,DC+,0.4', 'Both leads are on the same terminal.'],
    ['L1,DC+,good', 'is not a reading'],
    ['L1,DC+,', 'Type the meter reading'],
    ['L1,DC+', 'Three columns'],
    ['L1,DC+,0,449', 'Three columns'],
    ['the winch is dead', 'Three columns'],
  ])('%s', (text, why) => {
    const [line] = read(text);
    expect(line).toMatchObject({ kind: 'unreadable', why: expect.stringContaining(why) as string });
  });

  it('asks about a point in the wrong place instead of moving it', () => {
    const [line] = read('L1,DC+,451');
    expect(line).toMatchObject({ kind: 'question', choices: [{ words: '0.451 V' }, { words: 'OL' }] });
  });

  it('asks about a name that two screws bear', () => {
    const odd = [
      { mark: 'U', terminal: 'L1' },
      { mark: 'X', terminal: 'U' },
      { mark: '+', terminal: 'DC+' },
    ];
    const [line] = readReadings('U,DC+,0.4', odd, [], 2);
    expect(line).toMatchObject({
      kind: 'unreadable',
      why: '“U” matches two terminals, L1 and U: choose one.',
    });
  });

  it('reads nothing out of nothing', () => {
    expect(read(' \n\n')).toEqual([]);
  });

  it('keeps a value below zero: in a record it was meant so', () => {
    expect(values(read('L1,DC+,-0.2'))).toEqual([['L1', 'DC+', -0.2]]);
  });
});

describe('the same file twice', () => {
  const kept = [{ red: 'L1' as const, black: 'DC+' as const, value: 0.449 }];
  it('is no confirmation', () => {
    expect(values(read('L1,DC+,0.449', kept))).toEqual(['known']);
  });
  it('does not ask again what was answered', () => {
    expect(values(read('L1,DC+,449', kept))).toEqual(['known']);
  });
  it('still gives what was read oftener than it was kept', () => {
    expect(values(read('L1,DC+,0.449\nL1,DC+,0.449\nL1,DC+,0.450', kept))).toEqual([
      'known',
      ['L1', 'DC+', 0.449],
      ['L1', 'DC+', 0.45],
    ]);
  });
});

describe('out and in again', () => {
  const probes = strip.flatMap((a) =>
    strip.flatMap((b) =>
      a === b || a.terminal === 'PE' || b.terminal === 'PE' ? [] : [[a.terminal, b.terminal]],
    ),
  );
  const taken = fc
    .record({
      probe: fc.constantFrom(...probes),
      value: fc.oneof(
        fc.constantFrom<Value>('OL', 'climbing'),
        fc.integer({ min: -2000, max: 2000 }).map((mV) => mV / 1000),
      ),
      at: fc.integer({ min: 0, max: 2e12 }),
      name: fc.string({ unit: 'grapheme', maxLength: 12 }),
    })
    .map(({ probe: [red = '', black = ''], value, at, name }) => ({
      red: terminals.find((t) => t === red) ?? 'L1',
      black: terminals.find((t) => t === black) ?? 'DC+',
      value: Object.is(value, -0) ? 0 : value,
      at,
      by: { name },
    }));

  it('loses nothing, whatever the names hold', () => {
    fc.assert(
      fc.property(fc.array(taken, { minLength: 1, maxLength: 20 }), (readings) => {
        const bare = readings.map(({ red, black, value }) => [red, black, value]);
        for (const text of [asCsv(readings), asJsonLines(readings), asCase('a', stage(), readings)])
          expect(values(read(text))).toEqual(bare);
      }),
    );
  });

  it('writes a table that any other reader reads', () => {
    const text = asCsv([{ red: 'L1', black: 'DC+', value: 0.449, at: 0, by: { name: '=1+1' } }]);
    expect(Papa.parse(text, { header: true }).data).toEqual([
      { red: 'L1', black: 'DC+', value: '0.449', taken_at: '1970-01-01T00:00:00.000Z', by: "'=1+1" },
    ]);
    expect(asCsv([]).trim()).toBe('red,black,value,taken_at,by');
  });
});
