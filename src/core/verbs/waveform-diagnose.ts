import * as z from 'zod';
import { diagnoseWave, judgedKeys } from '../power-up/waveform-diagnosis';
import { circuitShape, possible } from '../power-up/waveform/schema';
import { orRefused } from './circuit';
import { verb } from './verb';
import { always } from './vocabulary-schema';

const input = z
  .strictObject({
    ...always,
    /** The sound unit at the load it ran on. */
    ...circuitShape,
    /** By the names of the figures of `waveform`; `i_sum_rms` is all three outputs in one clamp. */
    measured: z.partialRecord(z.enum(judgedKeys), z.number()),
    /** 0: the unit has none. */
    prechargeOhm: z.number().min(0).max(1e6).default(0),
  })
  .superRefine(possible);

const cause = z.strictObject({
  id: z.string(),
  family: z.enum(['sound', 'supply', 'input', 'bus', 'output']),
  name: z.string(),
  first: z.string(),
  probability: z.number(),
  /** Mean square distance in standard deviations. */
  misfit: z.number(),
  /** Share of the load given that fits best. */
  share: z.number(),
  differs: z.array(
    z.strictObject({
      key: z.string(),
      text: z.string(),
      measured: z.number(),
      sound: z.number(),
      expected: z.number(),
      unit: z.string(),
    }),
  ),
});

const output = z.strictObject({
  id: z.json().optional(),
  verdict: z.enum(['sound', 'fault', 'doubtful', 'unexplained', 'nothing-measured']),
  headline: z.string(),
  causes: z.array(cause),
  /** Causes that would give the same figures as the first. */
  same: z.array(z.string()),
  notes: z.array(z.string()),
});

export const waveformDiagnoseVerb = verb({
  name: 'waveform-diagnose',
  summary:
    'The fault that gives the values measured under power: every fault is simulated at this load and compared.',
  input,
  output,
  run: ({ measured, prechargeOhm, id: _, note: __, ...sound }) => {
    const known = Object.fromEntries(
      Object.entries(measured).flatMap(([k, v]) => (v === undefined ? [] : [[k, v]])),
    );
    const { verdict, headline, found, same, notes } = orRefused(() => {
      const work = diagnoseWave(sound, known, { prechargeOhm });
      let step = work.next();
      while (step.done !== true) step = work.next();
      return step.value;
    });
    return {
      verdict,
      headline,
      causes: found.map(({ figures: _f, given: _g, differs, ...rest }) => ({
        ...rest,
        differs: [...differs],
      })),
      same: [...same],
      notes: [...notes],
    };
  },
});
