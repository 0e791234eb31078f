import { readFileSync } from 'node:fs';
import { controlSchema } from '../../equipment/catalogue/schema';
import { factorySet } from '../parameters';
import { crc32 } from 'node:zlib';
import { parse } from 'js-ini';
import { checksumOf, hasObjects, readSetText, setAsCsv, setAsDcf, setAsJson } from '.';

const types = ['dunlin-d1', 'knot-k3', 'whimbrel-w4', 'godwit-g4', 'godwit-g6'] as const;
const controlOf = (type: string) =>
  controlSchema.parse(JSON.parse(readFileSync(`catalogue/${type}/control.json`, 'utf8')));
const rating = { ratedAmps: 15, power_kW: 7.5, supply_V: 400 };
const whimbrel = controlOf('whimbrel-w4');
const read = (text: string) => readSetText(text, whimbrel, rating);
const strangers = [{ number: '9-99', text: 'a "quoted", odd\nthing' }];

describe.each(types)('a set of %s', (typeId) => {
  const control = controlOf(typeId);
  const { values } = factorySet({ typeId, control, rating }, '50Hz');
  const out = { name: 'as found', typeId, rating, values, strangers };

  it.each([
    ['a table', () => setAsCsv(out, control)],
    ['our own file', () => setAsJson(out)],
  ])('comes back from %s as it was, with unknown parameters', (_, text) => {
    const back = readSetText(text(), control, rating);
    expect(back.values).toEqual(values);
    expect(back.strangers).toEqual(strangers);
    expect(back.trouble).toBeNull();
  });
});

it('nothing in a table is a formula to a spreadsheet, and all of it comes back', () => {
  const words = ['=HYPERLINK("http://evil.example")', '+1+1', '-1+1', '@SUM(A1)', '-12'];
  const odd = words.map((text, i) => ({ number: `9-9${i}`, text }));
  const { values } = factorySet({ typeId: 'whimbrel-w4', control: whimbrel, rating }, '50Hz');
  const text = setAsCsv({ name: 'x', typeId: 'whimbrel-w4', rating, values, strangers: odd }, whimbrel);
  const cells = text.split(/\r\n|,/);
  expect(cells.filter((cell) => /^"?[=+@]|^"?-(?![\d.]+"?$)/.test(cell))).toEqual([]);
  expect(read(text).strangers).toEqual(odd);
});

// RFC 4180: CRLF, quotes around separators, doubled quotes, a last line without an end.
it.each([
  ['number,value\r\n3-01,9\r\n3-02,8\r\n', { '3-01': 9, '3-02': 8 }],
  ['number,value\n"3-01","9"\n3-02,8', { '3-01': 9, '3-02': 8 }],
  ['number;name;value\n3-01;"Ramp; up";7,5', { '3-01': 7.5 }],
  ['3-01\t9\n3-02\t8', { '3-01': 9, '3-02': 8 }],
  ['\uFEFFnumber,value\n3-01,9', { '3-01': 9 }],
  ['name,number,setting\n"says ""up""",3-01,9', { '3-01': 9 }],
])('reads %j', (text, values) => {
  expect(read(text)).toMatchObject({ values, trouble: null });
});

it.each([
  ['14,8 A', 14.8],
  ['14.8', 14.8],
])('a current written as %s', (text, value) => {
  expect(read(`1-03\t${text}`).values).toEqual({ '1-03': value });
});

it.each([
  ['between two steps', '1-03\t14.84 A', /14.8 is the nearest/],
  ['no choice', '1-08\t1.5', /no choice/],
  ['a comma that may be two things', '1-03,12,5', /12 or 12.5/],
  ['the same below heads', 'number,value\n1-03,12,5', /12 or 12.5/],
])('%s is not taken, and the line says why', (_, text, words) => {
  const { values, lines } = read(text);
  expect(values).toEqual({});
  expect(lines.at(-1)).toMatchObject({ state: 'refused', words: expect.stringMatching(words) as string });
});

it('horsepower is converted and told; a foreign unit is not guessed at', () => {
  const hp = read('1-01\t10 hp');
  expect(hp.values).toEqual({ '1-01': 7.46 });
  expect(hp.lines[0]?.words).toContain('10 hp × 0.7457 = 7.457 kW');
  expect(read('1-03\t14 V').lines[0]).toMatchObject({
    state: 'refused',
    words: 'in V, the parameter is in A',
  });
});

it('a spreadsheet’s date is the number it was', () => {
  expect(read('number,value\nJan-05,1450\n03-Jan,14').values).toEqual({ '1-05': 1450, '1-03': 14 });
});

it('leading zeros do not matter where one parameter fits only', () => {
  expect(readSetText('6\t4,5', controlOf('dunlin-d1'), { ...rating, ratedAmps: 7 }).values).toEqual({
    '06': 4.5,
  });
});

it('choices are taken by name or by number', () => {
  expect(read('0-02\thoist').values).toEqual({ '0-02': 3 });
  expect(read('0-02\t3: hoist').values).toEqual({ '0-02': 3 });
  expect(read('0-02\tcrane').lines[0]).toMatchObject({ state: 'refused' });
});

it('a copy of a display is read without columns: by number or by name, in any order', () => {
  const named = (concept: string) => whimbrel.parameters.find((p) => p.concept === concept)!;
  const { values, lines } = read(
    [
      `${named('ramp.up').name}: 12.5 s`,
      '3-02 8,5 s',
      '0-02=hoist',
      '1-02 Motor voltage 400 V',
      'motor CURRENT = 14.8 A',
      'Weather: fine',
      '9-99 5',
    ].join('\n'),
  );
  expect(values).toEqual({
    ...{ [named('ramp.up').number]: 12.5, '3-02': 8.5, '0-02': 3, '1-02': 400 },
    [named('motor.current').number]: 14.8,
  });
  expect(lines.map((l) => l.state)).toEqual([...Array<string>(5).fill('taken'), 'unknown', 'unknown']);
});

it('a name that two parameters could be is not guessed at', () => {
  const { lines } = read('Motor: 400\nMotor vol: 400');
  expect(lines.map((l) => l.state)).toEqual(['unknown', 'unknown']);
});

it('what comes twice with different values is not guessed at; twice the same is once', () => {
  const twice = read('3-01\t5\n3-01\t9\n3-02\t8\n3-02\t8');
  expect(twice.values).toEqual({ '3-02': 8 });
  expect(twice.lines.filter((l) => l.state === 'twice')).toHaveLength(2);
});

it('out of range, unknown and empty values stay visible and are not taken', () => {
  const { lines, values, strangers: odd } = read('3-01\t1e6\n77-7\t5\n3-02\t');
  expect(values).toEqual({});
  expect(lines.map((l) => l.state)).toEqual(['refused', 'unknown', 'refused']);
  expect(odd).toEqual([{ number: '77-7', text: '5' }]);
});

it.each([
  ['', /The file is empty/],
  ['{"values": {"3-01": 5', /cut off/],
  ['[1,2]', /an object of parameter numbers/],
  ['hello\nworld', /right type/],
])('says what is wrong with %j', (text, words) => {
  expect(read(text).trouble).toMatch(words);
});

describe('a device configuration file', () => {
  const control = controlOf('godwit-g4');
  const { values } = factorySet({ typeId: 'godwit-g4', control, rating }, '60Hz');
  const out = {
    name: 'as left',
    typeId: 'godwit-g4',
    rating,
    values,
    strangers: [{ number: '6040:00', text: '15' }],
  };

  it('of a type with objects comes back as the same set', () => {
    const back = readSetText(setAsDcf(out, control), control, rating);
    expect(back).toMatchObject({ form: 'dcf', values, trouble: null, about: { typeId: 'godwit-g4' } });
    expect(hasObjects(control)).toBe(true);
    expect(hasObjects(whimbrel)).toBe(false);
  });

  it('is read by an independent parser: sections, counts, raw values within their limits', () => {
    const file = parse(setAsDcf(out, control)) as Record<string, Record<string, string | number>>;
    const indexes = Object.entries(file['ManufacturerObjects']!).filter(([k]) => k !== 'SupportedObjects');
    expect(file['ManufacturerObjects']!['SupportedObjects']).toBe(indexes.length);
    for (const [, index] of indexes) {
      const title = Number(index).toString(16).toUpperCase();
      const subs = Object.keys(file).filter((k) => k.startsWith(`${title}sub`));
      expect(file[title]!['SubNumber']).toBe(subs.length);
      expect(subs).toContain(`${title}sub0`);
    }
    const ramp = control.parameters.find((p) => p.concept === 'ramp.up')!;
    const [index, sub] = ramp.number.split(':') as [string, string];
    const object = file[`${index}sub${Number.parseInt(sub, 16).toString(16).toUpperCase()}`]!;
    expect(object['ParameterName']).toBe(ramp.name);
    expect(Number(object['ParameterValue']) * ramp.scale).toBeCloseTo(values[ramp.number]!, 6);
    for (const o of Object.values(file))
      if (o['ParameterValue'] !== undefined && o['AccessType'] === 'rw') {
        expect(Number(o['ParameterValue'])).toBeGreaterThanOrEqual(Number(o['LowLimit']));
        expect(Number(o['ParameterValue'])).toBeLessThanOrEqual(Number(o['HighLimit']));
      }
  });

  // CiA 306, from memory: what every file of a node has.
  it('has what every such file must have', () => {
    const file = parse(setAsDcf(out, control)) as Record<string, Record<string, string | number>>;
    const { SupportedObjects, ...objects } = file['MandatoryObjects']!;
    expect([Number(SupportedObjects), ...Object.values(objects).map(Number)]).toEqual([
      3, 0x1000, 0x1001, 0x1018,
    ]);
    for (const index of ['1000', '1001', '1018']) expect(file[index]).toBeDefined();
    expect(file['1018']!['SubNumber']).toBe(5);
    expect(Object.keys(file['DeviceInfo']!)).toEqual(
      expect.arrayContaining(['VendorNumber', 'ProductNumber', 'RevisionNumber']),
    );
    expect(file['DeviceComissioning']).toMatchObject({ NodeID: 1, NodeName: 'as left' });
    expect(file['FileInfo']!['LastEDS']).toBe('godwit-g4.eds');
  });

  it.each(['67001', '-64071', '0x1000A'])('a value of %s is in no word: refused, with its line', (value) => {
    const speed = control.parameters.find((p) => p.concept === 'motor.speed')!;
    const [index, sub] = speed.number.split(':') as [string, string];
    const text = `[FileInfo]\nFileName=x.dcf\n[${index}sub${Number.parseInt(sub, 16)}]\nParameterValue=${value}\n`;
    const back = readSetText(text, control, rating);
    expect(back.values).toEqual({});
    expect(back.lines).toMatchObject([
      { line: 3, state: 'refused', words: expect.stringMatching(/16 bits/) as string },
    ]);
  });

  // By CiA 306 as remembered: comments, hexadecimal, capitals, a data sheet with defaults only, objects of CiA 402.
  it('written by somebody else: hexadecimal, small letters, defaults of a data sheet, objects of the profile', () => {
    const ramp = control.parameters.find((p) => p.concept === 'ramp.up')!;
    const [index, sub] = ramp.number.split(':') as [string, string];
    const text = [
      '; made elsewhere',
      '[FileInfo]',
      'FileName=x.eds',
      '[DeviceInfo]',
      'ProductName=another',
      `[${index.toLowerCase()}SUB${Number.parseInt(sub, 16)}]`,
      'ParameterName=Ramp up',
      'datatype=0x0006',
      'DefaultValue=0x64',
      '[6040]',
      'ParameterName=Controlword',
      'ObjectType=0x7',
      'DefaultValue=$NODEID+0x10',
      '[1018sub1]',
      'ParameterName=Vendor-ID',
      'ParameterValue=0x123',
      '',
    ].join('\r\n');
    const back = readSetText(text, control, rating);
    expect(back.values).toEqual({ [ramp.number]: 100 * ramp.scale });
    expect(back.strangers).toEqual([
      { number: '6040:00', text: '$NODEID+0x10' },
      { number: '1018:01', text: '0x123' },
    ]);
    expect(back.lines.find((l) => l.state === 'taken')?.line).toBe(6);
  });

  it('of another type says so; one that breaks off keeps what is whole', () => {
    const text = setAsDcf(out, control);
    expect(readSetText(text, whimbrel, rating).trouble).toMatch(/right type/);
    const half = readSetText(text.slice(0, text.length / 2), control, rating);
    expect(half.form).toBe('dcf');
    expect(Object.keys(half.values).length).toBeGreaterThan(20);
    expect(Object.keys(half.values).length).toBeLessThan(Object.keys(values).length);
  });
});

describe('the checksum', () => {
  const { values } = factorySet({ typeId: 'whimbrel-w4', control: whimbrel, rating }, '50Hz');

  it('is CRC-32 as a reference library computes it', () => {
    const lines = Object.keys(values)
      .sort()
      .map((n) => `${n}=${values[n]}`);
    const text = ['whimbrel-w4', ...lines].join('\n');
    expect(checksumOf('whimbrel-w4', values)).toBe(
      crc32(Buffer.from(text)).toString(16).toUpperCase().padStart(8, '0'),
    );
  });

  it('does not mind the order, and minds every value', () => {
    const turned = Object.fromEntries(Object.entries(values).reverse());
    expect(checksumOf('whimbrel-w4', turned)).toBe(checksumOf('whimbrel-w4', values));
    expect(checksumOf('whimbrel-w4', { ...values, '3-01': 5.1 })).not.toBe(checksumOf('whimbrel-w4', values));
  });

  it('of our own file tells that something was changed in it', () => {
    const text = setAsJson({ name: 'x', typeId: 'whimbrel-w4', rating, values, strangers: [] });
    expect(read(text).trouble).toBeNull();
    expect(read(text.replace('"3-01": 5', '"3-01": 9')).trouble).toMatch(/Checksum/);
  });
});
