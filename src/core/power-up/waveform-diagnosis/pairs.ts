import { formatSignificant } from '../../numerics/figures';
import { unbalanceOf } from '../../numerics/unbalance';
import type { Measured } from './fit';
import { outputPairs } from './pair-shapes';

/** Pairs that differ by less than this are alike, % of their mean (common practice, no source). */
const alike_percent = 4;

/**
 * The three pairs of outputs beside each other: which one differs, or which are still to be captured before that can be said.
 * @param suspected something at the output side is not as it should be
 */
export function pairNotes(measured: Measured, suspected: boolean): string[] {
  const taken = outputPairs.flatMap(({ role, name }) => {
    const volts = measured[`${role}_rms`];
    return volts === undefined ? [] : [{ name, volts }];
  });
  if (taken.length === 0) return [];
  const shown = taken.map((p) => `${p.name} ${formatSignificant(p.volts)} V`).join(', ');
  const { mean, unbalance_percent } = unbalanceOf(taken.map((p) => p.volts));
  const differ = taken.length > 1 && unbalance_percent > alike_percent;
  if (taken.length < outputPairs.length) {
    const missing = outputPairs.filter((p) => !taken.some((t) => t.name === p.name)).map((p) => p.name);
    return differ || suspected
      ? [`Pairs so far: ${shown}. Capture ${missing.join(' and ')} the same way before blaming one of them.`]
      : [];
  }
  if (!differ) return [];
  const [odd] = [...taken].sort((a, b) => Math.abs(b.volts - mean) - Math.abs(a.volts - mean));
  return [
    `${odd?.name ?? ''} differs from the other pairs: ${shown}, ${formatSignificant(unbalance_percent, 2)} % off their mean. Captured with a scope, the three are laid over each other.`,
  ];
}
