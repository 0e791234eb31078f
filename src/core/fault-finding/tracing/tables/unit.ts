// Faults that the unit finds in itself, in its options and in its brake.
import { cause, check, table } from './build';

const meter = { tool: 'multimeter' };
const powerCycle = (given: Readonly<Record<string, number>>, otherwise: number) =>
  check('again', 'Save what can be read. Power off, wait until dark, power on: does it return at once?', 6, 'control', ['returns', 'gone'], given, otherwise);

/** Faults of the unit itself. */
export const unitTables = [
  table('gate-supply', [
    cause('driver', 'gate driver or its supply damaged', 38, 140, 'Compare the six gate drives with the bus dead; repair or replace the unit.'),
    cause('igbt', 'shorted IGBT loads its driver', 22, 140, 'Static test, then repair or replace.'),
    cause('rails', 'internal power supply weak', 18, 130, 'Check capacitors of the power supply; repair or replace the unit.'),
    cause('sto', 'STO channels dip: they supply the gate drivers', 14, 40, 'Loop check of both channels, volts under load.'),
    cause('plug', 'plug between control and power board loose', 8, 60, 'Dead: reseat, look for bent pins.'),
  ], [
    check('static', 'Dead: the inverter readings of the bench.', 12, 'dead', ['a short', 'no short'], { igbt: 0.98, driver: 0.15 }, 0.02, meter),
    check('gates', 'Dead: the six gate–emitter readings compared.', 12, 'dead', ['one differs', 'six equal'], { driver: 0.8, igbt: 0.7 }, 0.04, meter),
    check('plug', 'Dead: plugs between the boards seated and clean?', 5, 'dead', ['loose or dirty', 'home'], { plug: 0.93 }, 0.03),
    check('sto', 'Measure both STO channels at the terminals while it trips.', 5, 'control', ['voltage dips', 'voltage stable'], { sto: 0.94 }, 0.03, meter),
  ]),
  table('current-sensor', [
    cause('offset', 'current sensor drifted or damaged', 45, 120, 'Replace the sensor or the unit.'),
    cause('rail', 'sensor supply out of range', 18, 120, 'Check control supply rails; repair or replace the unit.'),
    cause('turning', 'motor turning during zero calibration', 17, 20, 'Power up with the motor stopped; use a brake or flying start as the load requires.'),
    cause('plug', 'sensor plug loose', 12, 40, 'Dead: reseat.'),
    cause('magnet', 'strong magnetic field nearby', 8, 30, 'Increase distance to chokes and bus bars.'),
  ], [
    check('shaft', 'Look: does the shaft turn at power-up?', 2, 'none', ['it turns', 'it is still'], { turning: 0.95 }, 0.02),
    check('display', 'Read the output current on the display while stopped: zero in all phases?', 2, 'none', ['not zero', 'zero'], { offset: 0.9, rail: 0.7, magnet: 0.6 }, 0.1),
    check('plug', 'Dead: sensor plug seated and clean?', 5, 'dead', ['loose or dirty', 'home'], { plug: 0.93 }, 0.03),
    powerCycle({ offset: 0.93, rail: 0.95, plug: 0.7, magnet: 0.9 }, 0.15),
  ]),
  table('control-rail', [
    cause('load', '24 V or 10 V load too high', 42, 40, 'Connect loads one by one; repair the load or use a separate supply.'),
    cause('short', 'control wire shorted to earth or another wire', 24, 50, 'Measure each wire; repair.'),
    cause('supply', 'internal power supply weak', 24, 130, 'Check capacitors of the power supply; repair or replace the unit.'),
    cause('backfeed', 'foreign voltage on a terminal', 10, 40, 'Find it with all supplies of the unit off; isolate it.'),
  ], [
    check('unplug', 'Prove dead, unplug all control terminals and options, power up: fault gone?', 12, 'control', ['gone', 'returns'], { load: 0.96, short: 0.96, backfeed: 0.9 }, 0.03),
    check('foreign', 'Unit completely off: voltage at the control terminals, AC and DC.', 6, 'control', ['voltage present', 'none'], { backfeed: 0.96 }, 0.02, meter),
    check('ohms', 'Dead, plug out: resistance of each control wire to PE and common.', 10, 'dead', ['a short', 'none'], { short: 0.93, load: 0.3 }, 0.03, meter),
  ]),
  table('keypad', [
    cause('ribbon', 'ribbon cable or plug between boards or to the keypad', 45, 25, 'Dead: reseat; replace a creased ribbon cable.'),
    cause('keypad', 'keypad failed', 25, 15, 'Use another keypad.'),
    cause('firmware', 'keypad and unit are of different firmware', 12, 30, 'Use a matching pair.'),
    cause('board', 'board failed', 18, 130, 'Replace the board or the unit.'),
  ], [
    check('swap', 'Try another keypad and its cable.', 4, 'none', ['it works', 'the same'], { keypad: 0.97, ribbon: 0.4, firmware: 0.6 }, 0.03),
    check('moved', 'Ask: was the unit opened or its keypad moved recently?', 1, 'none', ['yes', 'no'], { ribbon: 0.75, firmware: 0.5 }, 0.15),
    check('plugs', 'Dead: ribbon cables and plugs seated, straight and clean?', 6, 'dead', ['loose, creased or dirty', 'all seated'], { ribbon: 0.93 }, 0.04),
    check('link', 'Try the drive link: does the unit answer?', 2, 'none', ['it answers', 'silent'], { keypad: 0.9, firmware: 0.9, ribbon: 0.6 }, 0.1),
  ]),
  table('temperature-sensor', [
    cause('sensor', 'sensor or its wire open', 45, 110, 'Replace the sensor or the unit.'),
    cause('cold', 'ambient below the minimum of the unit', 20, 30, 'Heat the cabinet; power up when warm.'),
    cause('plug', 'loose plug', 25, 25, 'Dead: reseat.'),
    cause('board', 'board input failed', 10, 120, 'Replace the board or the unit.'),
  ], [
    check('display', 'Read the temperature on the display: plausible?', 2, 'none', ['impossible', 'possible'], { sensor: 0.9, plug: 0.9, board: 0.9 }, 0.05),
    check('room', 'Measure the air at the unit: below its minimum temperature?', 3, 'none', ['below', 'within'], { cold: 0.96 }, 0.03, { tool: 'thermometer' }),
    check('plug', 'Dead: sensor plug seated?', 5, 'dead', ['loose', 'home'], { plug: 0.94 }, 0.03),
    check('ohms', 'Dead, plug out: sensor resistance compared with its table or another phase.', 6, 'dead', ['open, shorted or very different', 'plausible'], { sensor: 0.95 }, 0.03, meter),
  ]),
  table('brake-chopper', [
    cause('shorted', 'brake IGBT shorted: resistor always on', 60, 140, 'Isolate at once: fire hazard. Static test with BR, then repair or replace.'),
    cause('driver', 'driver keeps it on', 18, 140, 'Repair or replace the unit.'),
    cause('threshold', 'supply too high, above the chopper level', 14, 80, 'Correct taps or supply; check the chopper level of the voltage class.'),
    cause('feedback', 'only its supervision failed', 8, 110, 'Replace the unit.'),
  ], [
    check('resistor', 'Do not touch: is the resistor hot without braking?', 1, 'none', ['hot', 'cold'], { shorted: 0.96, driver: 0.94, threshold: 0.9 }, 0.03, { tool: 'infrared thermometer' }),
    check('bus', 'Read the bus on the display at rest: above the chopper level of its class?', 2, 'none', ['above', 'below'], { threshold: 0.96 }, 0.03),
    check('static', 'Dead, resistor off: BR to DC+ and DC− both ways.', 8, 'dead', ['a short', 'no short'], { shorted: 0.98 }, 0.02, meter),
  ]),
  table('brake-resistor', [
    cause('duty', 'braking duty above the resistor rating', 38, 60, 'Longer ramp down, fewer stops, or a resistor for this duty.'),
    cause('small', 'resistance or rating entered wrong', 22, 20, 'Enter ohms, continuous power and time constant from its nameplate.'),
    cause('stuck', 'chopper always on', 15, 140, 'Isolate at once; static test with BR.'),
    cause('high', 'supply too high, chopper active at rest', 13, 80, 'Correct taps or supply.'),
    cause('cooling', 'covered, or its fan off', 12, 30, 'Restore cooling; check the fan.'),
  ], [
    check('rest', 'Do not touch: is it hot without braking?', 2, 'none', ['hot at rest', 'only after braking'], { stuck: 0.96, high: 0.93 }, 0.03, { tool: 'infrared thermometer' }),
    check('entries', 'Compare the parameters of the resistor with its nameplate.', 4, 'none', ['they differ', 'as its nameplate'], { small: 0.96 }, 0.05),
    check('duty', 'Ask: more stops, heavier load or shorter ramp than before?', 2, 'none', ['more than before', 'no change'], { duty: 0.85 }, 0.12),
    check('air', 'Look: covered, dusty, too close to a wall?', 2, 'none', ['covered or dusty', 'free'], { cooling: 0.95 }, 0.05),
  ]),
  table('sto-mismatch', [
    cause('contact', 'contact of the safety device worn or slow', 35, 50, 'Replace the contact or device: both channels must open together.'),
    cause('wire', 'wire of one channel open or crossed', 30, 40, 'Loop check of both channels; repair.'),
    cause('return', 'the returns do not meet at the source that feeds them', 15, 30, 'Use one source, with its minus on both returns.'),
    cause('pulses', 'test pulses of the safety device read as opening', 12, 30, 'Filter time, or a compatible safety device.'),
    cause('input', 'STO channel of the unit failed', 8, 130, 'Replace the unit. An STO channel is not repaired.'),
  ], [
    check('both', 'Read both channels on the display with the safety device closed: one off?', 2, 'none', ['one is off', 'both on'], { wire: 0.95, return: 0.6, input: 0.9, contact: 0.3 }, 0.05),
    check('volts', 'Measure both channels at the terminals, to the minus of the source.', 6, 'control', ['one is missing', 'both present'], { wire: 0.95, contact: 0.6 }, 0.03, meter),
    check('moment', 'Ask: only when it opens or closes?', 1, 'none', ['only then', 'all the time'], { contact: 0.9 }, 0.06),
    check('device', 'Read the manual of the safety device: does it send test pulses?', 4, 'none', ['it does', 'does not'], { pulses: 0.97 }, 0.3),
    check('minus', 'Dead: resistance from each return to the minus of the source.', 6, 'dead', ['one is open', 'both near zero'], { return: 0.95, wire: 0.3 }, 0.03, meter),
  ]),
  table('autotune', [
    cause('plate', 'motor data not from the nameplate', 36, 20, 'Enter the rating plate, then autotune again.'),
    cause('enable', 'enable, STO or the motor contactor opened during it', 22, 15, 'Close all permissives, people clear, then repeat.'),
    cause('coupled', 'rotating autotune with the machine coupled', 18, 30, 'Uncouple, or standstill autotune.'),
    cause('size', 'motor much smaller or larger than the drive', 12, 30, 'See the minimum motor size in the manual; V/Hz without autotune.'),
    cause('open', 'a motor phase is open or the motor is shorted', 12, 60, 'Winding and insulation test.'),
  ], [
    check('plate', 'Compare the motor data with the rating plate: volts, amps, rpm, star or delta.', 3, 'none', ['they differ', 'as on the nameplate'], { plate: 0.95 }, 0.04),
    check('chain', 'Read the inputs during autotune: does one open?', 2, 'moves', ['one opens', 'all stay'], { enable: 0.95 }, 0.03),
    check('kind', 'Read the selected autotune type, and check if the shaft is free.', 2, 'none', ['rotating, and coupled', 'as it should be'], { coupled: 0.97 }, 0.03),
    check('size', 'Compare rated current of motor and unit: below a third?', 1, 'none', ['very different', 'they fit'], { size: 0.93 }, 0.04),
    check('ohms', 'Dead: winding ohms U–V, V–W, W–U at the drive end.', 6, 'dead', ['one pair differs', 'all three equal'], { open: 0.96 }, 0.02, meter),
  ]),
  table('stall', [
    cause('jam', 'machine blocked', 40, 60, 'Stop, isolate, free it; find the cause.'),
    cause('brake', 'mechanical brake does not open', 22, 60, 'Brake coil, rectifier and its relay.'),
    cause('limit', 'the current or torque limit is too low', 16, 15, 'Set for the load class, within the drive rating.'),
    cause('boost', 'too little torque at low speed: boost, autotune, V/Hz', 12, 30, 'Vector control with autotune; boost at its default.'),
    cause('supervision', 'stall supervision set too tight', 10, 15, 'Set supervision time and speed for the machine.'),
  ], [
    check('brake', 'Listen at the brake when run is given: does it click open?', 4, 'moves', ['no click', 'opens, or no brake'], { brake: 0.95 }, 0.03),
    check('turn', 'Proven dead: turn the shaft by hand or at its fan.', 6, 'dead', ['stiff or stuck', 'free'], { jam: 0.88, brake: 0.95 }, 0.04),
    check('limit', 'Compare the current limit with motor and load.', 2, 'none', ['below the load requirement', 'as it should be'], { limit: 0.95 }, 0.04),
    check('low', 'Ask: only at low speed?', 1, 'none', ['only at low speed', 'at any speed'], { boost: 0.92, jam: 0.4, brake: 0.6 }, 0.15),
    check('times', 'Read time and speed of the supervision.', 2, 'none', ['tight', 'wide enough'], { supervision: 0.93 }, 0.08),
  ]),
  table('overspeed', [
    cause('driven', 'overhauling load drives the motor', 36, 80, 'Brake resistor, mechanical brake, longer ramp down; look at the load.'),
    cause('feedback', 'encoder counts wrong: lines, A/B, noise', 26, 40, 'Lines per turn, direction, screen.'),
    cause('tuning', 'the speed overshoots', 18, 30, 'Lower gain; longer ramp or S-curve.'),
    cause('maximum', 'maximum or base frequency is entered wrong', 20, 15, 'Set as nameplate and machine allow.'),
  ], [
    check('maximum', 'Compare maximum and base frequency with nameplate and machine.', 2, 'none', ['they differ', 'as they should be'], { maximum: 0.96 }, 0.03),
    check('shaft', 'Compare shaft speed with the display.', 5, 'moves', ['they differ', 'they agree'], { feedback: 0.95 }, 0.04, { tool: 'tachometer' }),
    check('moment', 'Ask: when lowering, or with an overhauling load?', 1, 'none', ['yes', 'no'], { driven: 0.9 }, 0.1),
    check('trend', 'Check a speed trend at the fault: overshoot after a ramp?', 5, 'moves', ['overshoot', 'no'], { tuning: 0.93 }, 0.08),
  ]),
  table('other', [
    cause('setting', 'a parameter contradicts another or the machine', 30, 25, 'The manual’s page of this fault; compare with the factory set.'),
    cause('outside', 'external cause: supply, load, signal, wire', 35, 60, 'Find recent changes; check loops and supply first.'),
    cause('option', 'option card or its plug', 12, 40, 'Dead: reseat; start without it where safe.'),
    cause('unit', 'the drive itself', 23, 130, 'Static test; repair or replace the unit.'),
  ], [
    check('changed', 'Ask: what was changed last, in the drive or at the machine?', 2, 'none', ['a parameter', 'nothing, or something else'], { setting: 0.85 }, 0.1),
    check('manual', 'Read this fault in the manual: external cause?', 5, 'none', ['outside', 'the unit'], { outside: 0.85, setting: 0.5, option: 0.3 }, 0.1),
    check('option', 'Dead: option cards and plugs seated?', 6, 'dead', ['loose', 'home'], { option: 0.9 }, 0.04),
    powerCycle({ unit: 0.9, option: 0.7, setting: 0.8 }, 0.3),
  ]),
];
