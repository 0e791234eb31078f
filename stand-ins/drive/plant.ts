import * as z from 'zod';

/**
 * Everything outside the drive, and what is hidden in it: supply, wires, contacts, load, faults. The drive sees its
 * terminals only.
 */
export const plantSchema = z.strictObject({
  mains: z.strictObject({
    on: z.boolean(),
    volts: z.number().min(0).max(1000),
    /** A phase that is missing. */
    lost: z.enum(['L1', 'L2', 'L3']).nullable(),
  }),
  /** Contacts of the digital inputs, by input: closed or not. */
  contacts: z.record(z.string(), z.boolean()),
  /** Inputs whose wire is off. */
  wiresOff: z.array(z.string()),
  /** How the contacts are wired: to plus, or to common. */
  wiring: z.enum(['source', 'sink']),
  /** Where the 24 V come from, and whether the minus of a foreign source is tied to the drive's common. */
  supply24: z.strictObject({ from: z.enum(['drive', 'foreign']), on: z.boolean(), returnTied: z.boolean() }),
  safeStop: z.strictObject({ channel1: z.boolean(), channel2: z.boolean(), returnTied: z.boolean() }),
  /** At the analog inputs, V or mA as the signal is. */
  AI1: z.number().min(-10).max(20),
  AI2: z.number().min(-10).max(20),
  knob_percent: z.number().min(0).max(100),
  /** Run and stop keys of the keypad. */
  keypadRun: z.boolean(),
  /** The serial controller: its control word and reference, and whether it talks at all. */
  serial: z.strictObject({
    talks: z.boolean(),
    run: z.boolean(),
    reverse: z.boolean(),
    coastRelease: z.boolean(),
    reference_Hz: z.number(),
  }),
  motor: z.strictObject({
    connected: z.boolean(),
    ratedAmps: z.number().positive(),
    power_kW: z.number().positive(),
    frequency_Hz: z.number().positive(),
    speed_rpm: z.number().positive(),
    /** Output phase that is off. */
    lost: z.enum(['U', 'V', 'W']).nullable(),
  }),
  load: z.strictObject({
    /** Torque as a share of the motor's, at rated speed. */
    torque: z.number().min(-3).max(5),
    kind: z.enum(['constant', 'quadratic']),
    /** Time to come to rated speed under rated torque, s. */
    inertia_s: z.number().min(0.02).max(200),
  }),
  hidden: z.strictObject({
    groundFault: z.boolean(),
    encoderFitted: z.boolean(),
    fanStuck: z.boolean(),
    prechargeOpen: z.boolean(),
    transistorShort: z.boolean(),
    prechargeRelayStuck: z.boolean(),
  }),
  ambient_C: z.number().min(-30).max(80),
  /** How the bus behaves badly. */
  bus: z.strictObject({
    delay_ms: z.number().min(0).max(10_000),
    /** Chance that a connection is dropped in the middle of an answer. */
    drop: z.number().min(0).max(1),
    /** Chance of half a frame, a frame with wrong length or foreign transaction number. */
    garble: z.number().min(0).max(1),
    /** Chance of a busy exception. */
    busy: z.number().min(0).max(1),
    silent: z.boolean(),
    /** The cable is out: connections break off and none is taken. */
    cableOut: z.boolean(),
    /** The cable comes out at so many writes from now; the last one still arrives, or does not. Null: it stays in. */
    cutAtWrite: z.strictObject({ writes: z.int().min(1), arrives: z.boolean() }).nullable(),
  }),
});
export type Plant = z.output<typeof plantSchema>;

/** A plant in order, the machine standing still, for a motor that fits the drive. */
export const plantInOrder = ({
  supply_V,
  motor,
}: {
  supply_V: number;
  motor: Pick<Plant['motor'], 'ratedAmps' | 'power_kW'>;
}): Plant => ({
  mains: { on: true, volts: supply_V, lost: null },
  contacts: {},
  wiresOff: [],
  wiring: 'source',
  supply24: { from: 'drive', on: true, returnTied: true },
  safeStop: { channel1: true, channel2: true, returnTied: true },
  AI1: 0,
  AI2: 0,
  knob_percent: 0,
  keypadRun: false,
  serial: { talks: false, run: false, reverse: false, coastRelease: true, reference_Hz: 0 },
  motor: { connected: true, frequency_Hz: 50, speed_rpm: 1440, lost: null, ...motor },
  load: { torque: 0.5, kind: 'constant', inertia_s: 0.5 },
  hidden: {
    groundFault: false,
    encoderFitted: false,
    fanStuck: false,
    prechargeOpen: false,
    transistorShort: false,
    prechargeRelayStuck: false,
  },
  ambient_C: 22,
  bus: { delay_ms: 0, drop: 0, garble: 0, busy: 0, silent: false, cableOut: false, cutAtWrite: null },
});

/** What the electronics behind a digital input see: contact, wire, source, return, and which way the input reads. */
export function inputIsOn(plant: Plant, id: string, polarity: 'source' | 'sink'): boolean {
  const { supply24, contacts, wiresOff, wiring } = plant;
  const loop = supply24.on && (supply24.from === 'drive' || supply24.returnTied);
  const made = contacts[id] === true && !wiresOff.includes(id);
  // Wired the other way round the closed contact puts on the terminal what the input reads as nothing.
  return loop && made && wiring === polarity;
}

export function safeStopIsOn({ safeStop, mains }: Plant): { STO1: boolean; STO2: boolean } {
  const loop = mains.on && safeStop.returnTied;
  return { STO1: loop && safeStop.channel1, STO2: loop && safeStop.channel2 };
}
