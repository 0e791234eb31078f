import * as z from 'zod';
import { deviceCount, moduleKinds, moduleVerdict } from '../bench/module-test';
import { verb } from './verb';
import { always } from './vocabulary-schema';

const device = z.int().min(1).max(7);
const ohms = z.union([z.literal('OL'), z.number().min(0)]);

const input = z
  .strictObject({
    ...always,
    kind: z.enum(moduleKinds),
    lampSelfTest: z.boolean(),
    touches: z
      .array(
        z.strictObject({
          device,
          gate: z.enum(['plus', 'minus']),
          lamp: z.enum(['on', 'off', 'dim']),
          holds: z.boolean(),
        }),
      )
      .max(1000),
    diode: z
      .array(
        z.strictObject({ device, forward_V: z.number(), reverse: z.union([z.literal('OL'), z.number()]) }),
      )
      .max(100)
      .optional(),
    gate: z
      .array(z.strictObject({ device, ohm: ohms }))
      .max(100)
      .optional(),
  })
  .superRefine(({ kind, touches, diode = [], gate = [] }, ctx) => {
    for (const [list, items] of Object.entries({ touches, diode, gate }))
      items.forEach((item, i) => {
        if (item.device > deviceCount[kind])
          ctx.addIssue({
            code: 'custom',
            path: [list, i, 'device'],
            message: `1 to ${deviceCount[kind]} for kind "${kind}"`,
          });
      });
  });

const output = z.strictObject({
  id: z.json().optional(),
  devices: z.array(
    z.strictObject({
      device,
      verdict: z.enum(['switches', 'shorted', 'open', 'leaky-gate', 'not-proven']),
      why: z.string(),
    }),
  ),
  verdict: z.enum(['switches', 'replace', 'not-proven']),
});

export const moduleVerdictVerb = verb({
  name: 'module-verdict',
  summary: 'Which devices of an IGBT module switch, from the lamp-and-battery test.',
  input,
  output,
  run: ({ diode, gate, ...rest }) =>
    moduleVerdict({
      ...rest,
      ...(diode === undefined ? {} : { diode }),
      ...(gate === undefined ? {} : { gate }),
    }),
});
