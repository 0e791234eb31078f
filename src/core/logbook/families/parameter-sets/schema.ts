import * as z from 'zod';
import { valuesSchema } from '../../../equipment/drive-words/schema';
import { endings } from '../../../parameter-sets/write-run';
import { short, positive } from '../../fragments';

const leftOver = z
  .array(
    z.strictObject({
      number: short,
      name: short,
      planned: short,
      left: short,
      why: z.string().max(400).nullable(),
    }),
  )
  .max(400);

/** What a person saw to before values go to a drive. */
const sawTo = { runOpen: z.literal(true), enableOpen: z.literal(true), peopleClear: z.literal(true) };

/** Kinds of entries about parameter sets; read-outs over the link are sets too, and have a kind of their own. */
export const setKinds = {
  /** A set that came otherwise than over the link; it never changes, a new version names the one it came from. */
  'set.kept': z.strictObject({
    name: short.min(1),
    typeId: short.min(1),
    rating: z.strictObject({ ratedAmps: positive, power_kW: positive, supply_V: positive }),
    values: valuesSchema,
    /** What the type does not know, as it came. */
    strangers: z
      .array(z.strictObject({ number: short, text: short }))
      .max(400)
      .default([]),
    source: z.enum(['file', 'typed', 'translated']),
    serial: short.optional(),
    firmware: short.optional(),
    /** The set it was made from. */
    from: z.uuid().optional(),
    /** What was chosen where nothing could be carried by itself, by the number it comes from. */
    chosen: z.record(short, z.number().nullable()).optional(),
  }),
  /** The machine runs well with it: the one to go back to. */
  'set.good': z.strictObject({ set: z.uuid(), why: short.min(1) }),
  /** A run of writes; its lines are in the journal of the same id. */
  'set.write-begun': z.strictObject({
    run: z.uuid(),
    set: z.uuid(),
    name: short.min(1),
    target: short.min(1),
    serial: short.nullable(),
    values: z.int().min(1),
    ...sawTo,
  }),
  'set.write-held': z.strictObject({ run: z.uuid(), why: z.string().max(1000) }),
  'set.write-resumed': z.strictObject({ run: z.uuid(), leftOut: short.nullable(), ...sawTo }),
  'set.write-ended': z.strictObject({
    run: z.uuid(),
    ending: z.enum(endings),
    taken: z.int().min(0),
    leftOver,
  }),
  /** Everything read again and compared with what the run was to bring about. */
  'set.verified': z.strictObject({
    run: z.uuid(),
    afterPower: z.boolean(),
    ending: z.enum(endings),
    leftOver,
  }),
} as const;
