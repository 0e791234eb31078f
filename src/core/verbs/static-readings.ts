import * as z from 'zod';
import { saturationAt, thermalVolts, type Element } from '../numerics/circuit';
import {
  fullPlan,
  networkOf,
  readings,
  terminals,
  terminalsOf,
  type Probe,
  type Stage,
} from '../equipment/power-stage';
import { verb } from './verb';
import {
  always,
  faultSchema,
  meterSchema,
  noteSchema,
  positionSchema,
  contractStageSchema,
  temperatureSchema,
} from './vocabulary-schema';

// Unknown keys inside an element are ignored (a reference file carries more than we need).
const elementSchema = z.discriminatedUnion('type', [
  z.object({
    type: z.literal('R'),
    name: z.string(),
    a: z.string(),
    b: z.string(),
    ohm: z.number().positive(),
  }),
  z.object({
    type: z.literal('V'),
    name: z.string(),
    plus: z.string(),
    minus: z.string(),
    volts: z.number(),
    series_ohm: z.number().positive(),
  }),
  z.object({
    type: z.literal('D'),
    name: z.string(),
    anode: z.string(),
    cathode: z.string(),
    Is_27C_A: z.number().positive(),
    n: z.number().positive(),
    Rs_ohm: z.number().min(0),
    Is_atT_A: z.number().positive().optional(),
    nVt_atT_V: z.number().positive().optional(),
  }),
]);

const input = z
  .strictObject({
    ...always,
    stage: contractStageSchema.prefault({}),
    meter: meterSchema.prefault({}),
    temperature_C: temperatureSchema.default(25),
    faults: z.array(faultSchema).max(50).default([]),
    conditions: z
      .strictObject({ motorConnected: z.boolean().default(false), busVolts: z.number().default(0) })
      .prefault({}),
    devices: z
      .partialRecord(
        positionSchema,
        z.strictObject({ Is: z.number().positive(), n: z.number().positive(), Rs: z.number().min(0) }),
      )
      .default({}),
    probes: z
      .array(z.strictObject({ red: z.string(), black: z.string() }))
      .max(5000)
      .optional(),
    elements: z.array(elementSchema).max(500).optional(),
  })
  .check((ctx) => {
    const { elements, probes } = ctx.value;
    if (elements !== undefined && probes === undefined)
      ctx.issues.push({
        code: 'custom',
        path: ['probes'],
        input: probes,
        message: 'a list of probes is required with elements',
      });
    if (elements !== undefined) return;
    probes?.forEach((probe, i) =>
      (['red', 'black'] as const).forEach((lead) => {
        if (!terminals.some((t) => t === probe[lead]))
          ctx.issues.push({
            code: 'custom',
            path: ['probes', i, lead],
            input: probe[lead],
            message: `one of ${terminals.join(', ')}`,
          });
      }),
    );
  });

const output = z.strictObject({
  id: z.json().optional(),
  readings: z.array(
    z.strictObject({
      red: z.string(),
      black: z.string(),
      value: z.union([z.literal('OL'), z.number()]),
      volts: z.number(),
    }),
  ),
  caseNotes: noteSchema.optional(),
});

const given = (e: z.output<typeof elementSchema>, temperature_C: number): Element =>
  e.type === 'D'
    ? {
        type: 'D',
        name: e.name,
        anode: e.anode,
        cathode: e.cathode,
        saturation_A: e.Is_atT_A ?? saturationAt(e.Is_27C_A, e.n, temperature_C),
        emission_V: e.nVt_atT_V ?? e.n * thermalVolts(temperature_C),
        series_ohm: e.Rs_ohm,
      }
    : e;

/** Known names that this stage has not; its rectifier positive is DC+ under another name where nothing joins them. */
function onStage(stage: Stage, probes: readonly { red: string; black: string }[]) {
  const here = new Set<string>([...terminalsOf(stage), 'DC+R']);
  const absent = [...new Set(probes.flatMap((p) => [p.red, p.black]))].filter((t) => !here.has(t));
  const notes = absent.map((t) => ({ code: 'terminal-absent', text: `This stage has no terminal ${t}.` }));
  const inner = (t: string): string => (t === 'DC+R' && stage.link === 'none' ? 'DC+' : t);
  return { notes, inner };
}

export const staticReadings = verb({
  name: 'static-readings',
  summary: 'Diode-test readings of a power stage, good or with faults, or of any small network.',
  input,
  output,
  run: (i) => {
    if (i.elements !== undefined) {
      const elements = i.elements.map((e) => given(e, i.temperature_C));
      return { readings: readings(elements, i.probes ?? [], i.meter) };
    }
    const probes: readonly { red: string; black: string }[] =
      i.probes ?? (fullPlan(i.stage) satisfies Probe[]);
    const { notes, inner } = onStage(i.stage, probes);
    const network = networkOf({
      stage: i.stage,
      temperature_C: i.temperature_C,
      faults: i.faults,
      conditions: i.conditions,
      devices: i.devices,
    });
    const taken = readings(
      network,
      probes.map((p) => ({ red: inner(p.red), black: inner(p.black) })),
      i.meter,
    );
    return {
      readings: taken.map((r, n) => ({ ...r, ...probes[n] })),
      ...(notes.length > 0 ? { caseNotes: notes } : {}),
    };
  },
});
