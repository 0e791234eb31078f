import { at } from '../circuit';
import {
  familyOf,
  probeKey,
  sistersOf,
  terminalsOf,
  type FaultMode,
  type Position,
  type Probe,
  type Shown,
  type Stage,
  type Terminal,
} from '../power-stage';
import { fit, stateScores, type Evidence, type Fit } from './fit';
import { withoutDoubleLeaks } from './leaks';
import { model, soundBand } from './model';
import { nextProbes, type NextProbe } from './next-probe';
import { observe, type Observation, type Taken } from './observations';
import { effect, type Prediction, type Tables } from './tables';

export interface NamedFault {
  component: Position;
  mode: FaultMode;
}

export interface Candidate {
  /** Empty: the unit is sound. */
  faults: NamedFault[];
  /** Of this and all its equivalents together. */
  probability: number;
  /** Hypotheses that no reading taken so far can tell from this one. */
  equivalents?: NamedFault[][];
}

export type PositionState = 'sound' | 'short' | 'leaky' | 'open' | 'degraded' | 'unprobed' | 'unknown';

export interface ReadingJudgement extends Probe {
  state: 'sound' | 'doubt' | 'failed';
  /** What a sound unit with this one's drops would show. */
  expected: Shown;
  /** Deviation from that, V, where both are figures. */
  off_V: number | null;
  /** How often this probe was read. */
  repeats: number;
}

export interface Diagnosis {
  verdict: 'not-shorted' | 'faulty' | 'doubtful' | 'invalid';
  candidates: Candidate[];
  restProbability: number;
  positions: { component: Position; state: PositionState; probability: number }[];
  conditions: { code: string; probability: number; advice: string }[];
  repeat: (Probe & { why: string })[];
  next: NextProbe[];
  unseen: NamedFault[];
  caseNotes: { code: string; text: string }[];
  readings: ReadingJudgement[];
  /** Fitted drop of each family relative to the typical one, V: where tables are best re-made. */
  familyShift_V: Record<string, number>;
}

const sure = 0.9;
/** A hypothesis this many nats behind the best is not looked at further. */
const hopeless = 18;

const named = (prediction: Prediction): NamedFault[] =>
  prediction.hypothesis.faults.map(({ component, mode }) => ({ component, mode }));
const keyOf = (prediction: Prediction): string =>
  named(prediction)
    .map((f) => `${f.component} ${f.mode}`)
    .join(' + ');

const nothing = (code: string, text: string, extra: Partial<Diagnosis> = {}): Diagnosis => ({
  verdict: 'invalid',
  candidates: [],
  restProbability: 1,
  positions: [],
  conditions: [],
  repeat: [],
  next: [],
  unseen: [],
  caseNotes: [{ code, text }],
  readings: [],
  familyShift_V: {},
  ...extra,
});

/** The terminals a lead can be on: those of the stage, and DC+R where it is just another name or inner. */
const reachable = (stage: Stage): ReadonlySet<Terminal> => new Set<Terminal>([...terminalsOf(stage), 'DC+R']);

/** Reasons why no verdict can be given at all; null when there is something to weigh. */
function unusable(stage: Stage, observations: readonly Observation[]): Diagnosis | null {
  if (observations.length === 0) return nothing('no-readings', 'No reading was taken yet.');
  const known = reachable(stage);
  const absent = observations.flatMap(({ probe }) => [probe.red, probe.black]).filter((t) => !known.has(t));
  if (absent.length > 0)
    return nothing(
      'terminal-absent',
      `This stage has no terminal ${[...new Set(absent)].join(', ')}: check the stage.`,
    );
  const same = observations.filter(({ probe }) => probe.red === probe.black);
  if (same.length > 0) return nothing('one-terminal', 'Both leads on one terminal tell nothing.');
  const torn = observations.filter((o) => o.contradictory);
  if (torn.length > 0)
    return nothing(
      'contradictory-readings',
      'The same probe showed overload and a figure. Take it once more: the majority counts.',
      { repeat: torn.map(({ probe }) => ({ ...probe, why: 'showed overload and a figure' })) },
    );
  if (observations.every((o) => o.state === 'OL'))
    return nothing('only-overload', 'Every reading is overload: check leads, meter range and contact first.');
  if (observations.every((o) => o.state === 'finite' && Math.abs(o.volts) < 0.02))
    return nothing('only-zero', 'Every reading is zero: touch the leads together and apart, then try again.');
  return null;
}

/** Do two hypotheses predict the same for the probes taken, as far as the noise lets us see? */
function equal(evidence: Evidence, common: Float64Array, a: Prediction, b: Prediction): boolean {
  const { tables, rows } = evidence;
  const { firstFamily } = tables.unknowns;
  const ceiling = tables.meter.ceiling_V;
  const expected = (p: Prediction, row: number): number => {
    const volts = at(p.volts, row);
    return Math.abs(volts) > ceiling ? Infinity : volts + effect(p.slopes, row, common, firstFamily);
  };
  return rows.every((row) => {
    const x = expected(a, row);
    const y = expected(b, row);
    return x === y || Math.abs(x - y) < 3 * model.reading_V;
  });
}

function judgeReadings(evidence: Evidence, sound: Prediction, common: Float64Array): ReadingJudgement[] {
  const { tables, rows, observations } = evidence;
  const { firstFamily } = tables.unknowns;
  return observations.map((observation, i) => {
    const row = rows[i] ?? 0;
    let volts = at(sound.volts, row);
    const overload = Math.abs(volts) > tables.meter.ceiling_V;
    if (!overload) volts += effect(sound.slopes, row, common, firstFamily);
    const expected: Shown = overload ? 'OL' : Number(volts.toFixed(3));
    const off_V =
      observation.state === 'finite' && !overload ? Number((observation.volts - volts).toFixed(4)) : null;
    const agrees =
      off_V !== null ? Math.abs(off_V) <= model.offSisters_V : overload && observation.state !== 'finite';
    const band = directBand(observation.probe);
    const inBand = band !== null && observation.volts >= band[0] && observation.volts <= band[1];
    const near = off_V !== null && Math.abs(off_V) < 0.15 && (inBand || band === null);
    const waits = observation.state === 'climbing' || observation.contradictory;
    const state = agrees && !observation.contradictory ? 'sound' : near || waits ? 'doubt' : 'failed';
    return { ...observation.probe, state, expected, off_V, repeats: observation.repeats };
  });
}

/** The single junction a probe reads directly, or null. */
export function directJunction(probe: Probe): Position | null {
  const { red, black } = probe;
  const phase = (t: string) => t === 'U' || t === 'V' || t === 'W';
  const line = (t: string) => t === 'L1' || t === 'L2' || t === 'L3';
  if (black === 'DC+' && line(red)) return `rect.${red as 'L1'}.hi`;
  if (black === 'DC+' && phase(red)) return `inv.${red as 'U'}.hi`;
  if (black === 'DC+' && red === 'BR') return 'brk.diode';
  if (red === 'DC-' && line(black)) return `rect.${black as 'L1'}.lo`;
  if (red === 'DC-' && phase(black)) return `inv.${black as 'U'}.lo`;
  if (red === 'DC-' && black === 'BR') return 'brk.switch';
  return null;
}

/** The band a sound figure of this probe lies in, where it reads one junction. */
export function directBand(probe: Probe): readonly [number, number] | null {
  const position = directJunction(probe);
  const family = position === null ? null : familyOf(position);
  return family === null ? null : soundBand[family];
}

/** Devices that stand off their sisters under a fit, with the probe that reads them. */
function oddDevices(evidence: Evidence, best: Fit): { position: Position; off_V: number; probe: Probe }[] {
  return evidence.tables.unknowns.devices.flatMap((position, d) => {
    const off_V = at(best.unknowns, d);
    if (Math.abs(off_V) <= model.offSisters_V) return [];
    const reads = evidence.observations.find(
      (o) => o.state === 'finite' && directJunction(o.probe) === position,
    );
    return reads === undefined ? [] : [{ position, off_V, probe: reads.probe }];
  });
}

/**
 * Weighs every hypothesis of the tables against the readings.
 * @param tables from `prepare`; must contain every probe that was read
 * @param readings in the order they were taken; repeats of a probe are joined
 */
export function diagnose(tables: Tables, readings: readonly Taken[]): Diagnosis {
  const observations = observe(readings);
  const refused = unusable(tables.stage, observations);
  if (refused !== null) return refused;
  const rowOf = new Map(tables.probes.map((probe, i) => [probeKey(probe), i]));
  const rows = observations.map((o) => {
    const row = rowOf.get(o.key);
    if (row === undefined) throw new RangeError(`tables were not prepared for ${o.key}`);
    return row;
  });
  const evidence: Evidence = { tables, observations, rows };

  const states = tables.predictions.map((prediction) => stateScores(evidence, prediction));
  const bestStates = Math.max(...states);
  const possible = tables.predictions
    .map((prediction, i) => ({ prediction, score: states[i] ?? -Infinity }))
    .filter(({ score }) => score >= bestStates - hopeless)
    .sort((a, b) => b.score - a.score);
  const [likeliest] = possible;
  if (likeliest === undefined)
    return nothing('no-hypothesis', 'Nothing that can happen to this stage gives these readings.');
  const nearby = fit(evidence, likeliest.prediction, likeliest.score);
  const fits = withoutDoubleLeaks(evidence, possible, nearby).map(({ prediction, score }) =>
    prediction === likeliest.prediction ? nearby : fit(evidence, prediction, score, nearby),
  );
  const top = Math.max(...fits.map((f) => f.score));
  const total = fits.reduce((sum, f) => sum + Math.exp(f.score - top), 0);
  const byFault = new Map<string, { fit: Fit; probability: number }>();
  for (const f of fits) {
    const probability = Math.exp(f.score - top) / total;
    const key = keyOf(f.prediction);
    const known = byFault.get(key);
    if (known === undefined) byFault.set(key, { fit: f, probability });
    else
      byFault.set(key, {
        fit: f.score > known.fit.score ? f : known.fit,
        probability: known.probability + probability,
      });
  }
  const ranked = [...byFault.values()].sort((a, b) => b.probability - a.probability);
  const [first] = ranked;
  if (first === undefined)
    return nothing('no-hypothesis', 'Nothing that can happen to this stage gives these readings.');
  const common = first.fit.unknowns;
  const sound = tables.predictions[0];
  if (sound === undefined) throw new RangeError('tables without the sound hypothesis');

  const unseen = unseenOf(evidence, common, sound);
  const candidates = grouped(evidence, common, ranked);
  const positions = positionStates(tables, ranked, unseen);
  const judged = judgeReadings(evidence, sound, common);
  const odd = oddDevices(evidence, first.fit);
  const slips = observations.filter((_, i) => at(first.fit.trust, i) < 0.5);
  const repeat = [
    ...odd.map(({ probe, off_V, position }) => ({ ...probe, why: offWords(position, off_V, tables.stage) })),
    ...slips
      .filter((o) => !odd.some((d) => probeKey(d.probe) === o.key))
      .map(({ probe }) => ({ ...probe, why: 'does not fit the other readings' })),
  ];
  const caseNotes: Diagnosis['caseNotes'] = [];
  const open = unseen.filter((u) => positions.find((p) => p.component === u.component)?.state === 'unprobed');
  const missing = [...new Set(open.map((u) => u.component))].filter((c) => c !== 'bus.bleeder');
  if (missing.length > 0)
    caseNotes.push({ code: 'incomplete', text: `Not probed yet: ${missing.join(', ')}.` });
  const isSound = first.fit.prediction.hypothesis.faults.length === 0;
  if (!isSound && slips.length >= 2)
    caseNotes.push({
      code: 'not-explained',
      text: `No single fault explains ${slips.length} of the readings: more than one part, or the wrong stage.`,
    });
  return {
    verdict: verdictOf(first, candidates, evidence, missing.length > 0, odd.length + slips.length),
    candidates: candidates.slice(0, 50),
    restProbability: candidates.slice(50).reduce((sum, c) => sum + c.probability, 0),
    positions,
    conditions: [],
    repeat,
    next: nextProbes(tables, ranked, new Set(observations.map((o) => o.key))),
    unseen,
    caseNotes,
    readings: judged,
    familyShift_V: Object.fromEntries(
      tables.unknowns.families.map((family, u) => [
        family,
        (tables.familyShift_V[family] ?? 0) + at(common, tables.unknowns.firstFamily + u),
      ]),
    ),
  };
}

const offWords = (position: Position, off_V: number, stage: Stage): string => {
  const alone = sistersOf(stage, position).length < 2;
  const side = off_V < 0 ? 'under' : 'over';
  return `${Math.abs(off_V * 1000).toFixed(0)} mV ${side} ${alone ? 'what is usual' : 'its sisters'}`;
};

/** What the probes taken cannot tell from a sound unit; a leak counts at its usual 1 kΩ. */
function unseenOf(evidence: Evidence, common: Float64Array, sound: Prediction): NamedFault[] {
  return evidence.tables.predictions.flatMap((p) => {
    const [fault] = p.hypothesis.faults;
    if (fault === undefined || (fault.mode === 'leaky' && fault.ohm !== 1000)) return [];
    return equal(evidence, common, sound, p) ? named(p) : [];
  });
}

/** Candidates, best first, each with those that the readings taken cannot tell from it. */
function grouped(
  evidence: Evidence,
  common: Float64Array,
  ranked: readonly { fit: Fit; probability: number }[],
): Candidate[] {
  const groups: { leader: Prediction; candidate: Candidate }[] = [];
  for (const { fit: f, probability } of ranked) {
    const home = groups.find((g) => equal(evidence, common, g.leader, f.prediction));
    if (home === undefined)
      groups.push({ leader: f.prediction, candidate: { faults: named(f.prediction), probability } });
    else {
      home.candidate.probability += probability;
      (home.candidate.equivalents ??= []).push(named(f.prediction));
    }
  }
  return groups.map((g) => g.candidate).sort((a, b) => b.probability - a.probability);
}

function positionStates(
  tables: Tables,
  ranked: readonly { fit: Fit; probability: number }[],
  unseen: readonly NamedFault[],
): Diagnosis['positions'] {
  const all = [...new Set(tables.predictions.flatMap((p) => p.hypothesis.faults.map((f) => f.component)))];
  return all.map((component) => {
    const modes = new Map<FaultMode, number>();
    for (const { fit: f, probability } of ranked)
      for (const fault of f.prediction.hypothesis.faults)
        if (fault.component === component) modes.set(fault.mode, (modes.get(fault.mode) ?? 0) + probability);
    const faulty = [...modes.values()].reduce((a, b) => a + b, 0);
    const hidden = (mode: FaultMode) => unseen.some((u) => u.component === component && u.mode === mode);
    const tried = (mode: FaultMode) =>
      tables.predictions.some((p) =>
        p.hypothesis.faults.some((f) => f.component === component && f.mode === mode),
      );
    const gross = (['short', 'open'] as const).filter(tried);
    const unprobed = gross.every(hidden);
    const [worst, chance = 0] = [...modes].sort((a, b) => b[1] - a[1])[0] ?? [];
    if (unprobed && faulty < 0.5) return { component, state: 'unprobed', probability: 1 - faulty };
    // Of a bleeder or an untriggered thyristor a meter sees a short, never that it is open.
    if (1 - faulty >= 0.5)
      return { component, state: gross.some(hidden) ? 'unknown' : 'sound', probability: 1 - faulty };
    return worst !== undefined && chance >= 0.5
      ? { component, state: worst, probability: chance }
      : { component, state: 'unknown', probability: faulty };
  });
}

function verdictOf(
  first: { fit: Fit },
  candidates: readonly Candidate[],
  evidence: Evidence,
  incomplete: boolean,
  doubts: number,
): Diagnosis['verdict'] {
  const soundChance = candidates.find((c) => c.faults.length === 0)?.probability ?? 0;
  const [fault] = first.fit.prediction.hypothesis.faults;
  if (fault === undefined)
    return soundChance >= sure && doubts === 0 && !incomplete ? 'not-shorted' : 'doubtful';
  const grouping = candidates[0];
  const soundInGroup =
    grouping?.faults.length === 0 || grouping?.equivalents?.some((faults) => faults.length === 0) === true;
  if (1 - soundChance < sure || soundInGroup) return 'doubtful';
  return fault.mode === 'degraded' && degradedInBand(evidence, fault.component) ? 'doubtful' : 'faulty';
}

/** Worse than its sisters, but every figure of it inside the band a sound one may show. */
const degradedInBand = (evidence: Evidence, component: Position): boolean =>
  evidence.observations.every((o) => {
    if (o.state !== 'finite' || directJunction(o.probe) !== component) return true;
    const band = directBand(o.probe);
    return band === null || (o.volts >= band[0] && o.volts <= band[1]);
  });
