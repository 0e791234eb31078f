/**
 * Simulated waveforms against ngspice on the same circuits, which shares nothing with ours: every family of faults,
 * three and one phase. Asked: the bus within 0.5 %, ripple and RMS currents within 3 %.
 */
import {
  partAt,
  simulateWave,
  usualBank,
  usualInverter,
  usualLink,
  usualMotor,
  usualRectifier,
  usualSupply,
  waveCase,
  type NetworkRun,
  type WaveCase,
} from '@/core/power-up/waveform';
import { ngspiceWave } from './waveform-deck';

const window = [0.06, 0.1] as const;
/** Two whole periods of supply and inverter alike. */
const at50 = { ...usualInverter, f1: 50 };
const inverting = { window: [0.02, 0.06], load: { kind: 'inverter' }, inverter: at50 } as const;
const onePhase = { ...usualSupply, phases: 1, vll: 230 } as const;

const circuits: readonly (readonly [string, WaveCase])[] = [
  ['three phases, sound', waveCase({ window })],
  ['a load of constant power', waveCase({ window, load: { kind: 'P', P: 5500, Vmin: 100 } })],
  ['no choke', waveCase({ window, link: { Ldc: 0, Rdc: 0.01, Rpre: 0 } })],
  ['a diode open', waveCase({ window, rectifier: { ...usualRectifier, openDiode: 'rect.L2.lo' } })],
  [
    'a diode shorted, on a weak supply',
    waveCase({
      window,
      supply: { ...usualSupply, Rs: 2 },
      rectifier: { ...usualRectifier, shortDiode: 'rect.L1.hi' },
    }),
  ],
  ['a phase lost', waveCase({ window, supply: { ...usualSupply, openPhase: 'L3' } })],
  ['an unbalanced supply', waveCase({ window, supply: { ...usualSupply, vscale: [1, 0.94, 1] } })],
  ['a weak bank', waveCase({ window, bank: { ...usualBank, C: 0.00014, ESR: 1 } })],
  ['precharge not bridged', waveCase({ window, link: { ...usualLink, Rpre: 22 } })],
  [
    'one phase, sound',
    waveCase({ window, supply: onePhase, load: { kind: 'R', R: 60 }, bank: { ...usualBank, v0: 310 } }),
  ],
  [
    'one phase, a diode open',
    waveCase({
      window,
      supply: onePhase,
      load: { kind: 'R', R: 60 },
      bank: { ...usualBank, v0: 310 },
      rectifier: { ...usualRectifier, openDiode: 'rect.L1.hi' },
    }),
  ],
  ['inverter, sine and triangle', waveCase(inverting)],
  [
    'inverter, space vectors at their limit',
    waveCase({ ...inverting, inverter: { ...at50, mode: 'svm', m: 1.1 } }),
  ],
  ['an IGBT that does not switch', waveCase({ ...inverting, inverter: { ...at50, openSwitch: 'inv.U.hi' } })],
  ['a lower gate missing', waveCase({ ...inverting, inverter: { ...at50, openSwitch: 'inv.W.lo' } })],
  ['an output phase open', waveCase({ ...inverting, motor: { ...usualMotor, openPhase: 'V' } })],
  [
    'an earth fault',
    // Its common-mode path costs ngspice most: one period is enough.
    waveCase({
      ...inverting,
      window: [0, 0.02],
      inverter: { ...at50, earthFault: { phase: 'U', ohm: 10 } },
    }),
  ],
  [
    'a motor that turns',
    waveCase({ ...inverting, motor: { ...usualMotor, R: 0.8, emf: 190, emfLag_deg: 12 } }),
  ],
];

const off = (ours: number, theirs: number, floor: number): number =>
  (100 * Math.abs(ours - theirs)) / Math.max(Math.abs(theirs), floor);

/** The bus of ours at a frequency, peak. */
function busPart(run: NetworkRun, hz: number): number {
  const [t0, t1] = run.t;
  const values = (run.samples.vdc ?? new Float64Array(0)).subarray(0, -1);
  return partAt({ t0: t0 ?? 0, dt: (t1 ?? 1) - (t0 ?? 0), values }, hz).peak;
}

/** 1 µH and no resistance but the diodes': what conducts changes within nanoseconds, and an empty bank swings to twice the peak. */
const stiff = {
  supply: { ...usualSupply, Ls: 1e-6, Rs: 0 },
  link: { Ldc: 0, Rdc: 0, Rpre: 0 },
  bank: { C: 1e-3, ESR: 0, v0: 548 },
} as const;
const empty = { ...stiff.bank, v0: 0 };
const stiffCircuits: readonly (readonly [string, WaveCase])[] = [
  ['a resistor', waveCase({ ...stiff, window })],
  ['a load of constant power', waveCase({ ...stiff, window, load: { kind: 'P', P: 20_000, Vmin: 100 } })],
  ['a diode open', waveCase({ ...stiff, window, rectifier: { ...usualRectifier, openDiode: 'rect.L2.lo' } })],
  ['switched on empty', waveCase({ ...stiff, bank: empty, window: [0, 0.04] })],
  [
    'switched on empty, through a choke',
    waveCase({ ...stiff, link: usualLink, bank: empty, window: [0, 0.04] }),
  ],
  [
    'switched on empty, diodes without resistance',
    waveCase({ ...stiff, bank: empty, rectifier: { ...usualRectifier, Vf: 0.1, Ron: 0 }, window: [0, 0.04] }),
  ],
  ['an inverter', waveCase({ ...stiff, ...inverting })],
  [
    'an inverter, a tenth of the inductance',
    waveCase({
      ...stiff,
      ...inverting,
      supply: { ...stiff.supply, Ls: 1e-7 },
    }),
  ],
];

it.each(stiffCircuits)(
  'least and most of the bus on a stiff supply: %s',
  (name, given) => {
    const { bus, mean } = ngspiceWave(given, given.load.kind === 'inverter' ? 1e-6 : 2e-6, 300);
    const { figures } = simulateWave(given);
    const [least, most, average] = [figures['vdc_min'], figures['vdc_max'], figures['vdc_avg']].map(
      (v) => v ?? NaN,
    );
    process.stdout.write(
      `stiff, ${name}: ${least?.toFixed(1)} to ${most?.toFixed(1)} V, ngspice ${bus[0].toFixed(1)} to ${bus[1].toFixed(1)} V\n`,
    );
    expect(Math.abs((least ?? NaN) - bus[0])).toBeLessThan(0.01 * bus[1]);
    expect(Math.abs((most ?? NaN) - bus[1])).toBeLessThan(0.01 * bus[1]);
    expect(Math.abs((average ?? NaN) - (mean['vdc'] ?? NaN))).toBeLessThan(0.01 * bus[1]);
  },
  120_000,
);

describe('waveforms against ngspice', () => {
  it.each(circuits)(
    '%s',
    (name, given) => {
      const ripple_Hz = simulateWave(given).figures['vdc_ripple_hz'] ?? NaN;
      const spice = ngspiceWave(given, given.load.kind === 'inverter' ? 2e-6 : 4e-6, ripple_Hz);
      const ways =
        given.load.kind === 'inverter' && given.inverter.earthFault === null
          ? (['whole', 'split'] as const)
          : (['whole'] as const);
      for (const how of ways) {
        const { figures, run } = simulateWave(given, how);
        const largest = Math.max(...['ia', 'ib', 'ic'].map((k) => spice.rms[k] ?? 0));
        const largestOut = Math.max(...['iu', 'iv', 'iw'].map((k) => spice.rms[k] ?? 0));
        const bus = off(figures['vdc_avg'] ?? NaN, spice.mean['vdc'] ?? NaN, 1);
        const ripple = off(busPart(run, ripple_Hz), spice.ripple, 0.5);
        const wrong: Record<string, number> = {};
        let worst = 0;
        for (const key of ['ia', 'ib', 'ic', 'iu', 'iv', 'iw', 'vuv', 'vvw', 'vwu']) {
          const ours = figures[`${key}_rms`];
          if (ours === undefined) continue;
          // A dead phase has no RMS to be a share of.
          const d = off(
            ours,
            spice.rms[key] ?? NaN,
            key.startsWith('v') ? 1 : 0.05 * (/i[abc]/.test(key) ? largest : largestOut),
          );
          worst = Math.max(worst, d);
          if (!(d < 3)) wrong[key] = d;
        }
        process.stdout.write(
          `waveform, ${name}, ${how}: bus ${bus.toFixed(3)} %, ripple ${ripple.toFixed(2)} %, worst RMS ${worst.toFixed(2)} %\n`,
        );
        expect(bus).toBeLessThan(0.5);
        expect(ripple).toBeLessThan(3);
        expect(wrong).toEqual({});
      }
    },
    120_000,
  );
});
