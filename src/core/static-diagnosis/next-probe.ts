import { at } from '../circuit';
import { probeKey, type Probe } from '../power-stage';
import { model } from './model';
import type { Fit } from './fit';
import { effect, type Tables } from './tables';

export interface NextProbe extends Probe {
  /** Expected information about which hypothesis holds, bits. */
  gainBits: number;
}

const entropy = (weights: Iterable<number>): number => {
  let sum = 0;
  for (const w of weights) if (w > 0) sum -= w * Math.log2(w);
  return sum;
};

/**
 * Which probe would tell most. The reading each hypothesis expects (its own fitted drops applied)
 * is put into bins two noise widths wide; the information of a probe is the entropy of the bins.
 * @param weighed hypotheses with their probabilities
 * @param taken keys of the probes that were read already
 */
export function nextProbes(
  tables: Tables,
  weighed: readonly { fit: Fit; probability: number }[],
  taken: ReadonlySet<string>,
): NextProbe[] {
  const likely = weighed.filter((w) => w.probability > 1e-4);
  const bin_V = 4 * model.reading_V + model.device_V;
  return tables.probes
    .flatMap((probe, row) => {
      if (taken.has(probeKey(probe))) return [];
      const bins = new Map<string, number>();
      for (const { fit, probability } of likely) {
        const { volts, slopes } = fit.prediction;
        let expected = at(volts, row);
        const overload = Math.abs(expected) > tables.meter.ceiling_V;
        if (!overload) expected += effect(slopes, row, fit.unknowns);
        const key = overload ? 'OL' : String(Math.round(expected / bin_V));
        bins.set(key, (bins.get(key) ?? 0) + probability);
      }
      const gainBits = entropy(bins.values());
      return gainBits > 1e-3 ? [{ red: probe.red, black: probe.black, gainBits }] : [];
    })
    .sort((a, b) => b.gainBits - a.gainBits)
    .slice(0, 10);
}
