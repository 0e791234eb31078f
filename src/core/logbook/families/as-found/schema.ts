import * as z from 'zod';
import { alarmFamilies } from '../../../equipment/concepts';
import { short, optionalShort, photos } from '../../fragments';

/** Kinds of entries about the faults and switches as they were found. */
export const asFoundKinds = {
  'as-found.captured': z.strictObject({
    active: optionalShort,
    family: z.enum(alarmFamilies),
    slots: z.array(z.strictObject({ code: short.min(1), when: optionalShort })).max(30),
    selectors: optionalShort,
    photos,
  }),
  'as-found.impossible': z.strictObject({ reason: short.min(1) }),
} as const;
