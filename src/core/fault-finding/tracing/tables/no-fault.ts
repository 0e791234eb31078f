// What is wrong without a fault on the display: nothing lights, the protection trips, it hunts, it wears, it trips now and then.
import { cause, check, table } from './build';

const meter = { tool: 'multimeter' };

/** Starting weights of a dark display: common practice, guessed; a shop edits them by what it sees. */
const darkCauses = [
  cause('own-supply', 'internal power supply failed', 30, 140, 'Ticking: a shorted output. Silent: start-up resistors, supply capacitor or switch. Repair the supply or replace the unit.'),
  cause('line', 'line or line fuse missing', 20, 35, 'Restore the supply; find why the fuse blew before replacing it.'),
  cause('precharge', 'DC bus not charged: precharge, rectifier or link jumper open', 15, 120, 'Refit the link jumper or choke; otherwise repair the precharge, or replace the unit.'),
  cause('rail', '24 V or 10 V overloaded', 15, 40, 'Connect loads one by one to find it; repair that load or its wire.'),
  cause('keypad', 'keypad or its cable failed, drive works', 10, 20, 'Use another keypad or cable; until then use the drive link.'),
  cause('board', 'control board failed', 10, 130, 'Replace the control board or the unit.'),
];

/** Problems that show no fault on the display. */
export const noFaultTables = [
  table('dead-display', darkCauses, [
    check('lamp', 'Look: is the charge LED on?', 1, 'none', ['it is lit', 'it is dark'], { line: 0.03, precharge: 0.06 }, 0.92),
    check('life', 'Switch on: does the fan start, a relay click, or the drive link answer?', 2, 'control', ['some response', 'nothing'], { keypad: 0.96, board: 0.2, rail: 0.15 }, 0.03),
    check('ticking', 'Covers on, listen: does the power supply tick?', 2, 'none', ['it ticks', 'silent'], { rail: 0.8, 'own-supply': 0.3 }, 0.02),
    check('fuses', 'Dead: remove each line fuse and measure it.', 6, 'dead', ['one is open', 'all good'], { line: 0.75, precharge: 0.05 }, 0.02, meter),
    check('static', 'Dead: rectifier readings of the bench test, with precharge path and link jumper.', 12, 'dead', ['a path to the bus open', 'all paths good'], { precharge: 0.95 }, 0.03, meter),
    check('unplug', 'Prove dead, unplug all 24 V and 10 V loads, encoder, fans and options. Power up again: does it start?', 15, 'control', ['starts', 'it stays dark'], { rail: 0.95 }, 0.03),
    check('external', 'Line off: feed external 24 V where the manual names a terminal. Does it start?', 8, 'control', ['starts', 'it stays dark'], { 'own-supply': 0.95, line: 0.96, precharge: 0.96, rail: 0.15 }, 0.04, { tool: '24 V supply' }),
    check('bus', 'Live, by a licensed person: line to line, then bus. Lines present, bus missing?', 8, 'live', ['bus missing', 'bus present'], { line: 0.97, precharge: 0.96 }, 0.02, meter),
  ]),
  table('protection-trips', [
    cause('rectifier', 'the rectifier or the capacitor bank is shorted', 28, 150, 'Static test, then repair or replace; do not fit another fuse before.'),
    cause('earth', 'the motor, its cable or the unit has an earth fault', 18, 160, 'Insulation test; replace the failed part.'),
    cause('leakage', 'total leakage current of filters and long cables trips the RCD', 18, 60, 'Fewer units per RCD, shorter or unscreened cable, low-leakage filter, or the RCD type named by the maker.'),
    cause('rcd-type', 'wrong RCD type for this unit', 12, 60, 'Three-phase units: type B (from memory). Single-phase units as the maker says. Never behind a type A that DC can blind.'),
    cause('inrush', 'inrush at power-up: breaker curve, several units at once, precharge bypassed', 12, 50, 'Breaker and fuse as in the manual; switch units on one by one; check the precharge relay.'),
    cause('arrester', 'a surge arrester or line filter capacitor is shorted', 7, 50, 'Replace it; find the source of the surge.'),
    cause('wire', 'line wire chafed or lug touching', 5, 40, 'Repair the wire.'),
  ], [
    check('which', 'Which one trips: the RCD, or a fuse or breaker?', 1, 'none', ['the RCD', 'fuse or breaker'], { leakage: 0.97, 'rcd-type': 0.95, earth: 0.6, wire: 0.5, arrester: 0.2 }, 0.02),
    check('when', 'Ask: at once at power-up, or only on run?', 1, 'none', ['at power-up', 'only on run'], { rectifier: 0.97, inrush: 0.97, arrester: 0.97, wire: 0.9, earth: 0.25, leakage: 0.5, 'rcd-type': 0.4 }, 0.5),
    check('type', 'Compare the RCD type with the manual.', 2, 'none', ['wrong type', 'as the manual says'], { 'rcd-type': 0.97 }, 0.05),
    check('static', 'Dead: the rectifier and bus readings of the bench.', 12, 'dead', ['a short', 'no short'], { rectifier: 0.98 }, 0.02, meter),
    check('insulation', 'Dead, drive disconnected and everything else off that cable: insulation of cable and motor.', 15, 'dead', ['low', 'good'], { earth: 0.95 }, 0.03, { tool: 'insulation tester' }),
    check('lift', 'Dead: disconnect arrester and filter; resistance of each line to the others and to PE.', 10, 'dead', ['short in a disconnected part', 'no short'], { arrester: 0.95 }, 0.02, meter),
    check('clamp', 'Clamp the protective conductor and the sum of the phases while it runs (a clamp for small currents).', 6, 'control', ['near the RCD rating', 'far below'], { leakage: 0.93, earth: 0.6 }, 0.05, { tool: 'leakage clamp' }),
  ]),
  table('hunting', [
    cause('tuning', 'speed or process controller gain too high', 28, 40, 'Lower gain, longer integral time; one change at a time, recorded.'),
    cause('motor-data', 'motor data wrong or autotune invalid', 20, 40, 'Enter the rating plate, then run autotune.'),
    cause('mechanics', 'coupling, belt, foundation or load vibrating', 18, 90, 'Align, balance, tighten; skip frequency for a resonance.'),
    cause('reference', 'noisy reference', 14, 40, 'Screened pair, earthed as the maker requires; filter time.'),
    cause('slip', 'slip compensation or torque boost too high', 10, 15, 'Restore the default.'),
    cause('carrier', 'the carrier frequency is audible, no fault', 10, 10, 'Raise it if derating allows.'),
  ], [
    check('reference', 'Watch the reference on the display: is it unstable?', 2, 'none', ['unstable', 'steady'], { reference: 0.95, tuning: 0.5 }, 0.04),
    check('manual', 'Give a fixed reference from the keypad: steady now?', 3, 'moves', ['steady now', 'the same'], { tuning: 0.9, reference: 0.95 }, 0.06),
    check('plate', 'Compare the motor data with the rating plate, and read the autotune state.', 4, 'none', ['they differ, or invalid', 'as on the nameplate'], { 'motor-data': 0.93, slip: 0.3 }, 0.06),
    check('speed', 'Run through the speed range: strong at one speed only?', 6, 'moves', ['at one speed', 'at all speeds, or with load'], { mechanics: 0.85 }, 0.1),
    check('tone', 'Listen: a pure tone, with the current steady?', 2, 'moves', ['a tone, current steady', 'the current swings'], { carrier: 0.97 }, 0.04),
  ]),
  table('bearing', [
    cause('lubrication', 'lubrication, age or misalignment', 42, 120, 'New bearings; align; grease as the nameplate says.'),
    cause('current', 'bearing currents from the drive', 28, 180, 'Insulated bearing at the non-drive end or a shaft ring; screened motor cable, earthed 360° at both ends; a filter.'),
    cause('belt', 'belt or coupling pulls too hard', 18, 60, 'Tension and alignment as the maker requires.'),
    cause('standing', 'stopped machine shaken by other machines', 6, 90, 'Turn the shaft regularly; new bearings.'),
    cause('moisture', 'water or dirt ingress', 6, 90, 'New seals, then new bearings.'),
  ], [
    check('raceway', 'Look at the raceway of the old bearing: fluting, grey and matt?', 5, 'none', ['fluting, or grey and matt', 'neither'], { current: 0.93 }, 0.03),
    check('age', 'Ask: age, greasing, how soon after the drive was fitted?', 2, 'none', ['soon after the drive was fitted', 'old, or never greased'], { current: 0.85, belt: 0.3 }, 0.15),
    check('belt', 'Stopped and locked off: tension and alignment of belt or coupling.', 8, 'none', ['too tight or out of line', 'as it should be'], { belt: 0.92, lubrication: 0.25 }, 0.05),
    check('screen', 'Dead: check how cable screen and PE are terminated at motor and drive.', 5, 'dead', ['a pigtail, or one end only', '360°, both ends'], { current: 0.8 }, 0.3),
    check('wet', 'Look at seals and grease: water, rust, dirt?', 4, 'none', ['wet or dirty', 'clean'], { moisture: 0.94 }, 0.06),
  ]),
  table('intermittent', [
    cause('terminal', 'terminal or plug loose from heat and vibration', 30, 40, 'Tighten to table torque; new ferrules; reseat plugs.'),
    cause('cable', 'cable broken internally where it flexes', 14, 90, 'Replace it; fit strain relief.'),
    cause('supply', 'the supply dips or surges', 18, 60, 'A recorder on the supply; ride-through, reactor or arrester.'),
    cause('noise', 'interference on control or fieldbus wires', 14, 60, 'Screens, separation from the motor cable, suppressors on coils.'),
    cause('heat', 'overheating: cabinet, fan, capacitor bank', 14, 60, 'Filter, fan, clearance; measure at the hottest time.'),
    cause('process', 'unusual machine operation at that moment', 10, 40, 'Be present when it happens; record a trend.'),
  ], [
    check('log', 'Read the complete fault log with times: always the same fault?', 3, 'none', ['different faults', 'always the same'], { supply: 0.6, terminal: 0.5, noise: 0.75 }, 0.1),
    check('pattern', 'Ask: at certain hours, in heat, in storms, when something else starts?', 3, 'none', ['pattern found', 'none'], { supply: 0.8, heat: 0.85, process: 0.7 }, 0.15),
    check('tug', 'Dead: pull-test every wire and plug, look for heat marks and grey dust at contacts.', 12, 'dead', ['loose, burnt or fretted', 'all tight'], { terminal: 0.9, cable: 0.3 }, 0.04),
    check('flex', 'Dead: flex the cable where unstable, measure each core.', 10, 'dead', ['a core opens', 'all good'], { cable: 0.9 }, 0.02, meter),
    check('trend', 'Record a trend until it happens: did temperature or current rise before it?', 30, 'moves', ['it rose', 'no sign before'], { heat: 0.9, process: 0.8 }, 0.08),
  ]),
];
