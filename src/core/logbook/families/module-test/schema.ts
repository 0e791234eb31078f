import * as z from 'zod';
import { moduleKinds } from '../../../bench/module-test';
import { short } from '../../fragments';

const moduleDevice = z.int().min(1).max(7);

/** Kinds of entries about a power module tested out of circuit. */
export const moduleTestKinds = {
  'module.begun': z.strictObject({ kind: z.enum(moduleKinds), name: short.min(1) }),
  'module.proven': z.strictObject({ module: z.uuid(), lampLights: z.boolean(), polarityRight: z.boolean() }),
  'module.touch': z.strictObject({
    module: z.uuid(),
    device: moduleDevice,
    gate: z.enum(['plus', 'minus']),
    lamp: z.enum(['on', 'off', 'dim']),
    holds: z.boolean(),
  }),
  'module.diode': z.strictObject({
    module: z.uuid(),
    device: moduleDevice,
    forward_V: z.number().min(-10).max(10),
    reverse: z.union([z.literal('OL'), z.number().min(-10).max(10)]),
  }),
  'module.gate': z.strictObject({
    module: z.uuid(),
    device: moduleDevice,
    ohm: z.union([z.literal('OL'), z.number().min(0).max(1e9)]),
  }),
} as const;
