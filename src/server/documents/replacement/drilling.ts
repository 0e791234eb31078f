import {
  placeHoles,
  sizeOf,
  templateOf,
  type PlacedHoles,
  type Template,
} from '../../../core/replacement/replacement';
import { fitUnitOf } from '../../../core/job/swap';
import { HttpError } from '../../http/guard';
import { catalogue, controlOf } from '../../equipment/catalogue';
import type { LoadedJob } from '../../logbook/folded';
import { wiredJob } from './load';

export interface DrillingDocument {
  title: string;
  hole_mm: number | null;
  placed: PlacedHoles | null;
  size: { width_mm: number; height_mm: number; clearance_mm: number };
  templates: Record<'a4' | 'letter', Template>;
}

/** Where the new unit is drilled, from the sizes of the catalogue. @throws HttpError 422 where a size is not known */
export async function drillingOf(job: LoadedJob): Promise<DrillingDocument> {
  const made = await wiredJob(job);
  const { old, next } = made.swap.units;
  if (next === null) throw new HttpError(422, 'New unit not chosen yet: choose it under Repair or replace.');
  const types = await catalogue();
  const fitted = async (unit: typeof old) => {
    const type = types.find((t) => t.id === unit.typeId);
    const control = unit.typeId === null ? null : await controlOf(unit.typeId);
    return fitUnitOf(unit, type === undefined || control === null ? null : { type, control });
  };
  const [was, will] = [await fitted(old), await fitted(next)];
  const [oldSize, size] = [sizeOf(was), sizeOf(will)];
  if (size === null)
    throw new HttpError(
      422,
      `Dimensions of the ${next.type} are not in the catalogue: use the template supplied with it.`,
    );
  const hole_mm = will.control?.mounting?.hole_mm ?? null;
  const placed = oldSize === null ? null : placeHoles(oldSize, size, hole_mm);
  const beside = oldSize === null || placed === null ? null : { size: oldSize, placed };
  return {
    title: `Drilling template: ${next.maker} ${next.type}`,
    hole_mm,
    placed,
    size,
    templates: { a4: templateOf(size, beside, 'a4'), letter: templateOf(size, beside, 'letter') },
  };
}

/** Hole coordinates in mm from the upper left corner of the unit. */
export const drillingRows = ({ templates, hole_mm }: DrillingDocument) =>
  templates.a4.holes.map((h, i) => ({
    hole: i + 1,
    x_mm: h.x_mm,
    y_mm: h.y_mm,
    screw_mm: hole_mm ?? '',
    old_hole: h.old ? 'yes' : 'no',
  }));
