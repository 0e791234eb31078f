import type { PlateBox } from '@/core/reading/plate-text';

/** Points of ink that hang together. */
export interface Spot {
  /** Their places in the picture, row by row. */
  points: readonly number[];
  /** Around them; the right and lower edge are behind the last point. */
  box: PlateBox;
}

/**
 * The spots of ink one after the other, in the order of their first point.
 * @param corners whether points hang together that touch with their corners only: specks do, letters must not
 */
export function* spotsOf(
  isInk: Uint8Array,
  width: number,
  { corners }: { corners: boolean },
): Generator<Spot> {
  const seen = new Uint8Array(isInk.length);
  for (let start = 0; start < isInk.length; start += 1) {
    if (isInk[start] === 0 || seen[start] === 1) continue;
    const points = [start];
    seen[start] = 1;
    const box = { x0: width, y0: isInk.length, x1: 0, y1: 0 };
    for (let at = 0; at < points.length; at += 1) {
      const i = points[at] ?? 0;
      const x = i % width;
      const y = (i - x) / width;
      box.x0 = Math.min(box.x0, x);
      box.x1 = Math.max(box.x1, x + 1);
      box.y0 = Math.min(box.y0, y);
      box.y1 = Math.max(box.y1, y + 1);
      for (let dy = -1; dy <= 1; dy += 1)
        for (let dx = -1; dx <= 1; dx += 1) {
          if (!corners && dx !== 0 && dy !== 0) continue;
          const next = i + dy * width + dx;
          if (x + dx < 0 || x + dx >= width || next < 0 || next >= isInk.length) continue;
          if (isInk[next] === 0 || seen[next] === 1) continue;
          seen[next] = 1;
          points.push(next);
        }
    }
    yield { points, box };
  }
}
