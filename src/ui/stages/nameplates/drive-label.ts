import * as z from 'zod';
import { stageOf, usualStrip, type DriveModel, type DriveType } from '@/core/equipment/catalogue';
import { stage as stageWith } from '@/core/equipment/power-stage';
import type { Payload } from '@/core/logbook';
import { filledText, positiveFigure } from '../../kit/form-figures';

type Drive = Payload<'identify.drive'>;

/** The rating label as it is typed, and what is read of it. */
export const driveLabelSchema = z.object({
  maker: filledText('Read it from the label'),
  type: filledText('Read it from the label'),
  badge: z.string().trim(),
  serial: z.string().trim(),
  supply_V: positiveFigure,
  ratedAmps: positiveFigure,
  labelWait_min: positiveFigure,
  capacitance_uF: positiveFigure,
  bleeder_kohm: positiveFigure,
});
export type LabelText = z.input<typeof driveLabelSchema>;
export type DriveLabel = z.output<typeof driveLabelSchema>;

/** What the form shows of a label kept earlier; for none, what is usual. */
export const labelTextOf = (d: Drive | null): LabelText => ({
  maker: d?.maker ?? '',
  type: d?.type ?? '',
  badge: d?.badge ?? '',
  serial: d?.serial ?? '',
  supply_V: String(d?.supply_V ?? 400),
  ratedAmps: d === null ? '' : String(d.ratedAmps),
  capacitance_uF: String(d?.stage.capacitance_uF ?? 1000),
  bleeder_kohm: String((d?.stage.bleederOhm ?? 150_000) / 1000),
  labelWait_min: String(d?.labelWait_min ?? 5),
});

/** What the form shows once a model of the catalogue was chosen; what only the label says stays. */
export const labelTextFrom = (
  type: DriveType,
  model: DriveModel,
  { badge, serial }: Pick<LabelText, 'badge' | 'serial'>,
): LabelText => ({
  badge,
  serial,
  maker: type.maker,
  type: model.type,
  supply_V: String(type.supply_V),
  ratedAmps: String(model.ratedAmps),
  capacitance_uF: String(model.capacitance_uF),
  bleeder_kohm: String(model.bleederOhm / 1000),
  labelWait_min: String(type.labelWait_min),
});

/** What is chosen beside the label; of a catalogued model its own stage holds, not this. */
export interface LabelChoices {
  phases: '1' | '3';
  brake: 'yes' | 'no';
  link: 'none' | 'link';
  similar: boolean;
  photos: string[];
}

/** The label as an entry: a catalogued model brings its stage and strip, free entry the usual ones. */
export function driveOf(
  label: DriveLabel,
  choices: LabelChoices,
  catalogued: { type: DriveType; model: DriveModel } | null,
): Drive {
  const { capacitance_uF, bleeder_kohm, ...read } = label;
  const { phases, brake, link, similar, photos } = choices;
  const built =
    catalogued === null
      ? stageWith({
          frontEnd: phases === '1' ? 'diode-1ph' : 'diode-3ph',
          link,
          dcrAccessible: link === 'link',
          brake: brake === 'yes',
        })
      : stageOf(catalogued.type, catalogued.model);
  const stage = { ...built, capacitance_uF, bleederOhm: bleeder_kohm * 1000 };
  return {
    ...read,
    typeId: catalogued?.type.id ?? null,
    phases: phases === '1' ? 1 : 3,
    drawingOnlySimilar: similar,
    stage,
    strip: catalogued?.type.strip ?? usualStrip(stage),
    photos,
  };
}
