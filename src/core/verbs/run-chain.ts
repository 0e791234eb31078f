import * as z from 'zod';
import { controlShape } from '../equipment/catalogue/schema';
import { liveSchema, valuesSchema } from '../equipment/drive-words/schema';
import { linkIds, runChain } from '../fault-finding/run-chain';
import { verb } from './verb';
import { always } from './vocabulary-schema';

const link = z.enum(linkIds);
const look = { what: z.string(), minutes: z.number() };

const input = z.strictObject({
  ...always,
  /** These parts of a type's control.json; others may be there. */
  control: controlShape
    .pick({ inputs: true, analogInputs: true, safeStop: true, parameters: true, alarms: true })
    .partial({ analogInputs: true, alarms: true }),
  supply_V: z.number().positive().max(1000),
  values: valuesSchema.prefault({}),
  live: liveSchema.prefault({}),
});

const output = z.strictObject({
  id: z.json().optional(),
  links: z.array(
    z.strictObject({
      id: link,
      name: z.string(),
      state: z.enum(['closed', 'open', 'unknown']),
      why: z.string(),
      evidence: z.array(z.strictObject({ what: z.string(), said: z.string() })),
      look: z.strictObject(look).optional(),
    }),
  ),
  firstOpen: link.nullable(),
  unknownBefore: z.array(link),
  next: z.strictObject({ ...look, settles: link }).nullable(),
});

export const runChainVerb = verb({
  name: 'run-chain',
  summary:
    'Why a drive does not run: each permissive closed, open or unknown, from parameters and live values.',
  input,
  output,
  run: ({ control, live, ...facts }) =>
    runChain({
      ...facts,
      control: { ...control, analogInputs: control.analogInputs ?? [], alarms: control.alarms ?? [] },
      live,
    }),
});
