// No alarm, and yet it does not do what is wanted.
import { cause, check, table } from './build';

/** Problems without a trip: it does not move, or not as it should. */
export const motionTables = [
  table(
    'no-motion',
    [
      cause('hold', 'a permissive is missing: enable, interlock, STO, coast', 34, 20, 'The run chain above names it.'),
      cause('zero', 'the reference is zero', 26, 10, 'Knob, transmitter, source of the reference.'),
      cause('place', 'run comes from another place than it listens to', 20, 10, 'Local or remote, hand or auto: choose the one that is wired.'),
      cause('brake', 'the mechanical brake does not open, or the load is stuck', 10, 60, 'Brake coil and its relay; free the load.'),
      cause('coupling', 'the motor turns and the machine does not', 6, 60, 'Belt, coupling, key, gear.'),
      cause('output', 'the output does not reach the motor', 4, 40, 'Contactor, isolator and lugs behind the drive.'),
    ],
    [
      check('lamp', 'Look at the run lamp: does the unit say it runs?', 1, 'none', ['it says it runs', 'it does not'], { zero: 0.95, brake: 0.9, coupling: 0.98, output: 0.6 }, 0.02, {
        read: [{ outcome: 'yes', live: 'running', atLeast: 1 }, { outcome: 'no', live: 'running', below: 1 }],
      }),
      check('reference', 'Read the reference on the display.', 1, 'none', ['zero', 'above zero'], { zero: 0.98, place: 0.4 }, 0.08, {
        read: [{ outcome: 'yes', live: 'reference_Hz', below: 0.05 }, { outcome: 'no', live: 'reference_Hz', atLeast: 0.05 }],
      }),
      check('place', 'Read the control place, and press nothing: local or remote, and where does the run wire end?', 2, 'none', ['it listens elsewhere', 'it listens where it is wired'], { place: 0.96 }, 0.04),
      check('motor', 'Look: does the motor’s own fan turn?', 1, 'none', ['it turns', 'it stands'], { coupling: 0.97 }, 0.01),
      check('current', 'Read the motor current with run given: near the limit?', 2, 'control', ['near the limit', 'small or none'], { brake: 0.95 }, 0.03, {
        read: [{ outcome: 'yes', live: 'currentShare', atLeast: 1.3 }],
      }),
    ],
  ),
  table(
    'slow',
    [
      cause('ramp', 'the ramp is long: a 20 s factory value', 28, 10, 'Set the ramp the machine needs.'),
      cause('scale', 'the reference is scaled short: maximum, analog window, percent', 26, 20, 'Two points of the line; highest frequency.'),
      cause('limit', 'current or torque limit holds it back', 20, 30, 'Load first; then the limit, within what the drive can give.'),
      cause('skip', 'a skip band or a preset decides', 10, 10, 'Look which preset input is on; the skip band.'),
      cause('slip', 'belt, coupling or pump slip', 10, 60, 'Tighten or replace.'),
      cause('base', 'the base frequency is not the plate’s: 50 for 60 Hz', 6, 15, 'Region and motor frequency as the plate.'),
    ],
    [
      check('wait', 'Wait half a minute with run on: does it get there?', 1, 'control', ['it gets there', 'it stays slow'], { ramp: 0.97 }, 0.02),
      check('output', 'Read the output frequency against the reference: below it and steady?', 1, 'none', ['output stays below', 'output is at the reference'], { limit: 0.95, skip: 0.3, ramp: 0.5 }, 0.03),
      check('want', 'Read the reference: is it the one wanted?', 1, 'none', ['too low', 'as wanted'], { scale: 0.95, skip: 0.7 }, 0.04),
      check('plate', 'Read motor and highest frequency against the plate.', 2, 'none', ['they differ', 'as the plate'], { base: 0.95, scale: 0.4 }, 0.05),
      check('shaft', 'Measure the shaft speed against the output frequency.', 5, 'control', ['shaft is slower', 'they fit'], { slip: 0.9 }, 0.03, { tool: 'tachometer' }),
    ],
  ),
  table(
    'wrong-direction',
    [
      cause('phases', 'two motor wires are the other way round', 50, 30, 'Swap two at the motor side, dead; or the direction entry, with a note.'),
      cause('entry', 'the direction entry is inverted', 15, 10, 'Put it back; make sure nobody swapped wires to suit it.'),
      cause('input', 'the reverse input or a negative reference is given', 25, 20, 'Wire or scaling of the reference.'),
      cause('field', 'it is right, and the arrow or the expectation is wrong', 10, 10, 'Ask who knows the machine before anything is swapped.'),
    ],
    [
      check('show', 'Read the direction on the display while it turns: reverse?', 1, 'none', ['the drive shows reverse', 'it shows forward'], { input: 0.95 }, 0.03),
      check('entry', 'Read the direction entry.', 1, 'none', ['inverted', 'as wired'], { entry: 0.97 }, 0.05, {
        read: [{ outcome: 'yes', concept: 'motor.direction', is: ['inverted'] }, { outcome: 'no', concept: 'motor.direction', is: ['normal'] }],
      }),
      check('work', 'Ask: were motor, cable or drive changed lately?', 2, 'none', ['changed', 'not touched'], { phases: 0.93, entry: 0.6 }, 0.1),
      check('arrow', 'Look for the arrow on pump, fan or belt.', 2, 'none', ['it turns with the arrow', 'against it'], { field: 0.9 }, 0.04),
    ],
  ),
  table(
    'edit-not-taken',
    [
      cause('confirm', 'the edit was not confirmed with the last key', 38, 5, 'Edit again, confirm, read it back.'),
      cause('lock', 'the entry is locked', 18, 10, 'The code that opens this range; shut it again afterwards.'),
      cause('running', 'it can be changed at standstill only', 14, 10, 'Stop, people clear, then edit.'),
      cause('save', 'it was not kept in memory before the power went', 14, 10, 'Edit, keep in memory, switch off and on, read it back.'),
      cause('number', 'the wrong entry was changed', 10, 15, 'Undo that one first: compare with the last backup.'),
      cause('reset', 'another edit reset it: region, macro', 6, 20, 'Order: region, macro, motor, then the rest.'),
    ],
    [
      check('now', 'Read the entry again right after the edit, still powered: is the new value there?', 2, 'none', ['the new value', 'the old one'], { save: 0.97, reset: 0.5 }, 0.04),
      check('display', 'Try once more and watch the display: does it say locked, refuse, or blink?', 2, 'none', ['refused or locked', 'taken without a word'], { lock: 0.95, running: 0.85 }, 0.04),
      check('moving', 'Was it running while you edited?', 1, 'none', ['running', 'stopped'], { running: 0.97 }, 0.15, {
        read: [{ outcome: 'yes', live: 'running', atLeast: 1 }],
      }),
      check('compare', 'Compare all entries with the factory values: is another one changed that nobody meant?', 6, 'none', ['there is one', 'none'], { number: 0.93 }, 0.05),
      check('macro', 'Ask: was region or macro touched after it?', 1, 'none', ['after it', 'no'], { reset: 0.95 }, 0.04),
    ],
  ),
];
