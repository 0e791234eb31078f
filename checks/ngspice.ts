import { execFileSync } from 'node:child_process';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Element } from '@/core/numerics/circuit';
import type { Meter } from '@/core/equipment/power-stage';

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

interface Leads {
  red: string;
  black: string;
}

/** The network with the meter's current source and clamp between two nodes. */
function circuit(elements: readonly Element[], { red, black }: Leads, meter: Meter, options: string): string {
  const amps = meter.testCurrent_mA / 1000;
  // The clamp: a diode on a source that carries the whole test current at the open-circuit voltage.
  const emission = 0.02585;
  const knee = 0.6;
  const saturation = amps / (Math.exp(knee / emission) - 1);
  return [
    'meter on a power stage',
    ...elements.map(card),
    `IM ${name(black)} ${name(red)} ${amps}`,
    `DM ${name(red)} clamp MM`,
    `.model MM D(IS=${saturation} N=${(emission * 1.602176634e-19) / (1.380649e-23 * 300.15)})`,
    `VM clamp ${name(black)} ${meter.openCircuit_V - knee}`,
    `.options rshunt=1e11 ${options}`,
    '.end',
  ].join('\n');
}

const tries = [
  'reltol=1e-5 gmin=1e-15',
  'reltol=1e-4',
  'reltol=1e-4 gmin=1e-13 itl1=5000 srcsteps=50',
  'reltol=1e-4 gmin=1e-12 itl1=5000 gminsteps=0 srcsteps=200',
];

/**
 * What ngspice says a meter shows on each pair of nodes: a current source with a clamp (a steep diode
 * on a source), solved as an operating point by a program that shares nothing with ours. One run
 * for all probes; those that do not settle are tried again with other options.
 * @returns V, unrounded; meaningful only below the meter's ceiling; null where one does not settle at all
 */
export function ngspiceReadings(
  elements: readonly Element[],
  probes: readonly Leads[],
  meter: Meter,
): number[] | null {
  const volts = probes.map((): number | null => null);
  for (const options of tries) {
    const left = [...volts.keys()].filter((k) => volts[k] === null);
    if (left.length === 0) break;
    const answers = run(
      left.map((k) => {
        const probe = probes[k] as Leads;
        return {
          text: circuit(elements, probe, meter, options),
          asked: `v(${name(probe.red)},${name(probe.black)})`,
        };
      }),
    );
    left.forEach((k, i) => (volts[k] = answers[i] ?? null));
  }
  const settled = volts.filter((v) => v !== null);
  return settled.length === volts.length ? settled : null;
}

export function ngspiceVolts(elements: readonly Element[], red: string, black: string, meter: Meter): number {
  const [volts] = ngspiceReadings(elements, [{ red, black }], meter) ?? [];
  if (volts === undefined) throw new Error(`ngspice finds no operating point for ${red} to ${black}`);
  return volts;
}

/** Circuits in one run of ngspice; null for one that finds no operating point. */
function run(circuits: readonly { text: string; asked: string }[]): (number | null)[] {
  const dir = mkdtempSync(join(tmpdir(), 'grim-deck-'));
  try {
    circuits.forEach(({ text }, k) => writeFileSync(join(dir, `${k}.cir`), `${text}\n`));
    const script = circuits.flatMap(({ asked }, k) => [
      `source ${join(dir, `${k}.cir`)}`,
      'op',
      `echo circuit ${k}`,
      `print ${asked}`,
      'destroy all',
      'remcirc',
    ]);
    const main = join(dir, 'main.cir');
    writeFileSync(main, ['all probes', '.control', ...script, 'quit 0', '.endc', '.end', ''].join('\n'));
    const out = execFileSync('ngspice', ['-b', main], {
      encoding: 'utf8',
      stdio: ['ignore', 'pipe', 'ignore'],
    });
    const answers = circuits.map((): number | null => null);
    for (const [, k, text] of out.matchAll(/circuit (\d+)\s+v\(.*\) = ([-+0-9.e]+)/gi)) {
      const volts = Number(text);
      answers[Number(k)] = Number.isFinite(volts) ? volts : null;
    }
    return answers;
  } finally {
    rmSync(dir, { recursive: true, force: true });
  }
}
