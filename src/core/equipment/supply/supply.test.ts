import { readFileSync } from 'node:fs';
import { controlSchema } from '../catalogue/schema';
import { fitOf, type Place } from '.';

const fittingOf = (type: string) =>
  controlSchema.parse(JSON.parse(readFileSync(`catalogue/${type}/control.json`, 'utf8'))).fitting;
const whimbrel = fittingOf('whimbrel-w4');
const usual: Place = {
  type: { phases: 3, supply_V: 400, ratedAmps: 15 },
  supply: { phases: 3, volts: 402, earthing: 'star-earthed' },
  motor: { amps: 11, singlePhase: false },
  ambient_C: 35,
  altitude_m: 20,
  carrier_kHz: 4,
  sideBySide: false,
  storedYears: 0,
  onePhase: null,
  cable: {
    length_m: 5,
    winding: 'for-drives',
    filter: 'none',
    supply_V: 400,
    motor: { volts: 400, power_kW: 5.5 },
  },
  motors: 1,
};
const fit = (differs: Partial<Place> = {}) => fitOf({ ...usual, ...differs }, whimbrel);
const said = (differs: Partial<Place>, severity: 'wrong' | 'doubt') =>
  fit(differs)
    .findings.filter((f) => f.severity === severity)
    .map((f) => f.text)
    .join(' ');

it('has nothing against a unit in its place', () => {
  expect(fit().derating).toBe(1);
  expect(fit().findings.filter((f) => f.severity !== 'info')).toEqual([]);
  expect(fit().reforming).toEqual([]);
});

it('a long cable to an old winding is held, one that nobody looked at is said', () => {
  const cable = { ...usual.cable!, length_m: 60, winding: 'for-the-line' as const };
  expect(said({ cable }, 'wrong')).toContain(
    '60 m of cable: up to 1131 V at a winding for line supply, or old.',
  );
  expect(said({ cable: { ...cable, filter: 'du-dt' } }, 'wrong')).toBe('');
  expect(said({ cable: null }, 'doubt')).toContain('Motor cable not entered');
});

it('heat, height and carrier take their share, by the type’s own values', () => {
  // 45 °C: 5 × 2 %; 1350 m: 4 × 1 %; 6 kHz: 2 × 5 %.
  const { derating, findings } = fit({
    ambient_C: 45,
    altitude_m: 1350,
    carrier_kHz: 6,
    motor: { amps: 12, singlePhase: false },
  });
  expect(derating).toBeCloseTo(1 - 0.24, 9);
  expect(findings.find((f) => f.severity === 'wrong')?.sum).toBe(
    '12 A required; 15 A × 0.76 = 11.4 A (45 °C: 5 × 2 %, 1350 m: 4 × 1 %, 6 kHz: 2 × 5 %)',
  );
  expect(fitOf({ ...usual, sideBySide: true }, fittingOf('godwit-g4')).derating).toBeCloseTo(0.95, 9);
});

it('a three-phase unit on one phase gives what its manual says, and nothing before somebody looked', () => {
  const one = { supply: { phases: 1, volts: 400, earthing: 'star-earthed' } } as const;
  expect(said(one, 'wrong')).toContain('see its manual');
  expect(fit(one).derating).toBe(0);
  const fed = { ...one, onePhase: { share: 0.5, page: 'W4 manual, page 31' } };
  expect(said(fed, 'doubt')).toContain('50 % by W4 manual, page 31');
  expect(fit(fed).derating).toBe(0.5);
  expect(said(fed, 'wrong')).toContain('exceeds the derated output current');
  expect(said({ ...one, onePhase: { share: 57 / 100, page: 'page 3' } }, 'doubt')).toContain(
    '57 % by page 3',
  );
  expect(said({ ...fed, motor: { amps: 7, singlePhase: false } }, 'wrong')).toBe('');
});

it.each<[string, Partial<Place>, 'wrong' | 'doubt', RegExp]>([
  ['a single-phase motor', { motor: { amps: 4, singlePhase: true } }, 'wrong', /single-phase motor/],
  [
    'a supply too high',
    { supply: { phases: 3, volts: 480, earthing: 'star-earthed' } },
    'wrong',
    /above the range/,
  ],
  [
    'a supply too low',
    { supply: { phases: 3, volts: 350, earthing: 'star-earthed' } },
    'wrong',
    /below the range/,
  ],
  [
    'an isolated supply',
    { supply: { phases: 3, volts: 400, earthing: 'isolated' } },
    'doubt',
    /varistor screws/,
  ],
  ['two motors', { motors: 2, motor: { amps: 6, singlePhase: false } }, 'doubt', /relay for each/],
])('%s is a finding', (_, differs, severity, words) => {
  expect(said(differs, severity)).toMatch(words);
});

it('a stored unit is brought up by its own steps', () => {
  expect(fit({ storedYears: 1 }).reforming.join()).toContain('an hour');
  expect(fit({ storedYears: 4 }).reforming.join()).toContain('two hours each');
});

it('names the residual current device by the phases of the unit', () => {
  const info = (phases: 1 | 3) =>
    fit({ type: { ...usual.type, phases } })
      .findings.map((f) => f.text)
      .join(' ');
  expect(info(3)).toContain('RCD: type B.');
  expect(info(1)).toContain('type A or F may be allowed');
  expect(info(3)).toMatch(/3\.5 mA.*10 mm² copper or 16 mm² aluminium/);
});
