// Trips of heat.
import { cause, check, table } from './build';

/** Trips by heat. */
export const heatTables = [
  table(
    'over-temperature',
    [
      cause('filter', 'the cabinet filter or the heatsink is clogged', 38, 35, 'Clean filter and heatsink.'),
      cause('fan', 'the fan stands still or is weak', 28, 60, 'Replace the fan; look at its entry.'),
      cause('ambient', 'the cabinet or the room is too hot, or units stand too close', 18, 60, 'Distance, ventilation, or derate.'),
      cause('carrier', 'the carrier frequency is high for the load', 8, 15, 'Back to its default, or derate.'),
      cause('sensor', 'the temperature sensing is wrong', 8, 110, 'Exchange the unit.'),
    ],
    [
      check('look', 'Dead: filter and heatsink against the light.', 6, 'dead', ['clogged', 'clear'], { filter: 0.95 }, 0.08),
      check('fan', 'Look: does the fan turn while it runs warm?', 2, 'none', ['it stands or drags', 'it turns well'], { fan: 0.95 }, 0.04),
      check('carrier', 'Read the carrier frequency: above its default?', 1, 'none', ['above', 'default'], { carrier: 0.97 }, 0.08, {
        read: [{ outcome: 'yes', concept: 'switching.frequency', atLeast: 6 }, { outcome: 'no', concept: 'switching.frequency', below: 6 }],
      }),
      check('cold', 'Read the heatsink temperature after a cold night, before it runs.', 2, 'none', ['far from the room’s', 'about the room’s'], { sensor: 0.93 }, 0.03, {
        read: [{ outcome: 'yes', live: 'heatsink_C', below: -15 }],
      }),
      check('room', 'Measure the air that goes into the unit.', 4, 'none', ['above 40 °C', 'below'], { ambient: 0.9, filter: 0.2 }, 0.08, { tool: 'thermometer' }),
    ],
  ),
  table(
    'fan',
    [
      cause('dirt', 'something blocks the fan', 35, 25, 'Free and clean it.'),
      cause('worn', 'the fan is worn out', 45, 45, 'Replace the fan.'),
      cause('plug', 'its plug or supply is off', 12, 25, 'Plug it in; look at its fuse.'),
      cause('sense', 'only its tacho signal is missing', 8, 90, 'Replace the fan with the maker’s type; else exchange the unit.'),
    ],
    [
      check('hand', 'Dead: turn it by hand.', 4, 'dead', ['blocked or gritty', 'free'], { dirt: 0.9, worn: 0.6 }, 0.04),
      check('debris', 'Dead: look for cord, chaff, labels in it.', 3, 'dead', ['something in it', 'clean'], { dirt: 0.93 }, 0.04),
      check('plug', 'Dead: is its plug home and whole?', 3, 'dead', ['off or broken', 'home'], { plug: 0.95 }, 0.03),
      check('turns', 'Look, covers on: does it turn at power on?', 2, 'control', ['it turns', 'it stands'], { sense: 0.95 }, 0.06),
    ],
  ),
  table(
    'thermistor',
    [
      cause('hot', 'the motor is truly hot', 45, 60, 'Load, cooling, low speed: find why.'),
      cause('loop', 'the thermistor loop is open', 30, 40, 'Terminals in the motor’s box; the pair in the cable.'),
      cause('none', 'no thermistor is fitted and the input is on', 15, 15, 'Switch the supervision off, with a note on the report.'),
      cause('short', 'the loop is shorted or picks up noise', 10, 60, 'Screened pair, away from the motor cable.'),
    ],
    [
      check('hand', 'Measure the motor frame. Class F frames run at 70–90 °C (from memory): too hot to touch is no fault by itself.', 3, 'none', ['above 90 °C', 'below'], { hot: 0.9 }, 0.04, { tool: 'thermometer' }),
      check('fitted', 'Ask or look in the motor’s box: is one fitted and wired?', 6, 'dead', ['none', 'fitted'], { none: 0.96 }, 0.03),
      check('ohms', 'Dead, wires off: ohms of the loop with 2.5 V at most; cold well below 1.5 kΩ.', 6, 'dead', ['open or many kΩ', 'tens to hundreds of Ω'], { loop: 0.96, hot: 0.7, none: 0.98 }, 0.03, { tool: 'multimeter' }),
      check('pattern', 'Ask: only while the motor runs, cold as well?', 2, 'none', ['yes', 'no'], { short: 0.85 }, 0.08),
    ],
  ),
];
