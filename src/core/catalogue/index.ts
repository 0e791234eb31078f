// Drive types as data: what the catalogue says of a make, and what a job takes over from it.
import type * as z from 'zod';
import type { Screw, Stage } from '../power-stage';
import type { driveTypeSchema } from './schema';

export type { Control, LiveKey, Parameter } from './control-shape';

export type DriveType = z.output<typeof driveTypeSchema>;
export type DriveModel = DriveType['models'][number];

/** The power stage of one model of a type. */
export const stageOf = (type: DriveType, model: DriveModel): Stage => ({
  ...type.stage,
  capacitance_uF: model.capacitance_uF,
  bleederOhm: model.bleederOhm,
});

/** A strip for a drive that no catalogue knows: the usual letters in the usual order. */
export function usualStrip(stage: Stage): Screw[] {
  const screw = (mark: string, terminal: Screw['terminal']): Screw => ({ mark, terminal });
  return [
    screw('PE', 'PE'),
    screw('L1', 'L1'),
    screw('L2', 'L2'),
    ...(stage.frontEnd === 'diode-1ph' ? [] : [screw('L3', 'L3')]),
    ...(stage.link !== 'none' && stage.dcrAccessible ? [screw('+R', 'DC+R')] : []),
    screw('DC+', 'DC+'),
    ...(stage.brake ? [screw('BR', 'BR')] : []),
    screw('DC−', 'DC-'),
    screw('U', 'U'),
    screw('V', 'V'),
    screw('W', 'W'),
  ];
}

/** The strip of a drive after its stage was changed: what it has stays, what is missing is added in the usual place. */
export function stripFor(strip: readonly Screw[], stage: Stage): Screw[] {
  const usual = usualStrip(stage);
  const kept = strip.filter((s) => usual.some((u) => u.terminal === s.terminal));
  return usual.reduce<Screw[]>((list, screw, i) => {
    if (list.some((s) => s.terminal === screw.terminal)) return list;
    const before = usual
      .slice(0, i)
      .reverse()
      .find((u) => list.some((s) => s.terminal === u.terminal));
    const place = before === undefined ? 0 : list.findIndex((s) => s.terminal === before.terminal) + 1;
    return [...list.slice(0, place), screw, ...list.slice(place)];
  }, kept);
}
