import { at, compile, influence, operatingPoint, type Network } from '../circuit';
import {
  familyOf,
  networkOf,
  nodesOf,
  positionsOf,
  isJunction,
  type Family,
  type Meter,
  type Position,
  type Probe,
  type Stage,
} from '../power-stage';
import type { Hypothesis } from './hypotheses';

/**
 * What every unit leaves open, as columns of a fit: each device's own deviation first, then a leak's
 * resistance (its logarithm), then what all devices share: the drop of each family and the slope.
 * In this order the equations of a fit are nearly diagonal.
 */
export interface Unknowns {
  devices: readonly Position[];
  families: readonly Family[];
  leak: number;
  /** From here on the columns are shared. */
  firstFamily: number;
  slope: number;
  count: number;
}

/** Predicted readings of one hypothesis and how they follow the unknowns. */
export interface Prediction {
  hypothesis: Hypothesis;
  /** V per probe at the typical unit. */
  volts: Float64Array;
  /** How each follows the unknowns: V per V, V per fraction, V per ln Ω. */
  slopes: Slopes;
}

/** A sparse matrix, one row per probe: most readings follow two or three unknowns. */
export interface Slopes {
  /** Where each row begins in the two others; one more than there are rows. */
  starts: Int32Array;
  columns: Int32Array;
  values: Float64Array;
}

/** Effect on a probe's reading of the unknowns from column `from` on, V. */
export function effect(slopes: Slopes, row: number, unknowns: Float64Array, from = 0): number {
  let sum = 0;
  for (let e = at(slopes.starts, row); e < at(slopes.starts, row + 1); e += 1) {
    const column = at(slopes.columns, e);
    if (column >= from) sum += at(slopes.values, e) * at(unknowns, column);
  }
  return sum;
}

/** Below this an unknown is left out of a reading's row: under 0.1 mV for the largest deviations. */
const negligible = 5e-4;

function sparse(rows: readonly Float64Array[]): Slopes {
  const kept = rows.map((row) => [...row.keys()].filter((u) => Math.abs(at(row, u)) > negligible));
  let end = 0;
  return {
    starts: Int32Array.from([0, ...kept.map((columns) => (end += columns.length))]),
    columns: Int32Array.from(kept.flat()),
    values: Float64Array.from(
      kept.flatMap((columns, r) => columns.map((u) => at(rows[r] as Float64Array, u))),
    ),
  };
}

/** Everything that can be computed before the first reading. */
export interface Tables {
  stage: Stage;
  meter: Meter;
  temperature_C: number;
  familyShift_V: Partial<Record<Family, number>>;
  probes: readonly Probe[];
  unknowns: Unknowns;
  predictions: readonly Prediction[];
}

const familyNames: readonly Family[] = ['rectifier', 'freewheel', 'brake', 'precharge'];
/** Drops are compared at this current; a device's own deviation is its deviation here. */
const usual_A = 1e-3;

function unknownsOf(stage: Stage): Unknowns {
  const devices = positionsOf(stage).filter((position) => isJunction(stage, position));
  const families = familyNames.filter((family) => devices.some((d) => familyOf(d) === family));
  const leak = devices.length;
  const slope = leak + 1 + families.length;
  return { devices, families, leak, firstFamily: leak + 1, slope, count: slope + 1 };
}

/** The places of the unknowns that a diode's shift belongs to. */
const columnsOf = (network: Network, unknowns: Unknowns) =>
  network.diodes.map((diode) => {
    const device = unknowns.devices.indexOf(diode.name as Position);
    return {
      device,
      family: unknowns.firstFamily + unknowns.families.indexOf(familyOf(diode.name) as Family),
    };
  });

function predict(
  setting: Omit<Tables, 'predictions' | 'unknowns'>,
  unknowns: Unknowns,
  hypothesis: Hypothesis,
): Prediction {
  const { stage, meter, temperature_C, familyShift_V, probes } = setting;
  const elements = networkOf({ stage, temperature_C, faults: hypothesis.faults, familyShift_V }).map((e) =>
    e.type === 'D' && e.name === hypothesis.shift?.component
      ? { ...e, shift_V: (e.shift_V ?? 0) + hypothesis.shift.volts }
      : e,
  );
  const network = compile(elements, [...new Set(probes.flatMap((p) => [p.red, p.black]))]);
  const columns = columnsOf(network, unknowns);
  const law = { testCurrent_A: meter.testCurrent_mA / 1000, openCircuit_V: meter.openCircuit_V };
  const node = (name: string): number => network.index.get(name) ?? 0;
  const volts = new Float64Array(probes.length);
  const rows = probes.map(() => new Float64Array(unknowns.count));
  const fault = hypothesis.faults[0];
  const leakEnds = hypothesis.fitsOhm && fault !== undefined ? nodesOf(stage, fault.component) : null;

  probes.forEach((probe, p) => {
    const red = node(probe.red);
    const black = node(probe.black);
    const point = operatingPoint(network, { law, red, black });
    volts[p] = point.converged ? at(point.volts, red) - at(point.volts, black) : NaN;
    if (!point.converged || Math.abs(at(volts, p)) > meter.ceiling_V) return;
    const reach = influence(point, red, black);
    const row = rows[p] as Float64Array;
    const add = (column: number, value: number) => {
      row[column] = at(row, column) + value;
    };
    let k = 0;
    for (const { element, from, to } of network.links) {
      if (element.type !== 'D') continue;
      const perVolt = at(point.conductances_S, k) * (at(reach, from) - at(reach, to));
      const ampere = at(point.currents_A, k);
      const columnsHere = columns[k] as { device: number; family: number };
      add(columnsHere.device, perVolt);
      add(columnsHere.family, perVolt);
      if (ampere > 1e-9) add(unknowns.slope, perVolt * element.emission_V * Math.log(ampere / usual_A));
      k += 1;
    }
    if (leakEnds !== null) {
      const [a, b] = [node(leakEnds[0]), node(leakEnds[1])];
      const ampere = (at(point.volts, a) - at(point.volts, b)) / (fault?.ohm ?? Infinity);
      add(unknowns.leak, ampere * (at(reach, a) - at(reach, b)));
    }
  });
  return { hypothesis, volts, slopes: sparse(rows) };
}

/**
 * Solves every probe under every hypothesis once, with sensitivities, so that a reading costs only
 * a small least-squares fit.
 * @param setting what is probed with what; `familyShift_V` is where the linearisation stands
 */
export function prepare(
  setting: Omit<Tables, 'predictions' | 'unknowns'>,
  hypotheses: readonly Hypothesis[],
): Tables {
  const unknowns = unknownsOf(setting.stage);
  return { ...setting, unknowns, predictions: hypotheses.map((h) => predict(setting, unknowns, h)) };
}
