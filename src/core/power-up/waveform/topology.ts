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

/** What turns where a watched row falls below zero. */
export type Turning =
  { of: 'valve'; index: number; becomes: boolean } | { of: 'leg'; index: number; becomes: LegState };

/** One pattern of conduction: how x goes on, what is watched, what is shown. Rows of n + m. */
export interface Topology {
  /** [[A, B], [0, S]] without the rows of S, which are the same for all. */
  derivative: Float64Array;
  /** Must stay above zero, row by row; what a fall below means is in `meaning`. */
  watch: Float64Array;
  meaning: readonly Turning[];
  /** Output rows, in the order of `outputNames`. */
  outputs: Float64Array;
}

/** Quantities that a pattern of conduction gives, in their order. */
export const outputNames = ['vdc', 'ia', 'ib', 'ic', 'idc', 'iu', 'iv', 'iw', 'vu', 'vv', 'vw'] as const;
/** A quantity that a pattern of conduction gives. */
export type OutputName = (typeof outputNames)[number];

/** Rows of one pattern of conduction. @param on per valve; @param legs per leg, of `legStates` */
export function topologyOf(
  net: SwitchedNetwork,
  on: readonly boolean[],
  legs: readonly LegState[],
): Topology {
  const { n, m, given } = net;
  const width = n + m;
  const size = net.nodes;
  const G = new Float64Array(size * size);
  const J = new Float64Array(size * width);
  const inject = (at: number, column: number, amps: number) => {
    if (at !== GROUND) J[at * width + column] = valueAt(J, at * width + column) + amps;
  };
  const conduct = (a: number, b: number, g: number) => {
    const add = (i: number, j: number, v: number) => {
      if (i !== GROUND && j !== GROUND) G[i * size + j] = valueAt(G, i * size + j) + v;
    };
    add(a, a, g);
    add(b, b, g);
    add(a, b, -g);
    add(b, a, -g);
  };
  /** A conducting device: g·(v_a − v_b − drop) from a to b. */
  const drops = (a: number, b: number, g: number, drop: number) => {
    conduct(a, b, g);
    inject(a, n + ONE, g * drop);
    inject(b, n + ONE, -g * drop);
  };

  for (const b of net.branches) {
    if (b.current !== null) {
      b.current.forEach((share, k) => {
        inject(b.from, k, -share);
        inject(b.to, k, share);
      });
    } else {
      conduct(b.from, b.to, 1 / b.R);
      for (let k = 0; k < m; k += 1) {
        inject(b.from, n + k, -valueAt(b.emf, k) / b.R);
        inject(b.to, n + k, valueAt(b.emf, k) / b.R);
      }
    }
  }
  const gBank = 1 / Math.max(given.bank.ESR, leastOhm);
  conduct(net.bus, GROUND, gBank);
  inject(net.bus, net.bankState, gBank);
  inject(net.bus, n + LOAD, -1);
  if (given.load.kind === 'R') conduct(net.bus, GROUND, 1 / given.load.R);
  if (net.earth !== null) conduct(net.earth.from, net.earth.to, 1 / net.earth.ohm);
  net.valves.forEach((v, i) => {
    if (on[i] === true) drops(v.anode, v.cathode, 1 / v.Ron, v.Vf);
    else conduct(v.anode, v.cathode, 1 / v.Roff);
  });
  const { Vce, Vfd } = given.inverter;
  const gSwitch = 1 / Math.max(given.inverter.Rce, leastOhm);
  const gDiode = 1 / Math.max(given.inverter.Rfd, leastOhm);
  net.legs.forEach((leg, i) => {
    conduct(net.bus, leg.node, 1 / offOhm);
    conduct(leg.node, GROUND, 1 / offOhm);
    if (legs[i] === legStates.hiSwitch) drops(net.bus, leg.node, gSwitch, Vce);
    if (legs[i] === legStates.hiDiode) drops(leg.node, net.bus, gDiode, Vfd);
    if (legs[i] === legStates.loSwitch) drops(leg.node, GROUND, gSwitch, Vce);
    if (legs[i] === legStates.loDiode) drops(GROUND, leg.node, gDiode, Vfd);
    if (legs[i] === legStates.hiBoth) conduct(net.bus, leg.node, gSwitch);
    if (legs[i] === legStates.loBoth) conduct(leg.node, GROUND, gSwitch);
  });

  // Where only inductances meet, their currents add up to nothing by themselves; the volts follow from their slopes adding up to nothing.
  for (let at = 0; at < size; at += 1) {
    if (G[at * size + at] !== 0) continue;
    J.fill(0, at * width, (at + 1) * width);
    for (const b of net.branches) {
      if (b.from !== at && b.to !== at) continue;
      const sign = b.from === at ? 1 : -1;
      const w = 1e-3 / b.L;
      if (b.from !== GROUND) G[at * size + b.from] = valueAt(G, at * size + b.from) + sign * w;
      if (b.to !== GROUND) G[at * size + b.to] = valueAt(G, at * size + b.to) - sign * w;
      b.current?.forEach((share, k) => inject(at, k, sign * w * b.R * share));
      for (let k = 0; k < m; k += 1) inject(at, n + k, -sign * w * valueAt(b.emf, k));
    }
  }
  const volts = solveRows(G, J, size, width);

  const row = (fill: (add: (from: Float64Array | number, at: number, times: number) => void) => void) => {
    const out = new Float64Array(width);
    fill((from, at, times) => {
      if (typeof from === 'number') {
        out[from] = valueAt(out, from) + times;
        return;
      }
      if (at === GROUND) return;
      for (let j = 0; j < width; j += 1) out[j] = valueAt(out, j) + times * valueAt(from, at * width + j);
    });
    return out;
  };
  /** times·(v_a − v_b) + offset. */
  const between = (a: number, b: number, times = 1, offset = 0) =>
    row((add) => {
      add(volts, a, times);
      add(volts, b, -times);
      add(n + ONE, 0, offset);
    });

  const derivative = new Float64Array(n * width);
  for (const b of net.branches) {
    if (b.state < 0) continue;
    const slope = row((add) => {
      add(volts, b.from, 1 / b.L);
      add(volts, b.to, -1 / b.L);
      add(b.state, 0, -b.R / b.L);
      for (let k = 0; k < m; k += 1) add(n + k, 0, valueAt(b.emf, k) / b.L);
    });
    derivative.set(slope, b.state * width);
  }
  const charging = row((add) => {
    add(volts, net.bus, gBank / given.bank.C);
    add(net.bankState, 0, -gBank / given.bank.C);
  });
  derivative.set(charging, net.bankState * width);

  const watched: Float64Array[] = [];
  const meaning: Turning[] = [];
  const watch = (line: Float64Array, turning: Turning) => {
    watched.push(line);
    meaning.push(turning);
  };
  net.valves.forEach((v, i) => {
    if (v.fixed !== null) return;
    if (on[i] === true)
      watch(between(v.anode, v.cathode, 1 / v.Ron, -v.Vf / v.Ron), { of: 'valve', index: i, becomes: false });
    else watch(between(v.anode, v.cathode, -1, v.Vf), { of: 'valve', index: i, becomes: true });
  });
  net.legs.forEach((leg, i) => {
    const state = legs[i] ?? legStates.none;
    const at = leg.node;
    if (state === legStates.hiBoth || state === legStates.loBoth) return;
    const ends = (line: Float64Array) => watch(line, { of: 'leg', index: i, becomes: legStates.none });
    if (state === legStates.hiSwitch) ends(between(net.bus, at, gSwitch, -Vce * gSwitch));
    else if (state === legStates.hiDiode) ends(between(at, net.bus, gDiode, -Vfd * gDiode));
    else if (state === legStates.loSwitch) ends(between(at, GROUND, gSwitch, -Vce * gSwitch));
    else if (state === legStates.loDiode) ends(between(GROUND, at, gDiode, -Vfd * gDiode));
    else {
      watch(between(at, net.bus, -1, Vfd), { of: 'leg', index: i, becomes: legStates.hiDiode });
      watch(between(GROUND, at, -1, Vfd), { of: 'leg', index: i, becomes: legStates.loDiode });
      if (state === legStates.noneHi)
        watch(between(net.bus, at, -1, Vce), { of: 'leg', index: i, becomes: legStates.hiSwitch });
      if (state === legStates.noneLo)
        watch(between(at, GROUND, -1, Vce), { of: 'leg', index: i, becomes: legStates.loSwitch });
    }
  });

  const current = (index: number | null | undefined) => {
    const b = index === null || index === undefined ? undefined : net.branches[index];
    if (b === undefined) return new Float64Array(width);
    const { current: known } = b;
    if (known !== null) return row((add) => known.forEach((share, k) => add(k, 0, share)));
    return row((add) => {
      add(volts, b.from, 1 / b.R);
      add(volts, b.to, -1 / b.R);
      for (let k = 0; k < m; k += 1) add(n + k, 0, valueAt(b.emf, k) / b.R);
    });
  };
  const [ia, ib, ic] = net.lines;
  // Of one phase, what goes in at L1 comes back at L2.
  const second = given.supply.phases === 1 ? current(ia).map((v) => -v) : current(ib);
  /** What a leg gives: the winding's current and, on the phase with the fault, what goes to earth. */
  const given3 = net.legs.map((leg, k) => {
    const winding = current(net.motor[k]);
    if (net.earth?.from !== leg.node) return winding;
    const lost = between(leg.node, net.earth.to, 1 / net.earth.ohm);
    return winding.map((v, j) => v + valueAt(lost, j));
  });
  const none = new Float64Array(width);
  const rows = [
    between(net.bus, GROUND),
    current(ia),
    second,
    current(ic),
    current(net.choke),
    ...[0, 1, 2].map((k) => given3[k] ?? none),
    ...[0, 1, 2].map((k) => (net.legs[k] === undefined ? none : between(net.legs[k].node, GROUND))),
  ];
  const flat = (list: readonly Float64Array[]) => {
    const out = new Float64Array(list.length * width);
    list.forEach((line, i) => out.set(line, i * width));
    return out;
  };
  return { derivative, watch: flat(watched), meaning, outputs: flat(rows) };
}
