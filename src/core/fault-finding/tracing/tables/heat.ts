// Trips of heat.
import { cause, check, table } from './build';

/** Trips by heat. */
export const heatTables = [
  table(
    'over-temperature',
    [
      cause('filter', 'cabinet filter or heatsink clogged', 38, 35, 'Clean filter and heatsink.'),
      cause('fan', 'the fan fault or is weak', 28, 60, 'Replace the fan; check its parameter.'),
      cause('ambient', 'cabinet or room too hot, or units too close', 18, 60, 'More clearance, ventilation, or derate.'),
      cause('carrier', 'carrier frequency too high for the load', 8, 15, 'Restore the default, or derate.'),
      cause('sensor', 'temperature measurement failed', 8, 110, 'Replace the unit.'),
    ],
    [
      check('look', 'Dead: inspect filter and heatsink with a light.', 6, 'dead', ['clogged', 'clear'], { filter: 0.95 }, 0.08),
      check('fan', 'Look: does the fan turn while it runs warm?', 2, 'none', ['stopped or slow', 'turns normally'], { fan: 0.95 }, 0.04),
      check('carrier', 'Read the carrier frequency: above its default?', 1, 'none', ['above', 'default'], { carrier: 0.97 }, 0.08, {
        read: [{ outcome: 'yes', concept: 'switching.frequency', atLeast: 6 }, { outcome: 'no', concept: 'switching.frequency', below: 6 }],
      }),
      check('cold', 'Read the heatsink temperature cold, before running.', 2, 'none', ['far from room temperature', 'about room temperature'], { sensor: 0.93 }, 0.03, {
        read: [{ outcome: 'yes', live: 'heatsink_C', below: -15 }],
      }),
      check('room', 'Measure the air inlet temperature.', 4, 'none', ['above 40 °C', 'below'], { ambient: 0.9, filter: 0.2 }, 0.08, { tool: 'thermometer' }),
    ],
  ),
  table(
    'fan',
    [
      cause('dirt', 'fan blocked', 35, 25, 'Free and clean it.'),
      cause('worn', 'the fan is worn out', 45, 45, 'Replace the fan.'),
      cause('plug', 'fan plug or supply off', 12, 25, 'Plug it in; check its fuse.'),
      cause('sense', 'only the tacho signal missing', 8, 90, 'Replace with the fan type of the maker; otherwise replace the unit.'),
    ],
    [
      check('hand', 'Dead: turn it by hand.', 4, 'dead', ['blocked or gritty', 'free'], { dirt: 0.9, worn: 0.6 }, 0.04),
      check('debris', 'Dead: look for foreign objects in the fan.', 3, 'dead', ['object found', 'clean'], { dirt: 0.93 }, 0.04),
      check('plug', 'Dead: is the fan plug seated and undamaged?', 3, 'dead', ['off or broken', 'home'], { plug: 0.95 }, 0.03),
      check('turns', 'Covers on: does the fan turn at power-on?', 2, 'control', ['it turns', 'it stands'], { sense: 0.95 }, 0.06),
    ],
  ),
  table(
    'thermistor',
    [
      cause('hot', 'motor is hot', 45, 60, 'Check load, cooling, low speed.'),
      cause('loop', 'the thermistor loop is open', 30, 40, 'Check terminals in the motor terminal box, and the cable pair.'),
      cause('none', 'no thermistor fitted, but the input is enabled', 15, 15, 'Switch the supervision off, with a note in the report.'),
      cause('short', 'loop shorted or noisy', 10, 60, 'Use a screened pair, away from the motor cable.'),
    ],
    [
      check('hand', 'Measure the motor frame. Class F frames run at 70–90 °C (from memory): too hot to touch is not a fault.', 3, 'none', ['above 90 °C', 'below'], { hot: 0.9 }, 0.04, { tool: 'thermometer' }),
      check('fitted', 'Ask or look in the motor terminal box: is one fitted and wired?', 6, 'dead', ['none', 'fitted'], { none: 0.96 }, 0.03),
      check('ohms', 'Dead, wires off: loop resistance at 2.5 V maximum; cold well below 1.5 kΩ.', 6, 'dead', ['open or many kΩ', 'tens to hundreds of Ω'], { loop: 0.96, hot: 0.7, none: 0.98 }, 0.03, { tool: 'multimeter' }),
      check('pattern', 'Ask: only while the motor runs, also cold?', 2, 'none', ['yes', 'no'], { short: 0.85 }, 0.08),
    ],
  ),
];
