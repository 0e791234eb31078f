// Trips of supply, bank and bus.
import type { Check } from '../table';
import { cause, check, table } from './build';

const meter = { tool: 'multimeter' };
const busAtRest = (given: Check['outcomes'][number]['given'], otherwise: number) =>
  check('bus', 'Read the bus volts at rest on the display.', 2, 'none', ['well above 1.41 × the plate volts', 'about right or below'], given, otherwise, {
    read: [{ outcome: 'yes', live: 'busShare', atLeast: 1.12 }, { outcome: 'no', live: 'busShare', below: 1.12 }],
  });

/** Trips of supply, bank and bus. */
export const supplyTables = [
  table(
    'input-phase-loss',
    [
      cause('fuse', 'a line fuse is blown', 40, 30, 'Replace the fuse; ask why it blew.'),
      cause('contactor', 'a pole of the line contactor does not make', 20, 65, 'Replace the contactor.'),
      cause('lug', 'a line lug is loose', 15, 35, 'Tighten to the torque of the table.'),
      cause('supply', 'the supply itself lacks a phase', 10, 80, 'Call whoever runs the supply.'),
      cause('single', 'it is fed from one phase, and the supervision is on', 10, 35, 'Derate, then set the supervision to no action, with a note on the report.'),
      cause('diode', 'a rectifier diode is open', 5, 140, 'Static test, then repair or replace.'),
      cause('unbalance', 'the supply is unbalanced: the ripple of the bus looks like a lost phase', 7, 60, 'Spread the single-phase loads; a line choke.'),
      cause('pulsating', 'the load pulsates, and the bus with it', 5, 30, 'Smoother ramps or a flywheel; the delay of the supervision as the manual allows.'),
      cause('weak-bank', 'the capacitor bank is worn: its ripple looks like a lost phase', 5, 150, 'Capacitance and ripple; replace the bank or the unit.'),
    ],
    [
      check('three', 'Ask or look: is it fed from three phases at all?', 2, 'none', ['three phases', 'one phase'], { single: 0.02 }, 0.99),
      check('fuses', 'Dead: take each line fuse out and measure it; in its holder a path round it deceives.', 6, 'dead', ['one is open', 'all good'], { fuse: 0.98 }, 0.02, meter),
      check('lugs', 'Dead: tug every line lug and look for heat marks.', 6, 'dead', ['one is loose or burnt', 'all tight'], { lug: 0.9, contactor: 0.1 }, 0.04),
      check('volts', 'Live, by a licensed person: line to line at the drive terminals under load.', 6, 'live', ['one is missing', 'all three there'], { fuse: 0.97, contactor: 0.95, lug: 0.8, supply: 0.98, single: 0.98 }, 0.03, meter),
      check('ripple', 'Ask or look at a trend: only under load, or in step with the machine?', 3, 'none', ['only under load, or in step', 'at rest, too'], { pulsating: 0.95, 'weak-bank': 0.85, unbalance: 0.6, lug: 0.4 }, 0.1),
      check('between', 'Live, by a licensed person: line to line, three readings, largest deviation over the mean.', 6, 'live', ['above 2 %', 'below'], { unbalance: 0.95, supply: 0.5 }, 0.1, meter),
      check('static', 'Dead: the rectifier readings of the bench.', 15, 'dead', ['an upper or lower diode is open', 'all sound'], { diode: 0.98 }, 0.02, meter),
    ],
  ),
  table(
    'undervoltage',
    [
      cause('sag', 'the supply sags when something big starts', 35, 60, 'Find what starts; ride-through, a reactor or another feeder.'),
      cause('contact', 'a contactor, fuse or lug of the supply gives way under load', 25, 60, 'Replace the part; tighten to the torque of the table.'),
      cause('relay', 'the precharge relay does not close, so the resistor carries the load', 15, 120, 'Repair or exchange the unit.'),
      cause('bank', 'the bank is worn', 12, 150, 'Exchange the bank or the unit.'),
      cause('single', 'it is fed from one phase under full load', 8, 40, 'Derate, or feed it from three phases.'),
      cause('region', 'the region or the supply voltage is set wrong', 5, 20, 'Set the region as the plate says, then check every motor entry.'),
      cause('power-down', 'it was written down at a normal switching-off: no fault', 12, 10, 'Nothing to repair: compare the times of the fault log with when it is switched off.'),
      cause('coil', 'the coil of the line contactor drops out at a dip', 8, 50, 'A coil supply that rides through, or a delay; look at its contacts.'),
    ],
    [
      check('moment', 'Ask or read the fault clock: always when another machine starts?', 3, 'none', ['with another machine', 'at any time'], { sag: 0.85, coil: 0.6 }, 0.1),
      check('off', 'Read the fault log: only at the times when it is switched off?', 2, 'none', ['only then', 'while it should run'], { 'power-down': 0.97 }, 0.03),
      check('hear', 'Look and listen at the line contactor when it happens: does it drop out?', 3, 'none', ['it drops out', 'it stays in'], { coil: 0.93 }, 0.04),
      check('region', 'Read region and motor voltage: as the plates say?', 2, 'none', ['not as the plates', 'as the plates'], { region: 0.97 }, 0.03),
      check('lugs', 'Dead: tug lugs, look at contactor and fuse clips for heat.', 8, 'dead', ['loose, burnt or pitted', 'all good'], { contact: 0.85 }, 0.05),
      check('load', 'Watch the bus volts while it is loaded: do they fall at once with the current?', 5, 'control', ['fall at once and far', 'hold, then dip'], { relay: 0.95, bank: 0.5, single: 0.8, contact: 0.7 }, 0.1),
      check('charge', 'Dead: capacitance of the bank against the plate, and the precharge path.', 20, 'dead', ['bank or relay bad', 'both good'], { bank: 0.9, relay: 0.85 }, 0.04, meter),
    ],
  ),
  table(
    'overvoltage-rest',
    [
      cause('high', 'the supply is high', 45, 80, 'Have the taps or the supply put right.'),
      cause('surge', 'surges: capacitor banks, lightning, welding', 25, 70, 'Surge arresters or a line reactor; ask when it happens.'),
      cause('driven', 'the load turns a permanent-magnet motor, or one with capacitors on its side of the drive', 12, 60, 'A brake or a non-return valve; take the capacitors off. A driven induction motor alone hardly excites itself.'),
      cause('sense', 'the unit measures its bus wrongly', 15, 110, 'Exchange the unit.'),
    ],
    [
      busAtRest({ high: 0.95, sense: 0.7 }, 0.05),
      check('moment', 'Ask: at certain hours, in storms, when something switches?', 2, 'none', ['yes', 'at any time'], { surge: 0.85, high: 0.3 }, 0.05),
      check('shaft', 'Look: does the shaft turn while the drive is stopped, and is it a permanent-magnet motor or are there capacitors at the motor?', 2, 'none', ['it turns, and one of them is there', 'neither, or it is still'], { driven: 0.95 }, 0.02),
      check('compare', 'Live, by a licensed person: line to line volts against the bus volts on the display (1.41 ×).', 10, 'live', ['they do not agree', 'they agree'], { sense: 0.93 }, 0.03, meter),
    ],
  ),
  table(
    'overvoltage-decelerating',
    [
      cause('ramp', 'the deceleration is too short for what turns', 50, 30, 'Lengthen the deceleration, or let it coast where that is safe.'),
      cause('chopper-off', 'the brake chopper is switched off', 15, 25, 'Switch it on, with its resistor in place.'),
      cause('resistor', 'the brake resistor or its wire is open', 15, 80, 'Replace the resistor; look at its thermal switch.'),
      cause('overhauling', 'the load drives the motor', 10, 110, 'Brake resistor sized for it; never coast it.'),
      cause('high', 'the supply is high', 10, 80, 'Have the taps or the supply put right.'),
    ],
    [
      check('parameter', 'Read the chopper entry and the deceleration.', 2, 'none', ['chopper off', 'chopper on, or none fitted'], { 'chopper-off': 0.99 }, 0.05, {
        read: [{ outcome: 'yes', concept: 'brake.chopper', is: ['off'] }, { outcome: 'no', concept: 'brake.chopper', is: ['on'] }],
      }),
      check('coast', 'Ask: does it trip when it stops by coasting?', 2, 'none', ['also then', 'never then'], { high: 0.5, overhauling: 0.3 }, 0.02),
      check('ohms', 'Dead: ohms of the brake resistor at its terminals, wires off.', 12, 'dead', ['open or far off its plate', 'as on its plate'], { resistor: 0.97 }, 0.02, meter),
      busAtRest({ high: 0.95 }, 0.03),
    ],
  ),
  table(
    'overvoltage',
    [
      cause('ramp', 'the deceleration is too short for what turns', 45, 30, 'Lengthen the deceleration, or let it coast where that is safe.'),
      cause('brake', 'the brake chopper is off, or its resistor open', 25, 60, 'Chopper on, resistor whole, its thermal switch in the line contactor.'),
      cause('high', 'the supply is high, or has surges', 20, 80, 'Have the supply put right; arresters or a reactor.'),
      cause('overhauling', 'the load drives the motor', 10, 110, 'Brake resistor sized for it; never coast it.'),
    ],
    [
      check('when', 'Ask or read the fault slot: while slowing down, or at rest and at speed?', 2, 'none', ['while slowing down', 'at rest or at speed'], { ramp: 0.95, brake: 0.9, overhauling: 0.5 }, 0.1),
      busAtRest({ high: 0.85 }, 0.04),
      check('ohms', 'Dead: ohms of the brake resistor, wires off; read the chopper entry.', 12, 'dead', ['open, or the chopper is off', 'whole and on, or none fitted'], { brake: 0.96 }, 0.03, meter),
    ],
  ),
  table(
    'charging',
    [
      cause('resistor', 'the precharge resistor is open (this fault shows where the control supply comes from the line; fed from the bus, the display is dark)', 40, 120, 'Repair or exchange the unit; ask what overloaded it.'),
      cause('relay', 'the bypass relay or its drive does not close', 25, 120, 'Repair or exchange the unit.'),
      cause('often', 'it was switched on and off too often and the resistor is hot', 15, 25, 'Let it cool; switch by run, not by the line contactor.'),
      cause('bus', 'something loads the bus: a short, or a second unit on it', 12, 140, 'Static test; lift what else is on the bus.'),
      cause('supply', 'a phase is missing', 8, 40, 'Restore the phase. Do not restore mains before the bus was proven free of a short.'),
    ],
    [
      check('often', 'Ask: how often is the mains switched?', 2, 'none', ['many times an hour', 'seldom'], { often: 0.95, resistor: 0.35 }, 0.08),
      check('rise', 'Watch the bus volts at power on: do they rise at all?', 4, 'control', ['they stay at nothing', 'they rise and stop or fall back'], { resistor: 0.95, often: 0.5, supply: 0.3 }, 0.04),
      check('static', 'Dead: bus and rectifier readings of the bench, with the precharge path.', 15, 'dead', ['precharge path open', 'path whole'], { resistor: 0.96, often: 0.1 }, 0.03, meter),
      check('short', 'Dead: is the bus shorted or loaded by something else?', 10, 'dead', ['loaded', 'free'], { bus: 0.95 }, 0.03, meter),
    ],
  ),
];
