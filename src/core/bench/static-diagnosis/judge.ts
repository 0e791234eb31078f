import {
  familyOf,
  positions,
  probeKey,
  peersOf,
  type Position,
  type Probe,
  type Stage,
} from '../../equipment/power-stage';
import type { ReadingJudgement } from './diagnosis';
import type { HypothesisFit } from './fit';
import { column } from './faultable-network';
import { directBand, directJunction } from './junctions';
import { model } from './model';
import type { Observation } from './observations';
import { effect, solution } from './solve';
import type { DiagnosisProblem } from './problem';
import type { Hypothesis } from './tables';
import { numberAt, valueAt } from '../../numerics/arrays';

// Taken once: looking a global up at every use costs more than the function itself.
const { abs } = Math;

/** Each reading against what a sound unit with this one's drops would show. */
export function judgeReadings(
  { tables, rows, observations }: DiagnosisProblem,
  sound: Hypothesis,
  common: Float64Array,
): ReadingJudgement[] {
  return observations.map((observation, i) => {
    const solved = solution(tables, sound, numberAt(rows, i));
    const volts = solved.volts + effect(solved, common, column.firstFamily);
    const expected = solved.overload ? 'OL' : Number(volts.toFixed(3));
    const off_V =
      observation.state === 'finite' && !solved.overload
        ? Number((observation.volts - volts).toFixed(4))
        : null;
    const agrees =
      off_V !== null ? abs(off_V) <= model.offPeers_V : solved.overload && observation.state !== 'finite';
    const band = directBand(observation.probe);
    const inBand = band !== null && observation.volts >= band[0] && observation.volts <= band[1];
    const near = off_V !== null && abs(off_V) < 0.15 && (inBand || band === null);
    const waits = observation.state === 'climbing' || observation.contradictory;
    const state = agrees && !observation.contradictory ? 'sound' : near || waits ? 'doubt' : 'failed';
    return { ...observation.probe, state, expected, off_V, repeats: observation.repeats };
  });
}

/** Devices that differ from their peers under a fit, with the probe that reads them. */
const oddDevices = (
  { observations }: DiagnosisProblem,
  best: HypothesisFit,
): { position: Position; off_V: number; probe: Probe }[] =>
  positions.flatMap((position) => {
    const off_V = familyOf(position) === null ? 0 : valueAt(best.unknowns, column.device(position));
    if (abs(off_V) <= model.offPeers_V) return [];
    const reads = observations.find((o) => o.state === 'finite' && directJunction(o.probe) === position);
    return reads === undefined ? [] : [{ position, off_V, probe: reads.probe }];
  });

const offWords = (position: Position, off_V: number, stage: Stage): string => {
  const alone = peersOf(stage, position).length < 2;
  const side = off_V < 0 ? 'under' : 'over';
  return `${abs(off_V * 1000).toFixed(0)} mV ${side} ${alone ? 'normal' : 'the other two phases'}`;
};

/** Figures that the best explanation takes for slips. */
export const slipsOf = ({ observations }: DiagnosisProblem, best: HypothesisFit): Observation[] =>
  observations.filter((_, i) => valueAt(best.trust, i) < 0.5);

/** What to take again, with the reason. */
export function repeatsOf(problem: DiagnosisProblem, best: HypothesisFit): (Probe & { why: string })[] {
  const odd = oddDevices(problem, best);
  const slips = slipsOf(problem, best).filter((o) => !odd.some((d) => probeKey(d.probe) === o.key));
  return [
    ...odd.map(({ probe, off_V, position }) => ({
      ...probe,
      why: offWords(position, off_V, problem.tables.stage),
    })),
    ...slips.map(({ probe }) => ({ ...probe, why: 'does not fit the other readings' })),
  ];
}

/** Worse than its peers, but each of its readings inside the normal range. */
export const inSoundBand = ({ observations }: DiagnosisProblem, component: Position): boolean =>
  observations.every((o) => {
    if (o.state !== 'finite' || directJunction(o.probe) !== component) return true;
    const band = directBand(o.probe);
    return band === null || (o.volts >= band[0] && o.volts <= band[1]);
  });
