import { GROUND, legStates, ONE, type LegState, type SwitchedNetwork } from './network';
import { conductancesOf, nodeVolts, type Conductances, type Conduction } from './nodal';
import { addScaled, valueAt } from '../../numerics/arrays';

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

/** Makes rows over (x, u) from the volts of the nodes. */
interface RowMaker {
  /** times·(v_a − v_b) + offset. */
  between: (a: number, b: number, times?: number, offset?: number) => Float64Array;
  /** A row with so much of some columns more. */
  plus: (row: Float64Array, column: number, times: number) => Float64Array;
  empty: () => Float64Array;
}

function rowMaker({ n, m }: SwitchedNetwork, volts: Float64Array): RowMaker {
  const width = n + m;
  const addNode = (row: Float64Array, node: number, times: number): void => {
    if (node !== GROUND) addScaled(row, 0, times, volts, node * width, width);
  };
  const plus = (row: Float64Array, column: number, times: number): Float64Array => {
    row[column] = valueAt(row, column) + times;
    return row;
  };
  return {
    plus,
    empty: () => new Float64Array(width),
    between: (a, b, times = 1, offset = 0) => {
      const row = new Float64Array(width);
      addNode(row, a, times);
      addNode(row, b, -times);
      return plus(row, n + ONE, offset);
    },
  };
}

/** How the currents and the bank go on. */
function derivativeOf(net: SwitchedNetwork, rows: RowMaker, { bank }: Conductances): Float64Array {
  const { n, m, given } = net;
  const width = n + m;
  const derivative = new Float64Array(n * width);
  for (const b of net.branches) {
    if (b.state < 0) continue;
    const slope = rows.plus(rows.between(b.from, b.to, 1 / b.L), b.state, -b.R / b.L);
    for (let k = 0; k < m; k += 1) rows.plus(slope, n + k, valueAt(b.emf, k) / b.L);
    derivative.set(slope, b.state * width);
  }
  const charging = rows.between(net.bus, GROUND, bank / given.bank.C);
  derivative.set(rows.plus(charging, net.bankState, -bank / given.bank.C), net.bankState * width);
  return derivative;
}

interface Watched {
  row: Float64Array;
  turning: Turning;
}

const watchedValves = (net: SwitchedNetwork, { on }: Conduction, { between }: RowMaker): Watched[] =>
  net.valves.flatMap((v, index): Watched[] => {
    if (v.fixed !== null) return [];
    return on[index] === true
      ? [
          {
            row: between(v.anode, v.cathode, 1 / v.Ron, -v.Vf / v.Ron),
            turning: { of: 'valve', index, becomes: false },
          },
        ]
      : [{ row: between(v.anode, v.cathode, -1, v.Vf), turning: { of: 'valve', index, becomes: true } }];
  });

/** What is watched in a leg: that the current of what conducts goes on, or that no volts turn something on. */
function watchedLeg(
  net: SwitchedNetwork,
  index: number,
  state: LegState,
  { between }: RowMaker,
  g: Conductances,
): Watched[] {
  const { Vce, Vfd } = net.given.inverter;
  const at = net.legs[index]?.node ?? GROUND;
  const turns = (row: Float64Array, becomes: LegState): Watched => ({
    row,
    turning: { of: 'leg', index, becomes },
  });
  switch (state) {
    case legStates.hiBoth:
    case legStates.loBoth:
      return [];
    case legStates.hiSwitch:
      return [turns(between(net.bus, at, g.switch, -Vce * g.switch), legStates.none)];
    case legStates.hiDiode:
      return [turns(between(at, net.bus, g.diode, -Vfd * g.diode), legStates.none)];
    case legStates.loSwitch:
      return [turns(between(at, GROUND, g.switch, -Vce * g.switch), legStates.none)];
    case legStates.loDiode:
      return [turns(between(GROUND, at, g.diode, -Vfd * g.diode), legStates.none)];
    case legStates.none:
    case legStates.noneHi:
    case legStates.noneLo:
      return [
        turns(between(at, net.bus, -1, Vfd), legStates.hiDiode),
        turns(between(GROUND, at, -1, Vfd), legStates.loDiode),
        ...(state === legStates.noneHi ? [turns(between(net.bus, at, -1, Vce), legStates.hiSwitch)] : []),
        ...(state === legStates.noneLo ? [turns(between(at, GROUND, -1, Vce), legStates.loSwitch)] : []),
      ];
  }
}

/** What is shown, in the order of `outputNames`. */
function outputRows(net: SwitchedNetwork, rows: RowMaker): Float64Array[] {
  const { n, m, given } = net;
  const current = (index: number | null | undefined): Float64Array => {
    const b = index === null || index === undefined ? undefined : net.branches[index];
    if (b === undefined) return rows.empty();
    if (b.current !== null) {
      const known = rows.empty();
      b.current.forEach((share, k) => rows.plus(known, k, share));
      return known;
    }
    const through = rows.between(b.from, b.to, 1 / b.R);
    for (let k = 0; k < m; k += 1) rows.plus(through, n + k, valueAt(b.emf, k) / b.R);
    return through;
  };
  const [ia, ib, ic] = net.lines;
  // Of one phase, what goes in at L1 comes back at L2.
  const second = given.supply.phases === 1 ? current(ia).map((v) => -v) : current(ib);
  /** What a leg gives: the winding's current and, on the phase with the fault, what goes to earth. */
  const legCurrents = net.legs.map((leg, k) => {
    const winding = current(net.motor[k]);
    if (net.earth?.from !== leg.node) return winding;
    const lost = rows.between(leg.node, net.earth.to, 1 / net.earth.ohm);
    return winding.map((v, j) => v + valueAt(lost, j));
  });
  const legVolts = net.legs.map((leg) => rows.between(leg.node, GROUND));
  return [
    rows.between(net.bus, GROUND),
    current(ia),
    second,
    current(ic),
    current(net.choke),
    ...[0, 1, 2].map((k) => legCurrents[k] ?? rows.empty()),
    ...[0, 1, 2].map((k) => legVolts[k] ?? rows.empty()),
  ];
}

const flat = (list: readonly Float64Array[], width: number): Float64Array => {
  const out = new Float64Array(list.length * width);
  list.forEach((line, i) => out.set(line, i * width));
  return out;
};

/**
 * Rows of one pattern of conduction.
 * @param on per valve
 * @param legs per leg, of `legStates`
 */
export function topologyOf(
  net: SwitchedNetwork,
  on: readonly boolean[],
  legs: readonly LegState[],
): Topology {
  const width = net.n + net.m;
  const conduction = { on, legs };
  const g = conductancesOf(net);
  const rows = rowMaker(net, nodeVolts(net, conduction, g));
  const watched = [
    ...watchedValves(net, conduction, rows),
    ...net.legs.flatMap((_, i) => watchedLeg(net, i, legs[i] ?? legStates.none, rows, g)),
  ];
  return {
    derivative: derivativeOf(net, rows, g),
    watch: flat(
      watched.map((w) => w.row),
      width,
    ),
    meaning: watched.map((w) => w.turning),
    outputs: flat(outputRows(net, rows), width),
  };
}
