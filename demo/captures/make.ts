/**
 * Makes the captures of the demo: the slipway winch's unit, simulated with parts a little off their plates, with the
 * noise, offsets and layouts of four different scopes. `npx tsx demo/captures/make.ts` writes the same files again.
 */
import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { writeComtrade, type Capture, type ChannelRole } from '@/core/power-up/capture';
import { circuitOf, simulateWave, type WaveCase } from '@/core/power-up/waveform';
import { winchMotorWords, winchUnit } from '@/core/power-up/waveform/__tests__/winch';
import { causesFor } from '@/core/power-up/waveform-diagnosis';
import { seeded } from '../../checks/random';

const here = join(process.cwd(), 'demo', 'captures');
const random = seeded(1848);
const noise = () => random() + random() + random() - 1.5;

/** The winch with a fault, its parts not quite what the plates say. */
function winch(fault: string, share: number): WaveCase {
  const { given } = circuitOf(winchUnit, { load: 'motor', f1: 40, share, motor: winchMotorWords });
  const real: WaveCase = {
    ...given,
    supply: { ...given.supply, Ls: given.supply.Ls * 1.3, vscale: [1.004, 0.997, 1] },
    bank: { ...given.bank, C: given.bank.C * 0.95, ESR: given.bank.ESR * 1.2 },
  };
  const change = causesFor(real, winchUnit.prechargeOhm).find((c) => c.id === fault)?.changes[0];
  if (change === undefined) throw new Error(fault);
  const faulty = change(real);
  return { ...faulty, window: [faulty.window[0] + 0.213, faulty.window[0] + 0.293] };
}

/** Channels of a run as a scope has them: noise of a share of their peak, on a time of its own. */
function captured(given: WaveCase, roles: readonly ChannelRole[], noisy: number): Capture {
  const { run } = simulateWave(given);
  const dt = (run.t[1] as number) - (run.t[0] as number);
  return {
    t0: -0.02,
    dt,
    notes: [],
    channels: roles.map((role) => {
      const values = role === 'other' ? undefined : run.samples[role];
      if (values === undefined) throw new Error(role);
      const peak = Math.max(...Array.from(values, Math.abs));
      return {
        name: role,
        role,
        unit: role.startsWith('v') ? 'V' : 'A',
        values: values.map((v) => v + noisy * peak * noise()),
      };
    }),
  };
}

const put = (name: string, text: string) => writeFileSync(join(here, name), text);
const comma = (v: number, digits: number) => v.toFixed(digits).replace('.', ',');

// Semicolons, decimal commas, milliseconds, two lines above the names.
const lost = captured(winch('phase-lost.L2', 0.7), ['vdc', 'ia', 'ib', 'ic'], 0.004);
put(
  'winch-lines.csv',
  [
    'Recorder 4;Pellow Quay',
    'Slipway winch hauling;40 Hz',
    'Time (ms);DC bus (V);I L1 (A);I L2 (A);I L3 (A)',
    ...Array.from(lost.channels[0]?.values ?? [], (_, k) =>
      [
        comma((lost.t0 + k * lost.dt) * 1000, 4),
        ...lost.channels.map((c) => comma(c.values[k] as number, 3)),
      ].join(';'),
    ),
    '',
  ].join('\n'),
);

// A scope that knows its channels by number only, clamps at 10 mV/A, probe at 1:100.
const sound = captured(winch('sound', 0.6), ['vdc', 'iu', 'iv', 'iw'], 0.004);
const scales = [100, 100, 100, 100];
put(
  'winch-sound.csv',
  [
    'second,CH1,CH2,CH3,CH4',
    ...Array.from(sound.channels[0]?.values ?? [], (_, k) =>
      [
        (sound.t0 + k * sound.dt).toFixed(8),
        ...sound.channels.map((c, i) => ((c.values[k] as number) / (scales[i] as number)).toFixed(5)),
      ].join(','),
    ),
    '',
  ].join('\n'),
);

const at = new Date('2026-11-20T09:12:00Z');
for (const [name, fault, roles] of [
  ['winch-diode', 'diode-open.rect.L1.hi', ['vdc', 'ia', 'ib', 'ic']],
  ['winch-output', 'switch.inv.V.lo', ['vdc', 'iu', 'iv', 'iw']],
] as const) {
  const { cfg, dat } = writeComtrade(captured(winch(fault, 0.65), roles, 0.004), at, 50);
  put(`${name}.cfg`, cfg);
  put(`${name}.dat`, dat);
}
