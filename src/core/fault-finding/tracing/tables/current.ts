// Trips of current: the three moments, shorts, earth, a lost output phase, the thermal model.
import type { TraceCause } from '../table';
import { cause, check, table } from './build';

const meter = { tool: 'multimeter' };
const insulation = { tool: 'insulation tester' };

const leaks: readonly TraceCause[] = [
  cause('cable', 'motor cable insulation low to earth or between phases', 30, 140, 'Replace the cable.'),
  cause('motor', 'motor winding insulation low to earth or between phases', 35, 200, 'Rewind or replace the motor.'),
];
const deadLeaks = (also: Readonly<Record<string, number>> = {}) => [
  check('whole', 'Dead, drive and everything else off that cable (other drives, filters, capacitors): insulation of cable and motor together, to earth and between phases.', 15, 'dead', ['low', 'good'], { cable: 0.97, motor: 0.97, ...also }, 0.03, insulation),
  check('motor', 'Dead, cable off at the motor: insulation and winding resistance of the motor alone.', 15, 'dead', ['low', 'good'], { motor: 0.97, ...also }, 0.03, insulation),
  check('static', 'Dead: the inverter readings of the bench.', 15, 'dead', ['a short', 'no short'], { inverter: 0.98 }, 0.01, meter),
];
const plateWrong = cause('plate', 'motor parameters do not match the nameplate, or autotune is invalid', 15, 30, 'Enter the nameplate data again, then run autotune.');
const plateCheck = (read: boolean) =>
  check('plate', 'Compare motor parameters with the nameplate, and read the autotune state.', 5, 'none', ['they differ, or invalid', 'as on the nameplate'], { plate: 0.95 }, 0.06, read ? {
    read: [{ outcome: 'yes', concept: 'motor.ident-state', is: ['stale', 'failed'] }],
  } : {});

/** Trips by current and load. */
export const currentTables = [
  table(
    'overcurrent-accelerating',
    [
      cause('ramp', 'ramp up too short for the load', 35, 20, 'Lengthen the ramp up.'),
      cause('jam', 'load blocked or heavier than normal', 25, 60, 'Free the load; find the cause.'),
      cause('brake', 'mechanical brake does not open', 12, 60, 'Check brake coil, its relay and rectifier.'),
      plateWrong,
      cause('boost', 'torque boost too high', 5, 15, 'Restore the default.'),
      cause('leak', 'low insulation of motor or cable', 8, 160, 'Insulation test; replace the failed part.'),
      cause('spinning', 'starts into a turning load', 8, 20, 'Use flying start where the load allows it, or wait until it has stopped.'),
      cause('closing', 'output contactor closes while running', 6, 50, 'Interlock it with the enable: switch only with the output off.'),
      cause('open-phase', 'one motor phase open', 5, 40, 'Check lugs, contactor and winding.'),
      cause('sensor', 'current sensor offset', 4, 120, 'Replace the sensor or the unit.'),
      cause('turns', 'shorted turns in the motor', 4, 200, 'Rewind or replace the motor: resistance and insulation tests may miss it; a surge test shows it.'),
    ],
    [
      check('turning', 'Look: is the shaft already turning when run is given?', 1, 'none', ['it turns', 'it is still'], { spinning: 0.96 }, 0.03),
      check('output', 'Look: does a contactor between drive and motor close after the run command?', 3, 'none', ['there is', 'none, or already closed'], { closing: 0.96 }, 0.03),
      check('rest', 'Read the output current on the display while stopped: zero in all phases?', 2, 'none', ['not zero', 'zero'], { sensor: 0.93 }, 0.03),
      check('ohms', 'Dead: winding ohms U–V, V–W, W–U at the drive end.', 6, 'dead', ['one pair open or different', 'all three equal'], { 'open-phase': 0.97, turns: 0.4 }, 0.02, meter),
      check('turn', 'Proven dead: turn the shaft by hand or at its fan.', 6, 'dead', ['stiff or stuck', 'free'], { jam: 0.85, brake: 0.95 }, 0.05),
      check('brake', 'Listen at the brake when run is given: does it click open?', 4, 'control', ['no click', 'opens, or no brake'], { brake: 0.95 }, 0.03),
      plateCheck(true),
      check('changed', 'Ask: was the ramp up or the load changed recently?', 2, 'none', ['changed', 'no change'], { ramp: 0.6, boost: 0.6, plate: 0.5 }, 0.12),
      check('insulation', 'Dead, drive disconnected: insulation of cable and motor.', 15, 'dead', ['low', 'good'], { leak: 0.95 }, 0.03, insulation),
    ],
  ),
  table(
    'overcurrent-steady',
    [
      cause('shock', 'load jams or shock loads', 40, 60, 'Find the jam; set current limit and stall protection as the process allows.'),
      cause('leak', 'low insulation of motor or cable, possibly only when hot or wet', 22, 160, 'Insulation test while warm; replace the failed part.'),
      plateWrong,
      cause('contactor', 'output contactor or switch opens under load', 13, 50, 'Interlock it with the enable: switch only with the output off.'),
      cause('sense', 'current measurement of the unit failed', 10, 110, 'Replace the unit.'),
    ],
    [
      check('moment', 'Ask: what was the machine doing at that moment?', 2, 'none', ['a jam or a shock', 'normal operation'], { shock: 0.85 }, 0.12),
      check('switch', 'Look: is there a switch or contactor between drive and motor, and was it operated?', 3, 'none', ['yes, operated', 'none, or not operated'], { contactor: 0.93 }, 0.03),
      plateCheck(true),
      check('insulation', 'Dead, drive disconnected: insulation of cable and motor.', 15, 'dead', ['low', 'good'], { leak: 0.9 }, 0.03, insulation),
      check('clamp', 'Clamp the three motor currents while it runs, against the display.', 8, 'live', ['display and clamp differ', 'they agree'], { sense: 0.95, leak: 0.3 }, 0.03, { tool: 'clamp meter' }),
    ],
  ),
  table(
    'overcurrent-decelerating',
    [
      cause('ramp', 'ramp down too short', 45, 25, 'Lengthen the ramp down.'),
      cause('brake-early', 'mechanical brake closes while the motor still drives', 20, 40, 'Control the brake by the drive relay, below its release frequency.'),
      cause('flux', 'DC injection or flux braking too strong', 15, 20, 'Restore the default; use only with suitable motors.'),
      cause('leak', 'low insulation of motor or cable', 15, 160, 'Insulation test; replace the failed part.'),
    ],
    [
      check('stop', 'Read the stop mode: DC injection or fast ramp selected?', 2, 'none', ['DC injection', 'ramp or coast'], { flux: 0.9 }, 0.05, {
        read: [{ outcome: 'yes', concept: 'stop.mode', is: ['dc-injection'] }, { outcome: 'no', concept: 'stop.mode', is: ['coast', 'ramp', 'fast-ramp'] }],
      }),
      check('changed', 'Read the ramp down: shorter than before?', 2, 'none', ['shorter', 'no change'], { ramp: 0.8 }, 0.1),
      check('hear', 'Listen: does the brake close before the shaft stops?', 4, 'control', ['before', 'after, or no brake'], { 'brake-early': 0.93 }, 0.03),
      check('insulation', 'Dead, drive disconnected: insulation of cable and motor.', 15, 'dead', ['low', 'good'], { leak: 0.95 }, 0.03, insulation),
    ],
  ),
  table(
    'overcurrent',
    [
      cause('jam', 'load blocked, or shock loads', 35, 60, 'Free the load; find the cause.'),
      cause('ramp', 'ramp too short for the load', 30, 20, 'Lengthen the ramp during which it trips.'),
      plateWrong,
      cause('leak', 'low insulation of motor or cable', 15, 160, 'Insulation test; replace the failed part.'),
      cause('sense', 'current measurement of the unit failed', 5, 110, 'Replace the unit.'),
    ],
    [
      check('when', 'Ask or read the fault log: during a ramp, or at steady speed?', 2, 'none', ['during a ramp', 'at steady speed'], { ramp: 0.97, jam: 0.4, plate: 0.6 }, 0.4),
      check('turn', 'Proven dead: turn the shaft by hand or at its fan.', 6, 'dead', ['stiff or stuck', 'free'], { jam: 0.85 }, 0.05),
      plateCheck(true),
      check('insulation', 'Dead, drive disconnected: insulation of cable and motor.', 15, 'dead', ['low', 'good'], { leak: 0.95 }, 0.03, insulation),
    ],
  ),
  ...(['desaturation', 'short-circuit'] as const).map((family) =>
    table(
      family,
      [
        ...leaks,
        cause('inverter', 'an IGBT of the drive is shorted', 25, 140, 'Static test, then repair or replace.'),
        cause('gate', 'gate driver or its supply weak', 6, 130, 'Repair or replace the unit.'),
        cause('brake', 'the brake resistor or its cable is shorted', 4, 80, 'Replace it; never below the minimum resistance of the chopper.'),
      ],
      [
        ...deadLeaks(),
        check('resistor', 'Dead: resistance of the brake resistor, and insulation of its cable to earth, wires off.', 10, 'dead', ['far too low', 'as rated, or none fitted'], { brake: 0.96 }, 0.02, meter),
        check('unloaded', 'On series lamps or a current-limited supply, motor cable off at the drive: does it trip on run?', 10, 'live', ['trips', 'runs'], { inverter: 0.97, gate: 0.85 }, 0.02),
      ],
      { deadFirst: true },
    ),
  ),
  table(
    'ground',
    [
      ...leaks,
      cause('inverter', 'an IGBT of the drive is shorted', 15, 140, 'Static test, then repair or replace.'),
      cause('sensor', 'current measurement of the drive failed', 10, 110, 'Replace the unit.'),
      cause('wet', 'motor or its terminal box wet', 10, 120, 'Dry until the insulation test passes; check seals and drain holes.'),
      cause('capacitance', 'leakage current of a long screened cable or an output filter', 8, 60, 'Lower carrier frequency, output choke, shorter cable, or a matched filter.'),
    ],
    [
      check('when', 'Ask or read the fault log: at power-up, or only on run?', 1, 'none', ['at power-up', 'only on run'], { inverter: 0.7, sensor: 0.9 }, 0.06),
      check('length', 'Look: cable length, screened or not, output filter?', 3, 'none', ['longer than the manual allows, or a filter', 'short, none'], { capacitance: 0.95 }, 0.06),
      check('damp', 'Dead: open the terminal box of the motor: damp, rust, water?', 6, 'dead', ['damp', 'dry'], { wet: 0.93 }, 0.05),
      ...deadLeaks({ wet: 0.95 }),
      check('unloaded', 'On series lamps or a current-limited supply, motor cable off at the drive: does it trip on run?', 10, 'live', ['trips', 'runs'], { inverter: 0.95, sensor: 0.9 }, 0.02),
    ],
    { deadFirst: true },
  ),
  table(
    'output-phase-loss',
    [
      cause('lug', 'loose lug at drive, switch or motor', 40, 30, 'Tighten to table torque.'),
      cause('switch', 'output contactor or isolator open', 25, 25, 'Close it with the drive stopped; interlock it.'),
      cause('winding', 'motor winding open', 12, 200, 'Rewind or replace the motor.'),
      cause('small', 'motor much smaller than the drive, or intentionally disconnected', 15, 20, 'For tests only: supervision to no action, recorded, and restored.'),
      cause('inverter', 'an IGBT never switches', 8, 140, 'Static test and lamp test, then repair or replace.'),
    ],
    [
      check('switch', 'Look: are all switches between drive and motor closed, and the motor connected?', 3, 'none', ['something is open', 'all closed'], { switch: 0.96, small: 0.5 }, 0.03),
      check('lugs', 'Dead: pull-test U, V, W at drive, switch and motor.', 8, 'dead', ['one is loose or burnt', 'all tight'], { lug: 0.93 }, 0.03),
      check('ohms', 'Dead: winding ohms U–V, V–W, W–U at the drive end.', 6, 'dead', ['one pair open or very different', 'all three equal'], { lug: 0.85, winding: 0.97, switch: 0.98 }, 0.02, meter),
      check('size', 'Compare rated motor current with drive rating: below a third?', 1, 'none', ['much smaller', 'it fits'], { small: 0.8 }, 0.05),
      check('static', 'Dead: the inverter readings of the bench.', 15, 'dead', ['a position is open', 'all good'], { inverter: 0.7 }, 0.02, meter),
    ],
  ),
  table(
    'overload',
    [
      cause('real', 'machine overloaded', 38, 60, 'Check bearings, belt, jam, process; or fit a larger motor and drive.'),
      cause('setting', 'the overload setting is not the rated motor current', 27, 15, 'Set it to the rated motor current; never raise it by the service factor.'),
      cause('cooling', 'long operation at low speed: poor motor cooling', 18, 60, 'Forced cooling, higher speed, or derate below 25 Hz.'),
      cause('connection', 'wrong star/delta connection or base voltage', 9, 40, 'Connect as the nameplate requires for this voltage; enter it.'),
      cause('phase', 'one motor phase weak', 8, 60, 'Check lugs and winding resistance.'),
    ],
    [
      check('setting', 'Compare the overload setting with rated motor current.', 3, 'none', ['it differs', 'as on the nameplate'], { setting: 0.97, connection: 0.3 }, 0.04),
      check('speed', 'Ask: long below 25 Hz before it tripped?', 2, 'none', ['yes', 'no'], { cooling: 0.95 }, 0.12),
      check('plate', 'Dead: look into the motor terminal box: links as the nameplate requires?', 8, 'dead', ['otherwise', 'as required'], { connection: 0.96 }, 0.02),
      check('display', 'Read the motor current under load: at or above rated?', 3, 'none', ['at or above', 'well below'], { real: 0.95, phase: 0.7, connection: 0.8, cooling: 0.4 }, 0.15),
      check('clamp', 'Clamp the three motor currents: equal?', 8, 'live', ['one differs', 'alike'], { phase: 0.95 }, 0.03, { tool: 'clamp meter' }),
    ],
  ),
];
