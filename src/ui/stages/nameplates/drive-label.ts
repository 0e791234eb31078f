import * as z from 'zod';
import { stageOf, usualStrip, type DriveModel, type DriveType } from '@/core/equipment/catalogue';
import { assumables, isStated, stage as stageWith, type Stage } from '@/core/equipment/power-stage';
import type { Payload } from '@/core/logbook';
import { filledText, orNone, positiveFigure } from '../../kit/form-figures';

type Drive = Payload<'identify.drive'>;

/** The rating label as it is typed, and what is read of it. */
export const driveLabelSchema = z.object({
  maker: filledText('Read it from the nameplate'),
  type: filledText('Read it from the nameplate'),
  badge: z.string().trim(),
  serial: z.string().trim(),
  supply_V: orNone(positiveFigure),
  ratedAmps: positiveFigure,
  labelWait_min: orNone(positiveFigure),
  capacitance_uF: orNone(positiveFigure),
  bleeder_kohm: orNone(positiveFigure),
});
export type LabelText = z.input<typeof driveLabelSchema>;
export type DriveLabel = z.output<typeof driveLabelSchema>;

const textOf = (figure: number | null | undefined): string => figure?.toString() ?? '';

/** What was stated of a stage, as text; nothing for what was assumed. */
const stated = (stage: Stage | undefined, what: 'bleederOhm' | 'capacitance_uF', per = 1): string =>
  stage === undefined || !isStated(stage, what) ? '' : String(stage[what] / per);

/** What the form shows of a label kept earlier; what nobody knows stays empty. */
export const labelTextOf = (d: Drive | null): LabelText => ({
  maker: d?.maker ?? '',
  type: d?.type ?? '',
  badge: d?.badge ?? '',
  serial: d?.serial ?? '',
  supply_V: textOf(d?.supply_V),
  ratedAmps: textOf(d?.ratedAmps),
  capacitance_uF: stated(d?.stage, 'capacitance_uF'),
  bleeder_kohm: stated(d?.stage, 'bleederOhm', 1000),
  labelWait_min: textOf(d?.labelWait_min),
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
  // What the catalogue only assumes is nobody's statement.
  capacitance_uF: stated(stageOf(type, model), 'capacitance_uF'),
  bleeder_kohm: stated(stageOf(type, model), 'bleederOhm', 1000),
  labelWait_min: String(type.labelWait_min),
});

/** What is chosen beside the label; of a catalogued model its own stage holds, not this. */
export interface LabelChoices {
  frontEnd: Stage['frontEnd'];
  brake: 'yes' | 'no' | 'unknown';
  link: Stage['link'] | 'unknown';
  fuse: 'none' | 'inverter' | 'unknown';
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
  const { frontEnd, brake, link, fuse, similar, photos } = choices;
  const built =
    catalogued === null
      ? stageWith({
          frontEnd,
          link: link === 'unknown' ? 'none' : link,
          fuse: fuse === 'unknown' ? 'none' : fuse,
          dcrAccessible: link === 'link',
          brake: brake === 'yes',
        })
      : stageOf(catalogued.type, catalogued.model);
  const assumedByType = catalogued?.type.stage.assumed ?? [];
  const unknown = {
    link: catalogued === null ? link === 'unknown' : assumedByType.includes('link'),
    fuse: catalogued === null ? fuse === 'unknown' : assumedByType.includes('fuse'),
    brake: catalogued === null ? brake === 'unknown' : assumedByType.includes('brake'),
    bleederOhm: bleeder_kohm === null,
    capacitance_uF: capacitance_uF === null,
  };
  const assumed = assumables.filter((what) => unknown[what]);
  const { assumed: _assumed, ...asBuilt } = built;
  const stage: Stage = {
    ...asBuilt,
    ...(capacitance_uF === null ? {} : { capacitance_uF }),
    ...(bleeder_kohm === null ? {} : { bleederOhm: bleeder_kohm * 1000 }),
    ...(assumed.length === 0 ? {} : { assumed }),
  };
  return {
    ...read,
    supply_V: read.supply_V ?? catalogued?.type.supply_V ?? null,
    labelWait_min: read.labelWait_min ?? catalogued?.type.labelWait_min ?? null,
    typeId: catalogued?.type.id ?? null,
    phases: catalogued?.type.phases ?? (frontEnd === 'diode-1ph' ? 1 : 3),
    drawingOnlySimilar: similar,
    stage,
    strip: catalogued?.type.strip ?? usualStrip(stage),
    photos,
  };
}
