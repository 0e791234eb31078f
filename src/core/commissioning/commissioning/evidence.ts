// What the link shows, as evidence for a step. Common practice, no source.
import { scaled, signalUnit, type ScaleLine } from '../../numerics/analog-scaling';
import type { Control } from '../../equipment/catalogue';
import { referenceTolerance } from './figures';
import { isCommand, type Live, type Values } from '../../equipment/drive-words';

type Bits = Readonly<Record<string, boolean>>;

/** What was seen of a row of bits while one of them was turned. */
export interface BitsSeen {
  first: Bits | null;
  /** States the bit was seen in. */
  off: boolean;
  on: boolean;
  /** Others that changed meanwhile. */
  moved: readonly string[];
}

/** Before anybody moved an input. */
export const noBits: BitsSeen = { first: null, off: false, on: false, moved: [] };

/** One more look at a row of bits. @param id the bit that is turned */
export function bitWatch(seen: BitsSeen, bits: Bits, id: string): BitsSeen {
  const first = seen.first ?? bits;
  const bit = bits[id];
  const moved = Object.keys(bits).filter((key) => key !== id && bits[key] !== first[key]);
  return {
    first,
    off: seen.off || bit === false,
    on: seen.on || bit === true,
    moved: [...new Set([...seen.moved, ...moved])],
  };
}

/**
 * Is it at rest and ready? What is not so, in words; none: all is.
 * @param runGiven where run is given from; null: nowhere
 */
export function displayReady({ state, alarm, outputFrequency_Hz }: Live, runGiven: string | null): string[] {
  return [
    ...(alarm === undefined || alarm === null ? [] : [`The drive shows fault ${alarm}.`]),
    ...(state === undefined || state === 'ready'
      ? []
      : [`The drive state is “${state.replaceAll('-', ' ')}”, not ready.`]),
    ...(outputFrequency_Hz === undefined || outputFrequency_Hz === 0
      ? []
      : [`Output frequency is ${outputFrequency_Hz} Hz.`]),
    ...(runGiven === null ? [] : [runGiven]),
  ];
}

/** One point of an analog line: what the signal stands for, and whether the drive says the same. */
export function analogPoint(
  line: ScaleLine,
  signal: number,
  reference_Hz: number,
): { expected_Hz: number; agrees: boolean; share: number; sum: string } {
  const expected_Hz = Number(scaled(line, signal).toFixed(3));
  const span = Math.abs(line.atHigh - line.atLow);
  const off = Math.abs(reference_Hz - expected_Hz);
  return {
    expected_Hz,
    agrees: off <= referenceTolerance * span,
    share: span === 0 ? 0 : (expected_Hz - line.atLow) / (line.atHigh - line.atLow),
    sum: `${signal} ${signalUnit(line.signal)} should give ${expected_Hz} Hz, the drive shows ${reference_Hz} Hz: ${off.toFixed(2)} Hz off, ${(referenceTolerance * span).toFixed(2)} Hz allowed`,
  };
}

/** Entries that were otherwise after the power was away; codes and commands are gone then by design. */
export function cycleDifferences(
  { parameters }: Pick<Control, 'parameters'>,
  before: Values,
  after: Values,
): { number: string; name: string; before: number; after: number }[] {
  return parameters.flatMap((p) => {
    const was = before[p.number];
    const is = after[p.number];
    const passing = p.readOnly || p.concept === 'lock.code' || isCommand(p);
    return passing || was === undefined || is === undefined || was === is
      ? []
      : [{ number: p.number, name: p.name, before: was, after: is }];
  });
}
