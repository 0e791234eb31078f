// Drive types as data: what the catalogue says of a make, and what a job takes over from it.
import type * as z from 'zod';
import type { Screw } from '../logbook';
import type { Stage } from '../power-stage';
import type { driveTypeSchema } from './schema';

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
    ...(stage.link !== 'none' ? [screw('+R', 'DC+R')] : []),
    screw('DC+', 'DC+'),
    ...(stage.brake ? [screw('BR', 'BR')] : []),
    screw('DC−', 'DC-'),
    screw('U', 'U'),
    screw('V', 'V'),
    screw('W', 'W'),
  ];
}
