import { formatSignificant } from '../../numerics/figures';
import { unbalanceOf } from '../../numerics/unbalance';

/** What was measured at three lamps in star, at one frequency. */
export interface LampReading {
  hz: number;
  /** U–V, V–W, W–U. */
  volts: readonly [number, number, number];
  /** U, V, W; null: no clamp meter. */
  amps: readonly [number, number, number] | null;
}

/** Whether three lamps at the output are alike, and which leg is not. */
export interface LampJudgement {
  verdict: 'equal' | 'doubtful' | 'unequal';
  volts_percent: number;
  amps_percent: number | null;
  /** The leg that is unlike the others; null: none is. */
  leg: 'U' | 'V' | 'W' | null;
  text: string;
  sum: string;
}

/** Bounds in % of the mean: common practice, no source. Lamps of one box differ by some percent. */
const bounds = { volts: [2, 4], amps: [5, 10] } as const;

const deviation = (values: readonly number[]): { percent: number; mean: number; worst: number } => {
  const { mean, unbalance_percent } = unbalanceOf(values);
  const off = values.map((v) => Math.abs(v - mean));
  return { percent: unbalance_percent, mean, worst: off.indexOf(Math.max(...off)) };
};

/** The three pairs with their volts: the one that differs is named by them. */
const pairWords = ([uv, vw, wu]: LampReading['volts']): string =>
  `: U–V ${formatSignificant(uv)} V, V–W ${formatSignificant(vw)} V, W–U ${formatSignificant(wu)} V`;

const legs = ['U', 'V', 'W'] as const;
/** The leg that is in the two pairs unlike the third: pairs are U–V, V–W, W–U. */
const legOfPairs = ['W', 'U', 'V'] as const;

/** Are the three legs alike? */
export function judgeLamps({ volts, amps }: LampReading): LampJudgement {
  const v = deviation(volts);
  const a = amps === null ? null : deviation(amps);
  const grade = (percent: number, [ok, doubt]: readonly [number, number]) =>
    percent <= ok ? 0 : percent <= doubt ? 1 : 2;
  const dead = v.mean === 0;
  const worst = dead
    ? 2
    : Math.max(grade(v.percent, bounds.volts), a === null ? 0 : grade(a.percent, bounds.amps));
  const byAmps = a !== null && grade(a.percent, bounds.amps) > 0;
  const leg = worst === 0 || dead ? null : byAmps ? (legs[a.worst] ?? null) : (legOfPairs[v.worst] ?? null);
  const verdict = worst === 0 ? 'equal' : worst === 1 ? 'doubtful' : 'unequal';
  return {
    verdict,
    volts_percent: v.percent,
    amps_percent: a?.percent ?? null,
    leg,
    text: dead
      ? 'No output voltage: is the drive running, and at what frequency?'
      : verdict === 'equal'
        ? 'All three phases equal.'
        : `Phase ${leg} differs from the others${pairWords(volts)}. Swap its lamp with another: if the difference moves with the lamp, the lamp is the cause.`,
    sum: `volts: largest deviation ${formatSignificant(v.percent, 2)} % of the mean ${formatSignificant(v.mean)} V (good to ${bounds.volts[0]} %, bad above ${bounds.volts[1]} %)${a === null ? '' : `; currents: ${formatSignificant(a.percent, 2)} % of ${formatSignificant(a.mean)} A (good to ${bounds.amps[0]} %, bad above ${bounds.amps[1]} %)`}`,
  };
}
