import {
  awgOf,
  firstUnit,
  inTerms,
  ratedPower,
  splitQuantity,
  temperature,
  torque,
  writeQuantity,
} from './index';

const us = (text: string) => inTerms(text, 'us');

describe('units', () => {
  // NIST SP 811, appendix B.8: lbf·in 1.129848E-01 N·m, horsepower (550 ft·lbf/s) 7.456999E+02 W.
  it('converts as NIST SP 811 does', () => {
    expect(torque.toSi(1)).toBeCloseTo(0.1129848, 7);
    expect(ratedPower.toSi(1)).toBeCloseTo(0.7456999, 4);
    expect(temperature.toUs(-40)).toBe(-40);
    expect(temperature.toUs(100)).toBe(212);
  });

  it.each([temperature, torque, ratedPower])('comes back from $us', (quantity) => {
    for (const si of [-20, 0, 0.5, 12, 40, 4000]) expect(quantity.toSi(quantity.toUs(si))).toBeCloseTo(si, 9);
  });

  // Areas of ASTM B258, table 1: AWG 14 2.08, 12 3.31, 10 5.26, 8 8.37, 6 13.3, 4 21.2, 1/0 53.5, 4/0 107 mm².
  it.each([
    [1.5, 'AWG 14'],
    [2.08, 'AWG 14'],
    [2.5, 'AWG 12'],
    [4, 'AWG 10'],
    [6, 'AWG 8'],
    [10, 'AWG 6'],
    [16, 'AWG 4'],
    [50, 'AWG 1/0'],
    [107.2, 'AWG 4/0'],
    [120, '250 kcmil'],
    [1000, null],
  ])('a wire of %p mm² is %p: never thinner', (area, name) => {
    expect(awgOf(area)).toBe(name);
  });

  it('puts the unit first that the reader works with', () => {
    expect(writeQuantity(torque, 12, false)).toBe('12 N·m');
    expect(writeQuantity(torque, 12, true)).toBe('106 lb·in (12 N·m)');
    expect(writeQuantity(temperature, 40, true)).toBe('40 °C (104 °F)');
    expect(writeQuantity(ratedPower, 4, true)).toBe('5.36 hp (4 kW)');
  });
});

describe('texts in US terms', () => {
  it.each([
    [
      'Earth fault: insulation to earth, earthed screen, unearthed supply',
      'Ground fault: insulation to ground, grounded screen, ungrounded supply',
    ],
    [
      'Protective earth continuity; protective conductor',
      'Equipment ground continuity; equipment grounding conductor',
    ],
    ['star point earthed, star-earthed, star/delta', 'wye point grounded, wye-grounded, wye/delta'],
    ['Overload = rated motor current (FLA)', 'Overload = FLA'],
    ['start, started, unearth', 'start, started, unearth'],
  ])('%p', (text, said) => {
    expect(us(text)).toBe(said);
  });

  it.each([
    ['Winding at 20 °C', 'Winding at 20 °C (68 °F)'],
    ['-10 to 40 °C', '-10 to 40 °C (14 to 104 °F)'],
    ['−40 °C', '−40 °C (−40 °F)'],
    ['Class F frames run at 70–90 °C', 'Class F frames run at 70–90 °C (158–194 °F)'],
    ['Halving per 10 °C', 'Halving per 10 °C (18 °F)'],
    ['2 % each °C above 40 °C', '2 % each °C above 40 °C (104 °F)'],
    [
      'power: 1.2 N·m; control: 0.5–0.6 N·m',
      'power: 10.6 lb·in (1.2 N·m); control: 4.43–5.31 lb·in (0.5–0.6 N·m)',
    ],
    ['PE of 10 mm² copper or 16 mm² aluminium', 'PE of AWG 6 (10 mm²) copper or AWG 4 (16 mm²) aluminium'],
  ])('%p', (text, said) => {
    expect(us(text)).toBe(said);
  });

  it('leaves a calculation in the units it was done in', () => {
    const sum = '2 MΩ × 0.5 = 1 MΩ at 40 °C';
    expect(us(sum)).toBe(sum);
  });

  it('leaves what somebody typed', () => {
    expect(us('Complaint “earth fault at 40 °C”; earth the winding')).toBe(
      'Complaint “earth fault at 40 °C”; ground the winding',
    );
  });

  it('changes nothing for international readers', () => {
    expect(inTerms('Earth fault at 40 °C, 12 N·m, 6 mm²', 'international')).toBe(
      'Earth fault at 40 °C, 12 N·m, 6 mm²',
    );
  });
});

describe('what is typed', () => {
  it.each([
    ['104 °F', { figure: '104', unit: 'us' }],
    ['104F', { figure: '104', unit: 'us' }],
    ['−5,5 C', { figure: '−5,5', unit: 'si' }],
    ['40', { figure: '40', unit: null }],
    ['', { figure: '', unit: null }],
    ['40 psi', { figure: '40 psi', unit: null }],
  ])('temperature %p', (text, split) => {
    expect(splitQuantity(temperature, text)).toEqual(split);
  });

  it('a torque in either', () => {
    expect(splitQuantity(torque, '12 Nm')).toEqual({ figure: '12', unit: 'si' });
    expect(splitQuantity(torque, '106 in-lb')).toEqual({ figure: '106', unit: 'us' });
  });

  it('an empty field begins with the unit that comes first', () => {
    expect(firstUnit(torque, 'us')).toBe('us');
    expect(firstUnit(temperature, 'us')).toBe('si');
    expect(firstUnit(torque, 'international')).toBe('si');
  });
});
