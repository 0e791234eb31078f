// The simulated drive: what its electronics see and its firmware makes of it, one step after the other.
import { type ConceptId, type InputFunction, type UnitState, outputConcept } from '@/core/equipment/concepts';
import { busOf, type Live, type Slot } from '@/core/equipment/drive-words';
import { busLevelsOf } from '@/core/equipment/power-stage';
import { identAsked, identBroken, identDone, identified, identOutput_Hz } from './identification';
import { atRest, stepped, type MachineBank } from './machine';
import type { Plant } from './plant';
import { powerCycled, type Settings } from './settings';
import { tripOf } from './trips';
import {
  figureOf,
  functionOn,
  simulatedPlace,
  referenceOf,
  setTo,
  simulatedTerminals,
  type SimulatedUnit,
} from './view';

export type { SimulatedUnit } from './view';

export const newUnit = (settings: Settings, bank: MachineBank, ambient_C: number): SimulatedUnit => ({
  settings,
  bank,
  machine: atRest(ambient_C),
  state: 'off',
  alarm: null,
  inState_s: 0,
  powered_s: 0,
  bypassed: false,
  output_Hz: 0,
  reference_Hz: 0,
  latched: false,
  armed: false,
  doubts: {},
  resetSeen: false,
  restarts: 0,
  history: [],
  runHours: 0,
});

/** Everything but run: is the unit allowed to? */
function permitted(unit: SimulatedUnit, plant: Plant): boolean {
  const on = (f: InputFunction) => functionOn(unit, plant, f);
  const needed = setTo(unit, 'run.enable-needed') === 'yes';
  const enabled = on('enable') ?? !needed;
  const coasting = setTo(unit, 'coast.source');
  const serialCoast =
    setTo(unit, 'run.serial-control') === 'on' &&
    (coasting === 'either' || coasting === 'serial') &&
    !plant.serial.coastRelease;
  return (
    enabled &&
    on('interlock') !== false &&
    on('coast-break') !== false &&
    on('fast-stop-break') !== false &&
    !serialCoast
  );
}

function wantsRun(unit: SimulatedUnit, plant: Plant): { run: boolean; reverse: boolean } {
  const source = setTo(unit, `place.${simulatedPlace(unit, plant)}-run`);
  const on = (f: InputFunction) => functionOn(unit, plant, f) === true;
  if (source === 'keypad') return { run: plant.keypadRun, reverse: false };
  if (source === 'serial') {
    const listens = setTo(unit, 'run.serial-control') !== 'off' && plant.serial.talks;
    return { run: listens && plant.serial.run, reverse: plant.serial.reverse };
  }
  const reverse = on('run-reverse') || on('reverse');
  if (setTo(unit, 'run.wiring') === 'three-wire')
    return { run: on('stop-break') && (unit.latched || on('start-pulse')), reverse };
  return { run: on('run') || on('run-forward') || on('run-reverse'), reverse };
}

/** Amps that the motor model bears for ever; some makes take them in percent of the drive. */
function overloadOf(unit: SimulatedUnit): number {
  const { ratedAmps } = unit.settings.rating;
  const percent = figureOf(unit, 'protect.overload-percent', 100);
  return figureOf(unit, 'protect.overload-amps', (percent / 100) * ratedAmps);
}

/** Output moves along the ramp; it waits while the current or the bus says so. */
function ramped(unit: SimulatedUnit, target_Hz: number, dt_s: number): number {
  const { output_Hz, machine, settings } = unit;
  const countsTo = setTo(unit, 'ramp.counts-to') ?? settings.control.rampCountsTo;
  const whole =
    countsTo === 'base'
      ? figureOf(unit, 'motor.frequency', 50)
      : figureOf(unit, 'limit.maximum-frequency', 50);
  const rising = Math.abs(target_Hz) > Math.abs(output_Hz);
  const seconds = Math.max(0.05, figureOf(unit, rising ? 'ramp.up' : 'ramp.down', 5));
  const { ratedAmps } = settings.rating;
  const limit_A = figureOf(
    unit,
    'limit.current-amps',
    (figureOf(unit, 'limit.current', 150) / 100) * ratedAmps,
  );
  if (rising && machine.current_A > limit_A) return output_Hz;
  const holdsBus = setTo(unit, 'protect.overvoltage-control') === 'on';
  if (!rising && holdsBus && machine.busVolts > 1.9 * settings.rating.supply_V) return output_Hz;
  const step = (whole / seconds) * dt_s;
  return output_Hz + Math.max(-step, Math.min(step, target_Hz - output_Hz));
}

const controlDies_V = 0.35;
const bypassAt = 0.85;

/** One step of drive and machine. */
export function step(before: SimulatedUnit, plant: Plant, dt_s: number): SimulatedUnit {
  const unit = governed(before, plant, dt_s);
  const bridge = unit.state === 'running' || unit.state === 'stopping';
  const coasts = unit.state === 'stopping' && setTo(unit, 'stop.mode') === 'coast';
  const machine = stepped(
    plant,
    unit.bank,
    {
      output_Hz: bridge && !coasts ? unit.output_Hz : null,
      bypassed: unit.bypassed,
      chopper: {
        on: setTo(unit, 'brake.chopper') === 'on',
        above_V: busLevelsOf(unit.settings.rating.supply_V).chopper_V,
        ohm: figureOf(unit, 'brake.resistance', 60),
      },
      overload_A: overloadOf(unit),
      rated_A: unit.settings.rating.ratedAmps,
    },
    unit.machine,
    dt_s,
  );
  return {
    ...unit,
    machine,
    inState_s: unit.inState_s + dt_s,
    powered_s: unit.state === 'off' ? 0 : unit.powered_s + dt_s,
    runHours: unit.runHours + (unit.state === 'running' ? dt_s / 3600 : 0),
  };
}

const into = (unit: SimulatedUnit, state: UnitState, more: Partial<SimulatedUnit> = {}): SimulatedUnit =>
  unit.state === state ? { ...unit, ...more } : { ...unit, ...more, state, inState_s: 0 };

/** The state machine. */
function governed(unit: SimulatedUnit, plant: Plant, dt_s: number): SimulatedUnit {
  const peak = Math.SQRT2 * unit.settings.rating.supply_V;
  const { busVolts } = unit.machine;
  if (busVolts < controlDies_V * peak)
    return unit.state === 'off'
      ? { ...unit, bypassed: false }
      : into({ ...unit, settings: powerCycled(unit.settings) }, 'off', {
          alarm: null,
          bypassed: false,
          output_Hz: 0,
          latched: false,
          doubts: {},
        });
  const awake =
    unit.state === 'off'
      ? into(unit, 'precharge', { armed: setTo(unit, 'restart.power-on') === 'on' })
      : unit;
  const charged =
    awake.bypassed ||
    (busVolts > bypassAt * peak && awake.inState_s > 0.3 && !plant.hidden.prechargeRelayStuck);
  const seen = { ...awake, bypassed: charged, reference_Hz: referenceOf(awake, plant) };

  const { doubts, trip } = tripOf(seen, plant, dt_s);
  if (trip !== null && seen.alarm === null) return tripped({ ...seen, doubts }, trip);
  const watching = { ...seen, doubts };
  if (watching.alarm !== null) return held(watching, plant, trip !== null);
  if (!charged) return watching;

  const sto = simulatedTerminals(watching, plant);
  if (watching.settings.control.safeStop !== null && !(sto['STO1'] === true && sto['STO2'] === true))
    return into(watching, 'safe-stop', { output_Hz: 0, latched: false, armed: false });
  if (!permitted(watching, plant))
    return into(watching, 'not-ready', { output_Hz: 0, latched: false, armed: false });
  return commanded(watching, plant, dt_s);
}

function commanded(unit: SimulatedUnit, plant: Plant, dt_s: number): SimulatedUnit {
  const { run, reverse } = wantsRun(unit, plant);
  const armed = unit.armed || !run;
  const locked = reverse && setTo(unit, 'limit.reverse') === 'locked';
  const ident = identAsked(unit);
  if (ident !== null && run && armed) {
    if (unit.state === 'running' && identDone(unit, ident))
      return into(unit, 'ready', {
        armed: false,
        latched: false,
        output_Hz: 0,
        settings: identified(unit, plant),
      });
    return into(unit, 'running', { armed, output_Hz: ramped(unit, identOutput_Hz(unit, ident), dt_s) });
  }
  if (ident !== null && unit.state === 'running')
    return into(unit, 'ready', { armed, latched: false, output_Hz: 0, settings: identBroken(unit) });
  if (run && armed && !locked) {
    const sign = reverse ? -1 : 1;
    return into(unit, 'running', {
      armed,
      latched: true,
      output_Hz: ramped(unit, sign * unit.reference_Hz, dt_s),
    });
  }
  const rolling = Math.abs(unit.output_Hz) > 0.05 && (unit.state === 'running' || unit.state === 'stopping');
  if (!rolling) return into(unit, 'ready', { armed, latched: false, output_Hz: 0 });
  const coasting = setTo(unit, 'stop.mode') === 'coast';
  return into(unit, coasting ? 'ready' : 'stopping', {
    armed,
    latched: false,
    output_Hz: coasting ? 0 : ramped(unit, 0, dt_s),
  });
}

function tripped(unit: SimulatedUnit, code: string): SimulatedUnit {
  const minutes = setTo(unit, 'clock.set') === 'set' ? Math.floor(Date.now() / 60_000) : 0;
  const slot: Slot = { code, runHours: Math.floor(unit.runHours), clock_min: minutes };
  const history = [slot, ...unit.history].slice(0, busOf(unit.settings.control).history.slots);
  return into(unit, 'tripped', { alarm: code, output_Hz: 0, latched: false, armed: false, history });
}

/** A trip stays until it is reset, its cause is gone, and its kind allows it with power on. */
function held(unit: SimulatedUnit, plant: Plant, causeThere: boolean): SimulatedUnit {
  const alarm = unit.settings.control.alarms.find((a) => a.code === unit.alarm);
  const asked = functionOn(unit, plant, 'reset') === true;
  const rising = asked && !unit.resetSeen;
  const goes = alarm?.reset === 'by-itself' || (alarm?.reset === 'reset' && rising);
  if (goes && !causeThere)
    return into(unit, 'not-ready', { alarm: null, resetSeen: asked, armed: false, restarts: 0 });
  const byItself =
    alarm?.reset === 'reset' &&
    unit.restarts < figureOf(unit, 'restart.count', 0) &&
    unit.inState_s >= figureOf(unit, 'restart.delay', 5);
  // Armed: with run still given it starts, unasked. That is what the setting does.
  if (byItself && !causeThere)
    return into(unit, 'not-ready', {
      alarm: null,
      resetSeen: asked,
      armed: true,
      restarts: unit.restarts + 1,
    });
  return into(unit, 'tripped', { resetSeen: asked });
}

/** What the unit shows of itself. */
export function shownBy(unit: SimulatedUnit, plant: Plant): Live {
  const relay = (concept: ConceptId): boolean => {
    const does = setTo(unit, concept);
    return (
      (does === 'running' && unit.state === 'running') ||
      (does === 'ready' && (unit.state === 'ready' || unit.state === 'running')) ||
      (does === 'tripped' && unit.alarm !== null) ||
      (does === 'not-tripped' && unit.alarm === null) ||
      (does === 'above-frequency' && unit.output_Hz > figureOf(unit, 'output.level', 25)) ||
      (does === 'remote' && simulatedPlace(unit, plant) === 'remote')
    );
  };
  return {
    state: unit.state,
    alarm: unit.alarm,
    outputFrequency_Hz: Math.abs(unit.output_Hz),
    reference_Hz: unit.reference_Hz,
    outputCurrent_A: unit.machine.current_A,
    busVolts: unit.machine.busVolts,
    heatsink_C: unit.machine.heatsink_C,
    inputs: simulatedTerminals(unit, plant),
    relays: Object.fromEntries(unit.settings.control.relays.map(({ id }) => [id, relay(outputConcept(id))])),
    AI1: plant.AI1,
    AI2: plant.AI2,
    place: simulatedPlace(unit, plant),
    serial: {
      run: plant.serial.talks && plant.serial.run,
      reverse: plant.serial.talks && plant.serial.reverse,
      'coast-release': plant.serial.coastRelease,
      reset: false,
    },
    runHours: Math.floor(unit.runHours),
  };
}
