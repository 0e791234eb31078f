import type { MeterLaw } from './elements';
import { eliminate, join, mesh, substitute, type Mesh } from './linear';
import type { Network } from './network';
import { item, valueAt, indexAt } from '../arrays';

// Taken once: looking a global up at every use costs more than the function itself.
const { abs, exp, log, log1p, max, min } = Math;

/** Every node leaks to the reference through this, so that no part of a network floats. */
const leak_S = 1e-11;
/** The clamp of the meter's output stage behaves as a junction at room temperature. */
const clampEmission_V = 0.02585;
/** Beyond this exponent the exponential goes on as its tangent: smooth, and never infinite. */
const steepest = 80;
const mostIterations = 400;
/** From a near start Newton settles soon or not at all. */
const mostIterationsNear = 30;
/** Steps in which the meter is taken as a chord; what they settle on is not the answer yet. */
const chordSteps = 2;
/** Newton converges quadratically: a last step below this leaves an error far below a display step. */
const tolerance_V = 5e-6;

/** Where the network settles, with what is needed to ask how it would change. */
export interface OperatingPoint {
  converged: boolean;
  iterations: number;
  /** Node voltages to the reference, V, in the order of `network.nodes`. */
  volts: Float64Array;
  /** Differential conductance of each diode (series resistance included), S. */
  conductances_S: Float64Array;
  /** Current of each diode, A. */
  currents_A: Float64Array;
  /** The linearised network, eliminated: for `influence`. */
  mesh: Mesh;
}

/** What limiting needs to know of a junction. */
interface Knee {
  emission_V: number;
  /** Where the exponential bends steeply enough to throw Newton off. */
  critical_V: number;
  /** The drop at the test current: no junction in a passive network carries more. */
  usual_V: number;
}

const kneesOf = ({ numbers }: Network, testCurrent_A: number): Knee[] =>
  Array.from(numbers.saturation_A, (saturation_A, k) => {
    const emission_V = valueAt(numbers.emission_V, k);
    return {
      emission_V,
      critical_V: emission_V * log(emission_V / (Math.SQRT2 * saturation_A)),
      usual_V: emission_V * log1p(testCurrent_A / saturation_A),
    };
  });

/**
 * Keeps a Newton step on a junction from running up the exponential: beyond the critical voltage
 * the step is taken in the current instead (Nagel, "SPICE2", UCB/ERL M520, 1975, section 3), and
 * a junction that turns on lands on its usual drop first.
 */
function limited(next_V: number, last_V: number, { emission_V, critical_V, usual_V }: Knee): number {
  if (last_V < usual_V && next_V > usual_V) return usual_V;
  if (next_V <= critical_V || abs(next_V - last_V) <= 2 * emission_V) return next_V;
  const ratio = 1 + (next_V - last_V) / emission_V;
  return ratio > 0 ? last_V + emission_V * log(ratio) : critical_V;
}

/** A meter's leads on two numbered nodes. */
export interface Leads {
  law: MeterLaw;
  red: number;
  black: number;
}

/**
 * DC operating point by nodal analysis and Newton's method, with a meter's leads on two nodes.
 * A meter with both leads on one node, or none (`null`), is left out of the network.
 *
 * @param network from `compile`
 * @param near node voltages of a network that differs little: a start that saves steps
 * @returns the point; `converged` false when Newton did not settle: then its figures mean nothing
 */
export function operatingPoint(network: Network, leads: Leads | null, near?: Float64Array): OperatingPoint {
  if (near !== undefined) {
    const point = settle(network, leads, near, mostIterationsNear);
    if (point.converged) return point;
  }
  return settle(network, leads, null, mostIterations);
}

function settle(
  network: Network,
  leads: Leads | null,
  near: Float64Array | null,
  most: number,
): OperatingPoint {
  const probing = leads !== null && leads.red !== leads.black ? leads : null;
  const n = network.nodes.length;
  const knees = kneesOf(network, probing?.law.testCurrent_A ?? 1e-3);
  const state = near === null ? startingState(network) : stateNear(network, knees, probing, near);
  const linear = mesh(n);
  const missing_A = new Float64Array(n);
  const change_V = new Float64Array(n);
  for (let iteration = 1; iteration <= most; iteration += 1) {
    const chord = near === null && probing !== null && iteration <= chordSteps;
    linear.between.fill(0);
    linear.toReference.fill(leak_S);
    for (let i = 0; i < n; i += 1) missing_A[i] = -leak_S * valueAt(state.volts, i);
    stampElements(network, state, linear, missing_A);
    if (probing !== null) stampMeter(probing, state, linear, missing_A, chord);
    eliminate(linear);
    substitute(linear, missing_A, change_V);
    for (let i = 0; i < n; i += 1) state.volts[i] = valueAt(state.volts, i) + valueAt(change_V, i);
    const moved = step(network, knees, probing, state);
    if (moved < tolerance_V && !chord)
      return { ...state, mesh: linear, converged: true, iterations: iteration };
    if (!Number.isFinite(moved)) break;
  }
  return { ...state, mesh: linear, converged: false, iterations: most };
}

/** What Newton carries from one step to the next. */
interface State {
  volts: Float64Array;
  /** Voltage, current and slope of every junction at the point of linearisation. */
  junction_V: Float64Array;
  junction_A: Float64Array;
  junction_S: Float64Array;
  conductances_S: Float64Array;
  currents_A: Float64Array;
  meter_V: number;
}

/** Everything starts at rest: most junctions of a probed stage carry next to nothing. */
function startingState(network: Network): State {
  const zeros = () => new Float64Array(network.diodes.length);
  return {
    volts: new Float64Array(network.nodes.length),
    junction_V: zeros(),
    junction_A: zeros(),
    junction_S: zeros(),
    conductances_S: zeros(),
    currents_A: zeros(),
    meter_V: 0,
  };
}

/** The state at given node voltages, no junction beyond its usual drop. */
function stateNear(
  network: Network,
  knees: readonly Knee[],
  probing: Leads | null,
  near: Float64Array,
): State {
  const state = startingState(network);
  const { diodeFrom, diodeTo, shift_V } = network.numbers;
  state.volts.set(near);
  for (let k = 0; k < knees.length; k += 1) {
    const across =
      valueAt(near, indexAt(diodeFrom, k)) - valueAt(near, indexAt(diodeTo, k)) - valueAt(shift_V, k);
    state.junction_V[k] = min(across, item(knees, k).usual_V);
  }
  if (probing !== null)
    state.meter_V = min(valueAt(near, probing.red) - valueAt(near, probing.black), probing.law.openCircuit_V);
  return state;
}

/**
 * Adds an element, linearised, to the mesh, and its present current to the balance of its nodes.
 * Working with what is missing in the balance keeps large currents (a charged bank) from drowning
 * the small ones.
 */
function stamp(
  linear: Mesh,
  missing_A: Float64Array,
  from: number,
  to: number,
  conductance_S: number,
  ampere: number,
) {
  join(linear, from, to, conductance_S);
  missing_A[from] = valueAt(missing_A, from) - ampere;
  missing_A[to] = valueAt(missing_A, to) + ampere;
}

function stampElements({ numbers }: Network, state: State, linear: Mesh, missing_A: Float64Array): void {
  const { volts } = state;
  const { conductorFrom, conductorTo, conductor_S, emf_V, diodeFrom, diodeTo } = numbers;
  for (let c = 0; c < conductor_S.length; c += 1) {
    const from = indexAt(conductorFrom, c);
    const to = indexAt(conductorTo, c);
    const conductance_S = valueAt(conductor_S, c);
    stamp(
      linear,
      missing_A,
      from,
      to,
      conductance_S,
      (valueAt(volts, from) - valueAt(volts, to) - valueAt(emf_V, c)) * conductance_S,
    );
  }
  for (let k = 0; k < diodeFrom.length; k += 1) {
    const from = indexAt(diodeFrom, k);
    const to = indexAt(diodeTo, k);
    const vj = valueAt(state.junction_V, k);
    const emission_V = valueAt(numbers.emission_V, k);
    const saturation_A = valueAt(numbers.saturation_A, k);
    const x = vj / emission_V;
    const e = exp(min(x, steepest));
    const ij = saturation_A * (x < steepest ? e - 1 : e * (1 + x - steepest) - 1);
    const gj = (saturation_A * e) / emission_V;
    const share = 1 / (1 + gj * valueAt(numbers.series_ohm, k));
    const across = valueAt(volts, from) - valueAt(volts, to) - valueAt(numbers.shift_V, k);
    stamp(linear, missing_A, from, to, gj * share, (ij + gj * (across - vj)) * share);
    state.junction_A[k] = ij;
    state.junction_S[k] = gj;
    state.conductances_S[k] = gj * share;
  }
}

/**
 * The meter's test current with its clamp. The first steps take the chord from short circuit
 * to open circuit, which is near the answer for a forward junction and for overload alike.
 */
function stampMeter(leads: Leads, state: State, linear: Mesh, missing_A: Float64Array, chord: boolean): void {
  const { testCurrent_A, openCircuit_V } = leads.law;
  const { red, black } = leads;
  const across = valueAt(state.volts, red) - valueAt(state.volts, black);
  if (chord) {
    const conductance_S = testCurrent_A / openCircuit_V;
    stamp(linear, missing_A, red, black, conductance_S, conductance_S * across - testCurrent_A);
    return;
  }
  const x = (state.meter_V - openCircuit_V) / clampEmission_V;
  const e = exp(min(x, steepest));
  const drawn_A = testCurrent_A * (x < steepest ? e - 1 : e * (1 + x - steepest) - 1);
  const conductance_S = (testCurrent_A * e) / clampEmission_V;
  stamp(linear, missing_A, red, black, conductance_S, drawn_A + conductance_S * (across - state.meter_V));
}

/** Moves the points of linearisation; returns the largest move, V. */
function step(network: Network, knees: readonly Knee[], probing: Leads | null, state: State): number {
  const { numbers } = network;
  let moved = 0;
  for (let k = 0; k < knees.length; k += 1) {
    const across =
      valueAt(state.volts, indexAt(numbers.diodeFrom, k)) - valueAt(state.volts, indexAt(numbers.diodeTo, k));
    const vj = valueAt(state.junction_V, k);
    const gj = valueAt(state.junction_S, k);
    const series_ohm = valueAt(numbers.series_ohm, k);
    const drop = across - valueAt(numbers.shift_V, k);
    const ampere = (valueAt(state.junction_A, k) + gj * (drop - vj)) / (1 + gj * series_ohm);
    const taken = limited(drop - ampere * series_ohm, vj, item(knees, k));
    moved = max(moved, abs(taken - vj));
    state.junction_V[k] = taken;
    state.currents_A[k] = ampere;
  }
  if (probing !== null) {
    const wanted = valueAt(state.volts, probing.red) - valueAt(state.volts, probing.black);
    const knee_V = probing.law.openCircuit_V;
    const taken = limited(wanted, state.meter_V, {
      emission_V: clampEmission_V,
      critical_V: knee_V,
      usual_V: knee_V,
    });
    moved = max(moved, abs(taken - state.meter_V));
    state.meter_V = taken;
  }
  return moved;
}

/**
 * How the voltage between two nodes follows a current pushed in anywhere: the answer of the
 * linearised network to a unit current between them. A current of i amperes from node a to node b
 * inside the network moves that voltage by `(influence[b] − influence[a])·i`.
 */
export function influence(point: OperatingPoint, plus: number, minus: number): Float64Array {
  const n = point.volts.length;
  const unit = new Float64Array(n);
  unit[plus] = 1;
  unit[minus] = valueAt(unit, minus) - 1;
  const answer = new Float64Array(n);
  substitute(point.mesh, unit, answer);
  return answer;
}
