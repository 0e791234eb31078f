import * as z from 'zod';
import { plateSchema } from '../../../equipment/plate/schema';
import { markedTerminalSchema, stageSchema } from '../../../equipment/power-stage/schema';
import { short, optionalShort, positive, photos } from '../../fragments';

/** Kinds of entries about the plates of drive and motor. */
export const nameplateKinds = {
  'identify.drive': z
    .strictObject({
      typeId: short.nullable(),
      maker: short.min(1),
      type: short.min(1),
      badge: optionalShort,
      serial: optionalShort,
      /** Null: nobody knows it. */
      supply_V: positive.max(1000).nullable(),
      phases: z.union([z.literal(1), z.literal(3)]),
      /** Null: no label says it. */
      ratedAmps: positive.max(5000).nullable(),
      labelWait_min: z.number().min(0).max(120).nullable(),
      drawingOnlySimilar: z.boolean(),
      stage: stageSchema,
      strip: z.array(markedTerminalSchema).min(4).max(30),
      photos,
    })
    .refine((drive) => drive.ratedAmps !== null || drive.typeId === null, {
      path: ['ratedAmps'],
      error: 'A type of the catalogue has a rated current.',
    }),
  'identify.motor': z.strictObject({
    plate: plateSchema,
    serial: optionalShort,
    connection: z.enum(['star', 'delta']).optional(),
    insulationClass: z.string().trim().max(4).optional(),
    photos,
  }),
  'identify.stage': z.strictObject({
    stage: stageSchema,
    strip: z.array(markedTerminalSchema).min(4).max(30),
    reason: optionalShort,
  }),
} as const;
