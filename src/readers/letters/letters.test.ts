import { cleaned, evened, hasLightLetters, inkOf, skewOf } from './clean';
import { piecesOf } from './pieces';
import { greyMapOf, greyOf, turned, type GreyPicture } from './picture';
import { readPhoto } from './read-letters';

const width = 400;
const height = 240;

/** Three lines of upright bars, as letters are, on a ground that is darker to the right. */
function page({ letters = 40, ground = 200, rule = false } = {}): GreyPicture {
  const data = new Uint8Array(width * height);
  for (let y = 0; y < height; y += 1)
    for (let x = 0; x < width; x += 1) {
      const inLine = y > 40 && y < 200 && (y - 40) % 60 < 20;
      const isLetter = inLine && x > 40 && x < 300 && x % 10 < 4 && x % 120 > 40;
      const shade = 0.25 * ground * (x / width);
      const isRule = rule && y > 118 && y < 121;
      data[y * width + x] = (isLetter || isRule ? letters : ground) - (isLetter || isRule ? 0 : shade);
    }
  return { width, height, data };
}

it('knows by how much lines fall, either way', () => {
  for (const degrees of [-7, -2, 0, 3, 8]) {
    const { picture } = turned(page(), degrees);
    const skew = skewOf(inkOf(evened(picture), 1), picture.width, picture.height);
    expect(Math.abs(skew - degrees)).toBeLessThan(0.5);
  }
});

it('knows light letters on a dark ground from dark ones on a light', () => {
  expect(hasLightLetters(evened(page()))).toBe(false);
  expect(hasLightLetters(evened(page({ letters: 220, ground: 60 })))).toBe(true);
});

it('takes rules and shade away and keeps the letters', () => {
  const picture = page({ rule: true });
  const clean = cleaned(picture, evened(picture), 1);
  const at = (x: number, y: number): number => clean.data[y * width + x]!;
  expect(at(20, 119)).toBeGreaterThan(200);
  expect(at(180, 119)).toBeGreaterThan(200);
  expect(at(162, 50)).toBeLessThan(100);
  expect(at(390, 50)).toBe(255);
});

it('finds the pieces of text: what stands close together on a line', () => {
  const picture = page();
  const pieces = piecesOf(cleaned(picture, evened(picture), 1));
  expect(pieces).toHaveLength(9);
  expect(new Set(pieces.map((p) => Math.round(p.y0 / 20)))).toEqual(new Set([2, 5, 8]));
});

it('points of the turned picture are where they were on the photo', () => {
  const { picture, toSource } = turned(page(), 5, 2);
  const [x, y] = toSource((picture.width - 1) / 2, (picture.height - 1) / 2);
  expect(x).toBeCloseTo((width - 1) / 2, 6);
  expect(y).toBeCloseTo((height - 1) / 2, 6);
});

it('tries a photo that gives no words all ways, and keeps it as it is where none gives more', async () => {
  const asked: number[] = [];
  const { words } = await readPhoto(page(), (picture) => {
    asked.push(picture.width);
    return Promise.resolve([{ text: 'none', confidence: 0.2, x0: 0, y0: 0, x1: 20, y1: 20 }]);
  });
  expect(words.every((w) => w.confidence === 0.2)).toBe(true);
  expect(asked.length).toBeGreaterThan(words.length);
});

it('grey of colours, and a grey map with its head', () => {
  const grey = greyOf({ width: 2, height: 1, data: [255, 255, 255, 255, 0, 0, 0, 255] });
  expect([...grey.data]).toEqual([255, 0]);
  expect(new TextDecoder().decode(greyMapOf(grey).subarray(0, 11))).toBe('P5\n2 1\n255\n');
});
