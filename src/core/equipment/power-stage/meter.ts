import { compile, operatingPoint, type Element } from '../../numerics/circuit';
import type { Probe } from './vocabulary';

/** A diode-test meter. */
export interface Meter {
  testCurrent_mA: number;
  openCircuit_V: number;
  /** Above this the display shows overload. */
  ceiling_V: number;
  resolution_V: number;
}

/** A common diode-test range: 1 mA, 3 V open circuit, overload above 2 V, 1 mV steps. */
export const commonMeter: Meter = { testCurrent_mA: 1, openCircuit_V: 3, ceiling_V: 2, resolution_V: 0.001 };

/** What the display shows: overload, or volts. */
export type Shown = 'OL' | number;
/** What a person can enter: also a figure that has not settled yet. */
export type Value = Shown | 'climbing';

/** What a meter shows for one probe. */
export interface Reading<P extends Probe = Probe> {
  red: P['red'];
  black: P['black'];
  value: Shown;
  /** The unrounded figure, V; meaningful only when `value` is not overload. */
  volts: number;
}

/** Rounds half away from zero, as displays do. */
const rounded = (volts: number, resolution_V: number): number => {
  const steps = Math.round(Math.abs(volts) / resolution_V + 1e-9);
  const digits = Math.max(0, Math.ceil(-Math.log10(resolution_V)));
  const value = Number((Math.sign(volts) * steps * resolution_V).toFixed(digits));
  return value === 0 ? 0 : value;
};

/** What the meter displays for a voltage between its leads. */
export const shown = (volts: number, meter: Meter): Shown =>
  Math.abs(volts) > meter.ceiling_V ? 'OL' : rounded(volts, meter.resolution_V);

/** The network has no operating point for a probe. */
export class DidNotSettle extends Error {
  constructor(red: string, black: string) {
    super(`the network has no operating point with the leads on ${red} and ${black}`);
  }
}

/**
 * What the meter shows between pairs of nodes of any network.
 * @throws DidNotSettle when Newton finds no operating point
 */
export function readings<R extends string, B extends string>(
  elements: readonly Element[],
  probes: readonly { red: R; black: B }[],
  meter: Meter,
): { red: R; black: B; value: Shown; volts: number }[] {
  const network = compile(elements, [...new Set(probes.flatMap((p) => [p.red, p.black]))]);
  const law = { testCurrent_A: meter.testCurrent_mA / 1000, openCircuit_V: meter.openCircuit_V };
  const node = (name: string): number => network.index.get(name) ?? 0;
  return probes.map(({ red, black }) => {
    const point = operatingPoint(network, { law, red: node(red), black: node(black) });
    if (!point.converged) throw new DidNotSettle(red, black);
    const volts = (point.volts[node(red)] ?? 0) - (point.volts[node(black)] ?? 0);
    return { red, black, value: shown(volts, meter), volts };
  });
}
