import { saturationAt, thermalVolts } from '../../numerics/circuit';
import { stageWords, typicalDevices, type Family } from '../../equipment/power-stage';
import type { Condition, ConditionCode } from './diagnosis';
import { expectedOf, type Expectation, type HypothesisFit } from './fit';
import { decimalFactors, normalBelow } from './meter-likelihood';
import { column, families, usual_A, usualTemperature_C } from './faultable-network';
import { model } from './model';
import type { Posterior, DiagnosisProblem, Weighed } from './problem';
import { valueAt } from '../../numerics/arrays';

// Taken once: looking a global up at every use costs more than the function itself.
const { abs, log, max, min } = Math;

/** A condition is asserted from this probability on. */
export const asserted = 0.5;

const advice: Record<ConditionCode, string> = {
  'motor-connected':
    'The motor is still connected to U, V, W: its windings hide single open devices. Disconnect the motor and measure again.',
  'leads-swapped':
    'All readings are reversed: the red lead is in COM. Swap the leads at the meter and measure again.',
  'bus-not-discharged':
    'The capacitor bank is still charged: readings are shifted and the meter is at risk. Stop, discharge, prove the bus dead and measure again.',
  'thyristor-front-end':
    'The upper line devices block in both directions, as thyristors do: half-controlled rectifier, not a failed one. Choose that power stage; the readings stay.',
  'entry-slip': 'A reading fits if its decimal point is moved. Measure it again.',
  'hot-unit':
    'All diode drops are low: the unit is still hot. Let it cool, or enter its temperature, before comparing with the normal range.',
  'brake-resistor-connected':
    'The brake resistor is still connected to BR and DC+ and reads like a short. Disconnect it and measure BR again.',
  'wrong-stage':
    'The readings fit a power stage built differently from this drawing. Check the power stage; the readings stay.',
  'meter-battery-low':
    'All diode drops are high: the unit is very cold or the meter battery is low. Replace the battery and test a known diode.',
  'leads-shorted':
    'All readings are near zero: separate the leads, check for a stray wire strand, then try again.',
};

/**
 * A trap with its advice.
 * @param more said after the usual advice
 */
export const condition = (code: ConditionCode, probability: number, more = ''): Condition => ({
  code,
  probability,
  advice: more === '' ? advice[code] : `${advice[code]} ${more}`,
});

/** How the drop of a family at the usual current differs at a temperature from the one tables are made at, V. */
function temperatureShift(family: Family, temperature_C: number): number {
  const { Is, n } = typicalDevices[family];
  const drop = (t: number) => n * thermalVolts(t) * log(usual_A / saturationAt(Is, n, t));
  return drop(temperature_C) - drop(usualTemperature_C);
}

/** What is known of the unit's drops before its readings; a known temperature narrows it. */
export function expectationFor(
  familyShift_V: Readonly<Record<string, number>>,
  temperature_C: number | undefined,
): Expectation {
  const centre = new Float64Array(column.count);
  const spread = new Float64Array(column.count).fill(model.device_V);
  for (const family of families) {
    const known = temperature_C === undefined ? 0 : temperatureShift(family, temperature_C);
    centre[column.family(family)] = known - (familyShift_V[family] ?? 0);
    spread[column.family(family)] = temperature_C === undefined ? model.family_V : model.familyKnown_V;
  }
  if (temperature_C !== undefined) {
    centre[column.slope] = (temperature_C - usualTemperature_C) / (usualTemperature_C + 273.15);
    spread[column.slope] = model.slopeKnown;
  } else spread[column.slope] = model.slope;
  spread[column.circumstance] = model.circumstanceSpread;
  return { centre, spread };
}

/** The unit's drop of each family against the typical one at the usual temperature, V. */
export const familyShiftOf = (
  familyShift_V: Readonly<Record<string, number>>,
  unknowns: Float64Array,
): Record<string, number> =>
  Object.fromEntries(families.map((f) => [f, (familyShift_V[f] ?? 0) + valueAt(unknowns, column.family(f))]));

/** Are all drops off the same way, more than makes differ among themselves? */
function drift(
  problem: DiagnosisProblem,
  best: HypothesisFit,
  temperature_C: number | undefined,
): Condition[] {
  const read = new Set(
    problem.observations.flatMap((_, i) => {
      const solved = best.solutions[i];
      return solved === undefined || solved.overload
        ? []
        : [...solved.columns].flatMap((c) => families.filter((f) => column.family(f) === c));
    }),
  );
  const shifts = [...read].map((f) => {
    const known = temperature_C === undefined ? 0 : temperatureShift(f, temperature_C);
    return (problem.tables.familyShift_V[f] ?? 0) + valueAt(best.unknowns, column.family(f)) - known;
  });
  if (shifts.length < 2) return [];
  const mean = shifts.reduce((a, b) => a + b, 0) / shifts.length;
  const low = max(...shifts);
  const high = min(...shifts);
  const hot =
    normalBelow((-mean - model.hotBelow_V) / model.driftDoubt_V) * (low < -model.allOff_V ? 1 : 0.3);
  const flat =
    normalBelow((mean - model.flatAbove_V) / model.driftDoubt_V) * (high > model.allOff_V ? 1 : 0.3);
  const off = `They are ${abs(mean * 1000).toFixed(0)} mV ${mean < 0 ? 'below' : 'above'} normal.`;
  return [
    ...(hot > 0.05 ? [condition('hot-unit', hot, off)] : []),
    ...(flat > 0.05 ? [condition('meter-battery-low', flat, off)] : []),
  ];
}

/** Figures that fit with their decimal point moved; as sure as the fit is that they are slips. */
function slips({ observations }: DiagnosisProblem, best: HypothesisFit): Condition[] {
  const moved = observations.flatMap((o, i) => {
    const doubt = 1 - valueAt(best.trust, i);
    const expected = expectedOf(best, i);
    if (o.state !== 'finite' || doubt < asserted || !Number.isFinite(expected)) return [];
    const factor = decimalFactors.find((f) => abs(o.volts / f - expected) < 5 * model.reading_V);
    if (factor === undefined) return [];
    const meant = (o.volts / factor).toFixed(3);
    return [condition('entry-slip', doubt, `${o.probe.red} to ${o.probe.black} would fit as ${meant} V.`)];
  });
  return moved.slice(0, 1);
}

/** How a unit would be built that is not as it was drawn, in words: what most of that probability says; null: nothing does. */
function likeliestBuild({ tables }: DiagnosisProblem, ofCircumstance: Float64Array): string | null {
  const shares = new Map<string, number>();
  tables.circumstances.forEach(({ code, stage }, c) => {
    if (code !== 'wrong-stage') return;
    const words = stageWords(stage);
    shares.set(words, (shares.get(words) ?? 0) + valueAt(ofCircumstance, c));
  });
  return [...shares].sort((a, b) => b[1] - a[1])[0]?.[0] ?? null;
}

/** Every trap that the figures betray, likeliest first. */
export function conditionsOf(
  problem: DiagnosisProblem,
  { ofCircumstance }: Posterior,
  best: Weighed,
  temperature_C: number | undefined,
): Condition[] {
  const chances = new Map<ConditionCode, number>();
  problem.tables.circumstances.forEach(({ code }, c) => {
    if (code !== null) chances.set(code, (chances.get(code) ?? 0) + valueAt(ofCircumstance, c));
  });
  const built = likeliestBuild(problem, ofCircumstance);
  const more = (code: ConditionCode): string =>
    code === 'wrong-stage' && built !== null ? `They fit: ${built}.` : '';
  return [
    ...[...chances].filter(([, p]) => p > 0.05).map(([code, p]) => condition(code, p, more(code))),
    ...slips(problem, best.fit),
    ...drift(problem, best.fit, temperature_C),
  ].sort((a, b) => b.probability - a.probability);
}
