// What is wrong without a fault on the display: nothing lights, the protection trips, it hunts, it wears, it trips now and then.
import { cause, check, table } from './build';

const meter = { tool: 'multimeter' };

/** Starting weights of a dark display: common practice, guessed; a shop edits them by what it sees. */
const darkCauses = [
  cause('own-supply', 'the unit’s own power supply is dead', 30, 140, 'Ticking: a shorted output. Silent: start-up resistors, supply capacitor or switch. Repair the supply or replace the unit.'),
  cause('line', 'the line or a line fuse is missing', 20, 35, 'Restore the supply; find why the fuse blew before it is replaced.'),
  cause('precharge', 'the bus is not charged: precharge, rectifier or link jumper is open', 15, 120, 'Refit the link jumper or choke; otherwise repair the precharge, or replace the unit.'),
  cause('rail', 'something drags the 24 V or 10 V down', 15, 40, 'Find it by plugging one load in after the other; repair that load or its wire.'),
  cause('keypad', 'the keypad or its cable is dead, the unit works', 10, 20, 'Another keypad or cable; until then use the link.'),
  cause('board', 'the control board is dead', 10, 130, 'Replace the control board or the unit.'),
];

/** Problems that show no fault on the display. */
export const noFaultTables = [
  table('dead-display', darkCauses, [
    check('lamp', 'Look: is the charge lamp lit?', 1, 'none', ['it is lit', 'it is dark'], { line: 0.03, precharge: 0.06 }, 0.92),
    check('life', 'Switch on: does the fan kick, a relay click, or the link answer?', 2, 'control', ['a sign of life', 'nothing'], { keypad: 0.96, board: 0.2, rail: 0.15 }, 0.03),
    check('ticking', 'Listen close by, covers on: does the supply tick?', 2, 'none', ['it ticks', 'silent'], { rail: 0.8, 'own-supply': 0.3 }, 0.02),
    check('fuses', 'Dead: take out each line fuse and measure it.', 6, 'dead', ['one is open', 'all good'], { line: 0.75, precharge: 0.05 }, 0.02, meter),
    check('static', 'Dead: rectifier readings of the bench, with precharge path and link jumper.', 12, 'dead', ['a path to the bus is open', 'all paths good'], { precharge: 0.95 }, 0.03, meter),
    check('unplug', 'Prove dead, unplug every load of the 24 V and 10 V, encoder, fans and options. Power up again: alive?', 15, 'control', ['it comes up', 'it stays dark'], { rail: 0.95 }, 0.03),
    check('external', 'Dead line: feed 24 V from outside where the manual names a terminal for it. Alive?', 8, 'control', ['it comes up', 'it stays dark'], { 'own-supply': 0.95, line: 0.96, precharge: 0.96, rail: 0.15 }, 0.04, { tool: '24 V supply' }),
    check('bus', 'Live, by a licensed person: line to line, then the bus. Lines there and the bus missing?', 8, 'live', ['bus missing', 'bus there'], { line: 0.97, precharge: 0.96 }, 0.02, meter),
  ]),
  table('protection-trips', [
    cause('rectifier', 'the rectifier or the capacitor bank is shorted', 28, 150, 'Static test, then repair or replace; never another fuse before that.'),
    cause('earth', 'the motor, its cable or the unit has an earth fault', 18, 160, 'Insulation test; replace what failed.'),
    cause('leakage', 'the sum of leakage currents of filters and long cables trips the RCD', 18, 60, 'Fewer units on one RCD, shorter or less screened cable, a filter of low leakage, or the RCD that the maker names.'),
    cause('rcd-type', 'the RCD is of the wrong type for this unit', 12, 60, 'Three-phase units: type B (from memory). Single-phase units as the maker says. Never behind a type A that DC can blind.'),
    cause('inrush', 'inrush at power-up: breaker curve, several units at once, precharge bridged', 12, 50, 'Breaker and fuse as the manual names them; switch on one after the other; look at the precharge relay.'),
    cause('arrester', 'a surge arrester or line filter capacitor is shorted', 7, 50, 'Replace it; ask for the surge that took it.'),
    cause('wire', 'a line wire is chafed or a lug touches', 5, 40, 'Repair the wire.'),
  ], [
    check('which', 'Which one trips: the RCD, or a fuse or breaker?', 1, 'none', ['the RCD', 'fuse or breaker'], { leakage: 0.97, 'rcd-type': 0.95, earth: 0.6, wire: 0.5, arrester: 0.2 }, 0.02),
    check('when', 'Ask: at once at power-up, or only on run?', 1, 'none', ['at power-up', 'only on run'], { rectifier: 0.97, inrush: 0.97, arrester: 0.97, wire: 0.9, earth: 0.25, leakage: 0.5, 'rcd-type': 0.4 }, 0.5),
    check('type', 'Read the RCD’s type on its front against the manual.', 2, 'none', ['wrong type', 'as the manual says'], { 'rcd-type': 0.97 }, 0.05),
    check('static', 'Dead: the rectifier and bus readings of the bench.', 12, 'dead', ['a short', 'no short'], { rectifier: 0.98 }, 0.02, meter),
    check('insulation', 'Dead, drive disconnected and everything else off that cable: insulation of cable and motor.', 15, 'dead', ['low', 'good'], { earth: 0.95 }, 0.03, { tool: 'insulation tester' }),
    check('lift', 'Dead: lift arrester and filter, ohms of each line to the others and to PE.', 10, 'dead', ['a short in what was lifted', 'no short'], { arrester: 0.95 }, 0.02, meter),
    check('clamp', 'Clamp the protective conductor and the sum of the phases while it runs (a clamp for small currents).', 6, 'control', ['near the RCD’s rating', 'far below'], { leakage: 0.93, earth: 0.6 }, 0.05, { tool: 'leakage clamp' }),
  ]),
  table('hunting', [
    cause('tuning', 'speed or process controller too sharp', 28, 40, 'Less gain, more integral time; one change at a time, written down.'),
    cause('motor-data', 'motor data or autotune are wrong or stale', 20, 40, 'Enter the rating plate, then run autotune.'),
    cause('mechanics', 'coupling, belt, foundation or load vibrates', 18, 90, 'Align, balance, tighten; skip frequency for a resonance.'),
    cause('reference', 'the reference itself is noisy', 14, 40, 'Screened pair, earthed at one end as the maker asks; filter time.'),
    cause('slip', 'slip compensation or torque boost too high', 10, 15, 'Back to its default.'),
    cause('carrier', 'the carrier frequency is audible, nothing is wrong', 10, 10, 'Raise it if the derating allows.'),
  ], [
    check('reference', 'Watch the reference on the display: does it move by itself?', 2, 'none', ['it moves', 'it is steady'], { reference: 0.95, tuning: 0.5 }, 0.04),
    check('manual', 'Give a fixed reference from the keypad: steady now?', 3, 'moves', ['steady now', 'the same'], { tuning: 0.9, reference: 0.95 }, 0.06),
    check('plate', 'Compare the motor data with the rating plate, and read the autotune state.', 4, 'none', ['they differ, or stale', 'as on the plate'], { 'motor-data': 0.93, slip: 0.3 }, 0.06),
    check('speed', 'Run through the speeds: strong at one speed only?', 6, 'moves', ['at one speed', 'at all, or by load'], { mechanics: 0.85 }, 0.1),
    check('tone', 'Listen: a pure tone, with the current steady?', 2, 'moves', ['a tone, current steady', 'the current swings'], { carrier: 0.97 }, 0.04),
  ]),
  table('bearing', [
    cause('lubrication', 'lubrication, age or misalignment', 42, 120, 'New bearings; align; grease as the plate says.'),
    cause('current', 'bearing currents from the drive', 28, 180, 'Insulated bearing at the non-drive end or a shaft ring; screened motor cable, earthed all round at both ends; a filter.'),
    cause('belt', 'belt or coupling pulls too hard', 18, 60, 'Tension and alignment as the maker asks.'),
    cause('standing', 'it stands and is shaken by its neighbours', 6, 90, 'Turn it now and then; new bearings.'),
    cause('moisture', 'water or dirt got in', 6, 90, 'Seals, then new bearings.'),
  ], [
    check('raceway', 'Look at the old bearing’s raceway: even ripples like a washboard, grey and matt?', 5, 'none', ['ripples, or grey and matt', 'neither'], { current: 0.93 }, 0.03),
    check('age', 'Ask: how old, how often greased, how soon after the drive was fitted?', 2, 'none', ['soon after the drive was fitted', 'old, or never greased'], { current: 0.85, belt: 0.3 }, 0.15),
    check('belt', 'Stopped and locked off: tension and alignment of belt or coupling.', 8, 'none', ['too tight or out of line', 'as it should be'], { belt: 0.92, lubrication: 0.25 }, 0.05),
    check('screen', 'Dead: look how the cable screen and the PE end at motor and drive.', 5, 'dead', ['a pigtail, or one end only', 'all round, both ends'], { current: 0.8 }, 0.3),
    check('wet', 'Look at seals and grease: water, rust, dirt?', 4, 'none', ['wet or dirty', 'clean'], { moisture: 0.94 }, 0.06),
  ]),
  table('intermittent', [
    cause('terminal', 'a terminal or plug loosens with heat and vibration', 30, 40, 'Tighten to the torque of the table; fresh ferrules; plugs out and in.'),
    cause('cable', 'a cable breaks inside where it moves', 14, 90, 'Replace it; strain relief.'),
    cause('supply', 'the supply dips or surges', 18, 60, 'A recorder on the supply; ride-through, reactor or arrester.'),
    cause('noise', 'interference on control or fieldbus wires', 14, 60, 'Screens, distance to the motor cable, suppressors on coils.'),
    cause('heat', 'something gets too hot: cabinet, fan, bank', 14, 60, 'Filter, fan, distance; measure at the hottest hour.'),
    cause('process', 'the machine does something unusual at that moment', 10, 40, 'Stand by when it happens; a trend over the fault.'),
  ], [
    check('log', 'Read the whole fault log with its times: always the same fault?', 3, 'none', ['different faults', 'always the same'], { supply: 0.6, terminal: 0.5, noise: 0.75 }, 0.1),
    check('pattern', 'Ask: at certain hours, in heat, in storms, when something else starts?', 3, 'none', ['there is a pattern', 'none'], { supply: 0.8, heat: 0.85, process: 0.7 }, 0.15),
    check('tug', 'Dead: tug every wire and plug, look for heat marks and grey dust at contacts.', 12, 'dead', ['loose, burnt or fretted', 'all tight'], { terminal: 0.9, cable: 0.3 }, 0.04),
    check('flex', 'Dead: flex the cable where it moves, ohms of each core.', 10, 'dead', ['a core opens', 'all hold'], { cable: 0.9 }, 0.02, meter),
    check('trend', 'Record a trend until it happens: did temperature or current rise before it?', 30, 'moves', ['it rose', 'no sign before'], { heat: 0.9, process: 0.8 }, 0.08),
  ]),
];
