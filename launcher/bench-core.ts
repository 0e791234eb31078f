/** Timed parts of the core, bundled and run in a process of their own (see bench.ts). */
import { readFileSync } from 'node:fs';
import { controlSchema } from '@/core/equipment/catalogue/schema';
import { commonMeter, forwardPlan, fullPlan, networkOf, readings, stage } from '@/core/equipment/power-stage';
import { diagnose, prepare, tablesFor, type RawReading } from '@/core/bench/static-diagnosis';
import { keyPlan } from '@/core/parameter-sets/keypad';
import { auditSet, factorySet, translate } from '@/core/parameter-sets/parameters';
import { rampAnswer, simulate, type RampCase } from '@/core/commissioning/ramp';
import { defaultStartUpChoices } from '@/core/equipment/application';
import { startUpSheet } from '@/core/commissioning/settings';
import { movable, stopPlan, usualSwap, type Task } from '@/core/replacement/stop-plan';
import { swapOf } from '@/core/job/swap';
import { knownType, noted, stateOf, swapJob } from '@/core/job/swap/__tests__/swap-job';
import { traceFrom, usualTables } from '@/core/fault-finding/tracing';
import { changedSet } from '@/core/parameter-sets/parameters/__tests__/changed-set';
import { seeded } from '../checks/random';
import { simulateWave, waveCase } from '@/core/power-up/waveform';
import { ngspiceReadings } from '../checks/ngspice';
import { ngspiceTime } from '../checks/waveform-deck';
import { timed } from './timing';

// The largest stage there is, with two parts dead.
const on = stage({
  frontEnd: 'scr-half-3ph',
  brake: true,
  link: 'precharge',
  dcrAccessible: true,
  fuse: 'inverter',
});
const faults = [
  { component: 'rect.L2.lo', mode: 'open' },
  { component: 'inv.V.lo', mode: 'leaky', ohm: 800 },
] as const;
const network = networkOf({ stage: on, temperature_C: 18, faults });
const forward: RawReading[] = readings(network, forwardPlan(on), commonMeter);
const full: RawReading[] = readings(network, fullPlan(on), commonMeter);

const tables = tablesFor(on, commonMeter);
const started = performance.now();
const slices = [...prepare(tables)].length;
const prepare_ms = performance.now() - started;
// Warm: a worker has judged some readings before the one that is measured.
for (let i = 0; i < 5; i += 1) diagnose(tables, forward);

const first = performance.now();
const { effort } = diagnose(tables, full);
const wholePosterior_ms = performance.now() - first;
const ngspice_ms = timed(3, () => void ngspiceReadings(network, fullPlan(on), commonMeter)) / full.length;
const hypotheses = tables.enumerated.length;

const control = controlSchema.parse(JSON.parse(readFileSync('catalogue/godwit-g4/control.json', 'utf8')));
const startUp = (): void =>
  void startUpSheet({
    plate: { power: { value: 5.5, unit: 'kW' }, volts: 400, amps: 11.2, hz: 50, rpm: 1450, cosPhi: 0.83 },
    control,
    rating: { ratedAmps: 12, power_kW: 5.5, supply_V: 400 },
    supply: { volts: 400, hz: 50 },
    choices: { ...defaultStartUpChoices({ plate_Hz: 50, knob: false }), load: 'conveyor' },
  });
const rampCase: RampCase = {
  motor: { torque_Nm: 36.2, rpm: 1450, hz: 50, inertia_kgm2: 0.02 },
  load: { torque_Nm: 15, curve: 'constant', inertia_kgm2: 0.4 },
  drive: {
    limit: 1.5,
    busVolts: 565,
    tripVolts: 820,
    capacitance_F: 680e-6,
    losses: 0.05,
    regulated: false,
  },
  ramp: { up_s: 5, down_s: 5, rounding: 0.2, to_Hz: 50, countsTo_Hz: 50, hold_s: 1 },
};

/** A set of a thousand entries, on another type and under all rules. */
function setTimes(): { translate_ms: number; audit_ms: number } {
  const rating = { ratedAmps: 12, power_kW: 5.5, supply_V: 400 };
  const more = Array.from({ length: 1000 - control.parameters.length }, (_, i) => {
    const { concept: _concept, ...plain } = control.parameters[i % control.parameters.length] ?? {
      ...control.parameters[0],
    };
    return { ...plain, number: `X${i}` } as (typeof control.parameters)[number];
  });
  const wide = {
    typeId: 'wide',
    control: { ...control, parameters: [...control.parameters, ...more] },
    rating,
  };
  const other = controlSchema.parse(JSON.parse(readFileSync('catalogue/whimbrel-w4/control.json', 'utf8')));
  const set = factorySet(wide, '50Hz');
  return {
    translate_ms: timed(10, () => void translate(set, { typeId: 'other', control: other, rating })),
    audit_ms: timed(20, () => void auditSet(set)),
  };
}

/** Keys for sixty entries on the keypads of four types, the slowest. */
function keyTimes(): number {
  const rating = { ratedAmps: 15, power_kW: 7.5, supply_V: 400 };
  return Math.max(
    ...['dunlin-d1', 'knot-k3', 'whimbrel-w4', 'godwit-g4'].map((typeId) => {
      const its = controlSchema.parse(JSON.parse(readFileSync(`catalogue/${typeId}/control.json`, 'utf8')));
      const now = { ...factorySet({ typeId, control: its, rating }, '50Hz'), control: its };
      const target = changedSet(now, now.values, 60, seeded(60));
      return timed(5, () => void keyPlan(now, target));
    }),
  );
}

/** Twenty tasks for two people, drawn so that they wait for each other here and there; the slowest of many. */
function stopTimes(): { plan20_ms: number; proven: number; movable_ms: number } {
  const random = seeded(20);
  const plans = Array.from({ length: 40 }, () =>
    Array.from({ length: 20 }, (_, i): Task => ({
      id: String(i),
      minutes: 5 * (1 + Math.floor(random() * 8)),
      needs: random() < 0.6 ? ['isolated'] : random() < 0.5 ? ['stop'] : [],
      after:
        i === 0
          ? []
          : [...new Set([0, 1].flatMap(() => (random() < 0.55 ? [String(Math.floor(random() * i))] : [])))],
      people: random() < 0.2 ? 2 : 1,
    })),
  );
  const proven = plans.filter((tasks) => stopPlan(tasks, 2).optimal).length / plans.length;
  return {
    plan20_ms: Math.max(...plans.map((tasks) => timed(1, () => void stopPlan(tasks, 2)))),
    proven,
    movable_ms: timed(5, () => void movable(usualSwap, 2)),
  };
}

/** The swap of a job with three hundred wires: sets carried over, wires mapped, the fit checked. */
function wiresTime(): number {
  const j = swapJob();
  const some = stateOf(j).swap.wires;
  for (let i = some.length + 1; i <= 300; i += 1) {
    const like = some[i % some.length];
    j.add('wire.noted', noted(i, like?.from ?? null, like?.role ?? 'none'));
  }
  const state = stateOf(j);
  return timed(10, () => void swapOf(state, knownType));
}

/** Currents and voltages over time, warm, and the same circuits in ngspice. */
function waveTimes() {
  const rectifier = waveCase({ window: [0, 0.2] });
  const drive = waveCase({ window: [0, 0.1], load: { kind: 'inverter' } });
  // What a slider asks for at each of its steps: another bank, so nothing of before can be used again.
  let pull = 0;
  const pulled = () => {
    pull += 1;
    return waveCase({
      window: [0.08, 0.14],
      load: { kind: 'inverter' },
      bank: { C: 7e-4 * (1 - pull / 400), ESR: 0.1, v0: 540 },
    });
  };
  return {
    waveRectifier_ms: timed(40, () => void simulateWave(rectifier)),
    waveHalves_ms: timed(40, () => void simulateWave(drive, 'split')),
    waveWhole_ms: timed(20, () => void simulateWave(drive, 'whole')),
    wavePull_ms: timed(30, () => void simulateWave(pulled())),
    spiceRectifier_ms: timed(3, () => void ngspiceTime(rectifier, 2e-5)),
    spiceDrive_ms: timed(1, () => void ngspiceTime(drive, 2e-6)),
  };
}

process.stdout.write(
  JSON.stringify({
    ...waveTimes(),
    ...stopTimes(),
    wires300_ms: wiresTime(),
    keys_ms: keyTimes(),
    startUp_ms: timed(50, startUp),
    ...setTimes(),
    rampCurves_ms: timed(20, () => void simulate(rampCase)),
    rampAnswer_ms: timed(10, () => void rampAnswer(rampCase)),
    hypotheses,
    probes: full.length,
    slices,
    prepare_ms,
    wholePosterior_ms,
    prunedMass: effort.prunedMass,
    roughMass: effort.roughMass,
    again_ms: timed(20, () => void diagnose(tables, full)),
    forward_ms: timed(20, () => void diagnose(tables, forward)),
    afterOneMore_ms: timed(20, () => void diagnose(tables, full.slice(0, 30))),
    reading_ms: timed(30, () => void readings(network, fullPlan(on), commonMeter)) / full.length,
    ngspice_ms,
    // The slowest table, with one answer given.
    trace_ms: Math.max(
      ...usualTables.map((table) =>
        timed(20, () => void traceFrom(table, [{ check: table.checks[0]?.id ?? '', outcome: 'yes' }])),
      ),
    ),
    memory_MB: process.memoryUsage().heapUsed / 1e6,
  }),
);
