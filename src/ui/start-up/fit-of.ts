import type { Control } from '@/core/catalogue';
import type { Payload } from '@/core/logbook';
import type { Plate } from '@/core/plate';
import { fitOf, type Fit } from '@/core/supply';

/** The fit of this drive at its place, for this motor and the volts that were measured. */
export const fitHere = (
  place: Payload<'startup.place'>,
  {
    drive,
    plate,
    control,
    supplyVolts,
  }: {
    drive: Payload<'identify.drive'>;
    plate: Plate;
    control: Pick<Control, 'fitting'>;
    supplyVolts: number;
  },
): Fit =>
  fitOf(
    {
      type: { phases: drive.phases, supply_V: drive.supply_V, ratedAmps: drive.ratedAmps },
      supply: { phases: place.phases, volts: supplyVolts, earthing: place.earthing },
      motor: { amps: plate.amps, singlePhase: place.singlePhaseMotor },
      ambient_C: place.ambient_C,
      altitude_m: place.altitude_m,
      carrier_kHz: place.carrier_kHz,
      sideBySide: place.sideBySide,
      storedYears: place.storedYears,
      motors: place.motors,
    },
    control.fitting,
  );
