import { linesOf, motorTerminals, terminalsOf, type Probe, type Stage, type Terminal } from './vocabulary';

/** One step of a plan, with the group whose readings are looked at together. */
export interface PlannedProbe extends Probe {
  group: 'bus' | 'upper' | 'lower' | 'fill' | 'upper-reverse' | 'lower-reverse' | 'link' | 'lines' | 'motor';
}

/** The terminals with one junction to each side of the bus, in the order hands walk them. */
const walked = (stage: Stage): Terminal[] => [
  ...linesOf(stage),
  ...motorTerminals,
  ...(stage.brake ? (['BR'] as const) : []),
];

/**
 * The order that works on a bench (common practice, no source): the bus junctions, then black parked
 * on DC+, then red parked on DC-: one lead moves at a time.
 */
export const forwardPlan = (stage: Stage): PlannedProbe[] => [
  { red: 'DC-', black: 'DC+', group: 'bus' },
  ...walked(stage).map((red): PlannedProbe => ({ red, black: 'DC+', group: 'upper' })),
  ...walked(stage).map((black): PlannedProbe => ({ red: 'DC-', black, group: 'lower' })),
];

/** After the bank was filled through the meter to overload, the other polarity. */
export const reversePlan = (stage: Stage): PlannedProbe[] => [
  { red: 'DC+', black: 'DC-', group: 'fill' },
  ...walked(stage).map((black): PlannedProbe => ({ red: 'DC+', black, group: 'upper-reverse' })),
  ...walked(stage).map((red): PlannedProbe => ({ red, black: 'DC-', group: 'lower-reverse' })),
];

/** Every reading that can say something: both polarities, the bus, line to line, motor in pairs. */
export function fullPlan(stage: Stage): Probe[] {
  const pairs = (names: readonly Terminal[]): Probe[] =>
    names.flatMap((red, i) => names.slice(i + 1).flatMap((black) => bothWays(red, black)));
  const bothWays = (red: Terminal, black: Terminal): Probe[] => [
    { red, black },
    { red: black, black: red },
  ];
  const rectifierPlus = terminalsOf(stage).includes('DC+R');
  return [
    ...walked(stage).flatMap((t) => [...bothWays(t, 'DC+'), ...bothWays('DC-', t)]),
    ...bothWays('DC+', 'DC-'),
    ...pairs(linesOf(stage)),
    ...pairs(motorTerminals),
    ...(rectifierPlus
      ? [
          ...linesOf(stage).flatMap((l) => bothWays(l, 'DC+R')),
          ...bothWays('DC+R', 'DC+'),
          ...bothWays('DC+R', 'DC-'),
        ]
      : []),
  ];
}

/** One name for a pair of leads. */
export const probeKey = (probe: { red: string; black: string }): string => `${probe.red}>${probe.black}`;
