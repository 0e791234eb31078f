import { influence, operatingPoint, type Network } from '../../numerics/circuit';
import { probeKey, type Fault, type Meter, type Probe } from '../../equipment/power-stage';
import {
  column,
  networkWith,
  ohmOf,
  positionIndex,
  reach,
  usual_A,
  waysOf,
  type FaultableNetwork,
  type Ways,
} from './faultable-network';
import type { Hypothesis, Solution, Tables } from './tables';
import { byteAt, item, valueAt, indexAt } from '../../numerics/arrays';

// Taken once: looking a global up at every use costs more than the function itself.
const { abs, log, min } = Math;

/** Below this an unknown is left out: under 0.1 mV for the largest deviations. */
const negligible = 5e-4;
/** Two answers nearer than this are one, V. */
const same_V = 2e-5;
const overloadMargin_V = 0.6;

const noColumns = new Uint8Array(0);
const noValues = new Float64Array(0);
/** Anything well above the ceiling is one and the same overload. */
export const overload: Solution = {
  id: 0,
  volts: Infinity,
  overload: true,
  columns: noColumns,
  values: noValues,
};
let nextId = 1;

/** Far above the ceiling, whatever the unit's own drops are. */
export const isBlocked = (s: Solution): boolean => s.overload && s.columns.length === 0;

/** Does the answer follow one of these columns? */
export const follows = ({ columns }: Solution, open: readonly number[]): boolean =>
  open.length > 0 && columns.some((c) => open.includes(c));

/** The row of a probe; a new one for a probe that was not planned. */
export function rowOf(tables: Tables, probe: Probe): number {
  const key = probeKey(probe);
  const known = tables.rows.get(key);
  if (known !== undefined) return known;
  tables.rows.set(key, tables.probes.length);
  tables.probes.push({ red: probe.red, black: probe.black });
  return tables.probes.length - 1;
}

function mirrorOf(tables: Tables, row: number): number {
  const known = tables.mirrors[row];
  if (known !== undefined) return known;
  const { red, black } = item(tables.probes, row);
  return (tables.mirrors[row] = rowOf(tables, { red: black, black: red }));
}

/** Solves one probe of a network and its sensitivities. */
export function solve(
  { network, meter }: { network: Network; meter: Meter },
  faultable: FaultableNetwork,
  faults: readonly Fault[],
  probe: Probe,
  near?: Float64Array,
): Solution {
  const law = { testCurrent_A: meter.testCurrent_mA / 1000, openCircuit_V: meter.openCircuit_V };
  const red = network.index.get(probe.red) ?? 0;
  const black = network.index.get(probe.black) ?? 0;
  const point = operatingPoint(network, { law, red, black }, near);
  if (!point.converged) return overload;
  const volts = valueAt(point.volts, red) - valueAt(point.volts, black);
  if (abs(volts) > min(meter.ceiling_V + overloadMargin_V, meter.openCircuit_V - 0.1)) return overload;
  nextId += 1;
  const answer = influence(point, red, black);
  const row = new Float64Array(column.count);
  const add = (place: number, value: number) => {
    row[place] = valueAt(row, place) + value;
  };
  const { numbers } = network;
  for (let k = 0; k < faultable.deviceColumn.length; k += 1) {
    const from = indexAt(numbers.diodeFrom, k);
    const to = indexAt(numbers.diodeTo, k);
    const perVolt = valueAt(point.conductances_S, k) * (valueAt(answer, from) - valueAt(answer, to));
    const ampere = valueAt(point.currents_A, k);
    add(indexAt(faultable.deviceColumn, k), perVolt);
    add(indexAt(faultable.familyColumn, k), perVolt);
    if (ampere > 1e-9) add(column.slope, perVolt * valueAt(numbers.emission_V, k) * log(ampere / usual_A));
  }
  for (const fault of faults) {
    if (fault.mode !== 'leaky') continue;
    const path = indexAt(faultable.path, positionIndex[fault.component]);
    const a = indexAt(numbers.conductorFrom, path);
    const b = indexAt(numbers.conductorTo, path);
    const ampere = (valueAt(point.volts, a) - valueAt(point.volts, b)) / ohmOf(fault);
    add(column.leak(fault.component), ampere * (valueAt(answer, a) - valueAt(answer, b)));
  }
  const open = faultable.brakeResistor >= 0 ? faultable.brakeResistor : faultable.busCharge;
  if (open >= 0) {
    const a = indexAt(numbers.conductorFrom, open);
    const b = indexAt(numbers.conductorTo, open);
    const across = valueAt(point.volts, a) - valueAt(point.volts, b);
    const conductance_S = valueAt(numbers.conductor_S, open);
    // A resistor that grows takes more of the drop; a source that grows pushes current in.
    const ampere =
      open === faultable.brakeResistor
        ? across * conductance_S
        : valueAt(numbers.emf_V, open) * conductance_S;
    add(column.circumstance, ampere * (valueAt(answer, a) - valueAt(answer, b)));
  }
  const kept = [...row.keys()].filter((u) => abs(valueAt(row, u)) > negligible);
  return {
    id: nextId,
    volts,
    overload: abs(volts) > meter.ceiling_V,
    columns: Uint8Array.from(kept),
    values: Float64Array.from(kept, (u) => valueAt(row, u)),
    ...(faults.length < 2 ? { point: point.volts } : {}),
  };
}

/** Well below what overloads the display on a resistor alone. */
const leastConductance_S = ({ testCurrent_mA, openCircuit_V }: Meter): number =>
  (0.1 * testCurrent_mA) / 1000 / openCircuit_V;

function networkAndWays(tables: Tables, h: Hypothesis): { network: Network; ways: Ways } {
  if (tables.last?.of === h) return tables.last;
  const network = networkWith(item(tables.faultableNetworks, h.circumstance), h.faults);
  tables.last = { of: h, network, ways: waysOf(network, leastConductance_S(tables.meter)) };
  return tables.last;
}

/** Which nodes current from red can get to without black, and from which it can get to black. */
function reachesOf(tables: Tables, h: Hypothesis, row: number): { red: number; black: number } {
  if (h.reaches === null || h.reaches.red.length <= row) {
    const faultable = item(tables.faultableNetworks, h.circumstance);
    const { ways } = networkAndWays(tables, h);
    const node = (name: string): number => faultable.network.index.get(name) ?? 0;
    h.reaches = {
      red: Int32Array.from(tables.probes, (p) => reach(ways.out, node(p.red), node(p.black))),
      black: Int32Array.from(tables.probes, (p) => reach(ways.into, node(p.black), node(p.red))),
    };
  }
  return { red: indexAt(h.reaches.red, row), black: indexAt(h.reaches.black, row) };
}

/** Could this fault change what the probe shows, the rest being as it is? Errs on yes. */
function matters(tables: Tables, fault: Fault, rest: Hypothesis, row: number, shown: Solution): boolean {
  const faultable = item(tables.faultableNetworks, rest.circumstance);
  const p = positionIndex[fault.component];
  const adds = fault.mode === 'short' || fault.mode === 'leaky';
  // Taking a way away or making it worse changes nothing where nothing flows.
  if (!adds && shown.overload) return false;
  if (!adds && indexAt(faultable.diode, p) >= 0) return shown.columns.includes(p);
  const place = indexAt(faultable.path, p);
  if (place < 0) return false;
  const { red, black } = reachesOf(tables, rest, row);
  const a = 1 << indexAt(faultable.network.numbers.conductorFrom, place);
  const b = 1 << indexAt(faultable.network.numbers.conductorTo, place);
  return ((red & a) !== 0 && (black & b) !== 0) || ((red & b) !== 0 && (black & a) !== 0);
}

/** The answer of a hypothesis where it is that of a smaller one; undefined where it must be solved. */
export function inheritedSolution(tables: Tables, h: Hypothesis, row: number): Solution | undefined {
  const known = h.solved[row];
  if (known !== undefined) return known;
  if (h.twin !== null) return inheritedSolution(tables, h.twin, mirrorOf(tables, row));
  for (let i = 0; i < h.faults.length; i += 1) {
    const rest = item(h.without, i);
    const smaller =
      rest.faults.length === 0 ? solution(tables, rest, row) : inheritedSolution(tables, rest, row);
    if (smaller !== undefined && !matters(tables, item(h.faults, i), rest, row, smaller)) {
      h.solved[row] = smaller;
      return smaller;
    }
  }
  return undefined;
}

/** What a hypothesis says a probe shows; solved when first asked for. */
export function solution(tables: Tables, h: Hypothesis, row: number): Solution {
  const known = h.solved[row];
  if (known !== undefined) return known;
  if (h.twin !== null) return solution(tables, h.twin, mirrorOf(tables, row));
  // With the smaller ones answered it shows whether this one shares one of their answers.
  for (const rest of h.without) solution(tables, rest, row);
  return inheritedSolution(tables, h, row) ?? (h.solved[row] = solvedAnew(tables, h, row));
}

function solvedAnew(tables: Tables, h: Hypothesis, row: number): Solution {
  const faultable = item(tables.faultableNetworks, h.circumstance);
  const { network, ways } = networkAndWays(tables, h);
  const { red, black } = item(tables.probes, row);
  const node = (name: string): number => network.index.get(name) ?? 0;
  const passes = (reach(ways.out, node(red), node(red)) >> node(black)) & 1;
  if (passes === 0) return overload;
  const smaller = h.without.flatMap((rest) => rest.solved[row] ?? []);
  const start = smaller.find((s) => s.point !== undefined)?.point;
  const answer = solve({ network, meter: tables.meter }, faultable, h.faults, { red, black }, start);
  // A bigger hypothesis that changed nothing after all shares the smaller one's answer.
  return smaller.find((s) => alike(s, answer)) ?? answer;
}

const alike = (a: Solution, b: Solution): boolean =>
  a === b ||
  (abs(a.volts - b.volts) < same_V &&
    a.columns.length === b.columns.length &&
    a.columns.every((c, i) => c === b.columns[i]));

/** Effect on a reading of the unknowns from column `from` on, V. */
export function effect({ columns, values }: Solution, unknowns: Float64Array, from = 0): number {
  let sum = 0;
  for (let e = 0; e < columns.length; e += 1) {
    const c = byteAt(columns, e);
    if (c >= from) sum += valueAt(values, e) * valueAt(unknowns, c);
  }
  return sum;
}
