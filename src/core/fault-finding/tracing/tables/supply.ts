// Trips of supply, bank and bus.
import type { Check } from '../table';
import { cause, check, table } from './build';

const meter = { tool: 'multimeter' };
const busAtRest = (given: Check['outcomes'][number]['given'], otherwise: number) =>
  check('bus', 'Read the bus voltage at rest on the display.', 2, 'none', ['well above 1.41 × the rated voltage', 'about right or below'], given, otherwise, {
    read: [{ outcome: 'yes', live: 'busShare', atLeast: 1.12 }, { outcome: 'no', live: 'busShare', below: 1.12 }],
  });

/** Trips of supply, bank and bus. */
export const supplyTables = [
  table(
    'input-phase-loss',
    [
      cause('fuse', 'line fuse blown', 40, 30, 'Find why it blew, then replace the fuse.'),
      cause('contactor', 'one pole of the line contactor does not close', 20, 65, 'Replace the contactor.'),
      cause('lug', 'loose line lug', 15, 35, 'Tighten to table torque.'),
      cause('supply', 'supply phase missing', 10, 80, 'Call the supply operator.'),
      cause('single', 'single-phase supply with phase supervision on', 10, 35, 'Derate, then set the supervision to no action, with a note in the report.'),
      cause('diode', 'a rectifier diode is open', 5, 140, 'Static test, then repair or replace.'),
      cause('unbalance', 'unbalanced supply: bus ripple looks like a lost phase', 7, 60, 'Spread the single-phase loads; a line choke.'),
      cause('pulsating', 'pulsating load causes bus ripple', 5, 30, 'Smoother ramps or a flywheel; supervision delay as the manual allows.'),
      cause('weak-bank', 'aged capacitor bank: bus ripple looks like a lost phase', 5, 150, 'Capacitance and ripple; replace the capacitor bank or the unit.'),
    ],
    [
      check('three', 'Ask or look: is it three-phase supply at all?', 2, 'none', ['three phases', 'one phase'], { single: 0.02 }, 0.99),
      check('fuses', 'Dead: remove each line fuse and measure it; in the holder a parallel path gives a false reading.', 6, 'dead', ['one is open', 'all good'], { fuse: 0.98 }, 0.02, meter),
      check('lugs', 'Dead: pull-test every line lug and look for heat marks.', 6, 'dead', ['one is loose or burnt', 'all tight'], { lug: 0.9, contactor: 0.1 }, 0.04),
      check('volts', 'Live, by a licensed person: line to line at the drive terminals under load.', 6, 'live', ['one is missing', 'all three there'], { fuse: 0.97, contactor: 0.95, lug: 0.8, supply: 0.98, single: 0.98 }, 0.03, meter),
      check('ripple', 'Ask or check a trend: only under load, or in step with the machine?', 3, 'none', ['only under load, or in step', 'also without load'], { pulsating: 0.95, 'weak-bank': 0.85, unbalance: 0.6, lug: 0.4 }, 0.1),
      check('between', 'Live, by a licensed person: line to line, three readings, largest deviation over the mean.', 6, 'live', ['above 2 %', 'below'], { unbalance: 0.95, supply: 0.5 }, 0.1, meter),
      check('static', 'Dead: the rectifier readings of the bench.', 15, 'dead', ['an upper or lower diode is open', 'all good'], { diode: 0.98 }, 0.02, meter),
    ],
  ),
  table(
    'undervoltage',
    [
      cause('sag', 'supply dips when a large load starts', 35, 60, 'Find the load; use ride-through, a reactor or another feeder.'),
      cause('contact', 'supply contactor, fuse or lug fails under load', 25, 60, 'Replace the part; tighten to the torque of the table.'),
      cause('relay', 'precharge relay does not close, precharge resistor carries the load', 15, 120, 'Repair or replace the unit.'),
      cause('bank', 'aged capacitor bank', 12, 150, 'Replace the capacitor bank or the unit.'),
      cause('single', 'single-phase supply at full load', 8, 40, 'Derate, or use a three-phase supply.'),
      cause('region', '50/60 Hz default set or supply voltage set wrong', 5, 20, 'Set the 50/60 Hz default set by the nameplate, then check every motor parameter.'),
      cause('power-down', 'logged at a normal power-down: no fault', 12, 10, 'Nothing to repair: compare fault log times with switch-off times.'),
      cause('coil', 'line contactor coil drops out at a supply dip', 8, 50, 'Buffered coil supply, or a delay; check its contacts.'),
    ],
    [
      check('moment', 'Ask or read fault times: always when another machine starts?', 3, 'none', ['with another machine', 'at any time'], { sag: 0.85, coil: 0.6 }, 0.1),
      check('off', 'Read the fault log: only at the times when it is switched off?', 2, 'none', ['only then', 'while it should run'], { 'power-down': 0.97 }, 0.03),
      check('hear', 'Look and listen at the line contactor when it happens: does it drop out?', 3, 'none', ['it drops out', 'it stays in'], { coil: 0.93 }, 0.04),
      check('region', 'Read 50/60 Hz default set and motor voltage: do they match the nameplates?', 2, 'none', ['do not match', 'match'], { region: 0.97 }, 0.03),
      check('lugs', 'Dead: pull-test lugs, check contactor and fuse clips for heat marks.', 8, 'dead', ['loose, burnt or pitted', 'all good'], { contact: 0.85 }, 0.05),
      check('load', 'Watch the bus voltage under load: does it fall at once with the current?', 5, 'control', ['falls at once and far', 'holds, then dips'], { relay: 0.95, bank: 0.5, single: 0.8, contact: 0.7 }, 0.1),
      check('charge', 'Dead: capacitance of the capacitor bank compared with the rating, and the precharge path.', 20, 'dead', ['bank or relay failed', 'both good'], { bank: 0.9, relay: 0.85 }, 0.04, meter),
    ],
  ),
  table(
    'overvoltage-rest',
    [
      cause('high', 'supply voltage too high', 45, 80, 'Have the transformer taps or supply corrected.'),
      cause('surge', 'surges: capacitor banks, lightning, welding', 25, 70, 'Surge arresters or a line reactor; ask when it happens.'),
      cause('driven', 'load turns a permanent-magnet motor, or a motor with capacitors on the output side', 12, 60, 'Fit a brake or a non-return valve; remove the capacitors. A driven induction motor alone rarely self-excites.'),
      cause('sense', 'bus measurement of the unit failed', 15, 110, 'Replace the unit.'),
    ],
    [
      busAtRest({ high: 0.95, sense: 0.7 }, 0.05),
      check('moment', 'Ask: at certain hours, in storms, when something switches?', 2, 'none', ['yes', 'at any time'], { surge: 0.85, high: 0.3 }, 0.05),
      check('shaft', 'Look: does the shaft turn while the drive is stopped, and is it a permanent-magnet motor or are there capacitors at the motor?', 2, 'none', ['it turns, and one of them is there', 'neither, or shaft stopped'], { driven: 0.95 }, 0.02),
      check('compare', 'Live, by a licensed person: line to line volts against the bus voltage on the display (1.41 ×).', 10, 'live', ['they do not agree', 'they agree'], { sense: 0.93 }, 0.03, meter),
    ],
  ),
  table(
    'overvoltage-decelerating',
    [
      cause('ramp', 'ramp down too short for the inertia', 50, 30, 'Lengthen the ramp down, or coast where safe.'),
      cause('chopper-off', 'brake chopper switched off', 15, 25, 'Switch it on, with the brake resistor connected.'),
      cause('resistor', 'brake resistor or its wire open', 15, 80, 'Replace the resistor; check its thermal switch.'),
      cause('overhauling', 'overhauling load', 10, 110, 'Size a brake resistor for it; never coast.'),
      cause('high', 'supply voltage too high', 10, 80, 'Have the transformer taps or supply corrected.'),
    ],
    [
      check('parameter', 'Read chopper parameter and ramp down.', 2, 'none', ['chopper off', 'chopper on, or none fitted'], { 'chopper-off': 0.99 }, 0.05, {
        read: [{ outcome: 'yes', concept: 'brake.chopper', is: ['off'] }, { outcome: 'no', concept: 'brake.chopper', is: ['on'] }],
      }),
      check('coast', 'Ask: does it trip when coasting to a stop?', 2, 'none', ['yes', 'no'], { high: 0.5, overhauling: 0.3 }, 0.02),
      check('ohms', 'Dead: resistance of the brake resistor at its terminals, wires off.', 12, 'dead', ['open or far from rating', 'as rated'], { resistor: 0.97 }, 0.02, meter),
      busAtRest({ high: 0.95 }, 0.03),
    ],
  ),
  table(
    'overvoltage',
    [
      cause('ramp', 'ramp down too short for the inertia', 45, 30, 'Lengthen the ramp down, or coast where safe.'),
      cause('brake', 'brake chopper off, or brake resistor open', 25, 60, 'Chopper on, resistor good, its thermal switch in the line contactor circuit.'),
      cause('high', 'supply too high, or with surges', 20, 80, 'Have the supply corrected; fit arresters or a reactor.'),
      cause('overhauling', 'overhauling load', 10, 110, 'Size a brake resistor for it; never coast.'),
    ],
    [
      check('when', 'Ask or read the fault log: during ramp down, or at rest and at speed?', 2, 'none', ['during ramp down', 'at rest or at speed'], { ramp: 0.95, brake: 0.9, overhauling: 0.5 }, 0.1),
      busAtRest({ high: 0.85 }, 0.04),
      check('ohms', 'Dead: ohms of the brake resistor, wires off; read the chopper parameter.', 12, 'dead', ['open, or the chopper is off', 'good and on, or none fitted'], { brake: 0.96 }, 0.03, meter),
    ],
  ),
  table(
    'charging',
    [
      cause('resistor', 'the precharge resistor is open (this fault shows where the control supply comes from the line; fed from the bus, the display is dark)', 40, 120, 'Repair or replace the unit; find what overloaded it.'),
      cause('relay', 'precharge relay or its driver does not close', 25, 120, 'Repair or replace the unit.'),
      cause('often', 'power was switched on and off too often and the resistor is hot', 15, 25, 'Let it cool; start and stop by the run command, not by the line contactor.'),
      cause('bus', 'bus loaded: short, or a second unit', 12, 140, 'Static test; disconnect other loads from the bus.'),
      cause('supply', 'phase missing', 8, 40, 'Restore the phase. Do not restore mains before the bus is proven free of a short.'),
    ],
    [
      check('often', 'Ask: how often is the mains switched?', 2, 'none', ['many times an hour', 'seldom'], { often: 0.95, resistor: 0.35 }, 0.08),
      check('rise', 'Watch the bus voltage at power-on: does it rise?', 4, 'control', ['stays at zero', 'rises, then stops or falls back'], { resistor: 0.95, often: 0.5, supply: 0.3 }, 0.04),
      check('static', 'Dead: bus and rectifier readings of the bench, with the precharge path.', 15, 'dead', ['precharge path open', 'path good'], { resistor: 0.96, often: 0.1 }, 0.03, meter),
      check('short', 'Dead: is the bus shorted or loaded by something else?', 10, 'dead', ['loaded', 'free'], { bus: 0.95 }, 0.03, meter),
    ],
  ),
];
