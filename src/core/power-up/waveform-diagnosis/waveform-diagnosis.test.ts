import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { captureOf, columnsOf, guessLayout, readComtrade, type Capture, type Layout } from '../capture';
import { circuitOf, simulateWave, waveCase, type WaveCase } from '../waveform';
import { winchMotorWords, winchUnit } from '../waveform/__tests__/winch';
import {
  alignment,
  causesFor,
  diagnoseWave,
  doubtsAbout,
  measuredIn,
  type Measured,
  type WaveDiagnosis,
} from '.';

const at = (share: number) =>
  circuitOf(winchUnit, { load: 'motor', f1: 40, share, motor: winchMotorWords }).given;

function diagnosed(sound: WaveCase, measured: Measured): WaveDiagnosis {
  const work = diagnoseWave(sound, measured, { prechargeOhm: 47 });
  let step = work.next();
  while (step.done !== true) step = work.next();
  return step.value;
}

/** What a meter would show of a fault on a unit a little off its plates, at another load than it is said to run on. */
function metered(id: string, keys: readonly string[], share = 0.5): Measured {
  const real = circuitOf(
    { ...winchUnit, capacitance_F: 770e-6 },
    { load: 'motor', f1: 40, share, motor: winchMotorWords },
  ).given;
  const change = causesFor(real, 47).find((c) => c.id === id)?.changes[0];
  if (change === undefined) throw new Error(id);
  const { figures } = simulateWave(change(real));
  return Object.fromEntries(keys.map((k, i) => [k, (figures[k] ?? 0) * (1 + [0.015, -0.01, 0.02][i % 3]!)]));
}
const meter = [
  'vdc_avg',
  'vdc_ripple_hz',
  'ia_rms',
  'ib_rms',
  'ic_rms',
  'iu_rms',
  'iv_rms',
  'iw_rms',
  'iu_dc',
  'iv_dc',
  'iw_dc',
];

/** The three line currents, which is what most people have. */
const lines = ['ia_rms', 'ib_rms', 'ic_rms'];

describe('values of a meter', () => {
  it.each([
    'sound',
    'phase-lost.L2',
    'diode-open.rect.L3.hi',
    'switch.inv.U.lo',
    'output-open.W',
    'precharge-stuck',
  ])('%s is found at half the load that was given', (id) => {
    const found = diagnosed(at(1), metered(id, meter));
    expect([found.found[0]?.id, ...found.same]).toContain(id);
    expect(['fault', 'sound']).toContain(found.verdict);
  });

  it.each([
    ['sound', 0.15, meter],
    ['phase-lost.L2', 0.15, meter],
    ['phase-lost.L2', 0.3, lines],
    ['phase-lost.L2', 1.2, lines],
    ['unbalance.L1', 0.3, meter],
    ['switch.inv.V.lo', 0.3, meter],
  ])('%s is found at %d of the load, with seven tenths given', (id, share, keys) => {
    const found = diagnosed(at(0.7), metered(id, keys, share));
    expect([found.found[0]?.id, ...found.same]).toContain(id);
    expect(found.verdict).not.toBe('unexplained');
  });

  it('says what differs before anything else: the ripple', () => {
    expect(diagnosed(at(0.7), metered('phase-lost.L1', meter)).headline).toMatch(
      /Input phase L1 missing.*ripple frequency \d+ Hz instead of 300 Hz/,
    );
  });

  it('does not claim to tell an IGBT from its gate drive', () => {
    const found = diagnosed(at(0.7), metered('switch.inv.V.hi', meter));
    expect(found.found[0]?.name).toMatch(/IGBT does not switch, or its gate drive is missing/);
    expect(found.notes.join()).toMatch(/check the gate pulses/);
  });

  it('says that a precharge that is not bridged cannot be seen at standby', () => {
    const idle = circuitOf(winchUnit, { load: 'none', f1: 20 }).given;
    const { figures } = simulateWave(idle);
    const found = diagnosed(idle, { vdc_avg: figures['vdc_avg'] ?? 0 });
    expect(found.notes.join()).toMatch(/not bypassed cannot be detected at this load/);
  });

  it('explains nothing that nothing explains', () => {
    expect(
      diagnosed(at(0.7), {
        vdc_avg: 250,
        ia_rms: 10,
        ib_rms: 10,
        ic_rms: 10,
        iu_rms: 2,
        iv_rms: 30,
        iw_rms: 9,
      }).verdict,
    ).toBe('unexplained');
    expect(diagnosed(at(0.7), {}).verdict).toBe('nothing-measured');
    // A resistor on the bus has no output: nothing can be compared, and nothing is made up.
    expect(diagnosed(waveCase(), { iu_rms: 3 })).toMatchObject({
      verdict: 'nothing-measured',
      headline: 'None of these values occurs in this circuit.',
      found: [],
    });
  });
});

const file = (name: string) => readFileSync(join(process.cwd(), 'demo/captures', name));
const comtrade = (name: string): Capture =>
  readComtrade(file(`${name}.cfg`).toString(), new Uint8Array(file(`${name}.dat`)));

describe('the captures of the demo', () => {
  it.each([
    ['winch-lines', 'phase-lost.L2'],
    ['winch-diode', 'diode-open.rect.L1.hi'],
    ['winch-output', 'switch.inv.V.lo'],
    ['winch-sound', 'sound'],
  ])('%s is named rightly', (name, id) => {
    const capture = name === 'winch-lines' || name === 'winch-sound' ? fromCsv(name) : comtrade(name);
    const found = diagnosed(at(0.7), measuredIn(capture, 50, 40));
    expect(found.found[0]?.id).toBe(id);
    expect(found.verdict).toBe(id === 'sound' ? 'sound' : 'fault');
  });
});

function fromCsv(name: string): Capture {
  const columns = columnsOf(file(`${name}.csv`).toString());
  const layout = guessLayout(columns);
  const roles = ['vdc', 'iu', 'iv', 'iw'] as const;
  const named: Layout =
    name === 'winch-sound'
      ? {
          ...layout,
          channels: layout.channels.map((c, k) => ({ ...c, role: roles[k] ?? 'other', scale: 100 })),
        }
      : layout;
  return captureOf(columns, named);
}

it('sums the outputs only where none of them was cut off', () => {
  const values = Float64Array.from({ length: 1000 }, (_, k) => 10 * Math.sin((2 * Math.PI * k) / 250));
  const channel = (role: 'iu' | 'iv' | 'iw', of: Float64Array) => ({
    name: role,
    role,
    unit: 'A',
    values: of,
  });
  const summed = (third: Float64Array) =>
    measuredIn(
      {
        t0: 0,
        dt: 1e-4,
        notes: [],
        channels: [channel('iu', values), channel('iv', values), channel('iw', third)],
      },
      50,
      40,
    );
  expect(summed(values)['i_sum_rms']).toBeCloseTo(30 / Math.SQRT2, 1);
  expect(summed(values.map((v) => Math.max(-5, Math.min(5, v))))['i_sum_rms']).toBeUndefined();
});

it('doubts channels that do not look like what they are called', () => {
  const right = fromCsv('winch-lines');
  expect(doubtsAbout(right, 400)).toEqual([]);
  const swapped = {
    ...right,
    channels: right.channels.map((c) => ({
      ...c,
      role: c.role === 'vdc' ? ('ia' as const) : c.role === 'ia' ? ('vdc' as const) : c.role,
    })),
  };
  expect(doubtsAbout(swapped, 400).join()).toMatch(
    /not a line or motor current.*swapped.*not a DC bus.*swapped/,
  );
  const unscaled = {
    ...right,
    channels: right.channels.map((c) => ({ ...c, values: c.values.map((v) => v / 100) })),
  };
  expect(doubtsAbout(unscaled, 400).join()).toMatch(/averages 5\.\d+ V.*factor right/);
});

it('lays a picture on another by what it shows', () => {
  const dt = 1e-4;
  const wave = (late: number) =>
    Float64Array.from(
      { length: 600 },
      (_, k) =>
        Math.sin(2 * Math.PI * 50 * (k * dt - late)) + 0.4 * Math.sin(2 * Math.PI * 250 * (k * dt - late)),
    );
  const by = alignment({ t0: 0, dt, values: wave(0.003) }, { t0: 0, dt, values: wave(0) }, 50);
  expect(by).toBeCloseTo(-0.003, 3);
});
