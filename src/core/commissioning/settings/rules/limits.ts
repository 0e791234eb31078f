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
      refused: 'Motor current exceeds the drive rating.',
      remedy: 'Use a larger drive.',
      sum,
    };
  return Math.floor(exact + 1e-9) < floor
    ? {
        refused: `Below the minimum of ${floor} %: this drive is too large to protect the motor.`,
        remedy: `An external overload relay or thermistor, or a smaller drive. The smallest motor it can protect draws ${((floor / 100) * rating.ratedAmps).toFixed(1)} A.`,
        sum,
      }
    : { value: Math.floor(exact + 1e-9), sum: `${sum}, rounded down`, warnings: overloadWarnings(context) };
};

const overloadWarnings = ({ plate, motors }: StartUpContext): string[] => [
  ...(plate.serviceFactor !== undefined && plate.serviceFactor > 1
    ? ['Do not raise it by the service factor.']
    : []),
  ...(motors > 1
    ? [`The drive measures the total of ${motors} motors: fit an overload relay for each.`]
    : []),
];

const protectionRules = (percentFloor: number): readonly StartUpRule[] => [
  {
    concept: 'protect.overload-amps',
    name: 'Overload = rated motor current (FLA)',
    formula: 'rated motor current',
    provenance: practice,
    rounding: 'down',
    apply: (context) => {
      const { plate, rating } = context;
      const sum = `${plate.amps} A of a ${rating.ratedAmps} A drive`;
      return plate.amps > rating.ratedAmps
        ? { refused: 'Motor current exceeds the drive rating.', remedy: 'Use a larger drive.', sum }
        : { value: plate.amps, sum, warnings: overloadWarnings(context) };
    },
  },
  {
    concept: 'protect.overload-percent',
    name: 'Overload in percent of drive rating',
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
    name: 'Maximum frequency',
    formula: 'rated frequency, unless motor and load allow more',
    provenance: practice,
    rounding: 'nearest',
    apply: ({ plate, choices: { maximum_Hz } }) => ({
      value: maximum_Hz ?? plate.hz,
      sum:
        maximum_Hz === undefined
          ? `plate ${plate.hz} Hz`
          : `${maximum_Hz} Hz requested, nameplate ${plate.hz} Hz`,
      warnings:
        maximum_Hz !== undefined && maximum_Hz > plate.hz
          ? ['Above rated frequency: bearings, balance and load must allow it; torque decreases.']
          : [],
    }),
  },
  {
    concept: 'limit.minimum-frequency',
    name: 'Minimum frequency',
    formula: '0, unless the process needs more',
    provenance: practice,
    rounding: 'nearest',
    apply: ({ choices: { minimum_Hz = 0, load } }) => ({
      value: minimum_Hz,
      sum: minimum_Hz === 0 ? '0 for testing' : `${minimum_Hz} Hz requested`,
      warnings: [
        ...(minimum_Hz > 0
          ? ['The motor turns at once when run is given. It does not improve cooling.']
          : []),
        ...(!isVariableTorque(load) && minimum_Hz < coolsAbove_Hz
          ? [`Long below ${coolsAbove_Hz} Hz at constant torque: derate, or use forced cooling.`]
          : []),
      ],
    }),
  },
];

const rampRules: readonly StartUpRule[] = [
  {
    concept: 'ramp.up',
    name: 'Acceleration',
    formula: 'as long as the process allows',
    provenance: practice,
    rounding: 'nearest',
    apply: ({ choices: { up_s, load } }) => {
      const usual = isVariableTorque(load) ? 15 : isLifting(load) ? 3 : 6;
      return {
        value: up_s ?? usual,
        sum: up_s === undefined ? `${usual} s as a start value for this load` : `${up_s} s requested`,
        warnings: up_s === 0 ? ['No ramp: trips on overcurrent.'] : [],
      };
    },
  },
  {
    concept: 'ramp.down',
    name: 'Deceleration',
    formula: 'set separately: too short causes overvoltage',
    provenance: practice,
    rounding: 'nearest',
    apply: ({ choices: { down_s, load, brakeResistor } }) => {
      const usual = isVariableTorque(load) ? 20 : isLifting(load) ? 3 : 8;
      return {
        value: down_s ?? usual,
        sum: down_s === undefined ? `${usual} s as a start value for this load` : `${down_s} s requested`,
        warnings: brakeResistor ? [] : ['No brake resistor: if it trips on overvoltage, lengthen the ramp.'],
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
