/** Damage to a picture of a plate in four grades: as new, used, worn, badly worn. */
import sharp from 'sharp';
import { normal, seeded } from '../random';

/** From 1, a sharp photo of a clean plate, to 4, a smeared one of a scratched plate. */
export type Grade = 1 | 2 | 3 | 4;

const grades = {
  1: { turn: 0, blur: 0, noise: 0, contrast: 1, scratches: 0, stains: 0, shade: 0, quality: 92 },
  2: { turn: 1.5, blur: 0.6, noise: 6, contrast: 0.85, scratches: 2, stains: 1, shade: 0.25, quality: 80 },
  3: { turn: 4, blur: 1, noise: 11, contrast: 0.65, scratches: 5, stains: 3, shade: 0.45, quality: 65 },
  4: { turn: 7, blur: 1.5, noise: 16, contrast: 0.5, scratches: 9, stains: 6, shade: 0.6, quality: 50 },
} as const;

/** Scratches and stains as a drawing over the plate. */
function marks(
  random: () => number,
  width: number,
  height: number,
  scratches: number,
  stains: number,
): Buffer {
  const at = (most: number): string => (random() * most).toFixed(0);
  const lines = Array.from({ length: scratches }, () => {
    const [x, y] = [random() * width, random() * height];
    const angle = random() * Math.PI;
    const long = 60 + random() * 180;
    const grey = random() < 0.5 ? 40 : 235;
    return `<line x1="${x}" y1="${y}" x2="${x + long * Math.cos(angle)}" y2="${y + long * Math.sin(angle)}" stroke="rgb(${grey},${grey},${grey})" stroke-width="${(0.8 + random() * 1.4).toFixed(1)}" stroke-opacity="0.8"/>`;
  });
  const spots = Array.from(
    { length: stains },
    () =>
      `<ellipse cx="${at(width)}" cy="${at(height)}" rx="${(20 + random() * 60).toFixed(0)}" ry="${(15 + random() * 40).toFixed(0)}" fill="#4a3b28" fill-opacity="${(0.15 + random() * 0.2).toFixed(2)}"/>`,
  );
  return Buffer.from(
    `<svg xmlns="http://www.w3.org/2000/svg" width="${width}" height="${height}">${[...spots, ...lines].join('')}</svg>`,
  );
}

/** The picture as a camera would give it. */
export async function damaged(picture: Buffer, grade: Grade, seed: number): Promise<Buffer> {
  const how = grades[grade];
  const random = seeded(seed);
  const { width = 1, height = 1 } = await sharp(picture).metadata();
  const turned = await sharp(picture)
    .composite([{ input: marks(random, width, height, how.scratches, how.stains) }])
    .removeAlpha()
    .rotate(how.turn * (random() < 0.5 ? -1 : 1), { background: '#666' })
    .raw()
    .toBuffer({ resolveWithObject: true });
  const { width: w, height: h, channels } = turned.info;
  // Light falls from one side.
  const from = random() * 2 * Math.PI;
  const data = Buffer.from(turned.data);
  for (let y = 0; y < h; y += 1)
    for (let x = 0; x < w; x += 1) {
      const side = 0.5 + 0.5 * ((x / w - 0.5) * Math.cos(from) + (y / h - 0.5) * Math.sin(from)) * 2;
      const light = 1 - how.shade * Math.min(1, Math.max(0, side));
      const grain = how.noise * normal(random);
      for (let c = 0; c < channels; c += 1) {
        const i = (y * w + x) * channels + c;
        const value = ((data[i] ?? 0) - 128) * how.contrast + 128;
        data[i] = Math.min(255, Math.max(0, Math.round(value * light + grain)));
      }
    }
  const photo = sharp(data, { raw: { width: w, height: h, channels } });
  return (how.blur > 0 ? photo.blur(how.blur) : photo).jpeg({ quality: how.quality }).toBuffer();
}
