import * as z from 'zod';
import { compareDischarge, discharge, timeConstant } from '../bench/discharge';
import { always } from './vocabulary-schema';
import { verb } from './verb';

const positive = z.number().positive();
const readings = z
  .array(z.strictObject({ at_s: z.number().min(0), volts: positive }))
  .min(2)
  .max(10_000)
  .refine((list) => timeConstant(list) !== null, 'at least two readings at different times, falling');

const input = z.union([
  z.strictObject({
    ...always,
    capacitance_uF: positive,
    bleederOhm: positive,
    startVolts: positive,
    limitVolts: positive,
  }),
  z.strictObject({ ...always, capacitance_uF: positive, bleederOhm: positive, readings }),
  z.strictObject({ ...always, bleederOhm: positive, readings }),
  z.strictObject({ ...always, capacitance_uF: positive, readings }),
]);

const id = z.json().optional();
const output = z.union([
  z.strictObject({
    id,
    seconds: z.number(),
    secondsIfBleederOpen: z.null(),
    tau_s: z.number(),
    storedEnergy_J: z.number(),
  }),
  z.strictObject({
    id,
    tau_s: z.number(),
    expectedTau_s: z.number(),
    ratio: z.number(),
    verdict: z.enum(['as-expected', 'too-fast', 'too-slow']),
    why: z.string(),
  }),
  z.strictObject({ id, capacitance_uF: z.number(), tau_s: z.number() }),
  z.strictObject({ id, bleederOhm: z.number(), tau_s: z.number() }),
]);

export const dischargeVerb = verb({
  name: 'discharge',
  summary:
    'Discharge time of a DC bus, or its capacitance or bleeder from readings of the falling bus voltage.',
  input,
  output,
  run: (i) => {
    if (!('readings' in i)) return discharge(i);
    const tau_s = timeConstant(i.readings) ?? NaN;
    if ('bleederOhm' in i && 'capacitance_uF' in i) return compareDischarge(i, tau_s);
    return 'bleederOhm' in i
      ? { capacitance_uF: (tau_s / i.bleederOhm) * 1e6, tau_s }
      : { bleederOhm: tau_s / (i.capacitance_uF * 1e-6), tau_s };
  },
});
