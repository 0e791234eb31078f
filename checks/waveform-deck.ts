import { execFileSync } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { WaveCase } from '@/core/power-up/waveform';

/**
 * A diode of ngspice as near to a drop and a resistance as its exponential lets it: this emission drops about 60 mV.
 * The nanofarad keeps ngspice's steps from shrinking without end where a diode lets go of an inductance.
 */
const emission = 'IS=1e-9 N=0.1 CJO=1e-9';
const ownDrop = 0.06;

/**
 * Between switching edges the trapezoid is quicker; without them it rings where diodes let go, and Gear does not. The
 * common-mode path of an earth fault would take ngspice minutes at the finer tolerance.
 */
function tolerance({ load, inverter }: WaveCase): string {
  if (load.kind !== 'inverter') return 'reltol=1e-4 method=gear';
  return inverter.earthFault === null ? 'reltol=1e-4' : 'reltol=3e-4';
}

/** A case as a SPICE deck: the same parts, gates by comparators on a triangle, everything else ngspice's own. */
export function waveformDeck(given: WaveCase, step_s: number, loosely = false): string {
  const { supply, rectifier, link, bank, load } = given;
  const lines: string[] = ['power circuit of a drive'];
  const peak = Math.SQRT2 * supply.vll;
  const source = (name: string, from: string, to: string, volts: number, deg: number) => {
    lines.push(`V${name} s${name} ${from} SIN(0 ${volts} ${supply.f} 0 0 ${deg})`);
    lines.push(`VI${name} s${name} t${name} 0`);
    lines.push(`R${name} t${name} m${name} ${Math.max(supply.Rs, 1e-5)}`);
    lines.push(`L${name} m${name} ${to} ${Math.max(supply.Ls, 1e-9)} IC=0`);
  };
  const inputs = supply.phases === 1 ? ['l1', 'l2'] : ['l1', 'l2', 'l3'];
  if (supply.phases === 1) source('a', 'l2', 'l1', peak * supply.vscale[0], supply.phi_deg[0]);
  else
    ['a', 'b', 'c'].forEach((name, k) => {
      if (supply.openPhase === `L${k + 1}`)
        lines.push(`VI${name} open${name} 0 0`, `Ropen${name} open${name} 0 1`);
      else
        source(
          name,
          'neutral',
          `l${k + 1}`,
          (peak / Math.sqrt(3)) * (supply.vscale[k] ?? 1),
          supply.phi_deg[k] ?? 0,
        );
    });
  lines.push('Rneutral neutral 0 1e7');

  lines.push(`.model DR D(${emission} RS=${Math.max(rectifier.Ron, 1e-4)})`);
  inputs.forEach((input, k) => {
    const diode = (side: string, anode: string, cathode: string) => {
      const name = `${k}${side}`;
      const position = `rect.L${k + 1}.${side}`;
      lines.push(`Roff${name} ${anode} ${cathode} ${rectifier.Roff}`);
      if (rectifier.openDiode === position) return;
      if (rectifier.shortDiode === position) lines.push(`Rshort${name} ${anode} ${cathode} ${rectifier.Ron}`);
      else
        lines.push(
          `Vf${name} ${anode} f${name} ${rectifier.Vf - ownDrop}`,
          `D${name} f${name} ${cathode} DR`,
        );
    };
    diode('hi', input, 'plus');
    diode('lo', '0', input);
  });
  lines.push(`VIdc plus lk 0`, `Rdc lk lm ${Math.max(link.Rdc + link.Rpre, 1e-5)}`);
  lines.push(link.Ldc > 0 ? `Ldc lm bus ${link.Ldc} IC=0` : 'Rwire lm bus 1e-5');
  lines.push(`Resr bus cap ${Math.max(bank.ESR, 1e-5)}`, `Cbank cap 0 ${bank.C} IC=${bank.v0}`);
  if (load.kind === 'R') lines.push(`Rload bus 0 ${load.R}`);
  if (load.kind === 'P')
    lines.push(`Bload bus 0 I=v(bus) > ${load.Vmin} ? ${load.P}/v(bus) : ${load.P / load.Vmin ** 2}*v(bus)`);
  if (load.kind === 'inverter') lines.push(...inverterLines(given));
  const [, to] = given.window;
  const from = given.window[0];
  const asked = ['v(bus)', 'i(VIa)', 'i(VIb)', ...(supply.phases === 3 ? ['i(VIc)'] : ['i(VIa)'])];
  if (load.kind === 'inverter') asked.push('i(VIu)', 'i(VIv)', 'i(VIw)', 'v(u,v)', 'v(v,w)', 'v(w,u)');
  if (supply.phases === 1) asked.splice(2, 1, 'i(VIa)');
  lines.push(
    `.options ${loosely ? 'reltol=1e-3' : tolerance(given)} abstol=1e-5 vntol=1e-3 itl4=100`,
    `.control`,
    `tran ${step_s} ${to} ${from} ${step_s} uic`,
    'set wr_vecnames',
    'set wr_singlescale',
    `wrdata out.txt ${asked.join(' ')}`,
    'quit 0',
    '.endc',
    '.end',
  );
  return lines.join('\n');
}

/** Triangle, references, comparators with half the dead time to either side, and three legs on the bus. */
function inverterLines({ inverter, motor }: WaveCase): string[] {
  const half = 0.5 / inverter.fc;
  const margin = inverter.deadTime / half;
  const angle = (k: number) =>
    `${2 * Math.PI * inverter.f1}*time${k === 0 ? '' : `-${(k * 2 * Math.PI) / 3}`}`;
  const lines = [
    `Vtri tri 0 PULSE(-1 1 0 ${half} ${half} 1e-9 ${2 * half})`,
    `.model DS D(${emission} RS=1e-4)`,
    `.model DW D(${emission} RS=${Math.max(inverter.Rfd, 1e-4)})`,
    `.model SW SW(VT=0.5 VH=0.01 RON=${Math.max(inverter.Rce, 1e-4)} ROFF=1e6)`,
    ...[0, 1, 2].map((k) => `Bs${k} s${k} 0 V=${inverter.m}*sin(${angle(k)})`),
    `Bmid mid 0 V=${inverter.mode === 'svm' ? '(max(max(v(s0),v(s1)),v(s2))+min(min(v(s0),v(s1)),v(s2)))/2' : '0'}`,
  ];
  ['u', 'v', 'w'].forEach((p, k) => {
    const P = p.toUpperCase();
    lines.push(
      `Bhi${p} hi${p} 0 V=${inverter.openSwitch === `inv.${P}.hi` ? '0' : `v(s${k})-v(mid)-v(tri) > ${margin} ? 1 : 0`}`,
      `Blo${p} lo${p} 0 V=${inverter.openSwitch === `inv.${P}.lo` ? '0' : `v(tri)-v(s${k})+v(mid) > ${margin} ? 1 : 0`}`,
      `Vch${p} bus ch${p} ${inverter.Vce - ownDrop}`,
      `Dch${p} ch${p} dh${p} DS`,
      `Sh${p} dh${p} ${p} hi${p} 0 SW`,
      `Vcl${p} ${p} cl${p} ${inverter.Vce - ownDrop}`,
      `Dcl${p} cl${p} dl${p} DS`,
      `Sl${p} dl${p} 0 lo${p} 0 SW`,
      `Vfh${p} ${p} fh${p} ${inverter.Vfd - ownDrop}`,
      `Dfh${p} fh${p} bus DW`,
      `Vfl${p} 0 fl${p} ${inverter.Vfd - ownDrop}`,
      `Dfl${p} fl${p} ${p} DW`,
      `Rofh${p} bus ${p} 1e6`,
      `Rofl${p} ${p} 0 1e6`,
    );
    if (inverter.earthFault?.phase === P)
      lines.push(
        `Rearth ${motor.openPhase === P ? p : `w${p}`} earth ${Math.max(inverter.earthFault.ohm, 1e-4)}`,
        'VIe earth neutral 0',
      );
    if (motor.openPhase === P) lines.push(`VI${p} none${p} 0 0`, `Rnone${p} none${p} 0 1`);
    else
      lines.push(
        `VI${p} ${p} w${p} 0`,
        `Rw${p} w${p} x${p} ${Math.max(motor.R, 1e-4)}`,
        motor.L > 0 ? `Lw${p} x${p} y${p} ${motor.L} IC=0` : `Rx${p} x${p} y${p} 1e-4`,
        `Be${p} y${p} star V=${motor.emf}*sin(${angle(k)}-${(motor.emfLag_deg * Math.PI) / 180})`,
      );
  });
  return lines;
}

/** Means and RMS over the window of what ngspice computed, by the trapezoid over its own steps. */
export interface SpiceFigures {
  mean: Record<string, number>;
  rms: Record<string, number>;
  /** Least and most of the bus, V. */
  bus: readonly [least: number, most: number];
  /** Peak of the bus at the frequency asked for, V. */
  ripple: number;
  took_ms: number;
}

const columns = ['vdc', 'ia', 'ib', 'ic', 'iu', 'iv', 'iw', 'vuv', 'vvw', 'vwu'];

/** How long ngspice takes for a case at its usual tolerance, ms. */
export function ngspiceTime(given: WaveCase, step_s: number): number {
  const dir = mkdtempSync(join(tmpdir(), 'grim-wave-'));
  try {
    writeFileSync(join(dir, 'deck.cir'), `${waveformDeck(given, step_s, true)}\n`);
    const started = performance.now();
    execFileSync('ngspice', ['-b', 'deck.cir'], { cwd: dir, stdio: 'ignore', timeout: 120_000 });
    return performance.now() - started;
  } finally {
    rmSync(dir, { recursive: true, force: true });
  }
}

/** @param ripple_Hz where the ripple of the bus is asked for; whole periods of it fit the window */
export function ngspiceWave(given: WaveCase, step_s: number, ripple_Hz: number): SpiceFigures {
  const dir = mkdtempSync(join(tmpdir(), 'grim-wave-'));
  try {
    writeFileSync(join(dir, 'deck.cir'), `${waveformDeck(given, step_s)}\n`);
    const started = performance.now();
    execFileSync('ngspice', ['-b', 'deck.cir'], {
      cwd: dir,
      stdio: ['ignore', 'ignore', 'ignore'],
      timeout: 120_000,
    });
    const took_ms = performance.now() - started;
    const rows = readFileSync(join(dir, 'out.txt'), 'utf8')
      .trim()
      .split('\n')
      .slice(1)
      .map((line) => line.trim().split(/\s+/).map(Number));
    const mean = new Array<number>(columns.length).fill(0);
    const square = new Array<number>(columns.length).fill(0);
    let [cos, sin] = [0, 0];
    const omega = 2 * Math.PI * ripple_Hz;
    let seconds = 0;
    for (let r = 1; r < rows.length; r += 1) {
      const a = rows[r - 1] as number[];
      const b = rows[r] as number[];
      const dt = (b[0] as number) - (a[0] as number);
      if (!(dt > 0)) continue;
      seconds += dt;
      for (let c = 0; c < columns.length; c += 1) {
        const x = a[c + 1] ?? 0;
        const y = b[c + 1] ?? 0;
        mean[c] = (mean[c] as number) + ((x + y) / 2) * dt;
        square[c] = (square[c] as number) + ((x * x + x * y + y * y) / 3) * dt;
      }
      const middle = (((a[1] ?? 0) + (b[1] ?? 0)) / 2) * dt;
      cos += middle * Math.cos((omega * ((a[0] ?? 0) + (b[0] ?? 0))) / 2);
      sin += middle * Math.sin((omega * ((a[0] ?? 0) + (b[0] ?? 0))) / 2);
    }
    const named = (value: (c: number) => number) =>
      Object.fromEntries(columns.map((name, c) => [name, value(c)]));
    const bus = rows.map((row) => row[1] as number);
    return {
      bus: [bus.reduce((a, b) => Math.min(a, b), Infinity), bus.reduce((a, b) => Math.max(a, b), -Infinity)],
      mean: named((c) => (mean[c] as number) / seconds),
      rms: named((c) => Math.sqrt((square[c] as number) / seconds)),
      ripple: (2 * Math.hypot(cos, sin)) / seconds,
      took_ms,
    };
  } finally {
    rmSync(dir, { recursive: true, force: true });
  }
}
