import type { TraceTable } from './table';

const practice = 'common practice, no source';
const yesNo = (
  words: readonly [yes: string, no: string],
  given: Readonly<Record<string, number>>,
  otherwise: number,
) => {
  const rest = Object.fromEntries(Object.entries(given).map(([cause, p]) => [cause, 1 - p]));
  return [
    { id: 'yes', words: words[0], given, otherwise },
    { id: 'no', words: words[1], given: rest, otherwise: 1 - otherwise },
  ];
};

/** The tables that ship; more families follow, and a shop may edit them. */
export const usualTables: readonly TraceTable[] = [
  {
    family: 'input-phase-loss',
    provenance: practice,
    deadFirst: false,
    causes: [
      {
        id: 'fuse',
        name: 'a line fuse is blown',
        weight: 0.4,
        remedy: 'Replace the fuse; ask why it blew.',
        cure_min: 30,
      },
      {
        id: 'contactor',
        name: 'a pole of the line contactor does not make',
        weight: 0.2,
        remedy: 'Replace the contactor.',
        cure_min: 65,
      },
      {
        id: 'lug',
        name: 'a line lug is loose',
        weight: 0.15,
        remedy: 'Tighten to the torque of the table.',
        cure_min: 35,
      },
      {
        id: 'supply',
        name: 'the supply itself lacks a phase',
        weight: 0.1,
        remedy: 'Call whoever runs the supply.',
        cure_min: 80,
      },
      {
        id: 'single',
        name: 'it is fed from one phase, and the supervision is on',
        weight: 0.1,
        remedy: 'Derate, then set the supervision to no action, with a note on the report.',
        cure_min: 35,
      },
      {
        id: 'diode',
        name: 'a rectifier diode is open',
        weight: 0.05,
        remedy: 'Static test, then repair or replace.',
        cure_min: 140,
      },
    ],
    checks: [
      {
        id: 'three',
        what: 'Ask or look: is it fed from three phases at all?',
        minutes: 2,
        hazard: 'none',
        outcomes: yesNo(['three phases', 'one phase'], { single: 0.02 }, 0.99),
      },
      {
        id: 'fuses',
        what: 'Isolated and proven dead: ohms through each line fuse.',
        minutes: 6,
        hazard: 'dead',
        tool: 'multimeter',
        outcomes: yesNo(['one is open', 'all whole'], { fuse: 0.98 }, 0.02),
      },
      {
        id: 'lugs',
        what: 'Dead: tug every line lug and look for heat marks.',
        minutes: 6,
        hazard: 'dead',
        outcomes: yesNo(['one is loose or burnt', 'all tight'], { lug: 0.9, contactor: 0.1 }, 0.04),
      },
      {
        id: 'volts',
        what: 'Live, by a licensed person: line to line at the drive terminals under load.',
        minutes: 6,
        hazard: 'live',
        tool: 'multimeter',
        outcomes: yesNo(
          ['one is missing', 'all three there'],
          { fuse: 0.97, contactor: 0.95, lug: 0.8, supply: 0.98, single: 0.98, diode: 0.02 },
          0.5,
        ),
      },
      {
        id: 'static',
        what: 'Dead: the rectifier readings of the bench.',
        minutes: 15,
        hazard: 'dead',
        tool: 'multimeter',
        outcomes: yesNo(['an upper or lower diode is open', 'all sound'], { diode: 0.98 }, 0.02),
      },
    ],
  },
  {
    family: 'overvoltage-decelerating',
    provenance: practice,
    deadFirst: false,
    causes: [
      {
        id: 'ramp',
        name: 'the deceleration is too short for what turns',
        weight: 0.5,
        remedy: 'Lengthen the deceleration, or let it coast where that is safe.',
        cure_min: 30,
      },
      {
        id: 'chopper-off',
        name: 'the brake chopper is switched off',
        weight: 0.15,
        remedy: 'Switch it on, with its resistor in place.',
        cure_min: 25,
      },
      {
        id: 'resistor',
        name: 'the brake resistor or its wire is open',
        weight: 0.15,
        remedy: 'Replace the resistor; look at its thermal switch.',
        cure_min: 80,
      },
      {
        id: 'overhauling',
        name: 'the load drives the motor',
        weight: 0.1,
        remedy: 'Brake resistor sized for it; never coast it.',
        cure_min: 110,
      },
      {
        id: 'high',
        name: 'the supply is high',
        weight: 0.1,
        remedy: 'Have the taps or the supply put right.',
        cure_min: 80,
      },
    ],
    checks: [
      {
        id: 'parameter',
        what: 'Read the chopper entry and the deceleration.',
        minutes: 2,
        hazard: 'none',
        outcomes: yesNo(['chopper off', 'chopper on, or none fitted'], { 'chopper-off': 0.99 }, 0.05),
      },
      {
        id: 'coast',
        what: 'Ask: does it trip when it stops by coasting?',
        minutes: 2,
        hazard: 'none',
        outcomes: yesNo(['also then', 'never then'], { high: 0.5, overhauling: 0.3 }, 0.02),
      },
      {
        id: 'ohms',
        what: 'Dead: ohms of the brake resistor at its terminals, wires off.',
        minutes: 12,
        hazard: 'dead',
        tool: 'multimeter',
        outcomes: yesNo(['open or far off its plate', 'as on its plate'], { resistor: 0.97 }, 0.02),
      },
      {
        id: 'bus',
        what: 'Read the bus volts at rest on the display.',
        minutes: 2,
        hazard: 'none',
        outcomes: yesNo(['well above 1.41 × the plate volts', 'about right'], { high: 0.95 }, 0.03),
      },
    ],
  },
  {
    family: 'ground',
    provenance: practice,
    deadFirst: true,
    causes: [
      {
        id: 'cable',
        name: 'the motor cable leaks to earth',
        weight: 0.35,
        remedy: 'Replace the cable.',
        cure_min: 140,
      },
      {
        id: 'motor',
        name: 'the motor winding leaks to earth',
        weight: 0.4,
        remedy: 'Rewind or replace the motor.',
        cure_min: 200,
      },
      {
        id: 'inverter',
        name: 'a transistor of the drive is shorted',
        weight: 0.15,
        remedy: 'Static test, then repair or replace.',
        cure_min: 140,
      },
      {
        id: 'sensor',
        name: 'the current sensing of the drive is wrong',
        weight: 0.1,
        remedy: 'Exchange the unit.',
        cure_min: 110,
      },
    ],
    checks: [
      {
        id: 'whole',
        what: 'Dead, drive disconnected: insulation of cable and motor together to earth.',
        minutes: 15,
        hazard: 'dead',
        tool: 'insulation tester',
        outcomes: yesNo(['low', 'good'], { cable: 0.97, motor: 0.97 }, 0.03),
      },
      {
        id: 'motor',
        what: 'Dead, cable off at the motor: insulation of the motor alone.',
        minutes: 15,
        hazard: 'dead',
        tool: 'insulation tester',
        outcomes: yesNo(['low', 'good'], { motor: 0.97 }, 0.03),
      },
      {
        id: 'static',
        what: 'Dead: the inverter readings of the bench.',
        minutes: 15,
        hazard: 'dead',
        tool: 'multimeter',
        outcomes: yesNo(['a short', 'no short'], { inverter: 0.98 }, 0.01),
      },
      {
        id: 'unloaded',
        what: 'With the motor cable off at the drive: does it trip on run?',
        minutes: 10,
        hazard: 'live',
        outcomes: yesNo(['trips', 'runs'], { inverter: 0.95, sensor: 0.9 }, 0.02),
      },
    ],
  },
];
