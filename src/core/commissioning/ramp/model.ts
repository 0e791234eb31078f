/** How the torque of a load goes with its speed. */
export const loadCurves = ['constant', 'linear', 'square', 'hoisting'] as const;
/** How the torque of a load goes with its speed. */
export type LoadCurve = (typeof loadCurves)[number];

/** A machine behind a drive; all of it at the motor's shaft. SI units. */
export interface RampCase {
  motor: {
    torque_Nm: number;
    rpm: number;
    hz: number;
    inertia_kgm2: number;
  };
  load: {
    /** At rated speed. Hoisting: the torque of the hanging load; negative while it is lowered, it drives then. */
    torque_Nm: number;
    curve: LoadCurve;
    inertia_kgm2: number;
  };
  drive: {
    /** Most torque that the current limit lets through, as a share of the motor's. */
    limit: number;
    busVolts: number;
    /** Above this it trips. */
    tripVolts: number;
    capacitance_F: number;
    /** Share of the motor's rated power that motor and drive lose while they brake. */
    losses: number;
    /** Holds the ramp while torque or bus are at their limits, in place of tripping. */
    regulated: boolean;
    chopper?: { above_V: number; ohm: number } | undefined;
  };
  ramp: {
    up_s: number;
    down_s: number;
    /** Share of the ramp that is rounded, 0 to 1. */
    rounding: number;
    to_Hz: number;
    /** The frequency that the ramp times count to. */
    countsTo_Hz: number;
    /** How long it stays at speed between up and down, s. */
    hold_s: number;
  };
}

/** Speed of the shaft at an output frequency, rad/s; slip is left out. */
export const speedOf = ({ motor }: Pick<RampCase, 'motor'>, hz: number): number =>
  ((motor.rpm * 2 * Math.PI) / 60) * (hz / motor.hz);

/** Inertia of motor and load at the motor's shaft, kg·m². */
export const inertiaOf = ({ motor, load }: Pick<RampCase, 'motor' | 'load'>): number =>
  motor.inertia_kgm2 + load.inertia_kgm2;

/** Most torque at a speed, N·m: the limit's up to the rated frequency, above it falling with 1/f, the voltage being at its end. */
export function mostTorque({ motor, drive }: Pick<RampCase, 'motor' | 'drive'>, omega: number): number {
  const base = speedOf({ motor }, motor.hz);
  return drive.limit * motor.torque_Nm * Math.min(1, base / Math.max(Math.abs(omega), base));
}

/** Torque of the load at a speed, N·m; a hanging load pulls whichever way it moves. */
export function loadTorque({ motor, load }: Pick<RampCase, 'motor' | 'load'>, omega: number): number {
  const share = omega / ((motor.rpm * 2 * Math.PI) / 60);
  switch (load.curve) {
    case 'constant':
      return omega === 0 ? 0 : load.torque_Nm;
    case 'linear':
      return load.torque_Nm * share;
    case 'square':
      return load.torque_Nm * share * Math.abs(share);
    case 'hoisting':
      return load.torque_Nm;
  }
}

/** No-load current of an induction motor as a share of its rated one (common practice, no source). */
const noLoad = 0.35;

/** Motor current as a share of its rated one, from its torque share. */
export const currentShare = (torqueShare: number): number =>
  Math.sqrt(noLoad ** 2 + (1 - noLoad ** 2) * torqueShare ** 2);

/** Inertia from a coast-down under constant friction: J = T·t ÷ ω, kg·m². */
export const inertiaFromCoastDown = (friction_Nm: number, seconds: number, rpm: number): number =>
  (friction_Nm * seconds) / ((rpm * 2 * Math.PI) / 60);
