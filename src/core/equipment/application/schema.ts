import * as z from 'zod';
import { loadKinds, unitHistories } from '../../equipment/application';
const seconds = z.number().min(0).max(3600).optional();
const hertz = z.number().min(0).max(1000).optional();

/** What a person decides for a start-up, at the border. */
export const startUpChoicesSchema = z.strictObject({
  load: z.enum(loadKinds),
  region: z.enum(['50Hz', '60Hz']),
  runFrom: z.enum(['keypad', 'terminals', 'serial']),
  speedFrom: z.enum(['keypad', 'knob', 'AI1', 'AI2', 'preset', 'serial']),
  wiring: z.enum(['two-wire', 'three-wire', 'two-wire-direction']),
  signal: z.enum(['0-10V', '0-20mA', '4-20mA']).optional(),
  reverse: z.boolean(),
  encoder: z.boolean(),
  windmills: z.boolean().optional(),
  coupled: z.boolean(),
  brakeProven: z.boolean(),
  brakeResistor: z.boolean(),
  history: z.enum(unitHistories).optional(),
  singlePhaseFed: z.boolean(),
  up_s: seconds,
  down_s: seconds,
  minimum_Hz: hertz,
  maximum_Hz: hertz,
});
