import { readPlate, type PlateWord } from '.';
import { asNumber, readingsOf } from './digits';
import { quantityOf } from './labels';
import { pointFits } from './physics';

/** Lines of text as words of one size, as a reader of letters gives them; more spaces make a column. */
function wordsOf(
  lines: readonly string[],
  confidence: number | ((word: string) => number) = 0.96,
): PlateWord[] {
  const sign = 12;
  return lines.flatMap((line, row) =>
    [...line.matchAll(/\S+/g)].map((found) => ({
      text: found[0],
      confidence: typeof confidence === 'number' ? confidence : confidence(found[0]),
      x0: found.index * sign,
      x1: (found.index + found[0].length) * sign,
      y0: row * 40,
      y1: row * 40 + 22,
    })),
  );
}

const table = [
  '3~ MOT. PD 132S4     IP 55     Ins.cl. F',
  'No. 28 4471/06       S1        48 kg',
  'V          Hz     kW     r/min    A            cosφ',
  '230/400    50     5.5    1455     19.0/11.0    0.84',
  '460        60     6.3    1755     11.0         0.85',
];

const pairs = [
  'INDUCTION MOTOR  3 PH   TYPE QX-182T',
  'HP 5     VOLTS 230/460     AMPS 13.2/6.6',
  'RPM 1750    HZ 60    S.F. 1.15    P.F. 0.82',
  'INS. CLASS F     SER. NO. K4471903',
];

const label = [
  'Frequency converter  Type WQ-4-075',
  'Input: 3~ 380-480 V 50/60 Hz 12.5 A',
  'Output: 3~ 0-480 V 9.5 A 4 kW / 5 hp',
  'S/N 1234567A      Wait 10 min after switching off',
];

const valuesOf = (fields: readonly { value: number }[] | undefined): number[] =>
  (fields ?? []).map((f) => f.value);

it('reads a table of units over columns, both frequencies and both voltages', () => {
  const { kind, fields } = readPlate(wordsOf(table));
  expect(kind).toBe('motor');
  expect(valuesOf(fields.volts)).toEqual([230, 400, 460]);
  expect(valuesOf(fields.hz)).toEqual([50, 60]);
  expect(valuesOf(fields.power)).toEqual([5.5, 6.3]);
  expect(valuesOf(fields.rpm)).toEqual([1455, 1755]);
  expect(valuesOf(fields.amps)).toEqual([19, 11]);
  expect(fields.cosPhi?.value).toBe(0.84);
  expect(fields.insulationClass?.value).toBe('F');
});

it('reads labels before their values', () => {
  const { kind, fields } = readPlate(wordsOf(pairs));
  expect(kind).toBe('motor');
  expect(fields.power).toMatchObject([{ value: 5, unit: 'hp' }]);
  expect(valuesOf(fields.volts)).toEqual([230, 460]);
  expect(valuesOf(fields.amps)).toEqual([13.2, 6.6]);
  expect(valuesOf(fields.rpm)).toEqual([1750]);
  expect(fields).toMatchObject({
    serviceFactor: { value: 1.15 },
    cosPhi: { value: 0.82 },
    serial: { value: 'K4471903' },
  });
  expect(fields.phases?.value).toBe(3);
});

it('reads a drive: input, output and the waiting time', () => {
  const { kind, fields } = readPlate(wordsOf(label));
  expect(kind).toBe('drive');
  expect(fields.inputVolts?.value).toEqual([380, 480]);
  expect(valuesOf(fields.outputAmps)).toEqual([9.5]);
  expect(fields.power).toMatchObject([
    { value: 4, unit: 'kW' },
    { value: 5, unit: 'hp' },
  ]);
  expect(fields).toMatchObject({
    waitMinutes: { value: 10 },
    phases: { value: 3 },
    type: { value: 'WQ-4-075' },
  });
});

const single = ['kW 5.5   V 400   A 11.2   Hz 50   r/min 1455   cosφ 0.83'];

it('every field knows where it stands, and a good picture leaves nothing to ask', () => {
  const { fields, findings } = readPlate(wordsOf(single));
  expect(findings).toEqual([]);
  for (const list of [fields.power, fields.volts, fields.amps, fields.hz, fields.rpm])
    expect(list?.[0]?.confidence).toBeGreaterThan(0.9);
  expect(fields.power?.[0]?.box).toEqual({ x0: 36, y0: 0, x1: 72, y1: 22 });
});

describe('a worn digit is found by what fits', () => {
  it.each([
    ['5.5', '6.5', 'power'],
    ['400', '480', 'volts'],
    ['400', '100', 'volts'],
    ['11.2', '71.2', 'amps'],
    ['11.2', '112', 'amps'],
    ['50', '60', 'hz'],
    ['50', '80', 'hz'],
    ['1455', '7455', 'rpm'],
    ['1455', '1955', 'rpm'],
    ['0.83', '083', 'cosPhi'],
  ] as const)('%s read as %s', (right, wrong, field) => {
    const worn = single.map((line) => line.replace(` ${right}`, ` ${wrong}`));
    const { fields, findings } = readPlate(wordsOf(worn, (word) => (word === wrong ? 0.55 : 0.96)));
    const given = fields[field];
    const value = Array.isArray(given) ? given[0]?.value : given?.value;
    expect(value).toBe(Number(right));
    expect(findings.map((f) => f.code)).toContain('corrected');
  });

  it('one that fits two ways is asked', () => {
    // Nothing else on the plate depends on the service factor.
    const { fields } = readPlate(
      wordsOf(['kW 5.5  V 400  A 11.2  Hz 50  r/min 1455', 'S.F. 1.75'], (w) => (w === '1.75' ? 0.5 : 0.96)),
    );
    expect(fields.serviceFactor?.confidence).toBeLessThan(0.9);
  });
});

it('a value that was read well is not made another because it is unusual', () => {
  const odd = ['kW 5.2   V 395   A 10.9   Hz 50   r/min 1448   cosφ 0.83'];
  const { fields } = readPlate(wordsOf(odd, 0.98));
  expect([fields.power?.[0]?.value, fields.volts?.[0]?.value, fields.rpm?.[0]?.value]).toEqual([
    5.2, 395, 1448,
  ]);
});

it('a picture of something else has no plate in it', () => {
  const cat = readPlate(wordsOf(['the cat', 'sat on 2 mats']));
  expect(cat).toMatchObject({ kind: 'unknown', findings: [{ code: 'nothing-read' }] });
  expect(readPlate([])).toMatchObject({ kind: 'unknown', fields: {} });
});

describe('parts', () => {
  it('letters that look like digits', () => {
    expect(asNumber('14SO')).toBe('1450');
    expect(asNumber('0,83')).toBe('0.83');
    expect(asNumber('VOLTS')).toBeNull();
  });
  it('what a number may be adds up to one', () => {
    const all = readingsOf('400', 0.9);
    expect(all.reduce((sum, r) => sum + r.prior, 0)).toBeCloseTo(1, 9);
    expect(all[0]).toMatchObject({ value: 400, corrected: false });
  });
  it('units as readers of letters give them', () =>
    expect(['kW', 'H2', 'min-1', 'r/min', 'cosφ', 'P.F.', 'VOLTS', 'A'].map(quantityOf)).toEqual([
      'power-kW',
      'hz',
      'rpm',
      'rpm',
      'cosPhi',
      'cosPhi',
      'volts',
      'amps',
    ]));
  it('a rating that is true fits better than one that is not', () => {
    const plate = { power_kW: 5.5, volts: 400, amps: 11.2, hz: 50, rpm: 1455, cosPhi: 0.83 };
    expect(pointFits(plate)).toBeGreaterThan(pointFits({ ...plate, amps: 17.2 }) + 3);
    expect(pointFits(plate)).toBeGreaterThan(pointFits({ ...plate, rpm: 1755 }) + 3);
  });
});
