import * as z from 'zod';
import { simulateWave } from '../power-up/waveform';
import { circuitShape, possible } from '../power-up/waveform/schema';
import { orRefused } from './circuit';
import { verb } from './verb';
import { always } from './vocabulary-schema';

const input = z
  .strictObject({ ...always, ...circuitShape, samples: z.boolean().default(false) })
  .superRefine(possible);

const output = z.strictObject({
  id: z.json().optional(),
  figures: z.record(z.string(), z.number()),
  by: z.enum(['whole network', 'two halves']),
  /** Changes of what conducts, in the whole time computed. */
  events: z.number().int(),
  samples: z.record(z.string(), z.array(z.number())).optional(),
});

export const waveformVerb = verb({
  name: 'waveform',
  summary:
    'Currents and voltages of a drive over time, good or with a fault: values, and samples on request.',
  input,
  output,
  run: ({ samples, id: _, note: __, ...given }) => {
    const { run, figures, by } = orRefused(() => simulateWave(given));
    const columns = Object.entries({ t: run.t, ...run.samples }).map(([name, list]): [string, number[]] => [
      name,
      Array.from(list),
    ]);
    return { figures, by, events: run.events, ...(samples ? { samples: Object.fromEntries(columns) } : {}) };
  },
});
