// From readings to causes: which part is dead, how surely, what to take again and what to probe next.
import { fullPlan, probeKey, type Meter, type Probe, type Stage } from '../power-stage';
import { diagnose, type Diagnosis } from './diagnose';
import { singleFaults } from './hypotheses';
import type { Taken } from './observations';
import { prepare, type Tables } from './tables';

export { diagnose, directBand, directJunction } from './diagnose';
export type { Candidate, Diagnosis, NamedFault, PositionState, ReadingJudgement } from './diagnose';
export { soundBand } from './model';
export type { Taken } from './observations';
export type { Tables } from './tables';
export { bareNameOf, conclude, faultWords, nameOf, type Conclusion } from './words';

/** Where nobody measured it, a bench is taken to be at this temperature; the drops are fitted anyway. */
const usualTemperature_C = 25;
/** Beyond this shift of a family's drop the tables are made again around the fitted unit, V. */
const linear_V = 0.06;

/**
 * Tables for all usual probes of a stage and for those given.
 * @param temperature_C junction temperature if known
 */
export function tablesFor(
  stage: Stage,
  meter: Meter,
  {
    temperature_C,
    probes = [],
    familyShift_V = {},
  }: {
    temperature_C?: number | undefined;
    probes?: readonly Probe[];
    familyShift_V?: Tables['familyShift_V'];
  } = {},
): Tables {
  const every = [...fullPlan(stage), ...probes.map(({ red, black }) => ({ red, black }))];
  const unique = [...new Map(every.map((probe) => [probeKey(probe), probe])).values()];
  return prepare(
    { stage, meter, temperature_C: temperature_C ?? usualTemperature_C, familyShift_V, probes: unique },
    singleFaults(stage),
  );
}

/** Do these tables know every probe of the readings? */
export const covers = (tables: Tables, readings: readonly Probe[]): boolean => {
  const known = new Set(tables.probes.map(probeKey));
  return readings.every((reading) => known.has(probeKey(reading)));
};

/** Tables made again around the unit in hand, or the same ones when it is near enough to them. */
export function recentred(tables: Tables, diagnosis: Diagnosis): Tables {
  const far = tables.unknowns.families.some(
    (family) =>
      Math.abs((diagnosis.familyShift_V[family] ?? 0) - (tables.familyShift_V[family] ?? 0)) > linear_V,
  );
  return far
    ? tablesFor(tables.stage, tables.meter, { ...tables, familyShift_V: diagnosis.familyShift_V })
    : tables;
}

/** The whole way for one set of readings: tables, fit, tables around the fitted unit, fit. */
export function diagnoseOnce(
  stage: Stage,
  meter: Meter,
  readings: readonly Taken[],
  temperature_C?: number,
): Diagnosis {
  const tables = tablesFor(stage, meter, { temperature_C, probes: readings });
  const diagnosis = diagnose(tables, readings);
  const better = recentred(tables, diagnosis);
  return better === tables ? diagnosis : diagnose(better, readings);
}
