import * as z from 'zod';
import { faultModes } from '../../equipment/power-stage';

const text = z.string().trim().min(1).max(300);

/** The table at the border: as a site edits it. */
export const consequencesSchema = z
  .array(
    z.strictObject({
      id: z.string().regex(/^[a-z0-9-]{1,40}$/),
      parts: z.array(z.string().trim().min(1).max(20)).min(1).max(10),
      modes: z.array(z.enum(faultModes)).min(1),
      atLeast: z.int().min(1).max(6),
      chain: text,
      inspect: z.array(text).max(12),
    }),
  )
  .max(60);
