/** A picture in grey: one byte a point, row by row, 0 is black. */
export interface GreyPicture {
  width: number;
  height: number;
  data: Uint8Array;
}

/** A picture of red, green, blue and opacity in grey (ITU-R BT.601 weights). */
export function greyOf({
  width,
  height,
  data,
}: {
  width: number;
  height: number;
  data: ArrayLike<number>;
}): GreyPicture {
  const grey = new Uint8Array(width * height);
  for (let i = 0; i < grey.length; i += 1)
    grey[i] = Math.round(
      0.299 * (data[4 * i] ?? 0) + 0.587 * (data[4 * i + 1] ?? 0) + 0.114 * (data[4 * i + 2] ?? 0),
    );
  return { width, height, data: grey };
}

/** Where a point of one picture is in another. */
export type PointMap = (x: number, y: number) => [number, number];

/** A picture that was made of another, and where its points came from. */
export interface Mapped {
  picture: GreyPicture;
  toSource: PointMap;
}

const sampled = ({ width, height, data }: GreyPicture, x: number, y: number, outside: number): number => {
  if (x < 0 || y < 0 || x > width - 1 || y > height - 1) return outside;
  const x0 = Math.floor(x);
  const y0 = Math.floor(y);
  const x1 = Math.min(width - 1, x0 + 1);
  const y1 = Math.min(height - 1, y0 + 1);
  const topLeft = data[y0 * width + x0] ?? 0;
  const bottomLeft = data[y1 * width + x0] ?? 0;
  const top = topLeft + ((data[y0 * width + x1] ?? 0) - topLeft) * (x - x0);
  const bottom = bottomLeft + ((data[y1 * width + x1] ?? 0) - bottomLeft) * (x - x0);
  return top + (bottom - top) * (y - y0);
};

const median = (data: Uint8Array): number => {
  const counts = new Uint32Array(256);
  for (const value of data) counts[value] = (counts[value] ?? 0) + 1;
  let sum = 0;
  return counts.findIndex((count) => (sum += count) >= data.length / 2);
};

/**
 * The picture turned and scaled, all of it; the corners that come in have its middle grey.
 * @param degrees clockwise, for what is upright afterwards
 */
export function turned(picture: GreyPicture, degrees: number, scale = 1): Mapped {
  const angle = (degrees * Math.PI) / 180;
  const cos = Math.cos(angle);
  const sin = Math.sin(angle);
  const { width: w, height: h } = picture;
  const width = Math.max(1, Math.round((Math.abs(w * cos) + Math.abs(h * sin)) * scale));
  const height = Math.max(1, Math.round((Math.abs(w * sin) + Math.abs(h * cos)) * scale));
  const toSource: PointMap = (x, y) => {
    const dx = (x - (width - 1) / 2) / scale;
    const dy = (y - (height - 1) / 2) / scale;
    return [(w - 1) / 2 + dx * cos + dy * sin, (h - 1) / 2 - dx * sin + dy * cos];
  };
  const outside = median(picture.data);
  const data = new Uint8Array(width * height);
  for (let y = 0; y < height; y += 1) {
    let [sx, sy] = toSource(0, y);
    for (let x = 0; x < width; x += 1) {
      data[y * width + x] = sampled(picture, sx, sy, outside);
      sx += cos / scale;
      sy -= sin / scale;
    }
  }
  return { picture: { width, height, data }, toSource };
}

/** The picture as a portable grey map (Netpbm P5), which readers of letters take. */
export function greyMapOf({ width, height, data }: GreyPicture): Uint8Array {
  const head = new TextEncoder().encode(`P5\n${width} ${height}\n255\n`);
  const bytes = new Uint8Array(head.length + data.length);
  bytes.set(head);
  bytes.set(data, head.length);
  return bytes;
}
