import { lineFuseOf } from './line-fuse';

/** What the line gives is what the motor takes and the drive loses, whatever the current is called. */
it.each([
  [15, 3, 400],
  [7, 1, 230],
  [200, 3, 690],
] as const)('the power that comes out of %d A on %d phases goes in', (ratedAmps, phases, volts) => {
  const { line_A } = lineFuseOf(ratedAmps, phases);
  const out_W = Math.sqrt(3) * volts * ratedAmps * 0.85;
  const in_W = phases === 3 ? Math.sqrt(3) * volts * line_A * 0.65 : volts * line_A * 0.6;
  expect(out_W / in_W).toBeCloseTo(0.96, 6);
});

it('takes the next larger link of the series, and says where there is none', () => {
  expect(lineFuseOf(15, 3)).toMatchObject({ fuse_A: 25 });
  expect(lineFuseOf(7, 1)).toMatchObject({ fuse_A: 20 });
  expect(lineFuseOf(2000, 3).fuse_A).toBeNull();
  expect(lineFuseOf(15, 3).sum).toBe('15 A × 0.85 / (0.96 × 0.65) = 20.4 A in the line, without a choke');
});

it('refuses what is no current', () => {
  for (const amps of [0, -1, Number.NaN]) expect(() => lineFuseOf(amps, 3)).toThrow(/above 0/);
});
