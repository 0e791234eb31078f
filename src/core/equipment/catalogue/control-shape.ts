import * as z from 'zod';
import { alarmFamilies, conceptIds, unitStates } from '../concepts';
import { operationSchema } from './keypad-shape';

const text = z.string().trim().min(1).max(200);
const mark = z.string().trim().min(1).max(12);
const register = z.int().min(0).max(65_535);

/** A figure, or a share of what the model is rated for. */
const amount = z.union([
  z.number(),
  z.strictObject({ of: z.enum(['rated-amps', 'rated-power', 'supply-volts']), times: z.number() }),
]);

const parameterSchema = z.strictObject({
  /** As the keypad shows it. */
  number: z.string().regex(/^\S{1,12}$/),
  name: text,
  concept: z.enum(conceptIds).optional(),
  unit: z.string().max(8).optional(),
  /** Value = raw word × scale. */
  scale: z.number().positive().default(1),
  /** Absent: what is known of the type does not say. */
  min: amount.optional(),
  max: amount.optional(),
  /** Where it differs between regions, one for each; absent: what is known of the type does not say. */
  default: z.union([amount, z.strictObject({ '50Hz': amount, '60Hz': amount })]).optional(),
  choices: z
    .array(z.strictObject({ value: z.int(), name: text, means: text.optional() }))
    .min(2)
    .optional(),
  /** What must be unlocked to change it; 0 is always open. */
  lock: z.int().min(0).max(3).default(0),
  readOnly: z.boolean().default(false),
  /** Changed at standstill only. */
  stop: z.boolean().default(false),
  /** Other parameters that go back to their defaults when it is written. */
  resets: z.union([z.literal('all'), z.array(z.string())]).optional(),
  /** There only while another parameter has one of these values, or an option is fitted. */
  needs: z
    .union([
      z.strictObject({ number: z.string(), is: z.array(z.number()).min(1) }),
      z.strictObject({ option: text }),
    ])
    .optional(),
  /** Absent: not known, it cannot be read or written over the bus. */
  register: register.optional(),
  /** The page of the manual it was read from. */
  manualPage: z.int().min(1).max(100_000).optional(),
});

/** Live values that a type can show over its bus. */
export const liveKeys = [
  'state',
  'alarm',
  'output-frequency',
  'reference',
  'output-current',
  'bus-voltage',
  'heatsink',
  'inputs',
  'relays',
  'AI1',
  'AI2',
  'place',
  'serial',
  'run-hours',
] as const;

const liveSchema = z.strictObject({
  key: z.enum(liveKeys),
  register,
  scale: z.number().positive().default(1),
  /** Of a word of bits: what each bit from the lowest is; null where it means nothing. */
  bits: z.array(z.string().nullable()).max(16).optional(),
  /** Of an enumeration: the neutral name of each value. */
  values: z
    .array(z.strictObject({ value: z.int(), means: z.enum([...unitStates, 'local', 'remote']) }))
    .optional(),
});

const alarmSchema = z.strictObject({
  code: z.string().trim().min(1).max(12),
  /** Its number on the bus; absent: not known. */
  value: z.int().min(1).max(65_535).optional(),
  name: text,
  family: z.enum(alarmFamilies),
  latched: z.boolean(),
  /** How it is put back once its cause is gone. */
  reset: z.enum(['reset', 'power-off', 'by-itself']),
  firstChecks: z.array(text).max(6),
});

/** A menu of a keypad, with the parameters and menus in it. */
export interface MenuItem {
  name: string;
  /** Numbers of the parameters in it, in the order the keypad shows them. */
  parameters?: string[] | undefined;
  menus?: MenuItem[] | undefined;
}
const menuSchema: z.ZodType<MenuItem> = z.lazy(() =>
  z.strictObject({
    name: text,
    parameters: z.array(z.string()).optional(),
    menus: z.array(menuSchema).optional(),
  }),
);

/** What a type says over its bus. */
const modbusSchema = z.strictObject({
  unit: z.int().min(1).max(247),
  identification: z.strictObject({ vendor: text, product: text, revision: text }),
  live: z.array(liveSchema).min(1),
  /** Where the serial number of the unit is, two letters a word; absent: it does not say. */
  serialNumber: z.strictObject({ register, words: z.int().min(1).max(16) }).optional(),
  history: z.strictObject({ register, slots: z.int().min(1).max(30) }),
  /** Bits of the serial control word. */
  control: z.strictObject({ register, reference: register, bits: z.array(z.string().nullable()).max(16) }),
});

/** The shapes of control.json, one part after the other. */
export const controlShape = z.strictObject({
  inputs: z
    .array(z.strictObject({ id: z.string().regex(/^DI[1-9]$/), mark }))
    .min(1)
    .max(9),
  analogInputs: z
    .array(
      z.strictObject({
        id: z.enum(['AI1', 'AI2']),
        mark,
        /** Where volts or current is chosen by a jumper or switch, not by a parameter. */
        jumper: text.optional(),
      }),
    )
    .max(2),
  relays: z
    .array(
      z.strictObject({
        id: z.string().regex(/^RO[1-4]$/),
        marks: z.array(mark).min(2).max(3),
        /** Which side of the contact each mark is; not told: common, make, break. */
        contacts: z
          .array(z.enum(['common', 'make', 'break']))
          .min(2)
          .max(3)
          .optional(),
      }),
    )
    .max(4),
  analogOutput: mark.nullable(),
  /** Own 24 V for the inputs, their common, own 10 V for a knob, and its common. */
  supply: z.strictObject({
    plus24: mark,
    common: mark,
    plus10: mark.nullable(),
    analogCommon: mark,
    /** Least and most ohms of a potentiometer between the 10 V and its common. */
    potentiometer_ohm: z.tuple([z.number().positive(), z.number().positive()]).optional(),
  }),
  knob: z.boolean(),
  /** Two channels that must both have 24 V against their own return. */
  safeStop: z
    .strictObject({
      channels: z.array(z.strictObject({ id: z.enum(['STO1', 'STO2']), mark })).length(2),
      supply: mark,
      return: mark,
      factoryJumpers: z.array(z.tuple([mark, mark])),
    })
    .nullable(),
  /** The frequency that a ramp time counts to, where no parameter says so. */
  rampCountsTo: z.enum(['maximum', 'base']),
  locks: z.array(
    z.strictObject({ level: z.int().min(1).max(3), code: z.int().min(0).max(9999), opens: text }),
  ),
  /** Boards that bring entries with them, and terminals. */
  options: z.array(z.strictObject({ id: text, name: text, terminals: z.array(mark).optional() })),
  /** Where each group of control terminals is, in the order of its screws. */
  places: z.array(z.strictObject({ marks: z.array(mark).min(1), where: text })),
  /** The draft that its manual was read into; absent: it was made otherwise. */
  manual: z.strictObject({ draft: z.uuid() }).optional(),
  parameters: z.array(parameterSchema).min(1).max(2000),
  /** Empty where no fault table was read. */
  alarms: z.array(alarmSchema),
  keypad: z.strictObject({
    /** Keys and menu are empty where nobody has described them. */
    keys: z.array(z.strictObject({ name: text, does: text })),
    menu: z.array(menuSchema),
    /** Absent: which keys to press is not known. */
    operation: operationSchema.optional(),
    displays: z.array(z.strictObject({ shows: text, means: text })),
    lamps: z.array(
      z.strictObject({ name: text, looks: z.array(z.strictObject({ look: text, means: text })) }),
    ),
  }),
  /** Null: its registers are not known, and the link stays shut. */
  modbus: modbusSchema.nullable(),
  fitting: z.strictObject({
    fuses: z.array(z.strictObject({ type: text, fuse_A: z.number(), kind: text, wire_mm2: z.number() })),
    torques: z.array(z.strictObject({ terminals: text, torque_Nm: z.number() })),
    sizes: z.array(
      z.strictObject({
        types: z.array(text),
        width_mm: z.number(),
        height_mm: z.number(),
        depth_mm: z.number(),
        weight_kg: z.number(),
        holes: z.array(z.tuple([z.number(), z.number()])),
        clearance_mm: z.number(),
      }),
    ),
    storage: z.array(z.strictObject({ fromYears: z.number(), step: text })),
    derating: z.array(z.strictObject({ when: text, perUnit: text, percent: z.number() })),
    /** What a three-phase unit gives on one phase, and where that stands; absent: not known. */
    onePhase: z.strictObject({ share: z.number().positive().max(1), page: text }).optional(),
  }),
  /** What a cabinet and a line ask of it; absent, or a part of it: not known. */
  mounting: z
    .strictObject({
      /** Protection class (IEC 60529), e.g. "IP20". */
      protection: z
        .string()
        .regex(/^IP[0-6][0-9]$/)
        .optional(),
      /** Least and most ambient without derating. */
      ambient_C: z.tuple([z.number(), z.number()]).optional(),
      cableEntry: z.enum(['below', 'above', 'both']).optional(),
      /** With the fuses of its table, kA. */
      shortCircuit_kA: z.number().positive().optional(),
      /** Category of emission that it keeps (IEC 61800-3); `none`: no filter inside. */
      emc: z.enum(['C1', 'C2', 'C3', 'C4', 'none']).optional(),
      /** Screw that holds it. */
      hole_mm: z.number().positive().optional(),
      /** What it carries for a while, and of which share of its rated amps. */
      duty: z
        .array(
          z.strictObject({
            name: z.enum(['normal', 'heavy']),
            overload_percent: z.number().min(100),
            seconds: z.number().positive(),
            share: z.number().positive().max(1),
          }),
        )
        .max(2)
        .optional(),
      /** Networks it speaks, and the board that brings each; null: built in. */
      networks: z.array(z.strictObject({ name: text, option: text.nullable() })).optional(),
      /** Least ohms at its brake terminals. */
      brake_ohm: z.array(z.strictObject({ type: text, ohm: z.number().positive() })).optional(),
    })
    .optional(),
});

/** What a type's control.json says: parameters, inputs, alarms, bus, menus, locks. */
export type Control = z.output<typeof controlShape>;
/** One parameter of a type. */
export type Parameter = Control['parameters'][number];
/** A live value that a type can show over its bus. */
export type LiveKey = (typeof liveKeys)[number];
