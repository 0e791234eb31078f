import {
  familyOf,
  isJunction,
  positionsOf,
  type FaultMode,
  type Position,
  type Stage,
} from '../../equipment/power-stage';
import type { Candidate, Diagnosis, NamedFault } from './diagnosis';
import { isUnstatedPart } from './circumstances';
import type { HypothesisFit } from './fit';
import { column } from './faultable-network';
import { nameOfFaults, withFault } from './hypotheses';
import { model } from './model';
import type { Posterior, DiagnosisProblem, Weighed } from './problem';
import { isBlocked, solution } from './solve';
import { inertFaults } from './variants';
import type { Hypothesis } from './tables';
import { byteAt, item, valueAt } from '../../numerics/arrays';

// Taken once: looking a global up at every use costs more than the function itself.
const { abs, log, min } = Math;

/** The faults of a hypothesis without their sizes. */
export const namesOf = ({ faults }: Hypothesis): NamedFault[] =>
  faults.map(({ component, mode }) => ({ component, mode }));

/** What a fit's answer comes to with a unit's shared drops and the fit's own open sizes, V; Infinity: overload. */
function comesTo(
  { hypothesis, solutions, unknowns }: HypothesisFit,
  i: number,
  common: Float64Array,
  ceiling_V: number,
): number {
  const solved = item(solutions, i);
  if (isBlocked(solved)) return Infinity;
  let volts = solved.volts;
  for (let e = 0; e < solved.columns.length; e += 1) {
    const c = byteAt(solved.columns, e);
    volts += valueAt(solved.values, e) * valueAt(hypothesis.open.includes(c) ? unknowns : common, c);
  }
  return abs(volts) > ceiling_V ? Infinity : volts;
}

/** Nearer than this two figures are the same to us, V. */
const same_V = 3 * model.reading_V;

/** Does a fit predict what a group's leader does, as far as the noise lets us see? */
const equal = ({ rows, ceiling }: DiagnosisProblem, group: CandidateGroup, other: HypothesisFit): boolean =>
  rows.every((_, i) => {
    const x = valueAt(group.expects, i);
    const y = comesTo(other, i, group.leader.fit.unknowns, ceiling.volts);
    return x === y || abs(x - y) < same_V;
  });

/** Hypotheses that the readings taken cannot tell apart, together. */
export interface CandidateGroup {
  leader: Weighed;
  /** What the leader expects of each observation, V; Infinity for overload. */
  expects: Float64Array;
  weighed: Weighed[];
  probability: number;
  /** Names of the faults with their share, best first. */
  byName: Map<string, { faults: NamedFault[]; probability: number }>;
}

/** A name listed with less than this is not worth listing. */
const negligible = 1e-9;
const mostEquivalents = 200;
const worthAThought = 0.05;

const includes = (bigger: readonly NamedFault[], smaller: readonly NamedFault[]): boolean =>
  smaller.length > 0 &&
  smaller.every((s) => bigger.some((b) => b.component === s.component && b.mode === s.mode));

/** Joins what the readings taken cannot tell apart, best first. */
export function groupsOf(problem: DiagnosisProblem, { weighed }: Posterior): CandidateGroup[] {
  const groups: CandidateGroup[] = [];
  const { ceiling } = problem;
  for (const w of weighed) {
    const { fit } = w;
    let group = groups.find((g) => equal(problem, g, fit));
    if (group === undefined) {
      const expects = Float64Array.from(fit.solutions, (_, i) =>
        comesTo(fit, i, fit.unknowns, ceiling.volts),
      );
      group = { leader: w, expects, weighed: [], probability: 0, byName: new Map() };
      groups.push(group);
    }
    group.probability += w.probability;
    group.weighed.push(w);
    for (const { hypothesis, probability } of w.members) {
      const known = group.byName.get(hypothesis.name);
      if (known === undefined)
        group.byName.set(hypothesis.name, { faults: namesOf(hypothesis), probability });
      else known.probability += probability;
    }
  }
  return groups.sort((a, b) => b.probability - a.probability);
}

/** Candidates, best first; the same faults under different circumstances are one candidate. */
export function candidatesOf(problem: DiagnosisProblem, groups: readonly CandidateGroup[]): Candidate[] {
  const inert = inertFaults(problem.tables.stage);
  const byName = new Map<string, Candidate>();
  for (const group of groups) {
    const names = [...group.byName.values()].sort((a, b) => b.probability - a.probability);
    const [first] = names;
    if (first === undefined) continue;
    const key = nameOfFaults(first.faults);
    const unseen = inert
      .filter((f) => !first.faults.some((g) => g.component === f.component))
      .map((f) => [...first.faults, f]);
    const rivals = [
      ...names
        .slice(1)
        .filter((n) => n.probability > negligible)
        .map((n) => n.faults),
      ...unseen,
    ];
    const alike = names
      .slice(1)
      .filter((n) => n.probability > worthAThought * first.probability && !includes(n.faults, first.faults))
      .map((n) => n.faults);
    const known = byName.get(key);
    if (known === undefined)
      byName.set(key, { faults: first.faults, probability: group.probability, equivalents: rivals, alike });
    else {
      known.probability += group.probability;
      known.equivalents = [...(known.equivalents ?? []), ...rivals];
    }
  }
  return [...byName.values()]
    .sort((a, b) => b.probability - a.probability)
    .map(({ equivalents = [], ...candidate }) => {
      const distinct = new Map(equivalents.map((faults) => [nameOfFaults(faults), faults]));
      distinct.delete(nameOfFaults(candidate.faults));
      const list = [...distinct.values()].slice(0, mostEquivalents);
      return list.length === 0 ? candidate : { ...candidate, equivalents: list };
    });
}

/** Faults that would change none of the probes taken, the rest being as the best explanation has it. */
export function unseenOf(problem: DiagnosisProblem, best: Weighed): NamedFault[] {
  const { tables, rows } = problem;
  const { hypothesis } = best.fit;
  const hidden = tables.variants.flatMap(({ fault, weightTogether }, v) => {
    const { component, mode, ohm } = fault;
    if (isUnstatedPart(tables.stage, component)) return [];
    // A leak counts at about its usual size.
    if (mode === 'leaky' && weightTogether === 0) return [];
    if (mode === 'leaky' && abs(log((ohm ?? 0) / 1000)) > 0.5) return [];
    const more = withFault(tables, hypothesis, v);
    if (more === null) return [];
    const same = rows.every((row) => {
      const a = solution(tables, hypothesis, row);
      const b = solution(tables, more, row);
      return a === b || (a.overload && b.overload) || abs(a.volts - b.volts) < same_V;
    });
    return same ? [{ component, mode }] : [];
  });
  const opens = inertFaults(tables.stage).filter((f) => neverSeenOpen(tables.stage, f.component));
  return [...hidden, ...opens.filter((f) => f.mode === 'open')];
}

/** Of a bleeder or an untriggered thyristor a meter sees a short, never that it is open. */
const neverSeenOpen = (stage: Stage, position: Position): boolean =>
  position === 'bus.bleeder' || (familyOf(position) !== null && !isJunction(stage, position));

/** A reading follows its own device about one to one, and its neighbours in parallel less. */
const direct = 0.5;

/** Was a junction read by itself, not only along with others in parallel? */
function readDirectly({ tables, rows }: DiagnosisProblem, component: Position): boolean {
  const sound = tables.all[0];
  const place = column.device(component);
  return rows.some((row) => {
    if (sound === undefined) return false;
    const { columns, values } = solution(tables, sound, row);
    const e = columns.indexOf(place);
    return e >= 0 && abs(valueAt(values, e)) > direct;
  });
}

/** The state of every position, all hypotheses taken together. */
export function positionStates(
  problem: DiagnosisProblem,
  { ofVariant }: Posterior,
  unseen: readonly NamedFault[],
): Diagnosis['positions'] {
  const { stage, variants } = problem.tables;
  const chances = new Map<string, Map<FaultMode, number>>();
  variants.forEach(({ fault: { component, mode } }, v) => {
    const modes = chances.get(component) ?? new Map<FaultMode, number>();
    chances.set(component, modes);
    modes.set(mode, (modes.get(mode) ?? 0) + valueAt(ofVariant, v));
  });
  const hidden = new Set(unseen.map((f) => `${f.component} ${f.mode}`));
  return positionsOf(stage).map((component) => {
    const modes = chances.get(component) ?? new Map<FaultMode, number>();
    const faulty = min(
      1,
      [...modes.values()].reduce((a, b) => a + b, 0),
    );
    const tried = (mode: FaultMode) =>
      variants.some((v) => v.fault.component === component && v.fault.mode === mode);
    const gross = (['short', 'open'] as const).filter(tried);
    const unprobed =
      (isJunction(stage, component) && !readDirectly(problem, component)) ||
      (gross.length > 0 && gross.every((mode) => hidden.has(`${component} ${mode}`)));
    const [worst, chance = 0] = [...modes].sort((a, b) => b[1] - a[1])[0] ?? [];
    if (unprobed && faulty < 0.5) return { component, state: 'unprobed', probability: 1 - faulty };
    if (1 - faulty >= 0.5) {
      const half = neverSeenOpen(stage, component) || gross.some((m) => hidden.has(`${component} ${m}`));
      return { component, state: half ? 'unknown' : 'sound', probability: 1 - faulty };
    }
    return worst !== undefined && chance >= 0.5
      ? { component, state: worst, probability: chance }
      : { component, state: 'unknown', probability: faulty };
  });
}
