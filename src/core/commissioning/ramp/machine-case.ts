import type { Plate } from '../../equipment/plate';
import type { BusLevels } from '../../equipment/power-stage';
import { ratedTorque, kilowatts } from '../../equipment/plate';
import { inertiaFromCoastDown, type LoadCurve, type RampCase } from './model';

/** How a machine's inertia is known. */
export type InertiaKnown =
  | { as: 'multiple'; ofMotor: number }
  | { as: 'figure'; kgm2: number }
  | { as: 'coast-down'; seconds: number };

/** A machine as a person describes it, in words of its plate and its load. */
export interface MachineWords {
  plate: Plate;
  supply_V: number;
  /** Where the unit trips and switches its chopper. */
  levels: BusLevels;
  capacitance_F: number;
  curve: LoadCurve;
  /** Load at rated speed, as a share of the motor's torque; negative for one that is lowered. */
  loadShare: number;
  inertia: InertiaKnown;
  /** Current limit as a share of the motor's current. */
  limit: number;
  /** Ohms of the brake resistor; null: none. */
  brake_ohm: number | null;
  up_s: number;
  down_s: number;
  rounding: number;
}

/**
 * A motor's own inertia, kg·m²: at rated torque and alone it comes to speed in about 80 ms (common practice, no
 * source).
 */
const ownInertia = (torque_Nm: number, rpm: number): number =>
  (0.08 * torque_Nm) / ((rpm * 2 * Math.PI) / 60);

const leastTorque_Nm = 0.1;

function totalInertia(own: number, torque_Nm: number, rpm: number, known: InertiaKnown): number {
  switch (known.as) {
    case 'multiple':
      return own * (1 + known.ofMotor);
    case 'figure':
      return Math.max(own, known.kgm2);
    case 'coast-down':
      return Math.max(
        own,
        inertiaFromCoastDown(Math.max(Math.abs(torque_Nm), leastTorque_Nm), known.seconds, rpm),
      );
  }
}

/** What a plate, a drive and a few words about the machine come to as a case that can be computed. */
export function machineCase(words: MachineWords): RampCase {
  const { plate, supply_V, levels, loadShare } = words;
  const rated_Nm = ratedTorque(kilowatts(plate.power), plate.rpm);
  const own = ownInertia(rated_Nm, plate.rpm);
  const load_Nm = rated_Nm * loadShare;
  return {
    motor: { torque_Nm: rated_Nm, rpm: plate.rpm, hz: plate.hz, inertia_kgm2: own },
    load: {
      torque_Nm: load_Nm,
      curve: words.curve,
      inertia_kgm2: totalInertia(own, load_Nm, plate.rpm, words.inertia) - own,
    },
    drive: {
      limit: words.limit,
      busVolts: Math.SQRT2 * supply_V,
      tripVolts: levels.trip_V,
      capacitance_F: words.capacitance_F,
      losses: 0.05,
      regulated: false,
      ...(words.brake_ohm === null ? {} : { chopper: { above_V: levels.chopper_V, ohm: words.brake_ohm } }),
    },
    ramp: {
      up_s: words.up_s,
      down_s: words.down_s,
      rounding: words.rounding,
      to_Hz: plate.hz,
      countsTo_Hz: plate.hz,
      hold_s: 1,
    },
  };
}
