import { commonMeter, stage, type Position } from '../../equipment/power-stage';
import { bareNameOf, conclude, diagnose, faultWords, nameOf, tablesFor, type Diagnosis } from '.';

const unit = stage({ brake: true });
const base = diagnose(tablesFor(unit, commonMeter), [
  { red: 'L1', black: 'DC+', value: 0.45 },
  { red: 'L2', black: 'DC+', value: 0.452 },
]);
const told = (differs: Partial<Diagnosis>) => conclude({ ...base, ...differs }, unit);
const fault = (component: Position, mode: 'short' | 'open' = 'short') => ({ component, mode });

describe('names', () => {
  it.each([
    ['rect.L2.hi', 'L2 upper diode'],
    ['inv.V.lo', 'V lower IGBT (or its diode)'],
    ['brk.switch', 'brake IGBT'],
    ['bus.cap', 'capacitor bank'],
    ['pre.L1', 'L1 precharge diode'],
  ] as const)('%s is the %s', (position, name) => {
    expect(bareNameOf(position, unit)).toBe(name);
  });
  it('calls the upper devices of a half-controlled rectifier thyristors', () => {
    expect(bareNameOf('rect.L1.hi', stage({ frontEnd: 'scr-half-3ph' }))).toBe('L1 upper thyristor');
  });
  it('blames only the diode when a freewheel path is open', () => {
    expect(faultWords(fault('inv.U.hi', 'open'), unit)).toBe('U upper freewheel diode is open');
    expect(nameOf('brk.diode', unit)).toBe('Brake freewheel diode');
  });
});

describe('conclusions', () => {
  it('says how many positions are still to probe while no fault', () => {
    expect(conclude(base, unit).headline).toBe('No fault found far.');
    expect(conclude(base, unit).detail).toMatch(/^\d+ devices still to test/);
  });

  const alike: Partial<Diagnosis> = {
    verdict: 'faulty',
    candidates: [
      {
        faults: [fault('bus.cap')],
        probability: 0.97,
        alike: [[fault('brk.switch'), fault('brk.diode')]],
      },
    ],
  };

  it('names what no probe can tell apart and how to tell', () => {
    const said = told({ ...alike, next: [] });
    expect(said.headline).toBe('One of these 2: disconnect the capacitor bank to confirm.');
    expect(said.detail).toContain('Brake IGBT is shorted and brake freewheel diode is shorted');
  });

  it('names the probe that would tell while there is one', () => {
    const next = { red: 'BR', black: 'DC+', gainBits: 0.9, handling_s: 4, between: [[], []] } as const;
    const said = told({ ...alike, next: [{ ...next, between: [[], []] }] });
    expect(said.headline).toBe('One of these 2 so far.');
    expect(said.detail).toContain('Next reading: BR to DC+.');
  });

  it('says most likely where another fits too', () => {
    const said = told({
      verdict: 'doubtful',
      candidates: [
        { faults: [fault('rect.L1.hi', 'open')], probability: 0.7, alike: [] },
        { faults: [], probability: 0.3, alike: [] },
      ],
    });
    expect(said).toMatchObject({ tone: 'doubt', headline: 'Most likely L1 upper diode is open.' });
    expect(said.detail).toContain('no fault');
  });

  it('says when no single part explains it all', () => {
    const said = told({
      verdict: 'faulty',
      candidates: [{ faults: [fault('inv.V.lo')], probability: 0.99, alike: [] }],
      caseNotes: [{ code: 'not-explained', text: 'No single fault explains 3 of the readings.' }],
    });
    expect(said.headline).toBe('V lower IGBT (or its diode) is shorted, and other faults.');
  });

  it('never says good', () => {
    const sound = told({
      verdict: 'not-shorted',
      candidates: [{ faults: [], probability: 1, alike: [] }],
      repeat: [],
    });
    expect(`${sound.headline} ${sound.detail}`).not.toMatch(/good/i);
    expect(sound.headline).toMatch(/^Not shorted/);
  });
});
