import { terminalsOf, type Stage, type Terminal } from '../../equipment/power-stage';
import { ceilingFor } from './meter-likelihood';
import { candidatesOf, groupsOf, positionStates, unseenOf, type CandidateGroup } from './candidates';
import { asserted, condition, conditionsOf, expectationFor, familyShiftOf } from './conditions';
import { incredible } from './credible';
import { invalid, type Candidate, type Condition, type Diagnosis, type NextProbe } from './diagnosis';
import { tablesFor } from './hypotheses';
import { inSoundBand, judgeReadings, repeatsOf, slipsOf } from './judge';
import { explanationsBefore, explanationsOf, nextProbes } from './next-probe';
import { suspected } from './model';
import { observe, type Observation, type RawReading } from './observations';
import type { DiagnosisProblem } from './problem';
import { firstLook, weigh } from './search';
import { rowOf } from './solve';
import { enoughProbing } from './stopping';
import type { Tables } from './tables';

const sure = 0.9;
/** A sound unit that looks the same keeps a unit from being condemned from this share on. */
const negligibleShare = 0.02;
/** More are no test of one unit: a plan has a hundred probes at most. */
const mostReadings = 1000;
/** Beyond this shift of a family's drop the tables are made again around the fitted unit, V. */
const linear_V = 0.1;
const grid_V = 0.02;

/** The terminals a lead can be on: those of the stage, and DC+R where it is just another name or inner. */
const reachable = (stage: Stage): ReadonlySet<Terminal> => new Set<Terminal>([...terminalsOf(stage), 'DC+R']);

/** Reasons why no verdict can be given at all; null when there is something to weigh. */
function unusable(stage: Stage, observations: readonly Observation[], readings: number): Diagnosis | null {
  if (readings > mostReadings)
    return invalid(
      'too-many-readings',
      `${readings} readings are too many for one unit: a plan has at most a hundred tests, each repeated a few times.`,
    );
  if (observations.length === 0) return invalid('no-readings', 'No readings yet.');
  const known = reachable(stage);
  const absent = observations.flatMap(({ probe }) => [probe.red, probe.black]).filter((t) => !known.has(t));
  if (absent.length > 0)
    return invalid(
      'terminal-absent',
      `This power stage has no terminal ${[...new Set(absent)].join(', ')}: check the power stage.`,
    );
  const same = observations.filter(({ probe }) => probe.red === probe.black);
  if (same.length > 0) return invalid('one-terminal', 'Both leads are on the same terminal.');
  const torn = observations.filter((o) => o.contradictory);
  if (torn.length > 0)
    return invalid(
      'contradictory-readings',
      'Repeated readings disagree (OL and a value). Measure again: the majority counts.',
      { repeat: torn.map(({ probe }) => ({ ...probe, why: 'read OL and a value' })) },
    );
  if (observations.every((o) => o.state === 'OL'))
    return invalid('only-overload', 'All readings are OL: check leads, meter range and contact first.', {
      conditions:
        observations.length < suspected.allOverload.from
          ? []
          : [condition('leads-swapped', suspected.allOverload.chance)],
    });
  if (observations.every((o) => o.state === 'finite' && Math.abs(o.volts) < 0.02))
    return invalid('only-zero', 'All readings are zero: short and separate the leads, then try again.', {
      conditions: [
        condition(
          'leads-shorted',
          observations.length < suspected.allZero.from ? suspected.allZero.few : suspected.allZero.many,
        ),
      ],
    });
  return null;
}

/** Tables around the drops of the unit in hand, or the same ones where it is near enough to them. */
function around(tables: Tables, shift_V: Readonly<Record<string, number>>): Tables {
  const far = Object.values(shift_V).some((shift) => Math.abs(shift) > linear_V);
  if (!far) return tables;
  const rounded = Object.fromEntries(
    Object.entries(shift_V).map(([family, shift]) => [family, Math.round(shift / grid_V) * grid_V]),
  );
  const key = JSON.stringify(rounded);
  const known = tables.others.get(key);
  if (known !== undefined) return known;
  const made = tablesFor(tables.stage, tables.meter, { familyShift_V: rounded });
  // Units differ little from one reading to the next: a few sets of tables are plenty.
  if (tables.others.size >= 3) tables.others.clear();
  tables.others.set(key, made);
  return made;
}

/**
 * Weighs every hypothesis of the tables against the readings.
 * @param tables from `tablesFor`; solved further as needed
 * @param readings in the order they were taken; repeats of a probe are joined
 * @param temperature_C of the junctions, where known
 */
export function diagnose(tables: Tables, readings: readonly RawReading[], temperature_C?: number): Diagnosis {
  const observations = observe(readings);
  const refused = unusable(tables.stage, observations, readings.length);
  if (refused !== null) return { ...refused, next: firstProbes(tables, observations, temperature_C) };
  const ceiling = ceilingFor(observations, tables.meter.ceiling_V);
  const ask = (on: Tables): DiagnosisProblem => ({
    tables: on,
    observations,
    rows: observations.map((o) => rowOf(on, o.probe)),
    expectation: expectationFor(on.familyShift_V, temperature_C),
    ceiling,
  });
  const first = firstLook(ask(tables));
  const impossible = () => invalid('no-hypothesis', 'No fault of this power stage gives these readings.');
  if (first === null) return impossible();
  const near = around(tables, familyShiftOf(tables.familyShift_V, first.unknowns));
  const problem = ask(near);
  const look = near === tables ? first : firstLook(problem);
  if (look === null) return impossible();
  const posterior = weigh(problem, look);
  const [best] = posterior.weighed;
  const sound = near.all[0];
  if (best === undefined || sound === undefined) return impossible();

  const groups = groupsOf(problem, posterior);
  const leader = groups[0]?.leader ?? best;
  const candidates = candidatesOf(problem, groups);
  const unseen = unseenOf(problem, leader);
  const positions = positionStates(problem, posterior, unseen);
  const conditions = conditionsOf(problem, posterior, leader, temperature_C);
  const repeat = repeatsOf(problem, leader.fit);
  const missing = positions.filter((p) => p.state === 'unprobed' && p.component !== 'bus.bleeder');
  const slips = slipsOf(problem, leader.fit).length;
  const familyShift_V = familyShiftOf(near.familyShift_V, leader.fit.unknowns);
  const readingsJudged = judgeReadings(problem, sound, leader.fit.unknowns);
  const objection = incredible(leader, { slips, readings: observations.length, shift_V: familyShift_V });
  if (objection !== null)
    return invalid('not-explained', objection, {
      repeat,
      readings: readingsJudged,
      conditions: conditions.filter((c) => c.probability >= asserted),
    });
  const caseNotes: Diagnosis['caseNotes'] = [];
  if (missing.length > 0)
    caseNotes.push({
      code: 'incomplete',
      text: `Not measured yet: ${missing.map((p) => p.component).join(', ')}.`,
    });
  if (leader.fit.hypothesis.faults.length > 0 && slips >= 2)
    caseNotes.push({
      code: 'not-explained',
      text: `Up to three faults do not explain ${slips} of the readings: more faults, or the wrong power stage.`,
    });
  const last = readings[readings.length - 1] ?? null;
  const next = nextProbes(problem, explanationsOf(groups), last);
  const verdict = verdictOf(problem, groups, candidates, conditions, {
    incomplete: missing.length > 0,
    doubts: repeat.length,
  });
  return {
    verdict,
    candidates: candidates.slice(0, 50),
    restProbability: Math.max(0, 1 - candidates.slice(0, 50).reduce((sum, c) => sum + c.probability, 0)),
    positions,
    conditions: conditions.filter((c) => c.probability >= asserted),
    repeat,
    next,
    enough: enoughProbing({ verdict, candidates, missing: missing.length, repeat, next, conditions }),
    unseen,
    caseNotes,
    readings: readingsJudged,
    familyShift_V,
    effort: {
      hypotheses: posterior.looked,
      fitted: posterior.fitted,
      roughMass: posterior.roughMass,
      prunedMass: posterior.prunedMass,
    },
  };
}

/** Where to begin, or go on, while nothing can be concluded. */
const firstProbes = (
  tables: Tables,
  observations: readonly Observation[],
  temperature_C: number | undefined,
): NextProbe[] => {
  const { centre } = expectationFor(tables.familyShift_V, temperature_C);
  return nextProbes({ tables, observations }, explanationsBefore(tables, centre), null);
};

/** Set-ups under which nothing may be concluded about the unit but what conducts. */
const spoils = new Set<Condition['code']>([
  'leads-swapped',
  'bus-not-discharged',
  'thyristor-front-end',
  'wrong-stage',
  'meter-battery-low',
]);

function verdictOf(
  problem: DiagnosisProblem,
  groups: readonly CandidateGroup[],
  candidates: readonly Candidate[],
  conditions: readonly Condition[],
  { incomplete, doubts }: { incomplete: boolean; doubts: number },
): Diagnosis['verdict'] {
  const holds = conditions.filter((c) => c.probability >= asserted);
  const soundChance = candidates.find((c) => c.faults.length === 0)?.probability ?? 0;
  const [first] = groups;
  const { faults } = first?.leader.fit.hypothesis ?? { faults: [] };
  if (faults.length === 0)
    return soundChance >= sure && doubts === 0 && !incomplete && holds.length === 0
      ? 'not-shorted'
      : 'doubtful';
  const soundAlike = (first?.byName.get('')?.probability ?? 0) > negligibleShare;
  if (1 - soundChance < sure || soundAlike || holds.some((c) => spoils.has(c.code))) return 'doubtful';
  const mild = faults.every((f) => f.mode === 'degraded' && inSoundBand(problem, f.component));
  return mild ? 'doubtful' : 'faulty';
}
