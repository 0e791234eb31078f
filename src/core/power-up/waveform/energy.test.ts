/** What goes in comes out: the energy of random circuits, summed apart from the solver, over whole periods of the supply. */
import fc from 'fast-check';
import {
  simulateWave,
  usualInverter,
  usualMotor,
  usualRectifier,
  usualSupply,
  waveCase,
  type Wave,
  type WaveCase,
} from '.';

/** Leaks are not counted: so little that they do not matter. */
const rectifier = { ...usualRectifier, Roff: 1e7 };
const between = (low: number, high: number) =>
  fc.double({ min: Math.log(low), max: Math.log(high), noNaN: true }).map(Math.exp);

const anyFeed = fc.record({
  Rs: between(0.001, 0.5),
  Ls: between(1e-6, 2e-3),
  Ldc: fc.oneof(fc.constant(0), between(1e-5, 5e-3)),
  Rdc: between(1e-3, 0.2),
  C: between(3e-4, 3e-3),
  ESR: between(1e-3, 0.2),
  Vf: fc.double({ min: 0, max: 1.5, noNaN: true }),
  Ron: between(1e-3, 0.05),
  vscale: fc.tuple(fc.constant(1), fc.double({ min: 0.9, max: 1, noNaN: true }), fc.constant(1)),
});
type Feed = typeof anyFeed extends fc.Arbitrary<infer T> ? T : never;

const window = [0.2, 0.24] as const;
const fed = ({ Rs, Ls, Ldc, Rdc, C, ESR, Vf, Ron, vscale }: Feed, differs: Partial<WaveCase>): WaveCase =>
  waveCase({
    supply: { ...usualSupply, Rs, Ls, vscale },
    rectifier: { ...rectifier, Vf, Ron },
    link: { Ldc, Rdc, Rpre: 0 },
    bank: { C, ESR, v0: 540 },
    window,
    ...differs,
  });

const lines = ['ia', 'ib', 'ic'] as const;
const windings = ['iu', 'iv', 'iw'] as const;

/** Mean power of the sources, and of what is lost or stored on the way to the bus, W. */
function balance(given: WaveCase, { run }: Wave): { source: number; way: number } {
  const { supply, link, bank } = given;
  const { t, samples, sums } = run;
  const count = t.length;
  const at = (key: (typeof lines)[number] | 'vdc' | 'idc', k: number) => samples[key]?.[k] ?? NaN;
  let source = 0;
  let conducted = 0;
  for (let k = 0; k < count; k += 1) {
    const weight = k === 0 || k === count - 1 ? 0.5 : 1;
    lines.forEach((key, n) => {
      const angle = 2 * Math.PI * supply.f * (t[k] ?? NaN) + ((supply.phi_deg[n] ?? 0) * Math.PI) / 180;
      const volts = Math.sqrt(2 / 3) * supply.vll * (supply.vscale[n] ?? 1) * Math.sin(angle);
      source += weight * volts * at(key, k);
      conducted += weight * Math.abs(at(key, k));
    });
  }
  const steps = count - 1;
  const square = (key: string) => sums.square[key] ?? NaN;
  const squares = lines.reduce((sum, key) => sum + square(key), 0);
  const stored = (k: number) =>
    0.5 * bank.C * at('vdc', k) ** 2 +
    0.5 * link.Ldc * at('idc', k) ** 2 +
    lines.reduce((sum, key) => sum + 0.5 * supply.Ls * at(key, k) ** 2, 0);
  const grown = (stored(count - 1) - stored(0)) / ((t[count - 1] ?? NaN) - (t[0] ?? NaN));
  const diodes = (given.rectifier.Vf * conducted) / steps + given.rectifier.Ron * squares;
  return {
    source: source / steps,
    way: supply.Rs * squares + link.Rdc * square('idc') + diodes + grown,
  };
}

it('of a bridge on a resistor', () => {
  fc.assert(
    fc.property(anyFeed, between(10, 200), (feed, R) => {
      const given = fed(feed, { load: { kind: 'R', R } });
      const wave = simulateWave(given);
      const { source, way } = balance(given, wave);
      const used = (wave.run.sums.square['vdc'] ?? NaN) / R;
      // The bank's own resistance carries the choke's current less what the load draws.
      const { vdc, idc } = wave.run.samples;
      const ripple =
        Array.from(vdc ?? []).reduce((sum, v, k) => sum + ((idc?.[k] ?? NaN) - v / R) ** 2, 0) /
        wave.run.t.length;
      const out = way + used + feed.ESR * ripple;
      expect(Math.abs(source - out) / source).toBeLessThan(0.01);
    }),
    { seed: 22, numRuns: 100, endOnFailure: true },
  );
});

it.each(['whole', 'split'] as const)('of an inverter on a winding, %s', (how) => {
  const r = 0.02;
  const inverter = { ...usualInverter, f1: 50, Vce: 0, Vfd: 0, Rce: r, Rfd: r };
  fc.assert(
    fc.property(
      anyFeed,
      between(2, 20),
      between(2e-3, 0.03),
      fc.double({ min: 0.4, max: 1.1, noNaN: true }),
      (feed, R, L, m) => {
        // The halves are for banks that hardly move between two samples.
        const calm = { ...feed, ESR: 1e-3, Ldc: Math.max(feed.Ldc, 1e-4) };
        const given = fed(calm, {
          load: { kind: 'inverter' },
          inverter: { ...inverter, m },
          motor: { ...usualMotor, R, L },
        });
        const wave = simulateWave(given, how);
        const { source, way } = balance(given, wave);
        const squares = windings.reduce((sum, key) => sum + (wave.run.sums.square[key] ?? NaN), 0);
        expect(Math.abs(source - way - (R + r) * squares) / source).toBeLessThan(0.03);
      },
    ),
    { seed: 22, numRuns: 30, endOnFailure: true },
  );
});
