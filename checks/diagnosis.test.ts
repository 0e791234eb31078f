/**
 * The diagnosis on units it has not seen: random stages and meters, none to two faults, 2 mV noise, device
 * scatter and family offsets, 0–40 °C. Every reading comes from ngspice.
 */
import {
  fullPlan,
  networkOf,
  readings,
  shown,
  type Fault,
  type Meter,
  type Probe,
  type Stage,
  type StageCase,
} from '@/core/equipment/power-stage';
import {
  diagnoseOnce,
  type Diagnosis,
  type NamedFault,
  type RawReading,
} from '@/core/bench/static-diagnosis';
import { ngspiceReadings } from './ngspice';
import { normal, seeded } from './random';
import { anyDevices, anyFaults, anyMeter, anyStage } from './units';

const long = process.env['GRIM_LONG'] === '1';
const seed = long ? Date.now() % 1e9 : 2026;

interface Unit {
  meter: Meter;
  made: StageCase;
}

/** Kinds of drive and meter; several units of each, so that tables are used more than once. */
const kinds = (random: () => number, count: number): { stage: Stage; meter: Meter }[] =>
  Array.from({ length: count }, () => ({ stage: anyStage(random), meter: anyMeter(random) }));

const anyUnit = (
  random: () => number,
  { stage, meter }: { stage: Stage; meter: Meter },
  faultCount: number,
): Unit => {
  const faults = anyFaults(random, stage, meter, faultCount);
  return {
    meter,
    made: { stage, temperature_C: 40 * random(), faults, devices: anyDevices(random, stage) },
  };
};

/** Displayed with noise. */
const displayed = (volts: number, meter: Meter, random: () => number) =>
  shown(volts + 0.002 * normal(random), meter);

/** Solved by ngspice; null where ngspice does not settle. */
function measured(
  { made, meter }: Unit,
  random: () => number,
  probes: readonly Probe[],
): RawReading[] | null {
  const volts = ngspiceReadings(networkOf(made), probes, meter);
  return volts === null
    ? null
    : probes.map(({ red, black }, i) => ({ red, black, value: displayed(volts[i] ?? 0, meter, random) }));
}

const nameOf = (faults: readonly { component: string; mode: string }[]): string =>
  faults
    .map((f) => `${f.component} ${f.mode}`)
    .sort()
    .join(' + ');

/** Would this unit, with other faults in it, read the same within three times the noise? */
function readsTheSame({ made, meter }: Unit, named: readonly NamedFault[]): boolean {
  const own = made.faults ?? [];
  const sized = named.map((f): Fault => own.find((o) => nameOf([o]) === nameOf([f])) ?? f);
  const plan = fullPlan(made.stage);
  const truth = readings(networkOf(made), plan, meter);
  const other = readings(networkOf({ ...made, faults: sized }), plan, meter);
  return truth.every((t, i) => {
    const o = other[i];
    return (
      o !== undefined &&
      (t.value === 'OL') === (o.value === 'OL') &&
      (t.value === 'OL' || Math.abs(t.volts - o.volts) < 3 * 0.0025)
    );
  });
}

const isRight = (unit: Unit, diagnosis: Diagnosis): boolean => {
  const [best] = diagnosis.candidates;
  if (best === undefined) return false;
  const listed = [best.faults, ...(best.equivalents ?? [])];
  const truth = nameOf(unit.made.faults ?? []);
  return listed.some((f) => nameOf(f) === truth) || readsTheSame(unit, best.faults);
};

/** Wilson's interval for a share (E. B. Wilson, J. Am. Stat. Assoc. 22, 1927), 95 %. */
function interval(right: number, of: number): string {
  const z = 1.96;
  const p = right / of;
  const middle = (p + (z * z) / (2 * of)) / (1 + (z * z) / of);
  const half = (z / (1 + (z * z) / of)) * Math.sqrt((p * (1 - p)) / of + (z * z) / (4 * of * of));
  return `${(100 * (middle - half)).toFixed(1)}–${(100 * (middle + half)).toFixed(1)} %`;
}

const say = (text: string): void => void process.stdout.write(`${text}\n`);

interface Given {
  kind: 'sound' | 'single' | 'double';
  unit: Unit;
  full: RawReading[];
  diagnosis: Diagnosis;
  right: boolean;
}

const kindNames = ['sound', 'single', 'double'] as const;

describe(`random units, seed ${seed}`, () => {
  const given: Given[] = [];
  let unsettled = 0;
  const shareRight = (lot: readonly Given[]): number => lot.filter((g) => g.right).length / lot.length;
  const truthOf = ({ unit }: Given): string => nameOf(unit.made.faults ?? []) || 'sound';
  const saidOf = ({ diagnosis }: Given): string => nameOf(diagnosis.candidates[0]?.faults ?? []) || 'sound';

  beforeAll(() => {
    const random = seeded(seed);
    const each = long ? 20 : 5;
    for (const kind of kinds(random, long ? 20 : 6))
      for (let i = 0; i < 2 * each; i += 1) {
        const faultCount = 1 + (i % 2);
        const unit = anyUnit(random, kind, faultCount);
        const full = measured(unit, random, fullPlan(unit.made.stage));
        if (full === null) {
          unsettled += 1;
          continue;
        }
        const diagnosis = diagnoseOnce(kind.stage, kind.meter, full);
        given.push({
          kind: kindNames[faultCount] ?? 'single',
          unit,
          full,
          diagnosis,
          right: isRight(unit, diagnosis),
        });
      }
    say(`diagnosis: ${given.length} faulty units, ${unsettled} more that ngspice does not settle`);
  });

  it.each([
    ['single', 0.97],
    ['double', 0.92],
  ] as const)('names %s faults first', (kind, asked) => {
    const lot = given.filter((g) => g.kind === kind);
    const missed = lot.filter((g) => !g.right);
    const right = lot.length - missed.length;
    say(`diagnosis: ${right} of ${lot.length} ${kind} faults first (${interval(right, lot.length)})`);
    if (missed.length > 0) say(`missed: ${missed.map((g) => `${truthOf(g)} → ${saidOf(g)}`).join('; ')}`);
    expect(lot.length).toBeGreaterThan(long ? 300 : 25);
    expect(shareRight(lot)).toBeGreaterThanOrEqual(asked);
  });

  it('condemns no sound unit', () => {
    const random = seeded(seed + 7);
    const condemned: string[] = [];
    let units = 0;
    for (const kind of kinds(random, 5))
      for (let i = 0; i < (long ? 40 : 20); i += 1) {
        const unit = anyUnit(random, kind, 0);
        const taken = readings(networkOf(unit.made), fullPlan(kind.stage), kind.meter).map(
          (r): RawReading => ({
            ...r,
            value: displayed(r.volts, kind.meter, random),
          }),
        );
        const diagnosis = diagnoseOnce(kind.stage, kind.meter, taken);
        units += 1;
        if (diagnosis.verdict === 'faulty') condemned.push(nameOf(diagnosis.candidates[0]?.faults ?? []));
      }
    say(`diagnosis: ${condemned.length} of ${units} sound units condemned`);
    expect(condemned).toEqual([]);
  });

  it('is right as often as it says', () => {
    const bands = [0.5, 0.7, 0.9, 0.97, 1.01];
    const chance = ({ diagnosis }: Given): number => diagnosis.candidates[0]?.probability ?? 0;
    say('said         cases  right');
    bands.slice(1).forEach((to, i) => {
      const from = bands[i] ?? 0;
      const lot = given.filter((g) => chance(g) >= from && chance(g) < to);
      const right = lot.filter((g) => g.right).length;
      say(`${from.toFixed(2)}–${Math.min(to, 1).toFixed(2)}   ${String(lot.length).padStart(5)}  ${right}`);
    });
    expect(shareRight(given.filter((g) => chance(g) >= 0.9))).toBeGreaterThanOrEqual(0.9);
  });

  it('reaches the verdict of the full plan guided, with at most half the probes', () => {
    const lot = given.filter((_, i) => i % (long ? 6 : 2) === 0);
    const shares: number[] = [];
    const differs: string[] = [];
    for (const g of lot) {
      const { probes, diagnosis } = guided(g.unit, g.full);
      shares.push(probes / g.full.length);
      if (diagnosis.verdict !== g.diagnosis.verdict)
        differs.push(`${truthOf(g)}: ${diagnosis.verdict} for ${g.diagnosis.verdict}`);
    }
    const median = [...shares].sort((a, b) => a - b)[Math.floor(shares.length / 2)] ?? 1;
    say(
      `guided: ${(100 * median).toFixed(0)} % of the full plan's probes, median of ${lot.length}; ${differs.length} other verdicts`,
    );
    if (differs.length > 0) say(differs.join('; '));
    expect(median).toBeLessThanOrEqual(0.5);
    expect(differs.length / lot.length).toBeLessThanOrEqual(0.1);
  });
});

/** Probes until the tool says that more would not change the decision. */
function guided(unit: Unit, full: readonly RawReading[]): { probes: number; diagnosis: Diagnosis } {
  const taken: RawReading[] = [];
  const open = new Map(full.map((t) => [`${t.red}>${t.black}`, t]));
  for (;;) {
    const diagnosis = diagnoseOnce(unit.made.stage, unit.meter, taken);
    const probe = diagnosis.next.find((n) => open.has(`${n.red}>${n.black}`));
    const reading = probe === undefined ? undefined : open.get(`${probe.red}>${probe.black}`);
    if (diagnosis.enough !== null || reading === undefined) return { probes: taken.length, diagnosis };
    open.delete(`${reading.red}>${reading.black}`);
    taken.push(reading);
  }
}
