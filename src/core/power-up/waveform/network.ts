import { phaseNames, type PhaseName, type WaveCase } from './case';
import { numberAt, recordOf } from '../../numerics/arrays';

/**
 * The circuit as nodes and branches. Currents of inductances and the bank's inner voltage are the state x; what
 * drives it is s = (1, load current, sin ωt, cos ωt, sin ω₁t, cos ω₁t). In a topology (what conducts) every
 * voltage and current is a row over (x, s).
 */
export const [ONE, LOAD, SIN, COS, SIN1, COS1] = [0, 1, 2, 3, 4, 5] as const;

/** The bank's negative is the node all volts are taken to. */
export const GROUND = -1;
/** No wire or contact is better than this, Ω; keeps ideal parts solvable. */
export const leastOhm = 1e-5;
/** Resistance of what does not conduct, Ω. */
export const offOhm = 1e6;

interface Branch {
  from: number;
  to: number;
  R: number;
  L: number;
  /** Volts that drive current from `from` to `to`, over s. */
  emf: Float64Array;
  /** Its current as a sum over x; null where volts and resistance decide it. */
  current: Float64Array | null;
  /** Its place in x; -1 where its current is not one of its own. */
  state: number;
}

interface Valve {
  anode: number;
  cathode: number;
  Vf: number;
  Ron: number;
  Roff: number;
  /** Some are what they are, whatever the volts. */
  fixed: 'on' | 'off' | null;
}

interface Leg {
  node: number;
  hiOpen: boolean;
  loOpen: boolean;
}

/** What conducts in a leg: nothing (with no gate, the upper or the lower gate on), or one of its four devices. */
export const legStates = {
  none: 0,
  noneHi: 1,
  noneLo: 2,
  hiSwitch: 3,
  hiDiode: 4,
  loSwitch: 5,
  loDiode: 6,
  /** A switch and its diode without a drop: one resistance both ways. */
  hiBoth: 7,
  loBoth: 8,
} as const;
/** What conducts in a leg. */
export type LegState = (typeof legStates)[keyof typeof legStates];

/** The circuit with nodes and branches by number. */
export interface SwitchedNetwork {
  given: WaveCase;
  nodes: number;
  branches: readonly Branch[];
  /** The branches of L1, L2, L3 (of one phase: L1 alone) and of U, V, W; null where one is open. */
  lines: readonly (number | null)[];
  motor: readonly (number | null)[];
  choke: number;
  valves: readonly Valve[];
  legs: readonly Leg[];
  /** Length of x. */
  n: number;
  /** Length of s: without volts of a turning motor its last two are left out. */
  m: number;
  /** Place of the bank's inner voltage in x. */
  bankState: number;
  bus: number;
  earth: { from: number; to: number; ohm: number } | null;
}

const over = (parts: Partial<Record<number, number>>): Float64Array => {
  const row = new Float64Array(6);
  for (const [k, v] of Object.entries(parts)) row[Number(k)] = v ?? 0;
  return row;
};

/** v = scale·peak·sin(ωt + φ), over sin and cos. */
const sine = (peak: number, deg: number, [s, c]: readonly [number, number]): Float64Array => {
  const phi = (deg * Math.PI) / 180;
  return over({ [s]: peak * Math.cos(phi), [c]: peak * Math.sin(phi) });
};

/**
 * Gives inductances their places in x. Where only inductances meet, the last carries what the others bring.
 * @returns how many there are
 */
function giveStates(branches: Branch[], stars: readonly number[]): number {
  const last = new Set(
    stars.flatMap((at) => {
      const here = branches.filter((b) => b.from === at || b.to === at);
      return here.every((b) => b.L > 0) ? here.slice(-1) : [];
    }),
  );
  const own = branches.filter((b) => b.L > 0 && !last.has(b));
  own.forEach((b, i) => {
    b.state = i;
    b.current = new Float64Array(own.length + 1);
    b.current[i] = 1;
  });
  for (const b of last) {
    const sum = new Float64Array(own.length + 1);
    const at = stars.find((s) => s === b.from || s === b.to);
    for (const other of branches)
      if (other !== b && (other.from === at || other.to === at)) sum[other.state] = -1;
    b.current = sum;
  }
  return own.length;
}

/** Nodes and branches of a case. With `driven`, the inverter and motor are left out and a current takes their place. */
export function networkFor(given: WaveCase, driven: boolean): SwitchedNetwork {
  const { supply, rectifier, link, load, inverter, motor } = given;
  let nodes = 0;
  const node = () => nodes++;
  const branches: Branch[] = [];
  const branch = (from: number, to: number, R: number, L: number, emf = over({})): number => {
    branches.push({ from, to, R: L > 0 ? R : Math.max(R, leastOhm), L, emf, current: null, state: -1 });
    return branches.length - 1;
  };

  const plus = node();
  const bus = node();
  const inputs = supply.phases === 1 ? [node(), node()] : [node(), node(), node()];
  const peak = Math.SQRT2 * supply.vll;
  let neutral = numberAt(inputs, 1);
  const lines: (number | null)[] = [];
  if (supply.phases === 1) {
    const emf = sine(peak * supply.vscale[0], supply.phi_deg[0], [SIN, COS]);
    lines.push(branch(neutral, numberAt(inputs, 0), supply.Rs, supply.Ls, emf));
  } else {
    neutral = node();
    inputs.forEach((input, k) => {
      const emf = sine((peak / Math.sqrt(3)) * (supply.vscale[k] ?? 1), supply.phi_deg[k] ?? 0, [SIN, COS]);
      lines.push(supply.openPhase === `L${k + 1}` ? null : branch(neutral, input, supply.Rs, supply.Ls, emf));
    });
  }

  const valve = (anode: number, cathode: number, name: string): Valve => {
    const { Vf, Ron, Roff } = rectifier;
    if (rectifier.shortDiode === name)
      return { anode, cathode, Vf: 0, Ron: Math.max(Ron, leastOhm), Roff, fixed: 'on' };
    const fixed = rectifier.openDiode === name ? 'off' : null;
    return { anode, cathode, Vf, Ron: Math.max(Ron, leastOhm), Roff, fixed };
  };
  const valves = inputs.flatMap((input, k) => [
    valve(input, plus, `rect.L${k + 1}.hi`),
    valve(GROUND, input, `rect.L${k + 1}.lo`),
  ]);
  const choke = branch(plus, bus, link.Rdc + link.Rpre, link.Ldc);

  const legs: Leg[] = [];
  const windings: (number | null)[] = [];
  let earth: SwitchedNetwork['earth'] = null;
  let star: number | null = null;
  if (load.kind === 'inverter' && !driven) {
    const outputs = recordOf(phaseNames, () => node());
    star = node();
    const middle = star;
    phaseNames.forEach((phase: PhaseName, k) => {
      const at = outputs[phase];
      legs.push({
        node: at,
        hiOpen: inverter.openSwitch === `inv.${phase}.hi`,
        loOpen: inverter.openSwitch === `inv.${phase}.lo`,
      });
      const emf = sine(-motor.emf, -120 * k - motor.emfLag_deg, [SIN1, COS1]);
      windings.push(motor.openPhase === phase ? null : branch(at, middle, motor.R, motor.L, emf));
    });
    const fault = inverter.earthFault;
    if (fault !== null)
      earth = {
        from: outputs[fault.phase],
        to: neutral,
        ohm: Math.max(fault.ohm, leastOhm),
      };
  }
  const stars = [
    ...(earth === null && supply.phases === 3 ? [neutral] : []),
    ...(star === null ? [] : [star]),
  ];
  const n = giveStates(branches, stars) + 1;
  return {
    given,
    nodes,
    branches,
    lines,
    motor: windings,
    choke,
    valves,
    legs,
    n,
    m: windings.length > 0 && motor.emf !== 0 ? 6 : 4,
    bankState: n - 1,
    bus,
    earth,
  };
}
