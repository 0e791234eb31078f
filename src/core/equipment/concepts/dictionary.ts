// Common practice, no source: the things that nearly every make lets one set, under neutral names.

/** A figure with its unit, one of some choices, or a yes or no. */
export type ConceptKind = { unit: PhysicalUnit } | { choices: readonly string[] };
/** Units that parameters have; empty: none. */
export type PhysicalUnit =
  'kW' | 'A' | 'V' | 'Hz' | 'rpm' | 's' | '%' | 'Ω' | 'mA' | 'kHz' | '°C' | 'h' | 'ms' | '';

const figure = (name: string, unit: PhysicalUnit) => ({ name, unit });
const choice = <const C extends readonly string[]>(name: string, ...choices: C) => ({ name, choices });
const yesNo = (name: string) => choice(name, 'no', 'yes');
const onTrip = ['ignore', 'warn', 'trip'] as const;

/** What a digital input can be told to do. */
export const inputFunctions = [
  'none',
  'run',
  'run-forward',
  'run-reverse',
  'start-pulse',
  'stop-break',
  'reverse',
  'jog',
  'enable',
  'interlock',
  'coast-break',
  'external-trip',
  'external-trip-break',
  'reset',
  'local-remote',
  'preset-1',
  'preset-2',
  'preset-3',
  'second-ramp',
  'motor-up',
  'motor-down',
  'fast-stop-break',
] as const;
/** What a digital input can do. */
export type InputFunction = (typeof inputFunctions)[number];

/** What a relay can show. */
export const outputFunctions = [
  'none',
  'ready',
  'running',
  'tripped',
  'not-tripped',
  'at-reference',
  'above-frequency',
  'brake-release',
  'warning',
  'remote',
] as const;

/** What an analog output can stand for. */
export const analogOutputFunctions = [
  'none',
  'frequency',
  'current',
  'torque',
  'power',
  'bus-voltage',
] as const;

const runSources = ['keypad', 'terminals', 'serial'] as const;
const referenceSources = ['keypad', 'knob', 'AI1', 'AI2', 'preset', 'serial'] as const;

const input = (n: number) => choice(`function of digital input ${n}`, ...inputFunctions);
const output = (n: number) => choice(`function of relay ${n}`, ...outputFunctions);
const preset = (n: number) => figure(`preset reference ${n}`, 'Hz');
const inputRange = (n: number) => choice(`signal of analog input ${n}`, '0-10V', '0-20mA', '4-20mA', '±10V');

/** Concept ids with their meaning. Ids never change; names may. */
export const dictionary = {
  region: choice('factory 50/60 Hz default set', '50Hz', '60Hz'),
  macro: choice('application macro', 'standard', 'fan-pump', 'conveyor', 'hoist', 'two-places', 'pid'),
  'control.mode': choice('control mode', 'v-hz', 'vector', 'vector-encoder', 'permanent-magnet'),
  'control.torque-curve': choice('load kind', 'constant', 'variable'),
  'power.unit': choice('unit of power', 'kW', 'hp'),
  language: choice('language', 'english', 'other'),
  'display.speed': choice('speed shown in', 'Hz', 'rpm', '%'),
  'display.scale': figure('display scale', ''),

  'motor.power': figure('motor power', 'kW'),
  'motor.voltage': figure('motor voltage', 'V'),
  'motor.current': figure('motor current', 'A'),
  'motor.frequency': figure('motor frequency', 'Hz'),
  'motor.speed': figure('motor speed', 'rpm'),
  'motor.cosphi': figure('motor power factor', ''),
  'motor.poles': figure('motor poles', ''),
  'motor.stator-resistance': figure('stator resistance', 'Ω'),
  'motor.no-load-current': figure('no-load current', 'A'),
  'motor.ident': choice('autotune', 'none', 'standstill', 'rotating'),
  'motor.ident-state': choice('autotune state', 'not-done', 'done', 'stale', 'failed'),
  'motor.direction': choice('direction of rotation', 'normal', 'inverted'),
  'motor.cooling': choice('motor cooling', 'self', 'forced'),

  'limit.minimum-frequency': figure('minimum frequency', 'Hz'),
  'limit.maximum-frequency': figure('maximum frequency', 'Hz'),
  'limit.current': figure('current limit', '%'),
  'limit.current-amps': figure('current limit', 'A'),
  'limit.torque': figure('torque limit', '%'),
  'limit.regenerative-torque': figure('braking torque limit', '%'),
  'limit.reverse': choice('reverse', 'locked', 'allowed'),
  'limit.skip-from': figure('skip band from', 'Hz'),
  'limit.skip-to': figure('skip band to', 'Hz'),

  'ramp.up': figure('acceleration time', 's'),
  'ramp.down': figure('deceleration time', 's'),
  'ramp.up-2': figure('second acceleration time', 's'),
  'ramp.down-2': figure('second deceleration time', 's'),
  'ramp.fast-stop': figure('fast stop time', 's'),
  'ramp.s-curve': figure('S-curve share', '%'),
  'ramp.counts-to': choice('ramp reference frequency', 'maximum', 'base'),
  'stop.mode': choice('stop mode', 'coast', 'ramp', 'fast-ramp', 'dc-injection'),
  'stop.dc-time': figure('DC injection time', 's'),
  'stop.dc-current': figure('DC injection current', '%'),
  'stop.hold-frequency': figure('DC injection starts at', 'Hz'),
  'start.dc-time': figure('DC hold before start', 's'),
  'start.flying': choice('flying start', 'off', 'on'),
  'start.boost': figure('torque boost', '%'),
  'start.frequency': figure('start frequency', 'Hz'),

  'place.selected': choice('local/remote selection', 'local', 'remote', 'by-input'),
  'place.local-run': choice('control source, local', ...runSources),
  'place.local-reference': choice('reference source, local', ...referenceSources),
  'place.remote-run': choice('control source, remote', ...runSources),
  'place.remote-reference': choice('reference source, remote', ...referenceSources),
  'place.keypad-stop': choice('stop key active', 'keypad-only', 'always'),
  'run.wiring': choice('run wiring', 'two-wire', 'three-wire', 'two-wire-direction'),
  'run.enable-needed': yesNo('enable input required'),
  'coast.source': choice('coast command source', 'terminals', 'serial', 'either', 'both'),
  'run.serial-control': choice('serial control word', 'off', 'on'),
  'reference.keypad': figure('keypad reference', 'Hz'),
  'reference.zero-band': figure('reference dead band', '%'),
  'reference.loss': choice('on loss of reference', 'ignore', 'hold', 'minimum', 'trip'),

  'input.polarity': choice('digital inputs', 'source', 'sink'),
  'input.DI1': input(1),
  'input.DI2': input(2),
  'input.DI3': input(3),
  'input.DI4': input(4),
  'input.DI5': input(5),
  'input.DI6': input(6),
  'input.filter': figure('input filter', 'ms'),
  'input.AI1-signal': inputRange(1),
  'input.AI1-low': figure('AI1 at zero', '%'),
  'input.AI1-high': figure('AI1 at full', '%'),
  'input.AI1-filter': figure('AI1 filter', 's'),
  'input.AI2-signal': inputRange(2),
  'input.AI2-low': figure('AI2 at zero', '%'),
  'input.AI2-high': figure('AI2 at full', '%'),
  'output.RO1': output(1),
  'output.RO2': output(2),
  'output.level': figure('frequency level of the relay', 'Hz'),
  'output.AO1': choice('function of the analog output', ...analogOutputFunctions),
  'output.AO1-signal': choice('signal of the analog output', '0-10V', '0-20mA', '4-20mA'),
  'output.AO1-full': figure('analog output at full', '%'),
  'preset.1': preset(1),
  'preset.2': preset(2),
  'preset.3': preset(3),
  'preset.4': preset(4),
  'preset.5': preset(5),
  'preset.6': preset(6),
  'preset.7': preset(7),
  'jog.frequency': figure('jog frequency', 'Hz'),

  'protect.overload-amps': figure('motor overload current', 'A'),
  'protect.overload-percent': figure('motor overload, % of drive', '%'),
  'protect.overload': choice('on motor overload', ...onTrip),
  'protect.input-phase': choice('on loss of an input phase', ...onTrip),
  'protect.output-phase': choice('on loss of an output phase', ...onTrip),
  'protect.ground-fault': choice('on a ground fault', ...onTrip),
  'protect.undervoltage': choice('on undervoltage', 'trip', 'ride-through'),
  'protect.overvoltage-control': choice('overvoltage control', 'off', 'on'),
  'protect.stall': choice('on a stall', ...onTrip),
  'protect.stall-time': figure('stall time', 's'),
  'protect.thermistor': choice('thermistor', 'none', 'input', 'option'),
  'protect.external': choice('on an external trip', ...onTrip),
  'protect.encoder': choice('on loss of the encoder', ...onTrip),
  'protect.serial': choice('on loss of the serial link', 'ignore', 'stop', 'trip'),
  'protect.serial-time': figure('serial watchdog', 's'),
  'restart.count': figure('automatic restarts', ''),
  'restart.delay': figure('restart delay', 's'),
  'restart.power-on': choice('run at power on', 'off', 'on'),
  'feedback.encoder': choice('speed feedback', 'none', 'encoder'),
  'feedback.lines': figure('encoder lines', ''),
  'brake.chopper': choice('brake chopper', 'off', 'on'),
  'brake.resistance': figure('brake resistor', 'Ω'),
  'brake.power': figure('brake resistor power', 'kW'),
  'brake.release-current': figure('mechanical brake opens at', '%'),
  'brake.release-delay': figure('mechanical brake delay', 's'),
  'switching.frequency': figure('carrier frequency', 'kHz'),
  'switching.auto-derate': choice('carrier falls when hot', 'off', 'on'),
  'fan.mode': choice('fan', 'always', 'when-needed'),
  'energy.optimising': choice('energy optimising', 'off', 'on'),

  'pid.enable': choice('process control', 'off', 'on'),
  'pid.gain': figure('process gain', ''),
  'pid.time': figure('process integral time', 's'),
  'pid.setpoint': figure('process setpoint', '%'),
  'pid.sleep': figure('sleep frequency', 'Hz'),
  'serial.address': figure('serial address', ''),
  'serial.speed': choice('serial speed', '9600', '19200', '38400', '57600', '115200'),
  'serial.parity': choice('serial parity', 'none', 'even', 'odd'),
  'lock.code': figure('lock code', ''),
  'lock.parameters': choice('parameter lock', 'open', 'locked'),
  'factory.reset': choice('factory reset', 'no', 'all', 'all-but-motor'),
  'store.save': choice('save to memory', 'no', 'now'),
  'clock.set': choice('clock', 'never-set', 'set'),
  'safe-stop.reset': choice('after STO', 'restart-by-itself', 'needs-new-run'),
} as const satisfies Record<string, { name: string } & ConceptKind>;

/** The neutral name of what a parameter means. */
export type ConceptId = keyof typeof dictionary;
