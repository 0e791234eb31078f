import * as z from 'zod';
import { lookItems } from './vocabulary';
import { optionalShort, photos } from '../../fragments';

/** Kinds of entries about what was seen with the power off. */
export const inspectionKinds = {
  'look.finding': z.strictObject({
    item: z.enum(lookItems),
    state: z.enum(['clear', 'found', 'not-checked']),
    note: optionalShort,
    photos,
  }),
} as const;
