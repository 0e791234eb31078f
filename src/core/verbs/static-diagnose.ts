import * as z from 'zod';
import { diagnoseOnce } from '../bench/static-diagnosis';
import { verb } from './verb';
import {
  always,
  faultModeSchema,
  meterSchema,
  noteSchema,
  positionSchema,
  contractStageSchema,
  temperatureSchema,
  terminalSchema,
  valueSchema,
} from './vocabulary-schema';

const namedFault = z.strictObject({ component: positionSchema, mode: faultModeSchema });
const probability = z.number().min(0).max(1.000001);
const probe = { red: terminalSchema, black: terminalSchema };

const input = z.strictObject({
  ...always,
  stage: contractStageSchema,
  meter: meterSchema.prefault({}),
  temperature_C: temperatureSchema.optional(),
  readings: z.array(z.strictObject({ ...probe, value: valueSchema })).max(20_000),
});

const output = z.strictObject({
  id: z.json().optional(),
  verdict: z.enum(['not-shorted', 'faulty', 'doubtful', 'invalid']),
  candidates: z
    .array(
      z.strictObject({
        faults: z.array(namedFault),
        probability,
        equivalents: z.array(z.array(namedFault)).optional(),
        alike: z.array(z.array(namedFault)),
      }),
    )
    .max(50),
  restProbability: probability,
  positions: z.array(
    z.strictObject({
      component: positionSchema,
      state: z.enum(['sound', 'short', 'leaky', 'open', 'degraded', 'unprobed', 'unknown']),
      probability,
    }),
  ),
  conditions: z.array(z.strictObject({ code: z.string(), probability, advice: z.string() })),
  repeat: z.array(z.strictObject({ ...probe, why: z.string() })),
  next: z.array(
    z.strictObject({
      ...probe,
      gainBits: z.number(),
      handling_s: z.number(),
      between: z.array(z.array(namedFault)).length(2),
    }),
  ),
  enough: z.string().nullable(),
  effort: z.strictObject({
    hypotheses: z.number(),
    fitted: z.number(),
    roughMass: z.number(),
    prunedMass: z.number(),
  }),
  unseen: z.array(namedFault),
  caseNotes: noteSchema,
  readings: z.array(
    z.strictObject({
      ...probe,
      state: z.enum(['sound', 'doubt', 'failed']),
      expected: z.union([z.literal('OL'), z.number()]),
      off_V: z.number().nullable(),
      repeats: z.number(),
    }),
  ),
});

export const staticDiagnose = verb({
  name: 'static-diagnose',
  summary: 'Which device of a power stage is at fault, from diode-test readings.',
  input,
  output,
  run: ({ stage, meter, readings, temperature_C }) => {
    const { familyShift_V: _, ...answer } = diagnoseOnce(stage, meter, readings, temperature_C);
    return answer;
  },
});
