import {
  caseProblems,
  circuitOf,
  ImpossibleCircuit,
  partAt,
  scaledLoad,
  simulateWave,
  spectrumOf,
  usualBank,
  usualInverter,
  usualLink,
  usualMotor,
  usualRectifier,
  usualSupply,
  waveCase,
  type WaveCase,
} from '.';
import { winchMotorWords, winchUnit } from './__tests__/winch';

const settled = [0.16, 0.2] as const;
const figures = (differs: Partial<WaveCase>, how: 'auto' | 'whole' | 'split' = 'auto') =>
  simulateWave(waveCase({ window: settled, ...differs }), how).figures;
const inverting = { load: { kind: 'inverter' }, inverter: { ...usualInverter, f1: 50 } } as const;

describe('a bridge against the textbook', () => {
  it('gives 1.35 × the line volts under continuous current, √2 × with nothing on it', () => {
    // 3√2/π (e.g. Mohan, Undeland, Robbins, Power Electronics, ch. 5): ideal diodes, stiff supply, a large choke.
    const loaded = figures({
      supply: { ...usualSupply, Ls: 1e-6, Rs: 1e-4 },
      rectifier: { ...usualRectifier, Vf: 0, Ron: 1e-4 },
      link: { Ldc: 0.2, Rdc: 0, Rpre: 0 },
      bank: { C: 0.0005, ESR: 0.05, v0: 540 },
      load: { kind: 'R', R: 20 },
      window: [0.9, 1],
    });
    expect((loaded['vdc_avg'] ?? 0) / 400).toBeCloseTo((3 * Math.SQRT2) / Math.PI, 2);
    const idle = figures({
      rectifier: { ...usualRectifier, Vf: 0 },
      load: { kind: 'R', R: 1e6 },
      link: { Ldc: 0, Rdc: 0, Rpre: 0 },
    });
    expect((idle['vdc_avg'] ?? 0) / 400).toBeCloseTo(Math.SQRT2, 2);
  });

  it('draws the harmonics of six pulses: 1/5 and 1/7, no third', () => {
    const f = figures({
      supply: { ...usualSupply, Ls: 1e-6, Rs: 1e-4 },
      link: { Ldc: 0.5, Rdc: 0, Rpre: 0 },
      load: { kind: 'R', R: 20 },
      bank: { C: 0.0005, ESR: 0.05, v0: 538 },
      window: [1.9, 2],
    });
    const h1 = f['ia_h1_rms'] ?? NaN;
    expect((f['ia_h5_rms'] ?? NaN) / h1).toBeCloseTo(1 / 5, 1);
    expect((f['ia_h7_rms'] ?? NaN) / h1).toBeCloseTo(1 / 7, 1);
    expect((f['ia_h3_rms'] ?? NaN) / h1).toBeLessThan(0.005);
    // A line of blocks 120° wide: √(2/3) of the DC.
    expect((f['ia_rms'] ?? NaN) / ((f['vdc_avg'] ?? NaN) / 20)).toBeCloseTo(Math.sqrt(2 / 3), 2);
    expect(f['ia_cond_deg']).toBeGreaterThan(115);
    expect(f['ia_cond_deg']).toBeLessThan(125);
  });

  it('ripples at six times the supply when good, twice with a phase lost, once with a diode open', () => {
    expect(figures({})['vdc_ripple_hz']).toBe(300);
    expect(figures({ supply: { ...usualSupply, openPhase: 'L1' } })['vdc_ripple_hz']).toBe(100);
    const open = figures({ rectifier: { ...usualRectifier, openDiode: 'rect.L1.hi' } });
    expect(open['vdc_ripple_hz']).toBe(50);
    for (const line of ['ia', 'ib', 'ic']) expect(Math.abs(open[`${line}_dc`] ?? 0)).toBeGreaterThan(0.5);
  });

  it('moves the average by a percent or two where a phase is lost', () => {
    const lost = figures({ supply: { ...usualSupply, openPhase: 'L2' } })['vdc_avg'] ?? 0;
    const sound = figures({})['vdc_avg'] ?? 0;
    expect(lost / sound).toBeGreaterThan(0.97);
    expect(lost / sound).toBeLessThan(1);
  });

  it('shows a precharge that is not bridged under load, and not at standby', () => {
    const at = (R: number, Rpre: number) =>
      figures({ load: { kind: 'R', R }, link: { ...usualLink, Rpre }, window: [0.4, 0.44] })['vdc_avg'] ?? 0;
    expect(at(60, 47) / at(60, 0)).toBeLessThan(0.75);
    expect(at(15_000, 47) / at(15_000, 0)).toBeGreaterThan(0.98);
  });
});

describe('an inverter against the textbook', () => {
  const ideal = { ...usualInverter, f1: 50, deadTime: 0, Vce: 0, Vfd: 0, Rce: 1e-3, Rfd: 1e-3 };
  const stiff = { bank: { C: 0.1, ESR: 1e-3, v0: 540 } };
  const fundamental = (m: number, mode: 'spwm' | 'svm') => {
    const f = figures({ ...stiff, load: { kind: 'inverter' }, inverter: { ...ideal, m, mode } });
    return (f['vuv_h1_rms'] ?? 0) / (f['vdc_avg'] ?? 1);
  };
  it('gives 0.612·m of the bus by sine and triangle, and 0.707 at the limit of space vectors', () => {
    // Mohan, Undeland, Robbins, ch. 8: line to line RMS of the fundamental, √3/(2√2)·m, and 1/√2 with third harmonic.
    expect(fundamental(0.8, 'spwm')).toBeCloseTo(0.612 * 0.8, 3);
    expect(fundamental(1, 'spwm')).toBeCloseTo(0.612, 3);
    expect(fundamental(1.1547, 'svm')).toBeCloseTo(0.707, 3);
  });

  it('puts its sidebands where the table has them', () => {
    // Two-level sine–triangle at m = 0.8, peaks of line to line over the bus: √3/2 × 0.220 at mf ± 2, √3/2 × 0.314 at
    // 2mf ± 1 (the usual table of generalised harmonics, from memory; nothing at mf itself, a multiple of three).
    const fc = 2250;
    const given = waveCase({
      ...stiff,
      load: { kind: 'inverter' },
      inverter: { ...ideal, m: 0.8, fc },
      window: [0.1, 0.14],
    });
    const { run } = simulateWave(given, 'split');
    const dt = (run.t[1] ?? 1) - (run.t[0] ?? 0);
    const series = {
      t0: run.t[0] ?? 0,
      dt,
      values: (run.samples.vuvMean ?? new Float64Array(0)).subarray(1),
    };
    const bus = simulateWave(given).figures['vdc_avg'] ?? NaN;
    // A mean over a sample's time weighs a line by the sinc of it.
    const peak = (hz: number) =>
      partAt(series, hz).peak / (Math.sin(Math.PI * hz * dt) / (Math.PI * hz * dt)) / bus;
    expect(peak(fc + 100)).toBeCloseTo((Math.sqrt(3) / 2) * 0.22, 1);
    expect(peak(fc - 100)).toBeCloseTo((Math.sqrt(3) / 2) * 0.22, 1);
    expect(peak(2 * fc + 50)).toBeCloseTo((Math.sqrt(3) / 2) * 0.314, 1);
    expect(peak(fc)).toBeLessThan(0.02);
  });

  it('reads far above its fundamental on a wide-band meter at low output', () => {
    const f = figures({ ...inverting, inverter: { ...ideal, m: 0.4 } });
    expect((f['vuv_rms'] ?? 0) / (f['vuv_h1_rms'] ?? 1)).toBeCloseTo(1.9, 1);
  });

  it('tells an upper IGBT from a lower one by the sign of the DC', () => {
    const dc = (openSwitch: 'inv.U.hi' | 'inv.U.lo') =>
      figures({ ...inverting, inverter: { ...usualInverter, f1: 50, openSwitch } })['iu_dc'] ?? 0;
    expect(dc('inv.U.hi')).toBeLessThan(-1);
    expect(dc('inv.U.lo')).toBeGreaterThan(1);
  });

  it.each([
    ['sound', {}],
    ['an IGBT open', { inverter: { ...usualInverter, f1: 50, openSwitch: 'inv.V.lo' } }],
    ['a phase open', { motor: { ...usualMotor, openPhase: 'W' } }],
    ['a motor that turns', { motor: { ...usualMotor, R: 0.5, emf: 200, emfLag_deg: 8 } }],
    ['a lamp', { motor: { ...usualMotor, R: 300, L: 0 } }],
  ] as [string, Partial<WaveCase>][])('in two halves agrees with the whole network: %s', (_name, differs) => {
    const whole = figures({ ...inverting, ...differs }, 'whole');
    const split = figures({ ...inverting, ...differs }, 'split');
    expect((split['vdc_avg'] ?? 0) / (whole['vdc_avg'] ?? 1)).toBeCloseTo(1, 3);
    const most = Math.max(...['iu', 'iv', 'iw'].map((k) => whole[`${k}_rms`] ?? 0));
    for (const key of ['iu', 'iv', 'iw'])
      expect(Math.abs((split[`${key}_rms`] ?? NaN) - (whole[`${key}_rms`] ?? NaN)) / most).toBeLessThan(
        0.003,
      );
  });
});

describe('circuits that cannot be', () => {
  it.each([
    ['a supply without impedance', { supply: { ...usualSupply, Rs: 0, Ls: 0 } }, 'supply.Rs'],
    ['no bank', { bank: { ...usualBank, C: 0 } }, 'bank.C'],
    ['a load of nothing', { load: { kind: 'R', R: 0 } }, 'load.R'],
    ['a motor without impedance', { ...inverting, motor: { ...usualMotor, R: 0, L: 0 } }, 'motor.R'],
    ['a carrier below its sine', { ...inverting, inverter: { ...usualInverter, fc: 100 } }, 'inverter.fc'],
    ['a window that ends before it begins', { window: [0.2, 0.1] }, 'window'],
    [
      'a bank too small for its power',
      { bank: { ...usualBank, C: 1e-8 }, load: { kind: 'P', P: 5500, Vmin: 100 } },
      'bank.C',
    ],
    [
      'an open diode of a third line on one phase',
      { supply: { ...usualSupply, phases: 1 }, rectifier: { ...usualRectifier, openDiode: 'rect.L3.lo' } },
      'rectifier.openDiode',
    ],
    [
      'an open phase of a single one',
      { supply: { ...usualSupply, phases: 1, openPhase: 'L3' } },
      'supply.openPhase',
    ],
    [
      'a diode both open and shorted',
      { rectifier: { ...usualRectifier, openDiode: 'rect.L1.hi', shortDiode: 'rect.L1.hi' } },
      'rectifier.shortDiode',
    ],
    [
      'a fault of an inverter that is not there',
      { inverter: { ...usualInverter, earthFault: { phase: 'U', ohm: 1 } } },
      'inverter.earthFault',
    ],
    ['an open winding of no motor', { motor: { ...usualMotor, openPhase: 'W' } }, 'motor.openPhase'],
  ] as [string, Partial<WaveCase>, string][])('%s is refused with its place', (_name, differs, path) => {
    expect(caseProblems(waveCase(differs)).map((p) => p.path)).toContain(path);
    expect(() => simulateWave(waveCase(differs))).toThrow(ImpossibleCircuit);
  });

  it('a load that empties the bank is refused on the way: below zero other parts would carry', () => {
    const emptied = waveCase({
      ...inverting,
      supply: { ...usualSupply, openPhase: 'L3' },
      link: { Ldc: 1, Rdc: 0.05, Rpre: 50 },
      bank: { C: 1e-6, ESR: 0.1, v0: 565 },
      window: [0, 0.04],
    });
    expect(caseProblems(emptied)).toEqual([]);
    expect(() => simulateWave(emptied)).toThrow(/bank\.C: more: the load empties the bus/);
  });

  it('gets through a leg that floats between its diodes, with an end to its events', () => {
    const both = waveCase({
      window: [0, 0.02],
      load: { kind: 'inverter' },
      inverter: { ...usualInverter, m: 0.02, fc: 16_000, openSwitch: 'inv.U.hi' },
      motor: { ...usualMotor, R: 100, L: 0.001 },
    });
    const { run } = simulateWave(both, 'whole');
    expect(run.events).toBeLessThan(50_000);
    expect(run.sums.mean['vdc']).toBeGreaterThan(400);
  });
});

describe('a unit from its plates', () => {
  it('draws about the nameplate current at full load', () => {
    const { given } = circuitOf(winchUnit, { load: 'motor', f1: 45, share: 1, motor: winchMotorWords });
    expect((simulateWave(given).figures['iu_rms'] ?? 0) / 14.8).toBeCloseTo(1, 1);
  });

  it('multiplies a small unbalance of the volts in the currents, the more the less it is loaded', () => {
    const at = (share: number) =>
      simulateWave(
        circuitOf(
          { ...winchUnit, measured_V: [400, 400, 392] },
          { load: 'motor', f1: 40, share, motor: winchMotorWords },
        ).given,
      ).figures['i_unbalance'] ?? 0;
    expect(at(1)).toBeGreaterThan(0.1);
    expect(at(0.3)).toBeGreaterThan(at(1));
  });

  it('is magnetised at any load: another load changes the active current only', () => {
    const at = (share: number) =>
      circuitOf(winchUnit, { load: 'motor', f1: 40, share, motor: winchMotorWords }).given;
    for (const share of [0.2, 1]) {
      const asked = simulateWave(at(share)).figures;
      const scaled = simulateWave(scaledLoad(at(0.7), share / 0.7)).figures;
      for (const key of ['iu_rms', 'ia_rms'])
        expect(Math.abs((scaled[key] ?? 0) / (asked[key] ?? 0) - 1)).toBeLessThan(0.05);
    }
  });

  it('names everything that it assumes', () => {
    const { assumed } = circuitOf({ ...winchUnit, choke: true }, { load: 'none', f1: 20 });
    expect(assumed.map((a) => a.what)).toEqual(['supply inductance', 'bank ESR', 'bus choke', 'carrier']);
  });
});

describe('a spectrum', () => {
  it('finds a line of a series by its peak', () => {
    const values = Float64Array.from(
      { length: 1000 },
      (_, k) => 3 * Math.sin((2 * Math.PI * 120 * k) / 10_000) + 7,
    );
    const series = { t0: 0, dt: 1e-4, values };
    expect(partAt(series, 120).peak).toBeCloseTo(3, 6);
    const { step, peaks } = spectrumOf(series);
    expect(peaks[Math.round(120 / step)]).toBeCloseTo(3, 1);
    expect(peaks[0]).toBeCloseTo(7, 6);
  });
});
