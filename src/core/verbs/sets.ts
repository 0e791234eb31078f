import * as z from 'zod';
import { controlShape } from '../equipment/catalogue/schema';
import { conceptIds } from '../equipment/concepts';
import { valuesSchema } from '../equipment/drive-words/schema';
import {
  auditSet,
  diffSets,
  groups,
  translationOutcomes,
  planWrites,
  roundTrip,
  translate,
  type RatedUnit,
} from '../parameter-sets/parameters';
import { plateSchema } from '../equipment/plate/schema';
import { readSetText } from '../parameter-sets/set-files';
import { startUpChoicesSchema } from '../equipment/application/schema';
import { verb } from './verb';
import { always } from './vocabulary-schema';

const positive = z.number().positive();
const concept = z.enum(conceptIds).nullable();

/** A unit: parts of its type's control.json, and what it is rated for. */
const unit = z.strictObject({
  typeId: z.string().min(1),
  control: controlShape
    .pick({ parameters: true, inputs: true, locks: true, rampCountsTo: true })
    .partial({ locks: true, rampCountsTo: true }),
  rating: z.strictObject({ ratedAmps: positive, power_kW: positive, supply_V: positive }),
});
/** A set: a unit and its values. */
export const setSchema = unit.extend({ values: valuesSchema });
const set = setSchema;

const unitOf = ({ control, ...rest }: z.output<typeof unit>): RatedUnit => ({
  ...rest,
  control: { ...control, locks: control.locks ?? [], rampCountsTo: control.rampCountsTo ?? 'maximum' },
});
export const setOf = ({ values, ...rest }: z.output<typeof set>) => ({ ...unitOf(rest), values });

/** Values that are left out, and why. */
export const skippedSchema = z.array(
  z.strictObject({ number: z.string(), name: z.string(), why: z.string() }),
);

const id = z.json().optional();
const side = z
  .strictObject({ number: z.string(), name: z.string(), value: z.number(), shown: z.string() })
  .nullable();

export const setImportVerb = verb({
  name: 'set-import',
  summary: 'A parameter set from text, line by line: accepted, unknown to the type, not possible.',
  input: z.strictObject({
    ...always,
    /** A table with any separator, JSON, or a device configuration file (CiA 306). */
    text: z.string().max(2_000_000),
    unit,
  }),
  output: z.strictObject({
    id,
    form: z.enum(['table', 'json', 'dcf', 'empty']),
    values: valuesSchema,
    strangers: z.array(z.strictObject({ number: z.string(), text: z.string() })),
    about: z.strictObject({
      typeId: z.string().optional(),
      serial: z.string().optional(),
      firmware: z.string().optional(),
      checksum: z.string().optional(),
    }),
    lines: z.array(
      z.strictObject({
        line: z.number(),
        number: z.string(),
        text: z.string(),
        state: z.enum(['taken', 'unknown', 'refused', 'twice']),
        words: z.string(),
      }),
    ),
    /** Why the text as a whole cannot be read; null: it can. */
    trouble: z.string().nullable(),
  }),
  run: ({ text, unit: given }) => readSetText(text, unitOf(given).control, given.rating),
});

export const setTranslateVerb = verb({
  name: 'set-translate',
  summary:
    'A parameter set translated to another type by meaning: copied, converted, limited, to choose or no equivalent.',
  input: z.strictObject({
    ...always,
    set,
    to: unit,
    /** What a person chose, by the number of the entry it comes from. */
    choices: z.record(z.string(), z.number().nullable()).prefault({}),
  }),
  output: z.strictObject({
    id,
    rows: z.array(
      z.strictObject({
        from: z.strictObject({ number: z.string(), name: z.string(), value: z.number(), shown: z.string() }),
        concept,
        to: z
          .strictObject({
            number: z.string(),
            name: z.string(),
            value: z.number().nullable(),
            shown: z.string(),
          })
          .nullable(),
        outcome: z.enum(translationOutcomes),
        sum: z.string().nullable(),
        reason: z.string().nullable(),
        options: z.array(z.strictObject({ value: z.number(), name: z.string() })),
      }),
    ),
    counts: z.record(z.string(), z.number()),
    values: valuesSchema,
    untouched: z.array(z.string()),
    /** There and back again: what does not come back as it was. */
    roundTrip: z.strictObject({
      same: z.number(),
      lost: z.array(
        z.strictObject({ number: z.string(), name: z.string(), was: z.string(), is: z.string().nullable() }),
      ),
    }),
  }),
  run: (given) => {
    const from = setOf(given.set);
    const to = unitOf(given.to);
    return { ...translate(from, to, given.choices), roundTrip: roundTrip(from, to) };
  },
});

export const setDiffVerb = verb({
  name: 'set-diff',
  summary: 'Differences between two parameter sets; between types by meaning, with calculations.',
  input: z.strictObject({ ...always, a: set, b: set }),
  output: z.strictObject({
    id,
    differences: z.array(
      z.strictObject({
        concept,
        about: z.string(),
        a: side,
        b: side,
        sum: z.string().nullable(),
        matters: z.boolean(),
      }),
    ),
  }),
  run: ({ a, b }) => ({ differences: diffSets(setOf(a), setOf(b)) }),
});

export const setAuditVerb = verb({
  name: 'set-audit',
  summary: 'Errors and doubts in a parameter set, worst first, and what could not be checked.',
  input: z.strictObject({
    ...always,
    set,
    plate: plateSchema.optional(),
    choices: startUpChoicesSchema.optional(),
    jumpers: z
      .strictObject({ AI1: z.enum(['V', 'mA']).optional(), AI2: z.enum(['V', 'mA']).optional() })
      .optional(),
    shortest: z.strictObject({ up_s: positive.nullable(), down_s: positive.nullable() }).optional(),
    otherMotors_ohm: z.array(z.number()).optional(),
    carrier_kHz: positive.optional(),
  }),
  output: z.strictObject({
    id,
    findings: z.array(
      z.strictObject({
        rule: z.string(),
        severity: z.enum(['info', 'doubt', 'wrong']),
        text: z.string(),
        sum: z.string(),
        numbers: z.array(z.string()),
      }),
    ),
    notJudged: z.array(z.strictObject({ rule: z.string(), about: z.string() })),
  }),
  run: ({ set: given, id: _, note: __, ...around }) => auditSet(setOf(given), around),
});

export const setPlanVerb = verb({
  name: 'set-plan',
  summary: 'The order in which parameters are written to a unit, each step with its reason.',
  input: z.strictObject({ ...always, now: set, target: valuesSchema }),
  output: z.strictObject({
    id,
    steps: z.array(
      z.strictObject({
        number: z.string(),
        name: z.string(),
        from: z.number().nullable(),
        to: z.number(),
        shownFrom: z.string(),
        shownTo: z.string(),
        group: z.enum(groups),
        lock: z.number(),
        standstill: z.boolean(),
        mayStart: z.boolean(),
        why: z.string(),
      }),
    ),
    skipped: skippedSchema,
    stuck: z.array(z.string()),
  }),
  run: ({ now, target }) => planWrites(setOf(now), target),
});
