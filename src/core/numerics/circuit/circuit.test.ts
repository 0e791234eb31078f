import fc from 'fast-check';
import { compile, influence, operatingPoint, saturationAt, thermalVolts, type Diode, type Element } from '.';
import { valueAt } from '../arrays';

const diode = (anode: string, cathode: string, differs: Partial<Diode> = {}): Diode => ({
  type: 'D',
  name: `${anode}${cathode}`,
  anode,
  cathode,
  saturation_A: 9e-9,
  emission_V: 0.0388,
  series_ohm: 0.02,
  ...differs,
});
const resistor = (a: string, b: string, ohm: number): Element => ({ type: 'R', name: `${a}${b}`, a, b, ohm });
const source = (plus: string, minus: string, volts: number, series_ohm = 0.1): Element => ({
  type: 'V',
  name: 'V',
  plus,
  minus,
  volts,
  series_ohm,
});
const law = { testCurrent_A: 1e-3, openCircuit_V: 3 };

/** Volts between two nodes with a meter on them. */
function read(elements: Element[], red: string, black: string, meter = law): number {
  const network = compile(elements, [red, black]);
  const node = (n: string) => network.index.get(n) ?? 0;
  const point = operatingPoint(network, { law: meter, red: node(red), black: node(black) });
  expect(point.converged).toBe(true);
  return valueAt(point.volts, node(red)) - valueAt(point.volts, node(black));
}

describe('operating points that can be worked out by hand', () => {
  it('drops R × 1 mA over a resistor', () => {
    expect(read([resistor('a', 'b', 470)], 'a', 'b')).toBeCloseTo(0.47, 6);
  });

  it('divides a voltage', () => {
    const network = compile([source('a', 'b', 9, 0.001), resistor('a', 'm', 2000), resistor('m', 'b', 1000)]);
    const { volts } = operatingPoint(network, null);
    const of = (n: string) => valueAt(volts, network.index.get(n) ?? 0);
    expect(of('m') - of('b')).toBeCloseTo(3, 4);
  });

  it('drops nVt·ln(1 + I/Is) + I·Rs over a junction (Shockley)', () => {
    const expected = 0.0388 * Math.log1p(1e-3 / 9e-9) + 1e-3 * 0.02;
    expect(read([diode('a', 'b')], 'a', 'b')).toBeCloseTo(expected, 6);
  });

  it('drops nVt·ln 2 less when two equal junctions share the current', () => {
    const one = read([diode('a', 'b')], 'a', 'b');
    const two = read([diode('a', 'b'), diode('a', 'b')], 'a', 'b');
    expect(one - two).toBeCloseTo(0.0388 * Math.log(2), 4);
  });

  it('shows the open-circuit voltage when nothing conducts', () => {
    expect(read([diode('b', 'a')], 'a', 'b')).toBeCloseTo(3, 3);
    expect(read([resistor('c', 'd', 10)], 'a', 'b')).toBeCloseTo(3, 3);
  });

  it('shows a charged bank through a junction as calculation of both', () => {
    expect(read([diode('a', 'm'), source('m', 'b', 0.9)], 'a', 'b')).toBeCloseTo(
      0.9 + read([diode('a', 'b')], 'a', 'b'),
      3,
    );
  });

  it('shifts by what a diode’s curve is shifted', () => {
    expect(read([diode('a', 'b', { shift_V: 0.1 })], 'a', 'b')).toBeCloseTo(
      0.1 + read([diode('a', 'b')], 'a', 'b'),
      6,
    );
  });

  it('reads nothing with both leads on one node', () => {
    expect(read([resistor('a', 'b', 10)], 'a', 'a')).toBe(0);
  });
});

describe('temperature', () => {
  it('has kT/q = 25.85 mV at 27 °C', () => {
    expect(thermalVolts(27)).toBeCloseTo(0.02586, 5);
  });

  // About −2 mV per °C for silicon, any textbook on semiconductors.
  it('lowers a drop by one and a half to two and a half millivolts per degree', () => {
    const drop = (t: number) =>
      read(
        [diode('a', 'b', { saturation_A: saturationAt(9e-9, 1.5, t), emission_V: 1.5 * thermalVolts(t) })],
        'a',
        'b',
      );
    const perDegree_mV = ((drop(40) - drop(0)) / 40) * 1000;
    expect(perDegree_mV).toBeLessThan(-1.2);
    expect(perDegree_mV).toBeGreaterThan(-2.5);
    expect(saturationAt(9e-9, 1.5, 27)).toBeCloseTo(9e-9, 15);
  });
});

const nodes = ['a', 'b', 'c', 'd', 'e', 'f'];
const node = fc.constantFrom(...nodes);
const element: fc.Arbitrary<Element> = fc.oneof(
  fc
    .record({ a: node, b: node, ohm: fc.double({ min: -2, max: 6, noNaN: true }) })
    .map(({ a, b, ohm }) => resistor(a, b, 10 ** ohm)),
  fc
    .record({
      a: node,
      b: node,
      is: fc.double({ min: -11, max: -6, noNaN: true }),
      rs: fc.double({ min: 0, max: 200, noNaN: true }),
    })
    .map(({ a, b, is, rs }) => diode(a, b, { saturation_A: 10 ** is, series_ohm: rs })),
  fc
    .record({ a: node, b: node, volts: fc.double({ min: -1.5, max: 1.5, noNaN: true }) })
    .map(({ a, b, volts }) => source(a, b, volts)),
);
const network = fc
  .array(element, { minLength: 1, maxLength: 16 })
  .map((list) =>
    list.filter((e) =>
      e.type === 'D' ? e.anode !== e.cathode : e.type === 'V' ? e.plus !== e.minus : e.a !== e.b,
    ),
  );
const seeded = { seed: 1975, numRuns: 300 };

describe('any network', () => {
  it('settles', () => {
    fc.assert(
      fc.property(network, node, node, (elements, red, black) => {
        const n = compile(elements, nodes);
        const point = operatingPoint(n, { law, red: n.index.get(red) ?? 0, black: n.index.get(black) ?? 0 });
        expect(point.converged).toBe(true);
        expect([...point.volts].every(Number.isFinite)).toBe(true);
      }),
      seeded,
    );
  });

  it('obeys Kirchhoff: what flows into a node flows out again', () => {
    fc.assert(
      fc.property(network, (elements) => {
        const n = compile([...elements, resistor('a', 'b', 1000)], nodes);
        const red = n.index.get('a') ?? 0;
        const black = n.index.get('b') ?? 0;
        const { volts } = operatingPoint(n, { law, red, black });
        const into = new Map<number, number>();
        const add = (at_: number, ampere: number) => into.set(at_, (into.get(at_) ?? 0) + ampere);
        for (const { element: e, from, to } of n.links) {
          const across = valueAt(volts, from) - valueAt(volts, to);
          let ampere = 0;
          if (e.type === 'R') ampere = across / e.ohm;
          else if (e.type === 'V') ampere = (across - e.volts) / e.series_ohm;
          else {
            // The current of a junction with a resistance in series, by bisection.
            let [low, high] = [-e.saturation_A, 1];
            for (let i = 0; i < 200; i += 1) {
              const mid = (low + high) / 2;
              const drop =
                e.emission_V * Math.log1p(Math.max(mid / e.saturation_A, -1 + 1e-16)) + mid * e.series_ohm;
              if (drop < across) low = mid;
              else high = mid;
            }
            ampere = low;
          }
          add(from, -ampere);
          add(to, ampere);
        }
        const meter_A =
          law.testCurrent_A *
          (1 - Math.exp((valueAt(volts, red) - valueAt(volts, black) - law.openCircuit_V) / 0.02585));
        add(red, meter_A);
        add(black, -meter_A);
        for (const [i, ampere] of into)
          expect(Math.abs(ampere - valueAt(volts, i) * 1e-11)).toBeLessThan(3e-6);
      }),
      seeded,
    );
  });

  it('follows a shift of a junction as its sensitivity says', () => {
    const base = (shift_V: number): Element[] => [
      diode('a', 'b', { shift_V }),
      diode('a', 'b', { saturation_A: 7e-8 }),
      diode('b', 'c'),
      resistor('a', 'c', 5000),
    ];
    const n = compile(base(0));
    const [a, b, c] = ['a', 'b', 'c'].map((x) => n.index.get(x) ?? 0) as [number, number, number];
    const point = operatingPoint(n, { law, red: a, black: c });
    const reach = influence(point, a, c);
    const slope = valueAt(point.conductances_S, 0) * (valueAt(reach, a) - valueAt(reach, b));
    const measured = (read(base(1e-4), 'a', 'c') - read(base(-1e-4), 'a', 'c')) / 2e-4;
    expect(slope).toBeCloseTo(measured, 3);
    expect(slope).toBeGreaterThan(0.01);
  });
});
