import { isStated, type Stage } from '../../equipment/power-stage';
import { formatSignificant } from '../../numerics/figures';
import { chargeOf, type Charge } from './charge';
import { ampsAtVolts, type LampRating } from './lamp';
import { item } from '../../numerics/arrays';

/** What first power needs to know of a unit. */
export interface FirstPowerUnit {
  supply_V: number;
  phases: 1 | 3;
  capacitance_F: number;
  /** 0: it has none. */
  prechargeOhm: number;
  ratedAmps: number;
}

/** A drive whose supply, current and bank are stated: its charging can be computed. Null where they are not. */
export const fedDrive = <D extends { supply_V: number | null; ratedAmps: number | null; stage: Stage }>(
  drive: D,
): (D & { supply_V: number; ratedAmps: number }) | null =>
  drive.supply_V === null || drive.ratedAmps === null || !isStated(drive.stage, 'capacitance_uF')
    ? null
    : { ...drive, supply_V: drive.supply_V, ratedAmps: drive.ratedAmps };

/** The same from the words of a job. */
export const firstPowerUnit = (drive: {
  supply_V: number;
  phases: 1 | 3;
  ratedAmps: number;
  stage: { capacitance_uF: number; prechargeOhm: number };
}): FirstPowerUnit => ({
  supply_V: drive.supply_V,
  phases: drive.phases,
  capacitance_F: drive.stage.capacitance_uF * 1e-6,
  prechargeOhm: drive.stage.prechargeOhm,
  ratedAmps: drive.ratedAmps,
});

/** Through what a unit is first switched on. */
export type Way = { by: 'lamps'; watts: number } | { by: 'limit'; amps: number };

/** How a repaired unit is switched on: through what, what the bus should do, when to switch off. */
export interface FirstPowerPlan {
  way: Way;
  /** Lamps in series in each line, 230 V each; 0 with a limit. */
  perLine: number;
  sums: readonly { what: string; value: string; sum: string }[];
  /** What to put in, in words. */
  setUp: string;
  charge: Charge;
  /** √2 × the line volts, less the rectifier. */
  expected_V: number;
  /** Switch off when the bus is above this. */
  stopAbove_V: number;
  /** Switch off when the bus is below this after so long. */
  stopBelow_V: number;
  stopAfter_s: number;
  stops: readonly string[];
}

/** Rated volts of the lamps in the lines. */
export const lampVolts = 230;
/** Lamps that are sold, W. */
export const lampWatts = [40, 60, 100, 150, 200, 300, 500] as const;
/** What the control of a unit takes, W (assumed: a plate does not say). */
const standbyOf = (ratedAmps: number): number => 25 + 0.8 * ratedAmps;
/** Of the expected bus: less than that says something takes current (common practice, no source). */
const lowShare = 0.85;
/** The lower of the two supply frequencies: its ripple is the larger. */
const usual_Hz = 50;
const leastFinalShare = 0.88;
/** Above the expected bus by more than this, supply or meter are not what they are taken for (common practice, no source). */
const highShare = 1.06;

/** Lamps in series in each line: together they bear the line-to-line volts. */
export const lampsPerLine = (supply_V: number): number => Math.ceil(supply_V / (1.15 * lampVolts));

function planBy(unit: FirstPowerUnit, way: Way): FirstPowerPlan {
  const { supply_V, phases, capacitance_F, prechargeOhm } = unit;
  const standby_W = standbyOf(unit.ratedAmps);
  const perLine = way.by === 'lamps' ? lampsPerLine(supply_V) : 0;
  const lamp: LampRating | null = way.by === 'lamps' ? { volts: lampVolts, watts: way.watts } : null;
  const charge = chargeOf({
    supply_V,
    phases,
    capacitance_F,
    prechargeOhm,
    lamps: lamp === null ? null : { lamp, perLine },
    limit_A: way.by === 'limit' ? way.amps : null,
    standby_W,
  });
  const expected_V = Math.SQRT2 * supply_V - 2;
  const stopAfter_s = Math.max(1, Math.ceil(1.5 * (charge.reached_s ?? 10)));
  const stopBelow_V = Math.round(lowShare * Math.min(charge.final_V, expected_V));
  const pulses = phases === 3 ? 6 : 2;
  const ripple_V = standby_W / charge.final_V / (pulses * usual_Hz * capacitance_F);
  const sums = [
    {
      what: 'Bus at rest',
      value: `${formatSignificant(charge.final_V)} V`,
      sum: `√2 × ${supply_V} V = ${formatSignificant(Math.SQRT2 * supply_V)} V, less the rectifier and what ${formatSignificant(standby_W, 2)} W of control supply drop in ${lamp === null ? 'the supply' : 'the lamps'}`,
    },
    {
      what: 'Ripple then',
      value: `${formatSignificant(ripple_V, 2)} V`,
      sum: `${formatSignificant(standby_W, 2)} W ÷ ${formatSignificant(charge.final_V)} V ÷ (${pulses} × ${usual_Hz} Hz × ${formatSignificant(capacitance_F * 1e6)} µF), peak to peak at most`,
    },
    ...(lamp === null ? [] : shorted(unit, lamp, perLine)),
    ...(prechargeOhm > 0
      ? [
          {
            what: 'Charging',
            value: `90 % after ${charge.reached_s === null ? 'more than a minute' : `${formatSignificant(charge.reached_s, 2)} s`}`,
            sum: `${formatSignificant(capacitance_F * 1e6)} µF through ${formatSignificant(prechargeOhm)} Ω${lamp === null ? '' : ' and the lamps of two lines, warm as their current makes them'}`,
          },
        ]
      : []),
  ];
  return {
    way,
    perLine,
    sums,
    setUp:
      way.by === 'limit'
        ? `A supply limited to ${formatSignificant(way.amps)} A in each line, covers on, motor off.`
        : `In each of the ${phases === 3 ? 'three lines' : 'two wires'} ${perLine === 1 ? `one ${lampVolts} V lamp` : `${perLine} lamps of ${lampVolts} V in series`}, ${way.watts} W each, filament or halogen: LED and fluorescent lamps limit nothing. Covers on, motor off.`,
    charge,
    expected_V,
    stopAbove_V: Math.round(highShare * expected_V),
    stopBelow_V,
    stopAfter_s,
    stops: [
      `The bus is below ${stopBelow_V} V after ${stopAfter_s} s.`,
      ...(lamp === null
        ? ['The supply stays in current limit after that.']
        : ['A lamp stays bright after that: short downstream.', 'One lamp differs from the others.']),
      'Smell, noise, smoke, or bus voltage above the expected value.',
    ],
  };
}

/** If the bus is shorted the lamps take it all: what they carry then. */
function shorted({ supply_V, phases }: FirstPowerUnit, lamp: LampRating, perLine: number) {
  // Three lines into a short: each string has the volts to the star point; two wires share the line.
  const each = (phases === 3 ? supply_V / Math.sqrt(3) : supply_V / 2) / perLine;
  const amps = ampsAtVolts(lamp, each);
  return [
    {
      what: 'With the bus shorted',
      value: `${formatSignificant(amps, 2)} A a line, ${formatSignificant(amps * each * perLine * (phases === 3 ? 3 : 2), 2)} W in all`,
      sum: `${formatSignificant(each)} V on each lamp: ${formatSignificant(lamp.watts / lamp.volts, 2)} A × (${formatSignificant(each)} ÷ ${lamp.volts})^0.55; they glow ${each / lamp.volts > 0.7 ? 'bright' : 'yellow'} and limit the current`,
    },
  ];
}

/**
 * A plan for this unit. Of the lamps that are sold it takes the smallest through which the bus still comes up.
 * @param wish what the person has instead
 */
export function planFirstPower(unit: FirstPowerUnit, wish: Way | null = null): FirstPowerPlan {
  if (wish !== null) return planBy(unit, wish);
  const plans = lampWatts.map((watts) => planBy(unit, { by: 'lamps', watts }));
  const good = plans.find(
    (p) => p.charge.final_V >= leastFinalShare * p.expected_V && (p.charge.reached_s ?? Infinity) < 20,
  );
  return good ?? item(plans, plans.length - 1);
}
