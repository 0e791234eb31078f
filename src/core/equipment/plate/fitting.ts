import { kilowatts, plateSums, polesFrom, type Plate } from './plate';

/** Another reading of a plate under which its figures can be true together. */
export interface PlateReading {
  /** What is read otherwise, e.g. "11 hp". */
  as: string;
  plate: Plate;
  /** How it was found to fit. */
  sum: string;
}

/** What speaks against the figures as they are: what is wrong, and power that does not go with the amps. */
const against = (plate: Plate): number =>
  plateSums({ ...plate, asWritten: false }).findings.filter(
    (f) => f.severity === 'wrong' || f.code.startsWith('product-'),
  ).length;

/** A slipped decimal or the other unit; nothing else is guessed at. */
function readings(plate: Plate): { as: string; plate: Plate }[] {
  const { power, amps, hz, rpm } = plate;
  const other = power.unit === 'kW' ? 'hp' : 'kW';
  const times = (value: number, by: number): number => Number((value * by).toPrecision(6));
  const poles = polesFrom(hz, rpm);
  return [
    {
      as: `${power.value} ${other}`,
      plate: { ...plate, power: { value: power.value, unit: other } },
    },
    ...(plate.poles !== undefined && plate.poles !== poles
      ? [{ as: `${poles} poles`, plate: { ...plate, poles } }]
      : []),
    ...[0.1, 10].flatMap((by) => [
      { as: `${times(amps, by)} A`, plate: { ...plate, amps: times(amps, by) } },
      {
        as: `${times(power.value, by)} ${power.unit}`,
        plate: { ...plate, power: { ...power, value: times(power.value, by) } },
      },
    ]),
  ];
}

const doubts = (plate: Plate): number =>
  plateSums(plate).findings.filter((f) => f.severity === 'doubt').length;

/**
 * Readings under which a plate that cannot be is one that can: hp for kW, a decimal point, the number of poles.
 * @returns none where the plate can be as it is; the ones without any doubt first
 */
export function fittingReadings(plate: Plate): PlateReading[] {
  if (against(plate) === 0) return [];
  return readings(plate)
    .filter((r) => against(r.plate) === 0)
    .sort((a, b) => doubts(a.plate) - doubts(b.plate))
    .map((r) => {
      const sums = plateSums(r.plate);
      return {
        ...r,
        sum: `${Number(kilowatts(r.plate.power).toFixed(2))} kW ÷ (√3 × ${r.plate.volts} V × ${r.plate.amps} A) = ${sums.efficiencyTimesPf.toFixed(2)}, slip ${(100 * sums.slip).toFixed(1)} %`,
      };
    });
}
