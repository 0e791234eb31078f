import * as z from 'zod';
import { markedTerminalSchema, stageSchema as wholeStageSchema } from '../power-stage/schema';

export { checkFile, type FileProblem } from './check-file';
export { controlSchema } from './control-schema';
export { operationSchema } from './keypad-shape';
import { controlShape } from './control-shape';

export { controlShape };

const positive = z.number().positive();
const text = z.string().trim().min(1).max(200);

/** One folder of catalogue/: a range of drives that share plate layout, strip and power stage. */
export const driveTypeSchema = z.strictObject({
  id: z.string().regex(/^[a-z0-9-]+$/),
  maker: text,
  range: text,
  about: z.string().max(500),
  discontinued: z.boolean(),
  phases: z.union([z.literal(1), z.literal(3)]),
  supply_V: positive,
  labelWait_min: z.number().min(1),
  /** Where it trips and switches its brake chopper, by its manual; without it the voltage class says so. */
  busLevels: z.strictObject({ trip_V: positive, chopper_V: positive, under_V: positive }).optional(),
  models: z
    .array(
      z.strictObject({
        type: text,
        ratedAmps: positive,
        power_kW: positive,
        capacitance_uF: positive,
        bleederOhm: positive,
      }),
    )
    .min(1),
  stage: wholeStageSchema.omit({ capacitance_uF: true, bleederOhm: true }),
  /** The power strip in the order of its screws, with the letters on the plate. */
  strip: z.array(markedTerminalSchema).min(4),
});

/** Both files as JSON Schema, for editors; what depends on several places of the file is checked separately. */
export const publishedSchemas = (): { type: unknown; control: unknown } => {
  const published = (schema: z.ZodType) => z.toJSONSchema(schema, { io: 'input', unrepresentable: 'any' });
  return { type: published(driveTypeSchema), control: published(controlShape) };
};
