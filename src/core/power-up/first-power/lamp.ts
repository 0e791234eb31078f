/**
 * A filament lamp: its resistance rises with what heats it. Current goes with volts to the power 0.55, watts to the
 * power 1.55; cold it has about a fourteenth of its hot resistance (handbook exponents of tungsten, from memory).
 */
const currentPower = 0.55;
const coldShare = 1 / 14;

/** A lamp by its rated volts and watts. */
export interface LampRating {
  volts: number;
  watts: number;
}

/** Resistance of a filament at its rated volts, Ω. */
export const hotOhm = ({ volts, watts }: LampRating): number => volts ** 2 / watts;
/** Resistance of a cold filament, Ω. */
export const coldOhm = (lamp: LampRating): number => hotOhm(lamp) * coldShare;

/** Resistance at the RMS volts that heat it, Ω. */
export function ohmAtVolts(lamp: LampRating, volts: number): number {
  const x = volts / lamp.volts;
  return x <= 0 ? coldOhm(lamp) : Math.max(coldOhm(lamp), hotOhm(lamp) * x ** (1 - currentPower));
}

/** Resistance at the RMS current through it, Ω. */
export function ohmAtAmps(lamp: LampRating, amps: number): number {
  const x = (amps * lamp.volts) / lamp.watts;
  return x <= 0 ? coldOhm(lamp) : Math.max(coldOhm(lamp), hotOhm(lamp) * x ** (1 / currentPower - 1));
}

/** Current at RMS volts, A. */
export const ampsAtVolts = (lamp: LampRating, volts: number): number => volts / ohmAtVolts(lamp, volts);

/** How it looks, by the share of its volts (common practice, no source). */
export function lookOf(share: number): string {
  if (share < 0.12) return 'dark';
  if (share < 0.25) return 'just red';
  if (share < 0.45) return 'orange';
  if (share < 0.75) return 'yellow';
  return share > 1.15 ? 'too bright: use more lamps per phase' : 'bright';
}
