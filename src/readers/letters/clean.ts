import type { GreyPicture } from './picture';
import { spotsOf } from './spots';

// A photo of a plate for a reader of letters: even light, dark letters on a light ground, no rules, lines level.

/** How far around a point its ground is taken from, as a share of the picture's longer side. */
const groundShare = 0.03;
/** Contrast below this is no letters: of 255 … */
const leastSpread = 9;
/** … or so many deviations of the grain. */
const grainTimes = 3;

/** So far apart grain no longer hangs together, however the picture was scaled. */
const grainReach = 3;

/** How coarse the grain is: the deviation of what near points differ by, from their median, which letters do not move. */
function grainOf({ width, data }: GreyPicture): number {
  const counts = new Uint32Array(256);
  for (let i = grainReach; i < data.length; i += 1)
    if (i % width >= grainReach) {
      const difference = Math.abs((data[i] ?? 0) - (data[i - grainReach] ?? 0));
      counts[difference] = (counts[difference] ?? 0) + 1;
    }
  let sum = 0;
  const median = counts.findIndex((count) => (sum += count) >= data.length / 2);
  return median / (0.6745 * Math.SQRT2);
}

/**
 * Each point by how far it is from the mean around it, in deviations: light from one side, shadows and stains go.
 * Negative is darker than the ground.
 */
export function evened(picture: GreyPicture): Float32Array {
  const { width, height, data } = picture;
  const reach = Math.max(8, Math.round(groundShare * Math.max(width, height)));
  const floor = Math.max(leastSpread, grainTimes * grainOf(picture));
  const even = new Float32Array(width * height);
  // Sums of the columns over the rows around; a window slides over them, so that a point costs the same however wide it is.
  const columns = new Float64Array(width);
  const squares = new Float64Array(width);
  const addRow = (y: number, sign: 1 | -1): void => {
    for (let x = 0; x < width; x += 1) {
      const value = data[y * width + x] ?? 0;
      columns[x] = (columns[x] ?? 0) + sign * value;
      squares[x] = (squares[x] ?? 0) + sign * value * value;
    }
  };
  for (let y = 0; y < Math.min(height, reach); y += 1) addRow(y, 1);
  for (let y = 0; y < height; y += 1) {
    if (y + reach < height) addRow(y + reach, 1);
    if (y - reach - 1 >= 0) addRow(y - reach - 1, -1);
    const rows = Math.min(height - 1, y + reach) - Math.max(0, y - reach) + 1;
    let sum = 0;
    let square = 0;
    for (let x = 0; x < Math.min(width, reach); x += 1) {
      sum += columns[x] ?? 0;
      square += squares[x] ?? 0;
    }
    for (let x = 0; x < width; x += 1) {
      if (x + reach < width) {
        sum += columns[x + reach] ?? 0;
        square += squares[x + reach] ?? 0;
      }
      if (x - reach - 1 >= 0) {
        sum -= columns[x - reach - 1] ?? 0;
        square -= squares[x - reach - 1] ?? 0;
      }
      const count = rows * (Math.min(width - 1, x + reach) - Math.max(0, x - reach) + 1);
      const mean = sum / count;
      const spread = Math.sqrt(Math.max(0, square / count - mean * mean));
      even[y * width + x] = ((data[y * width + x] ?? 0) - mean) / Math.max(floor, spread);
    }
  }
  return even;
}

/** Are the letters lighter than the ground? Letters are the fewer points, so the skew of the distances tells. */
export function hasLightLetters(even: Float32Array): boolean {
  let cubes = 0;
  for (const z of even) if (Math.abs(z) < 4) cubes += z * z * z;
  return cubes > 0;
}

/** Darker than the ground by so many deviations is ink. */
const inkBelow = -0.9;

/** Which points are ink. */
export function inkOf(even: Float32Array, sign: 1 | -1): Uint8Array {
  const ink = new Uint8Array(even.length);
  for (let i = 0; i < ink.length; i += 1) ink[i] = sign * (even[i] ?? 0) < inkBelow ? 1 : 0;
  return ink;
}

const mostSkew_deg = 12;
/** Points of ink that are enough to find the lines by. */
const mostInk = 40_000;

/** How sharply ink falls into lines when the picture is sheared by a slope: the sum of the squares of its rows. */
function sharpness(points: Int32Array, height: number, slope: number): number {
  const rows = new Float64Array(height * 3);
  for (let i = 0; i < points.length; i += 2) {
    const row = Math.round((points[i + 1] ?? 0) - (points[i] ?? 0) * slope) + height;
    if (row >= 0 && row < rows.length) rows[row] = (rows[row] ?? 0) + 1;
  }
  let sum = 0;
  for (let row = 1; row < rows.length; row += 1) sum += ((rows[row] ?? 0) - (rows[row - 1] ?? 0)) ** 2;
  return sum;
}

/** By how many degrees the lines fall to the right, up to 12 either way. */
export function skewOf(ink: Uint8Array, width: number, height: number): number {
  const all: number[] = [];
  for (let i = 0; i < ink.length; i += 1) if (ink[i] === 1) all.push(i % width, Math.floor(i / width));
  const step = Math.max(1, Math.ceil(all.length / 2 / mostInk));
  const points = new Int32Array(all.filter((_, i) => Math.floor(i / 2) % step === 0));
  const score = (degrees: number): number => sharpness(points, height, Math.tan((degrees * Math.PI) / 180));
  const bestOf = (list: readonly number[]): number =>
    list.map((degrees) => [score(degrees), degrees] as const).sort((a, b) => b[0] - a[0])[0]?.[1] ?? 0;
  const around = (middle: number, reach: number, count: number): number[] =>
    Array.from({ length: 2 * count + 1 }, (_, i) => middle + (reach * (i - count)) / count);
  return bestOf(around(bestOf(around(0, mostSkew_deg, 24)), 0.4, 8));
}

/** A rule is longer than this share of the picture's width … */
const ruleShare = 0.07;
/** … and no letter is: the points beside a rule that are cleared with it. */
const ruleMargin = 2;

/** Clears long straight runs of ink, level and upright: the lines of tables and the rim of the plate. */
function clearRules(ink: Uint8Array, width: number, height: number): Uint8Array {
  const clear = new Uint8Array(ink.length);
  const least = Math.round(ruleShare * Math.max(width, 400));
  const sweep = (lines: number, long: number, at: (line: number, i: number) => number): void => {
    for (let line = 0; line < lines; line += 1) {
      let from = 0;
      let gaps = 0;
      for (let i = 0; i <= long; i += 1) {
        const filled = i < long && ink[at(line, i)] === 1;
        if (filled) {
          gaps = 0;
          continue;
        }
        gaps += 1;
        // Grain makes holes in rules.
        if (gaps <= 1 && i < long) continue;
        if (i - gaps - from + 1 >= least)
          for (let j = from; j <= i - gaps; j += 1)
            for (let side = -ruleMargin; side <= ruleMargin; side += 1)
              if (line + side >= 0 && line + side < lines) clear[at(line + side, j)] = 1;
        from = i + 1;
      }
    }
  };
  sweep(height, width, (line, i) => line * width + i);
  sweep(width, height, (line, i) => i * width + line);
  return clear;
}

/** Spots of ink smaller than this are grain, at the size letters of a plate are read at … */
const leastSpot = 14;
/** … and what is higher and wider than these shares of the picture is a stain or a rim. */
const mostHeight = 0.3;
const mostWidth = 0.15;

/** Takes away the ink that no letter is made of: specks, stains, what is left of a rim. */
function keepLetters(ink: Uint8Array, width: number, height: number, least: number): void {
  for (const { points, box } of spotsOf(ink, width, { corners: true })) {
    const isLarge = box.y1 - box.y0 > mostHeight * height || box.x1 - box.x0 > mostWidth * width;
    if (points.length < least || isLarge) for (const i of points) ink[i] = 0;
  }
}

/** Letters with the soft rim that a reader of letters goes by. */
function withRim(ink: Uint8Array, width: number): Uint8Array {
  const wide = new Uint8Array(ink.length);
  for (let i = 0; i < ink.length; i += 1)
    if (ink[i] === 1)
      for (let dy = -2; dy <= 2; dy += 1) for (let dx = -2; dx <= 2; dx += 1) wide[i + dy * width + dx] = 1;
  return wide;
}

/** From the ground to ink, in deviations: what lies between is the rim of a letter. */
const lightest = -0.2;
const darkest = -1.6;

/** Which points are of rules, or beside them. */
export const rulesOf = ({ width, height }: GreyPicture, even: Float32Array, sign: 1 | -1): Uint8Array =>
  clearRules(inkOf(even, sign), width, height);

/**
 * The picture as a reader of letters wants it: dark letters on white, and nothing else.
 * @param grain spots of fewer points are taken away
 * @param rules where they were found before
 */
export function cleaned(
  picture: GreyPicture,
  even: Float32Array,
  sign: 1 | -1,
  { grain = leastSpot, rules = rulesOf(picture, even, sign) }: { grain?: number; rules?: Uint8Array } = {},
): GreyPicture {
  const { width, height } = picture;
  const ink = inkOf(even, sign);
  for (let i = 0; i < ink.length; i += 1) if (rules[i] === 1) ink[i] = 0;
  keepLetters(ink, width, height, grain);
  const kept = withRim(ink, width);
  const data = new Uint8Array(even.length);
  for (let i = 0; i < data.length; i += 1) {
    const level = (255 * (sign * (even[i] ?? 0) - darkest)) / (lightest - darkest);
    data[i] = kept[i] === 1 && rules[i] === 0 ? Math.max(0, Math.min(255, Math.round(level))) : 255;
  }
  return { width, height, data };
}

/** The picture as it is without its rules: soft points and thin dashes of small print stay. */
export const withoutRules = ({ width, height, data }: GreyPicture, rules: Uint8Array): GreyPicture => ({
  ...{ width, height },
  data: data.map((grey, i) => (rules[i] === 1 ? 255 : grey)),
});
