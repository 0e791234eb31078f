// What the plate says, in the words of the drive.
import { isLifting, isVariableTorque } from '../../../equipment/application';
import { chosen, fromPlate, type StartUpRule } from '../rule';

/** The default set, then the motor by its plate. */
export const motorRules: readonly StartUpRule[] = [
  chosen('region', '50/60 Hz default set before everything else', ({ choices, plate }) => ({
    value: choices.region,
    sum: `${plate.hz} Hz motor, ${choices.region === '50Hz' ? 50 : 60} Hz 50/60 Hz default set: it sets base frequency and voltage, and writing it resets other parameters`,
  })),
  chosen('macro', 'Application', ({ choices: { load } }) => ({
    value:
      load === 'fan-or-pump'
        ? 'fan-pump'
        : load === 'conveyor'
          ? 'conveyor'
          : isLifting(load)
            ? 'hoist'
            : 'standard',
    sum: 'before the rest: it reassigns inputs and ramps',
  })),
  fromPlate('motor.power', 'Motor power', ({ plate, sums }) => ({
    value: sums.power_kW,
    sum:
      plate.power.unit === 'hp'
        ? `${plate.power.value} hp × 0.7457 = ${sums.power_kW.toFixed(2)} kW (with the trade’s 0.746: ${(plate.power.value * 0.746).toFixed(2)})`
        : `${plate.power.value} kW`,
  })),
  fromPlate('motor.voltage', 'Motor voltage', ({ plate }) => ({
    value: plate.volts,
    sum: `${plate.volts} V`,
  })),
  fromPlate('motor.current', 'Motor current', ({ plate, motors }) => ({
    value: plate.amps,
    sum: motors > 1 ? `${motors} motors of ${plate.amps / motors} A` : `${plate.amps} A`,
  })),
  fromPlate('motor.frequency', 'Base frequency', ({ plate }) => ({ value: plate.hz, sum: `${plate.hz} Hz` })),
  fromPlate('motor.speed', 'Motor speed', ({ plate, sums }) => ({
    value: plate.rpm,
    sum: `${plate.rpm} rpm; ${sums.poles} poles, ${sums.synchronousRpm} rpm synchronous, slip ${(100 * sums.slip).toFixed(1)} %`,
  })),
  fromPlate('motor.poles', 'Poles', ({ plate, sums }) => ({
    value: sums.poles,
    sum: `largest even number not above 120 × ${plate.hz} ÷ ${plate.rpm} = ${((120 * plate.hz) / plate.rpm).toFixed(2)}`,
  })),
  fromPlate('motor.cosphi', 'Power factor', ({ plate }) =>
    plate.cosPhi === undefined
      ? null
      : { value: plate.cosPhi, sum: `power factor ${plate.cosPhi} on the nameplate; not the efficiency` },
  ),
  chosen('control.mode', 'Control mode', ({ choices, sums, motors }) => ({
    value:
      motors > 1
        ? ['v-hz']
        : sums.slip === 0
          ? ['permanent-magnet']
          : choices.encoder
            ? ['vector-encoder', 'vector', 'v-hz']
            : isVariableTorque(choices.load)
              ? ['v-hz']
              : ['vector', 'v-hz'],
    sum:
      motors > 1
        ? 'several motors: a model of one fits none of them'
        : sums.slip === 0
          ? 'no slip on the nameplate: permanent-magnet or reluctance motor'
          : choices.encoder
            ? 'an encoder is fitted'
            : isVariableTorque(choices.load)
              ? 'sufficient for a fan or centrifugal pump'
              : 'torque from standstill; needs autotune',
    ...(sums.slip === 0 ? { warnings: ['Find out the motor type before starting.'] } : {}),
  })),
  chosen('control.torque-curve', 'Load kind', ({ choices: { load } }) => ({
    value: isVariableTorque(load) ? 'variable' : 'constant',
    sum: isVariableTorque(load) ? 'torque grows with the square of speed' : 'full torque from low speed',
  })),
  chosen('feedback.encoder', 'Feedback', ({ choices: { encoder } }) => ({
    value: encoder ? 'encoder' : 'none',
    sum: encoder ? 'fitted' : 'none fitted: if configured, the drive trips on encoder loss',
  })),
  chosen('motor.ident', 'Identification', ({ choices, sums, motors }) => {
    if (motors > 1) return null;
    const still = isVariableTorque(choices.load) || sums.slip === 0;
    const rotating = !still && !choices.coupled && !isLifting(choices.load);
    return {
      value: rotating ? ['rotating', 'standstill'] : ['standstill'],
      sum: rotating
        ? 'uncoupled and free to turn: better motor model'
        : sums.slip === 0
          ? 'no slip on the nameplate: a permanent-magnet motor usually needs it, at standstill'
          : isVariableTorque(choices.load)
            ? 'for fans and pumps too, at standstill'
            : choices.coupled
              ? 'coupled: at standstill only'
              : 'suspended load possible: at standstill only',
      warnings: [
        'A tone is normal. Enable and STO must be closed. Changing a nameplate value afterwards invalidates it.',
        ...(rotating ? ['The shaft turns: shaft free, guards on.'] : ['The shaft may still jerk.']),
      ],
    };
  }),
];
