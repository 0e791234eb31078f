// What the plate says, in the words of the drive.
import { isLifting, isVariableTorque } from '../../../equipment/application';
import { chosen, fromPlate, type StartUpRule } from '../rule';

/** The default set, then the motor by its plate. */
export const motorRules: readonly StartUpRule[] = [
  chosen('region', 'Region before everything else', ({ choices, plate }) => ({
    value: choices.region,
    sum: `${plate.hz} Hz motor, ${choices.region === '50Hz' ? 50 : 60} Hz region: it decides base frequency and voltage, and writing it resets the rest`,
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
    sum: 'before the rest: it re-assigns inputs and ramps at once',
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
      : { value: plate.cosPhi, sum: `power factor ${plate.cosPhi} on the plate; it is not the efficiency` },
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
          ? 'no slip on the plate: a permanent-magnet or reluctance motor'
          : choices.encoder
            ? 'an encoder is fitted'
            : isVariableTorque(choices.load)
              ? 'a fan or centrifugal pump asks for no more'
              : 'torque from standstill; it needs an identification',
    ...(sums.slip === 0 ? { warnings: ['Ask what motor it is before anything is started.'] } : {}),
  })),
  chosen('control.torque-curve', 'Load kind', ({ choices: { load } }) => ({
    value: isVariableTorque(load) ? 'variable' : 'constant',
    sum: isVariableTorque(load) ? 'torque grows with the square of speed' : 'full torque from low speed',
  })),
  chosen('feedback.encoder', 'Feedback', ({ choices: { encoder } }) => ({
    value: encoder ? 'encoder' : 'none',
    sum: encoder ? 'fitted' : 'none fitted: asked for, the unit trips on encoder loss',
  })),
  chosen('motor.ident', 'Identification', ({ choices, sums, motors }) => {
    if (motors > 1) return null;
    const still = isVariableTorque(choices.load) || sums.slip === 0;
    const rotating = !still && !choices.coupled && !isLifting(choices.load);
    return {
      value: rotating ? ['rotating', 'standstill'] : ['standstill'],
      sum: rotating
        ? 'uncoupled and free to spin: the better model'
        : sums.slip === 0
          ? 'no slip on the plate: a permanent-magnet motor mostly needs it, at standstill'
          : isVariableTorque(choices.load)
            ? 'a fan or pump too, at standstill'
            : choices.coupled
              ? 'coupled: at standstill only'
              : 'a load may hang on it: at standstill only',
      warnings: [
        'It whistles: that is normal. It needs enable and STO. A plate value changed afterwards makes it stale.',
        ...(rotating ? ['The shaft turns: nothing on it, guard on.'] : ['The shaft may still jerk.']),
      ],
    };
  }),
];
