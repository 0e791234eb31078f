import { formatSignificant } from '../numerics/figures';

/** A quantity that is read and typed in more than one unit. Stored in its SI unit always. */
export interface Quantity {
  /** The unit it is stored in. */
  readonly si: string;
  /** The other unit. */
  readonly us: string;
  /** Which of the two comes first for a US reader. */
  readonly usFirst: boolean;
  /** Ways a person types the SI unit and the other, in lower case without spaces. */
  readonly spellings: { readonly si: readonly string[]; readonly us: readonly string[] };
  /** A value in the other unit, of one in the SI unit. */
  readonly toUs: (si: number) => number;
  /** A value in the SI unit, of one in the other. */
  readonly toSi: (us: number) => number;
  /** A value in the other unit as text. */
  readonly writeUs: (us: number) => string;
}

/** Newton metres in a pound-force inch: 0.45359237 kg × 9.80665 m/s² × 0.0254 m (NIST SP 811, appendix B.8). */
const newtonMetresPerPoundInch = 0.45359237 * 9.80665 * 0.0254;
/** Kilowatts in a horsepower of 550 ft·lb/s, rounded as the trade does (745.69987 W in NIST SP 811, appendix B.8). */
export const kilowattsPerHorsepower = 0.7457;

/** Temperature; for US readers °F is beside °C, which drives display. */
export const temperature: Quantity = {
  si: '°C',
  us: '°F',
  usFirst: false,
  spellings: { si: ['°c', 'c', 'degc'], us: ['°f', 'f', 'degf'] },
  toUs: (celsius) => (celsius * 9) / 5 + 32,
  toSi: (fahrenheit) => ((fahrenheit - 32) * 5) / 9,
  writeUs: (fahrenheit) => String(Math.round(fahrenheit)),
};

/** Tightening torque. */
export const torque: Quantity = {
  si: 'N·m',
  us: 'lb·in',
  usFirst: true,
  spellings: {
    si: ['n·m', 'nm', 'n.m', 'n*m', 'n-m'],
    us: ['lb·in', 'lbin', 'lb.in', 'lb-in', 'in-lb', 'inlb'],
  },
  toUs: (newtonMetres) => newtonMetres / newtonMetresPerPoundInch,
  toSi: (poundInches) => poundInches * newtonMetresPerPoundInch,
  writeUs: (poundInches) => formatSignificant(poundInches),
};

/** Power of a motor or the rating of a drive. */
export const ratedPower: Quantity = {
  si: 'kW',
  us: 'hp',
  usFirst: true,
  spellings: { si: ['kw'], us: ['hp'] },
  toUs: (kilowatts) => kilowatts / kilowattsPerHorsepower,
  toSi: (horsepower) => horsepower * kilowattsPerHorsepower,
  writeUs: (horsepower) => formatSignificant(horsepower),
};

/** Sizes that are sold, smallest first: mm² of each by ASTM B258 (AWG) or by its kcmil. */
const awgSizes: readonly (readonly [name: string, area_mm2: number])[] = [
  ...[20, 18, 16, 14, 12, 10, 8, 6, 4, 3, 2, 1].map(
    (gauge) => [`AWG ${gauge}`, areaOfGauge_mm2(gauge)] as const,
  ),
  ...[1, 2, 3, 4].map((noughts) => [`AWG ${noughts}/0`, areaOfGauge_mm2(1 - noughts)] as const),
  ...[250, 300, 350, 400, 500, 600].map((kcmil) => [`${kcmil} kcmil`, kcmil * 0.506707479] as const),
];

/** Area of a gauge: its diameter is 0.127 mm × 92^((36 − gauge)/39) (ASTM B258). */
function areaOfGauge_mm2(gauge: number): number {
  const diameter_mm = 0.127 * 92 ** ((36 - gauge) / 39);
  return (Math.PI / 4) * diameter_mm ** 2;
}

/**
 * The smallest size of wire sold in the United States that is not thinner.
 * @param area_mm2 cross-section, mm²
 * @returns its name; null above 600 kcmil
 */
export const awgOf = (area_mm2: number): string | null =>
  // A hundredth below a size is that size: tables round to it.
  awgSizes.find(([, area]) => area >= area_mm2 * 0.99)?.[0] ?? null;

/**
 * A value with its unit, and the other unit beside it for a US reader.
 * @param quantity what it is
 * @param si value in the SI unit
 * @param us is the reader's profile that of the United States
 * @param text the value as text, where it is not the shortest
 */
export function writeQuantity(quantity: Quantity, si: number, us: boolean, text = String(si)): string {
  const inSi = `${text} ${quantity.si}`;
  if (!us) return inSi;
  const inUs = `${quantity.writeUs(quantity.toUs(si))} ${quantity.us}`;
  return quantity.usFirst ? `${inUs} (${inSi})` : `${inSi} (${inUs})`;
}
