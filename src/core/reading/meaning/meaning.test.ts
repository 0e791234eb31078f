import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { alarmFamilies, choicesOf, conceptIds } from '../../equipment/concepts';
import { controlSchema } from '../../equipment/catalogue/schema';
import { familiesOf, meaningsOf, meansOfChoices, unitOf, wordsOf, type NamedParameter } from '.';
import { choicePhrases } from './choice-phrases';
import { conceptPhrases } from './concept-phrases';
import { familyPhrases } from './family-phrases';
import { contested } from './words';

const words = (text: string): string =>
  wordsOf(text)
    .map((w) => w.word)
    .join(' ');
const conceptOf = (parameter: Omit<NamedParameter, 'number'>) =>
  meaningsOf([{ number: 'P1', ...parameter }])[0]?.concept?.id;

describe('words', () => {
  it.each([
    ['Accel. time 2', 'accel time second'],
    ['Accelerating time 1', 'accel time 1'],
    ['Max. output frequency', 'max output freq'],
    ['DigitalInput 3', 'di 3'],
    ['Power-factor (cos φ)', 'cosphi cosphi'],
    ['on', 'on'],
    ['4…20 mA', 'ma4-20'],
  ])('%s is %s', (text, canonical) => expect(words(text)).toBe(canonical));

  it('no writing belongs to two words', () => expect(contested()).toEqual([]));
});

it('every concept, choice and family has its words', () => {
  expect(conceptIds.filter((id) => !conceptPhrases[id])).toEqual([]);
  expect([...new Set(conceptIds.flatMap(choicesOf))].filter((choice) => !choicePhrases[choice])).toEqual([]);
  expect(alarmFamilies.filter((family) => !familyPhrases[family])).toEqual([]);
});

describe('meaning', () => {
  it('the unit tells two limits apart', () => {
    expect(conceptOf({ name: 'Current limit', unit: '%' })).toBe('limit.current');
    expect(conceptOf({ name: 'Current limit', unit: 'A' })).toBe('limit.current-amps');
  });

  it('a heading says what the name leaves out', () => {
    expect(conceptOf({ name: 'Address', unit: null, group: 'Serial link' })).toBe('serial.address');
    expect(
      conceptOf({
        name: 'Speed',
        group: 'Modbus',
        choices: [
          { value: 0, name: '9600' },
          { value: 1, name: '19200' },
        ],
      }),
    ).toBe('serial.speed');
  });

  it('what every manual lists and no drive needs stays without a concept', () => {
    for (const name of [
      'Hour counter',
      'Software version',
      'Fault 1 code',
      'Slip compensation',
      'Motor 2 rated current',
    ])
      expect([name, conceptOf({ name })]).toEqual([name, undefined]);
  });

  it('each concept goes to one parameter', () => {
    const meanings = meaningsOf([
      { number: 'P1', name: 'Acceleration time', unit: 's' },
      { number: 'P2', name: 'Acceleration time 1', unit: 's' },
      { number: 'P3', name: 'Accel', unit: 's' },
    ]);
    expect(meanings.filter((m) => m.concept?.id === 'ramp.up')).toHaveLength(1);
  });

  it('what the workshop confirmed counts from then on', () => {
    const learnt = [{ name: 'Wobbly thing', concept: 'ramp.up' as const }];
    const [meaning] = meaningsOf([{ number: 'P1', name: 'wobbly  thing', unit: 's' }], learnt);
    expect(meaning?.concept?.id).toBe('ramp.up');
    expect(meaning?.concept?.confidence).toBeGreaterThan(0.95);
  });

  it('tells the words that spoke for it', () => {
    const [meaning] = meaningsOf([{ number: 'P1', name: 'Nominal current of motor', unit: 'A' }]);
    expect(meaning?.spoke.sort()).toEqual(['current', 'motor', 'nominal']);
  });

  it('reads units as manuals write them', () => {
    expect(['r/min', '[Hz]', 'Ohm', 'sec', 'p.u.'].map(unitOf)).toEqual(['rpm', 'Hz', 'Ω', 's', 'p.u.']);
  });
});

describe('choices', () => {
  const named = (...names: string[]) => names.map((name, value) => ({ value, name }));
  it('of an input: bits of presets follow one another, forward and reverse are a pair', () => {
    expect(
      meansOfChoices(named('Not used', 'Forward', 'Reverse', 'Preset bit 0', 'Preset bit 1'), 'input.DI1'),
    ).toEqual(['none', 'run-forward', 'run-reverse', 'preset-1', 'preset-2']);
    expect(meansOfChoices(named('Run', 'Reverse'), 'input.DI1')).toEqual(['run', 'reverse']);
  });
  it('of a number: none', () =>
    expect(meansOfChoices(named('2 kHz', '4 kHz'), 'switching.frequency')).toEqual([undefined, undefined]));
});

it.each([
  ['Overcurrent during acceleration', 'overcurrent-accelerating'],
  ['DC link voltage too low', 'undervoltage'],
  ['Heat sink overtemperature', 'over-temperature'],
  ['Loss of phase of the mains', 'input-phase-loss'],
  ['Short to ground', 'ground'],
] as const)('%s is of the family %s', (name, family) => expect(familiesOf(name)[0]?.id).toBe(family));

describe('the types that ship, by their names', () => {
  it.each(['dunlin-d1', 'whimbrel-w4', 'knot-k3', 'godwit-g4'])('%s', (type) => {
    const control = controlSchema.parse(
      JSON.parse(readFileSync(join(process.cwd(), 'catalogue', type, 'control.json'), 'utf8')),
    );
    const number = (amount: unknown): number | null => (typeof amount === 'number' ? amount : null);
    const menus = control.keypad.menu;
    const meanings = meaningsOf(
      control.parameters.map((p) => ({
        ...{ number: p.number, name: p.name, unit: p.unit, choices: p.choices },
        ...{ min: number(p.min), max: number(p.max), default: number(p.default) },
        group: menus.length > 1 ? menus.find((m) => m.parameters?.includes(p.number))?.name : undefined,
      })),
    );
    const right = control.parameters.filter(
      (p, i) => p.concept !== undefined && meanings[i]?.concept?.id === p.concept,
    );
    const wrong = control.parameters.filter(
      (p, i) => (meanings[i]?.concept?.confidence ?? 0) >= 0.9 && meanings[i]?.concept?.id !== p.concept,
    );
    expect(right.length / control.parameters.length).toBeGreaterThanOrEqual(0.92);
    expect(wrong).toEqual([]);
  });
});
