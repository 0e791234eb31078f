import { answerModbus, type Memory } from './modbus';

/** Bits of a byte string, lowest first, from an address on. */
const bits = (start: number, bytes: number[]): Map<number, boolean> =>
  new Map(
    bytes.flatMap((byte, b) =>
      Array.from({ length: 8 }, (_, i) => [start + 8 * b + i, ((byte >> i) & 1) === 1]),
    ),
  );

/** Of a run of addresses, or null where one is missing. */
const run = <T>(of: ReadonlyMap<number, T>, start: number, count: number): T[] | null => {
  const list = Array.from({ length: count }, (_, i) => of.get(start + i));
  return list.every((v) => v !== undefined) ? list : null;
};

const memory = (): Memory & { words: Map<number, number> } => {
  const words = new Map([
    [0x01, 0],
    [0x02, 0],
    [0x6b, 0x022b],
    [0x6c, 0],
    [0x6d, 0x64],
    [0x08, 0x000a],
    ...[0x00fe, 0x0acd, 0x0001, 0x0003, 0x000d, 0x00ff].map((w, i): [number, number] => [3 + i, w]),
    [14, 0],
    [15, 0],
    [16, 0],
  ] as [number, number][]);
  const coils = new Map([...bits(0x13, [0xcd, 0x6b, 0x05]), [0xac, false] as const]);
  const discretes = bits(0xc4, [0xac, 0xdb, 0x35]);
  return {
    words,
    holding: (start, count) => run(words, start, count),
    coils: (start, count) => run(coils, start, count),
    discretes: (start, count) => run(discretes, start, count),
    writeHolding: (r, w) => (words.has(r) ? (words.set(r, w), null) : 2),
    writeCoil: (a, on) => (coils.has(a) ? (coils.set(a, on), null) : 2),
    identification: { vendor: 'Company identification', product: 'Product code XX', revision: 'V2.11' },
  };
};
const hex = (text: string): Buffer => Buffer.from(text.replace(/\s/g, ''), 'hex');
const ask = (request: string, of = memory()): string => answerModbus(of, hex(request)).toString('hex');

describe('worked examples of the MODBUS Application Protocol Specification V1.1b3, from memory', () => {
  it.each([
    ['01 read coils', '01 0013 0013', '01 03 cd6b05'],
    ['02 read discrete inputs', '02 00c4 0016', '02 03 acdb35'],
    ['03 read holding registers', '03 006b 0003', '03 06 022b 0000 0064'],
    ['05 write single coil', '05 00ac ff00', '05 00ac ff00'],
    ['06 write single register', '06 0001 0003', '06 0001 0003'],
    ['15 write multiple coils', '0f 0013 000a 02 cd01', '0f 0013 000a'],
    ['16 write multiple registers', '10 0001 0002 04 000a 0102', '10 0001 0002'],
    [
      '23 read and write registers',
      '17 0003 0006 000e 0003 06 00ff 00ff 00ff',
      '17 0c 00fe 0acd 0001 0003 000d 00ff',
    ],
    ['exception of function 1', '01 04a1 0001', '81 02'],
  ])('%s', (_, request, expected) => {
    expect(ask(request)).toBe(expected.replace(/\s/g, ''));
  });

  it('43/14 read device identification', () => {
    const text = (s: string) => `${s.length.toString(16).padStart(2, '0')}${Buffer.from(s).toString('hex')}`;
    expect(ask('2b 0e 01 00')).toBe(
      `2b0e01810000` + `0300${text('Company identification')}01${text('Product code XX')}02${text('V2.11')}`,
    );
  });

  it('04 reads the same registers as inputs', () => {
    expect(ask('04 0008 0001')).toBe('0402 00ff'.replace(' ', ''));
  });
});

describe('what is refused', () => {
  it.each([
    ['an unknown function', '63 0000', 'e301'],
    ['no registers', '03 006b 0000', '8303'],
    ['126 registers', '03 006b 007e', '8303'],
    ['a hole in the block', '03 006b 0004', '8302'],
    ['a coil that is neither on nor off', '05 00ac 1234', '8503'],
    ['half a request', '03 00', '8303'],
    ['a byte count that does not fit', '10 0001 0002 02 000a', '9003'],
    ['another kind of function 43', '2b 0d 01 00', 'ab01'],
  ])('%s', (_, request, expected) => {
    expect(ask(request)).toBe(expected);
  });

  it('writes nothing of a block that is not there as a whole', () => {
    const of = memory();
    expect(
      ask('10 0002 0002 04 0007 0007', {
        ...of,
        holding: (start, count) => (start + count > 3 ? null : of.holding(start, count)),
      }),
    ).toBe('9002');
    expect(of.words.get(2)).toBe(0);
  });
});
