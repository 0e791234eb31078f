// Drive types as data: what the catalogue says of a make, and what a job takes over from it.
import type * as z from 'zod';
import { busLevelsOf, type BusLevels, type MarkedTerminal, type Stage } from '../power-stage';
import type { driveTypeSchema } from './schema';

export type { Control, LiveKey, MenuItem, Parameter } from './control-shape';
export type { Operation, KeyTouch } from './keypad-shape';

/** What a type's type.json says: ratings, models, terminals, power stage. */
export type DriveType = z.output<typeof driveTypeSchema>;
/** One model of a type with its ratings. */
export type DriveModel = DriveType['models'][number];

/** The power stage of one model of a type. */
export const stageOf = (type: DriveType, model: DriveModel): Stage => ({
  ...type.stage,
  capacitance_uF: model.capacitance_uF,
  bleederOhm: model.bleederOhm,
});

/** A strip for a drive that no catalogue knows: the usual letters in the usual order. */
export function usualStrip(stage: Stage): MarkedTerminal[] {
  const marked = (mark: string, terminal: MarkedTerminal['terminal']): MarkedTerminal => ({ mark, terminal });
  return [
    marked('PE', 'PE'),
    marked('L1', 'L1'),
    marked('L2', 'L2'),
    ...(stage.frontEnd === 'diode-1ph' ? [] : [marked('L3', 'L3')]),
    ...(stage.link !== 'none' && stage.dcrAccessible ? [marked('+R', 'DC+R')] : []),
    marked('DC+', 'DC+'),
    ...(stage.brake ? [marked('BR', 'BR')] : []),
    marked('DC−', 'DC-'),
    marked('U', 'U'),
    marked('V', 'V'),
    marked('W', 'W'),
  ];
}

/** The strip of a drive after its stage was changed: what it has stays, what is missing is added in the usual place. */
export function stripFor(strip: readonly MarkedTerminal[], stage: Stage): MarkedTerminal[] {
  const usual = usualStrip(stage);
  const kept = strip.filter((s) => usual.some((u) => u.terminal === s.terminal));
  return usual.reduce<MarkedTerminal[]>((list, one, i) => {
    if (list.some((s) => s.terminal === one.terminal)) return list;
    const before = usual
      .slice(0, i)
      .reverse()
      .find((u) => list.some((s) => s.terminal === u.terminal));
    const place = before === undefined ? 0 : list.findIndex((s) => s.terminal === before.terminal) + 1;
    return [...list.slice(0, place), one, ...list.slice(place)];
  }, kept);
}

/** What a job's drive says of itself, as far as the catalogue is asked. */
export interface KnownDrive {
  typeId: string | null;
  type: string;
  /** Null: nobody stated it. */
  ratedAmps: number | null;
  /** Null: nobody stated it. */
  supply_V: number | null;
  phases: 1 | 3;
}

/** What the label says of a drive, in words: "400 V, three phases, 16 A". */
export const ratingWords = ({
  supply_V,
  phases,
  ratedAmps,
}: Pick<KnownDrive, 'supply_V' | 'phases' | 'ratedAmps'>): string =>
  [
    supply_V === null ? 'supply not known' : `${supply_V} V`,
    phases === 3 ? 'three phases' : 'one phase',
    ratedAmps === null ? 'rated current not known' : `${ratedAmps} A`,
  ].join(', ');

/** The model of the catalogue that a drive is. */
export const modelOf = (
  { typeId, type }: Pick<KnownDrive, 'typeId' | 'type'>,
  types: readonly DriveType[],
): DriveModel | undefined => types.find((t) => t.id === typeId)?.models.find((m) => m.type === type);

/** The supply of a drive: from its label, else as its type is made for. @throws Error where neither says it */
export function supplyOf(
  { typeId, supply_V }: Pick<KnownDrive, 'typeId' | 'supply_V'>,
  types: readonly DriveType[],
): number {
  const stated_V = supply_V ?? types.find((t) => t.id === typeId)?.supply_V;
  if (stated_V === undefined) throw new Error('supply voltage not stated for a drive of unknown type');
  return stated_V;
}

/** What limits and defaults of a drive are shares of. @throws as `supplyOf`, and where no rated current is stated */
export function ratingOf(drive: KnownDrive, types: readonly DriveType[]) {
  const { ratedAmps, phases } = drive;
  if (ratedAmps === null) throw new Error('rated current not stated');
  const supply_V = supplyOf(drive, types);
  // Of a model that no catalogue knows: about what its amps carry.
  const carried_kW = (Math.sqrt(phases) * supply_V * ratedAmps * 0.8) / 1000;
  return { ratedAmps, supply_V, power_kW: modelOf(drive, types)?.power_kW ?? carried_kW };
}

/** Where a drive trips and switches its chopper: by its type, else by the voltage class of its label. @throws as `supplyOf`, `busLevelsOf` */
export const levelsOfDrive = (
  drive: Pick<KnownDrive, 'typeId' | 'supply_V'>,
  types: readonly DriveType[],
): BusLevels => busLevelsOf(supplyOf(drive, types), types.find((t) => t.id === drive.typeId)?.busLevels);
