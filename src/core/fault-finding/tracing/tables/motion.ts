// No alarm, and yet it does not do what is wanted.
import { cause, check, table } from './build';

/** Problems without a trip: it does not move, or not as it should. */
export const motionTables = [
  table(
    'no-motion',
    [
      cause('hold', 'permissive missing: enable, interlock, STO, coast', 34, 20, 'See the run chain.'),
      cause('zero', 'the reference is zero', 26, 10, 'Check potentiometer, transmitter, reference source.'),
      cause('place', 'run command not at the selected control source', 20, 10, 'Select the wired control source: local or remote, hand or auto.'),
      cause('brake', 'mechanical brake does not open, or load blocked', 10, 60, 'Check brake coil and its relay; free the load.'),
      cause('coupling', 'motor turns, machine does not', 6, 60, 'Check belt, coupling, key, gearbox.'),
      cause('output', 'output does not reach the motor', 4, 40, 'Check output contactor, isolator and lugs.'),
    ],
    [
      check('lamp', 'Look at the run LED: does the drive show running?', 1, 'none', ['shows running', 'does not'], { zero: 0.95, brake: 0.9, coupling: 0.98, output: 0.6 }, 0.02, {
        read: [{ outcome: 'yes', live: 'running', atLeast: 1 }, { outcome: 'no', live: 'running', below: 1 }],
      }),
      check('reference', 'Read the reference on the display.', 1, 'none', ['zero', 'above zero'], { zero: 0.98, place: 0.4 }, 0.08, {
        read: [{ outcome: 'yes', live: 'reference_Hz', below: 0.05 }, { outcome: 'no', live: 'reference_Hz', atLeast: 0.05 }],
      }),
      check('place', 'Read the local/remote selection, and press nothing: local or remote, and where does the run wire end?', 2, 'none', ['other control source', 'matches the wiring'], { place: 0.96 }, 0.04),
      check('motor', 'Look: does the motor fan turn?', 1, 'none', ['it turns', 'it stands'], { coupling: 0.97 }, 0.01),
      check('current', 'Read the motor current with run given: near the limit?', 2, 'control', ['near the limit', 'small or none'], { brake: 0.95 }, 0.03, {
        read: [{ outcome: 'yes', live: 'currentShare', atLeast: 1.3 }],
      }),
    ],
  ),
  table(
    'slow',
    [
      cause('ramp', 'the ramp is long: a 20 s factory value', 28, 10, 'Set the ramp for the machine.'),
      cause('scale', 'reference scaling too low: maximum, analog range, percent', 26, 20, 'Check two points of the scaling; maximum frequency.'),
      cause('limit', 'current or torque limit active', 20, 30, 'Check the load first; then the limit, within the drive rating.'),
      cause('skip', 'skip frequency or preset active', 10, 10, 'Check preset inputs and skip frequencies.'),
      cause('slip', 'belt, coupling or pump slip', 10, 60, 'Tighten or replace.'),
      cause('base', 'base frequency does not match the nameplate: 50 instead of 60 Hz', 6, 15, 'Set 50/60 Hz default set and motor frequency as on the nameplate.'),
    ],
    [
      check('wait', 'Wait half a minute with run on: does it reach speed?', 1, 'control', ['reaches speed', 'stays slow'], { ramp: 0.97 }, 0.02),
      check('output', 'Compare output frequency with reference: lower and steady?', 1, 'none', ['output stays below', 'output is at the reference'], { limit: 0.95, skip: 0.3, ramp: 0.5 }, 0.03),
      check('want', 'Read the reference: is it as expected?', 1, 'none', ['too low', 'as expected'], { scale: 0.95, skip: 0.7 }, 0.04),
      check('plate', 'Compare motor and maximum frequency with the nameplate.', 2, 'none', ['they differ', 'match'], { base: 0.95, scale: 0.4 }, 0.05),
      check('shaft', 'Measure the shaft speed against the output frequency.', 5, 'control', ['shaft is slower', 'they fit'], { slip: 0.9 }, 0.03, { tool: 'tachometer' }),
    ],
  ),
  table(
    'wrong-direction',
    [
      cause('phases', 'two motor wires swapped', 50, 30, 'Dead: swap two wires on the motor side; or change the direction parameter, with a note.'),
      cause('entry', 'direction parameter inverted', 15, 10, 'Restore it; make sure that wires were not swapped to suit it.'),
      cause('input', 'reverse input on or negative reference', 25, 20, 'Check wiring or reference scaling.'),
      cause('field', 'direction is correct; arrow or expectation wrong', 10, 10, 'Ask someone who knows the machine before swapping.'),
    ],
    [
      check('show', 'Read the direction on the display while it turns: reverse?', 1, 'none', ['the drive shows reverse', 'it shows forward'], { input: 0.95 }, 0.03),
      check('entry', 'Read the direction parameter.', 1, 'none', ['inverted', 'as wired'], { entry: 0.97 }, 0.05, {
        read: [{ outcome: 'yes', concept: 'motor.direction', is: ['inverted'] }, { outcome: 'no', concept: 'motor.direction', is: ['normal'] }],
      }),
      check('work', 'Ask: were motor, cable or drive changed recently?', 2, 'none', ['changed', 'not touched'], { phases: 0.93, entry: 0.6 }, 0.1),
      check('arrow', 'Look for the arrow on pump, fan or belt.', 2, 'none', ['it turns with the arrow', 'against it'], { field: 0.9 }, 0.04),
    ],
  ),
  table(
    'edit-not-taken',
    [
      cause('confirm', 'edit not confirmed with the last key', 38, 5, 'Edit again, confirm, read back.'),
      cause('lock', 'the parameter is locked', 18, 10, 'Enter the access code; lock again afterwards.'),
      cause('running', 'can be changed only when stopped', 14, 10, 'Stop, people clear, then edit.'),
      cause('save', 'not saved to memory before power-off', 14, 10, 'Edit, save to memory, cycle power, read back.'),
      cause('number', 'the wrong parameter was changed', 10, 15, 'Undo it first: compare with the last backup.'),
      cause('reset', 'reset by another edit: 50/60 Hz default set, macro', 6, 20, 'Order: 50/60 Hz default set, macro, motor, then the rest.'),
    ],
    [
      check('now', 'Read the parameter again right after the edit, still powered: is the new value there?', 2, 'none', ['the new value', 'the old one'], { save: 0.97, reset: 0.5 }, 0.04),
      check('display', 'Try again and watch the display: locked, refused, or blinking?', 2, 'none', ['refused or locked', 'accepted without message'], { lock: 0.95, running: 0.85 }, 0.04),
      check('moving', 'Was it running while you edited?', 1, 'none', ['running', 'stopped'], { running: 0.97 }, 0.15, {
        read: [{ outcome: 'yes', live: 'running', atLeast: 1 }],
      }),
      check('compare', 'Compare all parameters with factory defaults: was another one changed by mistake?', 6, 'none', ['there is one', 'none'], { number: 0.93 }, 0.05),
      check('macro', 'Ask: was the 50/60 Hz default set or macro changed afterwards?', 1, 'none', ['after it', 'no'], { reset: 0.95 }, 0.04),
    ],
  ),
];
