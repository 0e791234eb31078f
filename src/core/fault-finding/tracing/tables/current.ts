// Trips of current: the three moments, shorts, earth, a lost output phase, the thermal model.
import type { TraceCause } from '../table';
import { cause, check, table } from './build';

const meter = { tool: 'multimeter' };
const insulation = { tool: 'insulation tester' };

const leaks: readonly TraceCause[] = [
  cause('cable', 'the motor cable leaks to earth or between phases', 30, 140, 'Replace the cable.'),
  cause('motor', 'the motor winding leaks to earth or between phases', 35, 200, 'Rewind or replace the motor.'),
];
const deadLeaks = (also: Readonly<Record<string, number>> = {}) => [
  check('whole', 'Dead, drive and everything else off that cable (other drives, filters, capacitors): insulation of cable and motor together, to earth and between phases.', 15, 'dead', ['low', 'good'], { cable: 0.97, motor: 0.97, ...also }, 0.03, insulation),
  check('motor', 'Dead, cable off at the motor: insulation and winding ohms of the motor alone.', 15, 'dead', ['low', 'good'], { motor: 0.97, ...also }, 0.03, insulation),
  check('static', 'Dead: the inverter readings of the bench.', 15, 'dead', ['a short', 'no short'], { inverter: 0.98 }, 0.01, meter),
];
const plateWrong = cause('plate', 'motor entries are not as on the plate, or the identification is stale', 15, 30, 'Enter the plate again, then run the identification.');
const plateCheck = (read: boolean) =>
  check('plate', 'Read the motor entries against the plate, and the identification state.', 5, 'none', ['they differ, or stale', 'as on the plate'], { plate: 0.95 }, 0.06, read ? {
    read: [{ outcome: 'yes', concept: 'motor.ident-state', is: ['stale', 'failed'] }],
  } : {});

/** Trips by current and load. */
export const currentTables = [
  table(
    'overcurrent-accelerating',
    [
      cause('ramp', 'the acceleration is too short for the load', 35, 20, 'Lengthen the acceleration.'),
      cause('jam', 'the load is stuck or heavier than usual', 25, 60, 'Free the load; find what holds it.'),
      cause('brake', 'the mechanical brake does not open', 12, 60, 'Brake coil, its relay and rectifier.'),
      plateWrong,
      cause('boost', 'torque boost is too high', 5, 15, 'Back to its default.'),
      cause('leak', 'motor or cable leaks', 8, 160, 'Insulation test; replace what is bad.'),
      cause('spinning', 'it starts into a load that still turns', 8, 20, 'Flying start where the load bears it, or wait until it has stopped.'),
      cause('closing', 'a contactor at the output closes while it runs', 6, 50, 'Interlock it with the enable: it switches with the output off only.'),
      cause('open-phase', 'one motor phase is open', 5, 40, 'Lugs, contactor and winding.'),
      cause('sensor', 'the current sensor has an offset', 4, 120, 'Replace the sensor or the unit.'),
      cause('turns', 'shorted turns in the motor', 4, 200, 'Rewind or replace the motor: neither ohms nor insulation show it surely; a surge test does.'),
    ],
    [
      check('turning', 'Look: does the shaft still turn when run is given?', 1, 'none', ['it turns', 'it is still'], { spinning: 0.96 }, 0.03),
      check('output', 'Look: is there a contactor between drive and motor that closes after run?', 3, 'none', ['there is', 'none, or closed before'], { closing: 0.96 }, 0.03),
      check('rest', 'Read the output current on the display while stopped: zero in all phases?', 2, 'none', ['not zero', 'zero'], { sensor: 0.93 }, 0.03),
      check('ohms', 'Dead: winding ohms U–V, V–W, W–U at the drive end.', 6, 'dead', ['one pair is open or differs', 'three alike'], { 'open-phase': 0.97, turns: 0.4 }, 0.02, meter),
      check('turn', 'Proven dead: turn the shaft by hand, or by its fan.', 6, 'dead', ['stiff or stuck', 'free'], { jam: 0.85, brake: 0.95 }, 0.05),
      check('brake', 'Listen at the brake when run is given: does it click open?', 4, 'control', ['no click', 'it opens, or there is none'], { brake: 0.95 }, 0.03),
      plateCheck(true),
      check('changed', 'Ask: was the acceleration or the load changed lately?', 2, 'none', ['changed', 'as ever'], { ramp: 0.6, boost: 0.6, plate: 0.5 }, 0.12),
      check('insulation', 'Dead, drive disconnected: insulation of cable and motor.', 15, 'dead', ['low', 'good'], { leak: 0.95 }, 0.03, insulation),
    ],
  ),
  table(
    'overcurrent-steady',
    [
      cause('shock', 'the load jams or comes in shocks', 40, 60, 'Find what jams; current limit and stall protection as the process bears.'),
      cause('leak', 'motor or cable leaks, perhaps only when hot or wet', 22, 160, 'Insulation test warm; replace what is bad.'),
      plateWrong,
      cause('contactor', 'a contactor or switch behind the drive opens under load', 13, 50, 'Interlock it with the enable: it may switch with the output off only.'),
      cause('sense', 'the current sensing of the unit is wrong', 10, 110, 'Exchange the unit.'),
    ],
    [
      check('moment', 'Ask: what did the machine do at that moment?', 2, 'none', ['a jam or a shock', 'nothing out of the ordinary'], { shock: 0.85 }, 0.12),
      check('switch', 'Look: is there a switch or contactor between drive and motor, and was it moved?', 3, 'none', ['there is, and it moved', 'none, or not moved'], { contactor: 0.93 }, 0.03),
      plateCheck(true),
      check('insulation', 'Dead, drive disconnected: insulation of cable and motor.', 15, 'dead', ['low', 'good'], { leak: 0.9 }, 0.03, insulation),
      check('clamp', 'Clamp the three motor currents while it runs, against the display.', 8, 'live', ['display and clamp differ', 'they agree'], { sense: 0.95, leak: 0.3 }, 0.03, { tool: 'clamp meter' }),
    ],
  ),
  table(
    'overcurrent-decelerating',
    [
      cause('ramp', 'the deceleration is too short', 45, 25, 'Lengthen the deceleration.'),
      cause('brake-early', 'the mechanical brake falls in while it still drives', 20, 40, 'Brake by the relay of the drive, below its release frequency.'),
      cause('flux', 'DC or flux braking is set too strong', 15, 20, 'Back to its default; only for motors known to take it.'),
      cause('leak', 'motor or cable leaks', 15, 160, 'Insulation test; replace what is bad.'),
    ],
    [
      check('stop', 'Read how it stops: DC injection or fast ramp chosen?', 2, 'none', ['DC injection', 'ramp or coast'], { flux: 0.9 }, 0.05, {
        read: [{ outcome: 'yes', concept: 'stop.mode', is: ['dc-injection'] }, { outcome: 'no', concept: 'stop.mode', is: ['coast', 'ramp', 'fast-ramp'] }],
      }),
      check('changed', 'Read the deceleration: shorter than the machine ever had?', 2, 'none', ['shorter', 'as ever'], { ramp: 0.8 }, 0.1),
      check('hear', 'Listen: does the brake fall in before the shaft stands?', 4, 'control', ['before', 'after, or there is none'], { 'brake-early': 0.93 }, 0.03),
      check('insulation', 'Dead, drive disconnected: insulation of cable and motor.', 15, 'dead', ['low', 'good'], { leak: 0.95 }, 0.03, insulation),
    ],
  ),
  table(
    'overcurrent',
    [
      cause('jam', 'the load is stuck, or comes in shocks', 35, 60, 'Free the load; find what holds it.'),
      cause('ramp', 'a ramp is too short for the load', 30, 20, 'Lengthen the ramp in which it trips.'),
      plateWrong,
      cause('leak', 'motor or cable leaks', 15, 160, 'Insulation test; replace what is bad.'),
      cause('sense', 'the current sensing of the unit is wrong', 5, 110, 'Exchange the unit.'),
    ],
    [
      check('when', 'Ask or read the fault slot: in a ramp, or at steady speed?', 2, 'none', ['in a ramp', 'at steady speed'], { ramp: 0.97, jam: 0.4, plate: 0.6 }, 0.4),
      check('turn', 'Proven dead: turn the shaft by hand, or by its fan.', 6, 'dead', ['stiff or stuck', 'free'], { jam: 0.85 }, 0.05),
      plateCheck(true),
      check('insulation', 'Dead, drive disconnected: insulation of cable and motor.', 15, 'dead', ['low', 'good'], { leak: 0.95 }, 0.03, insulation),
    ],
  ),
  ...(['desaturation', 'short-circuit'] as const).map((family) =>
    table(
      family,
      [
        ...leaks,
        cause('inverter', 'a transistor of the drive is shorted', 25, 140, 'Static test, then repair or replace.'),
        cause('gate', 'a gate driver or its supply is weak', 6, 130, 'Repair or exchange the unit.'),
        cause('brake', 'the brake resistor or its cable is shorted', 4, 80, 'Replace it; never below the least ohms of the chopper.'),
      ],
      [
        ...deadLeaks(),
        check('resistor', 'Dead: ohms of the brake resistor and its cable to earth, wires off.', 10, 'dead', ['far too low', 'as its plate, or none fitted'], { brake: 0.96 }, 0.02, meter),
        check('unloaded', 'Through lamps or a current limit, with the motor cable off at the drive: does it trip on run?', 10, 'live', ['trips', 'runs'], { inverter: 0.97, gate: 0.85 }, 0.02),
      ],
      { deadFirst: true },
    ),
  ),
  table(
    'ground',
    [
      ...leaks,
      cause('inverter', 'a transistor of the drive is shorted', 15, 140, 'Static test, then repair or replace.'),
      cause('sensor', 'the current sensing of the drive is wrong', 10, 110, 'Exchange the unit.'),
      cause('wet', 'the motor or its terminal box is wet', 10, 120, 'Dry it until the insulation passes; seals and drain holes.'),
      cause('capacitance', 'a long screened cable or an output filter takes the current', 8, 60, 'A lower carrier frequency, an output choke, a shorter cable, or filters that belong to it.'),
    ],
    [
      check('when', 'Ask or read the fault log: at power-up, or only on run?', 1, 'none', ['at power-up', 'only on run'], { inverter: 0.7, sensor: 0.9 }, 0.06),
      check('length', 'Look: how long is the cable, screened, and is there a filter behind the drive?', 3, 'none', ['longer than the manual allows, or a filter', 'short, none'], { capacitance: 0.95 }, 0.06),
      check('damp', 'Dead: open the terminal box of the motor: damp, rust, water?', 6, 'dead', ['damp', 'dry'], { wet: 0.93 }, 0.05),
      ...deadLeaks({ wet: 0.95 }),
      check('unloaded', 'Through lamps or a current limit, with the motor cable off at the drive: does it trip on run?', 10, 'live', ['trips', 'runs'], { inverter: 0.95, sensor: 0.9 }, 0.02),
    ],
    { deadFirst: true },
  ),
  table(
    'output-phase-loss',
    [
      cause('lug', 'a lug is loose at drive, switch or motor', 40, 30, 'Tighten to the torque of the table.'),
      cause('switch', 'a contactor or isolator behind the drive is open', 25, 25, 'Close it with the drive stopped; interlock it.'),
      cause('winding', 'a motor winding is open', 12, 200, 'Rewind or replace the motor.'),
      cause('small', 'the motor is far smaller than the drive, or disconnected on purpose', 15, 20, 'For a test only: supervision to no action, recorded, and put back.'),
      cause('inverter', 'a transistor never switches', 8, 140, 'Static test and lamp test, then repair or replace.'),
    ],
    [
      check('switch', 'Look: is everything between drive and motor closed, and the motor connected?', 3, 'none', ['something is open', 'all closed'], { switch: 0.96, small: 0.5 }, 0.03),
      check('lugs', 'Dead: tug U, V, W at drive, switch and motor.', 8, 'dead', ['one is loose or burnt', 'all tight'], { lug: 0.93 }, 0.03),
      check('ohms', 'Dead: winding ohms U–V, V–W, W–U at the drive end.', 6, 'dead', ['one pair is open or far off', 'three alike'], { lug: 0.85, winding: 0.97, switch: 0.98 }, 0.02, meter),
      check('size', 'Compare the plate amps with the rating: below a third?', 1, 'none', ['far smaller', 'it fits'], { small: 0.8 }, 0.05),
      check('static', 'Dead: the inverter readings of the bench.', 15, 'dead', ['a position is open', 'all sound'], { inverter: 0.7 }, 0.02, meter),
    ],
  ),
  table(
    'overload',
    [
      cause('real', 'the machine truly asks for too much', 38, 60, 'Bearings, belt, jam, wrong process; or a larger set.'),
      cause('setting', 'the overload setting is not the plate current', 27, 15, 'Set it to the plate amps; never raised by the service factor.'),
      cause('cooling', 'long at low speed: the motor cools itself badly', 18, 60, 'Force-cool, run faster, or derate below 25 Hz.'),
      cause('connection', 'star and delta are mistaken, or the base voltage', 9, 40, 'Connect as the plate asks for this voltage; enter it.'),
      cause('phase', 'one motor phase is weak', 8, 60, 'Lugs and winding ohms.'),
    ],
    [
      check('setting', 'Read the overload entry against the plate amps.', 3, 'none', ['it differs', 'as on the plate'], { setting: 0.97, connection: 0.3 }, 0.04),
      check('speed', 'Ask: long below 25 Hz before it tripped?', 2, 'none', ['yes', 'no'], { cooling: 0.95 }, 0.12),
      check('plate', 'Look into the motor’s box, dead: bridges as the plate asks?', 8, 'dead', ['otherwise', 'as it asks'], { connection: 0.96 }, 0.02),
      check('display', 'Read the motor current at work: at or above the plate amps?', 3, 'none', ['at or above', 'well below'], { real: 0.95, phase: 0.7, connection: 0.8, cooling: 0.4 }, 0.15),
      check('clamp', 'Clamp the three motor currents: alike?', 8, 'live', ['one differs', 'alike'], { phase: 0.95 }, 0.03, { tool: 'clamp meter' }),
    ],
  ),
];
