import type { MotorWords, UnitWords } from '../unit';

/** The unit and the motor of the slipway winch, for tests and for the captures of the demo. */
export const winchUnit: UnitWords = {
  supply_V: 400,
  phases: 3,
  supply_Hz: 50,
  ratedAmps: 15,
  power_kW: 7.5,
  capacitance_F: 820e-6,
  prechargeOhm: 47,
  choke: false,
};
export const winchMotorWords: MotorWords = { volts: 400, amps: 14.8, hz: 50, cosPhi: 0.84 };
