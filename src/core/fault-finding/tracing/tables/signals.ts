// Trips that come from outside by a wire, and from the unit's own memory.
import { cause, check, table } from './build';

const meter = { tool: 'multimeter' };

/** Trips by signals, links and sensors. */
export const signalTables = [
  table(
    'external',
    [
      cause('guard', 'what the input watches has truly opened', 45, 30, 'Go to what opened: guard, level, pressure, thermal relay.'),
      cause('wire', 'a wire or terminal of its loop is open', 25, 40, 'Loop check; repair the wire.'),
      cause('supply', 'the 24 V of that loop is gone', 15, 30, 'Its fuse, its supply, its return.'),
      cause('setting', 'the input was given that function by a reset or a macro', 15, 20, 'Set the input as it is wired, with a note.'),
    ],
    [
      check('which', 'Find the input that carries it, and go and see what it watches.', 5, 'none', ['that has opened', 'that is closed'], { guard: 0.95 }, 0.06),
      check('reset', 'Ask: was there a factory reset or a macro lately?', 2, 'none', ['yes', 'no'], { setting: 0.85 }, 0.06),
      check('source', 'Measure the 24 V of that loop, to its own minus.', 4, 'control', ['gone', 'there'], { supply: 0.96 }, 0.02, meter),
      check('walk', 'Walk the loop with the meter, to the minus of its source.', 10, 'control', ['voltage lost on the way', 'voltage up to the terminal'], { wire: 0.95, guard: 0.9 }, 0.05, meter),
    ],
  ),
  table(
    'encoder',
    [
      cause('none', 'feedback is selected and no encoder is fitted', 45, 15, 'Select open loop, as the motor is.'),
      cause('supply', 'the encoder has no supply', 15, 40, 'Its supply at the board and at the encoder.'),
      cause('wire', 'a channel or its screen is broken', 20, 60, 'Repair the cable; screen at one end as the maker asks.'),
      cause('slip', 'the coupling to the encoder slips', 8, 60, 'Tighten or replace the coupling.'),
      cause('board', 'the encoder board or the encoder is dead', 12, 100, 'Exchange it.'),
      cause('swapped', 'channels A and B are swapped', 8, 20, 'Swap them, or the direction of the encoder; with care: it may run away.'),
      cause('lines', 'lines per turn or the supply voltage of the encoder are entered wrong', 8, 15, 'Enter them as on its label; 5 V and 24 V are not the same input.'),
    ],
    [
      check('fitted', 'Look at the motor and into the unit: is an encoder with its board fitted at all?', 4, 'none', ['none fitted', 'fitted'], { none: 0.98 }, 0.02),
      check('chosen', 'Read the control mode and the feedback entry: is one asked for?', 1, 'none', ['asked for', 'open loop'], { none: 0.99, supply: 0.99, wire: 0.99, slip: 0.99, board: 0.9 }, 0.5, {
        read: [
          { outcome: 'yes', concept: 'control.mode', is: ['vector-encoder'] },
          { outcome: 'yes', concept: 'feedback.encoder', is: ['encoder'] },
          { outcome: 'no', concept: 'control.mode', is: ['v-hz', 'vector', 'permanent-magnet'] },
        ],
      }),
      check('volts', 'Measure the supply at the encoder’s own terminals.', 8, 'control', ['none', 'there'], { supply: 0.95, wire: 0.25 }, 0.03, meter),
      check('label', 'Read the label of the encoder: lines per turn and supply as entered?', 3, 'none', ['they differ', 'they agree'], { lines: 0.96 }, 0.04),
      check('turn', 'Locked off, run input open: turn the shaft by hand. Does the display show the same direction?', 5, 'dead', ['the other direction', 'the same, or nothing'], { swapped: 0.96 }, 0.02),
      check('tug', 'Dead: tug the encoder cable and its coupling.', 6, 'dead', ['loose or broken', 'firm'], { wire: 0.6, slip: 0.9 }, 0.04),
    ],
  ),
  table(
    'communication',
    [
      cause('controller', 'the controller stands still or does not ask', 40, 40, 'Start the controller; look at its own alarms.'),
      cause('plug', 'plug, cable or screen', 28, 30, 'Plug home, ends terminated, screen earthed.'),
      cause('settings', 'address, speed or parity do not agree', 17, 25, 'Set them as the controller has them.'),
      cause('timeout', 'the watchdog is shorter than the controller’s cycle', 10, 15, 'Lengthen it within what the risk allows.'),
      cause('board', 'the serial interface of the unit is dead', 5, 90, 'Exchange the unit or its board.'),
    ],
    [
      check('controller', 'Look at the controller: running, no alarm, other drives answer?', 3, 'none', ['it stands or nothing answers', 'running, others answer'], { controller: 0.95 }, 0.05),
      check('plug', 'Look at plug, terminator and screen.', 4, 'none', ['loose or missing', 'in order'], { plug: 0.88 }, 0.04),
      check('settings', 'Read address, speed and parity against the controller’s.', 4, 'none', ['they differ', 'they agree'], { settings: 0.97 }, 0.03),
      check('pattern', 'Ask: does it run for long and drop now and then?', 2, 'none', ['now and then', 'never comes up'], { timeout: 0.9, plug: 0.5, controller: 0.3 }, 0.04),
    ],
  ),
  table(
    'reference-loss',
    [
      cause('transmitter', 'the transmitter has no supply or is dead', 38, 50, 'Its supply, then the transmitter.'),
      cause('wire', 'the loop of the signal is open', 30, 40, 'Loop check; repair the wire.'),
      cause('signal', 'the input is set for another signal than the one that comes', 20, 15, 'Set entry and switch to the signal that comes; note the switch.'),
      cause('input', 'the analog input is dead', 12, 90, 'Another input, or exchange the unit.'),
    ],
    [
      check('set', 'Read the signal the input is set for, and its switch or jumper: as the transmitter gives?', 3, 'none', ['another signal', 'the same'], { signal: 0.96 }, 0.03),
      check('source', 'Measure the transmitter’s supply at its own terminals.', 6, 'control', ['none', 'there'], { transmitter: 0.7, wire: 0.4 }, 0.03, meter),
      check('current', 'Clamp or test terminals: how many mA in the loop? Do not open it: that makes the fault.', 6, 'control', ['below 4 mA', '4 to 20 mA'], { transmitter: 0.97, wire: 0.97 }, 0.06, meter),
      check('loop', 'Dead: ohms along the loop, transmitter off.', 10, 'dead', ['open', 'whole'], { wire: 0.95 }, 0.03, meter),
    ],
  ),
  table(
    'memory',
    [
      cause('conflict', 'two entries contradict each other', 35, 20, 'Put the newer one right; the manual names the pair.'),
      cause('lost', 'the memory lost its content', 30, 40, 'Save what is there, factory reset, region, then restore the set.'),
      cause('firmware', 'a set of another firmware or type was loaded', 20, 40, 'Factory reset, then the set entry by entry, by meaning.'),
      cause('chip', 'the memory or the board is dead', 15, 110, 'Exchange the unit.'),
    ],
    [
      check('edit', 'Ask: did it come right after an edit?', 2, 'none', ['right after one', 'by itself'], { conflict: 0.9, firmware: 0.2 }, 0.05),
      check('load', 'Ask: was a set loaded from another unit or copied by keypad?', 2, 'none', ['yes', 'no'], { firmware: 0.95 }, 0.06),
      check('again', 'Save what can be read. Power off, wait until dark, power on: is it there again at once?', 6, 'control', ['there again', 'gone'], { chip: 0.93, conflict: 0.9, firmware: 0.8 }, 0.5),
    ],
  ),
];
