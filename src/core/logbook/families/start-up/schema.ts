import * as z from 'zod';
import { motorCableSchema } from '../../../equipment/cable/schema';
import { startUpChoicesSchema } from '../../../equipment/application/schema';
import { valueReasons } from './vocabulary';
import { short } from '../../fragments';

const ohm = z.number().positive().max(1e6);
const celsius = z.number().min(-40).max(200);
/** Was it disconnected before the tester was put on, or is there none? */
const off = z.enum(['off', 'none']);

/** Kinds of entries about motor, cable and the start-up of a drive. */
export const startUpKinds = {
  /** The tester kills what is left connected. */
  'motor.disconnected': z.strictObject({ drive: z.literal('off'), thermistors: off, encoder: off }),
  'motor.winding': z.strictObject({
    ohms: z.strictObject({ uv: ohm, vw: ohm, wu: ohm }),
    temperature_C: celsius,
    reference_C: celsius,
    material: z.enum(['copper', 'aluminium']).default('copper'),
  }),
  'motor.insulation': z.strictObject({
    of: z.enum(['motor', 'cable', 'motor-and-cable']),
    between: z.enum(['earth', 'cores']),
    ratedVolts: z.number().positive().max(20_000),
    testVolts: z.number().positive().max(10_000),
    readings: z
      .array(z.strictObject({ at_s: z.number().min(0).max(3600), megohm: z.number().min(0).max(1e9) }))
      .min(1)
      .max(12),
    winding_C: celsius,
    construction: z.enum(['random', 'form']).default('random'),
    material: z.enum(['thermosetting', 'thermoplastic']).default('thermosetting'),
    kind: z.enum(['modern', 'before-1970']).default('modern'),
  }),
  /** Earthed for as long as this after the test it names. */
  'motor.earthed': z.strictObject({ test: z.uuid(), seconds: z.number().min(0).max(36_000) }),
  'motor.unbalance': z.strictObject({
    of: z.enum(['voltage', 'current']),
    fedFrom: z.enum(['line', 'drive']),
    values: z.tuple([z.number().min(0), z.number().min(0), z.number().min(0)]),
  }),
  'startup.choices': z.strictObject({
    choices: startUpChoicesSchema,
    supply: z.strictObject({ volts: z.number().positive().max(1000), hz: z.number().positive().max(1000) }),
  }),
  /** Where the drive is to work. */
  'startup.place': z.strictObject({
    phases: z.union([z.literal(1), z.literal(3)]),
    earthing: z.enum(['star-earthed', 'isolated', 'corner-earthed']),
    ambient_C: z.number().min(-30).max(80),
    altitude_m: z.number().min(-400).max(6000),
    carrier_kHz: z.number().min(0.5).max(30),
    /** What a three-phase unit gives on one phase, as its manual says. */
    onePhase: z
      .strictObject({ share: z.number().positive().max(1), page: short.min(1) })
      .nullable()
      .optional(),
    /** To the motor; null: not said. */
    cable: motorCableSchema.nullable().optional(),
    sideBySide: z.boolean(),
    storedYears: z.number().min(0).max(60),
    motors: z.int().min(1).max(20),
    singlePhaseMotor: z.boolean(),
  }),
  /** A value in the place of the one that the rule gives; null takes it back. */
  'startup.value': z.strictObject({
    number: short.min(1),
    value: z.number().nullable(),
    reason: z.enum(valueReasons).nullable(),
  }),
  /** Shortest safe ramps of the machine, s; null: none is long enough. */
  'startup.shortest': z.strictObject({
    up_s: z.number().positive().max(1000).nullable(),
    down_s: z.number().positive().max(1000).nullable(),
    /** What turns with the motor, as it was judged, kg·m². */
    inertia_kgm2: z.number().positive().max(1e6).optional(),
  }),
  /** Where the jumper or switch of an analog input stands. */
  'startup.jumper': z.strictObject({ input: z.enum(['AI1', 'AI2']), position: z.enum(['V', 'mA']) }),
  /** The potentiometer that gives the speed, Ω; null: none is fitted. */
  'startup.potentiometer': z.strictObject({ ohm: z.number().positive().max(1e7).nullable() }),
  /** A step of the commissioning run. */
  'commission.step': z.strictObject({
    step: short.min(1),
    outcome: z.enum(['ok', 'not-ok', 'not-there']),
    /** Parts of it that were seen. */
    seen: z.array(short).max(10).default([]),
    /** Over the link, or by a person. */
    seenBy: z.enum(['link', 'hand']).default('hand'),
    qualified: short.min(1).optional(),
    /** Currents at speeds. */
    speeds: z
      .array(z.strictObject({ hz: z.number().min(0).max(1000), amps: z.number().min(0).max(5000) }))
      .max(6)
      .default([]),
    /** Of earlier versions: a reading without bounds. */
    figure: z.strictObject({ value: z.number().min(0).max(1e6), unit: short }).optional(),
    figures: z
      .array(z.strictObject({ id: short.min(1), value: z.number().min(-1e6).max(1e6), unit: short }))
      .max(6)
      .optional(),
    note: z.string().trim().max(500).optional(),
  }),
  /** What is in the drive was kept, and its power goes now. */
  'commission.power-off': z.strictObject({}),
  'startup.signed': z.strictObject({
    /** The newest entry that the signer had seen. */
    seq: z.int().min(0),
    entries: z.int().min(1),
    /** What the page knew to stand against it; the fold takes none. */
    against: z.array(z.string().max(500)).max(50),
    /** It may run until a day with what is still open, each named. */
    mayRun: z
      .strictObject({
        until: z.iso.date(),
        approver: short.min(1),
        open: z
          .array(z.strictObject({ id: short.min(1), text: z.string().max(500) }))
          .min(1)
          .max(80),
      })
      .optional(),
  }),
} as const;
