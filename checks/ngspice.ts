import { execFileSync } from 'node:child_process';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Element } from '@/core/circuit';
import type { Meter } from '@/core/power-stage';

const name = (node: string): string => `n_${node.replace('+', 'p').replace('-', 'm')}`;

/** One element as a SPICE card; a diode brings a model of its own. */
function card(e: Element, i: number): string {
  if (e.type === 'R') return `R${i} ${name(e.a)} ${name(e.b)} ${e.ohm}`;
  if (e.type === 'V')
    return `V${i} s${i} ${name(e.minus)} ${e.volts}\nRV${i} ${name(e.plus)} s${i} ${e.series_ohm}`;
  // n is chosen so that n·Vt at ngspice's own temperature (27 °C) is the emission voltage wanted.
  const n = (e.emission_V / (1.380649e-23 * 300.15)) * 1.602176634e-19;
  return `D${i} ${name(e.anode)} ${name(e.cathode)} M${i}\n.model M${i} D(IS=${e.saturation_A} N=${n} RS=${e.series_ohm})`;
}

/**
 * What ngspice says a meter shows between two nodes: a current source with a clamp (a steep diode on
 * a source), solved as an operating point by a program that shares nothing with ours.
 */
export function ngspiceVolts(elements: readonly Element[], red: string, black: string, meter: Meter): number {
  const amps = meter.testCurrent_mA / 1000;
  // The clamp: a diode on a source that carries the whole test current at the open-circuit voltage.
  const emission = 0.02585;
  const knee = 0.6;
  const saturation = amps / (Math.exp(knee / emission) - 1);
  const deck = (options: string) =>
    [
      'meter on a power stage',
      ...elements.map(card),
      `IM ${name(black)} ${name(red)} ${amps}`,
      `DM ${name(red)} clamp MM`,
      `.model MM D(IS=${saturation} N=${(emission * 1.602176634e-19) / (1.380649e-23 * 300.15)})`,
      `VM clamp ${name(black)} ${meter.openCircuit_V - knee}`,
      `.options rshunt=1e11 ${options}`,
      '.control',
      'op',
      `print v(${name(red)},${name(black)})`,
      'quit 0',
      '.endc',
      '.end',
    ].join('\n');
  for (const options of [
    'reltol=1e-5 gmin=1e-15',
    'reltol=1e-4',
    'reltol=1e-4 gmin=1e-13 itl1=5000 srcsteps=50',
  ]) {
    const volts = run(deck(options));
    if (volts !== null) return volts;
  }
  throw new Error(`ngspice finds no operating point:\n${deck('')}`);
}

function run(deck: string): number | null {
  const dir = mkdtempSync(join(tmpdir(), 'grim-deck-'));
  try {
    const file = join(dir, 'deck.cir');
    writeFileSync(file, `${deck}\n`);
    const out = execFileSync('ngspice', ['-b', file], {
      encoding: 'utf8',
      stdio: ['ignore', 'pipe', 'ignore'],
    });
    const volts = /v\(.*\) = ([-+0-9.e]+)/i.exec(out)?.[1];
    return volts === undefined ? null : Number(volts);
  } finally {
    rmSync(dir, { recursive: true, force: true });
  }
}
