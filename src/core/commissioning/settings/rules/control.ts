// Where run and speed come from, how it stops, what watches it.
import { isLifting, isVariableTorque } from '../../../equipment/application';
import { chosen, practice, type StartUpRule } from '../rule';

const usualCarrier_kHz = 4;

/** Where run and speed come from, and what the inputs do. */
export const controlRules: readonly StartUpRule[] = [
  chosen('place.selected', 'Local/remote', () => ({
    value: 'remote',
    sum: 'remote is the normal control source',
  })),
  chosen('place.remote-run', 'Run from', ({ choices }) => ({
    value: choices.runFrom,
    sum: `run from ${choices.runFrom}`,
  })),
  chosen('place.remote-reference', 'Speed from', ({ choices }) => ({
    value: choices.speedFrom,
    sum: `reference from ${choices.speedFrom}`,
  })),
  chosen('place.local-run', 'Local: run from', () => ({ value: 'keypad', sum: 'local is for tests' })),
  chosen('run.wiring', 'Run wiring', ({ choices }) =>
    choices.runFrom === 'terminals'
      ? {
          value: choices.wiring,
          sum:
            choices.wiring === 'three-wire'
              ? 'start pulse and stop contact (3-wire)'
              : 'maintained contact (2-wire)',
          warnings:
            choices.wiring === 'three-wire'
              ? []
              : ['With a maintained contact still closed, the machine starts when power returns.'],
        }
      : null,
  ),
  chosen('input.AI1-signal', 'Signal of the first analog input', ({ choices }) =>
    choices.speedFrom === 'AI1' && choices.signal !== undefined
      ? {
          value: choices.signal,
          sum: 'as supplied by the source',
          warnings: ['Some makes select voltage or current by jumper: note its position first.'],
        }
      : null,
  ),
  chosen('input.AI2-signal', 'Signal of the second analog input', ({ choices }) =>
    choices.speedFrom === 'AI2' && choices.signal !== undefined
      ? { value: choices.signal, sum: 'as supplied by the source' }
      : null,
  ),
  chosen('reference.loss', 'When the reference is lost', ({ choices }) =>
    choices.signal === '4-20mA' ? { value: 'trip', sum: 'below 4 mA: broken wire' } : null,
  ),
  chosen('limit.reverse', 'Reverse', ({ choices: { reverse } }) => ({
    value: reverse ? 'allowed' : 'locked',
    sum: reverse ? 'machine runs in both directions' : 'machine runs in one direction',
  })),
  chosen('stop.mode', 'Stop', ({ choices: { load, brakeProven } }) => ({
    value: 'ramp',
    sum: isLifting(load)
      ? 'never coast with an overhauling load'
      : 'by ramp; coast only where safe and wanted',
    warnings:
      isLifting(load) && !brakeProven
        ? ['Coast, DC injection and current-limit stall are refused: no mechanical brake proven to close.']
        : [],
  })),
  chosen('brake.chopper', 'Brake chopper', ({ choices: { brakeResistor } }) => ({
    value: brakeResistor ? 'on' : 'off',
    sum: brakeResistor ? 'brake resistor fitted' : 'no brake resistor fitted',
    warnings: brakeResistor
      ? [
          'Never below the minimum resistance of the chopper. Its thermal switch must open the line contactor.',
        ]
      : [],
  })),
  chosen('protect.overload', 'On motor overload', () => ({
    value: 'trip',
    sum: 'protects the motor',
  })),
  chosen('protect.input-phase', 'On loss of an input phase', ({ choices: { singlePhaseFed } }) => ({
    value: singlePhaseFed ? 'ignore' : 'trip',
    sum: singlePhaseFed ? 'single-phase supply: would trip at once' : 'three-phase supply',
    warnings: singlePhaseFed
      ? ['Only with the derating stated by the maker (about half is usual), and a note in the report.']
      : [],
  })),
  chosen('protect.output-phase', 'On loss of an output phase', () => ({
    value: 'trip',
    sum: 'with a motor connected',
  })),
  chosen('restart.power-on', 'Run at power on', () => ({ value: 'off', sum: 'no unexpected start' })),
  {
    concept: 'restart.count',
    name: 'Automatic restarts',
    formula: '0',
    provenance: practice,
    rounding: 'nearest',
    apply: () => ({ value: 0, sum: 'no unexpected start' }),
  },
  chosen('start.flying', 'Flying start', ({ choices: { load, windmills } }) =>
    isVariableTorque(load) && windmills === true
      ? {
          value: 'on',
          sum: 'shaft may be turning before the start: caught at its speed, no overcurrent trip',
        }
      : {
          value: 'off',
          sum: 'no unexpected start',
          ...(isVariableTorque(load)
            ? {}
            : {
                warnings: ['Off: flying start searches for a speed and may turn a stopped machine.'],
              }),
        },
  ),
  {
    concept: 'switching.frequency',
    name: 'Carrier',
    formula: 'as used for derating, else 4 kHz',
    provenance: practice,
    rounding: 'nearest',
    apply: ({ carrier_kHz }) => ({
      value: carrier_kHz ?? usualCarrier_kHz,
      sum:
        carrier_kHz === undefined
          ? `${usualCarrier_kHz} kHz as a start value`
          : `${carrier_kHz} kHz, as used for derating`,
      warnings:
        (carrier_kHz ?? 0) > usualCarrier_kHz
          ? ['Higher: quieter, hotter, more stress on windings and long cables.']
          : [],
    }),
  },
  chosen('energy.optimising', 'Energy optimising', () => ({
    value: 'off',
    sum: 'off until the motor runs correctly',
  })),
  chosen('run.serial-control', 'Serial control', ({ choices: { runFrom, speedFrom } }) => {
    const serial = runFrom === 'serial' || speedFrom === 'serial';
    return {
      value: serial ? 'on' : 'off',
      sum: serial ? 'controller gives run or speed' : 'not used: off, so that it cannot inhibit the drive',
    };
  }),
];
