// Where run and speed come from, how it stops, what watches it.
import { isLifting, isVariableTorque } from '../../../equipment/application';
import { chosen, practice, type StartUpRule } from '../rule';

const usualCarrier_kHz = 4;

/** Where run and speed come from, and what the inputs do. */
export const controlRules: readonly StartUpRule[] = [
  chosen('place.selected', 'Control place', () => ({
    value: 'remote',
    sum: 'remote is the pair that works every day',
  })),
  chosen('place.remote-run', 'Run from', ({ choices }) => ({
    value: choices.runFrom,
    sum: `run from ${choices.runFrom}`,
  })),
  chosen('place.remote-reference', 'Speed from', ({ choices }) => ({
    value: choices.speedFrom,
    sum: `speed from ${choices.speedFrom}`,
  })),
  chosen('place.local-run', 'Local: run from', () => ({ value: 'keypad', sum: 'the pair for tests' })),
  chosen('run.wiring', 'Run wiring', ({ choices }) =>
    choices.runFrom === 'terminals'
      ? {
          value: choices.wiring,
          sum: choices.wiring === 'three-wire' ? 'start pulse and stop contact' : 'a contact that stays',
          warnings:
            choices.wiring === 'three-wire'
              ? []
              : ['A two-wire contact that stays closed starts again after power comes back.'],
        }
      : null,
  ),
  chosen('input.AI1-signal', 'Signal of the first analog input', ({ choices }) =>
    choices.speedFrom === 'AI1' && choices.signal !== undefined
      ? {
          value: choices.signal,
          sum: 'as the source gives it',
          warnings: ['Some makes choose volts or current by a jumper: note its position first.'],
        }
      : null,
  ),
  chosen('input.AI2-signal', 'Signal of the second analog input', ({ choices }) =>
    choices.speedFrom === 'AI2' && choices.signal !== undefined
      ? { value: choices.signal, sum: 'as the source gives it' }
      : null,
  ),
  chosen('reference.loss', 'When the reference is lost', ({ choices }) =>
    choices.signal === '4-20mA' ? { value: 'trip', sum: 'below 4 mA is a broken wire' } : null,
  ),
  chosen('limit.reverse', 'Reverse', ({ choices: { reverse } }) => ({
    value: reverse ? 'allowed' : 'locked',
    sum: reverse ? 'the machine runs both ways' : 'the machine runs one way',
  })),
  chosen('stop.mode', 'Stop', ({ choices: { load, brakeProven } }) => ({
    value: 'ramp',
    sum: isLifting(load)
      ? 'a load that pulls is never left to coast'
      : 'by ramp; coast where that is safe and wanted',
    warnings:
      isLifting(load) && !brakeProven
        ? ['Coast, DC injection and a current-limit stall are refused: no closing brake is proven.']
        : [],
  })),
  chosen('brake.chopper', 'Brake chopper', ({ choices: { brakeResistor } }) => ({
    value: brakeResistor ? 'on' : 'off',
    sum: brakeResistor ? 'a resistor is fitted' : 'no resistor is fitted',
    warnings: brakeResistor
      ? ['Never below the chopper’s least ohms. Its thermal switch must drop the line contactor.']
      : [],
  })),
  chosen('protect.overload', 'On motor overload', () => ({
    value: 'trip',
    sum: 'a motor that burns is dearer',
  })),
  chosen('protect.input-phase', 'On loss of an input phase', ({ choices: { singlePhaseFed } }) => ({
    value: singlePhaseFed ? 'ignore' : 'trip',
    sum: singlePhaseFed ? 'fed from one phase: it would trip at once' : 'fed from three phases',
    warnings: singlePhaseFed
      ? ['Only with the derating of the maker’s figure (about half is usual), and a note on the report.']
      : [],
  })),
  chosen('protect.output-phase', 'On loss of an output phase', () => ({
    value: 'trip',
    sum: 'with a motor connected',
  })),
  chosen('restart.power-on', 'Run at power on', () => ({ value: 'off', sum: 'nothing moves unasked' })),
  {
    concept: 'restart.count',
    name: 'Automatic restarts',
    formula: '0',
    provenance: practice,
    rounding: 'nearest',
    apply: () => ({ value: 0, sum: 'nothing moves unasked' }),
  },
  chosen('start.flying', 'Flying start', ({ choices: { load, windmills } }) =>
    isVariableTorque(load) && windmills === true
      ? {
          value: 'on',
          sum: 'a draught turns it before the start: caught at its speed instead of an overcurrent trip',
        }
      : {
          value: 'off',
          sum: 'nothing moves unasked',
          ...(isVariableTorque(load)
            ? {}
            : {
                warnings: ['On: it searches for a speed and may turn a machine that stands. A hazard here.'],
              }),
        },
  ),
  {
    concept: 'switching.frequency',
    name: 'Carrier',
    formula: 'as derated for, else 4 kHz',
    provenance: practice,
    rounding: 'nearest',
    apply: ({ carrier_kHz }) => ({
      value: carrier_kHz ?? usualCarrier_kHz,
      sum:
        carrier_kHz === undefined
          ? `${usualCarrier_kHz} kHz to begin with`
          : `${carrier_kHz} kHz, for which it was derated`,
      warnings:
        (carrier_kHz ?? 0) > usualCarrier_kHz
          ? ['Quieter, hotter, and harder on the winding and on long cables.']
          : [],
    }),
  },
  chosen('energy.optimising', 'Energy optimising', () => ({
    value: 'off',
    sum: 'left off until the motor runs well',
  })),
  chosen('run.serial-control', 'Serial control', ({ choices: { runFrom, speedFrom } }) => {
    const serial = runFrom === 'serial' || speedFrom === 'serial';
    return {
      value: serial ? 'on' : 'off',
      sum: serial
        ? 'the controller gives run or speed'
        : 'nobody writes to it: off, so that it cannot hold it',
    };
  }),
];
