import { nearest, potentiometers, series } from '.';

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

it('takes the nearest by ratio', () => {
  expect(nearest('E12', 50)).toBe(47);
  expect(nearest('E24', 1040)).toBe(1000);
  expect(nearest('E3', 9.9)).toBe(10);
});
