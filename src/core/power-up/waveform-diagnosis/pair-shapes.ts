import { formatSignificant } from '../../numerics/figures';
import { item } from '../../numerics/arrays';
import type { Capture } from '../capture';
import { meanOf, partAt, wholePeriods } from '../waveform';

/** The pairs of outputs, in the order of the phases. */
export const outputPairs = [
  { role: 'vuv', name: 'U to V', outputs: ['U', 'V'] },
  { role: 'vvw', name: 'V to W', outputs: ['V', 'W'] },
  { role: 'vwu', name: 'W to U', outputs: ['W', 'U'] },
] as const;
/** A pair of outputs. */
export type OutputPair = (typeof outputPairs)[number]['role'];
type Output = (typeof outputPairs)[number]['outputs'][number];

/** One period of a pair of outputs without its carrier: mean and harmonics. */
export interface PairShape {
  role: OutputPair;
  /** Output frequency, Hz. */
  f1: number;
  /** V. */
  mean: number;
  /** Of the fundamental, V. */
  peak: number;
  /** Over one period, from where the fundamental rises through zero: the pairs lie over each other, V. */
  volts: Float64Array;
}

/** Harmonics that make a shape; the carrier lies far above them. */
const harmonics = [1, 2, 3, 4, 5, 6, 7] as const;
const places = 96;

/**
 * The pairs of outputs that a capture holds, each laid to begin where its fundamental rises through zero: captured one after the
 * other or at once, they can be compared.
 * @param f1 output frequency, Hz
 * @returns none for a channel that is shorter than a period
 */
export function pairShapes({ channels, t0, dt }: Capture, f1: number): PairShape[] {
  return outputPairs.flatMap(({ role }): PairShape[] => {
    const values = channels.find((c) => c.role === role)?.values;
    if (values === undefined || values.length * dt * f1 < 1) return [];
    const whole = wholePeriods({ t0, dt, values }, f1);
    const mean = meanOf(whole.values);
    const parts = harmonics.map((k) => partAt(whole, k * f1));
    const first = item(parts, 0);
    // It rises through zero a quarter period before its peak.
    const start = Math.atan2(first.sin, first.cos) - Math.PI / 2;
    const volts = Float64Array.from({ length: places + 1 }, (_, place) => {
      const angle = start + (2 * Math.PI * place) / places;
      return parts.reduce(
        (sum, { cos, sin }, i) => sum + cos * Math.cos((i + 1) * angle) + sin * Math.sin((i + 1) * angle),
        mean,
      );
    });
    return [{ role, f1, mean, peak: first.peak, volts }];
  });
}

/**
 * A pair is unlike the others from this lack of fundamental or this mean, as shares of the highest fundamental (common practice,
 * no source; in our circuit an open transistor at 70 % load shifts the mean by 2.4 %).
 */
const lower = 0.06;
const shifted = 0.015;

const nameOf = (role: OutputPair): string => outputPairs.find((p) => p.role === role)?.name ?? role;
const listed = (names: readonly string[]): string => names.join(' and ');

/** The mean of each output against the middle of the three, V, where all pairs are there. */
function outputMeans(shapes: readonly PairShape[]): [output: Output, volts: number][] {
  const mean = (role: OutputPair) => shapes.find((s) => s.role === role)?.mean ?? 0;
  const [uv, vw, wu] = [mean('vuv'), mean('vvw'), mean('vwu')];
  return [
    ['U', (uv - wu) / 3],
    ['V', (vw - uv) / 3],
    ['W', (wu - vw) / 3],
  ];
}

/**
 * The three pairs compared by their waveforms: which are unlike, and what those share.
 * @returns null where fewer than all three were captured at one frequency, or none differs
 */
export function pairsCompared(shapes: readonly PairShape[]): { odd: OutputPair[]; text: string } | null {
  if (shapes.length < outputPairs.length) return null;
  const highest = Math.max(...shapes.map((s) => s.peak));
  const odd = shapes.filter((s) => s.peak < (1 - lower) * highest || Math.abs(s.mean) > shifted * highest);
  if (odd.length === 0) return null;
  const roles = odd.map((s) => s.role);
  const figures = shapes
    .map(
      (s) => `${nameOf(s.role)} ${formatSignificant(s.peak)} V peak, mean ${formatSignificant(s.mean, 2)} V`,
    )
    .join('; ');
  const names = listed(roles.map(nameOf));
  if (odd.length === 1)
    return {
      odd: roles,
      text: `${names} alone differs from the others (${figures}). Each output is part of two pairs: capture this one again, the probe may have had poor contact.`,
    };
  if (odd.length === outputPairs.length)
    return {
      odd: roles,
      text: `All three pairs differ (${figures}). Check the probe’s zero and the bus before one output is blamed.`,
    };
  const shared = outputPairs
    .flatMap((p) => (roles.includes(p.role) ? [...p.outputs] : []))
    .find((output, i, all) => all.indexOf(output) !== i);
  const mean = outputMeans(shapes).find(([output]) => output === shared)?.[1] ?? 0;
  const half =
    Math.abs(mean) < (shifted / 3) * highest
      ? ''
      : mean < 0
        ? ` ${shared} reaches DC+ less than the others: upper IGBT or its gate drive.`
        : ` ${shared} reaches DC− less than the others: lower IGBT or its gate drive.`;
  return {
    odd: roles,
    text: `${names} differ from the third pair (${figures}). Both include output ${shared}.${half}`,
  };
}

/** The shapes of two looks together; a pair captured again replaces the earlier one, and another frequency all of them. */
export const shapesTogether = (before: readonly PairShape[], now: readonly PairShape[]): PairShape[] =>
  now.length === 0
    ? [...before]
    : outputPairs.flatMap(
        ({ role }) =>
          now.find((s) => s.role === role) ??
          before.find((s) => s.role === role && s.f1 === now[0]?.f1) ??
          [],
      );

/** A shape over its period, s and V. */
export const shapeOverTime = ({ f1, volts }: PairShape): { t: Float64Array; v: Float64Array } => ({
  t: volts.map((_, place) => place / (places * f1)),
  v: volts,
});
