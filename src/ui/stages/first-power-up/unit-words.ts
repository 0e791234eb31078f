import { modelOf, type DriveType } from '@/core/equipment/catalogue';
import { firstPowerUnit } from '@/core/power-up/first-power';
import type { JobState } from '@/core/logbook';
import type { MotorWords, Running, Three, UnitWords } from '@/core/power-up/waveform';

type Drive = NonNullable<JobState['drive']> & { supply_V: number; ratedAmps: number };

/** Of a unit that no catalogue knows: about what its amps carry. */
const carried_kW = ({ phases, supply_V, ratedAmps }: Drive): number =>
  (Math.sqrt(phases) * supply_V * ratedAmps * 0.8) / 1000;

/** The drive of a job as the simulation wants it. */
export const simulatedUnit = (
  drive: Drive,
  catalogue: readonly DriveType[],
  { supply_Hz, choke, measured_V }: { supply_Hz: number; choke: boolean; measured_V: Three | null },
): UnitWords => ({
  ...firstPowerUnit(drive),
  supply_Hz,
  power_kW: modelOf(drive, catalogue)?.power_kW ?? carried_kW(drive),
  choke,
  ...(measured_V === null ? {} : { measured_V }),
});

/** The motor of a job; without a plate, one that the drive would just carry. */
export function motorOf(drive: Drive, motor: JobState['motor']): MotorWords {
  if (motor === null) return { volts: drive.supply_V, amps: 0.8 * drive.ratedAmps, hz: 50, cosPhi: 0.82 };
  const { volts, amps, hz, cosPhi } = motor.plate;
  return { volts, amps, hz, cosPhi: Math.min(0.98, Math.max(0.4, cosPhi ?? 0.82)) };
}

export type TestLoadKind = Running['load'];

/** What it runs on, from what was chosen. */
export function runningOf(
  load: TestLoadKind,
  f1: number,
  share: number,
  motor: MotorWords,
  ohmPerLeg: number,
): Running {
  if (load === 'none') return { load, f1 };
  if (load === 'lamps') return { load, f1, ohmPerLeg };
  return { load, f1, share, motor };
}
