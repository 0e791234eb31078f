import { circuitOf, simulateWave, type UnitWords } from '../waveform';
import { hotOhm, lookOf, ohmAtVolts, type LampRating } from './lamp';

/** Three equal lamps, or strings of lamps, in star at the output. */
export interface LampLoad {
  lamp: LampRating;
  perLeg: number;
}

/** What three lamps at the output should show at one frequency. */
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
