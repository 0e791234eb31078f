import { formatSignificant } from '../../numerics/figures';
import { ratedPower } from '../../terms';

/** Power as it stands on the plate. */
export interface Power {
  value: number;
  unit: 'kW' | 'hp';
}

/** A motor's rating plate. */
export interface Plate {
  power: Power;
  volts: number;
  amps: number;
  hz: number;
  rpm: number;
  cosPhi?: number | undefined;
  serviceFactor?: number | undefined;
  poles?: number | undefined;
  /** Read again: the figures stand like this on the plate, whatever the sums say. */
  asWritten?: boolean | undefined;
  /** The other pair of a dual-voltage plate. */
  alternatives?: { connection: 'star' | 'delta'; volts: number; amps: number }[] | undefined;
}

/** How grave a finding is. */
export type FindingSeverity = 'info' | 'doubt' | 'wrong';

/** Something to note about a plate, with its calculation. */
export interface Finding {
  code: string;
  severity: FindingSeverity;
  text: string;
  /** The sum behind it, as it would be written on paper. */
  sum: string;
}

/** What follows from a motor's rating plate. */
export interface PlateSums {
  power_kW: number;
  poles: number;
  synchronousRpm: number;
  /** Fraction of synchronous speed. */
  slip: number;
  torque_Nm: number;
  apparentPower_kVA: number;
  efficiencyTimesPf: number;
  findings: Finding[];
}

/** Power in kW; 1 hp = 0.7457 kW. */
export const kilowatts = ({ value, unit }: Power): number => (unit === 'hp' ? ratedPower.toSi(value) : value);

/** A plate's speed may exceed synchronous speed by this and still be synchronous. */
const synchronousTolerance = 0.002;

/**
 * Poles: the largest even number not above 120·f/n (IEC 60034-1 and NEMA MG 1 define synchronous
 * speed as 120·f/poles; from memory).
 */
export function polesFrom(hz: number, rpm: number): number {
  const most = (120 * hz * (1 + synchronousTolerance)) / rpm;
  return Math.max(2, 2 * Math.floor(most / 2));
}

/** Rated torque, N·m: 9550·kW/rpm (60 000/2π = 9549.3, rounded as the trade does). */
export const ratedTorque = (power_kW: number, rpm: number): number => (9550 * power_kW) / rpm;

/** All that follows from a plate, with what is doubtful or wrong about it. */
export function plateSums(plate: Plate): PlateSums {
  const power_kW = kilowatts(plate.power);
  const poles = plate.poles ?? polesFrom(plate.hz, plate.rpm);
  const synchronousRpm = (120 * plate.hz) / poles;
  const raw = (synchronousRpm - plate.rpm) / synchronousRpm;
  const slip = Math.abs(raw) <= synchronousTolerance ? 0 : raw;
  const apparentPower_kVA = (Math.sqrt(3) * plate.volts * plate.amps) / 1000;
  const efficiencyTimesPf = power_kW / apparentPower_kVA;
  const sums = {
    power_kW,
    poles,
    synchronousRpm,
    slip,
    torque_Nm: ratedTorque(power_kW, plate.rpm),
    apparentPower_kVA,
    efficiencyTimesPf,
  };
  const found = findings(plate, sums);
  return { ...sums, findings: plate.asWritten === true ? found.map(kept) : found };
}

/** What a plate really says is no error of the one who reads it: it stays a doubt. */
const kept = (finding: Finding): Finding =>
  finding.severity === 'wrong'
    ? { ...finding, severity: 'doubt', text: `${finding.text} Saved as on the nameplate.` }
    : finding;

const percent = (fraction: number): string => `${(100 * fraction).toFixed(1)} %`;

/** Least credible efficiency × power factor by size (common practice, no source). */
const leastProduct = (power_kW: number, poles: number): number => {
  const floor = power_kW < 0.37 ? 0.35 : power_kW < 1.1 ? 0.45 : 0.55;
  return poles >= 8 ? floor - 0.1 : floor;
};
const mostProduct = 0.92;

/** Efficiency × power factor of common four-pole motors by size (common practice, no source). */
const usualProducts: readonly (readonly [power_kW: number, product: number])[] = [
  [0.12, 0.37],
  [0.37, 0.5],
  [0.75, 0.58],
  [1.5, 0.64],
  [4, 0.71],
  [7.5, 0.74],
  [22, 0.79],
  [90, 0.83],
  [315, 0.85],
];

function usualProduct(power_kW: number): number {
  const at = usualProducts.findIndex(([size]) => size >= power_kW);
  const [, last] = usualProducts[usualProducts.length - 1] ?? [0, 0.85];
  const above = usualProducts[at];
  const below = usualProducts[at - 1];
  if (above === undefined) return last;
  if (below === undefined) return above[1];
  const share = Math.log(power_kW / below[0]) / Math.log(above[0] / below[0]);
  return below[1] + share * (above[1] - below[1]);
}

/** Amps that a motor of this power and voltage usually has: to compare with, never to enter. */
function fittingAmps({ power, volts }: Plate): number {
  const power_kW = kilowatts(power);
  return (1000 * power_kW) / (Math.sqrt(3) * volts * usualProduct(power_kW));
}

function findings(plate: Plate, sums: Omit<PlateSums, 'findings'>): Finding[] {
  const found: Finding[] = [];
  const add = (code: string, severity: FindingSeverity, text: string, sum: string) =>
    found.push({ code, severity, text, sum });
  const { power_kW, poles, synchronousRpm, slip, efficiencyTimesPf } = sums;

  const slipSum = `(${formatSignificant(synchronousRpm, 4)} − ${plate.rpm}) ÷ ${formatSignificant(synchronousRpm, 4)} = ${percent(slip)}`;
  if (poles % 2 !== 0) add('poles-odd', 'wrong', 'The number of poles must be even.', `poles = ${poles}`);
  if (slip < 0)
    add('slip-negative', 'wrong', 'Faster than synchronous speed: rpm, Hz or poles is wrong.', slipSum);
  else if (slip === 0)
    add(
      'slip-zero',
      'doubt',
      'No slip: synchronous or permanent-magnet motor? It needs another control mode.',
      slipSum,
    );
  else if (slip < 0.003) add('slip-low', 'doubt', 'Very small slip: check the rpm.', slipSum);
  else if (slip > 0.12) add('slip-high', 'wrong', 'Slip far too large: rpm, Hz or poles is wrong.', slipSum);
  else if (slip > 0.08)
    add('slip-large', 'doubt', 'Large slip: normal for fractional-kW motors only. Check the rpm.', slipSum);

  const product = `${formatSignificant(power_kW)} kW ÷ (√3 × ${plate.volts} V × ${plate.amps} A) = ${efficiencyTimesPf.toFixed(2)}; apparent power ${formatSignificant(sums.apparentPower_kVA)} kVA`;
  const fitting = `About ${formatSignificant(fittingAmps(plate), 2)} A would fit.`;
  const least = leastProduct(power_kW, poles);
  if (efficiencyTimesPf > 1)
    add(
      'product-impossible',
      'wrong',
      `Output power above input power: power, volts or amps is wrong. ${fitting}`,
      product,
    );
  else if (efficiencyTimesPf > mostProduct)
    add(
      'product-high',
      'doubt',
      `Efficiency × power factor is too high: check power, volts and amps. ${fitting}`,
      product,
    );
  else if (efficiencyTimesPf < least / 2)
    add(
      'product-impossible',
      'wrong',
      `Power far too low for this current: wrong value or unit. ${fitting}`,
      product,
    );
  else if (efficiencyTimesPf < least)
    add(
      'product-low',
      'doubt',
      `Power low for this current: check power, volts and amps. ${fitting}`,
      product,
    );

  if (plate.cosPhi !== undefined) {
    const efficiency = efficiencyTimesPf / plate.cosPhi;
    const sum = `${efficiencyTimesPf.toFixed(2)} ÷ ${plate.cosPhi} = ${percent(efficiency)}`;
    if (plate.cosPhi > 1 || plate.cosPhi < 0.2)
      add('cos-phi', 'wrong', 'Power factor must be between 0.2 and 1.', `cos φ = ${plate.cosPhi}`);
    else if (efficiency > 1) add('efficiency', 'wrong', 'Efficiency above 100 %: one value is wrong.', sum);
    else if (efficiency > 0.97) add('efficiency', 'doubt', 'Efficiency very high: check the nameplate.', sum);
  } else
    add(
      'no-cos-phi',
      'info',
      'No power factor on the nameplate: leave the drive default, about 0.85.',
      'cos φ not given',
    );

  if (plate.serviceFactor !== undefined && plate.serviceFactor > 1)
    add(
      'service-factor',
      'info',
      'Do not raise the overload setting by the service factor.',
      `service factor ${plate.serviceFactor}`,
    );
  for (const other of plate.alternatives ?? []) add(...alternativeFinding(plate, other));
  return found;
}

/** On a dual-voltage plate star is the higher voltage, and both pairs carry the same power: volts × amps agree. */
function alternativeFinding(
  plate: Plate,
  other: { connection: 'star' | 'delta'; volts: number; amps: number },
): [string, FindingSeverity, string, string] {
  const ratio = (other.volts * other.amps) / (plate.volts * plate.amps);
  const starIsHigher = other.connection === 'star' ? other.volts > plate.volts : other.volts < plate.volts;
  if (!starIsHigher) {
    const [star, delta] = other.connection === 'star' ? [other, plate] : [plate, other];
    return [
      'dual-voltage',
      'wrong',
      'Star is the higher voltage of the two: the pairs are exchanged, or a voltage is misread.',
      `star ${star.volts} V, delta ${delta.volts} V; star is √3 × delta`,
    ];
  }
  const sum = `${other.volts} V × ${other.amps} A ÷ (${plate.volts} V × ${plate.amps} A) = ${ratio.toFixed(2)}`;
  return Math.abs(ratio - 1) > 0.06
    ? ['dual-voltage', 'doubt', 'Star and delta values give different power: one value is misread.', sum]
    : ['dual-voltage', 'info', `The ${other.connection} values agree with the first.`, sum];
}
