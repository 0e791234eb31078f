import { readFileSync } from 'node:fs';
import { controlSchema } from '../../equipment/catalogue/schema';
import type { ConceptId } from '../../equipment/concepts';
import { parameterFor } from '../../equipment/drive-words';
import type { Plate } from '../../equipment/plate';
import { defaultStartUpChoices } from '../../equipment/application';
import { auditRules, auditSet, factorySet, type AuditContext, type UnitSet } from '.';

const types = ['whimbrel-w4', 'godwit-g4', 'knot-k3', 'dunlin-d1', 'godwit-g6'] as const;
const rating = { ratedAmps: 15, power_kW: 7.5, supply_V: 400 };
const factory = Object.fromEntries(
  types.map((typeId) => [
    typeId,
    factorySet(
      {
        typeId,
        control: controlSchema.parse(JSON.parse(readFileSync(`catalogue/${typeId}/control.json`, 'utf8'))),
        rating,
      },
      '50Hz',
    ),
  ]),
);
const plate: Plate = {
  power: { value: 7.5, unit: 'kW' },
  volts: 400,
  amps: 14.8,
  hz: 50,
  rpm: 1455,
  cosPhi: 0.84,
};
const around: AuditContext = {
  plate,
  choices: { ...defaultStartUpChoices({ plate_Hz: 50, knob: false }), load: 'conveyor' },
  jumpers: { AI1: 'V', AI2: 'mA' },
  shortest: { up_s: 1, down_s: 1 },
  otherMotors_ohm: [1.234],
  carrier_kHz: 4,
};

type Changes = Partial<Record<ConceptId, number | string>>;
const inOrder: Changes = {
  'motor.power': 7.5,
  'motor.voltage': 400,
  'motor.current': 14.8,
  'motor.frequency': 50,
  'motor.speed': 1455,
  'motor.cosphi': 0.84,
  'motor.ident-state': 'done',
  'protect.overload-amps': 14.8,
  'protect.overload-percent': 98,
};

/** A set with these values, on the first type that has all of these entries and choices; null where none has. */
function changed(changes: Changes, only?: (typeof types)[number]): UnitSet | null {
  const entries = (set: UnitSet, some: Changes) =>
    Object.entries(some).map(([concept, to]): [string, number] | null => {
      const p = parameterFor(set.control, concept as ConceptId);
      const value = typeof to === 'number' ? to : p?.choices?.find((c) => c.means === to)?.value;
      return p === undefined || value === undefined ? null : [p.number, value];
    });
  for (const type of only === undefined ? types : [only]) {
    const set = factory[type];
    if (set === undefined) continue;
    const wanted = entries(set, changes);
    if (wanted.includes(null)) continue;
    const base = entries(set, inOrder).filter((e) => e !== null);
    return {
      ...set,
      values: {
        ...set.values,
        ...Object.fromEntries(base),
        ...Object.fromEntries(wanted as [string, number][]),
      },
    };
  }
  return null;
}

const winch = {
  ...around,
  choices: { ...around.choices, load: 'winch' as const } as AuditContext['choices'],
};
const withChoices = (differs: object): AuditContext => ({
  ...around,
  choices: { ...around.choices, ...differs } as AuditContext['choices'],
});

const cases: [rule: string, changes: Changes, with_?: AuditContext][] = [
  ['plate-power', { 'motor.power': 5.5 }],
  ['plate-volts', { 'motor.voltage': 380 }],
  ['plate-amps', { 'motor.current': 12 }],
  ['plate-hertz', { 'motor.frequency': 60 }],
  ['plate-rpm', { 'motor.speed': 1400 }],
  ['plate-cosphi', { 'motor.cosphi': 0.7 }],
  ['region-plate', { region: '60Hz' }],
  ['flux', { 'motor.frequency': 60 }],
  ['slip', { 'motor.speed': 1255 }],
  ['ident-stale', { 'motor.ident-state': 'stale' }],
  ['ident-missing', { 'motor.ident-state': 'not-done', 'control.mode': 'vector' }],
  ['ident-copied', { 'motor.stator-resistance': 1.234 }],
  ['mode-feedback', { 'control.mode': 'vector-encoder', 'feedback.encoder': 'none' }],
  ['encoder-missing', { 'feedback.encoder': 'encoder' }],
  ['overload-plate', { 'protect.overload-amps': 18 }],
  ['overload-low', { 'protect.overload-amps': 7 }],
  ['overload-rating', { 'protect.overload-amps': 18 }],
  ['limit-low', { 'limit.current': 60 }],
  ['limit-load', { 'limit.current': 180 }],
  ['min-above-max', { 'limit.minimum-frequency': 60, 'limit.maximum-frequency': 50 }],
  ['max-above-base', { 'limit.maximum-frequency': 70 }],
  ['max-below-base', { 'limit.maximum-frequency': 40 }],
  ['skip-order', { 'limit.skip-from': 30, 'limit.skip-to': 20 }],
  ['preset-above-max', { 'preset.1': 80, 'limit.maximum-frequency': 50 }],
  ['minimum-turns', { 'limit.minimum-frequency': 8 }],
  ['ramp-up-short', { 'ramp.up': 0.5 }],
  ['ramp-down-short', { 'ramp.down': 0.5 }],
  ['chopper-missing', { 'brake.chopper': 'on' }],
  ['chopper-off', { 'brake.chopper': 'off' }, withChoices({ brakeResistor: true })],
  ['chopper-control', { 'brake.chopper': 'on', 'protect.overvoltage-control': 'on' }],
  ['stop-lets-go', { 'stop.mode': 'coast' }, winch],
  ['carrier-derating', { 'switching.frequency': 8 }],
  ['reverse-locked', { 'limit.reverse': 'locked', 'input.DI2': 'reverse' }],
  ['reverse-unused', { 'limit.reverse': 'allowed', 'input.DI1': 'run', 'input.DI2': 'none' }],
  ['keypad-left', { 'place.remote-run': 'keypad' }],
  ['no-run-input', { 'place.remote-run': 'terminals', 'input.DI1': 'none', 'input.DI2': 'none' }],
  ['same-function', { 'input.DI1': 'run-forward', 'input.DI2': 'run-forward' }],
  ['three-wire-stop', { 'run.wiring': 'three-wire' }],
  ['two-wire-restart', { 'run.wiring': 'two-wire', 'restart.power-on': 'on' }],
  ['jumper-AI1', { 'input.AI1-signal': '4-20mA' }],
  ['jumper-AI2', { 'input.AI2-signal': '0-10V' }],
  [
    'live-zero',
    { 'place.remote-reference': 'AI1', 'input.AI1-signal': '4-20mA', 'reference.loss': 'ignore' },
  ],
  ['dead-zero', { 'place.remote-reference': 'AI1', 'input.AI1-signal': '0-10V', 'reference.loss': 'trip' }],
  ['analog-inverted', { 'input.AI1-low': 100, 'input.AI1-high': 0 }],
  ['serial-watchdog', { 'place.remote-run': 'serial', 'protect.serial': 'ignore' }],
  [
    'serial-idle',
    { 'run.serial-control': 'on', 'place.remote-run': 'terminals', 'place.remote-reference': 'AI1' },
  ],
  ['overload-off', { 'protect.overload': 'ignore' }],
  ['overload-warns', { 'protect.overload': 'warn' }],
  ['ground-off', { 'protect.ground-fault': 'ignore' }],
  ['output-phase-off', { 'protect.output-phase': 'ignore' }],
  ['external-off', { 'protect.external': 'ignore' }],
  ['input-phase-off', { 'protect.input-phase': 'ignore' }],
  ['input-phase-on', { 'protect.input-phase': 'trip' }, withChoices({ singlePhaseFed: true })],
  [
    'encoder-off',
    { 'feedback.encoder': 'encoder', 'protect.encoder': 'ignore' },
    withChoices({ encoder: true }),
  ],
  ['power-on', { 'restart.power-on': 'on' }],
  ['flying', { 'start.flying': 'on' }],
  ['restart', { 'restart.count': 3 }],
  ['safe-stop-restart', { 'safe-stop.reset': 'restart-by-itself' }],
  ['locks-open', { 'lock.parameters': 'open' }],
  ['code-in', { 'lock.code': 17 }],
];
/** The other way round: in order, and not found. */
const sound: Partial<Record<string, Changes>> = {
  'reverse-locked': { 'limit.reverse': 'allowed' },
  'chopper-off': { 'brake.chopper': 'on' },
  'reverse-unused': { 'limit.reverse': 'locked' },
  'locks-open': { 'lock.parameters': 'locked' },
  'keypad-left': { 'place.remote-run': 'terminals', 'place.selected': 'remote' },
  'serial-idle': { 'run.serial-control': 'off' },
  'external-off': { 'protect.external': 'trip' },
  'jumper-AI2': { 'input.AI2-signal': '4-20mA' },
  'jumper-AI1': { 'input.AI1-signal': '0-10V' },
  'dead-zero': { 'reference.loss': 'ignore' },
  'live-zero': { 'reference.loss': 'trip' },
  'chopper-control': { 'brake.chopper': 'off' },
  'limit-load': { 'limit.current': 140 },
  'same-function': { 'input.DI1': 'run-forward', 'input.DI2': 'run-reverse' },
  'mode-feedback': { 'control.mode': 'vector' },
  'safe-stop-restart': { 'safe-stop.reset': 'needs-new-run' },
  'carrier-derating': { 'switching.frequency': 4 },
  'input-phase-on': { 'protect.input-phase': 'ignore' },
  'stop-lets-go': { 'stop.mode': 'ramp' },
  'encoder-off': { 'protect.encoder': 'trip' },
  'output-phase-off': { 'protect.output-phase': 'trip' },
  'overload-off': { 'protect.overload': 'trip' },
  'ground-off': { 'protect.ground-fault': 'trip' },
  'analog-inverted': { 'input.AI1-low': 0, 'input.AI1-high': 100 },
  'three-wire-stop': { 'run.wiring': 'two-wire' },
};

it('every rule has its case, and there are more than thirty', () => {
  expect(cases.map(([rule]) => rule).sort()).toEqual(auditRules.map((r) => r.id).sort());
  expect(auditRules.length).toBeGreaterThan(30);
});

describe.each(cases)('%s', (rule, changes, with_ = around) => {
  const wrong = changed(changes);
  if (wrong === null) throw new Error(`no type has ${Object.keys(changes).join(', ')}`);

  it('is found, with its sum and the parameters it is about', () => {
    const found = auditSet(wrong, with_).findings.find((f) => f.rule === rule);
    expect(found).toBeDefined();
    expect(found?.sum).not.toBe('');
    expect(found?.text).toMatch(/\.$/);
    expect(found?.numbers.length).toBeGreaterThan(0);
  });

  it('is not found where it is in order', () => {
    const type = wrong.typeId as (typeof types)[number];
    const right = changed(sound[rule] ?? {}, type);
    if (right === null) throw new Error(`${type} has no ${Object.keys(sound[rule] ?? {}).join(', ')}`);
    const { findings, notJudged } = auditSet(right, with_);
    expect(findings.map((f) => f.rule)).not.toContain(rule);
    expect(notJudged.map((n) => n.rule)).not.toContain(rule);
  });
});

it('what is not known is not judged, and said so', () => {
  const set = changed({});
  if (set === null) throw new Error('no type');
  const { notJudged } = auditSet(set);
  expect(notJudged.map((n) => n.rule)).toEqual(
    expect.arrayContaining(['plate-amps', 'ramp-up-short', 'jumper-AI1']),
  );
});

it('the worst comes first', () => {
  const set = changed({ 'protect.overload': 'ignore', 'limit.minimum-frequency': 8, 'start.flying': 'on' });
  if (set === null) throw new Error('no type');
  const grave = auditSet(set, around).findings.map((f) => f.severity);
  expect(grave).toEqual(
    [...grave].sort((a, b) => ['wrong', 'doubt', 'info'].indexOf(a) - ['wrong', 'doubt', 'info'].indexOf(b)),
  );
});
