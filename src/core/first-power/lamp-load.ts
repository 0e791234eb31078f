import { written } from '../figures';
import { circuitOf, simulateWave, type UnitWords } from '../waveform';
import { hotOhm, lookOf, ohmAtVolts, type Lamp } from './lamp';

/** Three equal lamps, or strings of lamps, in star at the output. */
export interface LampLoad {
  lamp: Lamp;
  perLeg: number;
}

export interface LampExpectation {
  hz: number;
  /** Line to line, fundamental: what a filtered meter reads; and wide-band true RMS. */
  pair_V: number;
  pairWide_V: number;
  amps: number;
  /** Of each lamp. */
  watts: number;
  share: number;
  look: string;
}

const rounds = 6;

/** What lamps do at a frequency. What heats them is all of the pulses, not the fundamental alone. */
export function lampsAt(unit: UnitWords, { lamp, perLeg }: LampLoad, hz: number): LampExpectation {
  let ohm = hotOhm(lamp) / 2;
  let figures: Readonly<Record<string, number>> = {};
  for (let k = 0; k < rounds; k += 1) {
    const { given } = circuitOf(unit, { load: 'lamps', f1: hz, ohmPerLeg: ohm * perLeg });
    figures = simulateWave(given).figures;
    const next = ohmAtVolts(lamp, (figures['iu_rms'] ?? 0) * ohm);
    if (Math.abs(next / ohm - 1) < 0.005) break;
    ohm += 0.8 * (next - ohm);
  }
  const amps = figures['iu_rms'] ?? 0;
  const volts = amps * ohm;
  return {
    hz,
    pair_V: figures['vuv_h1_rms'] ?? 0,
    pairWide_V: figures['vuv_rms'] ?? 0,
    amps,
    watts: volts * amps,
    share: volts / lamp.volts,
    look: lookOf(volts / lamp.volts),
  };
}

/** Lamps a leg: their volts together are not below what the star gives at full output. */
export const lampsPerLeg = (supply_V: number, lamp_V: number): number =>
  Math.ceil(supply_V / Math.sqrt(3) / (1.05 * lamp_V));

export interface LampReading {
  hz: number;
  /** U–V, V–W, W–U. */
  volts: readonly [number, number, number];
  /** U, V, W; null: no clamp meter. */
  amps: readonly [number, number, number] | null;
}

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
  const mean = values.reduce((s, v) => s + v, 0) / values.length;
  const off = values.map((v) => Math.abs(v - mean));
  const worst = off.indexOf(Math.max(...off));
  return { percent: mean > 0 ? (100 * (off[worst] ?? 0)) / mean : 0, mean, worst };
};

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
  const verdict = (['equal', 'doubtful', 'unequal'] as const)[worst as 0 | 1 | 2];
  return {
    verdict,
    volts_percent: v.percent,
    amps_percent: a?.percent ?? null,
    leg,
    text: dead
      ? 'No volts at the output: is it running, and at what frequency?'
      : verdict === 'equal'
        ? 'All three legs alike.'
        : `Leg ${leg} is unlike the others. Change its lamp with another: if the odd one moves with the lamp, it is the lamp.`,
    sum: `volts: largest deviation ${written(v.percent, 2)} % of the mean ${written(v.mean)} V (good to ${bounds.volts[0]} %, bad above ${bounds.volts[1]} %)${a === null ? '' : `; currents: ${written(a.percent, 2)} % of ${written(a.mean)} A (good to ${bounds.amps[0]} %, bad above ${bounds.amps[1]} %)`}`,
  };
}
