import { readFileSync } from 'node:fs';
import { controlSchema } from '../catalogue/schema';
import { busOf, liveOf } from '.';

const control = controlSchema.parse(JSON.parse(readFileSync('catalogue/dunlin-d1/control.json', 'utf8')));

// Modbus carries words of 16 bits; a temperature is a signed one, in two's complement.
it.each([
  [65531, -5],
  [0, 0],
  [52, 52],
])('a heatsink register of %d is %d °C', (word, celsius) => {
  const { register, scale } = busOf(control).live.find((l) => l.key === 'heatsink')!;
  expect(liveOf(control, (r) => (r === register ? word : undefined)).heatsink_C).toBeCloseTo(
    celsius * scale,
    6,
  );
});
