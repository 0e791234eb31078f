// Discharge of a DC bank through its bleeder or a tool: v = v0·exp(−t/RC), any textbook.

/** A capacitor bank with the bleeder across it. */
export interface DischargingBank {
  capacitance_uF: number;
  bleederOhm: number;
}

/** How long a bank takes to fall to a limit. */
export interface Discharge {
  /** Time to fall to the limit, s; 0 when already there. */
  seconds: number;
  /** With the bleeder open it never gets there. */
  secondsIfBleederOpen: null;
  tau_s: number;
  storedEnergy_J: number;
}

const tauOf = ({ capacitance_uF, bleederOhm }: DischargingBank): number => capacitance_uF * 1e-6 * bleederOhm;

/** Energy in the bank, J: ½·C·V². */
export const storedEnergy = (capacitance_uF: number, volts: number): number =>
  0.5 * capacitance_uF * 1e-6 * volts ** 2;

/** How long until the bleeder has brought the bank down. It is a plan, never a proof. */
export function discharge(bank: DischargingBank & { startVolts: number; limitVolts: number }): Discharge {
  const tau_s = tauOf(bank);
  const ratio = bank.startVolts / bank.limitVolts;
  return {
    seconds: ratio <= 1 ? 0 : tau_s * Math.log(ratio),
    secondsIfBleederOpen: null,
    tau_s,
    storedEnergy_J: storedEnergy(bank.capacitance_uF, bank.startVolts),
  };
}

/** Bus volts after a time, V. */
export const busVoltsAfter = (bank: DischargingBank & { startVolts: number }, seconds: number): number =>
  bank.startVolts * Math.exp(-seconds / tauOf(bank));

/** A reading of a falling bus: V, at s after the first. */
export interface TimedVolts {
  at_s: number;
  volts: number;
}

/**
 * Time constant from readings of a falling bus: straight line through ln V by least squares.
 * @returns s, or null when the readings do not fall (fewer than two times, or level)
 */
export function timeConstant(readings: readonly TimedVolts[]): number | null {
  const n = readings.length;
  const meanT = readings.reduce((sum, r) => sum + r.at_s, 0) / n;
  const meanL = readings.reduce((sum, r) => sum + Math.log(r.volts), 0) / n;
  const spread = readings.reduce((sum, r) => sum + (r.at_s - meanT) ** 2, 0);
  const slope = readings.reduce((sum, r) => sum + (r.at_s - meanT) * (Math.log(r.volts) - meanL), 0) / spread;
  return n >= 2 && spread > 0 && slope < 0 ? -1 / slope : null;
}

/** A measured discharge beside the one that bank and bleeder should have. */
export interface DischargeComparison {
  tau_s: number;
  expectedTau_s: number;
  /** Measured over expected. */
  ratio: number;
  verdict: 'as-expected' | 'too-fast' | 'too-slow';
  why: string;
}

/** Aluminium capacitors are made within ±20 % (IEC 60384-4, from memory), and the bleeder is not exact either. */
const dischargeTolerance = 0.25;

/**
 * Compares a measured time constant with the one of bank and bleeder.
 * @param bank as on the nameplate or in the manual
 * @param tau_s measured, s
 */
export function compareDischarge(bank: DischargingBank, tau_s: number): DischargeComparison {
  const expectedTau_s = tauOf(bank);
  const ratio = tau_s / expectedTau_s;
  const verdict =
    ratio < 1 - dischargeTolerance ? 'too-fast' : ratio > 1 + dischargeTolerance ? 'too-slow' : 'as-expected';
  const why = {
    'as-expected': 'Bank and bleeder are as stated, within their tolerances.',
    'too-fast': 'Falls too fast: capacitance lost, or something else discharges the bank.',
    'too-slow':
      'Falls too slowly: the bleeder is partly open or of higher resistance. Measure, never wait by the clock.',
  }[verdict];
  return { tau_s, expectedTau_s, ratio, verdict, why };
}

/** A resistor held across the bank: what it must stand and how long it takes. */
export interface DischargeResistor {
  peakAmps: number;
  peakWatts: number;
  joules: number;
  /** Five time constants: down to under 1 %. */
  seconds: number;
}

/** The sums of a discharge resistor: V/R, V²/R, ½CV², 5·R·C. */
export const dischargeTool = (
  capacitance_uF: number,
  startVolts: number,
  ohm: number,
): DischargeResistor => ({
  peakAmps: startVolts / ohm,
  peakWatts: startVolts ** 2 / ohm,
  joules: storedEnergy(capacitance_uF, startVolts),
  seconds: 5 * ohm * capacitance_uF * 1e-6,
});

/** Bus volts of a bank charged from this supply without load, V: the peak of the line-to-line wave. */
export const peakBusVolts = (supply_V: number): number => Math.SQRT2 * supply_V;
