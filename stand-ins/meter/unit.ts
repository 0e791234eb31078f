import {
  networkOf,
  readings,
  type Fault,
  type Meter,
  type Probe,
  type Stage,
} from '@/core/equipment/power-stage';

/** A unit on the bench with what is wrong with it, and what its bank holds by now. */
export interface BenchUnit {
  stage: Stage;
  faults: readonly Fault[];
  temperature_C: number;
  bank_V: number;
}

type Leads = Probe | null;

/** What the display would show at once and in the end: a bank passes current until it is full. */
function ends({ stage, faults, temperature_C }: BenchUnit, probe: Probe, meter: Meter) {
  const shows = (more: readonly Fault[]) =>
    readings(networkOf({ stage, temperature_C, faults: [...faults, ...more] }), [probe], meter)[0];
  const bankDead = faults.some((f) => f.component === 'bus.cap');
  const settled = shows([]);
  const empty = bankDead ? settled : shows([{ component: 'bus.cap', mode: 'short', ohm: 0.01 }]);
  return { settled, empty };
}

/**
 * The display after the leads were where they are for a step of time.
 * @returns V, null for overload; and the unit with what its bank took in
 */
export function meterDisplay(
  unit: BenchUnit,
  leads: Leads,
  meter: Meter,
  step_s: number,
): { unit: BenchUnit; volts: number | null } {
  const tau_s = unit.stage.bleederOhm * unit.stage.capacitance_uF * 1e-6;
  const resting = { ...unit, bank_V: unit.bank_V * Math.exp(-step_s / tau_s) };
  if (leads === null) return { unit: resting, volts: null };
  const { settled, empty } = ends(unit, leads, meter);
  if (settled === undefined || empty === undefined) return { unit: resting, volts: null };
  const fills = settled.value === 'OL' && empty.value !== 'OL';
  if (!fills) return { unit: resting, volts: settled.value === 'OL' ? null : settled.volts };
  const rate_Vs = (meter.testCurrent_mA / unit.stage.capacitance_uF) * 1000;
  const full_V = meter.openCircuit_V - empty.volts;
  const bank_V = Math.min(full_V, unit.bank_V + rate_Vs * step_s);
  const volts = empty.volts + bank_V;
  return { unit: { ...unit, bank_V }, volts: volts > meter.ceiling_V ? null : volts };
}

/** The line a display makes, with the last digit never quite at rest. */
export const meterLine = (volts: number | null, noise_V: number): string =>
  volts === null ? 'DIODE OL V' : `DIODE ${(volts + noise_V).toFixed(3)} V`;
