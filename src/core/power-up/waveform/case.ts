/** Lines and output phases, in order. */
export const lineNames = ['L1', 'L2', 'L3'] as const;
/** The output phases. */
export const phaseNames = ['U', 'V', 'W'] as const;
/** A line of the supply. */
export type LineName = (typeof lineNames)[number];
/** An output phase. */
export type PhaseName = (typeof phaseNames)[number];
/** A diode of the rectifier by its place. */
export type DiodeName = `rect.${LineName}.${'hi' | 'lo'}`;
/** A switch of the inverter by its place. */
export type SwitchName = `inv.${PhaseName}.${'hi' | 'lo'}`;

/** One value for each line or phase. */
export type Three = readonly [number, number, number];

/** Everything in V, A, Ω, H, F, s, Hz, W; angles in degrees. The names are those of docs/contracts/waveform.md. */
export interface Supply {
  /** Line-to-line RMS. */
  vll: number;
  f: number;
  phases: 1 | 3;
  vscale: Three;
  phi_deg: Three;
  Rs: number;
  Ls: number;
  openPhase: LineName | null;
}

/** The rectifier: V and Ω of its diodes, and a fault. */
export interface Rectifier {
  Vf: number;
  Ron: number;
  Roff: number;
  openDiode: DiodeName | null;
  shortDiode: DiodeName | null;
}

/** In series between rectifier and bank; `Rpre` is a precharge resistor that is not bridged. */
export interface WaveLink {
  Ldc: number;
  Rdc: number;
  Rpre: number;
}

/** The capacitor bank: F, Ω, and the volts it begins with. */
export interface WaveBank {
  C: number;
  ESR: number;
  v0: number;
}

/** What is connected to the bus: a resistance (Ω), a power (W), the inverter, or nothing. */
export type Load =
  { kind: 'R'; R: number } | { kind: 'P'; P: number; Vmin: number } | { kind: 'inverter' } | { kind: 'none' };

/** The inverter: modulation, Hz, s, V and Ω of its switches, and a fault. */
export interface Inverter {
  mode: 'spwm' | 'svm';
  /** Phase peak over half the bus. */
  m: number;
  f1: number;
  fc: number;
  deadTime: number;
  Vce: number;
  Rce: number;
  Vfd: number;
  Rfd: number;
  openSwitch: SwitchName | null;
  earthFault: { phase: PhaseName; ohm: number } | null;
}

/** The motor as windings behind the volts it makes: Ω, H, V. */
export interface Motor {
  kind: 'RL';
  R: number;
  L: number;
  /** Phase peak of the voltage the turning motor makes, at f1. */
  emf: number;
  /** By how much that lags the inverter's reference. */
  emfLag_deg: number;
  openPhase: PhaseName | null;
}

/** A drive as a circuit over time; bare SI units throughout. */
export interface WaveCase {
  supply: Supply;
  rectifier: Rectifier;
  link: WaveLink;
  bank: WaveBank;
  load: Load;
  /** Looked at only where `load` is the inverter. */
  inverter: Inverter;
  motor: Motor;
  /** What is looked at; everything before it is computed and not kept. */
  window: readonly [number, number];
}

/** A stiff 400 V, 50 Hz supply. */
export const usualSupply: Supply = {
  vll: 400,
  f: 50,
  phases: 3,
  vscale: [1, 1, 1],
  phi_deg: [0, -120, 120],
  Rs: 0.03,
  Ls: 0.00015,
  openPhase: null,
};
/** A common diode bridge. */
export const usualRectifier: Rectifier = {
  Vf: 0.8,
  Ron: 0.005,
  Roff: 1e5,
  openDiode: null,
  shortDiode: null,
};
/** A small DC-link choke, precharge bridged. */
export const usualLink: WaveLink = { Ldc: 0.002, Rdc: 0.05, Rpre: 0 };
/** A bank of a drive of some kW. */
export const usualBank: WaveBank = { C: 0.0007, ESR: 0.1, v0: 548 };
/** A common inverter at 40 Hz and 4 kHz. */
export const usualInverter: Inverter = {
  mode: 'spwm',
  m: 0.8,
  f1: 40,
  fc: 4000,
  deadTime: 2e-6,
  Vce: 1,
  Rce: 0.02,
  Vfd: 0.9,
  Rfd: 0.01,
  openSwitch: null,
  earthFault: null,
};
/** A winding of a motor of some kW. */
export const usualMotor: Motor = { kind: 'RL', R: 4, L: 0.012, emf: 0, emfLag_deg: 0, openPhase: null };

/** A three-phase drive of a few kilowatts on a resistor, as the contract's example has it. */
export const waveCase = (differs: Partial<WaveCase> = {}): WaveCase => ({
  supply: usualSupply,
  rectifier: usualRectifier,
  link: usualLink,
  bank: usualBank,
  load: { kind: 'R', R: 53 },
  inverter: usualInverter,
  motor: usualMotor,
  window: [0.9, 1],
  ...differs,
});

/** One thing in a case that cannot be. */
export interface CaseProblem {
  path: string;
  given: unknown;
  allowed: string;
}

/** The circuit cannot be run as it was given: where, and why. */
export class ImpossibleCircuit extends Error {
  constructor(readonly problem: CaseProblem) {
    super(`${problem.path}: ${problem.allowed}`);
  }
}

/** Faults of parts that the circuit does not have. */
function missingParts({ supply, rectifier, load, inverter, motor }: WaveCase): CaseProblem[] {
  const list: CaseProblem[] = [];
  const say = (path: string, given: unknown, allowed: string) => list.push({ path, given, allowed });
  const { openDiode, shortDiode } = rectifier;
  if (supply.phases === 1) {
    if (supply.openPhase !== null)
      say('supply.openPhase', supply.openPhase, 'null: of one phase, there is no supply with a phase open');
    for (const [key, at] of Object.entries({ openDiode, shortDiode }))
      if (at?.startsWith('rect.L3') === true)
        say(`rectifier.${key}`, at, 'a diode of L1 or L2: one phase has no third line');
  }
  if (openDiode !== null && openDiode === shortDiode)
    say('rectifier.shortDiode', shortDiode, 'another diode: this one is open');
  if (load.kind !== 'inverter') {
    const words = 'null: with this load there is no inverter; use load {"kind": "inverter"}';
    if (inverter.openSwitch !== null) say('inverter.openSwitch', inverter.openSwitch, words);
    if (inverter.earthFault !== null) say('inverter.earthFault', inverter.earthFault, words);
    if (motor.openPhase !== null) say('motor.openPhase', motor.openPhase, words);
  }
  return list;
}

/** The power of a load is followed in steps; a bank that would empty in so many seconds at Vmin is not followed, s. */
const shortestDraw_s = 5e-6;
const longest_s = 20;

/** What makes a circuit impossible or too long to compute; empty: it can be computed. */
export function caseProblems(c: WaveCase): CaseProblem[] {
  const list: CaseProblem[] = [];
  const say = (path: string, given: unknown, allowed: string) => list.push({ path, given, allowed });
  if (c.supply.Rs <= 0 && c.supply.Ls <= 0)
    say(
      'supply.Rs',
      c.supply.Rs,
      'supply resistance or inductance must be above zero: otherwise the short-circuit current is infinite',
    );
  if (c.bank.C <= 0) say('bank.C', c.bank.C, 'more than 0 F: the capacitor bank must be above zero');
  if (c.load.kind === 'R' && c.load.R <= 0) say('load.R', c.load.R, 'more than 0 Ω');
  if (c.load.kind === 'inverter' && c.motor.R <= 0 && c.motor.L <= 0)
    say('motor.R', c.motor.R, 'motor resistance or inductance must be above zero');
  if (c.load.kind === 'inverter' && c.inverter.fc < 5 * c.inverter.f1)
    say('inverter.fc', c.inverter.fc, 'at least five times f1');
  const [from, to] = c.window;
  if (!(from >= 0 && to > from && to <= longest_s))
    say('window', c.window, `from 0 s or later, to something after it, at most ${longest_s} s`);
  const inverterWindow_s = 5;
  if (c.load.kind === 'inverter' && to * c.inverter.fc > inverterWindow_s * 16_000)
    say('window', c.window, `at most ${inverterWindow_s * 16_000} periods of the carrier`);
  if (c.load.kind === 'P' && c.load.P > 0 && c.bank.C > 0) {
    const least_F = (c.load.P * shortestDraw_s) / c.load.Vmin ** 2;
    if (c.bank.C < least_F)
      say(
        'bank.C',
        c.bank.C,
        `at least ${least_F.toPrecision(3)} F for this power at Vmin: a smaller bank cannot follow it`,
      );
  }
  return [...list, ...missingParts(c)];
}
