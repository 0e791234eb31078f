/** A resistor between nodes a and b. */
export interface Resistor {
  type: 'R';
  name: string;
  a: string;
  b: string;
  ohm: number;
}

/** A voltage source with the resistance that any real one has. */
export interface VoltageSource {
  type: 'V';
  name: string;
  plus: string;
  minus: string;
  volts: number;
  series_ohm: number;
}

/**
 * A junction diode: i = Is·(exp(vj/nVt) − 1) with a resistance in series and, to describe one
 * device that differs from those of the other phases, a shift of the whole curve along the voltage axis.
 */
export interface Diode {
  type: 'D';
  name: string;
  anode: string;
  cathode: string;
  /** Saturation current at the temperature in force, A. */
  saturation_A: number;
  /** n·k·T/q at the temperature in force, V. */
  emission_V: number;
  series_ohm: number;
  shift_V?: number;
}

/** An element of a network. */
export type Element = Resistor | VoltageSource | Diode;

/**
 * A diode-test meter seen from its leads: a constant current out of the red lead, clamped near the
 * open-circuit voltage.
 */
export interface MeterLaw {
  testCurrent_A: number;
  openCircuit_V: number;
}

/** Boltzmann's constant over the elementary charge, V/K (CODATA 2018, exact since the 2019 SI). */
const boltzmannOverCharge = 1.380649e-23 / 1.602176634e-19;

/** Thermal voltage k·T/q. @param temperature_C degrees Celsius @returns V */
export const thermalVolts = (temperature_C: number): number => boltzmannOverCharge * (temperature_C + 273.15);

/**
 * Saturation current at another temperature than the reference one of 27 °C, by the law every
 * SPICE uses (Vladimirescu, "The SPICE Book", 1994, diode model; EG = 1.11 eV, XTI = 3).
 * @param saturation27_A Is at 27 °C, A
 * @param n emission coefficient
 * @param temperature_C junction temperature, °C
 * @returns Is at that temperature, A
 */
export function saturationAt(saturation27_A: number, n: number, temperature_C: number): number {
  const bandGap_V = 1.11;
  const exponent = 3;
  const ratio = (temperature_C + 273.15) / 300.15;
  const activation = ((ratio - 1) * bandGap_V) / (n * thermalVolts(temperature_C));
  return saturation27_A * Math.exp(activation + (exponent / n) * Math.log(ratio));
}
