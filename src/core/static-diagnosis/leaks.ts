import { at } from '../circuit';
import type { Evidence, Fit } from './fit';
import { model } from './model';
import { effect, type Prediction } from './tables';

/** Leaks whose distances lie within this look alike, nats. */
const indistinct = 4;
/** This much farther than the nearest is out of the question, nats. */
const excluded = 60;

export interface Scored {
  prediction: Prediction;
  /** ln of prior × likelihood of the states. */
  score: number;
}

/** Which readings a hypothesis lets overload: as a key. */
const pattern = (evidence: Evidence, prediction: Prediction): string =>
  evidence.rows
    .map((row) => (Math.abs(at(prediction.volts, row)) > evidence.tables.meter.ceiling_V ? '1' : '0'))
    .join('');

/** How far a prediction is from the figures, the unit's shared drops taken from another fit; nats. */
function distance({ tables, observations, rows }: Evidence, prediction: Prediction, near: Fit): number {
  const variance = model.reading_V ** 2 + model.device_V ** 2;
  return observations.reduce((sum, observation, i) => {
    const row = rows[i] ?? 0;
    const volts = at(prediction.volts, row);
    if (observation.state !== 'finite' || Math.abs(volts) > tables.meter.ceiling_V) return sum;
    const off =
      observation.volts - volts - effect(prediction.slopes, row, near.unknowns, tables.unknowns.firstFamily);
    return sum + (0.5 * off * off) / variance;
  }, 0);
}

/**
 * A leak is tried at several resistances because overload comes and goes with them. Where the
 * readings taken show the same overload for some of these, the nearest stands for all of them (its
 * resistance is fitted) and carries the weight of those that are about as near.
 */
export function withoutDoubleLeaks(evidence: Evidence, scored: readonly Scored[], near: Fit): Scored[] {
  const groups = new Map<string, Scored[]>();
  const rest: Scored[] = [];
  for (const s of scored) {
    const { hypothesis } = s.prediction;
    if (!hypothesis.fitsOhm) {
      rest.push(s);
      continue;
    }
    const key = `${hypothesis.faults[0]?.component ?? ''} ${pattern(evidence, s.prediction)}`;
    const group = groups.get(key);
    if (group === undefined) groups.set(key, [s]);
    else group.push(s);
  }
  for (const group of groups.values()) {
    const far = group.map((s) => distance(evidence, s.prediction, near));
    const nearest = Math.min(...far);
    const best = group[far.indexOf(nearest)];
    if (best === undefined) continue;
    const alike = far.filter((d) => d - nearest <= indistinct);
    rest.push({
      ...best,
      score: best.score + Math.log(alike.reduce((sum, d) => sum + Math.exp(nearest - d), 0)),
    });
    // Where the figures tell resistances apart, each that may still be meant keeps its own fit.
    rest.push(
      ...group.filter((_, i) => (far[i] ?? 0) - nearest > indistinct && (far[i] ?? 0) - nearest < excluded),
    );
  }
  return rest;
}
