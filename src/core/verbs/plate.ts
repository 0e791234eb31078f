import * as z from 'zod';
import { plateSums } from '../equipment/plate';
import { findingsSchema, plateSchema } from '../equipment/plate/schema';
import { always } from './vocabulary-schema';
import { verb } from './verb';

const output = z.strictObject({
  id: z.json().optional(),
  power_kW: z.number(),
  poles: z.number(),
  synchronousRpm: z.number(),
  slip: z.number(),
  torque_Nm: z.number(),
  apparentPower_kVA: z.number(),
  efficiencyTimesPf: z.number(),
  findings: findingsSchema,
});

export const plateVerb = verb({
  name: 'plate',
  summary: 'Values derived from a motor nameplate, and whether the nameplate is consistent.',
  input: plateSchema.extend(always),
  output,
  run: plateSums,
});
