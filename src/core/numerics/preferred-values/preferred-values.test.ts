import fc from 'fast-check';
import { notAbove, potentiometerFault, potentiometers, series, seriesNames } from '.';

// IEC 60063, from memory.
it('has the printed series', () => {
  expect(series.E3).toEqual([1, 2.2, 4.7]);
  expect(series.E6).toEqual([1, 1.5, 2.2, 3.3, 4.7, 6.8]);
  expect(series.E12).toEqual([1, 1.2, 1.5, 1.8, 2.2, 2.7, 3.3, 3.9, 4.7, 5.6, 6.8, 8.2]);
  expect(series.E24).toHaveLength(24);
  expect(series.E96.slice(0, 6)).toEqual([1, 1.02, 1.05, 1.07, 1.1, 1.13]);
  expect(series.E96.at(-1)).toBe(9.76);
  expect(series.E192).toContain(9.2);
  expect(series.E192).not.toContain(9.19);
  expect(new Set(series.E48).size).toBe(48);
});

it('a window of 3 to 5 kΩ has 4.7 kΩ of one series and 5 kΩ of the other', () => {
  expect(potentiometers(3000, 5000)).toEqual([
    { ohm: 4700, sold: '1–2.2–4.7 series' },
    { ohm: 5000, sold: '1–2–5 series' },
  ]);
  expect(potentiometers(3000, 4000)).toEqual([]);
  expect(potentiometers(-1, 4000)).toEqual([]);
});

it('the largest that is sold and not above a value: 56.7 Ω at most is 56 of E12, 47 of E3', () => {
  expect(notAbove('E12', 56.7)).toBe(56);
  expect(notAbove('E3', 56.7)).toBe(47);
  expect(notAbove('E24', 1000)).toBe(1000);
  expect(notAbove('E24', 0)).toBeNull();
});

it.each(seriesNames)('%s leaves no gap wider than its step', (name) => {
  fc.assert(
    fc.property(fc.double({ min: 0.1, max: 1e6, noNaN: true }), (most) => {
      const sold = notAbove(name, most);
      if (sold === null) throw new Error('nothing is sold');
      expect(sold).toBeLessThanOrEqual(most);
      // The widest step of the printed series is E3's from 2.2 to 4.7.
      const next = series[name].map((v) => v * 10 ** Math.floor(Math.log10(most))).find((v) => v > most);
      expect(sold).toBeGreaterThan(most / 2.3);
      if (next !== undefined) expect(next).toBeGreaterThan(sold);
    }),
  );
});

it('22 kΩ for a window of 8 to 12 kΩ is refused with the nearest that is sold', () => {
  expect(potentiometerFault(22_000, [8000, 12_000])).toBe(
    '22 kΩ is outside 8 kΩ to 12 kΩ, as allowed by the type: nearest standard value: 10 kΩ.',
  );
  expect(potentiometerFault(10_000, [8000, 12_000])).toBeNull();
  expect(potentiometerFault(1, [7000, 7100])).toContain('no standard value');
});
