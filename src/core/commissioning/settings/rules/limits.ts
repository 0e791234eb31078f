// Protection and limits: overload, current limit, frequencies, ramps.
import { isLifting, isVariableTorque } from '../../../equipment/application';
import { practice, type StartUpContext, type RuleOutcome, type StartUpRule } from '../rule';

const limitShare = ({ choices }: StartUpContext): number => (isVariableTorque(choices.load) ? 110 : 150);

/** Cooling by the shaft's own fan is short below this at constant torque, Hz. */
const coolsAbove_Hz = 25;

const overPercent = (context: StartUpContext, floor: number): RuleOutcome => {
  const { plate, rating } = context;
  const exact = (100 * plate.amps) / rating.ratedAmps;
  const sum = `100 × ${plate.amps} A ÷ ${rating.ratedAmps} A = ${exact.toFixed(1)} %`;
  if (exact > 100)
    return {
      refused: 'The motor asks for more than the drive can give.',
      remedy: 'A larger drive.',
      sum,
    };
  return Math.floor(exact + 1e-9) < floor
    ? {
        refused: `Below the floor of ${floor} %: this drive is too big to protect the motor.`,
        remedy: `An external overload relay or thermistor, or a smaller drive. The smallest motor it can protect draws ${((floor / 100) * rating.ratedAmps).toFixed(1)} A.`,
        sum,
      }
    : { value: Math.floor(exact + 1e-9), sum: `${sum}, rounded down`, warnings: overloadWarnings(context) };
};

const overloadWarnings = ({ plate, motors }: StartUpContext): string[] => [
  ...(plate.serviceFactor !== undefined && plate.serviceFactor > 1
    ? ['The service factor is no reason to raise it.']
    : []),
  ...(motors > 1
    ? [`The drive sees the sum of ${motors} motors: an overload relay for each protects them.`]
    : []),
];

const protectionRules = (percentFloor: number): readonly StartUpRule[] => [
  {
    concept: 'protect.overload-amps',
    name: 'Overload is the plate current',
    formula: 'plate amps',
    provenance: practice,
    rounding: 'down',
    apply: (context) => {
      const { plate, rating } = context;
      const sum = `${plate.amps} A of a ${rating.ratedAmps} A drive`;
      return plate.amps > rating.ratedAmps
        ? { refused: 'The motor asks for more than the drive can give.', remedy: 'A larger drive.', sum }
        : { value: plate.amps, sum, warnings: overloadWarnings(context) };
    },
  },
  {
    concept: 'protect.overload-percent',
    name: 'Overload in percent of the drive',
    formula: '100 × motor amps ÷ drive amps, rounded down',
    provenance: practice,
    rounding: 'down',
    apply: (context) => overPercent(context, percentFloor),
  },
];

const currentAndFrequencyRules: readonly StartUpRule[] = [
  {
    concept: 'limit.current',
    name: 'Current limit by load',
    formula: '110 % (variable) or 150 % (constant) of motor amps, in percent of the drive',
    provenance: practice,
    rounding: 'down',
    apply: (context) => {
      const share = limitShare(context);
      const { plate, rating } = context;
      const value = (share * plate.amps) / rating.ratedAmps;
      return {
        value,
        sum: `${share} % × ${plate.amps} A ÷ ${rating.ratedAmps} A = ${value.toFixed(1)} %`,
      };
    },
  },
  {
    concept: 'limit.current-amps',
    name: 'Current limit by load',
    formula: '110 % (variable) or 150 % (constant) of motor amps',
    provenance: practice,
    rounding: 'down',
    apply: (context) => {
      const share = limitShare(context);
      const value = (share / 100) * context.plate.amps;
      return { value, sum: `${share} % × ${context.plate.amps} A = ${value.toFixed(1)} A` };
    },
  },
  {
    concept: 'limit.maximum-frequency',
    name: 'Highest frequency',
    formula: 'plate frequency, unless motor and load allow more',
    provenance: practice,
    rounding: 'nearest',
    apply: ({ plate, choices: { maximum_Hz } }) => ({
      value: maximum_Hz ?? plate.hz,
      sum:
        maximum_Hz === undefined
          ? `plate ${plate.hz} Hz`
          : `${maximum_Hz} Hz asked for, plate ${plate.hz} Hz`,
      warnings:
        maximum_Hz !== undefined && maximum_Hz > plate.hz
          ? ['Above the plate frequency: bearings, balance and load must allow it; torque falls.']
          : [],
    }),
  },
  {
    concept: 'limit.minimum-frequency',
    name: 'Lowest frequency',
    formula: '0, unless the process needs another',
    provenance: practice,
    rounding: 'nearest',
    apply: ({ choices: { minimum_Hz = 0, load } }) => ({
      value: minimum_Hz,
      sum: minimum_Hz === 0 ? 'nothing while it is tested' : `${minimum_Hz} Hz asked for`,
      warnings: [
        ...(minimum_Hz > 0 ? ['The motor turns at once when run is given. It does not cool it.'] : []),
        ...(!isVariableTorque(load) && minimum_Hz < coolsAbove_Hz
          ? [`Long below ${coolsAbove_Hz} Hz at constant torque: derate, or cool by force.`]
          : []),
      ],
    }),
  },
];

const rampRules: readonly StartUpRule[] = [
  {
    concept: 'ramp.up',
    name: 'Acceleration',
    formula: 'as long as the process can bear',
    provenance: practice,
    rounding: 'nearest',
    apply: ({ choices: { up_s, load } }) => {
      const usual = isVariableTorque(load) ? 15 : isLifting(load) ? 3 : 6;
      return {
        value: up_s ?? usual,
        sum: up_s === undefined ? `${usual} s to begin with for such a load` : `${up_s} s asked for`,
        warnings: up_s === 0 ? ['No ramp at all: it trips on current.'] : [],
      };
    },
  },
  {
    concept: 'ramp.down',
    name: 'Deceleration',
    formula: 'a decision of its own: too short pumps the bus up',
    provenance: practice,
    rounding: 'nearest',
    apply: ({ choices: { down_s, load, brakeResistor } }) => {
      const usual = isVariableTorque(load) ? 20 : isLifting(load) ? 3 : 8;
      return {
        value: down_s ?? usual,
        sum: down_s === undefined ? `${usual} s to begin with for such a load` : `${down_s} s asked for`,
        warnings: brakeResistor ? [] : ['No brake resistor: if it trips on overvoltage, lengthen it.'],
      };
    },
  },
];

/**
 * Protection, limits and ramps.
 * @param percentFloor the lowest overload the type takes, percent of the drive
 */
export const limitRules = (percentFloor: number): readonly StartUpRule[] => [
  ...protectionRules(percentFloor),
  ...currentAndFrequencyRules,
  ...rampRules,
];
