// What a step must read, and when a reading passes. Common practice, no source, where nothing else is said.
import { formatSignificant } from '../../numerics/figures';
import { scaled, signalRange, signalUnit, type ScaleLine } from '../../numerics/analog-scaling';
import { unbalanceOf } from '../../numerics/unbalance';

/** A reading that a step demands, with the bounds in which it passes. */
export interface StepFigure {
  id: string;
  label: string;
  unit: string;
  least: number;
  most: number;
  /** Where the bounds come from. */
  rule: string;
}

/** A reading as it was taken. */
export interface FigureTaken {
  id: string;
  value: number;
}

/** A torque wrench and its user are this good, share of the torque. */
const torqueTolerance = 0.1;
/** A bond from frame to bar has no more than this, Ω. */
const bond_ohm = 0.1;
/** A supply may be off by this share of what the unit is made for (IEC 61800-2, from memory). */
const supplyTolerance = 0.1;
/** Three voltages that are less alike than this are not a supply to start on, %. */
const mostUnbalance_percent = 3;
/** A reference may be off by this share of the whole line. */
export const referenceTolerance = 0.015;

/** The torque of the power terminals. @param torque_Nm as the type's table says; null: it does not */
export const torqueFigures = (torque_Nm: number | null): StepFigure[] => [
  {
    ...{ id: 'power', label: 'Power terminals at', unit: 'N·m' },
    ...(torque_Nm === null
      ? { least: 0.1, most: 500, rule: 'no torque table for this type' }
      : {
          least: (1 - torqueTolerance) * torque_Nm,
          most: (1 + torqueTolerance) * torque_Nm,
          rule: `${torque_Nm} N·m by the torque table, ±10 %`,
        }),
  },
];

/** The bond from frame to bar. */
export const earthFigures: readonly StepFigure[] = [
  {
    ...{ id: 'bond', label: 'Frame to PE bar', unit: 'Ω' },
    ...{ least: 0, most: bond_ohm, rule: `${bond_ohm} Ω at most` },
  },
];

/** The voltages at the line side. @param supply_V what the unit is made for */
export const supplyFigures = (supply_V: number, phases: 1 | 3): StepFigure[] =>
  (phases === 3 ? ['L1 to L2', 'L2 to L3', 'L3 to L1'] : ['Line to line or neutral']).map((label, i) => ({
    ...{ id: `line-${i + 1}`, label, unit: 'V' },
    least: (1 - supplyTolerance) * supply_V,
    most: (1 + supplyTolerance) * supply_V,
    rule: `${supply_V} V ±10 %`,
  }));

/**
 * The reference at four points of an analog line, as the drive shows it.
 * @param rpmPerHz of the motor: a person may read either
 */
export function analogFigures(line: ScaleLine, rpmPerHz: number): StepFigure[] {
  const { low, high } = signalRange(line.signal);
  const allowed = referenceTolerance * Math.abs(line.atHigh - line.atLow);
  return [0, 0.25, 0.5, 1].map((share) => {
    const signal = low + share * (high - low);
    const hz = scaled(line, signal);
    const stands = `${formatSignificant(hz)} Hz, ${formatSignificant(hz * rpmPerHz)} rpm`;
    return {
      id: `at-${100 * share}`,
      label: `At ${formatSignificant(signal)} ${signalUnit(line.signal)} reference shown`,
      unit: 'Hz',
      least: hz - allowed,
      most: hz + allowed,
      rule: `${stands}, ±${formatSignificant(allowed)} Hz`,
    };
  });
}

interface Shown {
  value: number;
  unit: string;
}

/** The readings of a step as they are shown. @param figure of an earlier version, which kept one */
export const figureWords = ({
  figure,
  figures = [],
}: {
  figure?: Shown | undefined;
  figures?: readonly Shown[] | undefined;
}): string[] =>
  [...(figure === undefined ? [] : [figure]), ...figures].map(({ value, unit }) => `${value} ${unit}`);

/** What is wrong with the readings of a step, each in a sentence; none: they pass. */
export function figuresAgainst(figures: readonly StepFigure[], taken: readonly FigureTaken[]): string[] {
  const valueOf = new Map(taken.map(({ id, value }) => [id, value]));
  const each = figures.flatMap(({ id, label, unit, least, most, rule }) => {
    const value = valueOf.get(id);
    if (value === undefined) return [`${label}: no reading.`];
    // Rounding of a sum must not refuse what stands on its bound.
    const slack = 1e-9 * Math.max(1, Math.abs(most));
    return value < least - slack || value > most + slack ? [`${label}: ${value} ${unit}, not ${rule}.`] : [];
  });
  const lines = figures.filter(({ id }) => id.startsWith('line-')).map(({ id }) => valueOf.get(id) ?? 0);
  const [a, b, c] = lines;
  if (each.length > 0 || a === undefined || b === undefined || c === undefined) return each;
  const { unbalance_percent } = unbalanceOf([a, b, c]);
  return unbalance_percent > mostUnbalance_percent
    ? [`The three voltages are ${unbalance_percent} % unbalanced: ${mostUnbalance_percent} % at most.`]
    : [];
}
