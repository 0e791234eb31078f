import { withChanges, compile, type Changes, type Element, type Network } from '../../numerics/circuit';
import {
  defaultAddedOhm,
  defaultLeakOhm,
  defaultShortOhm,
  familyOf,
  networkOf,
  nodesOf,
  positions,
  positionsOf,
  terminals,
  type Family,
  type Fault,
  type Position,
} from '../../equipment/power-stage';
import type { Circumstance } from './circumstances';
import { model } from './model';
import { recordOf, indexAt, valueAt } from '../../numerics/arrays';

// Taken once: looking a global up at every use costs more than the function itself.
const { exp, log } = Math;

/** Where nobody measured it, a bench is taken to be at this temperature; the drops are fitted anyway. */
export const usualTemperature_C = 25;
/** Drops are compared at this current; a device's own deviation is its deviation here. */
export const usual_A = 1e-3;

/** A position's number: looked up in every inner loop. */
export const positionIndex = recordOf(positions, (p) => positions.indexOf(p));

/**
 * What every unit leaves open, as columns of a fit: each device's own deviation (V at the usual
 * current), each leak's resistance (ln), what the circumstance leaves open (ln), and what all devices
 * share: the drop of each family (V) and the slope n·Vt (fraction).
 */
export const families: readonly Family[] = ['rectifier', 'freewheel', 'brake', 'precharge'];
/** Columns of a fit: each device's own deviation, its family's shift, leaks, the circumstance. */
export const column = {
  device: (position: Position): number => positionIndex[position],
  /** The columns before this are the devices' own. */
  leak0: positions.length,
  leak: (position: Position): number => positions.length + positionIndex[position],
  circumstance: 2 * positions.length,
  /** From here on the columns are shared by all devices. */
  firstFamily: 2 * positions.length + 1,
  family: (family: Family): number => 2 * positions.length + 1 + families.indexOf(family),
  slope: 2 * positions.length + 1 + families.length,
  count: 2 * positions.length + 2 + families.length,
} as const;

/** The network of a circumstance with a place for every fault, so that faults are mere changes of size. */
export interface FaultableNetwork {
  circumstance: Circumstance;
  network: Network;
  /** Number of a position's junction, of its resistor and of the path a short or leak opens; −1: none. */
  diode: Int32Array;
  resistor: Int32Array;
  path: Int32Array;
  /** Of each diode: the columns of its own deviation and of its family's drop. */
  deviceColumn: Int32Array;
  familyColumn: Int32Array;
  brakeResistor: number;
  busCharge: number;
}

/**
 * The network of a stage under one circumstance, with a place for every fault.
 * @param familyShift_V by which a family's drops differ, V
 */
export function faultableNetwork(
  circumstance: Circumstance,
  familyShift_V: Partial<Record<Family, number>>,
): FaultableNetwork {
  const { stage, motorConnected, busVolts, brakeResistor_ohm } = circumstance;
  const has = positionsOf(stage);
  const base = networkOf({
    stage,
    temperature_C: usualTemperature_C,
    conditions: { motorConnected, busVolts },
    familyShift_V,
  });
  const paths = has.map((position): Element => {
    const [a, b] = nodesOf(stage, position);
    return { type: 'R', name: `F.${position}`, a, b, ohm: Infinity };
  });
  const resistor: Element[] =
    brakeResistor_ohm === null
      ? []
      : [{ type: 'R', name: 'brake.resistor', a: 'BR', b: 'DC+', ohm: brakeResistor_ohm }];
  const network = compile([...base, ...paths, ...resistor], terminals);
  const conductors = network.links.flatMap(({ element }) => (element.type === 'D' ? [] : [element.name]));
  const diodes = network.diodes.map((d) => d.name as Position);
  return {
    circumstance,
    network,
    diode: Int32Array.from(positions, (p) => diodes.indexOf(p)),
    resistor: Int32Array.from(positions, (p) => conductors.indexOf(p)),
    path: Int32Array.from(positions, (p) => conductors.indexOf(`F.${p}`)),
    deviceColumn: Int32Array.from(diodes, column.device),
    familyColumn: Int32Array.from(diodes, (d) => column.family(familyOf(d) as Family)),
    brakeResistor: conductors.indexOf('brake.resistor'),
    busCharge: conductors.indexOf('bus.charge'),
  };
}

/** The resistance of a short or a leak, Ω. */
export const ohmOf = (fault: Fault): number =>
  fault.ohm ?? (fault.mode === 'short' ? defaultShortOhm : defaultLeakOhm);

/** The changes that faults make, at their nominal sizes or at those fitted. */
function changesOf(faultable: FaultableNetwork, faults: readonly Fault[], fitted?: Float64Array): Changes {
  const diodes = new Map<
    number,
    { diode: number; saturation_A?: number; emission_V?: number; shift_V?: number }
  >();
  const conductors: { conductor: number; conductance_S?: number; emf_V?: number }[] = [];
  const { numbers } = faultable.network;
  if (fitted !== undefined)
    faultable.deviceColumn.forEach((own, diode) => {
      const slope = valueAt(fitted, column.slope);
      const usual = valueAt(numbers.emission_V, diode);
      const emission_V = usual * (1 + slope);
      const drop_V = usual * log(usual_A / valueAt(numbers.saturation_A, diode));
      diodes.set(diode, {
        diode,
        emission_V,
        // The slope turns the curve about the usual current.
        saturation_A: usual_A * exp(-drop_V / emission_V),
        shift_V:
          valueAt(numbers.shift_V, diode) +
          valueAt(fitted, own) +
          valueAt(fitted, indexAt(faultable.familyColumn, diode)),
      });
    });
  for (const fault of faults) {
    const p = positionIndex[fault.component];
    const diode = indexAt(faultable.diode, p);
    const resistor = indexAt(faultable.resistor, p);
    if (fault.mode === 'short' || fault.mode === 'leaky') {
      const factor = fitted === undefined ? 1 : exp(valueAt(fitted, column.leak(fault.component)));
      conductors.push({ conductor: indexAt(faultable.path, p), conductance_S: 1 / (ohmOf(fault) * factor) });
    } else if (diode >= 0) {
      const known = diodes.get(diode) ?? { diode };
      diodes.set(
        diode,
        fault.mode === 'open'
          ? { ...known, saturation_A: 0 }
          : { ...known, shift_V: (known.shift_V ?? valueAt(numbers.shift_V, diode)) + model.degraded_V },
      );
    } else if (resistor >= 0)
      conductors.push({
        conductor: resistor,
        conductance_S:
          fault.mode === 'open' ? 0 : 1 / (1 / valueAt(numbers.conductor_S, resistor) + defaultAddedOhm),
      });
  }
  const open = fitted === undefined ? 1 : exp(valueAt(fitted, column.circumstance));
  if (faultable.brakeResistor >= 0)
    conductors.push({
      conductor: faultable.brakeResistor,
      conductance_S: valueAt(numbers.conductor_S, faultable.brakeResistor) / open,
    });
  if (faultable.busCharge >= 0)
    conductors.push({
      conductor: faultable.busCharge,
      emf_V: valueAt(numbers.emf_V, faultable.busCharge) * open,
    });
  return { diodes: [...diodes.values()], conductors };
}

/**
 * The network with faults put in.
 * @param fitted sizes and drops from a fit, one per column
 */
export const networkWith = (
  faultable: FaultableNetwork,
  faults: readonly Fault[],
  fitted?: Float64Array,
): Network => withChanges(faultable.network, changesOf(faultable, faults, fitted));

/** Where current can go in a network: per node, the nodes it can pass to, as bits. */
export interface Ways {
  out: Int32Array;
  into: Int32Array;
}

/**
 * @param least_S a resistor that conducts less is no way: the meter overloads across it
 */
export function waysOf({ nodes, numbers }: Network, least_S: number): Ways {
  const out = new Int32Array(nodes.length);
  const into = new Int32Array(nodes.length);
  const open = (from: number, to: number) => {
    out[from] = indexAt(out, from) | (1 << to);
    into[to] = indexAt(into, to) | (1 << from);
  };
  for (let k = 0; k < numbers.diodeFrom.length; k += 1)
    if (valueAt(numbers.saturation_A, k) > 0)
      open(indexAt(numbers.diodeFrom, k), indexAt(numbers.diodeTo, k));
  for (let c = 0; c < numbers.conductorFrom.length; c += 1)
    if (valueAt(numbers.conductor_S, c) > least_S) {
      open(indexAt(numbers.conductorFrom, c), indexAt(numbers.conductorTo, c));
      open(indexAt(numbers.conductorTo, c), indexAt(numbers.conductorFrom, c));
    }
  return { out, into };
}

/** Nodes that can be reached from one without passing another, as bits. */
export function reach(ways: Int32Array, from: number, avoiding: number): number {
  const barred = 1 << avoiding;
  let reached = 1 << from;
  let fresh = reached;
  while (fresh !== 0) {
    let next = 0;
    for (let n = 0; fresh >> n !== 0; n += 1) if ((fresh >> n) & 1) next |= indexAt(ways, n);
    fresh = next & ~reached & ~barred;
    reached |= fresh;
  }
  return reached;
}
