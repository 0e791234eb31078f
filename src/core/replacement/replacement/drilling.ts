import type { Size } from './unit';

/** Where the new unit's holes go, from the old unit's centre. */
export interface PlacedHoles {
  /** Centre of the new unit from the centre of the old one, mm; right and down are positive. */
  dx: number;
  dy: number;
  /** Holes that are there already. */
  kept: number;
  /** None of the others runs into an old one. */
  clear: boolean;
  nearest_mm: number;
  apart_mm: number;
}

type Point = readonly [number, number];
/** On the same spot for a drill. */
const same_mm = 0.75;
/** How far a unit may be moved from the old place, and in which steps. */
const reach_mm = 30;

const around = (size: Size): Point[] =>
  size.holes.map(([x, y]) => [x - size.width_mm / 2, y - size.height_mm / 2]);

/** Centres of holes must be this far apart: three diameters, so that a bridge of two stays (common practice, no source). */
export const apartFor = (hole_mm: number | null): number => 3 * (hole_mm ?? 5);

/**
 * Where a unit goes on the place of another one so that no new hole runs into an old one: the least shift from its centre for
 * which every hole is an old one or far enough from all of them. Without such a shift, the one that is farthest away.
 * @param hole_mm diameter of its screws
 */
export function placeHoles(old: Size, next: Size, hole_mm: number | null): PlacedHoles {
  const apart_mm = apartFor(hole_mm);
  const [was, will] = [around(old), around(next)];
  const at = (dx: number, dy: number): PlacedHoles => {
    const nearest = will.map(([x, y]) =>
      Math.min(...was.map(([u, v]) => Math.hypot(x + dx - u, y + dy - v))),
    );
    const others = nearest.filter((d) => d > same_mm);
    const nearest_mm = others.length === 0 ? 0 : Math.min(...others);
    return {
      dx,
      dy,
      kept: nearest.length - others.length,
      clear: others.every((d) => d >= apart_mm),
      nearest_mm,
      apart_mm,
    };
  };
  const shifts: Point[] = [];
  for (let dx = -reach_mm; dx <= reach_mm; dx += 1)
    for (let dy = -reach_mm; dy <= reach_mm; dy += 1) shifts.push([dx, dy]);
  shifts.sort((a, b) => Math.hypot(...a) - Math.hypot(...b) || a[0] - b[0] || a[1] - b[1]);
  const tried = shifts.map(([dx, dy]) => at(dx, dy));
  const [centred] = tried;
  return (
    tried.find((t) => t.kept === will.length) ??
    tried.find((t) => t.clear) ??
    tried.reduce((best, t) => (t.nearest_mm > best.nearest_mm ? t : best), centred ?? at(0, 0))
  );
}

/** A page of a template: what part of the drawing it shows, mm. */
export interface Tile {
  row: number;
  column: number;
  x_mm: number;
  y_mm: number;
}

/** A drilling template true to scale, cut into pages. */
export interface Template {
  /** Size of the drawing with its margin. */
  width_mm: number;
  height_mm: number;
  /** The part of a page that is drawn on. */
  page_mm: { width: number; height: number };
  tiles: Tile[];
  overlap_mm: number;
  /** Holes of the unit from its upper left corner, and of the drawing's. */
  holes: { x_mm: number; y_mm: number; drawn: Point; old: boolean }[];
  /** Upper left corner of the unit in the drawing. */
  origin: Point;
  oldHoles: Point[];
}

const margin_mm = 15;
/** Printers leave an edge white. */
const edge_mm = 12;
/** Foot of a page: ruler and words. */
const foot_mm = 32;

/**
 * A drilling template true to scale, over as many pages as it takes.
 * @param old where the holes of the unit that comes out are drawn too
 */
export function templateOf(
  next: Size,
  old: { size: Size; placed: PlacedHoles } | null,
  paper: 'a4' | 'letter',
): Template {
  const [paperWidth, paperHeight] = paper === 'a4' ? [210, 297] : [215.9, 279.4];
  const page_mm = { width: paperWidth - 2 * edge_mm, height: paperHeight - 2 * edge_mm - foot_mm };
  const overlap_mm = 10;
  const centre: Point = [next.width_mm / 2, next.height_mm / 2];
  const was: Point[] =
    old === null
      ? []
      : around(old.size).map(([x, y]) => [centre[0] + x - old.placed.dx, centre[1] + y - old.placed.dy]);
  const xs = [0, next.width_mm, ...was.map(([x]) => x)];
  const ys = [0, next.height_mm, ...was.map(([, y]) => y)];
  const origin: Point = [margin_mm - Math.min(...xs), margin_mm - Math.min(...ys)];
  const width_mm = Math.max(...xs) - Math.min(...xs) + 2 * margin_mm;
  const height_mm = Math.max(...ys) - Math.min(...ys) + 2 * margin_mm;
  const starts = (length: number, page: number): number[] => {
    const count = length <= page ? 1 : Math.ceil((length - overlap_mm) / (page - overlap_mm));
    return Array.from({ length: count }, (_, i) => i * (page - overlap_mm));
  };
  return {
    width_mm,
    height_mm,
    page_mm,
    overlap_mm,
    origin,
    tiles: starts(height_mm, page_mm.height).flatMap((y_mm, r) =>
      starts(width_mm, page_mm.width).map((x_mm, c) => ({ row: r, column: c, x_mm, y_mm })),
    ),
    holes: next.holes.map(([x, y]) => ({
      x_mm: x,
      y_mm: y,
      drawn: [origin[0] + x, origin[1] + y],
      old: was.some(([u, v]) => Math.hypot(x - u, y - v) <= same_mm),
    })),
    oldHoles: was.map(([x, y]) => [origin[0] + x, origin[1] + y]),
  };
}
