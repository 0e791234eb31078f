// Faults that the unit finds in itself, in its options and in its brake.
import { cause, check, table } from './build';

const meter = { tool: 'multimeter' };
const powerCycle = (given: Readonly<Record<string, number>>, otherwise: number) =>
  check('again', 'Save what can be read. Power off, wait until it is dark, power on: there again at once?', 6, 'control', ['there again', 'gone'], given, otherwise);

/** Faults of the unit itself. */
export const unitTables = [
  table('gate-supply', [
    cause('driver', 'a gate driver or its supply is damaged', 38, 140, 'Compare the six gate drives with the bus dead; repair or replace the unit.'),
    cause('igbt', 'an IGBT is shorted and loads its driver', 22, 140, 'Static test, then repair or replace.'),
    cause('rails', 'the unit’s own supply is weak', 18, 130, 'Capacitors of the supply; repair or replace the unit.'),
    cause('sto', 'the STO channels dip: they feed the drivers', 14, 40, 'Loop check of both channels, volts under load.'),
    cause('plug', 'a plug between control and power board', 8, 60, 'Dead: out and in again, look for bent pins.'),
  ], [
    check('static', 'Dead: the inverter readings of the bench.', 12, 'dead', ['a short', 'no short'], { igbt: 0.98, driver: 0.15 }, 0.02, meter),
    check('gates', 'Dead: the six gate–emitter readings compared.', 12, 'dead', ['one differs', 'six alike'], { driver: 0.8, igbt: 0.7 }, 0.04, meter),
    check('plug', 'Dead: plugs between the boards home and clean?', 5, 'dead', ['loose or dirty', 'home'], { plug: 0.93 }, 0.03),
    check('sto', 'Measure both STO channels at the terminals while it trips.', 5, 'control', ['they dip', 'they hold'], { sto: 0.94 }, 0.03, meter),
  ]),
  table('current-sensor', [
    cause('offset', 'a current sensor has drifted or is damaged', 45, 120, 'Replace the sensor or the unit.'),
    cause('rail', 'the supply of the sensors is out of range', 18, 120, 'Rails of the control supply; repair or replace the unit.'),
    cause('turning', 'the motor was turning when it measured its zero', 17, 20, 'Power up with the motor stopped; a brake or flying start as the load asks.'),
    cause('plug', 'the plug of the sensors', 12, 40, 'Dead: out and in again.'),
    cause('magnet', 'a strong field close by', 8, 30, 'Distance to chokes and bus bars.'),
  ], [
    check('shaft', 'Look: does the shaft turn at power-up?', 2, 'none', ['it turns', 'it is still'], { turning: 0.95 }, 0.02),
    check('display', 'Read the output current on the display while stopped: zero in all phases?', 2, 'none', ['not zero', 'zero'], { offset: 0.9, rail: 0.7, magnet: 0.6 }, 0.1),
    check('plug', 'Dead: the plug of the sensors home and clean?', 5, 'dead', ['loose or dirty', 'home'], { plug: 0.93 }, 0.03),
    powerCycle({ offset: 0.93, rail: 0.95, plug: 0.7, magnet: 0.9 }, 0.15),
  ]),
  table('control-rail', [
    cause('load', 'a load of the 24 V or 10 V takes too much', 42, 40, 'Plug one load in after the other; repair it or give it a supply of its own.'),
    cause('short', 'a control wire touches earth or another', 24, 50, 'Ohms of each wire; repair.'),
    cause('supply', 'the unit’s own supply is weak', 24, 130, 'Capacitors of the supply; repair or replace the unit.'),
    cause('backfeed', 'a foreign voltage comes in by a terminal', 10, 40, 'Find it with all own supplies off; isolate it.'),
  ], [
    check('unplug', 'Prove dead, unplug all control terminals and options, power up: gone?', 12, 'control', ['gone', 'there again'], { load: 0.96, short: 0.96, backfeed: 0.9 }, 0.03),
    check('foreign', 'Everything of this unit off: volts at the control terminals, AC and DC.', 6, 'control', ['volts there', 'none'], { backfeed: 0.96 }, 0.02, meter),
    check('ohms', 'Dead, plug out: ohms of each control wire to PE and to the common.', 10, 'dead', ['a short', 'none'], { short: 0.93, load: 0.3 }, 0.03, meter),
  ]),
  table('keypad', [
    cause('ribbon', 'ribbon or plug between the boards or to the keypad', 45, 25, 'Dead: out and in again; replace a creased ribbon.'),
    cause('keypad', 'the keypad is dead', 25, 15, 'Another keypad.'),
    cause('firmware', 'keypad and unit are of different firmware', 12, 30, 'The pair that belongs together.'),
    cause('board', 'a board is dead', 18, 130, 'Replace the board or the unit.'),
  ], [
    check('swap', 'Try another keypad and its cable.', 4, 'none', ['it works', 'the same'], { keypad: 0.97, ribbon: 0.4, firmware: 0.6 }, 0.03),
    check('moved', 'Ask: was the unit opened, or its keypad moved, lately?', 1, 'none', ['yes', 'no'], { ribbon: 0.75, firmware: 0.5 }, 0.15),
    check('plugs', 'Dead: ribbons and plugs home, straight and clean?', 6, 'dead', ['loose, creased or dirty', 'all home'], { ribbon: 0.93 }, 0.04),
    check('link', 'Ask the unit over the link: does it answer?', 2, 'none', ['it answers', 'silent'], { keypad: 0.9, firmware: 0.9, ribbon: 0.6 }, 0.1),
  ]),
  table('temperature-sensor', [
    cause('sensor', 'the sensor or its wire is broken', 45, 110, 'Replace it, or the unit.'),
    cause('cold', 'it is colder than the unit is made for', 20, 30, 'Heat the cabinet; power up when it is warm.'),
    cause('plug', 'its plug is loose', 25, 25, 'Dead: out and in again.'),
    cause('board', 'the input on the board is dead', 10, 120, 'Replace the board or the unit.'),
  ], [
    check('display', 'Read the temperature on the display: possible for this room?', 2, 'none', ['impossible', 'possible'], { sensor: 0.9, plug: 0.9, board: 0.9 }, 0.05),
    check('room', 'Measure the air at the unit: below its least temperature?', 3, 'none', ['below', 'within'], { cold: 0.96 }, 0.03, { tool: 'thermometer' }),
    check('plug', 'Dead: the plug of the sensor home?', 5, 'dead', ['loose', 'home'], { plug: 0.94 }, 0.03),
    check('ohms', 'Dead, plug out: ohms of the sensor against its table or another phase.', 6, 'dead', ['open, short or far off', 'plausible'], { sensor: 0.95 }, 0.03, meter),
  ]),
  table('brake-chopper', [
    cause('shorted', 'the brake IGBT is shorted: the resistor is always on', 60, 140, 'Isolate at once: the resistor burns. Static test with BR, then repair or replace.'),
    cause('driver', 'its driver holds it on', 18, 140, 'Repair or replace the unit.'),
    cause('threshold', 'the supply is high, above the chopper level', 14, 80, 'Taps or supply; the chopper level of the voltage class.'),
    cause('feedback', 'only its supervision is wrong', 8, 110, 'Replace the unit.'),
  ], [
    check('resistor', 'Do not touch: is the resistor hot though nothing brakes?', 1, 'none', ['hot', 'cold'], { shorted: 0.96, driver: 0.94, threshold: 0.9 }, 0.03, { tool: 'infrared thermometer' }),
    check('bus', 'Read the bus on the display at rest: above the chopper level of its class?', 2, 'none', ['above', 'below'], { threshold: 0.96 }, 0.03),
    check('static', 'Dead, resistor off: BR to DC+ and DC− both ways.', 8, 'dead', ['a short', 'no short'], { shorted: 0.98 }, 0.02, meter),
  ]),
  table('brake-resistor', [
    cause('duty', 'it brakes more than the resistor is made for', 38, 60, 'Longer ramp down, fewer stops, or a resistor of the duty that is there.'),
    cause('small', 'resistance or rating are entered wrong', 22, 20, 'Enter ohms, continuous power and time constant from its plate.'),
    cause('stuck', 'the chopper is always on', 15, 140, 'Isolate at once; static test with BR.'),
    cause('high', 'the supply is high and it chops at rest', 13, 80, 'Taps or supply.'),
    cause('cooling', 'it is covered or its fan is off', 12, 30, 'Free the air; fan.'),
  ], [
    check('rest', 'Do not touch: is it hot though nothing brakes?', 2, 'none', ['hot at rest', 'only after braking'], { stuck: 0.96, high: 0.93 }, 0.03, { tool: 'infrared thermometer' }),
    check('entries', 'Compare the parameters of the resistor with its plate.', 4, 'none', ['they differ', 'as its plate'], { small: 0.96 }, 0.05),
    check('duty', 'Ask: more stops, a heavier load or a shorter ramp than before?', 2, 'none', ['more than before', 'as ever'], { duty: 0.85 }, 0.12),
    check('air', 'Look: covered, dusty, too close to a wall?', 2, 'none', ['covered or dusty', 'free'], { cooling: 0.95 }, 0.05),
  ]),
  table('sto-mismatch', [
    cause('contact', 'one contact of the safety device is worn or slow', 35, 50, 'Replace the contact or the device: both channels must open together.'),
    cause('wire', 'one channel’s wire is open or crossed', 30, 40, 'Loop check of both channels; repair.'),
    cause('return', 'the returns do not meet at the source that feeds them', 15, 30, 'One source, its minus on both returns.'),
    cause('pulses', 'test pulses of the safety device are taken for an opening', 12, 30, 'Filter time or a device that both makers name together.'),
    cause('input', 'a channel of the unit is dead', 8, 130, 'Replace the unit. An STO channel is not repaired.'),
  ], [
    check('both', 'Read both channels on the display with the device closed: one off?', 2, 'none', ['one is off', 'both on'], { wire: 0.95, return: 0.6, input: 0.9, contact: 0.3 }, 0.05),
    check('volts', 'Measure both channels at the terminals, to the source’s own minus.', 6, 'control', ['one is missing', 'both there'], { wire: 0.95, contact: 0.6 }, 0.03, meter),
    check('moment', 'Ask: only when it opens or closes?', 1, 'none', ['only then', 'all the time'], { contact: 0.9 }, 0.06),
    check('device', 'Read the manual of the safety device: does it send test pulses?', 4, 'none', ['it does', 'it does not'], { pulses: 0.97 }, 0.3),
    check('minus', 'Dead: ohms from each return to the minus of the source.', 6, 'dead', ['one is open', 'both near zero'], { return: 0.95, wire: 0.3 }, 0.03, meter),
  ]),
  table('autotune', [
    cause('plate', 'the motor data were not from the plate', 36, 20, 'Enter the rating plate, then autotune again.'),
    cause('enable', 'enable, STO or the motor contactor opened during it', 22, 15, 'Close the whole chain, people clear, then again.'),
    cause('coupled', 'rotating autotune with the machine coupled', 18, 30, 'Uncouple, or standstill autotune.'),
    cause('size', 'the motor is far smaller or larger than the unit', 12, 30, 'The least size of the manual; V/Hz without autotune.'),
    cause('open', 'a motor phase is open or the motor is shorted', 12, 60, 'Winding and insulation test.'),
  ], [
    check('plate', 'Compare the motor data with the rating plate: volts, amps, rpm, star or delta.', 3, 'none', ['they differ', 'as on the plate'], { plate: 0.95 }, 0.04),
    check('chain', 'Read the inputs while it runs: does one open?', 2, 'moves', ['one opens', 'all stay'], { enable: 0.95 }, 0.03),
    check('kind', 'Read which autotune was chosen, and look whether the shaft is free.', 2, 'none', ['rotating, and coupled', 'as it should be'], { coupled: 0.97 }, 0.03),
    check('size', 'Compare rated current of motor and unit: below a third?', 1, 'none', ['far apart', 'they fit'], { size: 0.93 }, 0.04),
    check('ohms', 'Dead: winding ohms U–V, V–W, W–U at the drive end.', 6, 'dead', ['one pair differs', 'three alike'], { open: 0.96 }, 0.02, meter),
  ]),
  table('stall', [
    cause('jam', 'the machine is stuck', 40, 60, 'Stop, isolate, free it; find what holds it.'),
    cause('brake', 'the mechanical brake does not open', 22, 60, 'Brake coil, rectifier and its relay.'),
    cause('limit', 'the current or torque limit is too low', 16, 15, 'As the load class asks, within what the drive gives.'),
    cause('boost', 'too little torque at low speed: boost, autotune, V/Hz', 12, 30, 'Vector control with autotune; boost at its default.'),
    cause('supervision', 'the supervision is set too tight', 10, 15, 'Time and speed of the supervision by the machine.'),
  ], [
    check('brake', 'Listen at the brake when run is given: does it click open?', 4, 'moves', ['no click', 'it opens, or there is none'], { brake: 0.95 }, 0.03),
    check('turn', 'Proven dead: turn the shaft by hand, or by its fan.', 6, 'dead', ['stiff or stuck', 'free'], { jam: 0.88, brake: 0.95 }, 0.04),
    check('limit', 'Read the current limit against motor and load.', 2, 'none', ['below what the load asks', 'as it should be'], { limit: 0.95 }, 0.04),
    check('low', 'Ask: only at low speed?', 1, 'none', ['only at low speed', 'at any speed'], { boost: 0.92, jam: 0.4, brake: 0.6 }, 0.15),
    check('times', 'Read time and speed of the supervision.', 2, 'none', ['tight', 'wide enough'], { supervision: 0.93 }, 0.08),
  ]),
  table('overspeed', [
    cause('driven', 'the load drives the motor faster', 36, 80, 'Brake resistor, mechanical brake, longer ramp down; look at the load.'),
    cause('feedback', 'the encoder counts wrongly: lines, A and B, noise', 26, 40, 'Lines per turn, direction, screen.'),
    cause('tuning', 'the speed overshoots', 18, 30, 'Less gain; a longer ramp or an S-curve.'),
    cause('maximum', 'maximum or base frequency is entered wrong', 20, 15, 'As plate and machine allow.'),
  ], [
    check('maximum', 'Compare maximum and base frequency with plate and machine.', 2, 'none', ['they differ', 'as they should be'], { maximum: 0.96 }, 0.03),
    check('shaft', 'Measure the shaft against the speed on the display.', 5, 'moves', ['they differ', 'they agree'], { feedback: 0.95 }, 0.04, { tool: 'tachometer' }),
    check('moment', 'Ask: when lowering, or when the load pulls?', 1, 'none', ['yes', 'no'], { driven: 0.9 }, 0.1),
    check('trend', 'Look at a trend of the speed at the fault: overshoot after a ramp?', 5, 'moves', ['overshoot', 'no'], { tuning: 0.93 }, 0.08),
  ]),
  table('other', [
    cause('setting', 'a parameter contradicts another or the machine', 30, 25, 'The manual’s page of this fault; compare with the factory set.'),
    cause('outside', 'something outside: supply, load, signal, wire', 35, 60, 'What changed lately; loops and supply first.'),
    cause('option', 'an option card or its plug', 12, 40, 'Dead: out and in again; start without it where that is safe.'),
    cause('unit', 'the unit itself', 23, 130, 'Static test; repair or replace the unit.'),
  ], [
    check('changed', 'Ask: what was changed last, here or at the machine?', 2, 'none', ['a parameter', 'nothing, or something else'], { setting: 0.85 }, 0.1),
    check('manual', 'Read the manual’s page of this fault: does it name something outside the unit?', 5, 'none', ['outside', 'the unit'], { outside: 0.85, setting: 0.5, option: 0.3 }, 0.1),
    check('option', 'Dead: option cards and plugs home?', 6, 'dead', ['loose', 'home'], { option: 0.9 }, 0.04),
    powerCycle({ unit: 0.9, option: 0.7, setting: 0.8 }, 0.3),
  ]),
];
