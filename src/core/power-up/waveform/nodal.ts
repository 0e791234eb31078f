// The nodal equations of the switched network: every node's volts from its state and sources.
import {
  GROUND,
  leastOhm,
  legStates,
  LOAD,
  offOhm,
  ONE,
  type LegState,
  type SwitchedNetwork,
} from './network';
import { solveRows } from './rows';
import { valueAt } from '../../numerics/arrays';

/** What conducts: per valve, and per leg. */
export interface Conduction {
  on: readonly boolean[];
  legs: readonly LegState[];
}

/** Conductances of what conducts, S. */
export interface Conductances {
  bank: number;
  switch: number;
  diode: number;
}

/** The same for every pattern of conduction. */
export const conductancesOf = ({ given }: SwitchedNetwork): Conductances => ({
  bank: 1 / Math.max(given.bank.ESR, leastOhm),
  switch: 1 / Math.max(given.inverter.Rce, leastOhm),
  diode: 1 / Math.max(given.inverter.Rfd, leastOhm),
});

/** Nodal equations G·v = J·(x, u), filled element by element. */
interface NodalSystem {
  G: Float64Array;
  J: Float64Array;
  size: number;
  width: number;
  /** The column of the constant 1. */
  one: number;
}

/** Adds a current of `amps` times the column's quantity into a node. */
function inject({ J, width }: NodalSystem, at: number, column: number, amps: number): void {
  if (at !== GROUND) J[at * width + column] = valueAt(J, at * width + column) + amps;
}

/** Adds to one entry of the conductance matrix. */
function couple({ G, size }: NodalSystem, i: number, j: number, g: number): void {
  if (i !== GROUND && j !== GROUND) G[i * size + j] = valueAt(G, i * size + j) + g;
}

/** A conductance between two nodes. */
function conduct(system: NodalSystem, a: number, b: number, g: number): void {
  couple(system, a, a, g);
  couple(system, b, b, g);
  couple(system, a, b, -g);
  couple(system, b, a, -g);
}

/** A conducting device: g·(v_a − v_b − drop) from a to b. */
function drops(system: NodalSystem, a: number, b: number, g: number, drop: number): void {
  conduct(system, a, b, g);
  inject(system, a, system.one, g * drop);
  inject(system, b, system.one, -g * drop);
}

function addBranches(system: NodalSystem, { branches, n, m }: SwitchedNetwork): void {
  for (const b of branches) {
    if (b.current !== null) {
      b.current.forEach((share, k) => {
        inject(system, b.from, k, -share);
        inject(system, b.to, k, share);
      });
    } else {
      conduct(system, b.from, b.to, 1 / b.R);
      for (let k = 0; k < m; k += 1) {
        inject(system, b.from, n + k, -valueAt(b.emf, k) / b.R);
        inject(system, b.to, n + k, valueAt(b.emf, k) / b.R);
      }
    }
  }
}

function addBusAndValves(
  system: NodalSystem,
  net: SwitchedNetwork,
  { on }: Conduction,
  { bank }: Conductances,
): void {
  const { given, n } = net;
  conduct(system, net.bus, GROUND, bank);
  inject(system, net.bus, net.bankState, bank);
  inject(system, net.bus, n + LOAD, -1);
  if (given.load.kind === 'R') conduct(system, net.bus, GROUND, 1 / given.load.R);
  if (net.earth !== null) conduct(system, net.earth.from, net.earth.to, 1 / net.earth.ohm);
  net.valves.forEach((v, i) => {
    if (on[i] === true) drops(system, v.anode, v.cathode, 1 / v.Ron, v.Vf);
    else conduct(system, v.anode, v.cathode, 1 / v.Roff);
  });
}

function addLegs(system: NodalSystem, net: SwitchedNetwork, { legs }: Conduction, g: Conductances): void {
  const { Vce, Vfd } = net.given.inverter;
  net.legs.forEach((leg, i) => {
    conduct(system, net.bus, leg.node, 1 / offOhm);
    conduct(system, leg.node, GROUND, 1 / offOhm);
    if (legs[i] === legStates.hiSwitch) drops(system, net.bus, leg.node, g.switch, Vce);
    if (legs[i] === legStates.hiDiode) drops(system, leg.node, net.bus, g.diode, Vfd);
    if (legs[i] === legStates.loSwitch) drops(system, leg.node, GROUND, g.switch, Vce);
    if (legs[i] === legStates.loDiode) drops(system, GROUND, leg.node, g.diode, Vfd);
    if (legs[i] === legStates.hiBoth) conduct(system, net.bus, leg.node, g.switch);
    if (legs[i] === legStates.loBoth) conduct(system, leg.node, GROUND, g.switch);
  });
}

/**
 * Where only inductances meet, their currents add up to nothing by themselves; the volts follow from their slopes
 * adding up to nothing.
 */
function replaceFloating(system: NodalSystem, { branches, n, m }: SwitchedNetwork): void {
  const { G, J, size, width } = system;
  for (let at = 0; at < size; at += 1) {
    if (G[at * size + at] !== 0) continue;
    J.fill(0, at * width, (at + 1) * width);
    for (const b of branches) {
      if (b.from !== at && b.to !== at) continue;
      const sign = b.from === at ? 1 : -1;
      const w = 1e-3 / b.L;
      couple(system, at, b.from, sign * w);
      couple(system, at, b.to, -sign * w);
      b.current?.forEach((share, k) => inject(system, at, k, sign * w * b.R * share));
      for (let k = 0; k < m; k += 1) inject(system, at, n + k, -sign * w * valueAt(b.emf, k));
    }
  }
}

/** Volts of every node as rows over (x, u). */
export function nodeVolts(net: SwitchedNetwork, conduction: Conduction, g: Conductances): Float64Array {
  const width = net.n + net.m;
  const size = net.nodes;
  const system: NodalSystem = {
    G: new Float64Array(size * size),
    J: new Float64Array(size * width),
    size,
    width,
    one: net.n + ONE,
  };
  addBranches(system, net);
  addBusAndValves(system, net, conduction, g);
  addLegs(system, net, conduction, g);
  replaceFloating(system, net);
  return solveRows(system.G, system.J, size, width);
}
