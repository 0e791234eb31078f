import { readFileSync } from 'node:fs';
import { controlSchema } from '@/core/equipment/catalogue/schema';
import type { ConceptId } from '@/core/equipment/concepts';
import { parameterFor, type Values } from '@/core/equipment/drive-words';
import { plantInOrder, type Plant } from './plant';
import { factorySettings, writeSetting, type Settings } from './settings';
import { newUnit, shownBy, step, type SimulatedUnit } from './unit';
import { atRest, overloadSeconds, ratedSlip, stepped } from './machine';

const control = controlSchema.parse(JSON.parse(readFileSync('catalogue/whimbrel-w4/control.json', 'utf8')));
const rating = { ratedAmps: 15, power_kW: 7.5, supply_V: 400 };
const bank = { capacitance_F: 820e-6, bleeder_ohm: 150_000, precharge_ohm: 47 };
const motor = { ratedAmps: 15, power_kW: 7.5 };

const numberOf = (concept: ConceptId): string => parameterFor(control, concept)?.number ?? '';
const rawFor = (concept: ConceptId, to: string | number): Values => {
  const p = parameterFor(control, concept);
  return {
    [numberOf(concept)]:
      typeof to === 'number' ? to : (p?.choices?.find((c) => c.means === to)?.value ?? NaN),
  };
};
type Changes = Partial<Record<ConceptId, string | number>>;
const settingsWith = (changes: Changes = {}): Settings =>
  factorySettings(control, rating, {
    set: Object.assign({}, ...Object.entries(changes).map(([c, to]) => rawFor(c as ConceptId, to))) as Values,
  });

/** A plant ready to run from X1 with half the reference. */
const plantWith = (differs: Partial<Plant> = {}): Plant => ({
  ...plantInOrder({ supply_V: 400, motor }),
  contacts: { DI3: true },
  AI1: 5,
  ...differs,
});

const dt_s = 0.005;
function lasts(
  unit: SimulatedUnit,
  plant: Plant,
  seconds: number,
  until: (u: SimulatedUnit) => boolean = () => false,
): SimulatedUnit {
  let now = unit;
  for (let t = 0; t < seconds && !until(now); t += dt_s) now = step(now, plant, dt_s);
  return now;
}
const upAndReady = (plant: Plant, changes: Changes = {}): SimulatedUnit =>
  lasts(newUnit(settingsWith(changes), bank, 22), plant, 3);
const running = (plant: Plant): Plant => ({ ...plant, contacts: { ...plant.contacts, DI1: true } });

describe('the state machine', () => {
  it('charges its bank, gets ready, runs to its reference and stops', () => {
    const plant = plantWith();
    const dead = newUnit(settingsWith(), bank, 22);
    expect(lasts(dead, plant, 0.05).state).not.toBe('ready');
    const ready = upAndReady(plant);
    expect(ready.state).toBe('ready');
    expect(ready.machine.busVolts).toBeGreaterThan(545);
    const runs = lasts(ready, running(plant), 8);
    expect(runs.state).toBe('running');
    expect(runs.output_Hz).toBeCloseTo(25, 1);
    expect(runs.machine.shaft_Hz).toBeGreaterThan(23);
    expect(lasts(runs, plant, 8)).toMatchObject({ state: 'ready', output_Hz: 0 });
  });

  it('starts nothing by itself: run that is already there at power on waits for a new one', () => {
    const plant = running(plantWith());
    const up = upAndReady(plant);
    expect(up.state).toBe('ready');
    const open = lasts(up, plantWith(), 0.1);
    expect(lasts(open, plant, 1).state).toBe('running');
    expect(upAndReady(plant, { 'restart.power-on': 'on' }).state).toBe('running');
  });

  it.each<[string, Partial<Plant>, Changes, string]>([
    ['interlock off', { contacts: {} }, {}, 'not-ready'],
    [
      'interlock off, on another input',
      { contacts: { DI3: true } },
      { 'input.DI3': 'none', 'input.DI5': 'interlock' },
      'not-ready',
    ],
    ['wire of the interlock off', { wiresOff: ['DI3'] }, {}, 'not-ready'],
    ['inputs read the other way round', {}, { 'input.polarity': 'sink' }, 'not-ready'],
    [
      'foreign source without a return',
      { supply24: { from: 'foreign', on: true, returnTied: false } },
      {},
      'not-ready',
    ],
    [
      'STO without its return',
      { safeStop: { channel1: true, channel2: true, returnTied: false } },
      {},
      'safe-stop',
    ],
    [
      'one safe-stop channel',
      { safeStop: { channel1: true, channel2: false, returnTied: true } },
      {},
      'safe-stop',
    ],
    [
      'coast command from the serial link',
      { serial: { talks: false, run: false, reverse: false, coastRelease: false, reference_Hz: 0 } },
      {},
      'not-ready',
    ],
    ['mains off', { mains: { on: false, volts: 400, lost: null } }, {}, 'off'],
    [
      'precharge relay stuck',
      { hidden: { ...plantInOrder({ supply_V: 400, motor }).hidden, prechargeRelayStuck: true } },
      {},
      'precharge',
    ],
  ])('%s', (_, differs, changes, state) => {
    const plant = plantWith(differs);
    const up = upAndReady(plant, changes);
    expect(up.state).toBe(state);
    expect(lasts(up, running(plant), 1).output_Hz).toBe(0);
  });
});

describe('trips', () => {
  const tripOn = (differs: Partial<Plant>, changes: Changes = {}, seconds = 12): string | null =>
    lasts(upAndReady(plantWith(), changes), running(plantWith(differs)), seconds, (u) => u.alarm !== null)
      .alarm;
  const hidden = plantInOrder({ supply_V: 400, motor }).hidden;

  it.each<[string, Partial<Plant>, Changes]>([
    ['P-LOSS', { mains: { on: true, volts: 400, lost: 'L2' } }, {}],
    ['OUT-PH', { motor: { ...plantInOrder({ supply_V: 400, motor }).motor, lost: 'V' } }, {}],
    ['EARTH', { hidden: { ...hidden, groundFault: true } }, {}],
    ['DESAT', { hidden: { ...hidden, transistorShort: true } }, {}],
    ['ENC', {}, { 'control.mode': 'vector-encoder' }],
    ['EXT', { contacts: { DI3: true, DI6: false } }, { 'input.DI6': 'external-trip-break' }],
  ])('%s', (code, differs, changes) => {
    expect(tripOn(differs, changes)).toBe(code);
  });

  it('keeps a ground fault until the power was away, and writes it down', () => {
    const bad = running(plantWith({ hidden: { ...hidden, groundFault: true } }));
    const down = lasts(upAndReady(plantWith()), bad, 2);
    const good = plantWith({ contacts: { DI3: true, DI4: true } });
    expect(lasts(down, good, 2, () => false).alarm).toBe('EARTH');
    const dark = lasts(
      down,
      plantWith({ mains: { on: false, volts: 400, lost: null } }),
      400,
      (u) => u.state === 'off',
    );
    expect(dark.state).toBe('off');
    expect(lasts(dark, plantWith(), 3)).toMatchObject({
      state: 'ready',
      alarm: null,
      history: [{ code: 'EARTH' }],
    });
  });

  it('overvoltage on a fast stop of a heavy machine, and none with a slow one', () => {
    const heavy = plantWith({ AI1: 10, load: { torque: 0.2, kind: 'constant', inertia_s: 4 } });
    const stopped = (ramp_s: number) => {
      const changes = { 'protect.overvoltage-control': 'off', 'ramp.up': 15, 'ramp.down': ramp_s } as const;
      const at50 = lasts(upAndReady(heavy, changes), running(heavy), 20);
      expect(at50.output_Hz).toBeCloseTo(50, 1);
      return lasts(at50, heavy, ramp_s + 1, (u) => u.alarm !== null).alarm;
    };
    expect(stopped(1.5)).toBe('O-VOLT D');
    expect(stopped(60)).toBeNull();
  });
});

describe('physics against closed forms', () => {
  const off = {
    output_Hz: null,
    bypassed: false,
    chopper: { on: false, above_V: 800, ohm: 60 },
    overload_A: 15,
    rated_A: 15,
  };

  it('an idle bank runs down through its bleeder: v = v0·exp(−t/RC)', () => {
    const plant = plantWith({ mains: { on: false, volts: 400, lost: null } });
    let machine = { ...atRest(22), busVolts: 560 };
    for (let t = 0; t < 60; t += 0.01) machine = stepped(plant, bank, off, machine, 0.01);
    expect(machine.busVolts).toBeCloseTo(560 * Math.exp(-60 / (bank.bleeder_ohm * bank.capacitance_F)), 0);
  });

  it('the bank charges through its resistor: v = V·(1 − exp(−t/RC))', () => {
    let machine = atRest(22);
    for (let t = 0; t < 0.05; t += 1e-4) machine = stepped(plantWith(), bank, off, machine, 1e-4);
    const expected = Math.SQRT2 * 400 * (1 - Math.exp(-0.05 / (bank.precharge_ohm * bank.capacitance_F)));
    expect(Math.abs(machine.busVolts - expected)).toBeLessThan(3);
  });

  it('a motor that draws constant power pulls the bus down: t = C(v0² − v²)/2P', () => {
    const slip = ratedSlip(plantWith());
    const plant = plantWith({
      mains: { on: false, volts: 400, lost: null },
      load: { torque: 1, kind: 'constant', inertia_s: 200 },
    });
    const drive = { ...off, output_Hz: 48 + slip, bypassed: true };
    let machine = { ...atRest(22), busVolts: 560, shaft_Hz: 48 };
    let t = 0;
    for (; machine.busVolts > 370; t += 1e-5)
      machine = stepped(plant, bank, drive, { ...machine, shaft_Hz: 48 }, 1e-5);
    const power_W = 7500 * (48 / 50) + 0.04 * 7500;
    expect(t).toBeCloseTo((bank.capacitance_F * (560 ** 2 - 370 ** 2)) / 2 / power_W, 3);
  });

  it('overload: (I² − 1)·t is constant, a minute at 150 %', () => {
    expect(overloadSeconds(1.5)).toBeCloseTo(60, 9);
    for (const share of [1.1, 1.5, 2]) {
      const plant = plantWith({ load: { torque: 1, kind: 'constant', inertia_s: 200 } });
      const drive = {
        ...off,
        output_Hz: 48 + ratedSlip(plant),
        bypassed: true,
        overload_A: 15 / share,
        rated_A: 15,
      };
      let machine = { ...atRest(22), busVolts: 560, shaft_Hz: 48 };
      let t = 0;
      for (; machine.overload < 1; t += 0.05)
        machine = { ...stepped(plant, bank, drive, machine, 0.05), shaft_Hz: 48 };
      expect(t / ((60 * 1.25) / (share ** 2 - 1))).toBeCloseTo(1, 1);
    }
  });
});

describe('the parameter store', () => {
  const at = (settings: Settings, concept: ConceptId, to: string | number, how = { running: false }) => {
    const p = parameterFor(control, concept);
    if (p === undefined) throw new Error(concept);
    return writeSetting(settings, p, rawFor(concept, to)[p.number] ?? NaN, how);
  };
  const settings = settingsWith();

  it.each<[string, ConceptId, number, { running: boolean }, string]>([
    ['a range', 'ramp.up', 900, { running: false }, 'out-of-range'],
    ['a lock', 'restart.count', 1, { running: false }, 'locked'],
    ['standstill only', 'motor.current', 12, { running: true }, 'running'],
    ['read only', 'motor.ident-state', 1, { running: false }, 'read-only'],
    ['a board that is not there', 'feedback.encoder', 1, { running: false }, 'not-there'],
    ['no such choice', 'region', 7, { running: false }, 'out-of-range'],
  ])('keeps to %s', (_, concept, to, how, refusal) => {
    expect(at(settings, concept, to, how)).toBe(refusal);
  });

  it('opens with the right code only', () => {
    const wrong = at(settings, 'lock.code', 18) as Settings;
    expect(at(wrong, 'restart.count', 1)).toBe('locked');
    const open = at(settings, 'lock.code', 17) as Settings;
    expect(typeof at(open, 'restart.count', 1)).toBe('object');
    expect(at(open, 'safe-stop.reset', 'restart-by-itself')).toBe('locked');
  });

  it('puts everything back with another region, in that region', () => {
    const edited = at(settings, 'ramp.up', 12) as Settings;
    const moved = at(edited, 'region', '60Hz') as Settings;
    expect(moved.values[numberOf('ramp.up')]).toBe(5);
    expect(moved.values[numberOf('motor.frequency')]).toBe(60);
    expect(moved.values[numberOf('region')]).toBe(1);
  });

  it('forgets at power off what was not saved', () => {
    const edited = at(settings, 'ramp.up', 12) as Settings;
    expect(edited.saved[numberOf('ramp.up')]).toBe(5);
    expect((at(edited, 'store.save', 'now') as Settings).saved[numberOf('ramp.up')]).toBe(12);
  });

  it('makes an identification stale with a new plate value', () => {
    const known = settingsWith({ 'motor.ident-state': 'done' });
    const changed = at(known, 'motor.current', 12) as Settings;
    expect(changed.values[numberOf('motor.ident-state')]).toBe(2);
  });
});

it('shows what it does in neutral terms', () => {
  const plant = running(plantWith());
  const runs = lasts(upAndReady(plantWith()), plant, 8);
  expect(shownBy(runs, plant)).toMatchObject({
    state: 'running',
    alarm: null,
    place: 'remote',
    inputs: { DI1: true, DI3: true, STO1: true, STO2: true },
    relays: { RO1: true, RO2: true },
  });
});
