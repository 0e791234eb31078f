import type { GreyPicture } from './letters/picture';

/** What pdf.js has to draw of a page: its operations, and pictures by name. */
export interface PdfDrawing {
  getOperatorList: () => Promise<{ fnArray: number[]; argsArray: unknown[] }>;
  objs: PdfObjects;
  commonObjs: PdfObjects;
}
interface PdfObjects {
  get: (name: string, told: (object: unknown) => void) => unknown;
}

/** Numbers of pdf.js's operations. */
export interface PdfOperations {
  save: number;
  restore: number;
  transform: number;
  paintFormXObjectBegin: number;
  paintFormXObjectEnd: number;
  paintImageXObject: number;
  paintInlineImageXObject: number;
  paintImageMaskXObject: number;
}

/** From a unit square to the page, or from there to points of a picture: x' = a·x + c·y + e, y' = b·x + d·y + f. */
type Matrix = readonly [number, number, number, number, number, number];

const numbersOf = (value: unknown): number[] =>
  Array.isArray(value) ? value.filter((n): n is number => typeof n === 'number') : [];

function matrixOf(value: unknown): Matrix | null {
  const [a, b, c, d, e, f] = numbersOf(value);
  if (a === undefined || b === undefined || c === undefined || d === undefined) return null;
  return e === undefined || f === undefined ? null : [a, b, c, d, e, f];
}

/** First `inner`, then `outer`. */
const after = (outer: Matrix, inner: Matrix): Matrix => [
  outer[0] * inner[0] + outer[2] * inner[1],
  outer[1] * inner[0] + outer[3] * inner[1],
  outer[0] * inner[2] + outer[2] * inner[3],
  outer[1] * inner[2] + outer[3] * inner[3],
  outer[0] * inner[4] + outer[2] * inner[5] + outer[4],
  outer[1] * inner[4] + outer[3] * inner[5] + outer[5],
];

/** A decoded picture: its grey at a point. */
interface Decoded {
  width: number;
  height: number;
  grey: (x: number, y: number) => number;
}

/** How pdf.js packs points: one bit, red green blue, or the same with opacity. */
const packings = { bit: 1, rgb: 2, rgba: 3 } as const;

/** A picture of pdf.js, whichever way its points are packed; null for what is none. */
function decodedOf(object: unknown): Decoded | null {
  if (typeof object !== 'object' || object === null) return null;
  if (!('width' in object && 'height' in object && 'data' in object)) return null;
  const { width, height, data } = object;
  if (typeof width !== 'number' || typeof height !== 'number') return null;
  if (!ArrayBuffer.isView(data)) return null;
  const bytes = new Uint8Array(data.buffer, data.byteOffset, data.byteLength);
  const kind = 'kind' in object ? object.kind : packings.bit;
  const at = (i: number): number => bytes[i] ?? 255;
  if (kind === packings.bit) {
    const row = (width + 7) >> 3;
    return { width, height, grey: (x, y) => ((at(y * row + (x >> 3)) >> (7 - (x & 7))) & 1 ? 255 : 0) };
  }
  const step = kind === packings.rgba ? 4 : 3;
  return {
    ...{ width, height },
    grey: (x, y) => {
      const i = step * (y * width + x);
      return 0.299 * at(i) + 0.587 * at(i + 1) + 0.114 * at(i + 2);
    },
  };
}

interface Placed {
  picture: Decoded;
  /** From its unit square, whose y grows upwards, to the page. */
  place: Matrix;
}

async function placedPictures(page: PdfDrawing, ops: PdfOperations): Promise<Placed[]> {
  const { fnArray, argsArray } = await page.getOperatorList();
  const placed: Placed[] = [];
  const kept: Matrix[] = [];
  let now: Matrix = [1, 0, 0, 1, 0, 0];
  const named = (name: string): Promise<unknown> =>
    new Promise((resolve) => {
      (name.startsWith('g_') ? page.commonObjs : page.objs).get(name, resolve);
    });
  for (const [i, operation] of fnArray.entries()) {
    const given = argsArray[i];
    const first: unknown = Array.isArray(given) ? given[0] : undefined;
    if (operation === ops.save || operation === ops.paintFormXObjectBegin) kept.push(now);
    if (operation === ops.restore || operation === ops.paintFormXObjectEnd) now = kept.pop() ?? now;
    if (operation === ops.transform || operation === ops.paintFormXObjectBegin) {
      const matrix = matrixOf(operation === ops.transform ? given : first);
      if (matrix !== null) now = after(now, matrix);
    }
    if (operation !== ops.paintImageXObject && operation !== ops.paintInlineImageXObject) continue;
    const picture = decodedOf(typeof first === 'string' ? await named(first) : first);
    if (picture !== null) placed.push({ picture, place: now });
  }
  return placed;
}

/** Below this a letter of small print is too coarse to read, above it only takes longer; points per inch. Tried out, no source. */
const bestDpi = 230;
const pointsPerInch = 72;
/** Pictures over less of the page are figures, not a scan. */
const leastShare = 0.4;

const areaOf = ([a, b, c, d]: Matrix): number => Math.abs(a * d - b * c);

/**
 * A page that is a scan, as one picture at the resolution that letters are read at.
 * @param view from the page to its upright view, y downwards, in points of 1/72 inch
 * @returns null for a page that no picture covers
 */
export async function scanOf(
  page: PdfDrawing,
  ops: PdfOperations,
  { width, height, view }: { width: number; height: number; view: readonly number[] },
): Promise<{ picture: GreyPicture; scale: number } | null> {
  const toView = matrixOf([...view]);
  if (toView === null) return null;
  const placed = await placedPictures(page, ops);
  const covered = placed.reduce((sum, { place }) => sum + areaOf(after(toView, place)), 0);
  if (covered < leastShare * width * height) return null;
  const scale = bestDpi / pointsPerInch;
  const picture: GreyPicture = {
    width: Math.max(1, Math.round(width * scale)),
    height: Math.max(1, Math.round(height * scale)),
    data: new Uint8Array(Math.round(width * scale) * Math.round(height * scale)).fill(255),
  };
  for (const { picture: source, place } of placed) draw(picture, source, after(toView, place), scale);
  return { picture, scale };
}

/** Draws a picture where it is placed; points that are larger than those of the source are the mean of a few of them. */
function draw(onto: GreyPicture, source: Decoded, [a, b, c, d, e, f]: Matrix, scale: number): void {
  const whole = a * d - b * c;
  if (whole === 0) return;
  const corners = [
    [e, f],
    [e + a, f + b],
    [e + c, f + d],
    [e + a + c, f + b + d],
  ] as const;
  const xs = corners.map(([x]) => x * scale);
  const ys = corners.map(([, y]) => y * scale);
  const fromX = Math.max(0, Math.floor(Math.min(...xs)));
  const toX = Math.min(onto.width, Math.ceil(Math.max(...xs)));
  const fromY = Math.max(0, Math.floor(Math.min(...ys)));
  const toY = Math.min(onto.height, Math.ceil(Math.max(...ys)));
  const greyAt = (px: number, py: number): number | null => {
    const x = px / scale - e;
    const y = py / scale - f;
    const u = (d * x - c * y) / whole;
    const v = (a * y - b * x) / whole;
    if (u < 0 || u >= 1 || v < 0 || v >= 1) return null;
    return source.grey(Math.floor(u * source.width), Math.floor((1 - v) * source.height - 1e-9));
  };
  const offsets = [0.25, 0.75];
  for (let y = fromY; y < toY; y += 1)
    for (let x = fromX; x < toX; x += 1) {
      let sum = 0;
      let count = 0;
      for (const dy of offsets)
        for (const dx of offsets) {
          const grey = greyAt(x + dx, y + dy);
          if (grey === null) continue;
          sum += grey;
          count += 1;
        }
      if (count > 0) onto.data[y * onto.width + x] = Math.round(sum / count);
    }
}
