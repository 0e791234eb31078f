/**
 * The diagnosis on units it has not seen: random single faults with 2 mV noise, device scatter and
 * family offsets, 0–40 °C. The readings come from ngspice in the ngspice cases (few, slow) and from
 * our own solver, which is held to ngspice elsewhere, in the rest.
 */
import {
  commonMeter,
  fullPlan,
  networkOf,
  readings,
  shown,
  stage,
  type Fault,
  type Stage,
} from '@/core/power-stage';
import { diagnose, recentred, tablesFor, type Tables, type Taken } from '@/core/static-diagnosis';
import { ngspiceVolts } from './ngspice';
import { normal, pick, seeded } from './random';
import { anyDevices, anyFault } from './units';

const long = process.env['GRIM_LONG'] === '1';
const seed = long ? Date.now() % 1e9 : 2026;
const stages = [stage({ brake: true }), stage({ brake: true, link: 'link', dcrAccessible: true })];
const tables = new Map<Stage, Tables>();
const tablesOf = (s: Stage): Tables => {
  const known = tables.get(s) ?? tablesFor(s, commonMeter);
  tables.set(s, known);
  return known;
};

function judged(on: Stage, taken: Taken[]) {
  const first = diagnose(tablesOf(on), taken);
  const better = recentred(tablesOf(on), first);
  return better === tablesOf(on) ? first : diagnose(better, taken);
}

const names = (d: ReturnType<typeof judged>): string[] => {
  const [best] = d.candidates;
  return [best?.faults ?? [], ...(best?.equivalents ?? [])].map((f) =>
    f.map((x) => `${x.component} ${x.mode}`).join('+'),
  );
};

/** Solved by ngspice, displayed with noise. */
function measuredByNgspice(on: Stage, faults: Fault[], random: () => number): Taken[] {
  const network = networkOf({
    stage: on,
    temperature_C: 40 * random(),
    faults,
    devices: anyDevices(random, on),
  });
  return fullPlan(on).map((probe) => {
    const volts = ngspiceVolts(network, probe.red, probe.black, commonMeter);
    return { ...probe, value: shown(volts + 0.002 * normal(random), commonMeter) };
  });
}

function measured(on: Stage, faults: Fault[], random: () => number): Taken[] {
  const network = networkOf({
    stage: on,
    temperature_C: 40 * random(),
    faults,
    devices: anyDevices(random, on),
  });
  return readings(network, fullPlan(on), commonMeter).map((r) => ({
    ...r,
    value: shown(r.volts + 0.002 * normal(random), commonMeter),
  }));
}

describe(`single faults, seed ${seed}`, () => {
  it('names what ngspice was given', () => {
    const random = seeded(seed);
    const missed: string[] = [];
    const cases = long ? 40 : 6;
    for (let i = 0; i < cases; i += 1) {
      const on = pick(random, stages);
      const fault = anyFault(random, on);
      if (
        !tablesOf(on).predictions.some(
          (p) =>
            p.hypothesis.faults[0]?.component === fault.component &&
            p.hypothesis.faults[0].mode === fault.mode,
        )
      )
        continue;
      const d = judged(on, measuredByNgspice(on, [fault], random));
      if (!names(d).includes(`${fault.component} ${fault.mode}`))
        missed.push(`${JSON.stringify(fault)} → ${names(d)[0]}`);
    }
    expect(missed.length).toBeLessThanOrEqual(long ? 2 : 0);
  });

  it('is first in at least 97 % of random cases, and calls no sound unit faulty', () => {
    const random = seeded(seed + 1);
    const cases = long ? 600 : 60;
    let right = 0;
    let tried = 0;
    const missed: string[] = [];
    for (let i = 0; i < cases; i += 1) {
      const on = pick(random, stages);
      const fault = anyFault(random, on);
      const known = tablesOf(on).predictions.some(
        (p) =>
          p.hypothesis.faults[0]?.component === fault.component && p.hypothesis.faults[0].mode === fault.mode,
      );
      if (!known) continue;
      tried += 1;
      const d = judged(on, measured(on, [fault], random));
      if (names(d).includes(`${fault.component} ${fault.mode}`)) right += 1;
      else missed.push(`${JSON.stringify(fault)} → ${names(d)[0]}`);
    }
    const condemned: string[] = [];
    const units = long ? 200 : 30;
    for (let i = 0; i < units; i += 1) {
      const on = pick(random, stages);
      const d = judged(on, measured(on, [], random));
      if (d.verdict === 'faulty') condemned.push(names(d)[0] ?? '');
    }
    process.stdout.write(
      `diagnosis: ${right} of ${tried} single faults first; ${condemned.length} of ${units} sound units condemned\n`,
    );
    if (missed.length > 0) process.stdout.write(`missed: ${missed.join('; ')}\n`);
    expect(right / tried).toBeGreaterThanOrEqual(0.97);
    expect(condemned).toEqual([]);
  });
});
