import * as z from 'zod';
import { loadCurves, rampAnswer } from '../commissioning/ramp';
import { verb } from './verb';
import { always } from './vocabulary-schema';

const positive = z.number().positive();
const zeroUp = z.number().min(0);

const fields = z.strictObject({
  ...always,
  motor: z.strictObject({ torque_Nm: positive, rpm: positive, hz: positive, inertia_kgm2: zeroUp }),
  load: z.strictObject({ torque_Nm: z.number(), curve: z.enum(loadCurves), inertia_kgm2: zeroUp }),
  drive: z.strictObject({
    limit: positive.max(10),
    busVolts: positive.max(2000),
    tripVolts: positive.max(3000),
    capacitance_F: positive,
    losses: zeroUp.max(1).prefault(0.05),
    regulated: z.boolean().prefault(false),
    chopper: z.strictObject({ above_V: positive, ohm: positive }).optional(),
  }),
  ramp: z.strictObject({
    up_s: positive.max(3600),
    down_s: positive.max(3600),
    rounding: zeroUp.max(1).prefault(0),
    to_Hz: positive.max(1000),
    countsTo_Hz: positive.max(1000),
    hold_s: zeroUp.max(3600).prefault(1),
  }),
  /** Time from stop to stop, for the average of a brake resistor. */
  cycle_s: positive.prefault(60),
  samples: z.boolean().prefault(false),
});

const input = fields.superRefine(({ motor, load, drive }, ctx) => {
  const wrong = (path: string[], message: string) => ctx.addIssue({ code: 'custom', path, message });
  const { busVolts, tripVolts, chopper } = drive;
  if (busVolts >= tripVolts) wrong(['drive', 'tripVolts'], `above the bus at rest, ${busVolts} V`);
  if (chopper !== undefined && chopper.above_V <= busVolts)
    wrong(
      ['drive', 'chopper', 'above_V'],
      `above the bus at rest, ${busVolts} V: it would never stop chopping`,
    );
  if (chopper !== undefined && chopper.above_V >= tripVolts)
    wrong(['drive', 'chopper', 'above_V'], `below the trip, ${tripVolts} V`);
  if (motor.inertia_kgm2 + load.inertia_kgm2 === 0)
    wrong(['load', 'inertia_kgm2'], 'above zero, or the inertia of the motor: something turns');
});

const shortest = z.strictObject({ seconds: z.number().nullable(), sum: z.string() });
const output = z.strictObject({
  id: z.json().optional(),
  trip: z
    .strictObject({
      why: z.enum(['overcurrent', 'overvoltage']),
      t: z.number(),
      while: z.enum(['up', 'down']),
    })
    .nullable(),
  reachedAt_s: z.number().nullable(),
  stoodAt_s: z.number().nullable(),
  shortestUp: shortest,
  shortestDown: shortest,
  brake: z.strictObject({
    peak_W: z.number(),
    energy_J: z.number(),
    average_W: z.number(),
    duty: z.number(),
    most_ohm: z.number().nullable(),
    lowering_W: z.number().nullable(),
    sum: z.string(),
  }),
  turning_J: z.number(),
  samples: z
    .array(
      z.strictObject({
        t: z.number(),
        rpm: z.number(),
        torque_Nm: z.number(),
        current: z.number(),
        busVolts: z.number(),
        brake_W: z.number(),
        back_J: z.number(),
      }),
    )
    .optional(),
});

export const rampVerb = verb({
  name: 'ramp',
  summary: 'Ramp up and down: where the drive would trip, shortest safe ramps, brake resistor rating.',
  input,
  output,
  run: ({ cycle_s, samples, id: _, note: __, ...given }) => {
    const { run, ...answer } = rampAnswer(given, { cycle_s });
    const { trip, reachedAt_s, stoodAt_s } = run;
    return { trip, reachedAt_s, stoodAt_s, ...answer, ...(samples ? { samples: run.samples } : {}) };
  },
});
