import { kilowatts } from '../../equipment/plate';

// Common practice, no source, where nothing else is said: what the values of a plate can be.

/** Sizes that motors are made in, kW (IEC 60072, from memory) and hp (NEMA MG 1, from memory). */
const sizes_kW = [
  0.06, 0.09, 0.12, 0.18, 0.25, 0.37, 0.55, 0.75, 1.1, 1.5, 2.2, 3, 4, 5.5, 7.5, 9.2, 11, 15, 18.5, 22, 30,
  37, 45, 55, 75, 90, 110, 132, 160, 200, 250, 315,
];
const sizes_hp = [
  0.25, 0.33, 0.5, 0.75, 1, 1.5, 2, 3, 5, 7.5, 10, 15, 20, 25, 30, 40, 50, 60, 75, 100, 125, 150, 200, 250,
  300, 350, 400,
];
const supplies_V = [
  110, 115, 120, 127, 190, 200, 208, 220, 230, 240, 255, 265, 277, 290, 330, 346, 380, 400, 415, 440, 460,
  480, 500, 525, 575, 600, 660, 690, 720,
];

const near = (value: number, list: readonly number[]): boolean =>
  list.some((one) => Math.abs(value - one) < 0.002 * one);

/** How much a value by itself speaks for being on a plate, in nats. */
export function plausible(quantity: string, value: number): number {
  switch (quantity) {
    case 'power-kW':
      return near(value, sizes_kW) ? 1.5 : value < 0.04 || value > 1000 ? -6 : -1;
    case 'power-hp':
      return near(value, sizes_hp) ? 1.5 : value < 0.05 || value > 1500 ? -6 : -1;
    case 'volts':
      return near(value, supplies_V) ? 2 : value < 90 || value > 1100 ? -6 : -1.5;
    case 'amps':
      return value <= 0.1 || value > 1500 ? -6 : 0;
    case 'hz':
      return value === 50 || value === 60 ? 3 : value < 10 || value > 600 ? -6 : -1;
    case 'rpm':
      return value < 200 || value > 24_000 ? -6 : value > 500 && value < 3600 ? 0.5 : -0.5;
    case 'cosPhi':
      return value > 1 || value < 0.4 ? -7 : value >= 0.6 && value <= 0.95 ? 1 : -1;
    case 'serviceFactor':
      return near(value, [1, 1.1, 1.15, 1.2, 1.25, 1.35, 1.4]) ? 2 : value < 1 || value > 1.6 ? -6 : -1;
    case 'poles':
      return [2, 4, 6, 8, 10, 12].includes(value) ? 2 : -5;
    case 'efficiency':
      return value < 40 || value > 98 ? -5 : 0.5;
    case 'waitMinutes':
      return near(value, [1, 2, 3, 4, 5, 6, 8, 10, 12, 15, 20, 30]) ? 1 : -3;
    default:
      return 0;
  }
}

/** Values of one rating of a plate; what is not told is left out. */
export interface RatingPoint {
  power_kW?: number | undefined;
  volts?: number | undefined;
  amps?: number | undefined;
  hz?: number | undefined;
  rpm?: number | undefined;
  cosPhi?: number | undefined;
  efficiency?: number | undefined;
}

/** Efficiency of usual motors by size: between classes IE1 and IE3 of IEC 60034-30-1, from memory. */
const usualEfficiency = (power_kW: number): number =>
  Math.min(0.96, 0.78 + 0.063 * Math.log(Math.max(power_kW, 0.05) + 0.55));

const squared = (x: number): number => x * x;
/** Beyond this a value is simply wrong; how far does not matter. */
const worst_nats = -9;

/** Power over apparent output power at the upper supply voltage: drives have current in hand, how much differs. */
const usualOfDrives = 0.62;
const driveSpread = 0.25;

/** Does power fit volts, amps and power factor? Efficiency has to come out as usual for the size. */
function powerFits({ power_kW, volts, amps, cosPhi, efficiency }: RatingPoint, ofDrive: boolean): number {
  if (power_kW === undefined || volts === undefined || amps === undefined) return 0;
  const ratio = power_kW / ((Math.sqrt(3) * volts * amps) / 1000);
  if (ofDrive) return Math.max(worst_nats, 1 - squared(Math.log(ratio / usualOfDrives) / driveSpread) / 2);
  const usual = usualEfficiency(power_kW);
  if (cosPhi === undefined) {
    const off = (ratio - usual * 0.82) / 0.1;
    return Math.max(worst_nats, 1 - squared(off) / 2);
  }
  const expected = efficiency === undefined ? usual : efficiency / 100;
  const spread = efficiency === undefined ? 0.045 : 0.015;
  return Math.max(worst_nats, 2 - squared((ratio / cosPhi - expected) / spread) / 2);
}

/** Does the speed fit the frequency: a little below a synchronous speed? Large motors slip less. */
function speedFits({ hz, rpm, power_kW = 4 }: RatingPoint): number {
  if (hz === undefined || rpm === undefined) return 0;
  const usual = Math.min(0.08, 0.045 / Math.sqrt(Math.max(power_kW, 0.1)) + 0.008);
  const best = [2, 4, 6, 8, 10, 12]
    .map((poles) => 1 - rpm / ((120 * hz) / poles))
    .filter((slip) => slip > -0.001 && slip < 0.16)
    .sort((a, b) => a - b)[0];
  if (best === undefined) return worst_nats;
  return Math.max(worst_nats, 1.5 - squared((best - usual) / (0.4 * usual + 0.006)) / 2);
}

/** How well the values of one rating fit together, in nats. */
export const pointFits = (point: RatingPoint, ofDrive = false): number =>
  powerFits(point, ofDrive) + (ofDrive ? 0 : speedFits(point));

/** How well two ratings of one winding fit: √3 between star and delta, 2 between parallel and series, amps the other way round. */
export function pairFits(a: RatingPoint, b: RatingPoint): number {
  if (a.volts === undefined || b.volts === undefined || a.amps === undefined || b.amps === undefined)
    return 0;
  if (a.hz !== b.hz) return 0;
  const volts = Math.max(a.volts, b.volts) / Math.min(a.volts, b.volts);
  const amps = Math.max(a.amps, b.amps) / Math.min(a.amps, b.amps);
  return Math.max(-5, 1 - squared(Math.log(volts / amps) / 0.03) / 2);
}

/** Power in kW of a value in its unit. */
export const inKilowatts = (quantity: string, value: number): number | undefined =>
  quantity === 'power-kW' ? value : quantity === 'power-hp' ? kilowatts({ value, unit: 'hp' }) : undefined;
