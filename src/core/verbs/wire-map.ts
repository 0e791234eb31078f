import * as z from 'zod';
import { controlShape } from '../equipment/catalogue/schema';
import { valuesSchema } from '../equipment/drive-words/schema';
import { markedTerminalSchema } from '../equipment/power-stage/schema';
import { wireMap, type WiredUnit } from '../replacement/wires';
import { roleSchema } from '../replacement/wires/schema';
import { verb } from './verb';
import { always } from './vocabulary-schema';

const positive = z.number().positive();
const name = z.string().min(1).max(100);
const mark = z.string().min(1).max(12);

/** A unit: its power strip, parts of its type's control.json, and its values (those it will have, of the next one). */
const unit = z.strictObject({
  strip: z.array(markedTerminalSchema).max(30),
  control: controlShape.pick({
    inputs: true,
    analogInputs: true,
    analogOutput: true,
    relays: true,
    safeStop: true,
    options: true,
    supply: true,
    places: true,
    parameters: true,
  }),
  rating: z.strictObject({ ratedAmps: positive, power_kW: positive, supply_V: positive }),
  values: valuesSchema,
});

const unitOf = ({ strip, ...rest }: z.output<typeof unit>): WiredUnit => ({ ...rest, type: { strip } });

const position = z.enum(['V', 'mA']).optional();

export const wireMapVerb = verb({
  name: 'wire-map',
  summary: 'Terminal of each wire on the new unit, parameters to set for it, and wires without a terminal.',
  input: z.strictObject({
    ...always,
    old: unit,
    next: unit,
    wires: z
      .array(
        z.strictObject({
          id: name,
          from: mark.nullable(),
          role: roleSchema,
          volts: z.number().optional(),
          chosen: mark.nullable().optional(),
        }),
      )
      .max(1000),
    jumpers: z.strictObject({ AI1: position, AI2: position }).partial().default({}),
  }),
  output: z.strictObject({
    id: z.json().optional(),
    fates: z.array(
      z.strictObject({
        wire: z.string(),
        to: z.string().nullable(),
        outcome: z.enum(['goes', 'set', 'no-home', 'cap', 'unknown', 'by-hand', 'chosen']),
        why: z.string(),
        change: z
          .strictObject({ number: z.string(), name: z.string(), value: z.number(), shown: z.string() })
          .nullable(),
      }),
    ),
    counts: z.record(z.string(), z.number()),
    jumpersOut: z.array(z.tuple([z.string(), z.string()])),
    jumpersStay: z.array(z.tuple([z.string(), z.string()])),
    notes: z.array(z.strictObject({ id: z.string(), about: z.string(), text: z.string() })),
  }),
  run: ({ old, next, wires, jumpers }) => {
    const { fates, counts, jumpersOut, jumpersStay, notes } = wireMap(
      wires,
      unitOf(old),
      unitOf(next),
      jumpers,
    );
    return { fates, counts: { ...counts }, jumpersOut, jumpersStay, notes };
  },
});
