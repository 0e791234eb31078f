import * as z from 'zod';
import type { DriveType } from '@/core/equipment/catalogue';
import type { PlateUnit } from '@/core/job/swap';
import { filledText, positiveFigure, unread } from '../../kit/form-figures';

/** A unit that the catalogue does not know, by its plate. */
const byPlate = z.object({
  maker: filledText('Read it from the nameplate'),
  type: filledText('Read it from the nameplate'),
  supply_V: positiveFigure,
  phases: z.enum(['1', '3']).transform((phases) => (phases === '1' ? 1 : 3)),
  ratedAmps: positiveFigure,
});
const typedSchema = z.object({
  /** `<type id>|<model>`; `other`: not in the catalogue; empty: nothing chosen. */
  pick: z.string(),
  maker: z.string(),
  type: z.string(),
  supply_V: z.string(),
  phases: z.enum(['1', '3']),
  ratedAmps: z.string(),
  serial: z.string().trim(),
  firmware: z.string().trim(),
});
/** A unit as it is typed. */
export type TypedUnit = z.input<typeof typedSchema>;

const noUnit: TypedUnit = {
  pick: '',
  maker: '',
  type: '',
  supply_V: '400',
  phases: '3',
  ratedAmps: '',
  serial: '',
  firmware: '',
};

/** The fields as they open on a unit that was kept. */
export const typedUnit = (unit: PlateUnit | null): TypedUnit =>
  unit === null
    ? noUnit
    : {
        pick: unit.typeId === null ? 'other' : `${unit.typeId}|${unit.type}`,
        maker: unit.maker,
        type: unit.type,
        supply_V: String(unit.supply_V),
        phases: unit.phases === 1 ? '1' : '3',
        ratedAmps: String(unit.ratedAmps),
        serial: unit.serial ?? '',
        firmware: unit.firmware ?? '',
      };

/** Reads a unit: one of the catalogue brings its plate, another one has it typed; null where nothing was chosen. */
export const unitSchema = (catalogue: readonly DriveType[]) =>
  typedSchema.transform((typed, context): PlateUnit | null => {
    if (typed.pick === '') return null;
    const more = {
      ...(typed.serial === '' ? {} : { serial: typed.serial }),
      ...(typed.firmware === '' ? {} : { firmware: typed.firmware }),
    };
    const [typeId, name] = typed.pick.split('|');
    const type = catalogue.find((t) => t.id === typeId);
    const model = type?.models.find((m) => m.type === name);
    if (type !== undefined && model !== undefined)
      return {
        typeId: type.id,
        maker: type.maker,
        type: model.type,
        supply_V: type.supply_V,
        phases: type.phases,
        ratedAmps: model.ratedAmps,
        ...more,
      };
    const plate = byPlate.safeParse(typed);
    if (plate.success) return { typeId: null, ...plate.data, ...more };
    for (const { message, path } of plate.error.issues)
      context.addIssue({ code: 'custom', message, path: [...path] });
    return z.NEVER;
  });

/** What comes out and what goes in. */
export const unitsSchema = (catalogue: readonly DriveType[]) => {
  const unit = unitSchema(catalogue);
  return z.object({
    old: unit.transform((old, context): PlateUnit => old ?? unread(context, 'Choose the old unit', ['pick'])),
    next: unit,
  });
};
