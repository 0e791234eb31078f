// Trips that come from outside by a wire, and from the unit's own memory.
import { cause, check, table } from './build';

const meter = { tool: 'multimeter' };

/** Trips by signals, links and sensors. */
export const signalTables = [
  table(
    'external',
    [
      cause('guard', 'monitored condition has tripped', 45, 30, 'Check the monitored device: guard, level, pressure, thermal relay.'),
      cause('wire', 'open wire or terminal in the loop', 25, 40, 'Loop check; repair the wire.'),
      cause('supply', '24 V of the loop missing', 15, 30, 'Check fuse, supply and return.'),
      cause('setting', 'input function set by a reset or a macro', 15, 20, 'Set the input function as wired, with a note.'),
    ],
    [
      check('which', 'Find the input with this function, and check the device it monitors.', 5, 'none', ['device open', 'device closed'], { guard: 0.95 }, 0.06),
      check('reset', 'Ask: factory reset or macro recently?', 2, 'none', ['yes', 'no'], { setting: 0.85 }, 0.06),
      check('source', 'Measure the 24 V of the loop, to its own minus.', 4, 'control', ['gone', 'there'], { supply: 0.96 }, 0.02, meter),
      check('walk', 'Loop check with the meter, to the minus of its source.', 10, 'control', ['voltage lost in the loop', 'voltage present at the terminal'], { wire: 0.95, guard: 0.9 }, 0.05, meter),
    ],
  ),
  table(
    'encoder',
    [
      cause('none', 'feedback selected, but no encoder fitted', 45, 15, 'Select open loop, as the motor is.'),
      cause('supply', 'no encoder supply', 15, 40, 'Check the supply at the board and at the encoder.'),
      cause('wire', 'broken channel or screen', 20, 60, 'Repair the cable; screen as the maker requires.'),
      cause('slip', 'encoder coupling slips', 8, 60, 'Tighten or replace the coupling.'),
      cause('board', 'encoder board or encoder failed', 12, 100, 'Replace it.'),
      cause('swapped', 'channels A and B are swapped', 8, 20, 'Swap them, or change encoder direction; caution: the machine may run away.'),
      cause('lines', 'encoder lines per turn or supply voltage entered wrong', 8, 15, 'Enter them as on the label; 5 V and 24 V use different inputs.'),
    ],
    [
      check('fitted', 'Look at motor and drive: are encoder and encoder board fitted?', 4, 'none', ['none fitted', 'fitted'], { none: 0.98 }, 0.02),
      check('chosen', 'Read control mode and feedback parameter: encoder selected?', 1, 'none', ['selected', 'open loop'], { none: 0.99, supply: 0.99, wire: 0.99, slip: 0.99, board: 0.9 }, 0.5, {
        read: [
          { outcome: 'yes', concept: 'control.mode', is: ['vector-encoder'] },
          { outcome: 'yes', concept: 'feedback.encoder', is: ['encoder'] },
          { outcome: 'no', concept: 'control.mode', is: ['v-hz', 'vector', 'permanent-magnet'] },
        ],
      }),
      check('volts', 'Measure the supply at the encoder terminals.', 8, 'control', ['none', 'there'], { supply: 0.95, wire: 0.25 }, 0.03, meter),
      check('label', 'Read the label of the encoder: lines per turn and supply as entered?', 3, 'none', ['they differ', 'they agree'], { lines: 0.96 }, 0.04),
      check('turn', 'Locked off, run input open: turn the shaft by hand. Does the display show the same direction?', 5, 'dead', ['the other direction', 'the same, or nothing'], { swapped: 0.96 }, 0.02),
      check('tug', 'Dead: pull-test the encoder cable, check its coupling.', 6, 'dead', ['loose or broken', 'firm'], { wire: 0.6, slip: 0.9 }, 0.04),
    ],
  ),
  table(
    'communication',
    [
      cause('controller', 'controller stopped or not polling', 40, 40, 'Start the controller; check its faults.'),
      cause('plug', 'plug, cable or screen', 28, 30, 'Plug seated, ends terminated, screen earthed.'),
      cause('settings', 'address, baud rate or parity mismatch', 17, 25, 'Set them as in the controller.'),
      cause('timeout', 'watchdog shorter than the controller cycle', 10, 15, 'Lengthen it as far as the risk allows.'),
      cause('board', 'serial interface of the unit failed', 5, 90, 'Replace the unit or its board.'),
    ],
    [
      check('controller', 'Look at the controller: running, no fault, other drives answer?', 3, 'none', ['stopped, or nothing answers', 'running, others answer'], { controller: 0.95 }, 0.05),
      check('plug', 'Look at plug, terminator and screen.', 4, 'none', ['loose or missing', 'in order'], { plug: 0.88 }, 0.04),
      check('settings', 'Compare address, baud rate and parity with the controller.', 4, 'none', ['they differ', 'they agree'], { settings: 0.97 }, 0.03),
      check('pattern', 'Ask: does it run for a long time and drop intermittently?', 2, 'none', ['intermittent', 'never connects'], { timeout: 0.9, plug: 0.5, controller: 0.3 }, 0.04),
    ],
  ),
  table(
    'reference-loss',
    [
      cause('transmitter', 'transmitter failed or without supply', 38, 50, 'Check its supply, then the transmitter.'),
      cause('wire', 'the loop of the signal is open', 30, 40, 'Loop check; repair the wire.'),
      cause('signal', 'input set for another signal type', 20, 15, 'Set parameter and selector to the actual signal; note the selector.'),
      cause('input', 'analog input failed', 12, 90, 'Use another input, or replace the unit.'),
    ],
    [
      check('set', 'Read signal type and selector of the input: do they match the transmitter?', 3, 'none', ['another signal', 'the same'], { signal: 0.96 }, 0.03),
      check('source', 'Measure the supply at the transmitter terminals.', 6, 'control', ['none', 'there'], { transmitter: 0.7, wire: 0.4 }, 0.03, meter),
      check('current', 'Measure loop current by clamp or test terminals. Do not open the loop: that causes the fault.', 6, 'control', ['below 4 mA', '4 to 20 mA'], { transmitter: 0.97, wire: 0.97 }, 0.06, meter),
      check('loop', 'Dead: loop resistance, transmitter off.', 10, 'dead', ['open', 'whole'], { wire: 0.95 }, 0.03, meter),
    ],
  ),
  table(
    'memory',
    [
      cause('conflict', 'two parameters contradict each other', 35, 20, 'Correct the newer one; the manual names the pair.'),
      cause('lost', 'the memory lost its content', 30, 40, 'Save current parameters, factory reset, 50/60 Hz default set, then restore the parameter set.'),
      cause('firmware', 'parameter set of another firmware or type loaded', 20, 40, 'Factory reset, then enter the set parameter by parameter, by meaning.'),
      cause('chip', 'memory or board failed', 15, 110, 'Replace the unit.'),
    ],
    [
      check('edit', 'Ask: did it appear right after an edit?', 2, 'none', ['right after one', 'without an edit'], { conflict: 0.9, firmware: 0.2 }, 0.05),
      check('load', 'Ask: was a parameter set loaded from another unit or copied by keypad?', 2, 'none', ['yes', 'no'], { firmware: 0.95 }, 0.06),
      check('again', 'Save what can be read. Power off, wait until dark, power on: does it return at once?', 6, 'control', ['returns', 'gone'], { chip: 0.93, conflict: 0.9, firmware: 0.8 }, 0.5),
    ],
  ),
];
